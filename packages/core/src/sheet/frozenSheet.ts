import type { Drawing } from '../drawing';
import type { SheetRecord } from '../register';
import type { ProjectSource, SheetSource } from './sheetSource';

/** Raised when what is written of a frozen sheet takes another form; frozen sheets keep the form that they were written in. */
export const FROZEN_VERSION = 1;

/** What frozen sheets of one issue and one design share. */
export interface FrozenShared extends ProjectSource {
  version: number;
}

/** A sheet as it was issued: all that is its own, and the drawing that was made of it. */
export interface FrozenSheet {
  version: number;
  sheet: SheetRecord;
  position: SheetSource['position'];
  drawing: Drawing;
  /** The typefaces of its letters, and the SHA-256 of their files. */
  typefaces: Readonly<Record<string, string>>;
}

/** The names of the typefaces that a drawing is lettered in. */
export function typefacesIn({ items }: Drawing): string[] {
  const names = new Set<string>();
  for (const item of items) {
    // The letters of what a view shows are set when it is drawn.
    if (item.kind === 'piece') names.add(item.typeface);
    if (item.kind !== 'text') continue;
    names.add(item.typeface);
    for (const { typeface } of item.runs ?? []) names.add(typeface);
  }
  return [...names].sort();
}

/** The SHA-256 of the image files and of the linework that a drawing shows. */
export function filesIn({ items }: Drawing): string[] {
  const found = new Set<string>();
  for (const item of items) {
    if (item.kind === 'image' && 'asset' in item.file) found.add(item.file.asset);
    else if (item.kind === 'piece') found.add(item.linework);
  }
  return [...found].sort();
}
