import type { Design } from '../design';
import { solveDesign } from '../layout';
import type { Parameters, Values } from '../parameter';
import { valueProblem } from '../parameter';
import { inSheetOrder, kindOfSheet, mayEnter, readSheetNumber } from '../register';
import type { Row, TableRows } from '../table';
import { enteredTables } from '../table';
import type { Conversion } from './convert';
import { normalCaption } from './lexicon';
import { rowsInReport } from './reportRows';
import type { IntakeContext } from './seenSheet';
import type { SetProposal } from './setProposals';
import { setProposals } from './setProposals';

/** A sheet of a set of legacy drawings, as intake read it. */
export interface ReadDrawing extends Pick<Conversion, 'design' | 'report' | 'values'> {
  id: string;
  /** Its file name without the ending. */
  name: string;
  /** The name of a drawing of the set whose file is the same. */
  sameAs?: string;
}

/** A sheet of the register that a set of legacy drawings becomes. */
export interface RegisterSheet {
  drawing: string;
  number: string;
  title: string;
  size: string;
  /** By its title, or its number; plan where neither tells. */
  kind: string;
  /** The name of the drawing that it is the same as, to the last byte. */
  sameAs?: string;
  /** Values that are entered for a sheet, by parameter. */
  values: Values;
  /** The rows of its table of revisions, the oldest first, or the one that its block names. */
  revisions?: readonly Row[];
  /** Cells of its block that the common design has within half a millimetre, and all that it has. */
  cells: { same: number; all: number };
  /** What was decided for it, in words. */
  remarks: string[];
}

/** Sheets with the same title block: one design, and a set of values for each sheet. */
export interface SheetGroup {
  /** The drawing whose design stands for all of them. */
  leader: string;
  design: Design;
  projectValues: Values;
  /** Project data in which the sheets do not agree: the value that most have, and who says otherwise. */
  disagreements: { parameter: string; taken: string; others: { value: string; drawings: string[] }[] }[];
  /** Rows of tables that are entered for a project, such as contacts: those of the sheet that has the most. */
  tables?: TableRows;
  /** Parameters whose old values stay behind, because they are computed. */
  leftOut: string[];
  sheets: RegisterSheet[];
  /** Captions that nobody knows, as what the office may make of them. */
  proposals: SetProposal[];
}

/** Blocks with this part of their captions and fields in common are the same one. */
const SAME = 0.75;
/** On sheets of one size this part of the cells lies in the same place. */
const SAME_PLACE = 0.6;
/** Cells within this distance are the same, in mm. */
const NEAR = 0.5;

interface Fingerprint {
  drawing: ReadDrawing;
  /** Captions in their words, and parameters that are asked for. */
  signs: Set<string>;
}

function fingerprintOf(drawing: ReadDrawing): Fingerprint {
  const signs = drawing.report.texts.flatMap(({ kind, text, parameter }) =>
    kind === 'caption'
      ? [`caption ${normalCaption(text)}`]
      : (kind === 'field' || kind === 'option') && parameter
        ? [parameter]
        : [],
  );
  return { drawing, signs: new Set(signs) };
}

function likeness(a: Fingerprint, b: Fingerprint): number {
  const common = [...a.signs].filter((sign) => b.signs.has(sign)).length;
  const all = a.signs.size + b.signs.size - common;
  return all === 0 ? 0 : common / all;
}

type Cells = readonly { x: number; y: number; width: number; height: number }[];

function cellsInCommon(cells: Cells, others: Cells): number {
  return cells.filter((cell) =>
    others.some((other) => (['x', 'y', 'width', 'height'] as const).every((k) => Math.abs(cell[k] - other[k]) <= NEAR)),
  ).length;
}

function isSameBlock(a: Fingerprint, b: Fingerprint): boolean {
  if (likeness(a, b) < SAME) return false;
  const [one, other] = [a.drawing.report, b.drawing.report];
  if (one.sheet.name !== other.sheet.name || one.sheet.width !== other.sheet.width) return true;
  return cellsInCommon(one.cells, other.cells) >= SAME_PLACE * Math.max(one.cells.length, other.cells.length);
}

/**
 * Recognises which drawings of a set carry the same title block, and makes a register of each such group: one design, the
 * project data that the sheets share, and the values of each sheet.
 * @returns the largest group first
 */
export function sheetGroups(drawings: readonly ReadDrawing[], parameters: Parameters, on: IntakeContext): SheetGroup[] {
  const groups: Fingerprint[][] = [];
  for (const drawing of drawings) {
    const print = fingerprintOf(drawing);
    const group = groups.find(([first]) => first && isSameBlock(first, print));
    if (group) group.push(print);
    else groups.push([print]);
  }
  return groups.map((group) => groupOf(group, parameters, on)).sort((a, b) => b.sheets.length - a.sheets.length);
}

