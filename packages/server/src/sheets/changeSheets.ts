import type { SheetsChange } from '@mendrel/contract';
import { MOST_SHEETS } from '@mendrel/contract';
import { parametersOf, sizesOf } from '@mendrel/core';
import type { Knex } from 'knex';
import type { Transaction } from 'objection';
import { checkPictures } from '../assets/checkPictures';
import { conflict, Failure } from '../http/failure';
import { officeForSaving } from '../office/officeModel';
import { checkValues } from '../office/officeRoutes';
import type { ProjectModel } from '../projects/projectModel';
import { standardAt } from '../standard/standardModel';
import { checkKinds } from '../office/sheetKinds';
import { checkViews } from './checkViews';
import { ownDesigns } from './ownDesigns';
import { SheetModel } from './sheetModel';

/** What becomes of sheets, and sheets that come. */
type Changes = Pick<SheetsChange, 'changes' | 'added'>;

/** Refuses sizes that the standard of the project does not have. */
export async function checkSizes(
  sizes: readonly (string | undefined)[],
  project: ProjectModel,
  database: Knex,
): Promise<void> {
  const wanted = new Set(sizes.filter((size) => size !== undefined));
  if (wanted.size === 0) return;
  const known = new Set(sizesOf(await standardAt(project.standard_revision, database)).map(({ name }) => name));
  for (const size of wanted)
    if (!known.has(size))
      throw new Failure(
        'invalid',
        `the revision of the office standard that this project uses has no sheet size ${size}; choose a newer revision under Data`,
        'size',
      );
}

/** Has something checked for one of several sheets, whose number then stands before what is wrong. */
async function named(sheet: { number: string }, several: boolean, check: () => void | Promise<void>): Promise<void> {
  try {
    await check();
  } catch (error) {
    if (!several || !(error instanceof Failure)) throw error;
    throw new Failure(error.code, `${sheet.number}: ${error.message}`, error.where);
  }
}

/** Refuses numbers that two sheets of the project would have. */
async function checkNumbers(
  projectId: string,
  { changes, added }: Changes,
  rows: ReadonlyMap<string, SheetModel>,
  transaction: Transaction,
): Promise<void> {
  const renumbered = new Map(
    changes.flatMap(({ id, number }) =>
      number === undefined || number === rows.get(id)?.number ? [] : [[id, number]],
    ),
  );
  if (renumbered.size === 0 && added.length === 0) return;
  const all = await SheetModel.query(transaction).select('id', 'number').where({ project_id: projectId });
  const taken = new Set(all.filter(({ id }) => !renumbered.has(id)).map(({ number }) => number));
  if (all.length + added.length > MOST_SHEETS)
    throw new Failure('invalid', `a project holds at most ${MOST_SHEETS} sheets`);
  for (const number of [...renumbered.values(), ...added.map((sheet) => sheet.number)]) {
    if (taken.has(number)) throw new Failure('invalid', `there is a sheet ${number} already`, 'number');
    taken.add(number);
  }
}

/** Rows that are written at once. */
const AT_ONCE = 500;

/**
 * Changes sheets of a project and adds others, all of them or none.
 * @param project held by the transaction
 * @throws Failure that names the sheet: one that is gone, changed by somebody else meanwhile, or would hold what it cannot
 */
export async function changeSheets(
  project: ProjectModel,
  { changes, added }: Changes,
  transaction: Transaction,
): Promise<void> {
  const several = changes.length + added.length > 1;
  const ids = changes.map(({ id }) => id);
  const found = await SheetModel.query(transaction).whereIn('id', ids).where({ project_id: project.id });
  const rows = new Map(found.map((row) => [row.id, row]));
  if (rows.size < new Set(ids).size)
    throw new Failure('not-found', 'a sheet that was to be changed is not there any more; nothing was changed');
  if (rows.size < ids.length) throw new Failure('invalid', 'a sheet is named twice', 'changes');
  const { standard } = await officeForSaving(transaction);
  const parameters = parametersOf(standard);
  for (const { id, version, values, views } of changes) {
    const before = rows.get(id)!;
    await named(before, several, async () => {
      if (before.version !== version) throw conflict('sheet');
      await checkViews(views, transaction);
      if (!values) return;
      checkValues(values, 'sheet', parameters, before.values);
      await checkPictures(values, parameters, before.values, transaction);
    });
  }
  for (const sheet of added)
    await named(sheet, several, async () => {
      await checkViews(sheet.views, transaction);
      checkValues(sheet.values, 'sheet', parameters);
      await checkPictures(sheet.values, parameters, undefined, transaction);
    });
  await checkSizes(
    [...changes, ...added].map(({ size }) => size),
    project,
    transaction,
  );
  // A sheet that was restored may be of a kind that is gone, and stays so until it gets another.
  const rekinded = changes.filter(({ id, kind }) => kind !== rows.get(id)!.kind);
  await checkKinds(
    [...rekinded, ...added].map(({ kind }) => kind),
    transaction,
  );
  const designed = await ownDesigns([...changes, ...added], transaction);
  await checkNumbers(project.id, { changes, added }, rows, transaction);
  if (changes.length > 0) await write(changes.map(designed), transaction);
  for (let from = 0; from < added.length; from += AT_ONCE) {
    const part = added.slice(from, from + AT_ONCE);
    await SheetModel.query(transaction).insert(
      part.map((sheet) => {
        const { id, number, title, kind, size, values, views } = sheet;
        const { design_id, design_revision } = designed(sheet);
        const row = { id, number, title, kind, size, values, views, design_id, design_revision };
        return { ...row, project_id: project.id, version: 1 };
      }),
    );
  }
}

async function write(changes: readonly object[], transaction: Transaction): Promise<void> {
  const { rowCount } = await transaction.raw<{ rowCount: number }>(
    `update sheets as sheet set number = coalesce(changed.number, sheet.number), title = coalesce(changed.title, sheet.title),
       kind = coalesce(changed.kind, sheet.kind), size = coalesce(changed.size, sheet.size),
       design_id = case when changed.redesigned then changed.design_id else sheet.design_id end,
       design_revision = case when changed.redesigned then changed.design_revision else sheet.design_revision end,
       "values" = coalesce(changed."values", sheet."values"), views = coalesce(changed.views, sheet.views),
       version = sheet.version + 1
     from jsonb_to_recordset(?::jsonb) as changed
       (id uuid, version integer, number text, title text, kind text, size text, redesigned boolean, design_id uuid,
        design_revision integer, "values" jsonb, views jsonb)
     where sheet.id = changed.id and sheet.version = changed.version`,
    [JSON.stringify(changes)],
  );
  // Somebody changed one of them between the look at its version and this.
  if (rowCount < changes.length) throw conflict('sheet');
}
