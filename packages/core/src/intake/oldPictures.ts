import type { ImageItem } from '../drawing';
import { turnedBox } from '../drawing';
import { containedIn } from '../geometry';
import type { BuiltDesign, FoundCell } from './builtDesign';
import { cellAt } from './buildDesign';
import type { Corrections } from './corrections';
import type { NamedPicture } from './legacyDrawing';
import { round } from './rounding';
import type { FoundSheet } from './sheetSearch';

/** A picture of the old drawing that stands in a cell of its block. */
export interface ReportPicture {
  /** The name of its file, or of the picture. */
  name: string;
  x: number;
  y: number;
  width: number;
  height: number;
  cell: string;
  /** Whether its file is there, in the drawing or given since. */
  given: boolean;
}

/** The pictures that a drawing names, in mm on paper. */
export function namedOnPaper(
  named: readonly NamedPicture[],
  rotation: number,
  { origin, unitsPerPaperMm }: FoundSheet,
): NamedPicture[] {
  return named.map((picture) => {
    const { x, y, width, height } = turnedBox(picture, -rotation);
    return {
      ...picture,
      x: (x - origin.x) / unitsPerPaperMm,
      y: (y - origin.y) / unitsPerPaperMm,
      width: width / unitsPerPaperMm,
      height: height / unitsPerPaperMm,
    };
  });
}

/** Those whose files were given, as images in their places. */
export function givenPictures(named: readonly NamedPicture[], given: Corrections['pictures'] = {}): ImageItem[] {
  return named.flatMap(({ name, layer, x, y, width, height }): ImageItem[] => {
    const image = Object.hasOwn(given, name) ? given[name]?.image : undefined;
    if (!image) return [];
    const { type, columns, rows } = image;
    const file = 'asset' in image ? { asset: image.asset } : { data: image.data };
    const box = containedIn({ x, y, width, height }, columns / rows);
    return [{ kind: 'image', part: 'block', layer, name, type, file, pixels: { columns, rows }, ...box }];
  });
}

/** The pictures that stand in cells, for the report. */
export function picturesIn(
  cells: readonly FoundCell[],
  named: readonly NamedPicture[],
  built: Pick<BuiltDesign, 'cellIds'>,
): ReportPicture[] {
  const entry = (picture: NamedPicture | ImageItem, cell: FoundCell | undefined, given: boolean): ReportPicture[] => {
    const id = cell && built.cellIds.get(cell.face);
    const { name, x, y, width, height } = picture;
    if (id === undefined) return [];
    return [{ name, x: round(x), y: round(y), width: round(width), height: round(height), cell: id, given }];
  };
  const there = cells.flatMap((cell) =>
    cell.linework.flatMap((item) => (item.kind === 'image' ? [{ item, cell }] : [])),
  );
  const names = new Set(there.map(({ item }) => item.name));
  return [
    ...there.flatMap(({ item, cell }) => entry(item, cell, true)),
    ...named.flatMap((picture) => {
      const middle = { x: picture.x + picture.width / 2, y: picture.y + picture.height / 2 };
      return names.has(picture.name) ? [] : entry(picture, cellAt(cells, middle), false);
    }),
  ];
}
