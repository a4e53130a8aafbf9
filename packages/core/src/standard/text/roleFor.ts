import type { LetteringRole } from './lettering';

/**
 * Heights of capitals in mm that texts of a use have on most construction drawings: common practice, of the series of
 * ISO 3098 (from memory) but for captions.
 */
export const USUAL_HEIGHTS: Readonly<Record<LetteringRole['use'], number>> = {
  caption: 2,
  value: 3.5,
  title: 5,
  number: 10,
  notes: 2.5,
  zone: 3.5,
};

/**
 * The lettering role for a use, among those that an office has: one of the unit before one of the other, a near height before
 * one further off. Where the office has none for the use, any role but those of zone marks that comes nearest.
 * @param height the height that is wanted, in mm
 * @throws Error for a standard without roles, which none is
 */
export function roleFor(
  { roles }: { roles: readonly LetteringRole[] },
  use: LetteringRole['use'],
  unit: LetteringRole['unit'],
  height: number = USUAL_HEIGHTS[use],
): LetteringRole {
  const off = (role: LetteringRole): number => Math.max(role.height / height, height / role.height);
  const rank = (role: LetteringRole): number =>
    (role.use === use ? 0 : role.use === 'zone' ? 4 : 2) + (role.unit === unit ? 0 : 1);
  const [best] = [...roles].sort((a, b) => rank(a) - rank(b) || off(a) - off(b));
  if (!best) throw new Error('the office standard has no lettering roles');
  return best;
}
