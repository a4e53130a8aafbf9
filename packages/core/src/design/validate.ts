import type { Problem } from '../document';
import { DocumentError, problemsOf } from '../document';
import { DimensionError, FormulaError, parseFormula } from '../formula';
import { parsePattern, PatternError } from '../parameter';
import type { SheetSize } from '../standard';
import { findSize, SHEET_SIZES } from '../standard';
import type { Cell, Child, Division, Track } from './cell';
import { MOST_DEPTH } from './cell';
import { formulasOf, patternsOf, textAt } from './content';
import type { AnchoredPoint } from './loose';
import { OWN_ANCHORS } from './loose';
import { DESIGN_VERSION, migrateDesign } from './migrate';
import { lengthsNeeded, PANEL_FORMULAS } from './panel';
import type { Design } from './schema';
import { designSchema } from './schema';
import { cellsOf } from './visit';

/** A design that cannot be used. */
export class DesignError extends DocumentError {
  override name = 'DesignError';
  constructor(problems: readonly Problem[]) {
    super(problems, 'the design');
  }
}

/** Nesting of objects and arrays, without recursion, so that hostile input cannot exhaust the stack. */
function deeperThan(value: unknown, most: number): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > most) return true;
    level = level.flatMap((each) =>
      typeof each === 'object' && each !== null ? Object.values(each as Record<string, unknown>) : [],
    );
  }
  return false;
}

/**
 * More levels of JSON than the deepest sound document has, which keeps what walks it by recursion from exhausting the stack: a
 * cell in a cell takes up four of them (division, children, the list's item, cell). Cells themselves are counted later.
 */
const JSON_LEVELS = (MOST_DEPTH + 2) * 4 + 12;

/**
 * Reads a design from parsed JSON, of this version or an older one.
 * @param sizes the sheet sizes there are: those that ship, and those of the office
 * @throws DesignError that names each faulty place
 */
export function readDesign(json: unknown, sizes: readonly SheetSize[] = SHEET_SIZES): Design {
  const design = readDraft(json, sizes);
  const problems = formulaProblems(design);
  if (problems.length > 0) throw new DesignError(problems);
  return design;
}

/**
 * Reads a design that is still being worked on: its formulas may be wrong, its structure must be sound.
 * @throws DesignError that names each faulty place
 */
export function readDraft(json: unknown, sizes: readonly SheetSize[] = SHEET_SIZES): Design {
  if (typeof json !== 'object' || json === null || Array.isArray(json)) {
    throw new DesignError([{ where: '', message: 'this is not a design document' }]);
  }
  const { format, version } = json as { format?: unknown; version?: unknown };
  if (format !== 'mendrel-design') {
    throw new DesignError([
      { where: 'format', message: 'this is not a Mendrel design ("format" must be "mendrel-design")' },
    ]);
  }
  const current = migrateDesign(json);
  if ((current as { version?: unknown }).version !== DESIGN_VERSION) {
    throw new DesignError([
      {
        where: 'version',
        message: `version ${JSON.stringify(version)} is not known; this Mendrel reads versions 1 to ${DESIGN_VERSION}`,
      },
    ]);
  }
  if (deeperThan(current, JSON_LEVELS)) {
    throw new DesignError([{ where: 'panels', message: `cells are nested more than ${MOST_DEPTH} deep` }]);
  }
  const read = designSchema.safeParse(current);
  if (!read.success) throw new DesignError(problemsOf(read.error));
  const problems = structureProblems(read.data, sizes);
  if (problems.length > 0) throw new DesignError(problems);
  return read.data;
}

const MOST_PROBLEMS = 20;

/**
 * What the schema cannot say: sizes that exist, ids and names that are unique, patterns that can be read, children that
 * keep to tracks of their own.
 */
