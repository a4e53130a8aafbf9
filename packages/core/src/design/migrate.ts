import { DESIGN_VERSION } from './schema';

/**
 * Brings a design document of an older version to the one this code reads. Version 2 added conditions of panels and
 * contents, pens of single lines, fills, notes, symbols, images and what stands outside of cells, all of them optional.
 * @returns the document as it is when its version is not an older one
 */
export function migrateDesign(json: object): object {
  const { version } = json as { version?: unknown };
  return version === 1 ? { ...json, version: DESIGN_VERSION } : json;
}
