import type { Rect } from '../geometry';
import { CERTAINTY, LETTERING_SIZES } from './certainty';
import type { Corrections } from './corrections';
import type { LegacyText } from './legacyText';
import { headsLines, isCaptionLike, looksLikeCaption } from './headings';
import { normalCaption, parameterOfCaption, parameterOfTag } from './lexicon';
import type { OptionBox } from './options';
import type { OwnCaptions } from './oneLine';
import { ENDS_BLANK, splitInline } from './oneLine';
import type { ReadText } from './readText';
import { SET_BY_HAND } from './readText';
import { placeInCell } from './textPlaces';
import { LEGAL, mayBe, parameterOfValue, positionIn, SHEET_NUMBER } from './valueLooks';

/** A few words with a colon behind them ask for something, whatever it is. */
const ASKS = /^[^:]{2,30}:\s*$/;

/** "No." says whose number it asks for only where a sheet's number stands with it. */
const NUMBER_WORDS = new Set(['no', 'nr', 'number', 'nummer', 'numero', 'num']);

function numberAskedBy(text: LegacyText, all: readonly LegacyText[]): string | undefined {
  const asks = NUMBER_WORDS.has(normalCaption(text.text));
  return asks && all.some((each) => SHEET_NUMBER.test(each.text)) ? 'sheet.number' : undefined;
}

/** A field for a value that its caption asks for; under "Sheet" there may stand which one of how many it is. */
export function fieldFor(text: LegacyText, parameter: string, confidence: number, why: string): ReadText {
  const position = ASKS_POSITION.has(parameter) ? positionIn(text.text) : undefined;
  return position
    ? { text, kind: 'field', parameter: 'sheet.position', pattern: position.pattern, confidence, why }
    : { text, kind: 'field', parameter, confidence, why };
}

/** What "4 of 19" stands under: "Sheet", "Page", "Number of sheets". */
const ASKS_POSITION: ReadonlySet<string> = new Set(['sheet.number', 'sheet.position', 'set.count']);

/**
 * Tells captions from values in one cell and pairs each value with the parameter that its caption asks for.
 * A text is a caption when the drawing-office lexicon knows it; an attribute is always a value.
 * @param options words of the cell that stand beside boxes: what heads them says what they choose
 */
export function readCell(
  texts: readonly LegacyText[],
  cell: Rect,
  corrections: NonNullable<Corrections['texts']> = {},
  own: OwnCaptions = {},
  options: ReadonlyMap<LegacyText, OptionBox> = new Map(),
): ReadText[] {
  const inReadingOrder = [...texts].sort((a, b) => placeInCell(b, cell).up - placeInCell(a, cell).up);
  const read: ReadText[] = [];
  const values: LegacyText[] = [];
  const captions: (ReadText & { parameter: string })[] = [];
  /** What is a caption, for words that nobody knows. */
  const asking: ReadText[] = [];
  let byHand: string | undefined;
  const chosen = new Map(options);
  for (const text of inReadingOrder) {
    const set = corrections[String(text.id)];
    if (set && chosen.has(text)) {
      // One of the options that was set says what all of them choose; words that were set to be fixed are none.
      if (set.kind === 'field') byHand ??= set.parameter;
      else chosen.delete(text);
    }
    if (chosen.has(text)) continue;
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
  const heading = captions.length + asking.length === 0 ? overOptions([...chosen.keys()], values, cell) : undefined;
  if (heading) {
    values.splice(values.indexOf(heading), 1);
    const why = 'stands over words beside boxes';
    asking.push({ text: heading, kind: 'caption', confidence: CERTAINTY.overLines, why });
    read.push(...asking);
  }
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
  for (const [text, box] of chosen) read.push(readOption(text, box, heads, cell, byHand));
  return [...withFollowing(read), ...emptyFields(read)];
}

/** What heads words beside boxes without a caption that is known: the only other text, where it stands over or before them. */
function overOptions(
  options: readonly LegacyText[],
  values: readonly LegacyText[],
  cell: Rect,
): LegacyText | undefined {
  const [only] = values;
  if (!only || values.length > 1 || options.length === 0 || only.tag !== undefined) return undefined;
  const own = placeInCell(only, cell);
  const places = options.map((text) => placeInCell(text, cell));
  const over = places.every(({ up }) => own.up > up);
  const before = places.every(({ along }) => own.along < along);
  return over || before ? only : undefined;
}

/** Words beside a box: an option of what stands over them, or of what was said by hand. */
function readOption(
  text: LegacyText,
  box: OptionBox,
  heads: readonly ReadText[],
  cell: Rect,
  byHand: string | undefined,
): ReadText {
  const option = { text, kind: 'option', box } as const;
  if (byHand !== undefined) return { ...option, parameter: byHand, confidence: CERTAINTY.setByHand, why: SET_BY_HAND };
  const over = captionOver(text, heads, cell);
  if (over?.parameter !== undefined)
    return {
      ...option,
      parameter: over.parameter,
      confidence: over.confidence,
      why: `stands beside a box under “${over.text.text}”`,
    };
  const confidence = CERTAINTY.noCaption;
  return { ...option, confidence, why: 'stands beside a box, and no caption says what it chooses' };
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

/** The next line of a text lies within so many heights (common practice). */
const NEXT_LINE = 2.5;
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
