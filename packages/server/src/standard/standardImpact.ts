import type { DesignImpact, ImpactProgress, StandardImpact } from '@mendrel/contract';
import type { OfficeStandard, TextImpact } from '@mendrel/core';
import { addImpacts, parametersOf, sheetSources, tryOnValues, valuesOf } from '@mendrel/core';
import type { Knex } from 'knex';
import { designAt, DesignModel } from '../designs/designModel';
import { Failure } from '../http/failure';
import { theOffice } from '../office/officeModel';
import { ProjectModel, WITHOUT_TABLES } from '../projects/projectModel';
import { SheetModel, sheetRecords } from '../sheets/sheetModel';
import type { Work } from '../work/tasks';

/** Sheets that are compared in one go: between two goes it is told how far it is, and others get their turn. */
const AT_ONCE = 50;

interface By {
  database: Knex;
  work: Work;
  tell?: ((progress: ImpactProgress) => void) | undefined;
  /** Stops it between two goes. */
  signal?: AbortSignal;
}

/**
 * What a changed draft does to the texts of all designs, and of all sheets with their own values.
 * @throws Failure `stopped` when it was given up
 */
export async function standardImpact(
  before: OfficeStandard,
  after: OfficeStandard,
  { database, work, tell, signal }: By,
): Promise<StandardImpact> {
  const longest = tryOnValues('longest', parametersOf(after));
  const rows = await DesignModel.query(database).orderBy('name');
  const all = await SheetModel.query(database)
    .whereIn('project_id', ProjectModel.query(database).select('id').whereNotNull('design_id'))
    .resultSize();
  let done = 0;
  const step = (sheets: number): void => {
    if (signal?.aborted) throw new Failure('stopped', 'the comparison was stopped');
    tell?.({ done: (done += sheets), all });
  };
  step(0);

  const designs: DesignImpact[] = [];
  for (const { id, name, document, standard_revision } of rows) {
    const sheets = document.sizes.map(({ size }) => ({ size, values: longest }));
    const impacts = await work('impact', { design: document, before, after, sheets });
    designs.push({ id, name, atOnce: standard_revision === null, ...addImpacts(impacts) });
    step(0);
  }

  const office = await theOffice(database);
  let sum: TextImpact = addImpacts([]);
  let [count, touched, atOnce] = [0, 0, 0];
  for (const project of await ProjectModel.query(database).select(...WITHOUT_TABLES)) {
    if (!project.design_id) continue;
    const { document: design } = await designAt(project.design_id, project.design_revision, database);
    const records = await sheetRecords(project.id, database);
    const sources = sheetSources({ design, standard: after, office: office.values, project: project.values }, records);
    for (let from = 0; from < sources.length; from += AT_ONCE) {
      const sheets = sources
        .slice(from, from + AT_ONCE)
        .map((source) => ({ size: source.sheet.size, values: valuesOf(source) }));
      const impacts = await work('impact', { design, before, after, sheets });
      sum = addImpacts([sum, ...impacts]);
      const changed = impacts.filter((each) => each.changed > 0).length;
      count += impacts.length;
      touched += changed;
      if (project.standard_revision === null) atOnce += changed;
      step(sheets.length);
    }
  }
  return { designs, sheets: { ...sum, count, touched, atOnce } };
}
