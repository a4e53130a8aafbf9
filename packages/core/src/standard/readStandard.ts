import type { Problem } from '../document';
import { DocumentError, problemsOf } from '../document';
import { SHIPPED_PARAMETERS } from '../parameter';
import type { OfficeStandard } from './officeStandard';
import { officeStandardSchema, sizesOf } from './officeStandard';
import { migrateStandard, STANDARD_VERSION } from './migrate';
import { SHEET_SIZES } from './sheets';

/** An office standard that cannot be used. */
export class StandardError extends DocumentError {
  override name = 'StandardError';
  constructor(problems: readonly Problem[]) {
    super(problems, 'the standard');
  }
}

/**
 * Reads a standard from parsed JSON.
 * @throws StandardError that names each faulty place
 */
export function readStandard(json: unknown): OfficeStandard {
  if (typeof json !== 'object' || json === null || !('format' in json) || json.format !== 'mendrel-standard') {
    throw new StandardError([
      { where: '', message: 'this is not an office standard: its format is not mendrel-standard' },
    ]);
  }
  const document = migrateStandard(json);
  if ('version' in document && document.version !== STANDARD_VERSION) {
    throw new StandardError([
      {
        where: 'version',
        message: `this standard is of version ${String(document.version)}; this program reads versions 2 to ${STANDARD_VERSION}`,
      },
    ]);
  }
  const read = officeStandardSchema.safeParse(document);
  if (!read.success) throw new StandardError(problemsOf(read.error));
  const problems = standardProblems(read.data);
  if (problems.length > 0) throw new StandardError(problems);
  return read.data;
}

/** What the tables of a sound document may still have wrong: names that are there twice, references to what is not there. */
export function standardProblems(standard: OfficeStandard): Problem[] {
  return [
    ...twice('sizes', 'name', standard.sizes, (size) => size.name),
    ...shadowed(standard),
    ...(['frameRules', 'roles', 'pens', 'patterns', 'layers', 'dimensions', 'parameters', 'devices'] as const).flatMap(
      (table) => [
        ...twice(table, 'name', standard[table], (each: { name: string }) => each.name),
        ...twice(table, 'id', standard[table], (each: { id: string }) => each.id),
      ],
    ),
    ...twice('symbols', 'name', standard.symbols ?? [], (each) => each.name),
    ...twice('symbols', 'id', standard.symbols ?? [], (each) => each.id),
    ...twice('parameters', 'key', standard.parameters, (parameter) => parameter.key),
    ...twice('scales', '', standard.scales, (scale) => scale),
    ...twice('languages', '', standard.languages ?? [], (language) => language),
    ...holdsTwice(standard),
    ...references(standard),
    ...ruleRooms(standard),
  ];
}

function twice<T>(table: string, field: string, rows: readonly T[], of: (row: T) => string): Problem[] {
  const seen = new Map<string, number>();
  return rows.flatMap((row, i) => {
    const word = of(row).trim().toLowerCase();
    const before = seen.get(word);
    seen.set(word, before ?? i);
    if (before === undefined) return [];
    const where = [table, String(i), field].filter((part) => part !== '').join('.');
    return [{ where, message: `"${of(row)}" is there twice; give one of them another ${field || 'value'}` }];
  });
}

/** Own sizes and parameters that would hide those that ship. */
function shadowed({ sizes, parameters }: OfficeStandard): Problem[] {
  const names = new Set(SHEET_SIZES.map((size) => size.name.toLowerCase()));
  return [
    ...sizes.flatMap((size, i) =>
      names.has(size.name.toLowerCase())
        ? [{ where: `sizes.${i}.name`, message: `"${size.name}" ships with Mendrel; give yours another name` }]
        : [],
    ),
    ...parameters.flatMap((parameter, i) =>
      SHIPPED_PARAMETERS.has(parameter.key)
        ? [{ where: `parameters.${i}.key`, message: `"${parameter.key}" ships with Mendrel; give yours another key` }]
        : [],
    ),
  ];
}

function holdsTwice({ layers }: OfficeStandard): Problem[] {
  const taken = new Map<string, string>();
  return layers.flatMap((layer, i) =>
    layer.holds.flatMap((use) => {
      const other = taken.get(use);
      taken.set(use, other ?? layer.name);
      return other === undefined || other === layer.name
        ? []
        : [{ where: `layers.${i}.holds`, message: `${use} goes on ${other} already; it can go on one layer` }];
    }),
  );
}

function references(standard: OfficeStandard): Problem[] {
  const pens = new Set(standard.pens.map((pen) => pen.id));
  const patterns = new Set(standard.patterns.map((pattern) => pattern.id));
  const sizes = new Set(sizesOf(standard).map((size) => size.name));
  const problems: Problem[] = [];
  const want = (there: boolean, where: string, message: string): void => {
    if (!there) problems.push({ where, message });
  };
  const penOf = (table: 'frameRules' | 'roles' | 'layers' | 'dimensions' | 'drawingPens'): void => {
    standard[table]?.forEach(({ pen }, i) => {
      want(pens.has(pen), `${table}.${i}.pen`, `there is no pen "${pen}"; there are ${[...pens].join(', ')}`);
    });
  };
  for (const table of ['frameRules', 'roles', 'layers', 'dimensions', 'drawingPens'] as const) penOf(table);
  standard.layers.forEach(({ pattern }, i) => {
    want(
      patterns.has(pattern),
      `layers.${i}.pattern`,
      `there is no pattern "${pattern}"; there are ${[...patterns].join(', ')}`,
    );
  });
  const size = (name: string, where: string): void => {
    want(sizes.has(name), where, `there is no sheet size "${name}"`);
  };
  standard.sizes.forEach(({ model }, i) => {
    if (model !== undefined)
      want(
        SHEET_SIZES.some(({ name }) => name === model),
        `sizes.${i}.model`,
        `no size "${model}" ships with Mendrel`,
      );
  });
  standard.frameRules.forEach((rule, i) => rule.sizes.forEach((name, j) => size(name, `frameRules.${i}.sizes.${j}`)));
  standard.reducedPrints.forEach(({ from, to }, i) => {
    size(from, `reducedPrints.${i}.from`);
    size(to, `reducedPrints.${i}.to`);
  });
  standard.devices.forEach((device, i) =>
    device.papers.forEach((paper, j) => size(paper.size, `devices.${i}.papers.${j}.size`)),
  );
  standard.parameters.forEach((parameter, i) => {
    want(
      parameter.kind !== 'choice' || parameter.choices.length > 0,
      `parameters.${i}.choices`,
      'a choice needs something to choose from; write it as one | two | three',
    );
  });
  return problems;
}

/** A rule whose margins are wider than a sheet it names. */
function ruleRooms(standard: OfficeStandard): Problem[] {
  const sizes = sizesOf(standard);
  return standard.frameRules.flatMap((rule, i) => {
    const { left, right, top, bottom } = rule.margins;
    const tight = sizes.find(
      (size) => rule.sizes.includes(size.name) && (left + right >= size.width || top + bottom >= size.height),
    );
    if (!tight) return [];
    return [{ where: `frameRules.${i}.margins`, message: `these margins leave no room on ${tight.name}` }];
  });
}

/** Problems by table, for marking where they are. */
export const problemsIn = (problems: readonly Problem[], table: string): Problem[] =>
  problems.filter((problem) => problem.where === table || problem.where.startsWith(`${table}.`));
