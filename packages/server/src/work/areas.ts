import type { MeasuredAreas } from '@mendrel/core';
import { measureAreas } from '@mendrel/core';
import { unpackedSpace } from '@mendrel/reading/source';

/** Linework whose outlines are to be measured. */
export interface AreasTask {
  packed: Uint8Array;
  layers: readonly string[];
  /** Millimetres of the building for each of its units. */
  unit: number;
}

/** Measures the outlines of linework as it is kept. */
export const areasOf = ({ packed, layers, unit }: AreasTask): MeasuredAreas =>
  measureAreas(unpackedSpace(packed).items, { layers, unit });
