import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout's root. */
export const root = dirname(dirname(fileURLToPath(import.meta.url)));
