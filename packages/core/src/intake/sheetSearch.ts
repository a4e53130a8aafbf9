import type { Rect } from '../geometry';
import { MM_PER } from '../quantity';
import type { Margins, OfficeStandard, Orientation, SheetSize } from '../standard';
import { sheetExtent, sizeOfExtent } from '../standard';
import type { Unit } from './drawingUnits';
import { CLOSE, lettersAgree, nearestUnit, UNITS } from './drawingUnits';
import type { RuledLine } from './linework';
import { EVIDENCE, FRAME_MARGIN, SURENESS } from './sheetEvidence';
import { closedRectangles } from './closedRectangles';
import type { Ordered } from './knownPapers';
import { between, knownPapers, LEAST_SHEET } from './knownPapers';
import type { Paper, UsualFrame } from './usualFrames';
import { usualMargins } from './usualFrames';

/** What a drawing was found to be: how large its unit is on paper, which sheet it was made for, where the frame is. */
export interface FoundSheet {
  unitsPerPaperMm: number;
  size: SheetSize;
  orientation: Orientation;
  width: number;
  height: number;
  /** Lower-left corner of the sheet in drawing units. */
  origin: { x: number; y: number };
  /** In mm from the sheet's corner. */
  frame: Rect;
  margins: Margins;
  /** Whether the sheet's own edge was drawn. */
  edgeDrawn: boolean;
  system: 'metric' | 'inch';
  /** 0 to 1. */
  confidence: number;
  why: string;
}

/** Sheets below this long side, A4 and its like, seldom carry a title block of their own. */
const SMALL = 400;

const INSERT_UNITS: Record<number, number> = { 1: 1 / MM_PER.in, 4: 1, 5: 0.1, 6: 0.001 };

/** A closed rectangle with all that speaks for or against what it may be. */
interface RectangleEvidence {
  rect: Rect;
  /** All closed rectangles, the largest first. */
  rectangles: readonly Rect[];
  /** How well the texts agree with a unit, 0 to 1. */
  agree: (unit: Unit) => number;
  insertUnits: number | undefined;
}

/** A rectangle held against a sheet. */
type Trial = Paper & RectangleEvidence;

/** A reading of a drawing as a sheet; the likelier, the higher its score. */
export type SheetReading = FoundSheet & { score: number };

/**
 * What a drawing may be: closed rectangles are read as a sheet's edge or as its frame, for every known size; a reading
 * scores by how much it explains with how usual habits.
 * @param heights text heights in drawing units
 * @returns the likeliest first
 */
export function sheetReadings(
  lines: readonly RuledLine[],
  heights: readonly number[],
  insertUnits: number | undefined,
  standard: OfficeStandard,
): SheetReading[] {
  const rectangles = closedRectangles(lines);
  const known = new Map(UNITS.map((unit) => [unit, lettersAgree(heights, unit.value, unit.system)]));
  const agree = (unit: Unit): number => known.get(unit) ?? 0;
  const { papers, byUpright, byWidth, frames } = knownPapers(standard);
  const sizes = [...new Set(papers.map(({ size }) => size))];
  const readings: SheetReading[] = [];
  for (const rect of rectangles) {
    // The outer line of a double one is no frame, in whatever unit: its inner line is there as well.
    const double = within(rect, rectangles, Math.max(rect.width, rect.height) / TRIAL_WIDTH, DOUBLE_LINE) !== undefined;
    const evidence: RectangleEvidence = { rect, rectangles, agree, insertUnits };
    const upright = rect.height / rect.width;
    // Hundreds of papers and thousands of frames are known, and hardly one has this shape.
    const edges = new Set(between(byUpright, upright * (1 - 2 * CLOSE), upright * (1 + 2 * CLOSE)));
    const nearly = double ? new Map<number, Unit[]>() : nearlyPapers(rect, papers, byWidth);
    for (const place of [...new Set([...edges, ...nearly.keys()])].sort((a, b) => a - b)) {
      const paper = papers[place];
      if (!paper) continue;
      const trial: Trial = { ...paper, ...evidence };
      if (edges.has(place) && isShapeOf(rect, paper.extent)) readings.push(...asSheet(trial));
      readings.push(...asNearly(trial, nearly.get(place) ?? []));
    }
    const framed = between(frames, upright * (1 - CLOSE / 2), upright * (1 + CLOSE / 2)).flatMap((frame) =>
      asFrame({ ...frame.paper, ...evidence }, frame),
    );
    if (!double) readings.push(...framed);
    const isFrame = (unit: Unit): boolean => framed.some((each) => each.unitsPerPaperMm === unit.value);
    readings.push(...asDrawn(evidence, sizes, isFrame));
  }
  return readings.sort((a, b) => b.score - a.score);
}

