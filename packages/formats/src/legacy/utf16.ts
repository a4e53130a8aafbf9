/** Bytes at the start of a file by which UTF-16 without a mark is known. */
const LOOKED_AT = 64;

/** The name of the encoding of a file in UTF-16; undefined for any other. */
function utf16Of(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | undefined {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  // Drawings begin with ASCII, of which every second byte is nothing in UTF-16.
  const head = bytes.subarray(0, LOOKED_AT);
  if (head.length < 8) return undefined;
  const nothing = (from: number): boolean => {
    for (let i = from; i + 1 < head.length; i += 2) if (head[i] !== 0) return false;
    return true;
  };
  const text = (from: number): boolean => {
    for (let i = from; i + 1 < head.length; i += 2) if ((head[i] ?? 0) < 9 || (head[i] ?? 0) > 126) return false;
    return true;
  };
  if (nothing(1) && text(0)) return 'utf-16le';
  return nothing(0) && text(1) ? 'utf-16be' : undefined;
}

/** A file in UTF-16 as UTF-8; any other as it is. */
export function asUtf8(bytes: Uint8Array): Uint8Array {
  const encoding = utf16Of(bytes);
  return encoding ? new TextEncoder().encode(new TextDecoder(encoding).decode(bytes)) : bytes;
}
