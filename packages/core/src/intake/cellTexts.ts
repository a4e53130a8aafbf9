import type { Rect } from '../geometry';
import { CERTAINTY, LETTERING_SIZES } from './certainty';
import type { Corrections } from './corrections';
import type { LegacyText } from './legacyText';
import { normalCaption, parameterOfCaption, parameterOfTag } from './lexicon';

/** Parameters by captions that the office has taught. */
type OwnCaptions = Readonly<Record<string, string>>;

/** What a text in a cell was taken for. */
export interface ReadText {
  text: LegacyText;
  kind: 'caption' | 'field' | 'note';
  parameter?: string;
  /** What the field prints where that is more than the value of its parameter. */
  pattern?: string;
  /** 0 to 1. */
  confidence: number;
  why: string;
}

/** The text's place in its cell as its reader sees it: along the line and up from the bottom, in mm. */
export function placeInCell(
  text: LegacyText,
  cell: Rect,
): { along: number; up: number; width: number; height: number } {
  const { x, y } = text.at;
  switch (text.rotation) {
    case 0:
      return { along: x - cell.x, up: y - cell.y, width: cell.width, height: cell.height };
    case 90:
      return { along: y - cell.y, up: cell.x + cell.width - x, width: cell.height, height: cell.width };
    case 180:
      return { along: cell.x + cell.width - x, up: cell.y + cell.height - y, width: cell.width, height: cell.height };
    case 270:
      return { along: cell.y + cell.height - y, up: x - cell.x, width: cell.height, height: cell.width };
  }
}

/** The reason given for what a person decided. */
export const SET_BY_HAND = 'set by hand';

