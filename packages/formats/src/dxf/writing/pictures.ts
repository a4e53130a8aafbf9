import type { ImageItem, Item, Point } from '@mendrel/core';
import { beforeTurn, rectPoints } from '@mendrel/core';
import type { Pairs } from './pairs';
import { dxfText } from './pairs';
import type { PlacedPicture } from './pictureFiles';
import type { Writing } from './startEntity';
import { lookOf, startEntity } from './startEntity';

/** What the file says of the kinds of objects that pictures are; older programs pass over those they do not know. */
export function writePictureClasses(out: Pairs): void {
  for (const [name, kind, proxy, entity] of [
    ['IMAGE', 'AcDbRasterImage', 127, 1],
    ['IMAGEDEF', 'AcDbRasterImageDef', 0, 0],
  ] as const)
    out.add(0, 'CLASS').add(1, name).add(2, kind).add(3, 'ISM').add(90, proxy).add(91, 0).add(280, 0).add(281, entity);
}

/** Writes which files there are. @param owner the handle of the dictionary that names them, which is written first */
export function writePictureFiles(out: Pairs, owner: string, placed: readonly PlacedPicture[]): void {
  placed.forEach(({ handle }, i) => out.add(3, `PICTURE_${i + 1}`).add(350, handle));
  for (const { handle, path, columns, rows } of placed) {
    out.add(0, 'IMAGEDEF').add(5, handle).add(330, owner).add(100, 'AcDbRasterImageDef');
    out.add(90, 0).add(1, dxfText(path)).point(10, columns, rows).point(11, 1, 1).add(280, 1).add(281, 0);
  }
}

/**
 * Writes an image: a reference to its file, or where there is none beside the DXF file its place, with words that say which
 * image belongs there.
 */
export function writeImage(out: Pairs, item: ImageItem, owner: string, on: Writing, writeItem: WriteItem): void {
  const file = 'data' in item.file ? on.pictures.get(item.file.data) : undefined;
  if (file) writeReference(out, item, file, owner, on);
  else writePlace(out, item, owner, on, writeItem);
}

type WriteItem = (out: Pairs, item: Item, owner: string, on: Writing) => void;

function writeReference(out: Pairs, item: ImageItem, file: PlacedPicture, owner: string, on: Writing): void {
  const { columns, rows, handle } = file;
  const own = beforeTurn(item);
  const turn = item.turn ?? 0;
  const middle = { x: own.x + own.width / 2, y: own.y + own.height / 2 };
  const about = ({ x, y }: Point): Point => {
    const [u, v] = quarterTurned(x - middle.x, y - middle.y, turn);
    return { x: middle.x + u, y: middle.y + v };
  };
  const corner = about(own);
  const [ux, uy] = quarterTurned(own.width / columns, 0, turn);
  const [vx, vy] = quarterTurned(0, own.height / rows, turn);
  startEntity(out, 'IMAGE', owner, item.layer, on, lookOf(item)).add(100, 'AcDbRasterImage').add(90, 0);
  out
    .point(10, corner.x, corner.y, 0)
    .point(11, ux, uy, 0)
    .point(12, vx, vy, 0)
    .point(13, columns, rows)
    .add(340, handle);
  // Shown, also when it stands askew; cut where it is to be cut.
  const cut = item.clip !== undefined || item.outline !== undefined;
  out
    .add(70, cut ? 7 : 3)
    .add(280, cut ? 1 : 0)
    .add(281, 50)
    .add(282, 50)
    .add(283, 0);
  // In dots from the upper left corner, of which the first one has its middle at 0, 0.
  const inDots = (point: Point): Point => {
    const [across, up] = quarterTurned(point.x - corner.x, point.y - corner.y, -turn);
    return { x: (across / own.width) * columns - 0.5, y: rows - (up / own.height) * rows - 0.5 };
  };
  if (item.outline) {
    // Within an outline, which ends where it began.
    const ring = Array.from({ length: item.outline.length / 2 }, (_, i) =>
      inDots({ x: item.outline?.[2 * i] ?? 0, y: item.outline?.[2 * i + 1] ?? 0 }),
    );
    const [first] = ring;
    const closed = first ? [...ring, first] : ring;
    out.add(71, 2).add(91, closed.length);
    for (const point of closed) out.point(14, point.x, point.y);
    return;
  }
  if (!item.clip) return;
  const { x, y, width, height } = item.clip;
  const places = [
    { x, y },
    { x: x + width, y: y + height },
  ].map(inDots);
  const [xs, ys] = [places.map((each) => each.x), places.map((each) => each.y)];
  out.add(71, 1).add(91, 2);
  out.point(14, Math.min(...xs), Math.min(...ys)).point(14, Math.max(...xs), Math.max(...ys));
}

/** Cosine and sine of quarter turns. */
const QUARTERS = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
] as const;

/** A vector turned counter-clockwise by quarters. */
function quarterTurned(x: number, y: number, degrees: number): [number, number] {
  const [c, s] = QUARTERS[(((degrees / 90) % 4) + 4) % 4] ?? QUARTERS[0];
  return [c * x - s * y, s * x + c * y];
}

function writePlace(out: Pairs, item: ImageItem, owner: string, on: Writing, writeItem: WriteItem): void {
  const box = item.clip ?? item;
  const { layer, part } = item;
  const points = item.outline ? [...item.outline] : rectPoints(box);
  writeItem(out, { kind: 'stroke', points, closed: true, width: 0.18, layer, part }, owner, on);
  const words = `Image: ${item.name || item.type.toUpperCase()}`;
  // Letters are about two thirds as wide as high; the words stay inside the box.
  const height = Math.min(2.5 * on.perMm, box.height / 3, box.width / (words.length * 0.7));
  const at = { x: box.x + box.width * 0.05, y: box.y + (box.height - height) / 2 };
  startEntity(out, 'TEXT', owner, layer, on);
  out.add(100, 'AcDbText').point(10, at.x, at.y, 0).add(40, height).add(1, dxfText(words)).add(7, 'Standard');
  out.add(100, 'AcDbText');
}
