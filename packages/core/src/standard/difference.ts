import type { WorkingUnit } from '../quantity';
import { formatLength } from '../quantity';
import type { OfficeStandard } from './officeStandard';
import { viewTitleOf } from './text';

/** One change between two standards, in plain words. */
export interface StandardChange {
  table: string;
  message: string;
}

type Row = Readonly<Record<string, unknown>>;

/** Tables that are compared row by row: what a row is called, and by what two rows are the same. */
const TABLES = [
  ['sizes', 'Sheet size', 'name'],
  ['frameRules', 'Frame rule', 'id'],
  ['roles', 'Lettering role', 'id'],
  ['pens', 'Pen', 'id'],
  ['patterns', 'Line pattern', 'id'],
  ['layers', 'Layer', 'id'],
  ['drawingPens', 'Pen of drawings', 'id'],
  ['dimensions', 'Dimension lettering', 'id'],
  ['parameters', 'Parameter', 'id'],
  ['devices', 'Device', 'id'],
  ['tables', 'Table', 'id'],
  ['symbols', 'Symbol', 'id'],
] as const;

/** Fields that hold a length on paper. */
const LENGTHS = new Set([
  'width',
  'height',
  'field',
  'left',
  'right',
  'top',
  'bottom',
  'terminatorSize',
  'extension',
  'gap',
  'offset',
  'longest',
  'side',
  'lead',
]);

/** `lineSpacing` as people say it: line spacing. */
const spoken = (field: string): string => field.replace(/[A-Z]/g, (capital) => ` ${capital.toLowerCase()}`);

function valueInWords(value: unknown, field: string, unit: WorkingUnit): string {
  if (typeof value === 'number') return LENGTHS.has(field) ? formatLength(value, unit, true) : String(value);
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  if (Array.isArray(value)) {
    if (value.length === 0) return 'none';
    return value.map((each) => valueInWords(each, field, unit)).join(', ');
  }
  if (typeof value === 'object' && value !== null) {
    return Object.entries(value)
      .map(([key, each]) => `${spoken(key)} ${valueInWords(each, key, unit)}`)
      .join(' ');
  }
  return typeof value === 'string' && value !== '' ? `“${value}”` : 'nothing';
}

const isRecord = (value: unknown): value is Row => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether two values say the same; a database may keep the fields of a record in another order. */
function alike(a: unknown, b: unknown): boolean {
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((each, i) => alike(each, b[i]));
  if (isRecord(a) && isRecord(b)) return Object.keys({ ...a, ...b }).every((key) => alike(a[key], b[key]));
  return a === b;
}

/** The changed fields of a row, those of records within it by their own names. */
function fieldChanges(before: Row, after: Row, unit: WorkingUnit, within = ''): string[] {
  return Object.keys({ ...before, ...after }).flatMap((field) => {
    const [was, is] = [before[field], after[field]];
    if (alike(was, is)) return [];
    // Thousands of places say nothing to anybody.
    if (field === 'linework') return ['drawn differently'];
    if (isRecord(was) && isRecord(is)) return fieldChanges(was, is, unit, `${within}${spoken(field)} `);
    return [`${within}${spoken(field)} ${valueInWords(was, field, unit)} → ${valueInWords(is, field, unit)}`];
  });
}

const nameOf = (row: Row, key: string): string => {
  const name = row['name'] ?? row[key];
  return typeof name === 'string' ? name : '';
};

/** What changed from one standard to another, in plain words, table by table. */
export function standardDifference(before: OfficeStandard, after: OfficeStandard): StandardChange[] {
  const changes: StandardChange[] = [];
  for (const [table, word, key] of TABLES) {
    const [was, is] = [(before[table] ?? []) as readonly Row[], (after[table] ?? []) as readonly Row[]];
    const add = (message: string): void => void changes.push({ table, message });
    const old = new Map(was.map((row) => [row[key], row]));
    const now = new Set(is.map((row) => row[key]));
    for (const row of is) {
      const earlier = old.get(row[key]);
      if (!earlier) {
        add(`${word} ${nameOf(row, key)} is new`);
        continue;
      }
      const rowUnit = row['unit'] === 'in' ? 'in' : 'mm';
      const fields = fieldChanges(earlier, row, rowUnit);
      if (fields.length > 0) add(`${word} ${nameOf(row, key)}: ${fields.join('; ')}`);
    }
    for (const row of was) if (!now.has(row[key])) add(`${word} ${nameOf(row, key)} is gone`);
    const common = (rows: readonly Row[], others: ReadonlySet<unknown>): string =>
      rows
        .map((row) => row[key])
        .filter((each) => others.has(each))
        .join('\n');
    if (common(was, now) !== common(is, new Set(old.keys()))) add(`The order of the table has changed`);
  }
  for (const list of ['scales', 'heights'] as const) {
    const word = list === 'scales' ? 'Scale' : 'Height';
    const words = (value: string | number): string =>
      typeof value === 'number' ? formatLength(value, 'mm', true) : value;
    const [was, is]: [readonly (string | number)[], readonly (string | number)[]] = [before[list], after[list]];
    for (const each of is)
      if (!was.includes(each)) changes.push({ table: list, message: `${word} ${words(each)} is new` });
    for (const each of was)
      if (!is.includes(each)) changes.push({ table: list, message: `${word} ${words(each)} is gone` });
  }
  const rest = (standard: OfficeStandard): Row => ({
    unit: standard.unit,
    leastHeight: `${standard.leastHeight} mm`,
    reducedPrints: standard.reducedPrints.map(({ from, to }) => `${from} on ${to}`),
    wording: standard.wording,
    languages: standard.languages ?? [],
    uncounted: standard.uncounted ?? [],
    keptTogether: standard.keptTogether ?? [],
    fallbackTypeface: standard.fallbackTypeface ?? '',
    viewTitle: viewTitleOf(standard),
  });
  for (const message of fieldChanges(rest(before), rest(after), 'mm')) {
    changes.push({ table: 'wording', message: message.charAt(0).toUpperCase() + message.slice(1) });
  }
  return changes;
}
