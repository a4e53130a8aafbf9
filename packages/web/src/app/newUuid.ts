/**
 * A random UUID (RFC 9562, version 4). The browser's own maker of them is there on secure pages only, and an office may open
 * Mendrel by plain HTTP in its network.
 */
export function newUuid(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  const [version, variant] = [bytes[6] ?? 0, bytes[8] ?? 0];
  bytes[6] = (version & 0x0f) | 0x40;
  bytes[8] = (variant & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}
