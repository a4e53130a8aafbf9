import { SHIPPED_TYPEFACES } from '@mendrel/fonts';
import type { Response } from 'express';

/** A file name that every system takes. */
export const safeName = (name: string): string =>
  name.replace(/[^A-Za-z0-9._-]+/g, '-').replace(/^-+|-+$/g, '') || 'sheet';

/** Sends what follows as a file to keep. */
export function attach(response: Response, name: string, type: string): void {
  response.setHeader('Content-Type', type);
  response.setHeader('Content-Disposition', `attachment; filename="${name}"`);
}

/** The file name by which other programs look for a typeface. */
export const fontFileOf = (typeface: string): string =>
  SHIPPED_TYPEFACES.find((each) => each.name === typeface)?.file ?? `${typeface.replace(/[^A-Za-z0-9-]+/g, '')}.ttf`;
