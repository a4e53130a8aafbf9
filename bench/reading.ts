import DxfParser from 'dxf-parser';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { readDxf } from '@mendrel/formats/dxf';
import { inTurns, report } from './measure';

/** A drawing of lines, polylines and texts, made anew each time from the same numbers. */
export function bigDxf(megabytes: number): Uint8Array {
  let state = 7;
  const next = (): string => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return ((state / 4294967296) * 100_000).toFixed(6);
  };
  const parts = ['  0\nSECTION\n  2\nENTITIES\n'];
  let size = 0;
  while (size < megabytes * 1024 * 1024) {
    const line = `  0\nLINE\n  8\nWALLS\n 10\n${next()}\n 20\n${next()}\n 30\n0.0\n 11\n${next()}\n 21\n${next()}\n 31\n0.0\n`;
    const text = `  0\nTEXT\n  8\nNOTES\n 10\n${next()}\n 20\n${next()}\n 30\n0.0\n 40\n2.5\n  1\nRoom ${next()}\n`;
    const points = [1, 2, 3, 4].map(() => ` 10\n${next()}\n 20\n${next()}\n`).join('');
    const polyline = `  0\nLWPOLYLINE\n  8\nSLABS\n 90\n4\n 70\n1\n${points}`;
    const block = line + line + text + polyline;
    parts.push(block);
    size += block.length;
  }
  parts.push('  0\nENDSEC\n  0\nEOF\n');
  return new TextEncoder().encode(parts.join(''));
}

const READERS = {
  ours: (bytes: Uint8Array): unknown => readDxf(bytes),
  peer: (bytes: Uint8Array): unknown => new DxfParser().parseSync(new TextDecoder().decode(bytes)),
};

/** What a process of its own is asked for: how much memory reading a file takes it. */
const ASKED = 'BENCH_MEMORY';

/** In a process that was asked for memory: reads, says how many MB what was read takes, and ends. */
export function answerForMemory(): void {
  const [reader, ...file] = (process.env[ASKED] ?? '').split(' ');
  if (reader !== 'ours' && reader !== 'peer') return;
  const bytes = new Uint8Array(readFileSync(file.join(' ')));
  const inUse = (): number => {
    globalThis.gc?.();
    return process.memoryUsage().heapUsed;
  };
  const before = inUse();
  const read = READERS[reader](bytes);
  console.log((inUse() - before) / 1024 ** 2, typeof read);
  process.exit(0);
}

function memoryOf(reader: keyof typeof READERS, file: string): number {
  if (process.env[ASKED] !== undefined) throw new Error('a process that was asked for memory asks another one');
  const asked = spawnSync(
    process.execPath,
    ['--expose-gc', '--max-old-space-size=8192', fileURLToPath(import.meta.url)],
    {
      env: { ...process.env, [ASKED]: `${reader} ${file}` },
      encoding: 'utf8',
      timeout: 60_000,
    },
  );
  return Number(asked.stdout.trim().split('\n').at(-1)?.split(' ')[0]);
}

/** Reading from 1 to 100 MB: time and memory against dxf-parser, and how time grows. */
export function benchReading(): void {
  const perMegabyte: number[] = [];
  for (const [megabytes, rounds] of [
    [1, 60],
    [20, 5],
    [100, 2],
  ] as const) {
    const bytes = bigDxf(megabytes);
    const turns = inTurns(
      () => void READERS.ours(bytes),
      () => void READERS.peer(bytes),
      rounds,
    );
    perMegabyte.push(report(`Reading a DXF file of ${megabytes} MB from its bytes`, 'dxf-parser', turns) / megabytes);
  }
  const [small = 1, , large = 1] = perMegabyte;
  console.log(`Reading 100 MB takes for each MB ${(large / small).toFixed(2)} x what 1 MB takes`);
  const folder = mkdtempSync(join(tmpdir(), 'mendrel-bench-'));
  const file = join(folder, 'big.dxf');
  writeFileSync(file, bigDxf(20));
  const [ours, peer] = [memoryOf('ours', file), memoryOf('peer', file)];
  rmSync(folder, { recursive: true });
  console.log(`Memory that the content of 20 MB takes: ${(ours / peer).toFixed(2)} x dxf-parser`);
  console.log(`    ours ${ours.toFixed(0)} MB, dxf-parser ${peer.toFixed(0)} MB, each in a process of its own`);
}