/** The best of some readings, with how sure it is: how much it explains, and how far the next other one lies behind. */
export function bestReading(readings: readonly SheetReading[]): FoundSheet | undefined {
  const best = readings[0];
  if (!best) return undefined;
  const other = readings.find(
    (each) =>
      each.size.name !== best.size.name || Math.abs(each.unitsPerPaperMm / best.unitsPerPaperMm - 1) > OTHER_UNIT,
  );
  const { least, most, base, byScore, byLead, fullLead } = SURENESS;
  const lead = other ? Math.min(1, (best.score - other.score) / fullLead) : 1;
  return { ...best, confidence: Math.max(least, Math.min(most, base + byScore * best.score + byLead * lead)) };
}

function scoreOf(unit: Unit, off: number, { size, agree, insertUnits }: Trial): number {
  const system = size.unit === 'mm' ? 'metric' : 'inch';
  return (
    EVIDENCE.heights * agree(unit) -
    unit.rarity +
    (Math.max(size.width, size.height) < SMALL ? EVIDENCE.smallSheet : 0) +
    (unit.system === system ? 0 : EVIDENCE.otherSystem) +
    (size.series === 'ISO B' ? EVIDENCE.seriesB : 0) +
    (off / CLOSE) * EVIDENCE.offUnit +
    (insertUnits !== undefined && INSERT_UNITS[insertUnits] === unit.value ? EVIDENCE.unitOfFile : 0)
  );
}

/** Whether a rectangle has the proportions of a sheet. */
const isShapeOf = (rect: Rect, extent: { width: number; height: number }): boolean =>
  Math.abs(rect.width / extent.width / (rect.height / extent.height) - 1) <= CLOSE;

/** A rectangle of a sheet's proportions, read as its edge. */
function asSheet(trial: Trial): SheetReading[] {
  const { rect, size, extent, rectangles } = trial;
  const near = nearestUnit((rect.width / extent.width + rect.height / extent.height) / 2);
  if (!near) return [];
  const { unit, off } = near;
  const found = marginsInside(trial, unit);
  if (!found) {
    // What stands in something larger is a cell or a detail, not a sheet.
    const outermost = rectangles.every((each) => each === rect || each.width * each.height <= rect.width * rect.height);
    if (!outermost) return [];
    return [
      {
        ...reading(unit, trial, rect, { left: 0, right: 0, top: 0, bottom: 0 }),
        edgeDrawn: true,
        why: `its edge is ${size.name} drawn in ${unit.words}, without a frame inside`,
        score: EVIDENCE.edgeOnly + scoreOf(unit, off, trial),
      },
    ];
  }
  const margins = roundedMargins(found, unit.system);
  const habit = usualMargins(size).findIndex((each) => sameMargins(each, margins));
  return [
    {
      ...reading(unit, trial, rect, margins),
      edgeDrawn: true,
      why: `its edge is ${size.name} drawn in ${unit.words}, with a frame inside`,
      score:
        EVIDENCE.edgeAndFrame +
        (habit < 0 ? 0 : EVIDENCE.usualMargins + EVIDENCE.lessUsual * habit) +
        scoreOf(unit, off, trial),
    },
  ];
}

