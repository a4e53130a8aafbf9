import type { Content } from '../design';
import { DEFAULT_PADDING } from '../layout';
import { linesHeight } from '../lettering';
import type { LetteringRole } from '../standard';
import type { LegacyText } from './legacyText';
import { placeInCell } from './textPlaces';
import type { Rect } from '../geometry';

/** A length in mm as a design writes it, to the tenth of a millimetre: old drawings are drawn no more exactly. */
export const inTenths = (mm: number): string => `${Math.round(mm * 10) / 10} mm`;

/** The shift of what stands off its place, as a part of a content. */
export const shiftFrom = (along: number, up: number): Required<Pick<Content, 'shift'>> => ({
  shift: { along: inTenths(along), up: inTenths(up) },
});

/** Where a text goes that keeps its distance from the left edge of its cell and from the middle, as the picture in it does. */
export function besidePicture(
  text: LegacyText,
  lines: number,
  face: Rect,
  { height, lineSpacing }: LetteringRole,
): Pick<Content, 'horizontal' | 'vertical' | 'shift'> {
  const { along, up, height: room } = placeInCell(text, face);
  const middle = up + height - linesHeight(lines, height, lineSpacing) / 2;
  return { horizontal: 'left', vertical: 'middle', ...shiftFrom(along - DEFAULT_PADDING, middle - room / 2) };
}
