import type { Content } from '../design';
import type { BuiltDesign, FoundCell, GivenRole } from './builtDesign';
import type { LegacyText } from './legacyText';
import type { ReadText } from './readText';
import { isSameChoice } from './readText';
import { LETTERING_SIZES } from './certainty';
import { LETTER_WIDTH, placeInCell } from './textPlaces';
import type { FoundSheet } from './sheetSearch';
import { tickBoxesOf } from './cellChoices';
import { MOST_PIECES, picturesOf } from './cellPicture';
import { besidePicture } from './cellShift';
import { isFigure, markOf } from './marks';

/** Height of a field in mm whose value nobody wrote yet: the usual one of values, ISO 3098 3.5 and 1/8 in (from memory). */
const EMPTY_HEIGHT = { metric: 3.5, inch: 3.175 } as const;
/** Part of a cell's height that lines may take, and lines of a text at most: more is a page of notes. */
const LINES_PART = 0.7;
const MOST_LINES = 6;
/** How far texts may be condensed, as in designs that are begun anew. */
const CONDENSED = 0.8;

/**
 * What stands in a cell: its texts with their roles and places, and its linework as a picture.
 * @param how the pen of tick boxes, and whether marks that are known symbols become those
 */
export function contentsOf(
  found: FoundCell,
  sheet: FoundSheet,
  roleOf: (kind: ReadText['kind'], height: number) => GivenRole,
  { pen, asSymbols }: { pen: string; asSymbols: boolean },
  built: Omit<BuiltDesign, 'design'>,
  nextId: () => string,
): Content[] {
  const contents: Content[] = [];
  const labels = found.linework.length > 0;
  const figures = asSymbols && markOf(found) === 'scale bar' ? found.texts.filter(isFigure) : [];
  const merged = mergeLines(
    found.texts.filter((text) => !figures.includes(text)),
    labels,
  );
  for (const { first, words, all } of merged) {
    const empty = first.kind === 'field' && words === '';
    const height = empty ? EMPTY_HEIGHT[sheet.system] : first.text.height;
    const given = roleOf(first.kind, height);
    const { role } = given;
    const id = nextId();
    for (const each of all) {
      built.contentIds.set(each, id);
      built.roles.set(each, given);
    }
    if (first.kind === 'option' && first.parameter !== undefined) {
      contents.push(tickBoxesOf(all, found, { id, parameter: first.parameter, role, pen }));
      continue;
    }
    const { up, along, width, height: room } = placeInCell(first.text, found.face);
    const alone = merged.length === 1 && all.length === 1;
    const placing = {
      id,
      horizontal:
        first.text.align !== 'left'
          ? first.text.align
          : nearMiddle(first, along, width)
            ? ('centre' as const)
            : ('left' as const),
      vertical: empty ? ('bottom' as const) : verticalOf(up + first.text.height / 2 - room / 2, alone),
      rotation: first.text.rotation,
      role: role.id,
      ...((labels || first.box) && isLabel(first) ? besidePicture(atBox(first), all.length, found.face, role) : {}),
    };
    const roomForLines = Math.max(1, Math.floor((room * LINES_PART) / (role.height * role.lineSpacing)));
    if (first.kind === 'field') {
      const fit = { lines: Math.min(MOST_LINES, roomForLines), condense: CONDENSED, steps: 2 };
      contents.push({ ...placing, kind: 'field', pattern: first.pattern ?? `{${first.parameter ?? ''}}`, fit });
    } else {
      const fit = {
        lines: Math.min(first.kind === 'note' ? MOST_LINES : 1, roomForLines),
        condense: CONDENSED,
        steps: 1,
      };
      contents.push({ ...placing, kind: 'caption', text: `${first.box?.typed ?? ''}${words}`, fit });
    }
  }
  built.cut.push(...found.linework.slice(MOST_PIECES));
  const figuresRole = roleOf('note', figures[0]?.text.height ?? EMPTY_HEIGHT[sheet.system]);
  const pictures = picturesOf(found, nextId, asSymbols ? { figures: figuresRole.role.id } : undefined);
  // The bar writes its own figures, at the scale that a sheet has.
  const bar = pictures.find(({ kind }) => kind === 'scaleBar');
  for (const each of bar ? figures : []) {
    built.contentIds.set(each, bar!.id);
    built.roles.set(each, figuresRole);
  }
  return [...contents, ...pictures];
}

/** A text that begins past this part of its cell's width, and whose middle is this near to the cell's, was centred by hand. */
const INSIDE = 0.2;
const NEAR_MIDDLE = 0.06;

/** A text that stands alone in its cell, this near to its middle in mm, was put there. */
const IN_MIDDLE = 0.6;

/** What a text keeps to by how far over the middle of its cell it stands. */
function verticalOf(over: number, alone: boolean): 'top' | 'middle' | 'bottom' {
  if (alone && Math.abs(over) < IN_MIDDLE) return 'middle';
  return over >= 0 ? 'top' : 'bottom';
}

/** A left-aligned text that starts well inside the cell was centred by hand. */
function nearMiddle(read: ReadText, along: number, width: number): boolean {
  const estimated = read.text.text.length * read.text.height * LETTER_WIDTH;
  return along > width * INSIDE && Math.abs(along + estimated / 2 - width / 2) < width * NEAR_MIDDLE;
}

/** A text that belongs to the picture in its cell rather than to a caption: it keeps its distance from there. */
const isLabel = ({ kind, text }: ReadText): boolean =>
  (kind === 'note' || kind === 'option') && text.rotation === 0 && text.align === 'left';

/** A text where it begins, with a box that was typed before it. */
const atBox = ({ text, box }: ReadText): LegacyText =>
  box?.typed === undefined ? text : { ...text, at: { x: box.x, y: box.y } };

/** Lines of one text begin one under another, so many heights apart at most. */
const LINES_APART = 2.2;

function isNextLine(lines: readonly ReadText[], { text }: ReadText): boolean {
  const last = lines[lines.length - 1]?.text;
  if (!last) return false;
  const [along, down] = [Math.abs(last.at.x - text.at.x), last.at.y - text.at.y];
  return along < text.height / 2 && down > 0 && down < LINES_APART * text.height;
}

/**
 * Values that follow each other under one caption are one field; notes that follow each other are one note.
 * @param labels whether a picture stands with them, to which notes belong that are no lines of one text
 */
function mergeLines(
  texts: readonly ReadText[],
  labels: boolean,
): { first: ReadText; words: string; all: ReadText[] }[] {
  const merged: { first: ReadText; words: string; all: ReadText[] }[] = [];
  for (const read of texts) {
    const same = merged.find(
      ({ first, all }) =>
        first.kind === read.kind &&
        read.kind !== 'caption' &&
        first.parameter === read.parameter &&
        first.text.rotation === read.text.rotation &&
        (read.kind !== 'option' || (read.parameter !== undefined && isSameChoice(first, read))) &&
        (!labels || read.kind !== 'note' || isNextLine(all, read)) &&
        // One parameter has one value, however its lines were lettered: two fields would both print all of it.
        (read.kind === 'field' ||
          Math.abs(first.text.height - read.text.height) < LETTERING_SIZES.wrapped * read.text.height),
    );
    if (same) {
      same.words += `\n${read.text.text}`;
      same.all.push(read);
    } else merged.push({ first: read, words: read.text.text, all: [read] });
  }
  return merged;
}
