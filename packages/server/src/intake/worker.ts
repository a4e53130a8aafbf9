import { parentPort, workerData } from 'node:worker_threads';
import type { Corrections, Lessons, OfficeStandard } from '@mendrel/core';
import { readTypefaces } from '@mendrel/formats/typeface';
import { readLegacy } from './convert';

interface Task {
  bytes: Uint8Array;
  name: string;
  by: { standard: OfficeStandard; corrections: Corrections; lessons: Lessons };
}

const { fonts } = workerData as { fonts: ReadonlyMap<string, Uint8Array> };
const typefaces = readTypefaces(fonts);

// Reads legacy drawings in a thread of its own, so that the server stays responsive whatever a file holds.
parentPort?.on('message', ({ bytes, name, by }: Task) => {
  // What is thrown here is no fault of the file: it ends the thread, and the server says so.
  void readLegacy(bytes, name, { ...by, typefaces }).then((result) => parentPort?.postMessage(result));
});
