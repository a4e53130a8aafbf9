import type { ImageItem } from '@mendrel/core';
import { MOST_PIXELS } from '../../images';
import type { PageImage } from './pdfOperators';

/** Objects of a page that hold dots, ready when the page's instructions are. */
export interface PageObjects {
  has: (id: string) => boolean;
  get: (id: string) => unknown;
}

/** How dots lie in memory: one bit of grey, three bytes of colour, or four with how opaque they are. */
const LAYOUT = { grey: 1, colour: 2, opaque: 3 } as const;

interface Dots {
  width: number;
  height: number;
  kind: number;
  data: Uint8Array | Uint8ClampedArray;
}

function dotsOf(object: unknown): Dots | undefined {
  if (typeof object !== 'object' || object === null) return undefined;
  const { width, height, kind, data } = object as Partial<Dots>;
  if (!width || !height || width * height > MOST_PIXELS || !data) return undefined;
  return kind === LAYOUT.grey || kind === LAYOUT.colour || kind === LAYOUT.opaque
    ? { width, height, kind, data }
    : undefined;
}

/** One bit a dot, rows filled up to whole bytes, as one byte a dot. */
function bytesOf({ width, height, data }: Dots): Uint8Array {
  const row = Math.ceil(width / 8);
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      out[y * width + x] = ((data[y * row + (x >> 3)] ?? 0) >> (7 - (x & 7))) & 1 ? 255 : 0;
  return out;
}

/** The pictures of a page as PNG files; those whose dots are not there, or are too many, are left out. */
export async function imagesOf(
  images: readonly PageImage[],
  objects: readonly PageObjects[],
  first: number,
): Promise<(ImageItem | undefined)[]> {
  if (images.length === 0) return [];
  const { pngOf } = await import('../../pictures');
  const found: (ImageItem | undefined)[] = [];
  for (const [i, { id, layer, ...box }] of images.entries()) {
    const holder = objects.find((each) => each.has(id));
    const dots = holder && dotsOf(holder.get(id));
    if (!dots) {
      found.push(undefined);
      continue;
    }
    const channels = dots.kind === LAYOUT.grey ? 1 : dots.kind === LAYOUT.colour ? 3 : 4;
    const data = dots.kind === LAYOUT.grey ? bytesOf(dots) : dots.data;
    const file = await pngOf(data, dots.width, dots.height, channels);
    const pixels = { columns: dots.width, rows: dots.height };
    found.push(
      file && {
        kind: 'image',
        part: 'block',
        layer,
        name: `picture ${first + i}`,
        type: 'png',
        file: { data: Buffer.from(file).toString('base64') },
        pixels,
        ...box,
      },
    );
  }
  return found;
}
