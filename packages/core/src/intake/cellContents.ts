import type { Content, Linework } from '../design';
import { boundsOf, placed } from '../drawing';
import { around } from '../geometry';
import { DEFAULT_PADDING } from '../layout';
import type { BuiltDesign, FoundCell, GivenRole } from './builtDesign';
import type { ReadText } from './readText';
import { LETTERING_SIZES } from './certainty';
import { LETTER_WIDTH, placeInCell } from './textPlaces';
import type { FoundSheet } from './sheetSearch';
import { ON_EDGE } from './tolerances';

/** Height of a field in mm whose value nobody wrote yet: the usual one of values, ISO 3098 3.5 and 1/8 in (from memory). */
const EMPTY_HEIGHT = { metric: 3.5, inch: 3.175 } as const;
/** Part of a cell's height that lines may take, and lines of a text at most: more is a page of notes. */
const LINES_PART = 0.7;
const MOST_LINES = 6;
/** How far texts may be condensed, as in designs that are begun anew. */
const CONDENSED = 0.8;

/** What stands in a cell: its texts with their roles and places, and its linework as a picture. */
export function contentsOf(
  found: FoundCell,
  sheet: FoundSheet,
  roleOf: (kind: ReadText['kind'], height: number) => GivenRole,
  built: Omit<BuiltDesign, 'design'>,
  nextId: () => string,
): Content[] {
  const contents: Content[] = [];
  const merged = mergeLines(found.texts);
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
    const { up, along, width, height: room } = placeInCell(first.text, found.face);
    const placing = {
      id,
      horizontal:
        first.text.align !== 'left'
          ? first.text.align
          : nearMiddle(first, along, width)
            ? ('centre' as const)
            : ('left' as const),
      vertical: empty
        ? ('bottom' as const)
        : verticalOf(up + first.text.height / 2 - room / 2, merged.length === 1 && all.length === 1),
      rotation: first.text.rotation,
      role: role.id,
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
      contents.push({ ...placing, kind: 'caption', text: words, fit });
    }
  }
  built.cut.push(...found.linework.slice(MOST_PIECES));
  const picture = pictureOf(found, nextId);
  return picture ? [...contents, picture] : contents;
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

/** Values that follow each other under one caption are one field; notes that follow each other are one note. */
function mergeLines(texts: readonly ReadText[]): { first: ReadText; words: string; all: ReadText[] }[] {
  const merged: { first: ReadText; words: string; all: ReadText[] }[] = [];
  for (const read of texts) {
    const same = merged.find(
      ({ first }) =>
        first.kind === read.kind &&
        read.kind !== 'caption' &&
        first.parameter === read.parameter &&
        first.text.rotation === read.text.rotation &&
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

const rounded = (value: number): number => Math.round(value * 1e6) / 1e6;

/** Pieces of a picture; a design with more of them would be slow to draw. */
const MOST_PIECES = 2000;

/** The linework of a cell as a picture; it keeps its place by standing in the middle, or in a box as large as the cell. */
function pictureOf({ face, linework }: FoundCell, nextId: () => string): Content | undefined {
  const bounds = around(linework.map(boundsOf));
  if (!bounds || bounds.width <= 0 || bounds.height <= 0) return undefined;
  const inner = {
    x: face.x + DEFAULT_PADDING,
    y: face.y + DEFAULT_PADDING,
    width: face.width - 2 * DEFAULT_PADDING,
    height: face.height - 2 * DEFAULT_PADDING,
  };
  const centred =
    Math.abs(bounds.x + bounds.width / 2 - face.x - face.width / 2) < ON_EDGE &&
    Math.abs(bounds.y + bounds.height / 2 - face.y - face.height / 2) < ON_EDGE &&
    bounds.width <= inner.width &&
    bounds.height <= inner.height;
  const box = centred ? bounds : inner;
  if (box.width <= 0 || box.height <= 0) return undefined;
  const pieces = linework.slice(0, MOST_PIECES).flatMap((item): Linework[] => {
    const moved = placed(item, 1, -box.x, -box.y);
    if (moved.kind === 'stroke') return [{ kind: 'stroke', points: moved.points.map(rounded), closed: moved.closed }];
    if (moved.kind === 'fill') return [{ kind: 'fill', rings: moved.rings.map((ring) => ring.map(rounded)) }];
    if (moved.kind === 'arc') {
      const { centre, radius, from, to } = moved;
      return [{ kind: 'arc', centre: [rounded(centre.x), rounded(centre.y)], radius: rounded(radius), from, to }];
    }
    return [];
  });
  if (pieces.length === 0) return undefined;
  return {
    id: nextId(),
    kind: 'picture',
    horizontal: 'centre',
    vertical: 'middle',
    rotation: 0,
    name: 'Logo',
    width: rounded(box.width),
    height: rounded(box.height),
    linework: pieces,
  };
}
