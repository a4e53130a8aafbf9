/**
 * Colours of what is marked on paper. Paper is light in both schemes, and a canvas and a drawing written as text know no names
 * of a theme, so they stand here as they are.
 */
export const INKS = {
  selected: '#0f6f67',
  /** Words about what is selected. */
  selectedWords: '#0b4f49',
  spills: '#b3402a',
  differs: '#8a5400',
  note: '#7c8886',
  /** Old and new linework: apart on paper for every kind of sight, and nearly black where both lie. */
  old: '#d2461e',
  now: '#0f8fb8',
} as const;

/** Lines of Mendrel's own sign on the rail. */
export const SIGN = { sheet: '#fbfaf6', block: '#e0a458' } as const;
