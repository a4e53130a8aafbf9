import type { Content, Design } from '../design';
import { mapCells } from '../design';
import type { Point } from '../geometry';
import type { SheetLayout, TextLayout } from '../layout';
import type { BuiltDesign } from './builtDesign';
import { inTenths } from './cellShift';
import type { ReadText } from './readText';

/** What stands farther than this from where it stood, in mm, is shifted there; nobody sees less. */
const SEEN = 1;
/** Texts leave their stacks as they are shifted, and what stays moves: so often it is looked again. */
const ROUNDS = 3;

interface Off {
  along: number;
  up: number;
}

type Solve = (design: Design) => SheetLayout;

/** The lines of what became each content. */
function oldLines(built: Pick<BuiltDesign, 'contentIds'>): Map<string, ReadText[]> {
  const lines = new Map<string, ReadText[]>();
  for (const [read, id] of built.contentIds) {
    if (read.kind === 'option' || read.text.text === '') continue;
    const own = lines.get(id);
    if (own) own.push(read);
    else lines.set(id, [read]);
  }
  return lines;
}

/** How far a text stands from its old place, in its reading direction; sideways only where both are aligned by the same end. */
function offOf(text: TextLayout, { text: old }: ReadText): Off {
  const [line] = text.lines;
  if (!line) return { along: 0, up: 0 };
  const turn = (text.rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const end = { left: 0, centre: 0.5, right: 1 }[text.horizontal] * line.width;
  const now: Point = { x: line.x + end * c, y: line.y + end * s };
  const [dx, dy] = [old.at.x - now.x, old.at.y - now.y];
  // An old text that is aligned otherwise begins at the place that is known of it.
  const along = text.horizontal === 'left' && old.align === 'left' ? dx * c + dy * s : 0;
  return { along, up: dy * c - dx * s };
}

const isSeen = ({ along, up }: Off): boolean => Math.hypot(along, up) > SEEN;

/** What does not fit, by content or cell. */
const misfits = (layout: SheetLayout): Set<string> =>
  new Set(
    layout.findings
      .filter(({ kind }) => kind === 'spill' || kind === 'overlap')
      .map(({ where }) => where.content ?? where.cell ?? ''),
  );

const withShifts = (design: Design, shifts: ReadonlyMap<string, Off>): Design =>
  mapCells(design, (cell) => {
    if (!cell.contents.some(({ id }) => shifts.has(id))) return cell;
    const contents = cell.contents.map((content): Content => {
      const off = shifts.get(content.id);
      return off ? { ...content, shift: { along: inTenths(off.along), up: inTenths(off.up) } } : content;
    });
    return { ...cell, contents };
  });

/**
 * Shifts texts that would stand farther than a millimetre from where they stood to their old places, where they fit there.
 * @param solve the design on the sheet that it was read from
 */
export function settled(design: Design, built: Pick<BuiltDesign, 'contentIds'>, solve: Solve): Design {
  const lines = oldLines(built);
  const before = solve(design);
  const shifts = new Map<string, Off>();
  const firstMisfits = misfits(before);
  let layout = before;
  for (let round = 0; round < ROUNDS; round++) {
    const more = layout.texts.filter((text) => {
      const old = lines.get(text.content) ?? [];
      const [first] = old;
      // What breaks into other lines than before has no line to stand where it stood.
      const alike = (text.fit === 'fits' || text.fit === 'wrapped') && text.lines.length === old.length;
      return first && alike && !shifts.has(text.content) && isSeen(offOf(text, first));
    });
    if (more.length === 0) break;
    // Without its stack a text has another place to be shifted from.
    for (const { content } of more) shifts.set(content, { along: 0, up: 0 });
    const alone = solve(withShifts(design, shifts));
    for (const text of alone.texts) {
      const [first, own] = [lines.get(text.content)?.[0], shifts.get(text.content)];
      if (!first || !own) continue;
      const off = offOf(text, first);
      shifts.set(text.content, { along: own.along + off.along, up: own.up + off.up });
    }
    layout = solve(withShifts(design, shifts));
    const worse = [...misfits(layout)].filter((each) => !firstMisfits.has(each));
    if (worse.length === 0) continue;
    for (const text of layout.texts)
      if (worse.includes(text.content) || worse.includes(text.cell)) shifts.delete(text.content);
    return withShifts(design, shifts);
  }
  return withShifts(design, shifts);
}
