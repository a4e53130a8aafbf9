import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import type { Design, Values } from '@mendrel/core';
import { readDesign } from '@mendrel/core';
import { CommandError } from './arguments';

/** Larger files than this are refused before they are read into memory. */
const MOST_BYTES = 512 * 1024 * 1024;

/** @throws CommandError that names the file */
export function readBytes(file: string): Uint8Array {
  try {
    const bytes = readFileSync(file);
    if (bytes.length > MOST_BYTES)
      throw new CommandError(`${file}: the file is larger than ${MOST_BYTES / 1024 / 1024} MB`);
    return bytes;
  } catch (error) {
    if (error instanceof CommandError) throw error;
    const code = (error as NodeJS.ErrnoException).code;
    const why =
      code === 'ENOENT' ? 'there is no such file' : code === 'EISDIR' ? 'this is a folder' : `cannot be read (${code})`;
    throw new CommandError(`${file}: ${why}`);
  }
}

export function writeFile(file: string, content: string | Uint8Array): void {
  try {
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, content);
  } catch (error) {
    throw new CommandError(`${file}: cannot be written (${(error as NodeJS.ErrnoException).code})`);
  }
}

function readJson(file: string): unknown {
  const text = new TextDecoder().decode(readBytes(file));
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new CommandError(`${file}: ${jsonPlace(text, (error as Error).message)}`);
  }
}

/** Turns the position that a JSON error names into a line. */
function jsonPlace(text: string, message: string): string {
  const position = /position (\d+)/.exec(message);
  const at = position ? Number(position[1]) : text.length;
  const line = text.slice(0, at).split('\n').length;
  return `line ${line}: this is not JSON`;
}

/** @throws CommandError with file and place */
export function readDesignFile(file: string): Design {
  const json = readJson(file);
  try {
    return readDesign(json);
  } catch (error) {
    throw new CommandError(`${file}: ${(error as Error).message}`);
  }
}

/** Values by parameter key, as plain text. */
export function readValuesFile(file: string): Values {
  const json = readJson(file);
  if (typeof json !== 'object' || json === null || Array.isArray(json)) {
    throw new CommandError(`${file}: values are written as {"sheet.title": "Ground floor plan"}`);
  }
  return Object.fromEntries(
    Object.entries(json).map(([key, value]: [string, unknown]) => {
      if (typeof value !== 'string' && typeof value !== 'number') {
        throw new CommandError(`${file}: the value of "${key}" must be text or a number`);
      }
      return [key, String(value)];
    }),
  );
}
