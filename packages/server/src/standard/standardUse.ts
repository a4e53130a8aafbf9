import type { ParameterUse } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { counted, parametersOf, patternKeys, placesUsing, takenFromStandard } from '@mendrel/core';
import type { Knex } from 'knex';
import { DesignModel, DesignRevisionModel } from '../designs/designModel';
import { Failure } from '../http/failure';
import { theOffice } from '../office/officeModel';
import { ProjectModel } from '../projects/projectModel';
import { SheetModel } from '../sheets/sheetModel';

/** The tables besides the office's whose rows have values. */
export const VALUE_TABLES = ['projects', 'sets', 'sheets'] as const;
export type ValueTable = (typeof VALUE_TABLES)[number];

/** How many rows of a table have a value for each key. */
async function rowsByKey(table: ValueTable, database: Knex): Promise<Map<string, number>> {
  const { rows } = await database.raw<{ rows: { key: string; count: string }[] }>(
    'select key, count(*) as count from ??, jsonb_object_keys(??.values) as key group by key',
    [table, table],
  );
  return new Map(rows.map(({ key, count }) => [key, Number(count)]));
}

/** Revisions that somebody draws with, or will: the newest of each design, and those that projects use. */
async function revisionsInUse(database: Knex): Promise<DesignRevisionModel[]> {
  return DesignRevisionModel.query(database)
    .whereRaw(
      `exists (select 1 from design_uses where design_uses.design_id = design_revisions.design_id
         and design_uses.design_revision = design_revisions.number)
       or number = (select max(other.number) from design_revisions as other
         where other.design_id = design_revisions.design_id)`,
    )
    .orderBy(['design_id', 'number']);
}

/** Where each of some parameters stands: all that a standard has, unless said otherwise. */
export async function parameterUses(
  standard: OfficeStandard,
  database: Knex,
  keys: readonly string[] = [...parametersOf(standard).keys()],
): Promise<ParameterUse[]> {
  const designs = await DesignModel.query(database).orderBy('name');
  const revisions = await revisionsInUse(database);
  const office = await theOffice(database);
  const projects = await rowsByKey('projects', database);
  const sets = await rowsByKey('sets', database);
  const sheets = await rowsByKey('sheets', database);
  const patterns = await ProjectModel.query(database).select('file_names').whereNotNull('file_names');
  const named = patterns.map(({ file_names }) => new Set(patternKeys(file_names ?? '')));
  return keys.map((key) => ({
    key,
    designs: designs
      .map((design) => ({ id: design.id, name: design.name, places: placesUsing(design.document, key) }))
      .filter((each) => each.places > 0),
    revisions: revisions
      .filter(({ document }) => placesUsing(document, key) > 0)
      .map(({ document, number }) => ({ name: document.name, number })),
    projects: projects.get(key) ?? 0,
    sets: sets.get(key) ?? 0,
    sheets: sheets.get(key) ?? 0,
    fileNames: named.filter((each) => each.has(key)).length,
    office: key in office.values,
  }));
}

export function placesInWords({
  designs,
  revisions,
  projects,
  sets,
  sheets,
  fileNames,
  office,
}: ParameterUse): string | undefined {
  const places = [
    ...designs.map((design) => `${design.name} (${counted(design.places, 'place')})`),
    ...revisions.map(({ name, number }) => `revision ${number} of ${name}`),
    ...(projects > 0 ? [counted(projects, 'project')] : []),
    ...(sets > 0 ? [counted(sets, 'set')] : []),
    ...(sheets > 0 ? [counted(sheets, 'sheet')] : []),
    ...(fileNames > 0 ? [`the file names of ${counted(fileNames, 'project')}`] : []),
    ...(office ? ['the office data'] : []),
  ];
  return places.length > 0 ? places.join(', ') : undefined;
}

/**
 * Refuses a change that takes away what is in use, saying where.
 * @throws Failure `in-use`
 */
export async function refuseRemovedInUse(before: OfficeStandard, after: OfficeStandard, database: Knex): Promise<void> {
  const designs = await DesignModel.query(database).orderBy('name');
  const gone = <T extends { id: string; name: string }>(was: readonly T[], is: readonly T[]): T[] =>
    was.filter((each) => !is.some((other) => other.id === each.id));
  for (const table of ['roles', 'pens'] as const) {
    for (const each of gone<{ id: string; name: string }>(before[table], after[table])) {
      const users = designs
        .filter((design) => takenFromStandard(design.document)[table].has(each.id))
        .map((d) => d.name);
      if (users.length > 0) {
        throw new Failure(
          'in-use',
          `${each.name} is used by ${users.join(', ')}; change them first, or keep it`,
          table,
        );
      }
    }
  }
  for (const { name } of before.sizes.filter((size) => !after.sizes.some((each) => each.name === size.name))) {
    const users = designs.filter((design) => takenFromStandard(design.document).sizes.has(name)).map((d) => d.name);
    const sheets = await SheetModel.query(database).where({ size: name }).resultSize();
    const places = [...users, ...(sheets > 0 ? [counted(sheets, 'sheet')] : [])];
    if (places.length > 0) {
      throw new Failure('in-use', `the size ${name} is used by ${places.join(', ')}; keep it under this name`, 'sizes');
    }
  }
  const removed = gone(before.parameters, after.parameters);
  if (removed.length === 0) return;
  const keys = removed.map((each) => each.key);
  for (const use of await parameterUses(before, database, keys)) {
    const words = placesInWords(use);
    if (words) throw new Failure('in-use', `the parameter ${use.key} is used in ${words}`, 'parameters');
  }
}
