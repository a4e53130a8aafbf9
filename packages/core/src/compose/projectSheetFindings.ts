import type { Finding } from '../check';
import type { Design } from '../design';
import { takenFromStandard } from '../design';
import { LayoutError, UnknownLetteringError } from '../layout';
import type { OfficeStandard } from '../standard';
import { UnknownSizeError } from '../standard';

/** A sheet of a size that its design was not made for: it may solve by chance, but nobody has looked at it. */
export function unservedFinding(design: Design, size: string): Finding | undefined {
  if (design.sizes.some((each) => each.size === size)) return undefined;
  return {
    kind: 'unserved',
    weight: 'error',
    message: `${design.name} is not made for ${size}`,
    where: { size },
    mend: `add ${size} to the design, or give the sheet one of ${design.sizes.map((each) => each.size).join(', ')}`,
  };
}

const OTHER_REVISION = 'use the revision of the office standard that the design was made with, or change the design';

/** Pens of a design that its project's revision of the office standard does not have; their lines would be drawn by guess. */
export function missingPens(design: Design, standard: OfficeStandard): Finding[] {
  const missing = [...takenFromStandard(design).pens].filter(
    (id) => id !== 'none' && !standard.pens.some((pen) => pen.id === id),
  );
  if (missing.length === 0) return [];
  return [
    {
      kind: 'unknown',
      weight: 'error',
      message: `${design.name} draws with pens that this revision of the office standard does not have: ${missing.join(', ')}`,
      where: missing.length === 1 ? { pen: missing[0] ?? '' } : {},
      mend: OTHER_REVISION,
    },
  ];
}

/** What a design that cannot be solved tells instead of a sheet: what is missing, and what to do. */
export function unsolvedFinding(error: unknown): Finding {
  const base = { kind: 'unsolved', weight: 'error' } as const;
  if (error instanceof UnknownLetteringError || error instanceof UnknownSizeError) {
    return {
      ...base,
      message: error.message,
      where: {},
      mend: OTHER_REVISION,
    };
  }
  if (error instanceof LayoutError) {
    return {
      ...base,
      message: `${error.where}: ${error.message}`,
      where: {},
      mend: 'open the design and change it there',
    };
  }
  return { ...base, message: error instanceof Error ? error.message : String(error), where: {} };
}
