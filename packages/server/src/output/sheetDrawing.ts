import type { Design, Drawing, OfficeStandard, Typefaces, Values } from '@mendrel/core';
import { drawProjectSheet, inWords, parametersOf, sheetValues, unsolvedFinding } from '@mendrel/core';
import type { Knex } from 'knex';
import { designAt } from '../designs/designModel';
import { Failure, notFound } from '../http/failure';
import { theOffice } from '../office/officeModel';
import { ProjectModel } from '../projects/projectModel';
import type { SheetModel } from '../sheets/sheetModel';
import { sheetsOf } from '../sheets/sheetModel';
import { standardAt } from '../standard/standardModel';

/** A project with everything that its sheets are drawn from. */
export interface DrawableProject {
  project: ProjectModel;
  design: Design;
  standard: OfficeStandard;
  sheets: SheetModel[];
  office: Values;
}

/** @throws Failure when there is no such project or it has no design */
export async function drawableProject(projectId: string, database: Knex): Promise<DrawableProject> {
  const project = await ProjectModel.query(database).findById(projectId);
  if (!project) throw notFound('project');
  const row = project.design_id ? await designAt(project.design_id, project.design_revision, database) : undefined;
  if (!row) throw new Failure('invalid', `${project.name} has no design yet; choose one under Data`, 'designId');
  const office = await theOffice(database);
  return {
    project,
    design: row.document,
    standard: await standardAt(project.standard_revision, database),
    sheets: await sheetsOf(projectId, database),
    office: office.values,
  };
}

/** Solves and draws one sheet of a project. @throws Failure naming the sheet, what is missing and what to do */
export function drawSheet(from: DrawableProject, sheet: SheetModel, typefaces: Typefaces): Drawing {
  const { standard, design, sheets, project, office } = from;
  const position = { index: sheets.findIndex((each) => each.id === sheet.id), count: sheets.length };
  const entered = { office, project: project.values };
  const values = sheetValues(entered, sheet, position, standard.wording, parametersOf(standard));
  try {
    return drawProjectSheet(design, sheet, values, { standard, typefaces }).drawing;
  } catch (error) {
    throw new Failure('invalid', `${sheet.number} cannot be drawn: ${inWords(unsolvedFinding(error))}`);
  }
}
