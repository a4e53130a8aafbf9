import type { Finding } from '../check';
import type { Cell, Content, Field, Caption, Picture, TableContent } from '../design';
import { cellLabel } from '../design';
import type { Rect } from '../geometry';
import type { FittedText } from '../lettering';
import { fitText, linesHeight, textWidth } from '../lettering';
import type { Parameters, Values } from '../parameter';
import { fillPattern } from '../parameter';
import type { LetteringRole, OfficeStandard } from '../standard';
import { parametersOf } from '../standard';
import type { Typeface, Typefaces } from '../lettering';
import type { SheetLayout, TextLayout } from './sheetLayout';
import { isText } from './sheetLayout';

/** Room kept free along a cell's edges unless it says otherwise, in mm. */
export const DEFAULT_PADDING = 1.2;
/** Least distance between a text at the top of a cell and one at its bottom, in mm. */
const STACK_GAP = 0.7;
/** Distance between texts of one stack as a part of the lower one's height: that of lines at ISO 3098's spacing. */
const LINE_GAP = 0.5;

/**
 * Room that a text at the bottom of a cell needs under its base line beyond the padding, so that descenders never
 * touch the cell's line.
 */
const descenderRoom = (typeface: Typeface, height: number, padding: number): number =>
  Math.max(0, (typeface.descent / typeface.capHeight) * height - padding);

/** What setting text needs to know. */
export interface TextSetting {
  standard: OfficeStandard;
  typefaces: Typefaces;
  values: Values;
}

type TextContent = Caption | Field;

export class UnknownLetteringError extends Error {
  override name = 'UnknownLetteringError';
}

/** The role and the typeface of a text. @throws UnknownLetteringError when the standard has no such role or typeface */
function letteringOf(setting: TextSetting, id: string): { role: LetteringRole; typeface: Typeface } {
  const role = setting.standard.roles.find((each) => each.id === id);
  if (!role) throw new UnknownLetteringError(`the office standard has no lettering role "${id}"`);
  const typeface = setting.typefaces.get(role.typeface);
  if (!typeface) throw new UnknownLetteringError(`the typeface "${role.typeface}" is not there`);
  return { role, typeface };
}

/** The words of a text for the values in hand. */
function wordsOf(content: TextContent, values: Values): { text: string; missing: string[] } {
  return content.kind === 'caption' ? { text: content.text, missing: [] } : fillPattern(content.pattern, values);
}

/** The least room a content asks for when its track is as large as its content, in mm. */
export function naturalSize(
  content: Content,
  setting: TextSetting,
  length: (text: string) => number,
): { width: number; height: number } {
  if (content.kind === 'picture') return { width: content.width, height: content.height };
  if (content.kind === 'table') return tableExtent(content, length);
  const { role, typeface } = letteringOf(setting, content.role);
  const lines = wordsOf(content, setting.values).text.split('\n');
  const width = Math.max(0, ...lines.map((line) => textWidth(typeface, line, role.height, role.widthFactor)));
  const height = linesHeight(lines.length, role.height, role.lineSpacing);
  return content.rotation % 180 === 0 ? { width, height } : { width: height, height: width };
}

export function tableExtent(table: TableContent, length: (text: string) => number): { width: number; height: number } {
  let width = 0;
  for (const column of table.columns) width += length(column.width);
  return { width, height: (table.rows + 1) * length(table.rowHeight) };
}

interface SetText {
  content: TextContent;
  role: LetteringRole;
  typeface: Typeface;
  fitted: FittedText;
  words: string;
}

/** Sets a cell's contents into it and adds them, with what was found, to the layout. */
export function layCellContents(
  cell: Cell,
  rect: Rect,
  padding: number,
  setting: TextSetting,
  length: (text: string, where: () => string) => number,
  into: SheetLayout,
): void {
  const inner: Rect = {
    x: rect.x + padding,
    y: rect.y + padding,
    width: Math.max(0, rect.width - 2 * padding),
    height: Math.max(0, rect.height - 2 * padding),
  };
  for (const rotation of [0, 90, 180, 270] as const) {
    const texts = cell.contents.filter((each): each is TextContent => isText(each) && each.rotation === rotation);
    if (texts.length > 0) laySameWay(cell, texts, inner, padding, rotation, setting, into);
  }
  for (const content of cell.contents) {
    if (content.kind === 'picture') layPicture(cell, content, inner, into);
    else if (content.kind === 'table') layTable(cell, content, rect, length, into);
  }
}

