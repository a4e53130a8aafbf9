import type { AnchoredPoint, Design, Loose, OfficeStandard } from '@mendrel/core';
import { AREA_ANCHOR, FRAME_ANCHOR, penFor, roleFor, SHEET_ANCHOR } from '@mendrel/core';

/** A new free line, rectangle, stamp or picture where it is seen; where it hangs is changed afterwards. */
export function newLoose(kind: Loose['kind'], id: string, design: Design, standard: OfficeStandard): Loose {
  const [near, far] = design.unit === 'mm' ? ['10 mm', '60 mm'] : ['1/2 in', '3 in'];
  const at = (of: string, anchor: AnchoredPoint['anchor'], x: string, y: string): AnchoredPoint => ({
    of,
    anchor,
    x,
    y,
  });
  switch (kind) {
    case 'line':
    case 'rectangle':
      return {
        id,
        kind,
        pen: penFor(standard, 'fine').id,
        from: at(FRAME_ANCHOR, 'lower-left', near, near),
        to: at(FRAME_ANCHOR, 'lower-left', far, kind === 'line' ? near : far),
      };
    case 'stamp':
      return {
        id,
        kind,
        pattern: 'NOT FOR CONSTRUCTION',
        role: roleFor(standard, 'number', design.unit).id,
        angle: 30,
        boxed: true,
        at: at(AREA_ANCHOR, 'centre', '0', '0'),
      };
    case 'picture':
      return {
        id,
        kind,
        name: '',
        width: 100,
        height: 100,
        linework: [],
        size: 'sheet',
        at: at(SHEET_ANCHOR, 'lower-left', '0', '0'),
        under: true,
      };
  }
}