/** The margins of the frame inside of a sheet's edge, in mm; undefined where there is none. */
function marginsInside({ rect, rectangles }: RectangleEvidence, unit: Unit): Margins | undefined {
  const marginsOf = (inner: Rect): Margins => ({
    left: (inner.x - rect.x) / unit.value,
    right: (rect.x + rect.width - inner.x - inner.width) / unit.value,
    bottom: (inner.y - rect.y) / unit.value,
    top: (rect.y + rect.height - inner.y - inner.height) / unit.value,
  });
  // The frame is the largest rectangle whose margins are those of a frame: some room on every side, not much of it.
  const outer = rectangles.find((each) => Object.values(marginsOf(each)).every(isFrameMargin));
  const border = outer && (within(outer, rectangles, unit.value, DOUBLE_LINE) ?? outer);
  const inner = border && (within(border, rectangles, unit.value, ZONE_BAND) ?? border);
  return inner && marginsOf(inner);
}

/** Sheets of no list are at least this wide and at most this long, in mm: what a plotter takes. */
const OWN_SHEET = { short: 180, long: 3000 } as const;
/** Edges are drawn by this much off what they were meant to be, in mm, at most. */
const DRAWING_ERROR = 1;
/** Lengths this near to a step, in mm, are meant to be whole ones: millimetres, or eighths of an inch. */
const WHOLE = 0.15;

/**
 * A drawn edge tells its own size, whatever lists say: an edge of 900 x 600 mm is that of a sheet of 900 x 600 mm. Only where
 * nothing larger lies around it, and a frame lies inside.
 * @param isFrame whether the rectangle is as large as a usual frame of a listed size in a unit
 */
function asDrawn(
  evidence: RectangleEvidence,
  listed: readonly SheetSize[],
  isFrame: (unit: Unit) => boolean,
): SheetReading[] {
  const { rect, rectangles } = evidence;
  const fits = UNITS.filter(({ value }) => {
    const [long, short] = [Math.max(rect.width, rect.height) / value, Math.min(rect.width, rect.height) / value];
    return long >= LEAST_SHEET && long <= OWN_SHEET.long && short >= OWN_SHEET.short;
  });
  if (fits.length === 0 || rectangles.some((each) => each !== rect && isInside(rect, each))) return [];
  return fits.flatMap((unit): SheetReading[] => {
    const margins = marginsInside(evidence, unit);
    if (!margins) return [];
    const step = unit.system === 'metric' ? 1 : MM_PER.in / 8;
    const meantAs = (length: number): { length: number; whole: boolean } => {
      const near = Math.round(length / step) * step;
      return Math.abs(near - length) < WHOLE ? { length: near, whole: true } : { length, whole: false };
    };
    const [width, height] = [meantAs(rect.width / unit.value), meantAs(rect.height / unit.value)];
    const extent = { width: width.length, height: height.length };
    if (listed.some((size) => isAlike(size, extent))) return [];
    const size = sizeOfExtent(extent.width, extent.height, unit.system === 'metric' ? 'mm' : 'in');
    const orientation = extent.width >= extent.height ? 'landscape' : 'portrait';
    const trial: Trial = { ...evidence, size, orientation, extent: sheetExtent(size, orientation) };
    return [
      {
        ...reading(unit, trial, rect, roundedMargins(margins, unit.system)),
        edgeDrawn: true,
        why: `its edge is ${size.name} as drawn in ${unit.words}, which is in no list, with a frame inside`,
        score:
          EVIDENCE.asDrawn +
          (width.whole && height.whole ? EVIDENCE.wholeLengths : 0) +
          (isFrame(unit) ? EVIDENCE.usualFrame : 0) +
          scoreOf(unit, 0, trial),
      },
    ];
  });
}

/** Whether a listed size is meant by an edge, either way round. */
function isAlike(size: SheetSize, { width, height }: { width: number; height: number }): boolean {
  const [long, short] = [Math.max(width, height), Math.min(width, height)];
  const listed = sheetExtent(size, 'landscape');
  return Math.abs(listed.width - long) <= DRAWING_ERROR && Math.abs(listed.height - short) <= DRAWING_ERROR;
}

