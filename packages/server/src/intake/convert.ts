import type { Conversion, IntakeContext } from '@mendrel/core';
import { convertSpaces, IntakeError } from '@mendrel/core';
import { DxfError } from '@mendrel/formats/dxf';
import { LegacyFileError, readLegacyFile } from '@mendrel/formats/legacy';

/** What a reader sends back: the conversion, or why there is none. */
export type ReadResult = { conversion: Conversion } | { unreadable: string; line?: number };

/** Reads a file and recognises its title block. Errors that lie in the file are results; others are thrown. */
export async function readLegacy(bytes: Uint8Array, name: string, on: IntakeContext): Promise<ReadResult> {
  try {
    return {
      conversion: convertSpaces(await readLegacyFile(bytes, (part) => on.tell?.({ step: 'read', part })), name, on),
    };
  } catch (error) {
    if (error instanceof DxfError) return { unreadable: error.message, line: error.line };
    if (error instanceof IntakeError || error instanceof LegacyFileError) return { unreadable: error.message };
    throw error;
  }
}
