import type { TextItem } from '../../drawing';
import type { LetteringRole, OfficeStandard } from '../../standard';
import { colourOf, layerName } from '../layers';

/** Words that stand beside a drawn mark, on the layer of captions. */
export const wordsItem = (
  { text, x, y, width }: { text: string; x: number; y: number; width: number },
  role: LetteringRole,
  cell: string,
  standard: OfficeStandard,
): TextItem => ({
  kind: 'text',
  part: 'block',
  cell,
  text,
  at: { x, y },
  height: role.height,
  width,
  widthFactor: role.widthFactor,
  rotation: 0,
  typeface: role.typeface,
  role: role.id,
  ...colourOf(standard, role.pen),
  layer: layerName(standard, 'captions'),
});
