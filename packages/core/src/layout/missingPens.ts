import type { Finding } from '../check';
import type { Design } from '../design';
import { takenFromStandard } from '../design';
import type { OfficeStandard } from '../standard';

/** What mends a design that asks for more than a revision of the office standard has. */
export const OTHER_REVISION =
  'use the revision of the office standard that the design was made with, or change the design';

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
