import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Debian's own Python, which has python3-ezdxf; another one may come first on the path. */
export const PYTHON = '/usr/bin/python3';

export function run(program: string, args: readonly string[]): string {
  return execFileSync(program, [...args], { encoding: 'utf8', maxBuffer: 256 * 1024 * 1024 });
}

/** Writes a file for other programs to look at, and takes it away afterwards. */
export function withFile<T>(name: string, content: string | Uint8Array, look: (file: string) => T): T {
  const folder = mkdtempSync(join(tmpdir(), 'mendrel-file-'));
  try {
    const file = join(folder, name);
    writeFileSync(file, content);
    return look(file);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
