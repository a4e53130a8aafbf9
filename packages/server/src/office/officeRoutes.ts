import { officeChangeSchema } from '@mendrel/contract';
import type { Office } from '@mendrel/contract';
import type { Parameter, Parameters } from '@mendrel/core';
import { mayEnter, parametersOf, valueProblem } from '@mendrel/core';
import { Router } from 'express';
import { checkPictures } from '../assets/checkPictures';
import type { Dependencies } from '../http/dependencies';
import { conflict, Failure } from '../http/failure';
import { answers, bodyOf } from '../http/requests';
import { ProjectModel } from '../projects/projectModel';
import { checkTables } from './checkTables';
import { longestValues } from './longestValues';
import { officeForChange, officeForRenaming, OfficeModel, theOffice } from './officeModel';
import { checkReplaceable } from './replaceable';
import { renameKinds } from './renameKinds';
import { checkKindsGoing } from './sheetKinds';

/**
 * Refuses values for parameters that are not entered at this scope, and values that their parameter does not take. What
 * stood there before stays, so that one old value does not keep all others from being saved.
 * @param also keys of another scope that may be entered here too
 */
export function checkValues(
  values: Record<string, string>,
  scope: Parameter['scope'],
  parameters: Parameters,
  before: Readonly<Record<string, string>> = {},
  also: readonly string[] = [],
): void {
  for (const [key, value] of Object.entries(values)) {
    if (before[key] === value) continue;
    const parameter = parameters.get(key);
    if (!parameter || !(mayEnter(key, scope, parameters) || also.includes(key)))
      throw new Failure('invalid', `"${key}" is not entered for the ${scope}`, `values.${key}`);
    const problem = valueProblem(parameter, value);
    if (problem !== undefined) throw new Failure('invalid', problem, `values.${key}`);
  }
}

const asOffice = ({
  values,
  tables,
  issue_blocks,
  sheet_kinds,
  replaceable,
  template_id,
  version,
}: OfficeModel): Office => ({
  values,
  tables,
  issueBlocks: issue_blocks,
  sheetKinds: sheet_kinds,
  replaceable,
  templateId: template_id,
  version,
});

export function officeRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get(
    '/office',
    answers(async () => asOffice(await theOffice(database))),
  );
  router.get(
    '/office/longest-values',
    answers(async () => longestValues(database)),
  );
  router.put(
    '/office',
    answers(async (request) => {
      const { values, tables, issueBlocks, sheetKinds, renamedKinds, replaceable, templateId, version } = bodyOf(
        request,
        officeChangeSchema,
      );
      return database.transaction(async (transaction) => {
        // No sheet becomes of a kind that is just going away.
        const office = await (sheetKinds || replaceable ? officeForRenaming : officeForChange)(transaction);
        if (office.version !== version) throw conflict('office data');
        checkValues(values, 'office', parametersOf(office.standard), office.values);
        await checkPictures(values, parametersOf(office.standard), office.values, transaction);
        if (templateId && !(await ProjectModel.query(transaction).select('id').findById(templateId)))
          throw new Failure('invalid', 'there is no such project', 'templateId');
        if (tables) checkTables(tables, office.standard.tables, office.tables);
        if (replaceable) await checkReplaceable(office, replaceable, transaction);
        if (renamedKinds)
          await renameKinds(renamedKinds, office.sheet_kinds, sheetKinds ?? office.sheet_kinds, transaction);
        if (sheetKinds) await checkKindsGoing(office.sheet_kinds, sheetKinds, transaction);
        await OfficeModel.query(transaction)
          .findById(1)
          .patch({
            values,
            ...(tables ? { tables } : {}),
            ...(sheetKinds ? { sheet_kinds: sheetKinds } : {}),
            ...(replaceable ? { replaceable } : {}),
            ...(issueBlocks ? { issue_blocks: issueBlocks } : {}),
            ...(templateId !== undefined ? { template_id: templateId } : {}),
            version: version + 1,
          });
        return asOffice(await theOffice(transaction));
      });
    }),
  );
  return router;
}