/** Texts that read the same way share a cell's room: captions first, then what comes from data in what is left. */
function laySameWay(
  cell: Cell,
  texts: readonly TextContent[],
  inner: Rect,
  padding: number,
  rotation: 0 | 90 | 180 | 270,
  setting: TextSetting,
  into: SheetLayout,
): void {
  const upright = rotation % 180 === 0;
  const [across, up] = upright ? [inner.width, inner.height] : [inner.height, inner.width];
  const set: SetText[] = [];
  for (const content of [...texts].sort((a, b) => rank(a) - rank(b))) {
    const { role, typeface } = letteringOf(setting, content.role);
    const { text, missing } = wordsOf(content, setting.values);
    let taken = 0;
    for (const other of texts) {
      if (other === content || other.horizontal !== content.horizontal) continue;
      const done = set.find((each) => each.content === other);
      const words = done?.words ?? wordsOf(other, setting.values).text;
      if (words === '') continue;
      const height = done
        ? linesHeight(done.fitted.lines.length, done.fitted.height, done.role.lineSpacing)
        : letteringOf(setting, other.role).role.height;
      const near = other.vertical === content.vertical;
      taken += height + (near ? Math.max(STACK_GAP, LINE_GAP * Math.min(height, role.height)) : STACK_GAP);
    }
    if (content.kind === 'field') noteMissing(cell, content, missing, parametersOf(setting.standard), into.findings);
    // A field without a value keeps its place, so that programs which read the sheet can fill it.
    if (text === '' && content.kind === 'caption') continue;
    const below = content.vertical === 'bottom' ? descenderRoom(typeface, role.height, padding) : 0;
    const room = { width: across, height: Math.max(0, up - taken - below) };
    const fitted =
      text === ''
        ? { lines: [''], height: role.height, widthFactor: role.widthFactor, width: 0, fit: 'fits' as const, by: 0 }
        : fitText(text, role, typeface, room, content.fit, setting.standard.heights);
    set.push({ content, role, typeface, fitted, words: text });
  }
  set.sort((a, b) => texts.indexOf(a.content) - texts.indexOf(b.content));

  const stacks: Record<TextContent['vertical'], SetText[]> = { top: [], middle: [], bottom: [] };
  for (const each of set) stacks[each.content.vertical].push(each);
  const heightOf = (each: SetText): number =>
    linesHeight(each.fitted.lines.length, each.fitted.height, each.role.lineSpacing);
  const gapOver = (lower: SetText | undefined): number =>
    lower ? Math.max(STACK_GAP, LINE_GAP * lower.fitted.height) : 0;
  const total = (stack: readonly SetText[]): number =>
    stack.reduce((sum, each, i) => sum + heightOf(each) + (i > 0 ? gapOver(each) : 0), 0);

  // One base line for the whole stack at the bottom, set by the deepest descenders among its last lines.
  const lift = stacks.bottom.reduce(
    (most, each) => Math.max(most, descenderRoom(each.typeface, each.fitted.height, padding)),
    0,
  );
  const starts = { top: up, middle: (up + total(stacks.middle)) / 2, bottom: lift + total(stacks.bottom) };
  for (const place of ['top', 'middle', 'bottom'] as const) {
    // Texts with different horizontal places stand side by side, so each of the three keeps its own height.
    const at = { left: starts[place], centre: starts[place], right: starts[place] };
    const shared = new Set(stacks[place].map((each) => each.content.horizontal)).size > 1;
    for (const [i, each] of stacks[place].entries()) {
      const { horizontal } = each.content;
      if (shared) {
        const own = stacks[place].filter((other) => other.content.horizontal === horizontal);
        if (own[0] === each && place === 'bottom') at[horizontal] = lift + total(own);
        if (own[0] === each && place === 'middle') at[horizontal] = (up + total(own)) / 2;
      }
      placeText(cell, each, at[horizontal], across, inner, rotation, into);
      const next = stacks[place].slice(i + 1).find((other) => other.content.horizontal === horizontal);
      at[horizontal] -= heightOf(each) + gapOver(next);
    }
  }
}

const rank = (content: TextContent): number => (content.kind === 'caption' ? 0 : 1);

function placeText(
  cell: Cell,
  { content, role, typeface, fitted, words }: SetText,
  topAt: number,
  across: number,
  inner: Rect,
  rotation: 0 | 90 | 180 | 270,
  into: SheetLayout,
): void {
  const lines: TextLayout['lines'] = fitted.lines.map((line, i) => {
    const width = textWidth(typeface, line, fitted.height, fitted.widthFactor);
    const along =
      content.horizontal === 'left' ? 0 : content.horizontal === 'right' ? across - width : (across - width) / 2;
    const above = topAt - fitted.height - i * fitted.height * role.lineSpacing;
    return { text: line, ...onPaper(inner, rotation, along, above), width };
  });
  const last = lines[lines.length - 1] ?? { x: inner.x, y: inner.y };
  const text: TextLayout = {
    content: content.id,
    cell: cell.id,
    kind: content.kind,
    text: words,
    role: role.id,
    x: last.x,
    y: last.y,
    height: fitted.height,
    width: fitted.width,
    widthFactor: fitted.widthFactor,
    rotation,
    lines,
    fit: fitted.fit,
    by: fitted.by,
  };
  if (content.kind === 'field') text.pattern = content.pattern;
  into.texts.push(text);
  noteFit(cell, content, text, role, into.findings);
}

