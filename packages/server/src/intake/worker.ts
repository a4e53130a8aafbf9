import { parentPort, workerData } from 'node:worker_threads';
import type { Corrections, IntakeProgress, Lessons, OfficeStandard } from '@mendrel/core';
import { readTypefaces } from '@mendrel/formats/typeface';
import { readLegacy } from './convert';

interface Task {
  bytes: Uint8Array;
  name: string;
  by: { standard: OfficeStandard; corrections: Corrections; lessons: Lessons };
}

const { fonts } = workerData as { fonts: ReadonlyMap<string, Uint8Array> };
const typefaces = readTypefaces(fonts);

/** How often it is told how far the reading is, in ms. */
const TOLD_EVERY = 100;
let told = 0;

function tell(progress: IntakeProgress): void {
  const now = performance.now();
  if (now - told < TOLD_EVERY) return;
  told = now;
  parentPort?.postMessage({ progress });
}

// Reads legacy drawings in a thread of its own, so that the server stays responsive whatever a file holds.
parentPort?.on('message', ({ bytes, name, by }: Task) => {
  // What is thrown here is no fault of the file: it ends the thread, and the server says so.
  void readLegacy(bytes, name, { ...by, typefaces, tell }).then((result) => parentPort?.postMessage(result));
});
