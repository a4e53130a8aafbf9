import { composeSheet } from '../compose';
import type { Design } from '../design';
import type { Drawing, Item, Segment } from '../drawing';
import { boundsOf, deviationBetween, placed, segmentsOf } from '../drawing';
import type { Point, Rect } from '../geometry';
import { around, contains } from '../geometry';
import { solveDesign } from '../layout';
import type { Values } from '../parameter';
import { SHIPPED_PARAMETERS } from '../parameter';
import type { OfficeStandard } from '../standard';
import type { BuiltDesign, FoundCell } from './buildDesign';
import { buildDesign, cellAt, inWords } from './buildDesign';
import type { ReadText } from './cellTexts';
import { knownCaption, readCell } from './cellTexts';
import { blockLines, facesOf, TooManyLinesError } from './faces';
import type { Dropped, LegacyDrawing } from './legacyDrawing';
import { PAGE_EDGE } from './legacyDrawing';
import type { LegacyText } from './legacyText';
import { legacyText } from './legacyText';
import type { RuledLine } from './linework';
import { piecesOf, ruledLines } from './linework';
import type { Corrections } from './corrections';
import type { Decision, IntakeReport, ReportText } from './report';
import type { IntakeContext, SeenSheet } from './seenSheet';
import { IntakeError, sheetOf } from './seenSheet';
import type { FoundSheet } from './sheetSearch';
import { findTables } from './tables';
import { readNeighbours } from './neighbours';

export interface Conversion {
  design: Design;
  report: IntakeReport;
  /** The legacy linework in mm on paper, for showing it under the result. */
  legacy: Drawing;
  /** The values that stood in the old title block, by parameter. */
  values: Values;
}

/** A space of a file that may hold a sheet: the model, a page layout, a page. */
export interface LegacySpace {
  name: string;
  drawing: LegacyDrawing;
}

/** Pages are made to be printed, and a model that has a sheet in it beside them is usually the older habit. */
const PAGE = 0.5;

/**
 * Turns the likeliest sheet among the spaces of a file into a design.
 * @throws IntakeError when there is no sheet in any of them; that of the first space that is not empty
 */
export function convertSpaces(spaces: readonly LegacySpace[], name: string, on: IntakeContext): Conversion {
  const chosen = spaces.find((space) => space.name === on.corrections?.space);
  let best: { score: number; space: LegacySpace; seen: SeenSheet } | undefined;
  let first: IntakeError | undefined;
  (chosen ? [chosen] : spaces).forEach((space, i) => {
    try {
      const seen = sheetOf(space.drawing, on);
      const score = seen.score + (i > 0 ? PAGE : 0);
      if (!best || score > best.score) best = { score, space, seen };
    } catch (error) {
      if (!(error instanceof IntakeError)) throw error;
      if (space.drawing.items.length > 0) first ??= error;
    }
  });
  if (!best && first) throw first;
  const space = best?.space ?? spaces[0];
  const conversion =
    space && best
      ? convertSeen(space.drawing, best.seen, name, on)
      : convertLegacy(space?.drawing ?? NOTHING, name, on);
  const report = { ...conversion.report, space: space?.name ?? '', spaces: spaces.map((each) => each.name) };
  return { ...conversion, report };
}

const NOTHING: LegacyDrawing = { items: [], source: { format: '', version: '', entities: 0 }, dropped: [] };

/** Lines within this distance on paper are one, in mm. */
const TOLERANCE = 0.12;

/**
 * Turns a legacy drawing into a design: finds its unit and sheet, the frame, the cells from linework, the captions and
 * values, and maps captions to parameters.
 * @throws IntakeError when there is no sheet or no title block to be found
 */
export function convertLegacy(drawing: LegacyDrawing, name: string, on: IntakeContext): Conversion {
  if (drawing.items.length === 0)
    throw new IntakeError('the drawing is empty: it has no lines and no texts that can be read');
  return convertSeen(drawing, sheetOf(drawing, on), name, on);
}

