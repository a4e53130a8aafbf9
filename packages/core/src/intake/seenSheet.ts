import type { Segment } from '../drawing';
import { segmentsOf } from '../drawing';
import type { Typefaces } from '../lettering';
import type { OfficeStandard } from '../standard';
import type { Corrections } from './corrections';
import type { LegacyDrawing } from './legacyDrawing';
import { ruledLines } from './linework';
import { orientationsOf } from './orientation';
import type { SheetCandidate } from './report';
import type { FoundSheet, SheetReading } from './sheetSearch';
import { bestReading, sheetReadings } from './sheetSearch';

/** What intake goes by. */
export interface IntakeContext {
  standard: OfficeStandard;
  typefaces: Typefaces;
  /** What a person has set right so far. */
  corrections?: Corrections;
}

/** Why a drawing cannot become a design, in words for the person who brought it. */
export class IntakeError extends Error {
  override name = 'IntakeError';
}

/** Positions within this part of the drawing's extent are one: a fifth of a millimetre on an A0 sheet. */
const RELATIVE_TOLERANCE = 1.5e-4;
/** The sheet that a drawing was made for, and the drawing the way up that it is read. */
export interface SeenSheet {
  sheet: FoundSheet;
  seen: LegacyDrawing;
  /** How far it had been turned counter-clockwise, in degrees. */
  rotation: number;
  /** How likely the reading is, in the terms of sheet search. */
  score: number;
  candidates: SheetCandidate[];
}

/** What upright texts count for among readings of a sheet, against how usual its margins and units are. */
const UPRIGHT = 3;
/** Sheets larger than A4 lie on their long side, but for few. */
const STANDING = 1.2;

/**
 * Finds the sheet of a drawing and which way up it is.
 * @throws IntakeError when there is none
 */
export function sheetOf(drawing: LegacyDrawing, { standard, corrections }: IntakeContext): SeenSheet {
  const readings = orientationsOf(drawing).flatMap(({ drawing: seen, rotation, upright }) => {
    const extent = strokeExtent(seen);
    const lines = ruledLines(seen.items, extent * RELATIVE_TOLERANCE);
    const heights = seen.items.flatMap((item) => (item.kind === 'text' ? [item.height] : []));
    return sheetReadings(lines, heights, drawing.insertUnits, standard).map((reading) => ({
      ...reading,
      score:
        reading.score + UPRIGHT * upright - (reading.height > reading.width && reading.height > 300 ? STANDING : 0),
      seen,
      rotation,
    }));
  });
  readings.sort((a, b) => b.score - a.score);
  const candidates = candidatesOf(readings);
  const wanted = corrections?.sheet;
  const taken = wanted ? readings.filter((reading) => isSheet(reading, wanted)) : readings;
  const sheet = bestReading(taken);
  const best = taken[0];
  if (!sheet || !best) {
    throw new IntakeError(
      'no frame was found whose proportions are those of a known sheet size; check that the drawing has a closed frame that stands upright',
    );
  }
  return { sheet, seen: best.seen, rotation: best.rotation, score: best.score, candidates };
}

interface TurnedReading extends SheetReading {
  rotation: number;
}

const isSheet = (
  reading: TurnedReading,
  wanted: { name: string; unitsPerPaperMm: number; rotation: number },
): boolean =>
  reading.size.name === wanted.name &&
  Math.abs(reading.unitsPerPaperMm / wanted.unitsPerPaperMm - 1) < 1e-3 &&
  Math.abs(((reading.rotation - wanted.rotation + 540) % 360) - 180) < 1;

const MOST_CANDIDATES = 6;
/** What is less likely than this is not worth offering. */
const LEAST_LIKELY = 0.005;

/** The best reading of each sheet and unit, with how likely each is: one that scores one more is e times likelier. */
function candidatesOf(sorted: readonly TurnedReading[]): SheetCandidate[] {
  const found: (SheetCandidate & { score: number })[] = [];
  for (const reading of sorted) {
    const { size, unitsPerPaperMm, rotation, why, score } = reading;
    if (found.some((each) => isSheet(reading, each))) continue;
    found.push({
      name: size.name,
      unitsPerPaperMm: round(unitsPerPaperMm, 9),
      rotation: round(rotation, 2) % 360,
      likelihood: 0,
      why,
      score,
    });
    if (found.length === MOST_CANDIDATES) break;
  }
  const weights = found.map((each) => Math.exp(each.score - (found[0]?.score ?? 0)));
  const all = weights.reduce((sum, each) => sum + each, 0);
  return found
    .map(({ score: _, ...each }, i) => ({ ...each, likelihood: round((weights[i] ?? 0) / all) }))
    .filter((each, i) => i === 0 || each.likelihood >= LEAST_LIKELY);
}

/** Part of the length of all lines that may lie far away, at either end, without counting. */
const FAR = 0.02;

/**
 * The longer side of what most of the length of all lines lies in, so that a stray far away does not count.
 * @throws IntakeError when there are no lines
 */
function strokeExtent(drawing: LegacyDrawing): number {
  const segments = segmentsOf(drawing.items).map((s) => ({ ...s, length: Math.hypot(s.x1 - s.x0, s.y1 - s.y0) }));
  const all = segments.reduce((sum, each) => sum + each.length, 0);
  if (!(all > 0)) throw new IntakeError('the drawing has no straight lines, so no frame can be found in it');
  const between = (low: (s: Segment) => number, high: (s: Segment) => number): number => {
    const end = (at: (s: Segment) => number, sign: 1 | -1): number => {
      let passed = 0;
      const sorted = [...segments].sort((a, b) => sign * (at(a) - at(b)));
      return at(
        sorted.find((each) => (passed += each.length) >= FAR * all) ?? sorted[0] ?? { x0: 0, y0: 0, x1: 0, y1: 0 },
      );
    };
    return end(high, -1) - end(low, 1);
  };
  return Math.max(
    between(
      (s) => Math.min(s.x0, s.x1),
      (s) => Math.max(s.x0, s.x1),
    ),
    between(
      (s) => Math.min(s.y0, s.y1),
      (s) => Math.max(s.y0, s.y1),
    ),
  );
}

const round = (value: number, digits = 4): number => Number(value.toFixed(digits));
