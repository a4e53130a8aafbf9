import { MOST_UPLOAD_BYTES } from '@mendrel/contract';
import type { RequestHandler } from 'express';
import multer, { MulterError } from 'multer';
import { Failure } from './failure';

/** Takes a drawing that is read at once. @param readSoon is told before it comes, so that what reads it is ready then */
export const fileToRead = (readSoon: () => void): RequestHandler[] => [
  (_request, _response, next) => {
    readSoon();
    next();
  },
  oneFile(MOST_UPLOAD_BYTES),
];

/** Takes one file of a form under the name `file`, in memory. @param most bytes that it may have */
export function oneFile(most: number): RequestHandler {
  const take = multer({
    storage: multer.memoryStorage(),
    limits: { fileSize: most, files: 1, fields: 5, fieldSize: 10_000, parts: 8 },
  }).single('file');
  return (request, response, next) => {
    take(request, response, (error: unknown) => {
      if (error === undefined || error === null) return next();
      if (error instanceof MulterError && error.code === 'LIMIT_FILE_SIZE')
        return next(new Failure('too-large', `the file is larger than ${most / 1024 / 1024} MB`));
      // What is thrown here lies in how the form was written: a missing boundary, an end that never comes.
      const words = error instanceof Error ? error.message : '';
      next(new Failure('invalid', `the upload cannot be read${words === '' ? '' : `: ${words}`}`));
    });
  };
}
