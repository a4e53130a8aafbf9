import type { Cell, Content } from '../../design';
import { turnedBox } from '../../drawing';
import type { Rect } from '../../geometry';
import type { Measures } from '../measures';
import type { SheetLayout } from '../sheetLayout';
import { boxKindOf } from './boxKinds';
import type { TextSetting } from './kind';
import type { TextContent } from './textKinds';
import { isText } from './textKinds';
import { layTexts, naturalText } from './texts';
import type { Shift } from './within';
import { shiftedRoom } from './within';

/** Room kept free along a cell's edges unless it says otherwise, in mm. */
export const DEFAULT_PADDING = 1.2;

/** The padding of a cell in mm. */
export function paddingOf(cell: Cell, measures: Measures): number {
  return cell.padding === undefined ? DEFAULT_PADDING : measures.length(cell.padding, () => `${cell.id}.padding`);
}

/** The contents of a cell whose conditions hold. */
export function shownContents(cell: Cell, measures: Measures): readonly Content[] {
  if (cell.contents.every((each) => each.when === undefined)) return cell.contents;
  return cell.contents.filter(
    (each) => each.when === undefined || measures.holds(each.when, () => `${cell.id}.${each.id}.when`),
  );
}

const lengthsOf =
  (cell: Cell, content: Content, measures: Measures) =>
  (text: string): number =>
    measures.length(text, () => `${cell.id}.${content.id}`);

/**
 * The least room a content asks for when its track is as large as its content, in mm.
 * @param room width the content may wrap at; Infinity when it is not known yet
 */
export function naturalSize(
  cell: Cell,
  content: Content,
  room: number,
  setting: TextSetting,
  measures: Measures,
): Extent {
  const length = lengthsOf(cell, content, measures);
  const own = isText(content)
    ? naturalText(content, setting, room)
    : onSides(boxKindOf(content).extent(content, { setting, length }), content.rotation);
  const shift = shiftOf(content, length);
  if (!shift) return own;
  // What stands in the middle needs its shift on both sides.
  const along = Math.abs(shift.along) * (content.horizontal === 'centre' ? 2 : 1);
  const up = Math.abs(shift.up) * (content.vertical === 'middle' ? 2 : 1);
  const upright = content.rotation % 180 === 0;
  return { width: own.width + (upright ? along : up), height: own.height + (upright ? up : along) };
}

type Extent = Pick<Rect, 'width' | 'height'>;

/** A level extent as it lies on paper when it is turned. */
const onSides = ({ width, height }: Extent, rotation: number): Extent =>
  rotation % 180 === 0 ? { width, height } : { width: height, height: width };

const shiftOf = ({ shift }: Content, length: (formula: string) => number): Shift | undefined =>
  shift && { along: length(shift.along), up: length(shift.up) };

/** Sets a cell's contents into it and adds them, with what was found, to the layout. */
export function layContents(cell: Cell, rect: Rect, setting: TextSetting, measures: Measures, into: SheetLayout): void {
  const padding = paddingOf(cell, measures);
  const inner: Rect = {
    x: rect.x + padding,
    y: rect.y + padding,
    width: Math.max(0, rect.width - 2 * padding),
    height: Math.max(0, rect.height - 2 * padding),
  };
  const contents = shownContents(cell, measures);
  for (const rotation of [0, 90, 180, 270] as const) {
    const texts = contents.filter(
      (each): each is TextContent => isText(each) && each.rotation === rotation && !each.shift,
    );
    if (texts.length > 0) layTexts(cell, texts, inner, rotation, setting, into);
  }
  for (const content of contents) {
    const length = lengthsOf(cell, content, measures);
    const shift = shiftOf(content, length);
    const own = shift ? withinCell(shiftedRoom(inner, shift, content), rect) : inner;
    if (isText(content)) {
      // A shifted text takes no room from the others; it keeps clear of what stands at the other end of the cell.
      if (shift) layTexts(cell, [content], own, content.rotation, setting, into, oppositeOf(content, contents));
      continue;
    }
    const level = (box: Rect): Rect => turnedBox(box, -content.rotation);
    const room = {
      cell,
      inner: level(own),
      whole: level(rect),
      unit: into.unit,
      setting,
      length,
      goingOn: into.goingOn,
    };
    const { placed, findings } = boxKindOf(content).lay(content, room);
    into.placed.push(placed);
    if (findings) into.findings.push(...findings);
  }
}

/** Texts at the bottom of a cell for one at its top, and the other way round. */
const oppositeOf = (content: TextContent, contents: readonly Content[]): TextContent[] =>
  contents.filter(
    (each): each is TextContent =>
      isText(each) &&
      !each.shift &&
      each.rotation === content.rotation &&
      content.vertical !== 'middle' &&
      each.vertical === (content.vertical === 'top' ? 'bottom' : 'top'),
  );

/** The part of a room that lies in its cell: a shift leads over the padding, but not out of the cell. */
function withinCell(room: Rect, cell: Rect): Rect {
  const span = (from: number, length: number, low: number, whole: number): [number, number] => {
    const start = Math.min(Math.max(from, low), low + whole);
    return [start, Math.max(0, Math.min(from + length, low + whole) - start)];
  };
  const [x, width] = span(room.x, room.width, cell.x, cell.width);
  const [y, height] = span(room.y, room.height, cell.y, cell.height);
  return { x, y, width, height };
}