function structureProblems(design: Design, sizes: readonly SheetSize[]): Problem[] {
  const problems: Problem[] = [];
  const ids = new Set<string>();
  const unique = (where: string, id: string): void => {
    if (ids.has(id)) problems.push({ where, message: `the id "${id}" is used twice` });
    ids.add(id);
  };
  design.sizes.forEach((each, i) => {
    if (findSize(each.size, sizes)?.name !== each.size) {
      problems.push({ where: `sizes.${i}.size`, message: `there is no sheet size "${each.size}"` });
    }
  });
  const names = new Set<string>();
  design.dimensions.forEach((dimension, i) => {
    if (names.has(dimension.name)) {
      problems.push({ where: `dimensions.${i}.name`, message: `there are two dimensions "${dimension.name}"` });
    }
    names.add(dimension.name);
  });
  const pattern = (where: string, text: string): void => {
    try {
      parsePattern(text);
    } catch (error) {
      if (!(error instanceof PatternError)) throw error;
      problems.push({ where, message: error.message });
    }
  };
  const cell = (where: string, each: Cell, depth: number): void => {
    if (depth > MOST_DEPTH) {
      problems.push({ where, message: `cells are nested more than ${MOST_DEPTH} deep` });
      return;
    }
    unique(where, each.id);
    each.contents.forEach((content, i) => {
      unique(`${where}.contents.${i}`, content.id);
      for (const path of patternsOf(content))
        pattern(`${where}.contents.${i}.${path.join('.')}`, textAt(content, path));
    });
    const { division } = each;
    if (!division) return;
    problems.push(...childProblems(`${where}.division`, division));
    division.children.forEach((child, i) => cell(`${where}.division.children.${i}.cell`, child.cell, depth + 1));
  };
  design.panels.forEach((panel, i) => {
    const where = `panels.${i}`;
    unique(where, panel.id);
    for (const key of lengthsNeeded(panel.dock)) {
      if (panel[key] === undefined) problems.push({ where, message: `a panel docked ${panel.dock} needs a ${key}` });
    }
    cell(`${where}.root`, panel.root, 1);
  });
  design.loose?.forEach((each, i) => {
    unique(`loose.${i}`, each.id);
    if (each.kind === 'stamp') pattern(`loose.${i}.pattern`, each.pattern);
  });
  return problems.slice(0, MOST_PROBLEMS);
}

/** Children that reach beyond their tracks or lie over each other. */
function childProblems(where: string, { columns, rows, children }: Division): Problem[] {
  const problems: Problem[] = [];
  const taken = new Map<number, Child>();
  children.forEach((child, i) => {
    const place = `${where}.children.${i}`;
    if (child.column + child.columnSpan > columns.length || child.row + child.rowSpan > rows.length) {
      problems.push({ where: place, message: 'the cell reaches beyond the tracks of its division' });
      return;
    }
    for (let row = child.row; row < child.row + child.rowSpan; row++) {
      for (let column = child.column; column < child.column + child.columnSpan; column++) {
        const key = row * columns.length + column;
        const other = taken.get(key);
        if (other) {
          problems.push({ where: place, message: `the cell lies over the cell "${other.cell.id}"` });
          return;
        }
        taken.set(key, child);
      }
    }
  });
  return problems;
}

/** Everything that is wrong with a design, structure and formulas. */
export function validateDesign(design: Design, sizes: readonly SheetSize[] = SHEET_SIZES): Problem[] {
  return [...structureProblems(design, sizes), ...formulaProblems(design)].slice(0, MOST_PROBLEMS);
}

