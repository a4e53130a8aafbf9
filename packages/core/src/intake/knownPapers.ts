import type { OfficeStandard } from '../standard';
import { sizesOf } from '../standard';
import { firstPlace, inOrderOf } from './sortedPlaces';
import type { Paper, UsualFrame } from './usualFrames';
import { papersOf, usualFrames } from './usualFrames';

/** Title blocks are drawn on A4 or larger; smaller formats would only be mistaken for cells, in mm. */
export const LEAST_SHEET = 270;

/** Things in ascending order of one of their lengths, to find the few of them that lie between two values. */
export interface Ordered<T> {
  items: readonly T[];
  values: Float64Array;
}

/** The papers that a standard knows either way round, and the frames that are usual on them. */
export interface KnownPapers {
  papers: readonly Paper[];
  /** Places in `papers`, by how upright a paper is. */
  byUpright: Ordered<number>;
  /** Places in `papers`, by width in mm. */
  byWidth: Ordered<number>;
  frames: Ordered<UsualFrame>;
}

function ordered<T>(items: readonly T[], valueOf: (item: T) => number): Ordered<T> {
  const sorted = inOrderOf(items, valueOf);
  return { items: sorted, values: Float64Array.from(sorted, valueOf) };
}

/** Those between two values, both included. */
export function between<T>({ items, values }: Ordered<T>, low: number, high: number): T[] {
  const found: T[] = [];
  for (let i = firstPlace(values, low); i < items.length && (values[i] ?? 0) <= high; i++) found.push(items[i] as T);
  return found;
}

/** Every drawing of an office is held against the same papers, and each of them four ways up. */
const known = new WeakMap<OfficeStandard, KnownPapers>();

/** The papers of a standard on which title blocks are drawn. */
export function knownPapers(standard: OfficeStandard): KnownPapers {
  const before = known.get(standard);
  if (before) return before;
  const papers = sizesOf(standard)
    .filter((size) => Math.max(size.width, size.height) >= LEAST_SHEET)
    .flatMap(papersOf);
  const places = papers.map((_, place) => place);
  const extentAt = (place: number) => papers[place]?.extent ?? { width: 0, height: 0 };
  const made = {
    papers,
    byUpright: ordered(places, (place) => extentAt(place).height / extentAt(place).width),
    byWidth: ordered(places, (place) => extentAt(place).width),
    frames: ordered(papers.flatMap(usualFrames), (frame) => frame.upright),
  };
  known.set(standard, made);
  return made;
}
