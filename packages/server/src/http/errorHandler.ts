import type { ErrorRequestHandler, RequestHandler } from 'express';
import { MOST_FONT_BYTES, MOST_UPLOAD_BYTES } from '@mendrel/contract';
import { DesignError, LayoutError, StandardError, UnknownLetteringError, UnknownSizeError } from '@mendrel/core';
import { MulterError } from 'multer';
import type { Logger } from 'pino';
import { Failure } from './failure';

export const noSuchRoute: RequestHandler = (request, _response, next) => {
  next(new Failure('not-found', `there is nothing at ${request.method} ${request.path}`));
};

interface ParserError extends Error {
  type?: string;
}

/** What a client is told of an error; anything unforeseen becomes a plain internal error without details. */
export function failureOf(error: unknown, request?: { path: string }): Failure {
  if (error instanceof Failure) return error;
  if (error instanceof DesignError || error instanceof StandardError)
    return new Failure('invalid', error.message, error.problems[0]?.where);
  if (error instanceof LayoutError) return new Failure('invalid', `${error.where}: ${error.message}`, error.where);
  if (error instanceof UnknownSizeError || error instanceof UnknownLetteringError)
    return new Failure('invalid', error.message);
  if (error instanceof MulterError) {
    return error.code === 'LIMIT_FILE_SIZE'
      ? new Failure(
          'too-large',
          `the file is larger than ${(request?.path === '/typefaces' ? MOST_FONT_BYTES : MOST_UPLOAD_BYTES) / 1024 / 1024} MB`,
        )
      : new Failure('invalid', `the upload is not as expected: ${error.message}`);
  }
  const { type } = (error ?? {}) as ParserError;
  if (type === 'entity.too.large') return new Failure('too-large', 'what was sent is larger than 12 MB');
  if (type === 'entity.parse.failed') return new Failure('invalid', 'what was sent is not JSON');
  if (type !== undefined && /^(entity|encoding|charset|request|parameters)\./.test(type)) {
    return new Failure('invalid', 'the request cannot be read');
  }
  return new Failure('internal', 'something went wrong on the server; nothing was changed');
}

export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    const failure = failureOf(error, request);
    if (failure.code === 'internal')
      log.error({ err: error, method: request.method, path: request.path }, 'request failed');
    if (response.headersSent) {
      next(error);
      return;
    }
    response.status(failure.status).json(failure);
  };
}