/** Formulas that cannot be read, dimensions in circles, places that hang on something that is gone. */
export function formulaProblems(design: Design): Problem[] {
  const problems: Problem[] = [];
  const formula = (where: string, text: string | undefined): void => {
    if (text === undefined) return;
    try {
      parseFormula(text);
    } catch (error) {
      if (!(error instanceof FormulaError)) throw error;
      problems.push({ where, message: `"${text}" ${error.message}` });
    }
  };
  design.dimensions.forEach((dimension, i) => {
    formula(`dimensions.${i}.formula`, dimension.formula);
    for (const [size, text] of Object.entries(dimension.bySize ?? {})) formula(`dimensions.${i}.bySize.${size}`, text);
  });
  problems.push(...circles(design));
  if (design.frame.margins !== 'standard') {
    for (const [edge, text] of Object.entries(design.frame.margins)) formula(`frame.margins.${edge}`, text);
  }
  const tracks = (where: string, list: readonly Track[]): void => {
    list.forEach((track, i) => {
      if ('fixed' in track) formula(`${where}.${i}.fixed`, track.fixed);
      else {
        formula(`${where}.${i}.min`, track.min);
        formula(`${where}.${i}.max`, track.max);
      }
    });
  };
  const cell = (where: string, each: Cell): void => {
    formula(`${where}.padding`, each.padding);
    formula(`${where}.when`, each.when);
    each.contents.forEach((content, i) => {
      for (const { path } of formulasOf(content))
        formula(`${where}.contents.${i}.${path.join('.')}`, textAt(content, path));
    });
    const { division } = each;
    if (!division) return;
    tracks(`${where}.division.columns`, division.columns);
    tracks(`${where}.division.rows`, division.rows);
    formula(`${where}.division.gaps.columns`, division.gaps?.columns);
    formula(`${where}.division.gaps.rows`, division.gaps?.rows);
    division.children.forEach((child, i) => cell(`${where}.division.children.${i}.cell`, child.cell));
  };
  design.panels.forEach((panel, i) => {
    const where = `panels.${i}`;
    for (const key of PANEL_FORMULAS) formula(`${where}.${key}`, panel[key]);
    cell(`${where}.root`, panel.root);
  });
  if (design.loose) {
    const known = new Set([...OWN_ANCHORS, ...design.panels.map((panel) => panel.id)]);
    for (const { cell: each } of cellsOf(design)) known.add(each.id);
    const point = (where: string, at: AnchoredPoint): void => {
      if (!known.has(at.of)) problems.push({ where, message: `it hangs on "${at.of}", which is not in the design` });
      formula(`${where}.x`, at.x);
      formula(`${where}.y`, at.y);
    };
    design.loose.forEach((each, i) => {
      const where = `loose.${i}`;
      formula(`${where}.when`, each.when);
      if ('at' in each) {
        point(`${where}.at`, each.at);
      } else {
        point(`${where}.from`, each.from);
        point(`${where}.to`, each.to);
      }
    });
  }
  return problems.slice(0, MOST_PROBLEMS);
}

/** Circles among dimensions, found on names alone, for the general formulas and for each size's own. */
function circles(design: Design): Problem[] {
  const sizes = [undefined, ...new Set(design.dimensions.flatMap((each) => Object.keys(each.bySize ?? {})))];
  for (const size of sizes) {
    const uses = new Map<string, { names: readonly string[]; place: number }>();
    design.dimensions.forEach((dimension, place) => {
      try {
        const text = (size !== undefined && dimension.bySize?.[size]) || dimension.formula;
        uses.set(dimension.name, { names: parseFormula(text).names, place });
      } catch {
        // Reported as an unreadable formula already.
      }
    });
    const done = new Set<string>();
    const visit = (name: string, path: readonly string[]): DimensionError | undefined => {
      if (path.includes(name)) {
        const loop = [...path.slice(path.indexOf(name)), name].join(' → ');
        return new DimensionError(name, `the dimensions use each other in a circle: ${loop}`);
      }
      if (done.has(name)) return undefined;
      for (const next of uses.get(name)?.names ?? []) {
        const found = uses.has(next) ? visit(next, [...path, name]) : undefined;
        if (found) return found;
      }
      done.add(name);
      return undefined;
    };
    for (const [name, { place }] of uses) {
      const circle = visit(name, []);
      if (circle) return [{ where: `dimensions.${place}`, message: circle.message }];
    }
  }
  return [];
}
