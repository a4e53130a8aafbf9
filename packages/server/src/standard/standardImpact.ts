import type { DesignImpact, StandardImpact } from '@mendrel/contract';
import type { Design, OfficeStandard, SheetLayout, TextImpact, Typefaces, Values } from '@mendrel/core';
import {
  addImpacts,
  LayoutError,
  parametersOf,
  sheetSources,
  solveDesign,
  textImpact,
  tryOnValues,
  UnknownLetteringError,
  UnknownSizeError,
  valuesOf,
} from '@mendrel/core';
import type { Knex } from 'knex';
import { designAt, DesignModel } from '../designs/designModel';
import { theOffice } from '../office/officeModel';
import { ProjectModel } from '../projects/projectModel';
import { sheetsOf } from '../sheets/sheetModel';

/** Sheets are looked at until so many; the answer speaks of these, and says how many there are. */
const MOST_SHEETS = 5000;

/** Whether a role looks different though its texts keep their places. */
function restyledRoles(before: OfficeStandard, after: OfficeStandard): (role: string) => boolean {
  const look = (standard: OfficeStandard, id: string): string => {
    const role = standard.roles.find((each) => each.id === id);
    const pen = standard.pens.find((each) => each.id === role?.pen);
    return JSON.stringify([role?.typeface, role?.capitals, pen?.colour]);
  };
  const changed = new Set(after.roles.filter(({ id }) => look(before, id) !== look(after, id)).map(({ id }) => id));
  return (role) => changed.has(role);
}

/** A solution, or nothing where a standard leaves none: such a sheet has no texts to compare. */
function solved(design: Design, size: string, values: Values, standard: OfficeStandard, typefaces: Typefaces) {
  try {
    return solveDesign(design, { size, values, standard, typefaces });
  } catch (error) {
    if (error instanceof LayoutError || error instanceof UnknownSizeError || error instanceof UnknownLetteringError)
      return undefined;
    throw error;
  }
}

const NOTHING: TextImpact = { texts: 0, changed: 0, spills: 0, mended: 0 };

/** What a changed draft does to the texts of all designs, and of all sheets with their own values. */
export async function standardImpact(
  before: OfficeStandard,
  after: OfficeStandard,
  database: Knex,
  typefaces: Typefaces,
  most = MOST_SHEETS,
): Promise<StandardImpact> {
  const restyled = restyledRoles(before, after);
  const compare = (was: SheetLayout | undefined, is: SheetLayout | undefined): TextImpact =>
    was && is ? textImpact(was, is, restyled) : NOTHING;
  const longest = tryOnValues('longest', parametersOf(after));
  const rows = await DesignModel.query(database).orderBy('name');
  const designs: DesignImpact[] = [];
  for (const { id, name, document, standard_revision } of rows) {
    const impacts = document.sizes.map(({ size }) =>
      compare(solved(document, size, longest, before, typefaces), solved(document, size, longest, after, typefaces)),
    );
    designs.push({ id, name, atOnce: standard_revision === null, ...addImpacts(impacts) });
    await breath();
  }

  const office = await theOffice(database);
  const impacts: TextImpact[] = [];
  let [all, touched, atOnce] = [0, 0, 0];
  for (const project of await ProjectModel.query(database)) {
    if (!project.design_id) continue;
    const { document: design } = await designAt(project.design_id, project.design_revision, database);
    const sheets = await sheetsOf(project.id, database);
    all += sheets.length;
    const sources = sheetSources({ design, standard: after, office: office.values, project: project.values }, sheets);
    for (const [index, source] of sources.entries()) {
      if (impacts.length >= most) break;
      const solvedBy = (standard: OfficeStandard): SheetLayout | undefined =>
        solved(design, source.sheet.size, valuesOf({ ...source, standard }), standard, typefaces);
      const impact = compare(solvedBy(before), solvedBy(after));
      impacts.push(impact);
      if (impact.changed > 0) touched++;
      if (impact.changed > 0 && project.standard_revision === null) atOnce++;
      if (index % 20 === 19) await breath();
    }
  }
  return { designs, sheets: { ...addImpacts(impacts), all, count: impacts.length, touched, atOnce } };
}

/** Lets other requests in between. */
const breath = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
