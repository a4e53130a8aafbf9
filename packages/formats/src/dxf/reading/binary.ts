import { DxfError } from './tokens';

/** What a DXF file of the binary kind begins with, after the seven letters of a program's name. */
const SIGN = ' Binary DXF\r\n\u001a\u0000';
const SIGN_AT = 7;

/** Whether a file is DXF of the binary kind. */
export function isBinaryDxf(bytes: Uint8Array): boolean {
  for (let i = 0; i < SIGN.length; i++) if (bytes[SIGN_AT + i] !== SIGN.charCodeAt(i)) return false;
  return true;
}

type Kind = 'text' | 'double' | 'int16' | 'int32' | 'int64' | 'byte' | 'chunk';

/** How the values of group codes are stored, up to and with each code; DXF reference, group code value types. */
const KINDS: readonly (readonly [number, Kind])[] = [
  [9, 'text'],
  [59, 'double'],
  [79, 'int16'],
  [89, 'text'],
  [99, 'int32'],
  [109, 'text'],
  [149, 'double'],
  [159, 'text'],
  [169, 'int64'],
  [179, 'int16'],
  [209, 'text'],
  [239, 'double'],
  [269, 'text'],
  [289, 'int16'],
  [299, 'byte'],
  [309, 'text'],
  [319, 'chunk'],
  [369, 'text'],
  [389, 'int16'],
  [399, 'text'],
  [409, 'int16'],
  [419, 'text'],
  [429, 'int32'],
  [439, 'text'],
  [459, 'int32'],
  [469, 'double'],
  [1003, 'text'],
  [1004, 'chunk'],
  [1009, 'text'],
  [1059, 'double'],
  [1070, 'int16'],
  [1071, 'int32'],
];

const kindOf = (code: number): Kind => KINDS.find(([last]) => code <= last)?.[1] ?? 'text';

/**
 * The same file as text DXF: each pair takes two lines, so that line numbers count pairs. Texts stay in the encoding they
 * were stored in.
 * @throws DxfError when the file ends in the middle of a value
 */
export function textOfBinary(bytes: Uint8Array): Uint8Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let at = SIGN_AT + SIGN.length;
  let pairs = 0;
  // Up to Release 12 a code takes one byte; the first code is that of the first section, 0.
  const short = bytes[at] === 0 && bytes[at + 1] !== 0;
  const out: Uint8Array[] = [];
  let block = new Uint8Array(1 << 16);
  let used = 0;
  const put = (from: Uint8Array): void => {
    if (used + from.length > block.length) {
      out.push(block.subarray(0, used));
      block = new Uint8Array(Math.max(1 << 16, from.length));
      used = 0;
    }
    block.set(from, used);
    used += from.length;
  };
  const encoder = new TextEncoder();
  const cutOff = (): DxfError => new DxfError(2 * pairs + 1, 'the binary file is cut off in the middle of a value');
  const take = (length: number): number => {
    if (at + length > bytes.length) throw cutOff();
    at += length;
    return at - length;
  };
  while (at < bytes.length) {
    let code = short ? (bytes[take(1)] ?? 0) : view.getInt16(take(2), true);
    if (short && code === 255) code = view.getInt16(take(2), true);
    put(encoder.encode(`${code}\n`));
    const kind = kindOf(code);
    if (kind === 'text') {
      const end = bytes.indexOf(0, at);
      if (end < 0) throw cutOff();
      put(bytes.subarray(at, end).map((byte) => (byte === 10 || byte === 13 ? 32 : byte)));
      at = end + 1;
    } else if (kind === 'chunk') take(bytes[take(1)] ?? 0);
    else {
      const value = {
        double: () => view.getFloat64(take(8), true),
        int16: () => view.getInt16(take(2), true),
        int32: () => view.getInt32(take(4), true),
        int64: () => view.getBigInt64(take(8), true),
        byte: () => view.getUint8(take(1)),
      }[kind]();
      put(encoder.encode(String(value)));
    }
    put(encoder.encode('\n'));
    pairs++;
  }
  out.push(block.subarray(0, used));
  const whole = new Uint8Array(out.reduce((sum, part) => sum + part.length, 0));
  let filled = 0;
  for (const part of out) {
    whole.set(part, filled);
    filled += part.length;
  }
  return whole;
}