const SCALE = /^(1\s*:\s*\d+|\d+\s*:\s*1|[\d\s/]+["″]\s*=\s*.+|as (noted|shown|indicated)|nts|not to scale)$/i;
const DATE = /^(\d{4}-\d{2}-\d{2}|\d{1,2}[./]\d{1,2}[./]\d{2,4}|\d{1,2}\s+[A-Za-zé]+\.?\s+\d{2,4})$/;
const SHEET_NUMBER = /^[A-Z]{1,2}[- ]?\d{2,4}(\.\d+)?[a-z]?$/;

/** What a value without a caption looks like. */
function parameterOfValue(text: LegacyText): string | undefined {
  if (SCALE.test(text.text)) return 'sheet.scale';
  if (DATE.test(text.text)) return 'sheet.date';
  if (SHEET_NUMBER.test(text.text)) return 'sheet.number';
  return undefined;
}

/** A few words with a colon behind them ask for something, whatever it is. */
const ASKS = /^[^:]{2,30}:\s*$/;

/** "No." says whose number it asks for only where a sheet's number stands with it. */
const NUMBER_WORDS = new Set(['no', 'nr', 'number', 'nummer', 'numero', 'num']);

function numberAskedBy(text: LegacyText, all: readonly LegacyText[]): string | undefined {
  const asks = NUMBER_WORDS.has(normalCaption(text.text));
  return asks && all.some((each) => SHEET_NUMBER.test(each.text)) ? 'sheet.number' : undefined;
}

/** Words of law are nobody's value, whatever they stand under. */
const LEGAL =
  /©|\bcopyright\b|all rights reserved|alle rechte|urheberrecht|tous droits|droits réservés|derechos reservados/i;

const PEOPLE = /^sheet\.(drawn|designed|checked|approved)By$/;

/** Whether a text may be a value of a parameter, by what it looks like: nobody is called 14.02.2030. */
export function mayBe(parameter: string, text: string): boolean {
  if (PEOPLE.test(parameter)) return !DATE.test(text) && !SCALE.test(text) && !SHEET_NUMBER.test(text);
  if (parameter === 'sheet.date' || parameter === 'sheet.revisionDate') return !SCALE.test(text);
  if (parameter === 'sheet.scale') return !DATE.test(text);
  return true;
}

const BLANK = /^[_.\-–—…\s]+$/;
const ENDS_BLANK = /[_.…]{3,}\s*$/;

/** "SCALE: 1:50" is a caption and its value in one, and so is "SCALE 1:50". */
function splitInline(
  text: LegacyText,
  own: OwnCaptions,
): { caption: LegacyText; value: LegacyText; parameter: string } | undefined {
  const match = /^([^:]{2,30}):\s*(\S.*)$/.exec(text.text);
  const parameter = match?.[1] ? parameterOfCaption(match[1], own) : undefined;
  if (!match || !parameter) return splitBlank(text, own) ?? splitUnmarked(text, own);
  // A line of dots or dashes is a blank to fill in.
  const value = BLANK.test(match[2] ?? '') ? '' : (match[2] ?? '');
  return { ...splitAt(text, `${match[1]}:`, value), parameter };
}

/** A text as its caption and its value, which begins a letter behind the caption; with nothing to it, it stands where the caption does. */
function splitAt(text: LegacyText, caption: string, value: string): { caption: LegacyText; value: LegacyText } {
  const behind = value === '' ? 0 : (caption.length + 1) * LETTER_WIDTH * text.height;
  const turn = (text.rotation * Math.PI) / 180;
  const at = { x: text.at.x + behind * Math.cos(turn), y: text.at.y + behind * Math.sin(turn) };
  return { caption: { ...text, text: caption }, value: { ...text, text: value, at } };
}

/** "Drawn by ______" is a caption with nothing behind it yet. */
function splitBlank(text: LegacyText, own: OwnCaptions): ReturnType<typeof splitInline> {
  const caption = /^(.{2,30}?)\s*[_.…]{3,}\s*$/.exec(text.text)?.[1];
  const parameter = caption === undefined ? undefined : parameterOfCaption(caption, own);
  if (caption === undefined || !parameter) return undefined;
  return { ...splitAt(text, caption, ''), parameter };
}

/** Which sheet of how many: "4 of 19", "4/19". */
const POSITION = /^(\d{1,4})\s*(of|von|sur|di|de|\/)\s*(\d{1,4})$/i;

/** The sheet and the number of sheets that a value like "4 of 19" tells; the word between them is kept. */
export function positionIn(text: string): { position: string; count: string; pattern: string } | undefined {
  const [, position, between, count] = POSITION.exec(text.trim()) ?? [];
  if (position === undefined || between === undefined || count === undefined) return undefined;
  // As it was typed, room around a stroke too.
  const words = text.trim().slice(position.length, -count.length);
  return { position, count, pattern: `{sheet.position}${words}{set.count}` };
}

/** A field for a value that its caption asks for; under "Sheet" there may stand which one of how many it is. */
function fieldFor(text: LegacyText, parameter: string, confidence: number, why: string): ReadText {
  const position = ASKS_POSITION.has(parameter) ? positionIn(text.text) : undefined;
  return position
    ? { text, kind: 'field', parameter: 'sheet.position', pattern: position.pattern, confidence, why }
    : { text, kind: 'field', parameter, confidence, why };
}

/** What "4 of 19" stands under: "Sheet", "Page", "Number of sheets". */
const ASKS_POSITION: ReadonlySet<string> = new Set(['sheet.number', 'sheet.position', 'set.count']);

/** What values look like whose caption may stand before them without a colon. */
const PLAIN_VALUES: Readonly<Record<string, RegExp>> = {
  'sheet.scale': SCALE,
  'sheet.date': DATE,
  'sheet.number': new RegExp(`${SHEET_NUMBER.source}|${POSITION.source}`, 'i'),
  'sheet.position': POSITION,
  'sheet.revision': /^[A-Z]?\d{0,2}$/,
};

/** Caption and value without a colon between them: only where the value looks like what the caption asks for. */
function splitUnmarked(text: LegacyText, own: OwnCaptions): ReturnType<typeof splitInline> {
  const words = text.text.split(/\s+/);
  for (let i = 1; i < Math.min(words.length, MOST_CAPTION_WORDS + 1); i++) {
    const [caption, value] = [words.slice(0, i).join(' '), words.slice(i).join(' ')];
    const parameter = parameterOfCaption(caption, own);
    if (parameter && PLAIN_VALUES[parameter]?.test(value)) return { ...splitAt(text, caption, value), parameter };
  }
  return undefined;
}

/**
 * Tells captions from values in one cell and pairs each value with the parameter that its caption asks for.
 * A text is a caption when the drawing-office lexicon knows it; an attribute is always a value.
 */
export function readCell(
  texts: readonly LegacyText[],
  cell: Rect,
  corrections: NonNullable<Corrections['texts']> = {},
  own: OwnCaptions = {},
): ReadText[] {
  const inReadingOrder = [...texts].sort((a, b) => placeInCell(b, cell).up - placeInCell(a, cell).up);
  const read: ReadText[] = [];
  const values: LegacyText[] = [];
  const captions: (ReadText & { parameter: string })[] = [];
  /** What is a caption, for words that nobody knows. */
  const asking: ReadText[] = [];
  for (const text of inReadingOrder) {
    const set = corrections[String(text.id)];
    if (set) {
      const { kind, parameter } = set;
      const corrected = {
        text,
        kind,
        confidence: CERTAINTY.setByHand,
        why: SET_BY_HAND,
        ...(parameter ? { parameter } : {}),
      };
      if (kind === 'caption' && parameter) captions.push({ ...corrected, parameter });
      read.push(corrected);
      continue;
    }
    const written = text.tag === undefined && !ENDS_BLANK.test(text.text);
    const parameter = written ? (parameterOfCaption(text.text, own) ?? numberAskedBy(text, texts)) : undefined;
    const inline = text.tag === undefined && !parameter ? splitInline(text, own) : undefined;
    if (parameter && (!alreadyAsked(captions, parameter, text) || isSecondLanguage(captions, parameter, text, texts))) {
      const caption = {
        text,
        kind: 'caption',
        parameter,
        confidence: CERTAINTY.knownWord,
        why: `“${text.text}” is a drawing-office word`,
      } as const;
      captions.push(caption);
      read.push(caption);
    } else if (inline) {
      read.push({
        text: inline.caption,
        kind: 'caption',
        parameter: inline.parameter,
        confidence: CERTAINTY.onOneLine,
        why: 'caption and value on one line',
      });
      read.push(fieldFor(inline.value, inline.parameter, CERTAINTY.onOneLine, 'caption and value on one line'));
    } else if (text.tag === undefined && ASKS.test(text.text) && texts.length > 1) {
      const why = 'ends with a colon';
      asking.push({ text, kind: 'caption', confidence: CERTAINTY.endsWithColon, why });
    } else values.push(text);
  }
  read.push(...asking);
  // A smaller text over a larger one heads it, even when the lexicon does not know the word.
  const [first, second] = values;
  const unheaded = captions.length + asking.length === 0;
  if (
    unheaded &&
    first &&
    second &&
    first.tag === undefined &&
    first.height < second.height * LETTERING_SIZES.smaller
  ) {
    values.shift();
    read.push({
      text: first,
      kind: 'caption',
      confidence: CERTAINTY.smallOverLarger,
      why: 'stands small over a larger text',
    });
  } else if (unheaded && first && headsLines(first, values.slice(1))) {
    values.shift();
    read.push({ text: first, kind: 'caption', confidence: CERTAINTY.overLines, why: 'stands over lines of text' });
  } else if (unheaded && values.length === 1 && first && first.tag === undefined && looksLikeCaption(first, cell)) {
    values.shift();
    read.push({
      text: first,
      kind: 'caption',
      confidence: CERTAINTY.aloneOnTop,
      why: 'stands alone at the top of its cell, in capitals',
    });
  }
  // A text beside a caption that looks like one heads what stands under it, although nobody knows what it asks for.
  const heads: ReadText[] = [...captions, ...asking];
  for (const text of values.filter((each) => isCaptionLike(each, captions, values, cell))) {
    values.splice(values.indexOf(text), 1);
    const caption = {
      text,
      kind: 'caption',
      confidence: CERTAINTY.besideCaption,
      why: 'stands beside a caption and looks like one',
    } as const;
    heads.push(caption);
    read.push(caption);
  }
  // What a caption asks for that nobody knows must not be guessed at from how its value looks.
  const unknown = read.some((each) => each.kind === 'caption' && each.parameter === undefined);
  for (const text of values) read.push(readValue(text, heads, cell, !unknown));
  return [...withFollowing(read), ...emptyFields(read)];
}

/** What stands smaller under the value of a parameter is another one: under a project's name its address. */
const FOLLOWING: Readonly<Record<string, string>> = {
  'office.name': 'office.address',
  'project.name': 'project.address',
  'project.client': 'project.clientAddress',
  'sheet.title': 'sheet.subtitle',
};

function withFollowing(read: readonly ReadText[]): ReadText[] {
  return read.map((each) => {
    const { parameter, text, kind, why } = each;
    const next = kind === 'field' && why !== SET_BY_HAND ? FOLLOWING[parameter ?? ''] : undefined;
    if (next === undefined || read.some((other) => other.parameter === next)) return each;
    const first = read.find((other) => other.kind === 'field' && other.parameter === parameter);
    return first && first !== each && text.height < first.text.height * LETTERING_SIZES.smaller
      ? { ...each, parameter: next, confidence: CERTAINTY.smallUnder, why: `stands small under “${first.text.text}”` }
      : each;
  });
}

/** Captions that ask for data, with nothing under them yet, get the fields that will hold it. */
function emptyFields(read: readonly ReadText[]): ReadText[] {
  const answered = new Set(read.flatMap((each) => (each.kind === 'caption' ? [] : [each.parameter])));
  // Values that belong to nothing, or were set by hand, may be what is asked for: then nobody knows what is missing.
  if (read.some((each) => each.kind !== 'caption' && (each.kind === 'note' || each.why === SET_BY_HAND))) return [];
  return read.flatMap((each): ReadText[] => {
    const { parameter, kind, text, confidence } = each;
    if (kind !== 'caption' || parameter === undefined || answered.has(parameter)) return [];
    answered.add(parameter);
    if (parameter === 'sheet.number' && answered.has('sheet.position')) return [];
    const why = `nothing stands under “${text.text}” yet`;
    return [{ text: { ...text, text: '' }, kind: 'field', parameter, confidence, why }];
  });
}

/** Width of a letter as a part of its height, in the simple lettering of old drawings (common practice). */
export const LETTER_WIDTH = 0.55;

/** Words of a caption that stands before its value without a colon, at most. */
const MOST_CAPTION_WORDS = 3;
/** Base lines of one line of a cell differ by less than this part of the height; the next line lies within the other (common practice). */
export const SAME_LINE = 0.6;
const NEXT_LINE = 2.5;
/** What stands over this part of its cell's height heads the cell. */
const UPPER_PART = 0.6;
/** A caption on the same line is this much nearer than its distance says: lines are read along. */
const BESIDE = 0.3;
/** Words this short may just as well be somebody's initials. */
const INITIALS = 3;

/**
 * Whether a text that the lexicon knows is a value all the same, because its cell has been headed already: by the same
 * meaning (a sheet called "Plan" says TITLE, then Plan), by smaller letters, or when it is as short as initials.
 */
function alreadyAsked(captions: readonly ReadText[], parameter: string, text: LegacyText): boolean {
  return captions.some(
    (each) =>
      each.parameter === parameter ||
      each.text.height < text.height * LETTERING_SIZES.smaller ||
      text.text.length <= INITIALS,
  );
}

/** Whether a caption says again, in another language and as high, what one over it says; there is a value besides. */
function isSecondLanguage(
  captions: readonly ReadText[],
  parameter: string,
  text: LegacyText,
  all: readonly LegacyText[],
): boolean {
  const first = captions.find((each) => each.parameter === parameter);
  if (!first || Math.abs(first.text.height / text.height - 1) > LETTERING_SIZES.same) return false;
  const apart = Math.hypot(first.text.at.x - text.at.x, first.text.at.y - text.at.y);
  const others = all.filter((each) => each !== text && each.text !== '' && captions.every((c) => c.text !== each));
  return (
    apart < NEXT_LINE * text.height && others.length > 0 && normalCaption(first.text.text) !== normalCaption(text.text)
  );
}

/**
 * Whether a text stands on one line with a caption, as high as it and in capitals like it, while the values of the cell are
 * larger.
 */
function isCaptionLike(
  text: LegacyText,
  captions: readonly ReadText[],
  values: readonly LegacyText[],
  cell: Rect,
): boolean {
  if (
    text.tag !== undefined ||
    text.text !== text.text.toUpperCase() ||
    !/[A-Z]{3}/.test(text.text) ||
    /\d/.test(text.text)
  )
    return false;
  const larger = values.some((each) => each !== text && each.height > LETTERING_SIZES.larger * text.height);
  const { up } = placeInCell(text, cell);
  return (
    larger &&
    captions.some(
      (each) =>
        each.text.text === each.text.text.toUpperCase() &&
        Math.abs(each.text.height / text.height - 1) < LETTERING_SIZES.same &&
        Math.abs(placeInCell(each.text, cell).up - up) < SAME_LINE * text.height,
    )
  );
}

/** Lines under a heading, and words of one, at most. */
const LINES = { fewest: 2, words: 5 } as const;

/** What is this much larger than the lines under it is a name. */
const NAME = 1.5;
/** Lines of a letterhead: under them stands who somebody is, and no list. */
const LETTERHEAD = /@|www\.|\btel\b|\bphone\b|\bfax\b|\+\d{2}/i;

const inCapitals = (words: string): boolean => words === words.toUpperCase() && /[A-Z]{3}/.test(words);

/** Whether the first text of a cell heads lines of one height: consultants, notes, a key. */
function headsLines(text: LegacyText, lines: readonly LegacyText[]): boolean {
  const [first] = lines;
  if (!first || lines.length < LINES.fewest || text.tag !== undefined || /\d/.test(text.text)) return false;
  const alike = lines.every(
    (line) =>
      line.tag === undefined &&
      line.rotation === text.rotation &&
      Math.abs(line.height / first.height - 1) < LETTERING_SIZES.same,
  );
  if (!alike || lines.some((line) => LETTERHEAD.test(line.text))) return false;
  if (text.height < LETTERING_SIZES.smaller * first.height || text.height > NAME * first.height) return false;
  const larger = text.height > LETTERING_SIZES.larger * first.height;
  const capitals = inCapitals(text.text) && lines.filter((line) => inCapitals(line.text)).length < lines.length / 2;
  return (larger || capitals) && text.text.split(/\s+/).length <= LINES.words;
}

function looksLikeCaption(text: LegacyText, cell: Rect): boolean {
  const { up, height } = placeInCell(text, cell);
  return (
    text.text === text.text.toUpperCase() &&
    /[A-Z]{3}/.test(text.text) &&
    !/\d/.test(text.text) &&
    up + text.height / 2 > height * UPPER_PART
  );
}

function readValue(text: LegacyText, captions: readonly ReadText[], cell: Rect, guess: boolean): ReadText {
  const over = captionOver(text, captions, cell);
  const legal = text.tag === undefined && over?.parameter !== 'sheet.notes' && LEGAL.test(text.text);
  if (legal) return { text, kind: 'note', confidence: CERTAINTY.wordsOfLaw, why: 'words of law' };
  if (over?.parameter !== undefined && mayBe(over.parameter, text.text)) {
    return fieldFor(text, over.parameter, over.confidence, `stands under “${over.text.text}”`);
  }
  const fromTag = text.tag === undefined ? undefined : parameterOfTag(text.tag);
  if (fromTag)
    return {
      text,
      kind: 'field',
      parameter: fromTag,
      confidence: CERTAINTY.byTag,
      why: `its attribute is called ${text.tag}`,
    };
  const looks = guess ? parameterOfValue(text) : undefined;
  if (looks)
    return {
      text,
      kind: 'field',
      parameter: looks,
      confidence: CERTAINTY.byItsLook,
      why: 'looks like one, without a caption',
    };
  const confidence = text.tag === undefined ? CERTAINTY.noCaption : CERTAINTY.attributeWithoutCaption;
  return { text, kind: 'note', confidence, why: 'no caption says what it is' };
}

/** The caption that a value belongs to: the nearest one above it, or beside it on the same line, turned as it is. */
function captionOver(text: LegacyText, all: readonly ReadText[], cell: Rect): ReadText | undefined {
  const captions = all.filter((each) => each.text.rotation === text.rotation);
  if (captions.length <= 1) return captions[0];
  const own = placeInCell(text, cell);
  let best: ReadText | undefined;
  let nearest = Infinity;
  for (const caption of captions) {
    const at = placeInCell(caption.text, cell);
    const above = at.up - own.up;
    const beside = own.along - at.along;
    if (above < -caption.text.height) continue;
    const distance = Math.abs(above) + Math.abs(beside) * (above < caption.text.height ? BESIDE : 1);
    if (distance < nearest) [best, nearest] = [caption, distance];
  }
  return best;
}

/** Whether a text could be a caption at all; used to tell title blocks from drawings before cells are known. */
export function knownCaption(text: LegacyText, own: OwnCaptions = {}): boolean {
  return normalCaption(text.text) !== '' && parameterOfCaption(text.text, own) !== undefined;
}
