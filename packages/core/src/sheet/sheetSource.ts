import { dequal } from 'dequal/lite';
import type { Design } from '../design';
import { cellsOf } from '../design';
import type { Values } from '../parameter';
import { patternKeys } from '../parameter';
import { issueRows } from '../issue';
import type { SheetRecord } from '../register';
import { sheetValues } from '../register';
import { revisionRows } from '../revision';
import type { OfficeStandard } from '../standard';
import type { Among } from './partMarks';
import type { NewerDrawings } from './newerDrawings';
import { newerDrawings } from './newerDrawings';
import { sheetsWithParts } from './partMarks';
import { parametersOf } from '../standard';
import type { Row, TableKindName, TableRows } from '../table';
import { tableId } from '../table';

/** What all sheets of a project are drawn from. */
export interface ProjectSource {
  design: Design;
  standard: OfficeStandard;
  /** Values entered for the office and for the project. */
  office: Values;
  project: Values;
  /** Rows of tables. */
  tables?: TableRows;
  /** The pattern of its files' names; the usual one where there is none. */
  fileNames?: string;
  /** The device that its sheets are printed on, by its id in the standard. */
  device?: string;
}

/**
 * All that a sheet of a project is drawn from, as plain data. Whoever shows, exports, checks or keeps a sheet draws it from
 * this, so that none of them shows another sheet than the others.
 */
export interface SheetSource extends ProjectSource {
  sheet: SheetRecord;
  /** Its place among the project's sheets, from 0 on, and how many there are. */
  position: { index: number; count: number };
  /** Sheets that hold large-scale parts of what its views show. */
  related?: readonly SheetSource[];
  /** Newer drawings of those that its views show. */
  newer?: NewerDrawings;
}

/** The tables that a design lists, by id, with what their columns ask for. */
type Listed = ReadonlyMap<string, ReadonlySet<string>>;

const listed = new WeakMap<Design, Listed>();

function listedIn(design: Design): Listed {
  let found = listed.get(design);
  if (!found) {
    const tables = new Map<string, Set<string>>();
    for (const { cell } of cellsOf(design)) {
      for (const content of cell.contents) {
        if (content.kind !== 'table') continue;
        const keys = tables.get(tableId(content)) ?? new Set();
        for (const { shows } of content.columns) for (const key of patternKeys(shows)) keys.add(key);
        tables.set(tableId(content), keys);
      }
    }
    listed.set(design, (found = tables));
  }
  return found;
}

/** The tables of a project that were made for a design last, for whoever asks again: what is the same stays the same object. */
const made = new WeakMap<Design, TableRows>();

const sameRows = (a: readonly Row[] | undefined, b: readonly Row[] | undefined): boolean => a === b || dequal(a, b);

/**
 * What the sheets of a project are drawn from, with the rows of those tables alone that the design lists: a sheet index has one for
 * each sheet, with what its columns show. So a change elsewhere in the register, or of a table that the design does not list, leaves
 * each sheet what it is.
 */
export function withRows(of: ProjectSource, sheets: readonly SheetRecord[]): ProjectSource {
  const before = made.get(of.design);
  const tables: Record<string, readonly Row[]> = {};
  for (const [id, keys] of listedIn(of.design)) {
    const rows = id === INDEX ? indexRows(of, sheets, keys) : of.tables?.[id];
    const same = before?.[id];
    if (rows) tables[id] = same && sameRows(same, rows) ? same : rows;
  }
  const ids = Object.keys(tables);
  const unchanged = before && ids.length === Object.keys(before).length && ids.every((id) => before[id] === tables[id]);
  if (!unchanged) made.set(of.design, tables);
  return { ...of, tables: unchanged ? before : tables };
}

/** The table that lists the revisions of a sheet. */
const REVISIONS: TableKindName = 'revisions';
/** The table that lists the issues of a sheet. */
const ISSUES: TableKindName = 'issues';
/** The table that lists the sheets of a project. */
const INDEX: TableKindName = 'index';

