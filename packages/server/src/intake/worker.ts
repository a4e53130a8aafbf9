import { parentPort, workerData } from 'node:worker_threads';
import type { OfficeStandard } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypefaces } from '@mendrel/formats/typeface';
import { readLegacy } from './convert';

// Reads one legacy drawing in a thread of its own, so that the server stays responsive whatever the file holds.
const { bytes, name, standard } = workerData as { bytes: Uint8Array; name: string; standard: OfficeStandard };
parentPort?.postMessage(readLegacy(bytes, name, standard, readTypefaces(shippedFontFiles())));
