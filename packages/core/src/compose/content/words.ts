import type { TextItem } from '../../drawing';
import type { LetteringRole, OfficeStandard } from '../../standard';
import { layerName } from '../layers';
import { roleText } from '../roleText';

/** Words that stand beside a drawn mark, on the layer of captions. */
export const wordsItem = (
  line: { text: string; x: number; y: number; width: number },
  role: LetteringRole,
  cell: string,
  standard: OfficeStandard,
): TextItem => roleText(line, role, { part: 'block', cell, layer: layerName(standard, 'captions') }, standard);
