import type { ParameterUse } from '@mendrel/contract';
import type { Design, OfficeStandard } from '@mendrel/core';
import {
  counted,
  parametersOf,
  placesUsing,
  renameParameter,
  scopeOf,
  takenFromStandard,
  withKey,
} from '@mendrel/core';
import { raw } from 'objection';
import type { Transaction } from 'objection';
import type { Knex } from 'knex';
import { DesignCheckpointModel, DesignModel, DesignRevisionModel } from '../designs/designModel';
import { Failure } from '../http/failure';
import { OfficeModel, theOffice } from '../office/officeModel';
import { ProjectModel } from '../projects/projectModel';
import { SheetModel } from '../sheets/sheetModel';

/** The tables besides the office's whose rows have values. */
const VALUE_TABLES = ['projects', 'sets', 'sheets'] as const;
type ValueTable = (typeof VALUE_TABLES)[number];

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
    office: key in office.values,
  }));
}

function placesInWords({ designs, revisions, projects, sets, sheets, office }: ParameterUse): string | undefined {
  const places = [
    ...designs.map((design) => `${design.name} (${counted(design.places, 'place')})`),
    ...revisions.map(({ name, number }) => `revision ${number} of ${name}`),
    ...(projects > 0 ? [counted(projects, 'project')] : []),
    ...(sets > 0 ? [counted(sets, 'set')] : []),
    ...(sheets > 0 ? [counted(sheets, 'sheet')] : []),
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

/** Gives values their new keys. */
const renamed = (values: Record<string, string>, keys: ReadonlyMap<string, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(values).map(([key, value]) => [keys.get(key) ?? key, value]));

/**
 * Lets designs and data follow parameters that have another key now: the same parameter is known by its id.
 * @throws Failure when a parameter would change its scope, for then its values would be entered elsewhere
 */
export async function followRenames(
  before: OfficeStandard,
  after: OfficeStandard,
  transaction: Transaction,
): Promise<void> {
  const keys = new Map<string, string>();
  for (const { id, key } of after.parameters) {
    const was = before.parameters.find((each) => each.id === id)?.key;
    if (was === undefined || was === key) continue;
    if (scopeOf(was) !== scopeOf(key)) {
      const [use] = await parameterUses(before, transaction, [was]);
      const words = use && placesInWords(use);
      if (words) throw new Failure('in-use', `${was} keeps its scope while it is used in ${words}`, 'parameters');
    }
    keys.set(was, key);
  }
  if (keys.size === 0) return;
  await renameInDesigns(keys, transaction);
  const office = await theOffice(transaction);
  if (Object.keys(office.values).some((key) => keys.has(key))) {
    await OfficeModel.query(transaction)
      .findById(1)
      .patch({ values: renamed(office.values, keys), version: office.version + 1 });
  }
  await renameInFileNames(keys, transaction);
  for (const table of VALUE_TABLES) await renameInValues(table, keys, transaction);
}

/**
 * Gives the values of all projects, sets or sheets their new keys, in one statement: PostgreSQL looks at each row as it is when
 * its turn comes, so that an edit which was answered a moment before is kept, and one from before the renaming is refused
 * by its version.
 */
async function renameInValues(
  table: ValueTable,
  keys: ReadonlyMap<string, string>,
  transaction: Transaction,
): Promise<void> {
  const old = [...keys.keys()];
  await transaction.raw(
    `update ?? as row set version = row.version + 1, "values" = (
       select jsonb_object_agg(coalesce(name.new, each.key), each.value order by name.new is not null)
       from jsonb_each(row."values") as each
       left join unnest(?::text[], ?::text[]) as name(old, new) on name.old = each.key)
     where row."values" \\?| ?::text[]`,
    [table, old, [...keys.values()], old],
  );
}

/** Patterns of file names are few, and asked for by the same keys. */
async function renameInFileNames(keys: ReadonlyMap<string, string>, transaction: Transaction): Promise<void> {
  const rows = await ProjectModel.query(transaction).select('id', 'file_names').whereNotNull('file_names').forUpdate();
  for (const { id, file_names } of rows) {
    // Through names that nothing else has, so that two that change places do not become one.
    const steps = [...keys].map(([from, to], i) => ({ from, between: `sheet.renaming${i}`, to }));
    let pattern = file_names ?? '';
    for (const { from, between } of steps) pattern = withKey(pattern, from, between);
    for (const { between, to } of steps) pattern = withKey(pattern, between, to);
    if (pattern !== file_names)
      await ProjectModel.query(transaction)
        .findById(id)
        .patch({ file_names: pattern, version: raw('version + 1') });
  }
}

/** Designs, their published revisions and their checkpoints, one at a time: together they may be large. */
async function renameInDesigns(keys: ReadonlyMap<string, string>, transaction: Transaction): Promise<void> {
  for (const { id } of await DesignModel.query(transaction).select('id').orderBy('id')) {
    // Held until the end, so that an edit that is saved meanwhile is either seen here or refused by its version.
    const design = await DesignModel.query(transaction).findById(id).forUpdate();
    if (!design) continue;
    const document = renamedDesign(design.document, keys);
    if (document !== design.document) {
      await DesignModel.query(transaction)
        .findById(id)
        .patch({ document, version: design.version + 1, updated_at: new Date() });
    }
    // A published revision keeps its shape; the names of the data it shows follow, or it would show nothing.
    for (const { number } of await DesignRevisionModel.query(transaction).select('number').where({ design_id: id })) {
      const revision = await DesignRevisionModel.query(transaction).findById([id, number]);
      const renamed = revision && renamedDesign(revision.document, keys);
      if (renamed && renamed !== revision.document)
        await DesignRevisionModel.query(transaction).findById([id, number]).patch({ document: renamed });
    }
    for (const kept of await DesignCheckpointModel.query(transaction).select('id').where({ design_id: id })) {
      const checkpoint = await DesignCheckpointModel.query(transaction).findById(kept.id);
      const state = checkpoint && renamedDesign(checkpoint.document, keys);
      if (state && state !== checkpoint.document)
        await DesignCheckpointModel.query(transaction).findById(kept.id).patch({ document: state });
    }
  }
}

/** A design with parameters under new keys; the same object when it uses none of them. */
function renamedDesign(design: Design, keys: ReadonlyMap<string, string>): Design {
  // In one step for all, so that two that change places do not become one: through names nothing else has.
  const steps = [...keys].map(([from, to], i) => ({ from, between: `sheet.renaming${i}`, to }));
  let document = design;
  for (const { from, between } of steps) document = renameParameter(document, from, between);
  for (const { between, to } of steps) document = renameParameter(document, between, to);
  return document;
}
