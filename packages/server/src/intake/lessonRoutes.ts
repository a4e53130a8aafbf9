import { lessonSchema } from '@mendrel/contract';
import { Router } from 'express';
import type { Dependencies } from '../http/dependencies';
import { answers, bodyOf } from '../http/requests';
import { lessonsOf, teach } from './lessons';

/** What the office has taught intake: captions and old pens, each of which can be forgotten again. */
export function lessonRoutes({ database }: Pick<Dependencies, 'database'>): Router {
  const router = Router();
  router.get(
    '/intake/lessons',
    answers(() => lessonsOf(database)),
  );
  router.put(
    '/intake/lessons',
    answers(async (request) => {
      const { kind, sign, answer } = bodyOf(request, lessonSchema);
      await teach(kind, sign, answer, database);
      return lessonsOf(database);
    }),
  );
  return router;
}
