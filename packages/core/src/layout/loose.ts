import type { Finding } from '../check';
import type { Anchor, AnchoredPoint, AnyPicture, Design, Loose } from '../design';
import { AREA_ANCHOR, FRAME_ANCHOR, SHEET_ANCHOR } from '../design';
import type { Point, Rect } from '../geometry';
import { fillPattern } from '../parameter';
import { LayoutError } from './measures';
import { OTHER_REVISION } from './missingPens';
import type { SheetLayout } from './sheetLayout';
import type { Solving } from './solving';
import { croppedSize } from './content/crop';
import { filled, unfilled } from './content/filledPicture';
import { missingLetters } from './content/missingLetters';
import { within } from './content/within';

/** One of the nine points of a rectangle. */
export function anchorPoint(rect: Rect, anchor: Anchor): Point {
  const across = anchor.endsWith('left') ? 0 : anchor.endsWith('right') ? 1 : 0.5;
  const up = anchor.startsWith('upper') ? 1 : anchor.startsWith('lower') ? 0 : 0.5;
  return { x: rect.x + across * rect.width, y: rect.y + up * rect.height };
}

const sheetOf = ({ sheet: { width, height } }: SheetLayout): Rect => ({ x: 0, y: 0, width, height });

/** The rectangle that a point may hang on: the sheet, the frame, the drawing area, a panel or a cell. Undefined where it is left out. */
export function anchorOf(layout: SheetLayout, of: string): Rect | undefined {
  if (of === FRAME_ANCHOR) return layout.frame;
  if (of === AREA_ANCHOR) return layout.drawingArea;
  if (of === SHEET_ANCHOR) return sheetOf(layout);
  if (layout.hidden.has(of)) return undefined;
  return layout.panels.find((panel) => panel.id === of) ?? layout.cells.find((cell) => cell.id === of);
}

const isEmpty = ({ parameter, image, linework }: AnyPicture): boolean =>
  parameter === undefined && !image && linework.length === 0;

const NO_PICTURE: Finding = {
  kind: 'missing',
  weight: 'gap',
  message: 'a picture on the sheet has no file yet',
  where: {},
  mend: 'choose its file, or remove it',
};

/** Where a picture lies on the sheet: at its own size by one of its points, or in the middle as large as goes in. */
function placeOf(picture: Extract<Loose, { kind: 'picture' }>, point: Point, layout: SheetLayout): Rect {
  const { size, at } = picture;
  const { width, height } = croppedSize(picture);
  if (size === 'own') {
    const corner = anchorPoint({ x: 0, y: 0, width, height }, at.anchor);
    return { x: point.x - corner.x, y: point.y - corner.y, width, height };
  }
  const room = size === 'frame' ? layout.frame : sheetOf(layout);
  const scale = Math.min(room.width / width, room.height / height);
  return within(room, { width: width * scale, height: height * scale }, { horizontal: 'centre', vertical: 'middle' });
}

/** Places free lines, rectangles, stamps and pictures. What hangs on something that is left out is left out with it. */
export function layLoose(design: Design, { measures, setting, layout }: Solving): void {
  const known = (of: string): boolean =>
    design.panels.some((panel) => panel.id === of) || layout.cells.some((cell) => cell.id === of);
  for (const loose of design.loose ?? []) {
    if (loose.when !== undefined && !measures.holds(loose.when, () => `${loose.id}.when`)) continue;
    const point = (at: AnchoredPoint): Point | undefined => {
      const rect = anchorOf(layout, at.of);
      if (!rect && !known(at.of) && !layout.hidden.has(at.of)) {
        throw new LayoutError(loose.id, `it hangs on "${at.of}", which is not in the design`);
      }
      if (!rect) return undefined;
      const from = anchorPoint(rect, at.anchor);
      const offset = (text: string, axis: string): number => measures.length(text, () => `${loose.id}.${axis}`);
      return { x: from.x + offset(at.x, 'x'), y: from.y + offset(at.y, 'y') };
    };
    if (loose.kind === 'picture') {
      const at = point(loose.at);
      if (!at) continue;
      const picture = filled(loose, setting.values);
      layout.loose.push({ kind: 'picture', loose: picture, place: placeOf(picture, at, layout) });
      layout.findings.push(...(isEmpty(picture) ? [NO_PICTURE] : unfilled(picture, {}, setting)));
      continue;
    }
    if (loose.kind === 'stamp') {
      const at = point(loose.at);
      const { text } = fillPattern(loose.pattern, setting.values);
      if (!at || text === '') continue;
      layout.loose.push({ kind: 'stamp', loose, at, text });
      const role = setting.standard.roles.find(({ id }) => id === loose.role);
      if (role) {
        const typeface = setting.typefaces.get(role.typeface);
        if (typeface) layout.findings.push(...missingLetters(text, role, typeface, {}));
        continue;
      }
      layout.findings.push({
        kind: 'unknown',
        weight: 'error',
        message: `this revision of the office standard has no lettering role “${loose.role}”, so the stamp “${text}” is left out`,
        where: { role: loose.role },
        mend: OTHER_REVISION,
      });
      continue;
    }
    const [from, to] = [point(loose.from), point(loose.to)];
    if (from && to) layout.loose.push({ kind: loose.kind, loose, from, to });
  }
}
