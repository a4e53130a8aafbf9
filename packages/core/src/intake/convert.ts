import { composeSheet } from '../compose';
import type { Design } from '../design';
import { DesignError, readDesign } from '../design';
import type { Drawing, Item } from '../drawing';
import { placed } from '../drawing';
import type { Point, Rect } from '../geometry';
import { around, contains } from '../geometry';
import type { SheetLayout } from '../layout';
import { LayoutError, solveDesign } from '../layout';
import type { Values } from '../parameter';
import { sizesOf } from '../standard';
import type { FoundCell } from './builtDesign';
import { buildDesign, cellAt } from './buildDesign';
import { knownCaption, readCell } from './cellTexts';
import { cleaningOf } from './cleaning';
import { compared, isOfBlock } from './comparison';
import type { Corrections } from './corrections';
import { NO_LESSONS } from './corrections';
import { blockLines } from './blockLines';
import { givenPictures, namedOnPaper, picturesIn } from './oldPictures';
import type { Faces } from './faces';
import type { LegacyDrawing } from './legacyDrawing';
import { PAGE_EDGE } from './legacyDrawing';
import type { LegacyText } from './legacyText';
import { optionsOf } from './options';
import { drawnAsBoxes, readChoices } from './choices';
import { legacyText } from './legacyText';
import { parameterOfCaption } from './lexicon';
import type { IntakeStep } from './progress';
import { closedLines } from './linework';
import { marksIn } from './marks';
import { readNameColumns, readNeighbours } from './neighbours';
import { readRepeated } from './repetition';
import { settled } from './settle';
import { shownLegacy } from './shownLegacy';
import { pensOf } from './oldPens';
import { groupFaces } from './partition';
import type { LegacyPlace } from './places';
import { placesIn } from './places';
import { proposalsFor } from './proposals';
import { withoutPlans } from './regions';
import type { IntakeReport } from './report';
import { decisionsOf, letteringOf, plainText, reportText, unresolvedOf, valuesOf } from './reportTexts';
import { round, roundedLengths, roundRect } from './rounding';
import type { IntakeContext, SeenSheet } from './seenSheet';
import { IntakeError, sheetOf } from './seenSheet';
import type { FoundSheet } from './sheetSearch';
import { droppedPieces, droppedTexts, layersOf, sortLinework, withoutStrays } from './sortLinework';
import { TOLERANCE } from './tolerances';
import { findTables } from './tables';

export interface Conversion {
  design: Design;
  report: IntakeReport;
  /** The legacy linework in mm on paper, for showing it under the result. */
  legacy: Drawing;
  /** How many things of its drawing area are too many to be shown with it. */
  notShown: number;
  /** The values that stood in the old title block, by parameter. */
  values: Values;
  /** The sheets of a file that holds several; none when it holds one. */
  places: LegacyPlace[];
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
  const found: { score: number; space: LegacySpace; seen: SeenSheet }[] = [];
  let first: IntakeError | undefined;
  spaces.forEach((space, i) => {
    on.tell?.({ step: 'sheet', part: i / spaces.length });
    try {
      // What was set right holds for the space that it was set right in.
      const seen = sheetOf(space.drawing, space === (chosen ?? space) ? on : { ...on, corrections: {} });
      found.push({ score: seen.score + (i > 0 ? PAGE : 0), space, seen });
    } catch (error) {
      if (!(error instanceof IntakeError)) throw error;
      if (space === chosen || (!chosen && space.drawing.items.length > 0)) first ??= error;
    }
  });
  const best = chosen
    ? found.find((each) => each.space === chosen)
    : found.reduce<(typeof found)[number] | undefined>((a, b) => (a && a.score >= b.score ? a : b), undefined);
  if (!best && first) throw first;
  const space = best?.space ?? spaces[0];
  const conversion =
    space && best
      ? convertLikeliest(space.drawing, best.seen, name, on)
      : convertLegacy(space?.drawing ?? NOTHING, name, on);
  const report = { ...conversion.report, space: space?.name ?? '', spaces: spaces.map((each) => each.name) };
  const sheets = found.reduce((sum, each) => sum + each.seen.sheets.length, 0);
  const places = sheets > 1 ? found.flatMap((each) => placesIn(each.space.name, each.seen, each === best)) : [];
  return { ...conversion, report, places };
}