/** Whether a rectangle lies in another one that is larger. */
const isInside = (inner: Rect, outer: Rect): boolean =>
  outer.width * outer.height > inner.width * inner.height &&
  inner.x >= outer.x - EDGE_TOLERANCE * outer.width &&
  inner.y >= outer.y - EDGE_TOLERANCE * outer.height &&
  inner.x + inner.width <= outer.x + (1 + EDGE_TOLERANCE) * outer.width &&
  inner.y + inner.height <= outer.y + (1 + EDGE_TOLERANCE) * outer.height;

/** A rectangle lies in another one although it reaches over it by this part of it. */
const EDGE_TOLERANCE = 0.001;

/** Units that differ by no more than this part are the same one, read from other lines. */
const OTHER_UNIT = 0.01;

const isFrameMargin = (margin: number): boolean => margin > FRAME_MARGIN.least && margin < FRAME_MARGIN.most;

/** The four sides of such a band differ by less than this, in mm. */
const UNEVEN_BAND = 1;

/** Widths of the band between a zone border and the frame in mm; ISO 5457 (from memory) has 5. */
const ZONE_BAND = { least: 2.5, most: 13 };

/** How far apart in mm the two lines of a frame are that is drawn as a double line. */
const DOUBLE_LINE = { least: 0.2, most: 2.2 };

/**
 * A rectangle set in from another one by the same narrow band all round: the frame inside a border that carries the zone
 * marks, or the inner line of a double one. The largest where there are several.
 */
function within(
  border: Rect,
  rectangles: readonly Rect[],
  unit: number,
  band: { least: number; most: number },
): Rect | undefined {
  return rectangles.find((each) => {
    const bands = [
      each.x - border.x,
      each.y - border.y,
      border.x + border.width - each.x - each.width,
      border.y + border.height - each.y - each.height,
    ].map((width) => width / unit);
    const even = Math.max(...bands) - Math.min(...bands) < UNEVEN_BAND;
    return even && bands.every((width) => width > band.least && width < band.most);
  });
}

function asFrame(trial: Trial, { margins, rank, width, height }: UsualFrame): SheetReading[] {
  const { rect, size } = trial;
  const near = nearestUnit((rect.width / width + rect.height / height) / 2);
  if (!near) return [];
  const { unit, off } = near;
  const edge = { x: rect.x - margins.left * unit.value, y: rect.y - margins.bottom * unit.value };
  return [
    {
      ...reading(unit, trial, edge, margins),
      edgeDrawn: false,
      why: `its frame is that of ${size.name} with ${rank === 0 ? "the standard's" : 'usual'} margins, drawn in ${unit.words}`,
      score:
        (rank === 0 ? EVIDENCE.frameOnly : EVIDENCE.frameUsual + EVIDENCE.frameLessUsual * rank) +
        scoreOf(unit, off, trial),
    },
  ];
}

/** A sheet may be drawn this part smaller than it is, "to fit the printer". */
const SHRUNK = 0.06;
/** Margins of a frame that are nobody's standard, in mm: an even one, and the widest, which may be a binding edge. */
const ODD_MARGIN = { least: 3, even: 30, most: 45 };

/** What is left over in either case lies between these, in mm; less is none. */
const LEAST_SPARE = 0.5;
const MOST_SPARE = 78;

/** The papers, by their places, than which a rectangle is a little smaller both ways, each with the units in which it is. */
function nearlyPapers(rect: Rect, papers: readonly Paper[], byWidth: Ordered<number>): Map<number, Unit[]> {
  const found = new Map<number, Unit[]>();
  for (const unit of UNITS) {
    const [width, height] = [rect.width / unit.value, rect.height / unit.value];
    for (const place of between(byWidth, width + LEAST_SPARE, width + MOST_SPARE)) {
      const spare = (papers[place]?.extent.height ?? 0) - height;
      if (spare >= LEAST_SPARE && spare <= MOST_SPARE) found.set(place, [...(found.get(place) ?? []), unit]);
    }
  }
  return found;
}

/**
 * Readings of last resort, which anything more exact outdoes: an edge that was drawn a little smaller than its sheet, and a
 * frame with margins of the office's own. Where the sheet's edge is then is no more than likely: the same margin all
 * round, and what is left over is the binding edge.
 * @param units those in which the rectangle is nearly the sheet
 */
