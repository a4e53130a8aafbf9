import type { Sheet } from '@mendrel/contract';
import type { Drawing, ProjectSource, Row, SheetSource, Typefaces } from '@mendrel/core';
import { drawSheet, inWords, rowsOf, sharedSource, sheetSources } from '@mendrel/core';
import type { Knex } from 'knex';
import { Failure, notFound } from '../http/failure';
import { theOffice } from '../office/officeModel';
import { projectDesigns } from '../projects/projectDesigns';
import { chosenFor, ProjectModel } from '../projects/projectModel';
import { inSetOrder, SetModel } from '../sets/setModel';
import { sheetRecords } from '../sheets/sheetModel';
import { standardAt } from '../standard/standardModel';

/** A project with everything that its sheets are drawn from. */
export interface DrawableProject {
  record: ProjectModel;
  /** The set that is put out; undefined for all sheets of the register. */
  set: SetModel | undefined;
  /** With the design that most of its sheets have. */
  source: ProjectSource;
  sheets: Sheet[];
  /** What each sheet is drawn from, in the order of the sheets. */
  sources: SheetSource[];
}

/** What sheets are put out with. */
export interface PutOut {
  /** The set; all sheets of the register where there is none. */
  setId?: string | null;
  /** The issue that they go out with, which they show as their last; the set it has gives its name. */
  issue?: Sheet['issues'][number];
  /** Rows of its table of recipients. */
  recipients?: Row[];
}

async function setOf(id: string, projectId: string, database: Knex): Promise<SetModel> {
  const set = await SetModel.query(database).findById(id);
  if (set?.project_id !== projectId) throw notFound('set');
  return set;
}

/** @throws Failure when there is no such project or set, or it has no design */
export async function drawableProject(
  projectId: string,
  database: Knex,
  { setId, issue, recipients }: PutOut = {},
): Promise<DrawableProject> {
  const project = await ProjectModel.query(database).findById(projectId);
  if (!project) throw notFound('project');
  const designs = await projectDesigns(project, database);
  if (!designs) throw new Failure('invalid', `${project.name} has no design yet; choose one under Data`, 'designId');
  const office = await theOffice(database);
  const standard = await standardAt(project.standard_revision, database);
  const set = setId ? await setOf(setId, projectId, database) : undefined;
  const register = await sheetRecords(projectId, database);
  const chosen = set ? await inSetOrder(set.id, register, database) : register;
  const source: ProjectSource = {
    design: designs.usual.document,
    standard,
    office: office.values,
    project: { ...project.values, ...set?.values },
    ...chosenFor(project),
    tables: { ...rowsOf(office.tables, project.tables), ...(recipients ? { recipients } : {}) },
  };
  const last = issue && { ...issue, set: source.project['set.name'] ?? '' };
  const sheets = last ? chosen.map((sheet) => ({ ...sheet, issues: [...sheet.issues, last] })) : chosen;
  return {
    record: project,
    set,
    source,
    sheets,
    sources: sheetSources(source, sheets, (index) => designs.of(sheets[index]!).document, {
      sheets: register,
      designOf: (index) => designs.of(register[index]!).document,
    }),
  };
}

/** Sources of sheets by what they share, which is their design and the rows of its tables; with their places among all. */
export function sharing(sources: readonly SheetSource[]): { shared: ProjectSource; places: number[] }[] {
  const groups: { shared: ProjectSource; places: number[] }[] = [];
  sources.forEach((source, place) => {
    const known = groups.find(({ shared }) => shared.design === source.design && shared.tables === source.tables);
    if (known) known.places.push(place);
    else groups.push({ shared: sharedSource(source), places: [place] });
  });
  return groups;
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
