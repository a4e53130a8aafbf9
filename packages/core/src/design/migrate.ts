type JsonObject = Record<string, unknown>;

/** Keys that columns of tables had up to version 3, with the patterns that show the same. */
const COLUMN_KEYS: Readonly<Record<string, string>> = {
  revision: '{row.code}',
  rev: '{row.code}',
  no: '{row.code}',
  date: '{row.date}',
  description: '{row.description}',
  desc: '{row.description}',
  by: '{row.by}',
  drawn: '{row.by}',
  checked: '{row.checked}',
  purpose: '{row.purpose}',
  name: '{row.name}',
  area: '{row.area}',
};
const SHEET_KEYS: Readonly<Record<string, string>> = {
  number: '{sheet.number}',
  sheet: '{sheet.number}',
  title: '{sheet.title}',
  scale: '{sheet.scale}',
};

function columnWithPattern(column: JsonObject, table: unknown): JsonObject {
  const { key, ...rest } = column;
  const known = table === 'index' ? SHEET_KEYS : COLUMN_KEYS;
  return { ...rest, shows: typeof key === 'string' && Object.hasOwn(known, key) ? known[key] : '' };
}

/** Deeper documents than this are no designs; they are refused when they are read. */
const DEEPEST = 200;

/** A document with its patterns and tables as they are written since version 4. */
function withPatterns(value: unknown, depth = 0): unknown {
  if (typeof value !== 'object' || value === null || depth > DEEPEST) return value;
  if (Array.isArray(value)) return value.map((each: unknown) => withPatterns(each, depth + 1));
  const walked: JsonObject = {};
  for (const [key, each] of Object.entries(value)) walked[key] = withPatterns(each, depth + 1);
  const { kind, pattern, table, columns } = walked;
  if ((kind === 'field' || kind === 'stamp') && typeof pattern === 'string') {
    walked['pattern'] = pattern.replace(/[[\]]/g, (bracket) => bracket + bracket);
  }
  if (kind === 'table' && Array.isArray(columns)) {
    walked['columns'] = columns.map((column: unknown) =>
      typeof column === 'object' && column !== null ? columnWithPattern(column as JsonObject, table) : column,
    );
    if (table === 'other') walked['table'] = 'own';
  }
  return walked;
}

/** The first lettering role that stands anywhere in a document. */
function firstRole(value: unknown, depth = 0): string | undefined {
  if (typeof value !== 'object' || value === null || depth > DEEPEST) return undefined;
  const { role } = value as JsonObject;
  if (typeof role === 'string') return role;
  for (const each of Object.values(value)) {
    const found = firstRole(each, depth + 1);
    if (found !== undefined) return found;
  }
  return undefined;
}

/** A document whose scale bars show the scale of their sheet, as long as they were at most. */
function withScaleBars(value: unknown, figures: string, depth = 0): unknown {
  if (typeof value !== 'object' || value === null || depth > DEEPEST) return value;
  if (Array.isArray(value)) return value.map((each: unknown) => withScaleBars(each, figures, depth + 1));
  const walked: JsonObject = {};
  for (const [key, each] of Object.entries(value)) walked[key] = withScaleBars(each, figures, depth + 1);
  const { kind, symbol, height, ...rest } = walked;
  if (kind !== 'symbol' || symbol !== 'scale bar') return walked;
  const sized = typeof height === 'string' ? height : '5 mm';
  return {
    ...rest,
    kind: 'scaleBar',
    parameter: 'sheet.scale',
    length: `8 * (${sized})`,
    height: `0.3 * (${sized})`,
    role: figures,
  };
}

/** The letter of a row or a column, and the other way round, as modules were named up to version 5. */
const moduleLetter = (index: number): string =>
  index < 26 ? String.fromCharCode(65 + index) : moduleLetter(Math.floor(index / 26) - 1) + moduleLetter(index % 26);
const letterIndex = (letters: string): number =>
  [...letters].reduce((index, letter) => index * 26 + letter.charCodeAt(0) - 64, 0) - 1;

/**
 * A module grid whose reserved modules are called as the office calls them. Up to version 5 they were kept by row letter from the
 * bottom and column number from the left. Module grids of kinds of sheet, which have no version, are brought here by it as well.
 */
export function withReservedAsCalled(modules: unknown): unknown {
  if (typeof modules !== 'object' || modules === null) return modules;
  const { naming, reserved, columns, rows } = modules as JsonObject;
  if (typeof naming !== 'object' || naming === null || !Array.isArray(reserved)) return modules;
  const { from, by } = naming as JsonObject;
  const [most, high] = [Number(columns), Number(rows)];
  const called = reserved.flatMap((name: unknown): string[] => {
    const match = /^([A-Z]{1,2})(\d{1,2})$/.exec(String(name));
    if (!match) return [];
    const [left, up] = [Number(match[2]) - 1, letterIndex(match[1] ?? '')];
    const column = String(from).endsWith('left') ? left : most - 1 - left;
    const row = String(from).startsWith('lower') ? up : high - 1 - up;
    if (column < 0 || row < 0) return [];
    if (by === 'along-rows') return [String(row * most + column + 1)];
    if (by === 'along-columns') return [String(column * high + row + 1)];
    return [by === 'column-row' ? `${moduleLetter(column)}${row + 1}` : `${moduleLetter(row)}${column + 1}`];
  });
  return { ...modules, reserved: called };
}

/**
 * Steps from one version of the design document to the next, the first from version 1 to 2. Each knows only the documents of
 * its time, and stays as it is when the document changes again.
 */
const STEPS: readonly ((document: object) => object)[] = [
  // Conditions of panels and contents, pens of single lines, fills, notes, symbols, images, what stands outside of cells: all optional.
  (document) => ({ ...document, version: 2 }),
  // Panels that lie over the sheet, and tick boxes: optional as well.
  (document) => ({ ...document, version: 3 }),
  // Columns of tables say by a pattern what they show, and brackets in patterns enclose what goes with a missing value.
  (document) => ({ ...(withPatterns(document) as object), version: 4 }),
  // A scale bar was a drawn sign that followed no scale.
  (document) => ({ ...(withScaleBars(document, firstRole(document) ?? 'caption') as object), version: 5 }),
  // Reserved modules are called as the office calls them.
  (document) => ({ ...document, modules: withReservedAsCalled((document as JsonObject)['modules']), version: 6 }),
];

/** The version of the design document that this code reads and writes. */
export const DESIGN_VERSION = 6;

/**
 * Brings a design document of an older version to the one this code reads.
 * @returns the document as it is when its version is not an older one
 */
export function migrateDesign(json: object): object {
  const { version } = json as { version?: unknown };
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return json;
  return STEPS.slice(version - 1).reduce((document, step) => step(document), json);
}
