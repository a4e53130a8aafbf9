import DxfParser from 'dxf-parser';
import { convertSpaces, STARTING_STANDARD } from '@mendrel/core';
import { readTypefaces, spacesOf } from '@mendrel/formats';
import { readDxf } from '@mendrel/formats/dxf';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { inTurns, report } from './measure';

/** Lines that a title block of six cells is drawn with, on A1 in mm: from x, y to x, y. */
const BLOCK = [
  [0, 0, 841, 0],
  [841, 0, 841, 594],
  [841, 594, 0, 594],
  [0, 594, 0, 0],
  [20, 10, 831, 10],
  [831, 10, 831, 584],
  [831, 584, 20, 584],
  [20, 584, 20, 10],
  [651, 10, 651, 70],
  [651, 30, 831, 30],
  [651, 50, 831, 50],
  [651, 70, 831, 70],
  [741, 10, 741, 70],
] as const;
const TEXTS = [
  ['PROJECT', 653, 66, 1.8],
  ['Quarry Road Library', 653, 53, 3.5],
  ['CLIENT', 743, 66, 1.8],
  ['Lindenau Town Council', 743, 53, 3.5],
  ['DRAWING TITLE', 653, 46, 1.8],
  ['Roof plan', 653, 33, 3.5],
  ['DRG NO', 743, 46, 1.8],
  ['A-101', 743, 33, 5],
  ['DRAWN', 653, 26, 1.8],
  ['MO', 653, 13, 2.5],
  ['DATE', 743, 26, 1.8],
  ['12/03/2031', 743, 13, 2.5],
] as const;

/** A sheet whose drawing area is filled with a plan of short walls, as many as make up the file; the same each time. */
export function planSheet(megabytes: number): Uint8Array {
  let state = 11;
  const next = (): number => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
  const line = (layer: string, x0: number, y0: number, x1: number, y1: number): string =>
    `  0\nLINE\n100\nAcDbEntity\n  8\n${layer}\n100\nAcDbLine\n 10\n${x0.toFixed(6)}\n 20\n${y0.toFixed(6)}\n 30\n0.0\n 11\n${x1.toFixed(6)}\n 21\n${y1.toFixed(6)}\n 31\n0.0\n`;
  const parts = ['  0\nSECTION\n  2\nENTITIES\n', ...BLOCK.map(([x0, y0, x1, y1]) => line('BLOCK', x0, y0, x1, y1))];
  for (const [words, x, y, height] of TEXTS)
    parts.push(`  0\nTEXT\n  8\nTEXT\n 10\n${x}\n 20\n${y}\n 30\n0.0\n 40\n${height}\n  1\n${words}\n`);
  let size = 0;
  while (size < megabytes * 1024 * 1024) {
    const [x, y] = [30 + 580 * next(), 100 + 440 * next()];
    const level = next() < 0.5;
    const wall = line('PLAN', x, y, x + (level ? 20 * next() : 0), y + (level ? 0 : 20 * next()));
    parts.push(wall);
    size += wall.length;
  }
  parts.push('  0\nENDSEC\n  0\nEOF\n');
  return new TextEncoder().encode(parts.join(''));
}

/** A dense plan with its title block, read and turned into a design; the peer only takes the file apart. */
export function benchDensePlans(): void {
  const on = { standard: STARTING_STANDARD, typefaces: readTypefaces(shippedFontFiles()) };
  const convert = (bytes: Uint8Array): void => {
    const { report: found } = convertSpaces(spacesOf(readDxf(bytes)), 'plan', on);
    if (found.cells.length !== 6) throw new Error(`the block of six cells was read as ${found.cells.length}`);
  };
  for (const [megabytes, rounds] of [
    [0.01, 60],
    [15, 3],
    [50, 1],
  ] as const) {
    const bytes = planSheet(megabytes);
    const text = new TextDecoder().decode(bytes);
    const turns = inTurns(
      () => convert(bytes),
      () => void new DxfParser().parseSync(text),
      rounds,
    );
    report(`A title block taken from a plan of ${megabytes} MB`, 'dxf-parser that only parses it', turns);
  }
}
