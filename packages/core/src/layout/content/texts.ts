import type { Finding } from '../../check';
import type { Cell } from '../../design';
import { cellLabel } from '../../design';
import type { Rect } from '../../geometry';
import type { FittedText, MarkedLine } from '../../lettering';
import { breakLines, fitText, linesHeight, measureOf, textWidth } from '../../lettering';
import type { FilledPattern, Parameters, Values } from '../../parameter';
import { isWords } from '../../parameter';
import { amountInWords } from '../../quantity';
import type { LetteringRole } from '../../standard';
import { parametersOf } from '../../standard';
import type { SheetLayout, TextLayout } from '../sheetLayout';
import type { Lettering } from './descenders';
import { descenders } from './descenders';
import type { TextSetting } from './kind';
import type { MarkedNotes } from './markedNotes';
import { fitMarked, isMarkedNotes, markedLines, strongLettering, wordsInOwnRole } from './markedNotes';
import { missingLetters } from './missingLetters';
import { missingValue } from './missingValues';
import type { TextContent } from './textKinds';
import { textKindOf } from './textKinds';

/** Least distance between a text at the top of a cell and one at its bottom, in mm. */
const STACK_GAP = 0.7;
/** Distance between texts of one stack as a part of the lower one's height: that of lines at ISO 3098's spacing. */
const LINE_GAP = 0.5;

/** A lettering role or a typeface that a text asks for and that is not there. */
export class UnknownLetteringError extends Error {
  override name = 'UnknownLetteringError';
}

/** The role and the typeface of a text. @throws UnknownLetteringError when the standard has no such role or typeface */
function letteringOf(setting: TextSetting, id: string): Lettering {
  const role = setting.standard.roles.find((each) => each.id === id);
  if (!role) throw new UnknownLetteringError(`this revision of the office standard has no lettering role “${id}”`);
  const typeface = setting.typefaces.get(role.typeface);
  if (!typeface) throw new UnknownLetteringError(`the typeface "${role.typeface}" is not there`);
  return { role, typeface };
}

/** The words of a text for the values in hand. */
const wordsOf = (content: TextContent, values: Values): FilledPattern => textKindOf(content).words(content, values);

/**
 * The least room a text asks for when its track is as large as its content, in mm.
 * @param room width at which it may wrap as far as its fit allows; Infinity when it is not known yet
 */
export function naturalText(
  content: TextContent,
  setting: TextSetting,
  room: number,
): { width: number; height: number } {
  const lettering = letteringOf(setting, content.role);
  const { role, typeface } = lettering;
  const { text } = wordsOf(content, setting.values);
  const measure = measureOf(typeface, role.height, role.widthFactor);
  const kind = textKindOf(content);
  const most = kind.policy(content).lines;
  const upright = content.rotation % 180 === 0;
  const lines =
    most > 1 && upright && Number.isFinite(room)
      ? isMarkedNotes(content)
        ? markedLines(content, lettering, room, setting).map((line) => line.text)
        : breakLines(text, room, measure, setting.standard.keptTogether)
      : text.split('\n');
  const width = kind.takesWidth ? 0 : Math.max(0, ...lines.map((line) => measure(line)));
  const height =
    linesHeight(Math.min(lines.length, Math.max(most, 1)), role.height, role.lineSpacing) +
    descenders(lettering, role.height);
  return upright ? { width, height } : { width: height, height: width };
}

interface SetText extends Lettering {
  content: TextContent;
  fitted: FittedText;
  /** Its lines in parts, where words stand out. */
  marked?: MarkedLine[] | undefined;
  words: string;
}

/**
 * Texts that read the same way share a cell's room: captions first, then what comes from data in what is left.
 * @param opposite texts that are placed by themselves and take room from the other end of the cell
 */
