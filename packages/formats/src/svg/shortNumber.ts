/** Parts of a millimetre that numbers are written to. */
const PARTS = 10_000;
/** Up to here a number of parts is exact, and its whole and its rest are small enough to be taken apart. */
const MOST = 1e9;

/** What stands after the whole of a number, by its ten-thousandths: nothing, or a point and digits without zeros at the end. */
const RESTS = Array.from({ length: PARTS }, (_, parts) =>
  parts === 0 ? '' : `.${String(parts).padStart(4, '0').replace(/0+$/, '')}`,
);

/**
 * A number to four decimals, without zeros at the end. Of a plan hundreds of thousands are written, and a number with decimals takes
 * several times as long to put into words as the whole of it and a rest that is looked up.
 */
export function shortNumber(value: number): string {
  const parts = Math.round(value * PARTS);
  const size = Math.abs(parts);
  if (!(size < MOST * PARTS)) return String(parts / PARTS);
  const whole = Math.floor(size / PARTS);
  const text = String(whole) + (RESTS[size - whole * PARTS] ?? '');
  return parts < 0 ? `-${text}` : text;
}