const NOTHING: LegacyDrawing = { items: [], source: { format: '', version: '', entities: 0 }, dropped: [] };

/**
 * Turns a legacy drawing into a design: finds its unit and sheet, the frame, the cells from linework, the captions and
 * values, and maps captions to parameters.
 * @throws IntakeError when there is no sheet or no title block to be found
 */
export function convertLegacy(drawing: LegacyDrawing, name: string, on: IntakeContext): Conversion {
  if (drawing.items.length === 0)
    throw new IntakeError('the drawing is empty: it has no lines and no texts that can be read');
  return convertLikeliest(drawing, sheetOf(drawing, on), name, on);
}

/** Turns the likeliest sheet into a design that has a title block in it at all; a sheet that was chosen by hand stands. */
function convertLikeliest(drawing: LegacyDrawing, best: SeenSheet, name: string, on: IntakeContext): Conversion {
  try {
    return convertSeen(drawing, best, name, on);
  } catch (error) {
    if (!(error instanceof IntakeError) || on.corrections?.sheet) throw error;
    for (const candidate of best.candidates.slice(1)) {
      try {
        const corrections = { ...on.corrections, sheet: candidate };
        return convertSeen(
          drawing,
          { ...sheetOf(drawing, { ...on, corrections }), candidates: best.candidates },
          name,
          on,
        );
      } catch (other) {
        if (!(other instanceof IntakeError)) throw other;
      }
    }
    throw error;
  }
}

