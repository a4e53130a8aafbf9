import type { DrawingReplaced, DrawingSpace, Sheet } from '@mendrel/contract';
import type { AreaSettings, View } from '@mendrel/core';
import type { ReadSpace } from '@mendrel/reading';
import type { Transaction } from 'objection';
import { measured, withAreas } from '../areas/projectAreas';
import { keepAsset } from '../assets/assetModel';
import { Failure, notFound } from '../http/failure';
import { officeForSaving } from '../office/officeModel';
import { ProjectModel } from '../projects/projectModel';
import { changeSheets } from '../sheets/changeSheets';
import { SheetModel } from '../sheets/sheetModel';
import { rewriteTray, trayOf } from '../tray/tray';
import type { Work } from '../work/tasks';
import { keptSpaces } from './addDrawing';
import { asDrawing, DrawingModel } from './drawingModel';

/** Each part of a drawing with the part of the new file that takes its place: the one of its name, or its only one. */
function successors(
  before: readonly DrawingSpace[],
  after: readonly DrawingSpace[],
): Map<string, [DrawingSpace, DrawingSpace]> {
  const found = new Map<string, [DrawingSpace, DrawingSpace]>();
  for (const space of before) {
    const next = after.find(({ name }) => name === space.name) ?? (after.length === 1 ? after[0] : undefined);
    if (next) found.set(space.linework, [space, next]);
  }
  return found;
}

/** Units of a new file for each of the old one: a file that says another unit shows the same building with other numbers. */
const unitsPer = (was: DrawingSpace, is: DrawingSpace): number =>
  was.unit !== undefined && is.unit !== undefined ? was.unit / is.unit : 1;

/** What areas are measured from, when a drawing has got a new file: the same layers of the part that took its place. */
function followedSources(
  areas: AreaSettings,
  id: string,
  before: readonly DrawingSpace[],
  next: ReadonlyMap<string, [DrawingSpace, DrawingSpace]>,
): AreaSettings {
  return {
    ...areas,
    sources: areas.sources.map((source) => {
      const was = before.find(({ name }) => name === source.space);
      const pair = source.drawing === id && was ? next.get(was.linework) : undefined;
      return pair ? { ...source, space: pair[1].name, unit: source.unit / unitsPer(...pair) } : source;
    }),
  };
}

/** A view that shows the new file: the same window of the building, at the same scale, in the same place. */
function followed(
  view: View,
  next: ReadonlyMap<string, [DrawingSpace, DrawingSpace]>,
  name: string,
  brought: Date,
): View {
  const { drawing } = view;
  const pair = drawing && next.get(drawing.linework);
  if (!pair) return view;
  const [was, is] = pair;
  const factor = unitsPer(was, is);
  return {
    ...view,
    drawing: {
      ...drawing,
      name,
      brought: brought.toISOString(),
      linework: is.linework,
      unit: drawing.unit / factor,
      x: drawing.x * factor,
      y: drawing.y * factor,
      ...(Array.isArray(drawing.outline) ? { outline: drawing.outline.map((at) => at * factor) } : {}),
      leastText: is.leastText,
    },
  };
}

/** Numbers of sheets that went out while they showed one of some lineworks. */
async function issuedWith(
  sheets: readonly string[],
  linework: readonly string[],
  transaction: Transaction,
): Promise<string[]> {
  const { rows } = await transaction.raw<{ rows: { number: string }[] }>(
    `select distinct issue_sheets.number from issue_sheets join issue_assets using (issue_id)
     where issue_sheets.sheet_id = any(?) and issue_assets.sha256 = any(?) order by 1`,
    [[...sheets], [...linework]],
  );
  return rows.map(({ number }) => number);
}

/**
 * Puts a new file in the place of a drawing: all views of the project that showed the old one show it, in the same window, at the same
 * scale, in the same place. What was issued stays as it was.
 * @throws Failure for a part that views show and the new file does not have
 */
export async function replaceDrawing(
  id: string,
  file: { name: string; content: Buffer },
  spaces: readonly ReadSpace[],
  transaction: Transaction,
  work: Work,
): Promise<DrawingReplaced> {
  await officeForSaving(transaction);
  const known = await DrawingModel.query(transaction).findById(id);
  if (!known) throw notFound('drawing');
  const project = await ProjectModel.query(transaction).findById(known.project_id).forUpdate();
  const row = await DrawingModel.query(transaction).findById(id).forUpdate();
  if (!project || !row) throw notFound('drawing');
  const after = await keptSpaces(spaces, transaction);
  const next = successors(row.spaces, after);
  const old = row.spaces.map(({ linework }) => linework);
  const sheets = await SheetModel.query(transaction)
    .where({ project_id: project.id })
    .whereRaw(
      `exists (select 1 from jsonb_array_elements(views) as view where view #>> '{drawing,linework}' = any(?))`,
      [old],
    )
    .orderBy('number');
  const waiting = (await trayOf(project.id, transaction)).filter(
    ({ drawing }) => drawing && old.includes(drawing.linework),
  );
  const isLost = ({ drawing }: View): boolean =>
    drawing !== undefined && old.includes(drawing.linework) && !next.has(drawing.linework);
  const orphan = sheets.find(({ views }) => views.some(isLost))?.number ?? waiting.find(isLost)?.name;
  if (orphan !== undefined) {
    const lost = row.spaces.find(({ linework }) => !next.has(linework));
    throw new Failure('invalid', `the new file has no part called ${lost?.name ?? ''}, which ${orphan} shows`, 'file');
  }
  const name = (is: DrawingSpace): string => (after.length > 1 ? `${file.name}, ${is.name}` : file.name).slice(0, 300);
  const brought = new Date();
  const asFollowed = (view: View): View => {
    const pair = view.drawing && next.get(view.drawing.linework);
    return pair ? followed(view, next, name(pair[1]), brought) : view;
  };
  const changes = sheets.map(({ id: sheet, version, views }): Pick<Sheet, 'id' | 'version' | 'views'> => ({
    id: sheet,
    version,
    views: views.map(asFollowed),
  }));
  if (changes.length > 0) await changeSheets(project, { changes, added: [] }, transaction);
  await rewriteTray(project.id, waiting.map(asFollowed), transaction);
  const saved = await DrawingModel.query(transaction).patchAndFetchById(id, {
    name: file.name,
    asset: await keepAsset('drawing', file.content, transaction),
    bytes: file.content.length,
    spaces: after,
    added_at: brought,
  });
  // The table of areas follows what it is measured from.
  const { areas } = project;
  if (areas?.sources.some(({ drawing }) => drawing === id)) {
    const settings = followedSources(areas, id, row.spaces, next);
    const tables = withAreas(project, settings, await measured(project.id, settings, transaction, work));
    await ProjectModel.query(transaction)
      .findById(project.id)
      .patch({ areas: settings, tables, version: project.version + 1 });
  }
  return {
    drawing: asDrawing(saved),
    sheets: sheets.map(({ number }) => number),
    issued: await issuedWith(
      sheets.map((sheet) => sheet.id),
      old,
      transaction,
    ),
  };
}
