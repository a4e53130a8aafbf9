import type { Design, SheetLayout, Typefaces, Values } from '@mendrel/core';
import { LayoutError, solveDesign, STARTING_STANDARD, UnknownLetteringError, UnknownSizeError } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { FontFileError, readTypefaces } from '@mendrel/formats/typeface';
import { CommandError, needed, oneFile, readArguments } from '../arguments';
import { readDesignFile, readValuesFile } from '../designFiles';
import { refuseSameFile } from '../files';

/** A design as it was solved for one size, with what it takes to draw it. */
export interface SolvedFile {
  /** The file of the design. */
  file: string;
  /** The file to write. */
  target: string;
  design: Design;
  values: Values;
  layout: SheetLayout;
  fonts: ReadonlyMap<string, Uint8Array>;
  typefaces: Typefaces;
}

/**
 * Solves the design that a command line names. @param own the option that names the file to write
 * @throws CommandError that names the file
 */
export function solveFile(words: readonly string[], own: string): SolvedFile {
  const read = readArguments(words, { options: ['size', 'values', own], flags: [] });
  const file = oneFile(read, 'the design');
  const size = needed(read, 'size');
  const target = needed(read, own);
  const valuesFile = read.options.get('values');
  refuseSameFile([file, ...(valuesFile === undefined ? [] : [valuesFile])], [target]);
  const design = readDesignFile(file);
  const values = valuesFile === undefined ? {} : readValuesFile(valuesFile);
  const fonts = shippedFontFiles();
  return inOneLine(file, () => {
    const typefaces = readTypefaces(fonts);
    const layout = solveDesign(design, { size, values, standard: STARTING_STANDARD, typefaces });
    return { file, target, design, values, layout, fonts, typefaces };
  });
}

/** Does work on a design; what is wrong with the design is told in one line that names its file. */
export function inOneLine<T>(file: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof LayoutError) throw new CommandError(`${file}: ${error.where}: ${error.message}`);
    if (error instanceof UnknownLetteringError) throw new CommandError(`${file}: ${error.message}`);
    if (error instanceof UnknownSizeError || error instanceof FontFileError) throw new CommandError(error.message);
    throw error;
  }
}
