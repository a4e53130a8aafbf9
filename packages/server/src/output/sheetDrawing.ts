import type { Sheet } from '@mendrel/contract';
import type { Drawing, ProjectSource, SheetSource, Typefaces } from '@mendrel/core';
import { drawSheet, inWords, rowsOf, sheetSources } from '@mendrel/core';
import type { Knex } from 'knex';
import { Failure, notFound } from '../http/failure';
import { theOffice } from '../office/officeModel';
import { projectDesigns } from '../projects/projectKinds';
import { ProjectModel } from '../projects/projectModel';
import { sheetRecords } from '../sheets/sheetModel';
import { standardAt } from '../standard/standardModel';

/** A project with everything that its sheets are drawn from. */
export interface DrawableProject {
  record: ProjectModel;
  /** With the design that most of its sheets have. */
  source: ProjectSource;
  sheets: Sheet[];
  /** What each sheet is drawn from, in the order of the sheets. */
  sources: SheetSource[];
}

/** @throws Failure when there is no such project or it has no design */
export async function drawableProject(projectId: string, database: Knex): Promise<DrawableProject> {
  const project = await ProjectModel.query(database).findById(projectId);
  if (!project) throw notFound('project');
  const designs = await projectDesigns(project, database);
  if (!designs) throw new Failure('invalid', `${project.name} has no design yet; choose one under Data`, 'designId');
  const office = await theOffice(database);
  const standard = await standardAt(project.standard_revision, database);
  const sheets = await sheetRecords(projectId, database);
  const tables = rowsOf(office.tables, project.tables);
  const design = designs.usual.document;
  const source = { design, standard, office: office.values, project: project.values, tables };
  return {
    record: project,
    source,
    sheets,
    sources: sheetSources(source, sheets, (sheet) => designs.of(sheet).document),
  };
}

/** Draws one sheet of a project. @throws Failure naming the sheet, what is missing and what to do */
export function drawingOf(
  { sources, sheets }: DrawableProject,
  of: Pick<Sheet, 'id'>,
  typefaces: Typefaces,
): { drawing: Drawing; source: SheetSource } {
  const source = sources[sheets.findIndex(({ id }) => id === of.id)];
  if (!source) throw notFound('sheet');
  const result = drawSheet(source, typefaces);
  if ('problem' in result)
    throw new Failure('invalid', `${source.sheet.number} cannot be drawn: ${inWords(result.problem)}`);
  return { drawing: result.drawing, source };
}
