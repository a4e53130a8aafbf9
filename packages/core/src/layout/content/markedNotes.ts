import type { Notes } from '../../design';
import type { FittedText, MarkedLine } from '../../lettering';
import { breakMarked, linesHeight, measureOf, TAB } from '../../lettering';
import type { LetteringRole } from '../../standard';
import type { Lettering } from './descenders';
import type { TextSetting } from './kind';

/** Notes in which words stand out or stand in a list. */
export type MarkedNotes = Notes & { paragraphs: NonNullable<Notes['paragraphs']> };

/** From the widest label of a list to its words, as a part of the height of capitals. */
const AFTER_LABEL = 0.8;
/** Between the columns of neighbouring paragraphs, as a part of the height of capitals. */
const BETWEEN_COLUMNS = 2;
const TOLERANCE = 0.01;

export const isMarkedNotes = (content: { kind: string; paragraphs?: Notes['paragraphs'] }): content is MarkedNotes =>
  content.kind === 'notes' && content.paragraphs !== undefined;

/** What strong words are lettered with: the notes' own role where they name no other one, or one that is gone. */
export function strongLettering(content: Notes, own: Lettering, { standard, typefaces }: TextSetting): Lettering {
  const role = standard.roles.find(({ id }) => id === content.strong);
  const typeface = role && typefaces.get(role.typeface);
  return role && typeface ? { role, typeface } : own;
}

/** The words that are lettered in the notes' own role: all but strong ones that have another. */
export function wordsInOwnRole(content: MarkedNotes, own: Lettering, setting: TextSetting): string {
  if (strongLettering(content, own, setting).role === own.role) return content.text;
  return content.paragraphs
    .map(
      ({ label = '', runs }) => label + runs.map((run) => (run.strong ? '' : run.text.replaceAll(TAB, ' '))).join(''),
    )
    .join('\n');
}

/** The lines of marked notes in a room of so many mm. */
export function markedLines(content: MarkedNotes, own: Lettering, room: number, setting: TextSetting): MarkedLine[] {
  const strong = strongLettering(content, own, setting);
  const { height } = own.role;
  const shown = own.role.capitals ? inCapitals(content.paragraphs) : content.paragraphs;
  const measures = {
    plain: measureOf(own.typeface, height, own.role.widthFactor),
    strong: measureOf(strong.typeface, height, strong.role.widthFactor),
    gap: AFTER_LABEL * height,
    columnGap: BETWEEN_COLUMNS * height,
  };
  return breakMarked(shown, room, measures, setting.standard.keptTogether);
}

const inCapitals = (paragraphs: MarkedNotes['paragraphs']): MarkedNotes['paragraphs'] =>
  paragraphs.map((each) => ({ ...each, runs: each.runs.map((run) => ({ ...run, text: run.text.toUpperCase() })) }));

/** Marked notes in their room: they wrap, and keep their height. */
export function fitMarked(
  lines: readonly MarkedLine[],
  role: LetteringRole,
  room: { width: number; height: number },
): FittedText {
  const width = Math.max(0, ...lines.map((line) => line.width));
  const over = Math.max(linesHeight(lines.length, role.height, role.lineSpacing) - room.height, width - room.width);
  return {
    lines: lines.map(({ text }) => text),
    height: role.height,
    widthFactor: role.widthFactor,
    width,
    fit: over > TOLERANCE ? 'spills' : lines.length > 1 ? 'wrapped' : 'fits',
    by: over > TOLERANCE ? over : 0,
  };
}