function groupOf(group: readonly Fingerprint[], parameters: Parameters, on: IntakeContext): SheetGroup {
  const leader = leaderOf(group);
  const sizes = new Map(leader.design.sizes.map((each) => [each.size, each]));
  // Sizes that the set has none of stay behind those that it has.
  const own = group.flatMap(({ drawing }) => drawing.design.sizes.slice(0, 1));
  const design: Design = {
    ...leader.design,
    sizes: [...new Map([...own.map((each) => [each.size, each] as const), ...sizes]).values()],
  };
  const { projectValues, disagreements } = sharedValues(group, parameters);
  const solved = new Map<string, Cells>();
  const cellsOn = (size: Design['sizes'][number]): Cells => {
    const known = solved.get(size.size) ?? solveDesign(design, { ...size, values: {}, ...on }).cells;
    solved.set(size.size, known);
    return known;
  };
  const taken = new Set<string>();
  const leftOut = new Set<string>();
  const sheets = group.map(({ drawing }): RegisterSheet => {
    const { report, values, name, sameAs } = drawing;
    const remarks: string[] = [];
    if (sameAs !== undefined) remarks.push(`its file is the same as ${sameAs}`);
    const written = oneLine(values['sheet.number'] ?? '').slice(0, 40);
    if (written === '') remarks.push('its block has no sheet number; the file’s name stands in for it');
    const number = freeNumber(written || name.slice(0, 36), taken);
    if (written !== '' && number !== written) remarks.push(`there are several sheets ${written}`);
    for (const [key, value] of Object.entries(values)) {
      const parameter = parameters.get(key);
      const problem = parameter && !parameter.computed ? valueProblem(parameter, value) : undefined;
      if (problem !== undefined) remarks.push(`“${oneLine(value).slice(0, 40)}” is not imported: ${problem}`);
      if (value !== '' && parameters.get(key)?.computed && !NUMBERED.has(key) && !REVISED.has(key)) leftOut.add(key);
    }
    const size = drawing.design.sizes[0] ?? { size: report.sheet.name, orientation: 'landscape' as const };
    const title = tidyLines(values['sheet.title'] ?? '').slice(0, 300);
    return {
      drawing: drawing.id,
      number,
      title,
      kind: kindOfSheet(title, readSheetNumber(number)?.type) ?? 'plan',
      ...(sameAs === undefined ? {} : { sameAs }),
      size: size.size,
      values: Object.fromEntries(
        Object.entries(values).filter(
          ([key, value]) =>
            value !== '' && !NUMBERED.has(key) && mayEnter(key, 'sheet', parameters) && !key.startsWith('project.'),
        ),
      ),
      revisions: revisionsOf(drawing),
      cells: { same: cellsInCommon(report.cells, cellsOn(size)), all: report.cells.length },
      remarks,
    };
  });
  return {
    leader: leader.id,
    design,
    projectValues,
    disagreements,
    tables: enteredRows(group.map(({ drawing }) => drawing.report)),
    leftOut: [...leftOut],
    sheets: inSheetOrder(sheets),
    proposals: setProposals(group.map(({ drawing }) => drawing.report)),
  };
}

/** Rows of tables that people enter for a project, from the sheets that have them: each table from the one with the most rows. */
function enteredRows(reports: readonly ReadDrawing['report'][]): TableRows {
  const tables: Record<string, readonly Row[]> = {};
  const read = reports.map(rowsInReport);
  for (const { id } of enteredTables([])) {
    const most = read.map((rows) => rows[id] ?? []).sort((a, b) => b.length - a.length)[0] ?? [];
    if (most.length > 0) tables[id] = most;
  }
  return tables;
}

/** What a sheet's revisions say. */
const REVISED = new Set(['sheet.revision', 'sheet.revisionDate']);

/** The revisions that stood on a sheet: its table of them, and the one that its block names beside that. */
function revisionsOf({ report, values }: ReadDrawing): Row[] {
  const rows = [...(rowsInReport(report)['revisions'] ?? [])];
  const code = oneLine(values['sheet.revision'] ?? '');
  if (code === '' || rows.some((row) => row['code'] === code)) return rows;
  return [...rows, { code, date: oneLine(values['sheet.revisionDate'] ?? ''), description: '' }];
}

/** What a register keeps in columns of its own. */
const NUMBERED = new Set(['sheet.number', 'sheet.title', 'sheet.size']);

const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** A text without blank lines and without more than one blank between words. */
const tidyLines = (text: string): string => text.split('\n').map(oneLine).filter(Boolean).join('\n');

function freeNumber(wanted: string, taken: Set<string>): string {
  let number = wanted;
  for (let i = 2; taken.has(number); i++) number = `${wanted} (${i})`;
  taken.add(number);
  return number;
}

/** The drawing that is most like all others, and of those the one with the most cells. */
function leaderOf(group: readonly Fingerprint[]): ReadDrawing {
  // Likeness to a few is likeness to all, and a set may be long.
  const sample = group.filter((_, i) => i % Math.ceil(group.length / 25) === 0);
  const best = group
    .map((each) => ({
      drawing: each.drawing,
      like: sample.reduce((sum, other) => sum + likeness(each, other), 0),
      cells: each.drawing.report.cells.length,
    }))
    .sort((a, b) => b.like - a.like || b.cells - a.cells)[0];
  if (!best) throw new Error('a group of sheets has no sheets');
  return best.drawing;
}

function sharedValues(
  group: readonly Fingerprint[],
  parameters: Parameters,
): Pick<SheetGroup, 'projectValues' | 'disagreements'> {
  const projectValues: Record<string, string> = {};
  const disagreements: SheetGroup['disagreements'] = [];
  const keys = new Set(group.flatMap(({ drawing }) => Object.keys(drawing.values)));
  for (const key of keys) {
    if (!key.startsWith('project.') || !mayEnter(key, 'project', parameters)) continue;
    const said = new Map<string, string[]>();
    for (const { drawing } of group) {
      const value = oneLine(drawing.values[key] ?? '');
      if (value !== '') said.set(value, [...(said.get(value) ?? []), drawing.id]);
    }
    const [most, ...others] = [...said].sort((a, b) => b[1].length - a[1].length);
    if (!most) continue;
    projectValues[key] = most[0];
    if (others.length > 0) {
      disagreements.push({
        parameter: key,
        taken: most[0],
        others: others.map(([value, drawings]) => ({ value, drawings })),
      });
    }
  }
  return { projectValues, disagreements };
}
