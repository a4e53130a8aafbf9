import type { Sheet } from '@mendrel/contract';
import type { Drawing, ProjectSource, Typefaces } from '@mendrel/core';
import { drawSheet, inWords, rowsOf, withRows } from '@mendrel/core';
import type { Knex } from 'knex';
import { designAt } from '../designs/designModel';
import { Failure, notFound } from '../http/failure';
import { theOffice } from '../office/officeModel';
import { ProjectModel } from '../projects/projectModel';
import { sheetRecords } from '../sheets/sheetModel';
import { standardAt } from '../standard/standardModel';

/** A project with everything that its sheets are drawn from. */
export interface DrawableProject {
  record: ProjectModel;
  source: ProjectSource;
  sheets: Sheet[];
}

/** @throws Failure when there is no such project or it has no design */
export async function drawableProject(projectId: string, database: Knex): Promise<DrawableProject> {
  const project = await ProjectModel.query(database).findById(projectId);
  if (!project) throw notFound('project');
  const row = project.design_id ? await designAt(project.design_id, project.design_revision, database) : undefined;
  if (!row) throw new Failure('invalid', `${project.name} has no design yet; choose one under Data`, 'designId');
  const office = await theOffice(database);
  const standard = await standardAt(project.standard_revision, database);
  const sheets = await sheetRecords(projectId, database);
  const tables = rowsOf(office.tables, project.tables);
  const source = { design: row.document, standard, office: office.values, project: project.values, tables };
  return { record: project, source: withRows(source, sheets), sheets };
}

/** Draws one sheet of a project. @throws Failure naming the sheet, what is missing and what to do */
export function drawingOf({ source, sheets }: DrawableProject, of: Pick<Sheet, 'id'>, typefaces: Typefaces): Drawing {
  const index = sheets.findIndex(({ id }) => id === of.id);
  const sheet = sheets[index];
  if (!sheet) throw notFound('sheet');
  const result = drawSheet({ ...source, sheet, position: { index, count: sheets.length } }, typefaces);
  if ('problem' in result) throw new Failure('invalid', `${sheet.number} cannot be drawn: ${inWords(result.problem)}`);
  return result.drawing;
}
