import {
  closeSync,
  fstatSync,
  mkdirSync,
  openSync,
  readFileSync,
  readSync,
  realpathSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';
import { CommandError } from './arguments';

/** Larger files than this are refused before they are read into memory. */
const MOST_BYTES = 512 * 1024 * 1024;

/** What keeps a file from being read or written, in words. */
const REASONS: Readonly<Record<string, string>> = {
  ENOENT: 'there is no such file',
  EISDIR: 'this is a folder',
  ENOTDIR: 'a part of its path is a file',
  EEXIST: 'a part of its path is a file',
  EACCES: 'you may not read or write there',
  EPERM: 'you may not read or write there',
  EROFS: 'it lies on a disk that can only be read',
  ENOSPC: 'the disk is full',
  ENAMETOOLONG: 'its name is too long',
};

const reasonOf = (error: unknown): string => {
  const { code = '', message } = error as NodeJS.ErrnoException;
  return REASONS[code] ?? message;
};

const tooLarge = (file: string): CommandError =>
  new CommandError(`${file}: the file is larger than ${MOST_BYTES / 1024 / 1024} MB`);

/** Reads a file, or what comes through a pipe. @throws CommandError that names the file */
export function readBytes(file: string): Uint8Array {
  let opened: number | undefined;
  try {
    opened = openSync(file, 'r');
    const about = fstatSync(opened);
    if (about.isDirectory()) throw new CommandError(`${file}: this is a folder`);
    if (!about.isFile() && !about.isFIFO())
      throw new CommandError(`${file}: this is a device, which may never come to an end; name a file`);
    if (about.size > MOST_BYTES) throw tooLarge(file);
    return about.isFile() ? readFileSync(opened) : throughPipe(opened, file);
  } catch (error) {
    if (error instanceof CommandError) throw error;
    throw new CommandError(`${file}: ${reasonOf(error)}`);
  } finally {
    if (opened !== undefined) closeSync(opened);
  }
}

function throughPipe(opened: number, file: string): Uint8Array {
  const chunks: Buffer[] = [];
  let size = 0;
  for (;;) {
    const chunk = Buffer.alloc(64 * 1024);
    const length = readSync(opened, chunk);
    if (length === 0) return Buffer.concat(chunks);
    size += length;
    if (size > MOST_BYTES) throw tooLarge(file);
    chunks.push(chunk.subarray(0, length));
  }
}

/** Where a file lies, whatever it is called: two names of one file are the same place. */
function placeOf(file: string): string {
  try {
    const { dev, ino } = statSync(file);
    return `${dev} ${ino}`;
  } catch {
    // What is not there yet is known by its folder and name.
    try {
      return join(realpathSync(dirname(file)), basename(file));
    } catch {
      return resolve(file);
    }
  }
}

/**
 * Refuses to write over a file that is read, or over one that is written as well.
 * @throws CommandError that names both
 */
export function refuseSameFile(read: readonly string[], written: readonly string[]): void {
  const taken = new Map(read.map((file) => [placeOf(file), file]));
  for (const file of written) {
    const place = placeOf(file);
    const other = taken.get(place);
    if (other !== undefined)
      throw new CommandError(`${file} would be written over ${other === file ? 'itself' : other}; choose another name`);
    taken.set(place, file);
  }
}

export function writeFile(file: string, content: string | Uint8Array): void {
  try {
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, content);
  } catch (error) {
    throw new CommandError(`${file} cannot be written: ${reasonOf(error)}`);
  }
}