function asNearly(trial: Trial, units: readonly Unit[]): SheetReading[] {
  const { rect, extent, rectangles, size } = trial;
  return units.flatMap((unit): SheetReading[] => {
    const [spareX, spareY] = [extent.width - rect.width / unit.value, extent.height - rect.height / unit.value];
    const inner = rectangles.find((each) => {
      const [left, bottom] = [each.x - rect.x, each.y - rect.y];
      const [right, top] = [rect.width - left - each.width, rect.height - bottom - each.height];
      return [left, bottom, right, top].every((margin) => isFrameMargin(margin / unit.value));
    });
    if (inner && spareX < SHRUNK * extent.width && spareY < SHRUNK * extent.height) {
      // The sheet is drawn around the middle of what is there.
      const corner = { x: rect.x - (spareX / 2) * unit.value, y: rect.y - (spareY / 2) * unit.value };
      const margins = {
        left: (inner.x - corner.x) / unit.value,
        bottom: (inner.y - corner.y) / unit.value,
        right: extent.width - (inner.x - corner.x + inner.width) / unit.value,
        top: extent.height - (inner.y - corner.y + inner.height) / unit.value,
      };
      return [
        {
          ...reading(unit, trial, corner, margins),
          edgeDrawn: false,
          why: `its edge is a little smaller than ${size.name}, drawn in ${unit.words}`,
          score: EVIDENCE.smallEdge + EVIDENCE.missingPart * (spareX / extent.width) + scoreOf(unit, 0, trial),
        },
      ];
    }
    const edge = spareY / 2;
    const left = spareX - edge;
    if (edge < ODD_MARGIN.least || edge > ODD_MARGIN.even) return [];
    if (left < edge - LEAST_SPARE || left > ODD_MARGIN.most) return [];
    const margins = { left, right: edge, top: edge, bottom: edge };
    const corner = { x: rect.x - left * unit.value, y: rect.y - edge * unit.value };
    return [
      {
        ...reading(unit, trial, corner, margins),
        edgeDrawn: false,
        why: `its frame leaves unusual margins on ${size.name}, drawn in ${unit.words}`,
        score: EVIDENCE.oddMargins + EVIDENCE.oddMarginMm * (edge + left) + scoreOf(unit, 0, trial),
      },
    ];
  });
}

function reading(
  unit: Unit,
  { size, orientation, extent }: Trial,
  corner: { x: number; y: number },
  margins: Margins,
): Omit<FoundSheet, 'edgeDrawn' | 'why'> {
  return {
    unitsPerPaperMm: unit.value,
    size,
    orientation,
    ...extent,
    origin: { x: corner.x, y: corner.y },
    frame: {
      x: margins.left,
      y: margins.bottom,
      width: extent.width - margins.left - margins.right,
      height: extent.height - margins.top - margins.bottom,
    },
    margins,
    system: unit.system,
    confidence: 0,
  };
}

/** How far in mm a margin may be from the step that it is meant as. */
const MEANT = 0.12;
/** Before the unit is known, a double line is looked for as if the longer side were this long in mm: A1, or nearly ARCH D. */
const TRIAL_WIDTH = 900;

/** Margins drawn by hand are meant as whole steps: half millimetres, or 32nds of an inch. */
function roundedMargins(margins: Margins, system: Unit['system']): Margins {
  const step = system === 'metric' ? 0.5 : MM_PER.in / 32;
  const round = (value: number): number => {
    const near = Math.round(value / step) * step;
    return Math.abs(near - value) < MEANT ? near : value;
  };
  return {
    left: round(margins.left),
    right: round(margins.right),
    top: round(margins.top),
    bottom: round(margins.bottom),
  };
}

/** Whether two sets of margins are the same to a tenth of a millimetre. */
export function sameMargins(a: Margins, b: Margins): boolean {
  return (['left', 'right', 'top', 'bottom'] as const).every((edge) => Math.abs(a[edge] - b[edge]) < 0.1);
}