function convertSeen(
  drawing: LegacyDrawing,
  { sheet: found, seen: whole, rotation, candidates }: SeenSheet,
  name: string,
  on: IntakeContext,
): Conversion {
  const seen = { ...whole, items: whole.items.filter((item) => item.layer !== PAGE_EDGE) };
  const sheet = seen.items.length < whole.items.length ? { ...found, edgeDrawn: false } : found;
  const placedOn = onPaper(seen, sheet);
  const { legacy, strayed } = withoutStrays(placedOn);
  const ids = new Map(placedOn.items.map((item, i) => [item, i]));
  const texts = legacy.items.flatMap((item) =>
    item.kind === 'text' ? (legacyText(item, ids.get(item) ?? 0) ?? []) : [],
  );
  const { inFrame, zones } = sortTexts(texts, sheet);

  const lines = ruledLines(legacy.items, TOLERANCE);
  const captions = inFrame.filter(knownCaption).map((text) => text.anchor);
  const { kept, loose } = blockLines(lines, sheet.frame, captions, TOLERANCE * 2);
  const { cells, tables, odd } = cellsOf(kept, sheet, inFrame, on.corrections?.joined ?? []);
  const tableTexts = new Set(tables.flatMap((table) => table.headings));
  const rest = inFrame.filter((text) => !tableTexts.has(text) && !tables.some((table) => contains(table, text.anchor)));

  const outside: LegacyText[] = [];
  const byCell = new Map<FoundCell, LegacyText[]>();
  for (const text of rest) {
    const cell = cellAt(cells, text.anchor);
    if (cell) byCell.set(cell, [...(byCell.get(cell) ?? []), text]);
    else outside.push(text);
  }
  for (const [cell, own] of byCell) cell.texts = readCell(own, cell.face, on.corrections?.texts);
  readNeighbours(cells);
  const dropped = [
    ...drawing.dropped,
    ...strayed,
    ...sortLinework(legacy.items, cells, loose, sheet),
    ...droppedTexts(outside),
  ];

  const built = buildDesign(name, sheet, cells, tables, zones.length >= 4, on.standard);
  const solved = solveDesign(built.design, {
    size: sheet.size.name,
    orientation: sheet.orientation,
    values: {},
    ...on,
  });
  const solvedCells = new Map(solved.cells.map((cell) => [cell.id, cell]));
  const rebuilt = composeSheet(built.design, solved, on);
  const decisions = decisionsOf(sheet, cells, built);
  const report: IntakeReport = {
    source: {
      ...drawing.source,
      unitsPerPaperMm: round(sheet.unitsPerPaperMm, 9),
      rotation: round(rotation, 2) % 360,
    },
    sheet: { name: sheet.size.name, width: sheet.width, height: sheet.height },
    candidates,
    space: '',
    spaces: [],
    frame: roundRect(sheet.frame),
    cells: cells.map(({ face }) => {
      const id = built.cellIds.get(face) ?? '';
      return { id, ...roundRect(solvedCells.get(id) ?? face) };
    }),
    texts: [
      ...cells.flatMap((cell) => cell.texts.map((read) => reportText(read, cell, built))),
      ...tables.flatMap((table) => table.headings).map((text) => plainText(text, 'caption', on.standard, sheet)),
      ...zones.map((text) => plainText(text, 'zone', on.standard, sheet)),
    ],
    tables: tables.map((table) => ({
      kind: table.kind,
      ...roundRect(table),
      columns: table.columns.map((c) => c.heading),
    })),
    dropped: dropped.filter((each) => each.entities > 0),
    deviation: deviationOf(legacy, rebuilt, cells, tables, sheet),
    unresolved: unresolvedOf(cells, odd),
    decisions,
  };
  return { design: built.design, report, legacy, values: valuesOf(cells) };
}

const round = (value: number, digits = 4): number => Number(value.toFixed(digits));
const roundRect = ({ x, y, width, height }: Rect): Rect => ({
  x: round(x),
  y: round(y),
  width: round(width),
  height: round(height),
});

function onPaper(drawing: LegacyDrawing, sheet: FoundSheet): Drawing {
  const scale = 1 / sheet.unitsPerPaperMm;
  const items = drawing.items.map((item) => placed(item, scale, -sheet.origin.x * scale, -sheet.origin.y * scale));
  return { width: sheet.width, height: sheet.height, items };
}

