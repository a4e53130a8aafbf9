type Row = Readonly<Record<string, unknown>>;

/** How figures of dimensions were written by every Mendrel that had no settings for it. */
const FIGURES_ONCE: Readonly<Record<'mm' | 'in', Row>> = {
  mm: { fractions: 'stacked', precision: 0, leadingZeros: true, trailingZeros: true, movedOut: 'whichever fits' },
  in: { fractions: 'stacked', precision: 4, leadingZeros: false, trailingZeros: true, movedOut: 'whichever fits' },
};

const rowsOf = (value: unknown): readonly Row[] => (Array.isArray(value) ? (value as readonly Row[]) : []);

/**
 * Steps from one version of the office standard to the next, the first from version 2 to 3: standards of version 1 could not be
 * edited, and none is stored any more. Each knows only the documents of its time, and stays as it is when they change again.
 */
const STEPS: readonly ((document: Row) => Row)[] = [
  // Dimensions got settings of their figures, and parameters of yes or no are called ticks.
  (document) => ({
    ...document,
    version: 3,
    dimensions: rowsOf(document['dimensions']).map((row) => ({
      ...FIGURES_ONCE[row['unit'] === 'in' ? 'in' : 'mm'],
      ...row,
    })),
    parameters: rowsOf(document['parameters']).map((row) =>
      row['kind'] === 'yes/no' ? { ...row, kind: 'tick' } : row,
    ),
  }),
  // Dates get one form, and offices tables of their own.
  (document) => ({
    ...document,
    version: 4,
    wording: { ...(document['wording'] as Row), dates: 'as entered' },
    tables: [],
  }),
];

/** The oldest version of the standard that can be read. */
const OLDEST = 2;
/** The version of the standard that this code reads and writes. */
export const STANDARD_VERSION = 4;

/**
 * Brings an office standard of an older version to the one this code reads.
 * @returns the document as it is when its version is not an older one that can be read
 */
export function migrateStandard(json: object): object {
  const { version } = json as { version?: unknown };
  if (typeof version !== 'number' || !Number.isInteger(version) || version < OLDEST) return json;
  return STEPS.slice(version - OLDEST).reduce((document, step) => step(document), json as Row);
}
