/**
 * Steps from one version of the design document to the next, the first from version 1 to 2. Each knows only the documents of
 * its time, and stays as it is when the document changes again.
 */
const STEPS: readonly ((document: object) => object)[] = [
  // Conditions of panels and contents, pens of single lines, fills, notes, symbols, images, what stands outside of cells: all optional.
  (document) => ({ ...document, version: 2 }),
  // Panels that lie over the sheet, and tick boxes: optional as well.
  (document) => ({ ...document, version: 3 }),
];

/** The version of the design document that this code reads and writes. */
export const DESIGN_VERSION = 3;

/**
 * Brings a design document of an older version to the one this code reads.
 * @returns the document as it is when its version is not an older one
 */
export function migrateDesign(json: object): object {
  const { version } = json as { version?: unknown };
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return json;
  return STEPS.slice(version - 1).reduce((document, step) => step(document), json);
}