/** Linework may reach this far over the sheet's edge, in mm. */
const OVER_EDGE = 3;

/** Takes out linework that runs out of the sheet, such as construction lines, and what lies beside the sheet altogether. */
function withoutStrays(drawing: Drawing): { legacy: Drawing; strayed: Dropped[] } {
  const counts = new Map<string, number>();
  const items = drawing.items.filter((item) => {
    const bounds = boundsOf(item);
    const over = Math.max(
      -bounds.x,
      -bounds.y,
      bounds.x + bounds.width - drawing.width,
      bounds.y + bounds.height - drawing.height,
    );
    // Widths of texts are estimates, so a text may seem to reach further than it does.
    if (over <= OVER_EDGE || (item.kind === 'text' && over <= 5 * OVER_EDGE)) return true;
    counts.set(item.layer, (counts.get(item.layer) ?? 0) + 1);
    return false;
  });
  const strayed = [...counts].map(([layer, entities]) => ({
    layer,
    entities,
    why: 'it runs out of the sheet or lies beside it',
  }));
  return { legacy: { ...drawing, items }, strayed };
}

/** A zone mark is one or two signs that stand in the margin. */
const ZONE_MARK = /^([A-Z]{1,2}|\d{1,2})$/;

function sortTexts(texts: readonly LegacyText[], sheet: FoundSheet): { inFrame: LegacyText[]; zones: LegacyText[] } {
  const edge = { x: 0, y: 0, width: sheet.width, height: sheet.height };
  const inFrame = texts.filter((text) => contains(sheet.frame, text.anchor));
  const zones = texts.filter(
    (text) => !contains(sheet.frame, text.anchor) && contains(edge, text.anchor, 2) && ZONE_MARK.test(text.text),
  );
  return { inFrame, zones };
}

function cellsOf(
  lines: readonly RuledLine[],
  sheet: FoundSheet,
  texts: readonly LegacyText[],
  joined: NonNullable<Corrections['joined']>,
) {
  let faces;
  try {
    faces = facesOf(lines, sheet.frame, TOLERANCE * 3);
  } catch (error) {
    if (error instanceof TooManyLinesError)
      throw new IntakeError(`the title block cannot be told from the drawing: ${error.message}`);
    throw error;
  }
  const apart = joined.reduce<Rect[]>((cells, points) => joinFaces(cells, points), faces.cells);
  const tables = findTables(apart, texts);
  const inTables = new Set(tables.flatMap((table) => table.cells));
  const cells: FoundCell[] = apart
    .filter((face) => !inTables.has(face))
    .map((face) => ({ face, texts: [], linework: [] }));
  if (cells.length === 0)
    throw new IntakeError(`a frame of ${sheet.size.name} was found, but no cells of a title block in it`);
  return { cells, tables, odd: faces.odd };
}

/** The cells with those that hold the points made one, where together they fill a rectangle; else as they are. */
function joinFaces(cells: readonly Rect[], points: readonly Point[]): Rect[] {
  const those = cells.filter((cell) => points.some((each) => contains(cell, each)));
  const bounds = around(those);
  const area = (rect: Rect): number => rect.width * rect.height;
  const filled = bounds && those.reduce((sum, cell) => sum + area(cell), 0) > 0.995 * area(bounds);
  return bounds && filled && those.length > 1 ? [...cells.filter((cell) => !those.includes(cell)), bounds] : [...cells];
}

