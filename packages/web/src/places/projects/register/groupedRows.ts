import { textIn } from './findReplace';
import type { Row } from './rows';

/** A line over the rows of a group. */
export interface GroupLine {
  id: string;
  group: {
    /** What its rows have in common; empty where they have nothing. */
    words: string;
    members: readonly Row[];
    open: boolean;
  };
}

export type Line = Row | GroupLine;

export const isGroup = (line: Line): line is GroupLine => 'group' in line;

/** By what the rows of a register can be grouped besides columns of the office: what repeats. */
export const GROUPED_BY: ReadonlySet<string> = new Set([
  'kind',
  'size',
  'scale',
  'revision',
  'drawnBy',
  'checkedBy',
  'date',
]);

/**
 * Rows under lines of their groups, in the order in which the groups first come; rows of a closed group are left out.
 * @param field the column that says which group a row is in; undefined leaves the rows as they are
 */
export function groupedRows(
  rows: readonly Row[],
  field: string | undefined,
  closed: ReadonlySet<string>,
): readonly Line[] {
  if (field === undefined) return rows;
  const groups = new Map<string, Row[]>();
  for (const row of rows) {
    const words = textIn(row, field);
    const known = groups.get(words);
    if (known) known.push(row);
    else groups.set(words, [row]);
  }
  return [...groups].flatMap(([words, members]): Line[] => {
    const open = !closed.has(words);
    const line = { id: `group ${words}`, group: { words, members, open } };
    return open ? [line, ...members] : [line];
  });
}

/** What a grid says is chosen, by ids of rows and of lines of groups. */
interface GridChoice {
  type: 'include' | 'exclude';
  ids: ReadonlySet<unknown>;
}

/** Ids that a grid shows as chosen: those of rows, and of groups all of whose rows are. */
export const chosenLines = (lines: readonly Line[], chosen: ReadonlySet<string>): Set<string> =>
  new Set([
    ...chosen,
    ...lines.flatMap((line) =>
      isGroup(line) && line.group.members.every(({ id }) => chosen.has(id)) ? [line.id] : [],
    ),
  ]);

/** The rows that are chosen after something was chosen in a grid; a group stands for all its rows, seen or not. */
export function rechosenRows(
  rows: readonly Row[],
  lines: readonly Line[],
  before: ReadonlySet<string>,
  { type, ids }: GridChoice,
): Set<string> {
  const shown = new Set(lines.map(({ id }) => id));
  const isChosen = (id: string): boolean => ids.has(id) === (type === 'include');
  const chosen = new Set(rows.flatMap(({ id }) => ((shown.has(id) ? isChosen(id) : before.has(id)) ? [id] : [])));
  const was = chosenLines(lines, before);
  for (const line of lines) {
    if (!isGroup(line) || was.has(line.id) === isChosen(line.id)) continue;
    // A group that is no longer whole because one of its rows went is not let go altogether.
    const touched = line.group.members.some(({ id }) => shown.has(id) && before.has(id) !== isChosen(id));
    if (touched) continue;
    for (const { id } of line.group.members)
      if (isChosen(line.id)) chosen.add(id);
      else chosen.delete(id);
  }
  return chosen;
}
