import { randomUUID } from 'node:crypto';
import type { OfficeStandard, SheetGroup } from '@mendrel/core';
import { oldRevisions, parametersOf, valueProblem } from '@mendrel/core';
import type { Transaction } from 'objection';
import type { DesignModel } from '../designs/designModel';
import { createDesign } from '../designs/designRoutes';
import { ProjectModel } from '../projects/projectModel';
import { insertOldRevisions } from '../revisions/oldRevisions';
import { SheetModel } from '../sheets/sheetModel';

/** Makes a design, a project and its register of a group of legacy sheets. */
export async function projectOf(
  group: SheetGroup,
  name: string,
  standard: OfficeStandard,
  transaction: Transaction,
): Promise<{ project: ProjectModel; design: DesignModel }> {
  const parameters = parametersOf(standard);
  // A value that its parameter does not take stays behind rather than the whole set.
  const fitting = (values: Readonly<Record<string, string>>): Record<string, string> =>
    Object.fromEntries(
      Object.entries(values).filter(([key, value]) => {
        const parameter = parameters.get(key);
        return parameter !== undefined && valueProblem(parameter, value) === undefined;
      }),
    );
  const design = await createDesign({ ...group.design, name: `${name} block`.slice(0, 120) }, transaction);
  const last = await ProjectModel.query(transaction).orderBy('position', 'desc').first();
  const project = await ProjectModel.query(transaction)
    .insert({
      id: randomUUID(),
      position: (last?.position ?? 0) + 1,
      design_id: design.id,
      design_revision: null,
      standard_revision: design.standard_revision,
      values: { ...fitting(group.projectValues), 'project.name': name },
      tables: group.tables ?? {},
      version: 1,
    })
    .returning('*');
  const ids = group.sheets.map(() => randomUUID());
  for (const [i, sheet] of group.sheets.entries()) {
    await SheetModel.query(transaction).insert({
      id: ids[i],
      project_id: project.id,
      number: sheet.number,
      title: sheet.title,
      kind: sheet.kind,
      size: sheet.size,
      values: fitting(sheet.values),
      views: [],
      version: 1,
    });
  }
  await insertOldRevisions(
    project.id,
    oldRevisions(group.sheets.map((sheet) => sheet.revisions ?? [])),
    ids,
    transaction,
  );
  return { project, design };
}