/** Gives each piece of linework that is no ruled line to the cell it lies in; counts what lies in none. */
function sortLinework(
  items: readonly Item[],
  cells: readonly FoundCell[],
  loose: readonly RuledLine[],
  sheet: FoundSheet,
): Dropped[] {
  const counts = new Map<string, number>();
  const drop = (layer: string): void => {
    counts.set(layer, (counts.get(layer) ?? 0) + 1);
  };
  const looseLayers = new Set(loose.flatMap((line) => [...line.layers]));
  const index = indexOf(loose);
  for (const item of items) {
    if (item.kind === 'text') continue;
    const bounds = boundsOf(item);
    const centre = { x: bounds.x + bounds.width / 2, y: bounds.y + bounds.height / 2 };
    const pieces = piecesOf(item, TOLERANCE);
    const ruled = pieces.length > 0 && pieces.every(isRuled);
    const cell = cellAt(cells, centre);
    const holds = cell && bounds.width <= cell.face.width + 0.1 && bounds.height <= cell.face.height + 0.1;
    if (!ruled && holds) cell.linework.push(item);
    else if (!ruled) drop(item.layer);
    else if (looseLayers.has(item.layer) && contains(sheet.frame, centre) && isLoose(pieces, index)) {
      // A box or a line that touches nothing is part of a mark in the cell, if it is in one.
      if (holds) cell.linework.push(item);
      else drop(item.layer);
    }
  }
  return [...counts].map(([layer, entities]) => ({
    layer,
    entities,
    why: 'it lies in the drawing area and does not hang together with the title block',
  }));
}

const isRuled = (s: Segment): boolean => {
  const [dx, dy] = [Math.abs(s.x1 - s.x0), Math.abs(s.y1 - s.y0)];
  return Math.min(dx, dy) <= Math.max(0.01 * Math.max(dx, dy), 0.12);
};

type LineIndex = Readonly<Record<RuledLine['axis'], { at: Float64Array; lines: RuledLine[] }>>;

/** Lines by their positions, for finding those near a place. */
function indexOf(lines: readonly RuledLine[]): LineIndex {
  const along = (axis: RuledLine['axis']) => {
    const own = lines.filter((line) => line.axis === axis).sort((a, b) => a.at - b.at);
    return { at: Float64Array.from(own, (line) => line.at), lines: own };
  };
  return { horizontal: along('horizontal'), vertical: along('vertical') };
}

/** A piece lies on a line when it is no farther from it than this, in mm. */
const ON_LINE = 0.5;

function isLoose(pieces: readonly Segment[], loose: LineIndex): boolean {
  return pieces.every((s) => {
    const level = Math.abs(s.y1 - s.y0) < Math.abs(s.x1 - s.x0);
    const at = level ? (s.y0 + s.y1) / 2 : (s.x0 + s.x1) / 2;
    const middle = level ? (s.x0 + s.x1) / 2 : (s.y0 + s.y1) / 2;
    const { at: places, lines } = loose[level ? 'horizontal' : 'vertical'];
    for (let i = firstFrom(places, at - ON_LINE); i < lines.length && (places[i] ?? 0) < at + ON_LINE; i++) {
      if (lines[i]?.spans.some(([from, to]) => middle >= from - ON_LINE && middle <= to + ON_LINE)) return true;
    }
    return false;
  });
}