function convertSeen(
  drawing: LegacyDrawing,
  { sheet: found, sheets, seen: whole, rotation, candidates }: SeenSheet,
  name: string,
  on: IntakeContext,
): Conversion {
  const begun = (step: IntakeStep): void => on.tell?.({ step, part: 0 });
  begun('cells');
  const seen = { ...whole, items: whole.items.filter((item) => item.layer !== PAGE_EDGE) };
  const sheet = seen.items.length < whole.items.length ? { ...found, edgeDrawn: false } : found;
  const lessons = on.lessons ?? NO_LESSONS;
  const placedOn = onPaper(seen, sheet);
  const { legacy, strayed } = withoutStrays(placedOn, layersSet(on.corrections, 'out'), othersOnPaper(sheet, sheets));
  const ids = new Map<Item, number>();
  placedOn.items.forEach((item, i) => {
    if (item.kind === 'text') ids.set(item, i);
  });
  const texts = legacy.items.flatMap((item) =>
    item.kind === 'text' ? (legacyText(item, ids.get(item) ?? 0) ?? []) : [],
  );
  const { inFrame, zones, margin } = sortTexts(texts, sheet);

  const { lines, reach } = closedLines(legacy.items, TOLERANCE, on.corrections?.reach);
  const captions = inFrame.filter((text) => knownCaption(text, lessons.captions)).map((text) => text.anchor);
  const sorted = blockLines(lines, sheet.frame, captions, TOLERANCE * 2, layersSet(on.corrections, 'block'));
  const { faces: regions, loose } = withoutPlans(sorted, sheet, captions);
  const { cells, tables, odd } = cellsOf(regions, sheet, inFrame, joinedOnPaper(sheet, on.corrections));
  const tableTexts = new Set(tables.flatMap((table) => table.headings));
  const rest = inFrame.filter((text) => !tableTexts.has(text) && !tables.some((table) => contains(table, text.anchor)));

  begun('texts');
  const outside: LegacyText[] = [];
  const byCell = new Map<FoundCell, LegacyText[]>();
  for (const text of rest) {
    const cell = cellAt(cells, text.anchor);
    if (cell) {
      const own = byCell.get(cell);
      if (own) own.push(text);
      else byCell.set(cell, [text]);
    } else outside.push(text);
  }
  const named = namedOnPaper(drawing.named ?? [], rotation, sheet);
  const given = givenPictures(named, on.corrections?.pictures);
  const unsorted = sortLinework([...legacy.items, ...given], cells, loose, sheet);
  for (const [cell, own] of byCell) {
    const { options, texts: written, linework } = optionsOf(own, cell.linework);
    cell.linework = linework;
    cell.texts = readCell(written, cell.face, on.corrections?.texts, lessons.captions, options);
  }
  readRepeated(cells);
  readNeighbours(cells);
  readNameColumns(cells);
  readChoices(cells);
  const dropped = [
    ...drawing.dropped,
    ...strayed,
    ...unsorted,
    ...droppedTexts(outside, 'texts in the drawing area, outside of every cell'),
    ...droppedTexts(margin, 'texts in the margin that are no zone marks'),
  ];

  begun('design');
  const faces = cells.map((cell) => cell.face);
  const blocks = groupFaces(faces).flatMap((group) => around(group) ?? []);
  const pens = pensOf(
    legacy,
    sheet.unitsPerPaperMm,
    sheet.frame,
    [...faces, ...tables],
    [...blocks, ...tables],
    on.standard,
    lessons.pens,
  );
  const built = buildDesign(
    name,
    sheet,
    cells,
    tables,
    zones.length >= LEAST_ZONE_MARKS,
    pens.pens,
    on.standard,
    on.corrections,
  );
  const values = valuesOf(cells);
  const solve = (design: Design): SheetLayout => solvedOnItsSize(design, sheet, values, on);
  const design = settled(built.design, built, solve);
  const solved = solve(design);
  const solvedCells = new Map(solved.cells.map((cell) => [cell.id, cell]));
  const rebuilt = composeSheet(design, solved, { ...on, values });
  begun('comparison');
  const asBoxes = drawnAsBoxes(cells);
  const comparison = compared(
    { ...legacy, items: legacy.items.filter((item) => !asBoxes.has(ids.get(item) ?? -1)) },
    rebuilt,
    sheet.frame,
    [...faces, ...tables],
    tables.map((table) => table.body),
  );
  const decisions = decisionsOf(sheet, cells, built);
  const pictures = picturesIn(cells, named, built);
  const reportTexts = [
    ...cells.flatMap((cell) => cell.texts.map((read) => reportText(read, cell, built))),
    ...tables.flatMap((table) => table.headings).map((text) => plainText(text, 'caption', on.standard, sheet)),
    ...zones.map((text) => plainText(text, 'zone', on.standard, sheet)),
  ];
  const report: IntakeReport = {
    source: {
      ...drawing.source,
      unitsPerPaperMm: round(sheet.unitsPerPaperMm, 9),
      rotation: round(rotation, 2) % 360,
      origin: { x: round(sheet.origin.x, 6), y: round(sheet.origin.y, 6) },
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
    texts: reportTexts,
    tables: tables.map((table) => ({
      kind: table.kind,
      ...roundRect(table),
      columns: table.columns.map((c) => c.heading),
    })),
    pictures,
    marks: marksIn(cells, built),
    filledRows: tables.flatMap(({ filled }, table) => filled.map((texts) => ({ table, texts }))),
    dropped: [...dropped, ...droppedPieces(built.cut)].filter((each) => each.entities > 0),
    layers: layersOf(placedOn.items, dropped.slice(drawing.dropped.length)),
    solved: { size: sheet.size.name, spills: solved.findings.filter(({ kind }) => kind === 'spill').length },
    deviation: comparison.lines,
    textDeviation: comparison.texts,
    differences: comparison.differences,
    moreDifferences: comparison.moreDifferences,
    reach: round(reach, 2),
    cleaning: cleaningOf(
      legacy.items,
      (piece) => isOfBlock(piece, sheet.frame, [...faces, ...tables]),
      drawing.emptyLayers,
    ),
    rounded: roundedLengths(faces, (face) => solvedCells.get(built.cellIds.get(face) ?? '')),
    lettering: letteringOf(cells, built),
    pens: pens.report,
    proposals: proposalsFor(reportTexts, (caption) => parameterOfCaption(caption, lessons.captions)),
    unresolved: [
      ...unresolvedOf(cells, odd),
      ...pictures.flatMap((each) =>
        each.given ? [] : [`the file of the picture “${each.name}” is not in the drawing`],
      ),
    ],
    decisions,
  };
  const shown = shownLegacy(legacy, sheet.frame, [...faces, ...tables]);
  return { design, report, legacy: shown.legacy, notShown: shown.left, values, places: [] };
}

/**
 * The design on the sheet that it was read from. No design is given out that cannot be read again or solved.
 * @throws IntakeError with the reason
 */
function solvedOnItsSize(
  design: Design,
  { size, orientation }: FoundSheet,
  values: Values,
  on: IntakeContext,
): SheetLayout {
  try {
    readDesign(design, sizesOf(on.standard));
    return solveDesign(design, { size: size.name, orientation, values, ...on });
  } catch (error) {
    if (error instanceof DesignError || error instanceof LayoutError)
      throw new IntakeError(`what was found on a sheet of ${size.name} makes no title block: ${error.message}`);
    throw error;
  }
}

function onPaper(drawing: LegacyDrawing, sheet: FoundSheet): Drawing {
  const scale = 1 / sheet.unitsPerPaperMm;
  const items = drawing.items.map((item) => {
    const moved = placed(item, scale, -sheet.origin.x * scale, -sheet.origin.y * scale);
    // Dashes of a legacy drawing are drawn in its own units.
    return (moved.kind === 'stroke' || moved.kind === 'arc') && moved.dashes
      ? { ...moved, dashes: moved.dashes.map((each) => each * scale) }
      : moved;
  });
  return { width: sheet.width, height: sheet.height, items };
}

/** The other sheets of a drawing, in mm from the corner of the one that was taken. */
const othersOnPaper = (taken: FoundSheet, sheets: readonly FoundSheet[]): Rect[] =>
  sheets
    .filter(({ origin }) => origin.x !== taken.origin.x || origin.y !== taken.origin.y)
    .map(({ origin, width, height }) => ({
      x: (origin.x - taken.origin.x) / taken.unitsPerPaperMm,
      y: (origin.y - taken.origin.y) / taken.unitsPerPaperMm,
      width,
      height,
    }));

/** Letters and figures in the margins that make zones of them: one on each side. */
const LEAST_ZONE_MARKS = 4;
/** A zone mark is one or two signs that stand in the margin. */
const ZONE_MARK = /^([A-Z]{1,2}|\d{1,2})$/;

/** Texts inside of the frame, the characters of zones, and what else stands in the margin. */
function sortTexts(
  texts: readonly LegacyText[],
  sheet: FoundSheet,
): Record<'inFrame' | 'zones' | 'margin', LegacyText[]> {
  const edge = { x: 0, y: 0, width: sheet.width, height: sheet.height };
  const inFrame = texts.filter((text) => contains(sheet.frame, text.anchor));
  const outside = texts.filter((text) => !contains(sheet.frame, text.anchor));
  const isZone = (text: LegacyText): boolean => contains(edge, text.anchor, 2) && ZONE_MARK.test(text.text);
  return { inFrame, zones: outside.filter(isZone), margin: outside.filter((text) => !isZone(text)) };
}

/** The layers that were set to be one thing or the other. */
const layersSet = (corrections: Corrections | undefined, as: 'block' | 'out'): ReadonlySet<string> =>
  new Set(Object.entries(corrections?.layers ?? {}).flatMap(([layer, set]) => (set === as ? [layer] : [])));

/** The points in cells that were made one, in mm on paper. */
function joinedOnPaper({ origin, unitsPerPaperMm }: FoundSheet, corrections: Corrections | undefined): Point[][] {
  return (corrections?.joined ?? []).map((points) =>
    points.map(({ x, y }) => ({ x: (x - origin.x) / unitsPerPaperMm, y: (y - origin.y) / unitsPerPaperMm })),
  );
}

function cellsOf(faces: Faces, sheet: FoundSheet, texts: readonly LegacyText[], joined: readonly Point[][]) {
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

/** Part of a rectangle that cells fill which together are one: the rest is the width of lines. */
const FILLED = 0.995;

/** The cells with those that hold the points made one, where together they fill a rectangle; else as they are. */
function joinFaces(cells: readonly Rect[], points: readonly Point[]): Rect[] {
  const those = cells.filter((cell) => points.some((each) => contains(cell, each)));
  const bounds = around(those);
  const area = (rect: Rect): number => rect.width * rect.height;
  const filled = bounds && those.reduce((sum, cell) => sum + area(cell), 0) > FILLED * area(bounds);
  return bounds && filled && those.length > 1 ? [...cells.filter((cell) => !those.includes(cell)), bounds] : [...cells];
}
