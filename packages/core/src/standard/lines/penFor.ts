import type { Pen } from './pens';

/** What lines of a title block are for, with their usual width in mm: of ISO 128's series (from memory). */
export const PEN_USES = { frame: 0.7, outline: 0.5, divider: 0.35, fine: 0.18, text: 0.25 } as const;
export type PenUse = keyof typeof PEN_USES;

/**
 * The pen for a use, among those that an office has: the one that ships for it, whatever its width is now; where the office has
 * deleted that one, the one whose width comes nearest.
 * @throws Error for a standard without pens, which none is
 */
export function penFor({ pens }: { pens: readonly Pen[] }, use: PenUse): Pen {
  const off = (pen: Pen): number => Math.abs(pen.width - PEN_USES[use]);
  const found = pens.find(({ id }) => id === use) ?? [...pens].sort((a, b) => off(a) - off(b))[0];
  if (!found) throw new Error('the office standard has no pens');
  return found;
}
