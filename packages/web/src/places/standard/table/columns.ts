import type { WorkingUnit } from '@mendrel/core';
import { formatLength, parseLength, QuantityError } from '@mendrel/core';

/** What cannot be read, in words that say what would be right. */
export class EntryError extends Error {
  override name = 'EntryError';
}

/** One column of a table that people type through. */
export interface Column<Row> {
  /** The path of its field, as problems name it: `margins.left`. */
  key: string;
  name: string;
  write: (row: Row) => string;
  /** The row with what was typed. @throws EntryError or QuantityError */
  read: (text: string, row: Row) => Row;
  /** For a choice. */
  options?: (row: Row) => readonly { value: string; label: string }[];
  /** For a tick: `yes` or an empty text. */
  tick?: boolean;
  width: number;
  /** Figures stand at the right. */
  figures?: boolean;
  fixed?: (row: Row) => boolean;
}

interface Basics {
  key: string;
  name: string;
  width: number;
}

/** A column of plain words. */
export function words<Row>(
  basics: Basics,
  get: (row: Row) => string,
  set: (row: Row, text: string) => Row,
  check?: (text: string) => void,
): Column<Row> {
  return {
    ...basics,
    write: get,
    read(text, row) {
      check?.(text.trim());
      return set(row, text.trim());
    },
  };
}

/** A column of lengths, typed as people write them, bare numbers in the row's unit. */
export function lengths<Row>(
  basics: Basics,
  get: (row: Row) => number,
  set: (row: Row, mm: number) => Row,
  unitOf: (row: Row) => WorkingUnit,
  limits: readonly [least: number, most: number] = [0, 20_000],
): Column<Row> {
  return {
    ...basics,
    figures: true,
    write: (row) => formatLength(get(row), unitOf(row)),
    read(text, row) {
      const unit = unitOf(row);
      const mm = parseLength(text, unit);
      const [least, most] = limits;
      if (mm < least - 1e-9 || mm > most + 1e-9) {
        const [from, to] = limits.map((limit) => formatLength(limit, unit, true));
        throw new EntryError(`${basics.name.toLowerCase()} is from ${from} to ${to}`);
      }
      return set(row, mm);
    },
  };
}

/** A number as people write it, with a decimal point or comma. @throws EntryError */
export function readNumber(text: string, name: string, [least, most]: readonly [number, number]): number {
  const value = /^\d+([.,]\d+)?$/.test(text.trim()) ? Number(text.trim().replace(',', '.')) : Number.NaN;
  if (!(value >= least && value <= most)) {
    throw new EntryError(`${name.toLowerCase()} is a number from ${least} to ${most}`);
  }
  return value;
}

/** A column of plain numbers. */
export function numbers<Row>(
  basics: Basics,
  get: (row: Row) => number,
  set: (row: Row, value: number) => Row,
  limits: readonly [least: number, most: number],
): Column<Row> {
  return {
    ...basics,
    figures: true,
    write: (row) => String(get(row)),
    read: (text, row) => set(row, readNumber(text, basics.name, limits)),
  };
}

/** A column of choices; a pasted label counts as its value. */
export function choices<Row>(
  basics: Basics,
  get: (row: Row) => string,
  set: (row: Row, value: string) => Row,
  options: (row: Row) => readonly { value: string; label: string }[],
): Column<Row> {
  return {
    ...basics,
    write: get,
    options,
    read(text, row) {
      const wanted = text.trim().toLowerCase();
      const all = options(row);
      const found = all.find((each) => each.value.toLowerCase() === wanted || each.label.toLowerCase() === wanted);
      if (!found) throw new EntryError(`${basics.name.toLowerCase()} is one of ${all.map((o) => o.label).join(', ')}`);
      return set(row, found.value);
    },
  };
}

/** Choices whose values are their labels. */
export const plainOptions = (values: readonly string[]): { value: string; label: string }[] =>
  values.map((value) => ({ value, label: value }));

/** A column of ticks. */
export function ticks<Row>(
  basics: Basics,
  get: (row: Row) => boolean,
  set: (row: Row, on: boolean) => Row,
): Column<Row> {
  return {
    ...basics,
    tick: true,
    write: (row) => (get(row) ? 'yes' : 'no'),
    read(text, row) {
      const word = text.trim().toLowerCase();
      if (!['yes', 'no', 'true', 'false', '1', '0', ''].includes(word)) {
        throw new EntryError(`${basics.name.toLowerCase()} is yes or no`);
      }
      return set(row, ['yes', 'true', '1'].includes(word));
    },
  };
}

/** What went wrong with an entry; anything else goes on. */
export function entryProblem(error: unknown): string {
  if (error instanceof EntryError || error instanceof QuantityError) return error.message;
  throw error;
}
