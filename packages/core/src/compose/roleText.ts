import type { TextItem } from '../drawing';
import type { LetteringRole, OfficeStandard } from '../standard';
import { colourOf } from './layers';

/** Where a line of text stands and how long it is, in mm. */
interface Line {
  text: string;
  x: number;
  y: number;
  width: number;
}

/** A line of text set in a role as it is: upright, with the pen of the role. */
export const roleText = (
  { text, x, y, width }: Line,
  role: LetteringRole,
  on: Pick<TextItem, 'layer' | 'part' | 'cell'>,
  standard: OfficeStandard,
): TextItem => ({
  kind: 'text',
  text,
  at: { x, y },
  height: role.height,
  width,
  widthFactor: role.widthFactor,
  rotation: 0,
  typeface: role.typeface,
  role: role.id,
  ...colourOf(standard, role.pen),
  ...on,
});
