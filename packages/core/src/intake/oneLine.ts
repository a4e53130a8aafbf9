import type { LegacyText } from './legacyText';
import { parameterOfCaption } from './lexicon';
import { LETTER_WIDTH } from './textPlaces';
import { DATE, POSITION, SCALE, SHEET_NUMBER } from './valueLooks';

/** Parameters by captions that the office has taught. */
export type OwnCaptions = Readonly<Record<string, string>>;

/** Words of a caption that stands before its value without a colon, at most. */
const MOST_CAPTION_WORDS = 3;

const BLANK = /^[_.\-–—…\s]+$/;
/** A line of dots or dashes to be filled in. */
export const ENDS_BLANK = /[_.…]{3,}\s*$/;

/** "SCALE: 1:50" is a caption and its value in one, and so is "SCALE 1:50". */
export function splitInline(
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

/** What values look like whose caption may stand before them without a colon. */
const PLAIN_VALUES: Readonly<Record<string, readonly RegExp[]>> = {
  'sheet.scale': [SCALE],
  'sheet.date': [DATE],
  'sheet.number': [SHEET_NUMBER, POSITION],
  'sheet.position': [POSITION],
  'sheet.revision': [/^[A-Z]?\d{0,2}$/],
};

/** Caption and value without a colon between them: only where the value looks like what the caption asks for. */
function splitUnmarked(text: LegacyText, own: OwnCaptions): ReturnType<typeof splitInline> {
  const words = text.text.split(/\s+/);
  for (let i = 1; i < Math.min(words.length, MOST_CAPTION_WORDS + 1); i++) {
    const [caption, value] = [words.slice(0, i).join(' '), words.slice(i).join(' ')];
    const parameter = parameterOfCaption(caption, own);
    if (parameter && PLAIN_VALUES[parameter]?.some((form) => form.test(value)))
      return { ...splitAt(text, caption, value), parameter };
  }
  return undefined;
}
