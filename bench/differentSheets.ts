import type { SheetSource, Typefaces } from '@mendrel/core';
import { drawSheet, sheetSources, STARTING_STANDARD, toMend } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypefaces } from '@mendrel/formats/typeface';
import { stripDesign } from './stripDesign';

/** How many sheets differ from each other. */
export const SHEETS = 1000;

/** Sheets with titles, numbers and views of their own. */
export function differentSheets(): readonly SheetSource[] {
  const design = stripDesign(10, ['ISO A1', 'ISO A2', 'ISO A3']);
  const sheets = Array.from({ length: SHEETS }, (_, i) => ({
    number: `A-${1000 + i}`,
    title: `Ground floor plan, part ${i}`,
    kind: 'plan' as const,
    size: design.sizes[i % design.sizes.length]?.size ?? '',
    values: { 'sheet.drawnBy': 'MO', 'sheet.date': `2031-04-${String(1 + (i % 28)).padStart(2, '0')}` },
    views: [
      { id: 'v', name: `Plan ${i}`, realWidth: 40_000 + 10 * i, realHeight: 20_000, scale: '1:100', module: 'A1' },
    ],
  }));
  const of = { design, standard: STARTING_STANDARD, office: {}, project: { 'project.name': 'Ferry Terminal' } };
  return sheetSources(of, sheets);
}

/** The typefaces that ship. */
export const shippedTypefaces = (): Typefaces => readTypefaces(shippedFontFiles());

/** Solves, fits and draws a sheet, and looks at what is found on it. */
export const look = (source: SheetSource, typefaces: Typefaces): number => toMend(drawSheet(source, typefaces)).length;
