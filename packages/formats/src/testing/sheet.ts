import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Design, Drawing, SheetLayout, Values } from '@mendrel/core';
import { composeSheet, convertLegacy, solveDesign, STARTING_STANDARD } from '@mendrel/core';
import { flattenDxf, readDxf } from '../dxf';
import { typefaces } from './fonts';

export const LEGACY_FOLDER = join(process.cwd(), 'demo/legacy');

export const legacyBytes = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(join(LEGACY_FOLDER, `${name}.dxf`)));

/** A design of the test sheet: a legacy drawing, converted. */
export function convertedDesign(name: string): { design: Design; values: Values } {
  const { design, values } = convertLegacy(flattenDxf(readDxf(legacyBytes(name))), name, {
    standard: STARTING_STANDARD,
    typefaces,
  });
  return { design, values };
}

/** A solved and drawn sheet for trying the writers on. */
export function testSheet(size = 'ISO A1'): { layout: SheetLayout; drawing: Drawing; values: Values } {
  const { design, values } = convertedDesign('rotated-text-a1');
  const layout = solveDesign(design, { size, values, standard: STARTING_STANDARD, typefaces });
  return { layout, drawing: composeSheet(design, layout, { standard: STARTING_STANDARD, typefaces }), values };
}
