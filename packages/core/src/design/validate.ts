import type { z } from 'zod';
import { DimensionError, FormulaError, parseFormula } from '../formula';
import { parsePattern } from '../parameter';
import type { SheetSize } from '../standard';
import { SHEET_SIZES } from '../standard';
import type { Cell, Design, Track } from './schema';
import { DESIGN_VERSION, designSchema, MOST_DEPTH } from './schema';

/** What is wrong with a document and where, in the document's own words: `panels.0.root.division.rows.2.fixed`. */
export interface Problem {
  where: string;
  message: string;
}

export class DesignError extends Error {
  override name = 'DesignError';
  constructor(readonly problems: readonly Problem[]) {
    const first = problems[0];
    const more = problems.length > 1 ? ` (and ${problems.length - 1} more)` : '';
    super(first ? `${first.where ? `${first.where}: ` : ''}${first.message}${more}` : 'the design is not valid');
  }
}

function problemOf(issue: z.core.$ZodIssue): Problem {
  const where = issue.path.map(String).join('.');
  if (issue.code === 'unrecognized_keys') {
    return { where, message: `unknown field ${issue.keys.map((key) => `"${key}"`).join(', ')}` };
  }
  return { where, message: issue.message };
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

/** One cell level takes up five levels of JSON: division, children, the list's item, cell, and the cell's own fields. */
const JSON_LEVELS = MOST_DEPTH * 4 + 12;

/**
 * Reads a design from parsed JSON.
 * @param sizes the sheet sizes there are: those that ship, and those of the office
 * @throws DesignError that names each faulty place
 */
export function readDesign(json: unknown, sizes: readonly SheetSize[] = SHEET_SIZES): Design {
  if (typeof json !== 'object' || json === null || Array.isArray(json)) {
    throw new DesignError([{ where: '', message: 'this is not a design document' }]);
  }
  const { format, version } = json as { format?: unknown; version?: unknown };
  if (format !== 'mendrel-design') {
    throw new DesignError([
      { where: 'format', message: 'this is not a Mendrel design ("format" must be "mendrel-design")' },
    ]);
  }
  if (version !== DESIGN_VERSION) {
    throw new DesignError([
      {
        where: 'version',
        message: `version ${JSON.stringify(version)} is not known; this Mendrel reads version ${DESIGN_VERSION}`,
      },
    ]);
  }
  if (deeperThan(json, JSON_LEVELS)) {
    throw new DesignError([{ where: 'panels', message: `cells are nested more than ${MOST_DEPTH} deep` }]);
  }
  const read = designSchema.safeParse(json);
  if (!read.success) throw new DesignError(read.error.issues.slice(0, 20).map(problemOf));
  const problems = validateDesign(read.data, sizes);
  if (problems.length > 0) throw new DesignError(problems);
  return read.data;
}

/** What the schema cannot say: formulas that can be read, without circles, ids that are unique, children inside their tracks. */
export function validateDesign(design: Design, sizes: readonly SheetSize[] = SHEET_SIZES): Problem[] {
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
  const ids = new Set<string>();
  const unique = (where: string, id: string): void => {
    if (ids.has(id)) problems.push({ where, message: `the id "${id}" is used twice` });
    ids.add(id);
  };

  design.sizes.forEach((each, i) => {
    if (!sizes.some((size) => size.name === each.size)) {
      problems.push({ where: `sizes.${i}.size`, message: `there is no sheet size "${each.size}"` });
    }
  });
  const names = new Set<string>();
  design.dimensions.forEach((dimension, i) => {
    if (names.has(dimension.name)) {
      problems.push({ where: `dimensions.${i}.name`, message: `there are two dimensions "${dimension.name}"` });
    }
    names.add(dimension.name);
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
    unique(where, each.id);
    formula(`${where}.padding`, each.padding);
    formula(`${where}.when`, each.when);
    each.contents.forEach((content, i) => {
      const place = `${where}.contents.${i}`;
      unique(place, content.id);
      if (content.kind === 'field') {
        try {
          parsePattern(content.pattern);
        } catch (error) {
          problems.push({ where: `${place}.pattern`, message: (error as Error).message });
        }
      }
      if (content.kind === 'table') {
        formula(`${place}.rowHeight`, content.rowHeight);
        content.columns.forEach((column, c) => formula(`${place}.columns.${c}.width`, column.width));
      }
    });
    const { division } = each;
    if (!division) return;
    tracks(`${where}.division.columns`, division.columns);
    tracks(`${where}.division.rows`, division.rows);
    division.children.forEach((child, i) => {
      const place = `${where}.division.children.${i}`;
      if (
        child.column + child.columnSpan > division.columns.length ||
        child.row + child.rowSpan > division.rows.length
      ) {
        problems.push({ where: place, message: 'the cell reaches beyond the tracks of its division' });
      }
      cell(`${place}.cell`, child.cell);
    });
  };
  design.panels.forEach((panel, i) => {
    const where = `panels.${i}`;
    unique(where, panel.id);
    for (const key of ['x', 'y', 'width', 'height'] as const) formula(`${where}.${key}`, panel[key]);
    const needed: ('width' | 'height')[] =
      panel.dock === 'left' || panel.dock === 'right'
        ? ['width']
        : panel.dock === 'top' || panel.dock === 'bottom'
          ? ['height']
          : ['width', 'height'];
    for (const key of needed) {
      if (panel[key] === undefined) problems.push({ where, message: `a panel docked ${panel.dock} needs a ${key}` });
    }
    cell(`${where}.root`, panel.root);
  });
  return problems.slice(0, 20);
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
