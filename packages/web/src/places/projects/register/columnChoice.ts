/** Which columns of a register somebody sees, in which order, and how large its pictures are. */
export interface ColumnChoice {
  /** Fields in their order; those that are not named follow as they usually come. */
  order: readonly string[];
  hidden: readonly string[];
  /** Fields that are shown though they usually are not. */
  shown: readonly string[];
  /** Whether pictures of sheets are large enough to read what stands where. */
  large: boolean;
  /** The column that rows are grouped by; undefined for none. */
  groupBy?: string | undefined;
}

export const USUAL_CHOICE: ColumnChoice = { order: [], hidden: [], shown: [], large: false };

const KEY = 'mendrel.register.columns';

const isWords = (value: unknown): value is string[] =>
  Array.isArray(value) && value.every((each) => typeof each === 'string');

/** The choice that was kept in this browser; the usual one where there is none. */
export function keptChoice(storage: Pick<Storage, 'getItem'> = localStorage): ColumnChoice {
  try {
    const kept = JSON.parse(storage.getItem(KEY) ?? 'null') as Partial<Record<keyof ColumnChoice, unknown>> | null;
    const listOf = (value: unknown): string[] => (isWords(value) ? value : []);
    return {
      order: listOf(kept?.order),
      hidden: listOf(kept?.hidden),
      shown: listOf(kept?.shown),
      large: kept?.large === true,
      ...(typeof kept?.groupBy === 'string' ? { groupBy: kept.groupBy } : {}),
    };
  } catch {
    // Whatever else wrote there, or a browser that keeps nothing.
    return USUAL_CHOICE;
  }
}

export function keepChoice(choice: ColumnChoice, storage: Pick<Storage, 'setItem'> = localStorage): void {
  try {
    storage.setItem(KEY, JSON.stringify(choice));
  } catch {
    // It counts until the page is left.
  }
}

/** Columns as somebody has chosen them. @param usual whether a column is seen where nobody chose */
export function chosenColumns<Column extends { field: string }>(
  columns: readonly Column[],
  { order, hidden, shown }: ColumnChoice,
  usual: (field: string) => boolean,
): Column[] {
  const places = new Map(order.map((field, i) => [field, i]));
  const seen = columns.filter(({ field }) => (usual(field) ? !hidden.includes(field) : shown.includes(field)));
  const named = seen.filter(({ field }) => places.has(field));
  named.sort((a, b) => places.get(a.field)! - places.get(b.field)!);
  // The named ones change places among themselves; all others stay where they are.
  let next = 0;
  return seen.map((column) => (places.has(column.field) ? named[next++]! : column));
}

/** The choice with a column shown or hidden. */
export function toggled(choice: ColumnChoice, field: string, show: boolean, usual: boolean): ColumnChoice {
  const without = (list: readonly string[]): string[] => list.filter((each) => each !== field);
  return {
    ...choice,
    hidden: usual && !show ? [...without(choice.hidden), field] : without(choice.hidden),
    shown: !usual && show ? [...without(choice.shown), field] : without(choice.shown),
  };
}

/** The choice with a column one place nearer to the front or to the back. @param fields all that can be chosen, as they stand */
export function shifted(choice: ColumnChoice, fields: readonly string[], field: string, by: -1 | 1): ColumnChoice {
  const from = fields.indexOf(field);
  const to = from + by;
  if (from < 0 || to < 0 || to >= fields.length) return choice;
  return { ...choice, order: fields.toSpliced(from, 1).toSpliced(to, 0, field) };
}
