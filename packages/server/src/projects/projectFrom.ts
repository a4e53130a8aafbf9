import { randomUUID } from 'node:crypto';
import type { ProjectCreate } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import type { Transaction } from 'objection';
import { withoutAreas } from '../areas/projectAreas';
import { notFound } from '../http/failure';
import { SetModel } from '../sets/setModel';
import type { SetSheetRow } from '../sets/setModel';
import type { SheetPlaceRow } from '../sheets/sheetOrder';
import { SheetModel } from '../sheets/sheetModel';
import { changeTray, trayOf } from '../tray/tray';
import { ProjectModel } from './projectModel';

/** Rows that are written at once. */
const AT_ONCE = 500;

/** What says which project it is: a project that is begun from another is called and numbered by itself. */
const OF_ITS_OWN: ReadonlySet<string> = new Set(['project.name', 'project.number']);

/** Values without those that stay with the project that they were entered for. */
const without = (values: Record<string, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(values).filter(([key]) => !OF_ITS_OWN.has(key)));

/**
 * Makes a project that begins as another one is: with its designs, its numbering and its file names, and with what else is wanted of
 * it. Revisions and issues are never taken along.
 * @throws Failure when there is no such project
 */
export async function projectFrom(
  name: string,
  position: number,
  { projectId, take }: NonNullable<ProjectCreate['from']>,
  transaction: Transaction,
): Promise<ProjectModel> {
  const of = await ProjectModel.query(transaction).findById(projectId);
  if (!of) throw notFound('project to begin from');
  const wanted = new Set(take);
  const id = randomUUID();
  const made = await ProjectModel.query(transaction)
    .insert({
      id,
      position,
      design_id: of.design_id,
      design_revision: of.design_revision,
      standard_revision: of.standard_revision,
      first_revision: of.first_revision,
      numbering: of.numbering,
      file_names: of.file_names,
      device: of.device,
      values: { ...(wanted.has('data') ? without(of.values) : {}), 'project.name': name },
      // Areas are measured from drawings of the project itself.
      tables: wanted.has('data') ? withoutAreas(of.tables) : {},
      version: 1,
    })
    .returning('*');
  await transaction.raw(
    `insert into project_kinds (project_id, kind, design_id, design_revision, size, modules)
     select ?, kind, design_id, design_revision, size, modules from project_kinds where project_id = ?`,
    [id, projectId],
  );
  if (wanted.has('views')) {
    await transaction.raw(
      `insert into project_drawings (id, project_id, name, asset, bytes, spaces)
       select gen_random_uuid(), ?, name, asset, bytes, spaces from project_drawings where project_id = ?`,
      [id, projectId],
    );
    await copyTray(id, projectId, transaction);
  }
  if (wanted.has('sheets')) await copySheets(id, projectId, wanted, transaction);
  return made;
}

/** Views that wait are taken along as others; what they were parts of stays behind. */
async function copyTray(id: string, from: string, transaction: Transaction): Promise<void> {
  const put = (await trayOf(from, transaction)).map((view): View => {
    const copy = { ...view, id: randomUUID() };
    delete copy.partOf;
    return copy;
  });
  await changeTray(id, { put, take: [] }, transaction);
}

async function copySheets(
  id: string,
  from: string,
  wanted: ReadonlySet<string>,
  transaction: Transaction,
): Promise<void> {
  const sheets = await SheetModel.query(transaction).where({ project_id: from });
  const ids = new Map(sheets.map((sheet) => [sheet.id, randomUUID()]));
  // A view is the sheet's own; its copy is another one, a part of the copy of what it was a part of.
  const wholes = new Map(
    sheets.flatMap(({ views }) => views.flatMap(({ partOf }) => (partOf ? [[partOf, randomUUID()]] : []))),
  );
  const copyOf = (view: View): View => ({
    ...view,
    id: wholes.get(view.id) ?? randomUUID(),
    ...(view.partOf === undefined ? {} : { partOf: wholes.get(view.partOf) ?? view.partOf }),
  });
  const copies = sheets.map((sheet) => ({
    id: ids.get(sheet.id)!,
    project_id: id,
    number: sheet.number,
    title: sheet.title,
    kind: sheet.kind,
    size: sheet.size,
    design_id: sheet.design_id,
    design_revision: sheet.design_revision,
    values: wanted.has('data') ? sheet.values : {},
    views: wanted.has('views') ? sheet.views.map(copyOf) : [],
    version: 1,
  }));
  for (let start = 0; start < copies.length; start += AT_ONCE)
    await SheetModel.query(transaction).insert(copies.slice(start, start + AT_ONCE));
  const places = await transaction<SheetPlaceRow>('sheet_places').where({ project_id: from });
  const placed = places.map(({ sheet_id, place }) => ({ sheet_id: ids.get(sheet_id)!, project_id: id, place }));
  await transaction.batchInsert('sheet_places', placed, AT_ONCE);
  if (!wanted.has('sets')) return;
  for (const set of await SetModel.query(transaction).where({ project_id: from }).orderBy('position')) {
    const copy = randomUUID();
    const { position, values } = set;
    await SetModel.query(transaction).insert({ id: copy, project_id: id, position, values, version: 1 });
    const members = await transaction<SetSheetRow>('set_sheets').where({ set_id: set.id }).orderBy('position');
    const rows = members.map((each) => ({ ...each, set_id: copy, sheet_id: ids.get(each.sheet_id)! }));
    if (rows.length > 0) await transaction.batchInsert('set_sheets', rows, AT_ONCE);
  }
}
