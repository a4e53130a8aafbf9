import type { Typeface } from '../../lettering';
import type { LetteringRole } from '../../standard';

/** What a text is lettered with. */
export interface Lettering {
  role: LetteringRole;
  typeface: Typeface;
}

/**
 * Room under the base line of a text's last line, in mm: padding is kept from the tops of the capitals and from the
 * ends of the descenders, so that both ends of a text stand as far from the cell's lines. Capitals have none.
 */
export const descenders = ({ role, typeface }: Lettering, height: number): number =>
  role.capitals ? 0 : (typeface.descent / typeface.capHeight) * height;
