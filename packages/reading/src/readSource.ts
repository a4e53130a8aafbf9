import type { LegacyDrawing, TellProgress } from '@mendrel/core';
import { sourceSpace } from '@mendrel/core';
import { LegacyFileError, readSourceFile } from '@mendrel/formats/legacy';
import { packedSpace } from './packedSpace';
import type { ReadSpace } from './tasks';

/** Millimetres for each unit as DXF counts them ($INSUNITS): inches, feet, mm, cm, m. */
const INSERT_UNITS: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };

/** What a drawing says of its unit; pages and pictures are as large as they were printed, whatever they show. */
const unitOf = ({ source, insertUnits }: LegacyDrawing): number | undefined =>
  source.format === 'DXF' && insertUnits !== undefined ? INSERT_UNITS[insertUnits] : undefined;

/**
 * Reads a drawing that views are to show, and packs what is to be kept of it.
 * @throws LegacyFileError where nothing is drawn in it
 */
export async function readSource(bytes: Uint8Array, tell?: TellProgress): Promise<ReadSpace[]> {
  const spaces = await readSourceFile(bytes, (part) => tell?.({ step: 'read', part }));
  const read = spaces.flatMap(({ name, drawing }): ReadSpace[] => {
    const found = sourceSpace(drawing.items);
    if (!found) return [];
    const unit = unitOf(drawing);
    const packed = packedSpace(found.space);
    return [
      { name, summary: found.summary, packed, dropped: drawing.dropped, ...(unit === undefined ? {} : { unit }) },
    ];
  });
  if (read.length === 0)
    throw new LegacyFileError('nothing is drawn in this file, or all of it lies on layers that are off or frozen');
  return read;
}
