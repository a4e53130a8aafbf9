import type { Cell, Content } from '../../design';
import type { Rect } from '../../geometry';
import type { Measures } from '../measures';
import type { SheetLayout } from '../sheetLayout';
import { boxKindOf } from './boxKinds';
import type { TextSetting } from './kind';
import type { TextContent } from './textKinds';
import { isText } from './textKinds';
import { layTexts, naturalText } from './texts';

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
): { width: number; height: number } {
  if (isText(content)) return naturalText(content, setting, room);
  return boxKindOf(content).extent(content, { setting, length: lengthsOf(cell, content, measures) });
}

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
    const texts = contents.filter((each): each is TextContent => isText(each) && each.rotation === rotation);
    if (texts.length > 0) layTexts(cell, texts, inner, rotation, setting, into);
  }
  for (const content of contents) {
    if (isText(content)) continue;
    const length = lengthsOf(cell, content, measures);
    const room = { cell, inner, whole: rect, unit: into.unit, setting, length };
    const { placed, findings } = boxKindOf(content).lay(content, room);
    into.placed.push(placed);
    if (findings) into.findings.push(...findings);
  }
}
