import type { ErrorRequestHandler, RequestHandler } from 'express';
import { DocumentError, LayoutError, UnknownLetteringError, UnknownSizeError } from '@mendrel/core';
import { PictureError } from '@mendrel/formats/pictures';
import { FontFileError } from '@mendrel/formats/typeface';
import type { Logger } from 'pino';
import { databaseFailureOf } from './databaseFailure';
import { Failure } from './failure';

export const noSuchRoute: RequestHandler = (request, _response, next) => {
  next(new Failure('not-found', `there is nothing at ${request.method} ${request.path}`));
};

/** What Express and the readers of bodies add to the errors that they throw. */
interface RequestError extends Error {
  type?: string;
  status?: number;
}

/** What a client is told of an error; anything unforeseen becomes a plain internal error without details. */
export function failureOf(error: unknown): Failure {
  if (error instanceof Failure) return error;
  if (error instanceof DocumentError) return new Failure('invalid', error.message, error.problems[0]?.where);
  if (error instanceof LayoutError) return new Failure('invalid', `${error.where}: ${error.message}`, error.where);
  if (error instanceof UnknownSizeError || error instanceof UnknownLetteringError)
    return new Failure('invalid', error.message);
  if (error instanceof FontFileError || error instanceof PictureError) return new Failure('unreadable', error.message);
  const { type, status } = (error ?? {}) as RequestError;
  if (type === 'entity.too.large') return new Failure('too-large', 'what was sent is larger than 12 MB');
  if (type === 'entity.parse.failed') return new Failure('invalid', 'what was sent is not JSON');
  // Whatever else Express refuses lies in the request: an address that cannot be decoded, a body packed wrongly.
  if (status !== undefined && status >= 400 && status < 500) {
    return new Failure('invalid', 'the request cannot be read');
  }
  return databaseFailureOf(error) ?? new Failure('internal', 'something went wrong on the server; nothing was changed');
}

export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    const failure = failureOf(error);
    const { method, path } = request;
    if (failure.code === 'internal') log.error({ err: error, method, path }, 'request failed');
    // Where that comes from lies outside of the program, and it comes with every request.
    if (failure.code === 'unavailable') log.error({ why: (error as Error).message, method, path }, failure.message);
    // Whoever has left hears nothing.
    if (response.destroyed) return;
    // An answer that has begun is broken off, so that half a file is not taken for one.
    if (response.headersSent) {
      next(error);
      return;
    }
    for (const header of ['Content-Disposition', 'Cache-Control', 'ETag']) response.removeHeader(header);
    response.status(failure.status).json(failure);
  };
}