/** The first of some sorted positions that is not below a value. */
function firstFrom(places: Float64Array, value: number): number {
  let [low, high] = [0, places.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((places[middle] ?? 0) < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

function droppedTexts(outside: readonly LegacyText[]): Dropped[] {
  const counts = new Map<string, number>();
  for (const text of outside) counts.set(text.layer, (counts.get(text.layer) ?? 0) + 1);
  return [...counts].map(([layer, entities]) => ({
    layer,
    entities,
    why: 'texts in the drawing area, outside of every cell',
  }));
}

function reportText(read: ReadText, cell: FoundCell, built: BuiltDesign): ReportText {
  const role = built.roles.get(read);
  return {
    id: read.text.id,
    text: read.text.text,
    kind: read.kind,
    parameter: read.kind === 'field' ? (read.parameter ?? null) : null,
    role: role?.id ?? null,
    x: round(read.text.at.x),
    y: round(read.text.at.y),
    height: role?.height ?? read.text.height,
    cell: built.cellIds.get(cell.face) ?? null,
  };
}

function plainText(
  text: LegacyText,
  kind: 'caption' | 'zone',
  standard: OfficeStandard,
  sheet: FoundSheet,
): ReportText {
  const candidates =
    kind === 'zone'
      ? standard.roles.filter((role) => role.use === 'zone')
      : standard.roles.filter((role) => role.use === 'caption' && (role.unit === 'in') === (sheet.system === 'inch'));
  const role = [...candidates].sort((a, b) => Math.abs(a.height - text.height) - Math.abs(b.height - text.height))[0];
  return {
    id: text.id,
    text: text.text,
    kind,
    parameter: null,
    role: role?.id ?? null,
    x: round(text.at.x),
    y: round(text.at.y),
    height: role?.height ?? round(text.height),
    cell: null,
  };
}

/** Linework of frame and title block, old and new; zone lines and the edge of the sheet are left out of both. */
function deviationOf(
  legacy: Drawing,
  rebuilt: Drawing,
  cells: readonly FoundCell[],
  tables: readonly Rect[],
  sheet: FoundSheet,
): { max: number; mean: number } {
  const near = (rect: Rect, s: Segment): boolean => contains(rect, { x: (s.x0 + s.x1) / 2, y: (s.y0 + s.y1) / 2 }, 0.3);
  const onFrame = (s: Segment): boolean => {
    const { x, y, width, height } = sheet.frame;
    const level = Math.abs(s.y1 - s.y0) < Math.abs(s.x1 - s.x0);
    const at = level ? (s.y0 + s.y1) / 2 : (s.x0 + s.x1) / 2;
    return (level ? [y, y + height] : [x, x + width]).some((edge) => Math.abs(edge - at) < 0.3);
  };
  const inBlock = (s: Segment): boolean =>
    onFrame(s) || cells.some((cell) => near(cell.face, s)) || tables.some((table) => near(table, s));
  const long = (s: Segment): boolean => Math.hypot(s.x1 - s.x0, s.y1 - s.y0) > 1e-6;
  const old = segmentsOf(legacy.items).filter((s) => inBlock(s) && long(s));
  const now = segmentsOf(rebuilt.items.filter((item) => item.layer !== 'SHEET-MARKS')).filter(
    (s) => inBlock(s) && long(s),
  );
  const { max, mean } = deviationBetween(old, now);
  return { max: round(max), mean: round(mean) };
}

function unresolvedOf(cells: readonly FoundCell[], odd: readonly Rect[]): string[] {
  const found = odd.map(
    (rect) =>
      `a region of ${round(rect.width, 1)} x ${round(rect.height, 1)} mm at ${round(rect.x, 1)}, ${round(rect.y, 1)} is no rectangle`,
  );
  for (const cell of cells) {
    for (const read of cell.texts) {
      if (read.kind === 'note' && read.text.tag !== undefined) {
        found.push(`no parameter is known for the attribute ${read.text.tag} (“${read.text.text}”)`);
      } else if (read.kind === 'note' && cell.texts.some((each) => each.kind === 'caption' && !each.parameter)) {
        found.push(`no parameter is known for what stands over “${read.text.text}”`);
      }
    }
  }
  return found;
}

function valuesOf(cells: readonly FoundCell[]): Values {
  const values: Record<string, string> = {};
  for (const { texts } of cells) {
    for (const { kind, parameter, text } of texts) {
      if (kind !== 'field' || !parameter || text.text === '') continue;
      const before = values[parameter];
      values[parameter] = before === undefined ? text.text : `${before} ${text.text}`;
    }
  }
  return values;
}

function decisionsOf(sheet: FoundSheet, cells: readonly FoundCell[], built: BuiltDesign): Decision[] {
  const extent = `${inWords(sheet.width, sheet.system)} x ${inWords(sheet.height, sheet.system)}`;
  const decisions: Decision[] = [
    { what: `The sheet is ${sheet.size.name}, ${extent}`, why: sheet.why, confidence: sheet.confidence },
  ];
  for (const cell of cells) {
    for (const read of cell.texts) {
      if (read.kind === 'caption' || read.text.text === '') continue;
      const parameter = read.parameter ? SHIPPED_PARAMETERS.get(read.parameter) : undefined;
      const content = built.contentIds.get(read);
      decisions.push({
        what: parameter
          ? `“${read.text.text}” is the ${parameter.name.toLowerCase()}`
          : `“${read.text.text}” stays as fixed words`,
        why: read.why,
        confidence: read.confidence,
        ...(content ? { content } : {}),
      });
    }
  }
  return decisions;
}
