import { inflateSync } from 'node:zlib';
import { LegacyFileError } from '../../legacy/legacyFileError';

/** What all packed parts of a file may unpack to, in bytes. */
const MOST_UNPACKED = 512 * 1024 * 1024;
/** Characters of a part's description that are looked at, before its data. */
const DESCRIPTION = 4000;

const FLATE = ['FlateDecode', 'Fl'];
const RUNS = ['RunLengthDecode', 'RL'];
const LETTERS = ['ASCII85Decode', 'A85'];
const HEX = ['ASCIIHexDecode', 'AHx'];
/** Ways of packing that make data much smaller, with their short names (ISO 32000-1, 7.4 and 8.9.7). */
const PACKING = new Set([...FLATE, ...RUNS, 'LZWDecode', 'LZW']);

const TWICE = 'parts of this PDF file are packed twice, which no program does to a drawing';
const TOO_LARGE = `this PDF file unpacks to more than ${MOST_UNPACKED / 1024 / 1024} MB`;

/**
 * Refuses a file whose packed parts unpack to more than any drawing needs, before anything unpacks them for real. Names are
 * known in their long and short forms, with escapes, in lists and by reference.
 * @throws LegacyFileError
 */
export function refuseBombs(bytes: Uint8Array): void {
  const file = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let room = MOST_UNPACKED;
  let at = 0;
  for (;;) {
    at = file.indexOf('stream', at);
    if (at < 0) return;
    const start = at + 6 + (file[at + 6] === 13 ? 1 : 0) + (file[at + 6] === 10 || file[at + 7] === 10 ? 1 : 0);
    const filters = filtersOf(file, at);
    if (filters.filter((name) => PACKING.has(name)).length > 1) throw new LegacyFileError(TWICE);
    const end = file.indexOf('endstream', start);
    const data = file.subarray(start, end < 0 ? file.length : end);
    room -= unpackedSize(data, filters, room);
    if (room <= 0) throw new LegacyFileError(TOO_LARGE);
    at = start + data.length + (end < 0 ? 0 : 'endstream'.length);
  }
}

/** The names of a part's filters, in the order in which they are undone. */
function filtersOf(file: Buffer, stream: number): string[] {
  const before = file.toString('latin1', Math.max(0, stream - DESCRIPTION), stream);
  const description = unescaped(before.slice(before.lastIndexOf('obj') + 1));
  const found = /\/(?:Filter|F)\s*(\[[^\]]*\]|\/[^\s/<>[\]()]+|\d+\s+\d+\s+R)/.exec(description)?.[1] ?? '';
  const named = /^\d/.test(found) ? referred(file, found) : found;
  return [...named.matchAll(/\/([^\s/<>[\]()]+)/g)].map(([, name = '']) => name);
}

/** Names may be written with codes of their letters: /F#6cate. */
const unescaped = (text: string): string =>
  text.replace(/#([0-9a-f]{2})/gi, (_, code: string) => String.fromCharCode(Number.parseInt(code, 16)));

/** What stands in the object that is referred to; one that is packed itself is none of ours to find. */
function referred(file: Buffer, reference: string): string {
  const [number, generation] = reference.split(/\s+/);
  const at = file.indexOf(`${number} ${generation} obj`);
  if (at < 0) return '';
  const text = file.toString('latin1', at, at + 400);
  return unescaped(text.slice(text.indexOf('obj') + 3).split('endobj')[0] ?? '');
}

/** Bytes that a part unpacks to, or at least `room`. */
function unpackedSize(packed: Buffer, filters: readonly string[], room: number): number {
  let data = packed;
  for (const name of filters) {
    if (LETTERS.includes(name)) data = fromLetters(data);
    else if (HEX.includes(name)) data = fromHex(data);
    else if (RUNS.includes(name)) return runLength(data);
    else if (FLATE.includes(name)) return inflatedSize(data, room);
    // Pictures unpack to what their own size says, and LZW is left to the limits of the reading.
    else return data.length;
  }
  // Whatever its description says: what begins as packed data does is unpacked by lenient readers.
  return filters.length === 0 && data.length >= 64 && (data[0] ?? 0) % 16 === 8
    ? inflatedSize(data, room)
    : data.length;
}

function inflatedSize(data: Buffer, room: number): number {
  try {
    return inflateSync(data, { maxOutputLength: Math.max(1, room) }).length;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'ERR_BUFFER_TOO_LARGE' ? room : data.length;
  }
}

/** Each run is a length below 128 with one byte more than it says, or one above with a byte that is repeated. */
function runLength(data: Buffer): number {
  let size = 0;
  for (let i = 0; i < data.length;) {
    const length = data[i] ?? 128;
    if (length === 128) break;
    size += length < 128 ? length + 1 : 257 - length;
    i += length < 128 ? length + 2 : 2;
  }
  return size;
}

const fromHex = (data: Buffer): Buffer => Buffer.from(data.toString('latin1').replace(/[^0-9a-f]/gi, ''), 'hex');

/** Five letters from ! to u are four bytes; z is four bytes of nothing (ISO 32000-1, 7.4.3). */
function fromLetters(data: Buffer): Buffer {
  const out = Buffer.alloc(data.length * 4);
  let [size, value, count] = [0, 0, 0];
  for (const code of data) {
    if (code === 0x7e) break;
    if (code === 0x7a && count === 0) size += 4;
    else if (code >= 0x21 && code <= 0x75) {
      value = value * 85 + code - 0x21;
      if (++count < 5) continue;
      out.writeUInt32BE(value % 0x1_0000_0000, size);
      [size, value, count] = [size + 4, 0, 0];
    }
  }
  if (count > 1) {
    for (let i = count; i < 5; i++) value = value * 85 + 84;
    out.writeUInt32BE(value % 0x1_0000_0000, size);
    size += count - 1;
  }
  return out.subarray(0, size);
}