/** Turns a place in reading direction (along the line, up from the bottom) into a place on paper. */
function onPaper(inner: Rect, rotation: 0 | 90 | 180 | 270, along: number, above: number): { x: number; y: number } {
  switch (rotation) {
    case 0:
      return { x: inner.x + along, y: inner.y + above };
    case 90:
      return { x: inner.x + inner.width - above, y: inner.y + along };
    case 180:
      return { x: inner.x + inner.width - along, y: inner.y + inner.height - above };
    case 270:
      return { x: inner.x + above, y: inner.y + inner.height - along };
  }
}

function noteMissing(
  cell: Cell,
  content: Field,
  missing: readonly string[],
  parameters: Parameters,
  findings: Finding[],
): void {
  for (const key of missing) {
    const parameter = parameters.get(key);
    // What is computed is blank for good reason: a sheet without views has no scale.
    if (parameter?.computed) continue;
    findings.push(
      parameter
        ? {
            kind: 'missing',
            weight: 'gap',
            message: `${parameter.name} is missing`,
            where: { cell: cell.id, content: content.id, parameter: key },
          }
        : {
            kind: 'unknown',
            weight: 'gap',
            message: `there is no parameter {${key}}`,
            where: { cell: cell.id, content: content.id, parameter: key },
          },
    );
  }
}

const millimetres = (value: number): string => `${value.toFixed(1)} mm`;

function noteFit(cell: Cell, content: TextContent, text: TextLayout, role: LetteringRole, findings: Finding[]): void {
  if (text.fit === 'fits' || text.fit === 'wrapped') return;
  const where = { cell: cell.id, content: content.id };
  const words = text.text.length > 40 ? `${text.text.slice(0, 38)}…` : text.text;
  if (text.fit === 'spills') {
    findings.push({
      kind: 'spill',
      weight: 'error',
      message: `“${words}” spills out of ${cellLabel(cell)} by ${millimetres(text.by)}`,
      where,
      by: text.by,
      mend: `make the cell ${millimetres(Math.ceil(text.by * 10) / 10)} larger, let the text wrap, condense or step down, or shorten it`,
    });
  } else if (text.fit === 'condensed') {
    const part = Math.round((text.widthFactor / role.widthFactor) * 100);
    findings.push({ kind: 'condensed', weight: 'note', message: `“${words}” is condensed to ${part} %`, where });
  } else {
    findings.push({
      kind: 'stepped',
      weight: 'note',
      message: `“${words}” steps down from ${millimetres(role.height)} to ${millimetres(text.height)}`,
      where,
    });
  }
}

function layPicture(cell: Cell, picture: Picture, inner: Rect, into: SheetLayout): void {
  const scale = Math.min(1, inner.width / picture.width, inner.height / picture.height);
  const [width, height] = [picture.width * scale, picture.height * scale];
  const x = { left: 0, centre: 0.5, right: 1 }[picture.horizontal] * (inner.width - width);
  const y = { bottom: 0, middle: 0.5, top: 1 }[picture.vertical] * (inner.height - height);
  into.pictures.push({ cell: cell.id, picture, x: inner.x + x, y: inner.y + y, width, height });
}

function layTable(
  cell: Cell,
  table: TableContent,
  rect: Rect,
  length: (text: string, where: () => string) => number,
  into: SheetLayout,
): void {
  const at = (): string => `${cell.id}.${table.id}`;
  const columns = table.columns.map((column) => length(column.width, at));
  const rowHeight = length(table.rowHeight, at);
  const width = columns.reduce((sum, each) => sum + each, 0);
  const height = (table.rows + 1) * rowHeight;
  const x = rect.x + { left: 0, centre: 0.5, right: 1 }[table.horizontal] * (rect.width - width);
  const y = rect.y + { bottom: 0, middle: 0.5, top: 1 }[table.vertical] * (rect.height - height);
  into.tables.push({ cell: cell.id, table, x, y, width, height, columns, rowHeight });
  const over = Math.max(width - rect.width, height - rect.height);
  if (over > 0.01) {
    into.findings.push({
      kind: 'spill',
      weight: 'error',
      message: `the table of ${table.table} is ${millimetres(over)} larger than its cell`,
      where: { cell: cell.id, content: table.id },
      by: over,
      mend: 'fewer rows, narrower columns or a larger cell',
    });
  }
}
