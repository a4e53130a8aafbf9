import type { Transaction } from 'objection';
import { Failure } from '../http/failure';
import { ProjectModel } from '../projects/projectModel';
import type { SetSheetRow } from '../sets/setModel';
import { isByHand } from '../sheets/sheetOrder';
import { SheetModel } from '../sheets/sheetModel';
import type { ViewKept } from '../tray/tray';
import { takeBackViews } from '../tray/tray';
import type { BinRow, BinRows } from './binModel';

/** Codes of PostgreSQL. */
const FOREIGN_KEY_VIOLATION = '23503';
const UNIQUE_VIOLATION = '23505';

/** Puts rows back into their table. Columns that came since they were deleted get what they usually begin with. */
async function putBack(
  table: string,
  rows: readonly Record<string, unknown>[],
  transaction: Transaction,
): Promise<void> {
  const [first] = rows;
  if (!first) return;
  const there = await transaction(table).columnInfo();
  const columns = Object.keys(first).filter((column) => column in there);
  const named = columns.map(() => '??').join(', ');
  await transaction.raw(
    `insert into ${table} (${named}) select ${named} from jsonb_populate_recordset(null::${table}, ?::jsonb)`,
    [...columns, ...columns, JSON.stringify(rows)],
  );
}

const rowsOf = ({ content }: BinRow, table: string): Record<string, unknown>[] =>
  content.find((each) => each.table === table)?.rows ?? [];

/** A sheet's row without views that stand elsewhere by now: each view stands on one sheet. */
const withoutViews =
  (elsewhere: readonly ViewKept[]) =>
  (row: Record<string, unknown>): Record<string, unknown> => {
    const gone = new Set(elsewhere.flatMap(({ sheet, view }) => (sheet === row['id'] ? [view] : [])));
    const views = row['views'] as { id: string }[];
    return gone.size === 0 ? row : { ...row, views: views.filter(({ id }) => !gone.has(id)) };
  };

/** Sheets into their project: numbers may be taken by now, sets may have gone or grown. */
async function restoreSheets(entry: BinRow, transaction: Transaction): Promise<void> {
  const project = await ProjectModel.query(transaction)
    .select('id')
    .findById(entry.project_id ?? '')
    .forUpdate();
  if (!project) throw new Failure('in-use', `the project of ${entry.name} was deleted as well; restore that one first`);
  const sheets = rowsOf(entry, 'sheets');
  const numbers = sheets.map((row) => String(row['number']));
  const taken = await SheetModel.query(transaction)
    .where({ project_id: project.id })
    .whereIn('number', numbers)
    .first();
  if (taken)
    throw new Failure('in-use', `there is another sheet ${taken.number} by now; give that one another number first`);
  const designs = await transaction<{ id: string }>('designs').select('id');
  const there = new Set(designs.map(({ id }) => id));
  // One whose own design is gone is drawn like all of its kind.
  const drawable = sheets.map((row) =>
    typeof row['design_id'] === 'string' && !there.has(row['design_id'])
      ? { ...row, design_id: null, design_revision: null }
      : row,
  );
  const kept = rowsOf(entry, 'waiting_views') as unknown as ViewKept[];
  const elsewhere = await takeBackViews(project.id, kept, transaction);
  await putBack('sheets', drawable.map(withoutViews(elsewhere)), transaction);
  if (await isByHand(project.id, transaction))
    await putBack('sheet_places', rowsOf(entry, 'sheet_places'), transaction);
  // What belonged to revisions and issues that are still there.
  const known = async (table: string, column: string, rows: readonly Record<string, unknown>[]) => {
    const ids = [...new Set(rows.map((row) => String(row[column])))];
    const found = await transaction<{ id: string }>(table).select('id').whereIn('id', ids);
    const there = new Set(found.map(({ id }) => id));
    return rows.filter((row) => there.has(String(row[column])));
  };
  const revisions = await known('revisions', 'revision_id', rowsOf(entry, 'sheet_revisions'));
  await putBack('sheet_revisions', revisions, transaction);
  await transaction.raw(
    `update issue_sheets as issued set sheet_id = each.sheet_id
     from jsonb_to_recordset(?::jsonb) as each (issue_id uuid, position integer, sheet_id uuid)
     where issued.issue_id = each.issue_id and issued.position = each.position`,
    [JSON.stringify(rowsOf(entry, 'issue_sheets'))],
  );
  const members = await known('sets', 'set_id', rowsOf(entry, 'set_sheets'));
  for (const setId of new Set(members.map((row) => String(row['set_id']))))
    await rejoin(
      setId,
      members.filter((row) => row['set_id'] === setId),
      transaction,
    );
}

/** Rows that are written at once. */
const AT_ONCE = 1000;

/** Puts sheets back into a set, each at the place that it had, or at the end where the set is shorter by now. */
async function rejoin(
  setId: string,
  members: readonly Record<string, unknown>[],
  transaction: Transaction,
): Promise<void> {
  const there = await transaction<SetSheetRow>('set_sheets').where({ set_id: setId }).orderBy('position');
  const order = there.map(({ sheet_id }) => sheet_id);
  // From the front on, so that each place counts those before it that are back already.
  for (const { position, sheet_id } of [...members].sort((a, b) => Number(a['position']) - Number(b['position'])))
    order.splice(Number(position), 0, String(sheet_id));
  await transaction('set_sheets').where({ set_id: setId }).delete();
  const rows = order.map((sheet_id, position): SetSheetRow => ({ set_id: setId, sheet_id, position }));
  await transaction.batchInsert('set_sheets', rows, AT_ONCE);
}

/** A project or a design as it was, table by table. */
async function restoreWhole(content: readonly BinRows[], transaction: Transaction): Promise<void> {
  for (const { table, rows } of content) await putBack(table, rows, transaction);
}

/** Puts back what was deleted, and takes it out of the bin. @throws Failure that says what stands in the way */
export async function restore(entry: BinRow, transaction: Transaction): Promise<void> {
  try {
    if (entry.kind === 'sheets') await restoreSheets(entry, transaction);
    else await restoreWhole(entry.content, transaction);
  } catch (error) {
    const code = error instanceof Error && 'code' in error ? error.code : undefined;
    if (code === FOREIGN_KEY_VIOLATION)
      throw new Failure(
        'in-use',
        `something that ${entry.name} needs was deleted as well, such as its design; restore that first`,
      );
    if (code === UNIQUE_VIOLATION)
      throw new Failure('in-use', `${entry.name} is there already, or something of its name is`);
    throw error;
  }
  await transaction('bin').where({ id: entry.id }).delete();
}
