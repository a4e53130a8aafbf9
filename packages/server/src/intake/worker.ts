import { parentPort, workerData } from 'node:worker_threads';
import type { Corrections, OfficeStandard } from '@mendrel/core';
import { readTypefaces } from '@mendrel/formats/typeface';
import { readLegacy } from './convert';

interface Task {
  bytes: Uint8Array;
  name: string;
  standard: OfficeStandard;
  corrections: Corrections;
}

const { fonts } = workerData as { fonts: ReadonlyMap<string, Uint8Array> };
const typefaces = readTypefaces(fonts);

// Reads legacy drawings in a thread of its own, so that the server stays responsive whatever a file holds.
parentPort?.on('message', ({ bytes, name, standard, corrections }: Task) => {
  // What is thrown here is no fault of the file: it ends the thread, and the server says so.
  void readLegacy(bytes, name, { standard, corrections, typefaces }).then((result) => parentPort?.postMessage(result));
});
