import type { DesignImpact, ImpactProgress, StandardImpact } from '@mendrel/contract';
import type { Design, OfficeStandard, SheetSource, TextImpact } from '@mendrel/core';
import { addImpacts, parametersOf, sheetSources, tryOnValues, valuesOf } from '@mendrel/core';
import type { Knex } from 'knex';
import { DesignModel } from '../designs/designModel';
import { Failure } from '../http/failure';
import { theOffice } from '../office/officeModel';
import { projectDesigns } from '../projects/projectDesigns';
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
    const designs = await projectDesigns(project, database);
    if (!designs) continue;
    const records = await sheetRecords(project.id, database);
    const design = designs.usual.document;
    const of = { design, standard: after, office: office.values, project: project.values };
    const sources = sheetSources(of, records, (index) => designs.of(records[index]!).document);
    for (const { source, from } of alikePieces(sources, AT_ONCE)) {
      const sheets = from.map((each) => ({ size: each.sheet.size, values: valuesOf(each) }));
      const impacts = await work('impact', { design: source, before, after, sheets });
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

/** Pieces of some sheets, none larger than wanted, the sheets of a piece of one design. */
function alikePieces(sources: readonly SheetSource[], most: number): { source: Design; from: SheetSource[] }[] {
  const byDesign = new Map<Design, SheetSource[]>();
  for (const source of sources) {
    const alike = byDesign.get(source.design);
    if (alike) alike.push(source);
    else byDesign.set(source.design, [source]);
  }
  return [...byDesign].flatMap(([source, alike]) =>
    Array.from({ length: Math.ceil(alike.length / most) }, (_, i) => ({
      source,
      from: alike.slice(i * most, (i + 1) * most),
    })),
  );
}
