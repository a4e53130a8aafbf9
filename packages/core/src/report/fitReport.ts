import type { Finding } from '../check';
import type { Design } from '../design';
import { cellsOf, kindOf } from '../design';
import { LayoutError, solveDesign, UnknownLetteringError } from '../layout';
import type { Fit, Typefaces } from '../lettering';
import type { TryOn } from '../parameter';
import type { OfficeStandard, RealData } from '../standard';
import { triedOn, UnknownSizeError } from '../standard';

/** How a content sits on one size with one set of values, from nothing to say on to the worst. */
export const FIT_STATES = ['fits', 'wrapped', 'condensed', 'stepped', 'missing', 'spills', 'conflicts'] as const;
export type FitState = (typeof FIT_STATES)[number];

const RANK = Object.fromEntries(FIT_STATES.map((state, i) => [state, i])) as Readonly<Record<FitState, number>>;

/** How bad a state is: a larger number is worse. */
export const fitRank = (state: FitState): number => RANK[state];

/** The worst that happens to a content on one size, and with which values. */
export interface FitOnSize {
  state: FitState;
  tryOn: TryOn;
  /** By how much it spills, in mm. */
  by: number;
  /** What is found there, in words. */
  says: string[];
}

/** A content of a design on all sizes. */
export interface FitRow {
  cell: string;
  cellName: string;
  content: string;
  /** What it is within a sentence: `the field “{sheet.title}”`. */
  what: string;
  bySize: Readonly<Record<string, FitOnSize>>;
  worst: FitState;
}

export interface FitReport {
  sizes: readonly string[];
  /** Contents, the worst first; those that are alike as they stand in the design. */
  rows: readonly FitRow[];
  /** Sizes on which the design cannot be solved, with the reason. */
  unsolved: Readonly<Record<string, string>>;
}

/** The values that every content is tried with. */
export const TRIED: readonly TryOn[] = ['blank', 'typical', 'longest'];

const stateOf = ({ kind, weight }: Finding): FitState => {
  if (kind === 'spill') return weight === 'error' ? 'spills' : 'stepped';
  if (kind === 'condensed' || kind === 'stepped') return kind;
  if (weight === 'gap') return 'missing';
  return weight === 'error' ? 'conflicts' : 'fits';
};

const TEXT_STATES: Readonly<Record<Fit, FitState>> = {
  fits: 'fits',
  wrapped: 'wrapped',
  condensed: 'condensed',
  stepped: 'stepped',
  spills: 'spills',
};

/**
 * How each content of a design fits on each of its sizes, with blank, typical and longest values. What is missing counts only with
 * typical and longest ones: blank values are blank for the trial.
 */
export function fitReport(
  design: Design,
  standard: OfficeStandard,
  typefaces: Typefaces,
  real: RealData = {},
): FitReport {
  const rows = new Map<string, Omit<FitRow, 'worst'> & { bySize: Record<string, FitOnSize> }>();
  for (const { cell } of cellsOf(design)) {
    for (const content of cell.contents) {
      rows.set(content.id, {
        cell: cell.id,
        cellName: cell.name,
        content: content.id,
        what: kindOf(content).inWords(content),
        bySize: {},
      });
    }
  }
  const unsolved: Record<string, string> = {};
  for (const { size } of design.sizes) {
    for (const tryOn of TRIED) {
      const tell = (content: string | undefined, state: FitState, by: number, says?: string): void => {
        const row = content === undefined ? undefined : rows.get(content);
        if (!row) return;
        const before = row.bySize[size];
        if (!before || RANK[state] > RANK[before.state] || (state === before.state && by > before.by)) {
          row.bySize[size] = { state, tryOn, by, says: says === undefined ? [] : [says] };
        } else if (state === before.state && tryOn === before.tryOn && says !== undefined) {
          before.says.push(says);
        }
      };
      try {
        const layout = solveDesign(design, { size, ...triedOn(tryOn, standard, real), standard, typefaces });
        for (const { content, fit, by } of layout.texts) tell(content, TEXT_STATES[fit], by);
        for (const { content } of layout.placed) tell(content.id, 'fits', 0);
        for (const finding of layout.findings) {
          if (finding.weight === 'gap' && tryOn === 'blank') continue;
          tell(finding.where.content, stateOf(finding), finding.by ?? 0, finding.message);
        }
      } catch (error) {
        if (
          !(error instanceof LayoutError || error instanceof UnknownLetteringError || error instanceof UnknownSizeError)
        )
          throw error;
        unsolved[size] = error.message;
      }
    }
  }
  const sorted = [...rows.values()]
    .map((row): FitRow => ({ ...row, worst: worstOf(Object.values(row.bySize)) }))
    .sort((a, b) => RANK[b.worst] - RANK[a.worst] || mostBy(b) - mostBy(a));
  return { sizes: design.sizes.map(({ size }) => size), rows: sorted, unsolved };
}

const worstOf = (all: readonly FitOnSize[]): FitState =>
  all.reduce<FitState>((worst, { state }) => (RANK[state] > RANK[worst] ? state : worst), 'fits');

const mostBy = ({ bySize }: Pick<FitRow, 'bySize'>): number =>
  Math.max(0, ...Object.values(bySize).map(({ by }) => by));