export function layTexts(
  cell: Cell,
  texts: readonly TextContent[],
  inner: Rect,
  rotation: 0 | 90 | 180 | 270,
  setting: TextSetting,
  into: SheetLayout,
  opposite: readonly TextContent[] = [],
): void {
  const upright = rotation % 180 === 0;
  const [across, up] = upright ? [inner.width, inner.height] : [inner.height, inner.width];
  const set: SetText[] = [];
  for (const content of [...texts].sort((a, b) => textKindOf(a).rank - textKindOf(b).rank)) {
    const kind = textKindOf(content);
    const lettering = letteringOf(setting, content.role);
    const { role, typeface } = lettering;
    const { text, missing, spared } = wordsOf(content, setting.values);
    let taken = 0;
    for (const other of [...texts, ...opposite]) {
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
    if (missing.length + spared.length > 0) {
      const parameters = parametersOf(setting.standard);
      // What a pattern does without is no gap, but a key that nobody knows is wrong there too.
      const unknown = spared.filter((key) => !parameters.has(key));
      noteMissing(cell, content, [...missing, ...unknown], parameters, into.findings);
    }
    // What comes from data keeps its place without a value, so that programs which read the sheet can fill it.
    if (text === '' && !kind.pattern) continue;
    const room = { width: across, height: Math.max(0, up - taken - descenders(lettering, role.height)) };
    const marked = isMarkedNotes(content) ? markedLines(content, lettering, room.width, setting) : undefined;
    const fitted = marked
      ? fitMarked(marked, role, room)
      : text === ''
        ? { lines: [''], height: role.height, widthFactor: role.widthFactor, width: 0, fit: 'fits' as const, by: 0 }
        : fitText(
            text,
            role,
            typeface,
            room,
            kind.policy(content),
            setting.standard.heights,
            setting.standard.keptTogether,
          );
    set.push({ content, role, typeface, fitted, marked, words: text });
    if (isMarkedNotes(content)) into.findings.push(...strongFindings(cell, content, lettering, setting));
    const own = isMarkedNotes(content) ? wordsInOwnRole(content, lettering, setting) : text;
    into.findings.push(...missingLetters(own, role, typeface, { cell: cell.id, content: content.id }));
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

  // One base line for a whole stack, set by its deepest descenders.
  const lowest = (stack: readonly SetText[]): number =>
    stack.reduce((most, each) => Math.max(most, descenders(each, each.fitted.height)), 0);
  const lift = lowest(stacks.bottom);
  // Capitals stand in the middle as long as the descenders under them have room.
  const centred = (stack: readonly SetText[]): number =>
    Math.max((up + total(stack)) / 2, total(stack) + lowest(stacks.middle));
  const starts = { top: up, middle: centred(stacks.middle), bottom: lift + total(stacks.bottom) };
  for (const place of ['top', 'middle', 'bottom'] as const) {
    // Texts with different horizontal places stand side by side, so each of the three keeps its own height.
    const at = { left: starts[place], centre: starts[place], right: starts[place] };
    const shared = new Set(stacks[place].map((each) => each.content.horizontal)).size > 1;
    for (const [i, each] of stacks[place].entries()) {
      const { horizontal } = each.content;
      if (shared) {
        const own = stacks[place].filter((other) => other.content.horizontal === horizontal);
        if (own[0] === each && place === 'bottom') at[horizontal] = lift + total(own);
        if (own[0] === each && place === 'middle') at[horizontal] = centred(own);
      }
      placeText(cell, each, at[horizontal], across, inner, rotation, into);
      const next = stacks[place].slice(i + 1).find((other) => other.content.horizontal === horizontal);
      at[horizontal] -= heightOf(each) + gapOver(next);
    }
  }
}

function placeText(
  cell: Cell,
  { content, role, typeface, fitted, marked, words }: SetText,
  topAt: number,
  across: number,
  inner: Rect,
  rotation: 0 | 90 | 180 | 270,
  into: SheetLayout,
): void {
  const lines: TextLayout['lines'] = fitted.lines.map((line, i) => {
    const parts = marked?.[i];
    const width = parts?.width ?? textWidth(typeface, line, fitted.height, fitted.widthFactor);
    const along =
      content.horizontal === 'left' ? 0 : content.horizontal === 'right' ? across - width : (across - width) / 2;
    const above = topAt - fitted.height - i * fitted.height * role.lineSpacing;
    const placed = { text: line, ...onPaper(inner, rotation, along, above), width };
    return parts ? { ...placed, segments: parts.segments } : placed;
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
    horizontal: content.horizontal,
    lines,
    fit: fitted.fit,
    by: fitted.by,
  };
  if (isMarkedNotes(content) && content.strong !== undefined) text.strong = content.strong;
  const pattern = textKindOf(content).pattern?.(content);
  if (pattern !== undefined) text.pattern = pattern;
  into.texts.push(text);
  noteFit(cell, content, text, role, into);
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
  content: TextContent,
  missing: readonly string[],
  parameters: Parameters,
  findings: Finding[],
): void {
  for (const key of missing) {
    const parameter = parameters.get(key);
    // What is computed is blank for good reason: a sheet without views has no scale, one that did not go out has no issue.
    if (parameter?.computed) continue;
    const where = { cell: cell.id, content: content.id, parameter: key };
    if (!parameter) {
      findings.push({
        kind: 'unknown',
        weight: 'error',
        message: `${cellLabel(cell)} asks for {${key}}, and there is no such parameter`,
        where,
        mend: 'choose another parameter for the field, or add this one to the office standard',
      });
    } else if (isWords(parameter)) {
      findings.push(missingValue(parameter, where));
    } else {
      findings.push({
        kind: 'missing',
        weight: 'gap',
        message: `${parameter.name} is drawn and cannot stand in a text`,
        where,
        mend: `place it as a ${parameter.kind === 'outline' ? 'key plan' : 'picture'}`,
      });
    }
  }
}

/** What is said of strong words: letters that their typeface lacks, and a role that is gone. */
function strongFindings(cell: Cell, content: MarkedNotes, own: Lettering, setting: TextSetting): Finding[] {
  const where = { cell: cell.id, content: content.id };
  const { role, typeface } = strongLettering(content, own, setting);
  const words = content.paragraphs
    .flatMap(({ runs }) => runs.flatMap((run) => (run.strong ? [run.text] : [])))
    .join(' ');
  if (words === '') return [];
  const gone = content.strong !== undefined && !setting.standard.roles.some(({ id }) => id === content.strong);
  return [
    ...(role === own.role ? [] : missingLetters(words, role, typeface, where)),
    ...(gone
      ? [
          {
            kind: 'unknown' as const,
            weight: 'error' as const,
            message: `strong words of the notes have the role “${content.strong}”, which the office standard does not have`,
            where,
            mend: 'choose another role for strong words',
          },
        ]
      : []),
  ];
}

function noteFit(cell: Cell, content: TextContent, text: TextLayout, role: LetteringRole, into: SheetLayout): void {
  const { findings, unit } = into;
  if (text.fit === 'fits' || text.fit === 'wrapped') return;
  const where = { cell: cell.id, content: content.id };
  const words = text.text.length > 40 ? `${text.text.slice(0, 38)}…` : text.text;
  if (text.fit === 'spills') {
    findings.push({
      kind: 'spill',
      weight: 'error',
      message: `“${words}” spills out of ${cellLabel(cell)} by ${amountInWords(text.by, unit)}`,
      where,
      by: text.by,
      mend: `make the cell ${amountInWords(Math.ceil(text.by * 10) / 10, unit)} larger, let the text wrap, condense or step down, or shorten it`,
    });
  } else if (text.fit === 'condensed') {
    const part = Math.round((text.widthFactor / role.widthFactor) * 100);
    findings.push({ kind: 'condensed', weight: 'note', message: `“${words}” is condensed to ${part} %`, where });
  } else {
    findings.push({
      kind: 'stepped',
      weight: 'note',
      message: `“${words}” steps down from ${amountInWords(role.height, unit)} to ${amountInWords(text.height, unit)}`,
      where,
    });
  }
}
