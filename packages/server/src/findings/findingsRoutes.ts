import { Router } from 'express';
import { z } from 'zod';
import type { Dependencies } from '../http/dependencies';
import type { SheetFindings } from '@mendrel/contract';
import { answers, checked, idOf } from '../http/requests';
import { deskGroup, deskPage } from './desk';

/** Pages that can be asked for; far more than there are. */
const MOST_PAGES = 100_000;
const pageSchema = z.coerce.number().int().min(0).max(MOST_PAGES).default(0);
const keySchema = z.string().min(1).max(2000);

/** What needs doing in the whole office, by what was found on its sheets. */
export function findingsRoutes({ database, findings, changed }: Dependencies): Router {
  const router = Router();
  router.get(
    '/desk',
    answers(async (request) => {
      const desk = await deskPage(checked(request.query['page'], pageSchema), database, findings.program);
      // Whatever changed without this server's doing, as by another one, is found when somebody looks.
      if (desk.waiting > 0) changed();
      return desk;
    }),
  );
  router.get(
    '/desk/group',
    answers((request) => deskGroup(checked(request.query['key'], keySchema), database, findings.program)),
  );
  router.get(
    '/projects/:id/findings',
    answers(async (request): Promise<SheetFindings[]> => {
      const found = await findings.ofProject(idOf(request, 'project'));
      return [...found].map(([sheet, { findings: ofSheet }]) => ({ sheet, findings: ofSheet }));
    }),
  );
  return router;
}
