import { createHash } from 'node:crypto';
import { wholePiece } from '@mendrel/contract';
import { FirstPicture } from './firstPicture';

const PACKED = new Uint8Array([1, 2, 3]);
const SHA256 = createHash('sha256').update(PACKED).digest('hex');
const PIECE = wholePiece({ box: { x: 0, y: 0, width: 200, height: 100 } }, { typeface: 'Barlow' });
const DRAWN = { markup: '<path/>', typefaces: [] };

test('a picture that was begun is given once, and only for the piece that it shows', async () => {
  const first = new FirstPicture();
  first.begin(PACKED, PIECE, () => Promise.resolve(DRAWN));
  expect(first.take(SHA256, { ...PIECE, hidden: ['walls'] })).toBeUndefined();
  expect(first.take('0'.repeat(64), PIECE)).toBeUndefined();
  expect(await first.take(SHA256, PIECE)).toBe(DRAWN);
  expect(first.take(SHA256, PIECE)).toBeUndefined();
});

test('one that fails is told to whoever asks for it', async () => {
  const first = new FirstPicture();
  first.begin(PACKED, PIECE, () => Promise.reject(new Error('no room')));
  await expect(first.take(SHA256, PIECE)).rejects.toThrow('no room');
});

test('what nobody asks for is not kept', () => {
  vi.useFakeTimers();
  const first = new FirstPicture();
  first.begin(PACKED, PIECE, () => Promise.resolve(DRAWN));
  vi.advanceTimersByTime(60_000);
  expect(first.take(SHA256, PIECE)).toBeUndefined();
  vi.useRealTimers();
});

test('the whole of a drawing fits into the picture, with room around', () => {
  expect(PIECE.width).toBeCloseTo(560, 9);
  expect(PIECE.height).toBeLessThanOrEqual(380);
  expect(PIECE.from).toEqual({ x: -4, y: -4 });
  expect(PIECE.width / PIECE.perUnit).toBeCloseTo(208, 9);
});
