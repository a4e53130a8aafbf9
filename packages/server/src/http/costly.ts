import type { RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { Failure } from './failure';

/** Costly requests of one address in a minute: a set of 500 drawings is sent in one go. */
const MOST_A_MINUTE = 1200;

/** Limits what costs the server much: uploads, readings, exports. Ordinary reading and editing is not limited. */
export const costly = (): RequestHandler =>
  rateLimit({
    windowMs: 60_000,
    limit: MOST_A_MINUTE,
    legacyHeaders: false,
    handler: () => {
      throw new Failure('too-many', 'too many uploads and exports within a minute; wait a moment and try again');
    },
  });
