import { parentPort, workerData } from 'node:worker_threads';
import type { Corrections, OfficeStandard } from '@mendrel/core';
import { readTypefaces } from '@mendrel/formats/typeface';
import { readLegacy } from './convert';

interface Task {
  bytes: Uint8Array;
  name: string;
  standard: OfficeStandard;
  corrections: Corrections;
  /** Font files by name. */
  fonts: ReadonlyMap<string, Uint8Array>;
}

// Reads one legacy drawing in a thread of its own, so that the server stays responsive whatever the file holds.
const { bytes, name, standard, corrections, fonts } = workerData as Task;
parentPort?.postMessage(await readLegacy(bytes, name, { standard, corrections, typefaces: readTypefaces(fonts) }));
