import type { Conversion, IntakeContext } from '@mendrel/core';
import { convertSpaces, IntakeError } from '@mendrel/core';
import { DxfError, readDxf, spacesOf } from '@mendrel/formats/dxf';

/** What a reader sends back: the conversion, or why there is none. */
export type ReadResult = { conversion: Conversion } | { unreadable: string; line?: number };

/** Reads a file and recognises its title block. Errors that lie in the file are results; others are thrown. */
export function readLegacy(bytes: Uint8Array, name: string, on: IntakeContext): ReadResult {
  try {
    return { conversion: convertSpaces(spacesOf(readDxf(bytes)), name, on) };
  } catch (error) {
    if (error instanceof DxfError) return { unreadable: error.message, line: error.line };
    if (error instanceof IntakeError) return { unreadable: error.message };
    throw error;
  }
}