const indexRows = (of: ProjectSource, sheets: readonly SheetRecord[], keys: ReadonlySet<string>): Row[] =>
  sheets.map((sheet, index) => {
    const values = valuesOf({ ...of, sheet, position: { index, count: sheets.length } });
    return Object.fromEntries([...keys].flatMap((key) => (values[key] ? [[key, values[key]]] : [])));
  });

/**
 * The sources of all sheets of a project, in the order of the register.
 * @param designOf the design of a sheet by its place, where not all have the project's; sheets of one design share all that is not their own
 * @param among all sheets of the project, where those are a choice of them: parts that are drawn larger, and newer drawings, are looked for there
 */
export function sheetSources(
  of: ProjectSource,
  sheets: readonly SheetRecord[],
  designOf: (index: number) => Design = () => of.design,
  among: Among = { sheets, designOf },
): SheetSource[] {
  const byDesign = new Map<Design, ProjectSource>();
  const sourceOf = (sheet: SheetRecord, design: Design, index: number): SheetSource => {
    const source = byDesign.get(design) ?? withRows({ ...of, design }, sheets);
    byDesign.set(design, source);
    return { ...source, sheet, position: { index, count: sheets.length } };
  };
  const related = new Map<number, SheetSource>();
  const relatedAt = (place: number): SheetSource => {
    const source = related.get(place) ?? sourceOf(among.sheets[place]!, among.designOf(place), place);
    related.set(place, source);
    return source;
  };
  const partsOf = sheetsWithParts(among.sheets);
  const newerOf = newerDrawings(among.sheets);
  return sheets.map((sheet, index) => {
    const newer = newerOf(sheet);
    const own = sourceOf(sheet, designOf(index), index);
    const source = newer ? { ...own, newer } : own;
    const places = partsOf(sheet);
    if (places.length === 0) return source;
    return { ...source, related: places.map(relatedAt) };
  });
}

/** What a sheet shares with all others of its project and its design. */
export const sharedSource = ({
  design,
  standard,
  office,
  project,
  tables,
  fileNames,
  device,
}: SheetSource): ProjectSource => ({
  design,
  standard,
  office,
  project,
  ...(tables ? { tables } : {}),
  ...(fileNames === undefined ? {} : { fileNames }),
  ...(device === undefined ? {} : { device }),
});

/** The rows of all tables of a sheet: those of its project, its own revisions, and the issues that it went out with. */
export const tablesOf = ({ tables, sheet }: SheetSource): TableRows => ({
  ...tables,
  [REVISIONS]: revisionRows(sheet.revisions),
  [ISSUES]: issueRows(sheet.issues),
});

/** The values of all parameters of a sheet. */
export const valuesOf = ({ office, project, fileNames, sheet, position, standard }: SheetSource): Values =>
  sheetValues(
    { office, project, ...(fileNames === undefined ? {} : { fileNames }) },
    sheet,
    position,
    standard.wording,
    parametersOf(standard),
  );

/** Whether two sources are made of the same parts, so that what was drawn from one need not be drawn again from the other. */
export const sameSource = (a: SheetSource, b: SheetSource): boolean =>
  a.sheet === b.sheet &&
  a.design === b.design &&
  a.standard === b.standard &&
  a.office === b.office &&
  a.project === b.project &&
  a.tables === b.tables &&
  a.fileNames === b.fileNames &&
  a.device === b.device &&
  a.position.index === b.position.index &&
  a.position.count === b.position.count &&
  dequal(a.newer, b.newer) &&
  sameRelated(a.related ?? [], b.related ?? []);

const sameRelated = (a: readonly SheetSource[], b: readonly SheetSource[]): boolean =>
  a.length === b.length && a.every((each, i) => each.sheet === b[i]!.sheet && each.design === b[i]!.design);
