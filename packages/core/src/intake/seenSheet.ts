import { eachSegment } from '../drawing';
import type { Typefaces } from '../lettering';
import type { OfficeStandard } from '../standard';
import type { Corrections, Lessons } from './corrections';
import type { LegacyDrawing } from './legacyDrawing';
import { ruledLines } from './linework';
import { orientationsOf } from './orientation';
import type { TellProgress } from './progress';
import type { SheetCandidate } from './report';
import { round } from './rounding';
import type { FoundSheet, SheetReading } from './sheetSearch';
import { bestReading, sheetReadings } from './sheetSearch';

/** What intake works with. */
export interface IntakeContext {
  standard: OfficeStandard;
  typefaces: Typefaces;
  /** What a person has set right so far. */
  corrections?: Corrections;
  /** What the office has taught so far. */
  lessons?: Lessons;
  tell?: TellProgress;
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
  /** All sheets of its kind that stand beside one another, in the order in which they are read; this one among them. */
  sheets: FoundSheet[];
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
/** Upright sheets higher than this, in mm, are rare: A3 and less are handed out so. */
const LARGE_UPRIGHT = 300;

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
        reading.score +
        UPRIGHT * upright -
        (reading.height > reading.width && reading.height > LARGE_UPRIGHT ? STANDING : 0),
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
  // Nobody is surer of a sheet than it is likely among all that it may be.
  const likelihood = wanted ? 1 : (candidates[0]?.likelihood ?? 1);
  const confidence = Math.min(sheet.confidence, likelihood);
  const sheets = besideOneAnother(taken, best).map((each) => ({ ...each, confidence }));
  return {
    sheet: sheets[corrections?.place ?? -1] ?? { ...sheet, confidence },
    sheets,
    seen: best.seen,
    rotation: best.rotation,
    score: best.score,
    candidates,
  };
}

interface TurnedReading extends SheetReading {
  rotation: number;
  seen: LegacyDrawing;
}

const MOST_SHEETS = 60;
/** Sheets beside one another are as likely as the likeliest of them, but for this. */
const AS_LIKELY = 1;
/** Sheets of one file stand beside each other: at least this part of their width or height apart. */
const APART = 0.9;

/** Sheets like the best one that stand elsewhere: rows from above, each from the left. */
function besideOneAnother(sorted: readonly TurnedReading[], best: TurnedReading): FoundSheet[] {
  const [width, height] = [best.width * best.unitsPerPaperMm, best.height * best.unitsPerPaperMm];
  const sheets: TurnedReading[] = [best];
  for (const reading of sorted) {
    if (reading.score < best.score - AS_LIKELY || sheets.length >= MOST_SHEETS) break;
    const alike =
      isSheet(reading, { name: best.size.name, unitsPerPaperMm: best.unitsPerPaperMm, rotation: best.rotation }) &&
      reading.orientation === best.orientation &&
      reading.edgeDrawn === best.edgeDrawn;
    const apart = sheets.every(
      ({ origin }) =>
        Math.abs(origin.x - reading.origin.x) > APART * width || Math.abs(origin.y - reading.origin.y) > APART * height,
    );
    if (alike && apart) sheets.push(reading);
  }
  return sheets.sort((a, b) =>
    Math.abs(a.origin.y - b.origin.y) > height / 2 ? b.origin.y - a.origin.y : a.origin.x - b.origin.x,
  );
}

const isSheet = (
  reading: Omit<TurnedReading, 'seen'>,
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
  let count = 0;
  eachSegment(drawing.items, () => count++);
  const [left, right, low, top] = [0, 1, 2, 3].map(() => new Float64Array(count)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const lengths = new Float64Array(count);
  let all = 0;
  let i = 0;
  eachSegment(drawing.items, (x0, y0, x1, y1) => {
    // Upper ends are turned over, so that both are looked for from below.
    left[i] = Math.min(x0, x1);
    right[i] = -Math.max(x0, x1);
    low[i] = Math.min(y0, y1);
    top[i] = -Math.max(y0, y1);
    lengths[i] = Math.hypot(x1 - x0, y1 - y0);
    all += lengths[i] ?? 0;
    i++;
  });
  if (!(all > 0)) throw new IntakeError('the drawing has no straight lines, so no frame can be found in it');
  const at = (values: Float64Array): number => weightedQuantile(values, lengths, FAR * all);
  return Math.max(-at(right) - at(left), -at(top) - at(low));
}

const BINS = 256;
/** Times that bins are cut finer; each time by their number, so that a stray a million times away does not count. */
const ROUNDS = 6;

/** The value up to which the weights, in the order of their values, come to the weight asked for. Takes linear time. */
function weightedQuantile(values: Float64Array, weights: Float64Array, wanted: number): number {
  let [low, high] = [Infinity, -Infinity];
  // Counted, here and below: going through flat numbers as through a list takes several times as long.
  for (let i = 0; i < values.length; i++) {
    const value = values[i] ?? 0;
    if (value < low) low = value;
    if (value > high) high = value;
  }
  let passed = 0;
  for (let round = 0; round < ROUNDS && high > low; round++) {
    const step = (high - low) / BINS;
    const bins = new Float64Array(BINS);
    for (let i = 0; i < values.length; i++) {
      const bin = Math.floor(((values[i] ?? 0) - low) / step);
      if (bin >= 0 && bin <= BINS) bins[Math.min(bin, BINS - 1)]! += weights[i] ?? 0;
    }
    let bin = 0;
    while (bin < BINS - 1 && passed + (bins[bin] ?? 0) < wanted) passed += bins[bin++] ?? 0;
    [low, high] = [low + bin * step, low + (bin + 1) * step];
  }
  return low;
}
