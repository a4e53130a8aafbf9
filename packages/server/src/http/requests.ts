import type { Request, RequestHandler, Response } from 'express';
import type { z } from 'zod';
import { idSchema } from '@mendrel/contract';
import { Failure } from './failure';
import { refuseUnstorable } from './wellFormed';

/** Checks a request's body. @throws Failure that names the first faulty field */
export function bodyOf<T>(request: Request, schema: z.ZodType<T>): T {
  return checked(request.body, schema);
}

export function checked<T>(value: unknown, schema: z.ZodType<T>): T {
  refuseUnstorable(value);
  const read = schema.safeParse(value);
  if (read.success) return read.data;
  const issue = read.error.issues[0];
  const where = issue?.path.map(String).join('.') ?? '';
  const message =
    issue?.code === 'unrecognized_keys' ? `unknown field ${issue.keys.join(', ')}` : (issue?.message ?? 'not valid');
  throw new Failure('invalid', where === '' ? message : `${where}: ${message}`, where);
}

/** The id in a route such as /designs/:id. @throws Failure when it is no id */
export function idOf(request: Request, what: string, parameter = 'id'): string {
  const read = idSchema.safeParse(request.params[parameter]);
  if (!read.success) throw new Failure('not-found', `there is no such ${what}`);
  return read.data;
}

/** A route that answers with JSON; what it throws goes to the error handler. */
export function answers<T>(handle: (request: Request, response: Response) => Promise<T>, status = 200): RequestHandler {
  return async (request, response) => {
    const body = await handle(request, response);
    response.status(status).json(body);
  };
}
