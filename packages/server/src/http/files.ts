import { SHIPPED_TYPEFACES } from '@mendrel/fonts';
import type { Response } from 'express';

/** A file name that every system takes; letters of every script stay. */
export const safeName = (name: string): string =>
  name
    .normalize('NFC')
    .replace(/[^\p{L}\p{M}\p{N}._-]+/gu, '-')
    .replace(/^[-.]+|[-.]+$/g, '')
    .slice(0, 120) || 'sheet';

/** Sends what follows as a file to keep. Letters that a header cannot hold go along as RFC 6266 says. */
export function attach(response: Response, name: string, type: string): void {
  response.attachment(name);
  response.setHeader('Content-Type', type);
}

/** The file name by which other programs look for a typeface. */
export const fontFileOf = (typeface: string): string =>
  SHIPPED_TYPEFACES.find((each) => each.name === typeface)?.file ?? `${typeface.replace(/[^A-Za-z0-9-]+/g, '')}.ttf`;

/** Is aborted when whoever asked has left before the answer was complete. */
export function goneSignal(response: Response): AbortSignal {
  const gone = new AbortController();
  response.once('close', () => {
    if (!response.writableFinished) gone.abort();
  });
  return gone.signal;
}
