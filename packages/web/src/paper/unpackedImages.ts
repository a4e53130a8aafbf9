import type { Drawing, ImageItem } from '@mendrel/core';
import { assetAddress } from '../app/assetAddress';

/** Images that are kept unpacked; a title block has one or two. */
const MOST = 16;

/** Longest edge of the copies that small pictures are painted with, in pixels. */
const SMALL = 256;

interface Unpacked {
  image: HTMLImageElement;
  small?: CanvasImageSource;
}

/** What tells a file apart. */
const keyOf = ({ file }: ImageItem): string => ('asset' in file ? file.asset : file.data);

/** By what tells their files apart, the latest last. */
const kept = new Map<string, Unpacked>();

/**
 * Begins to unpack the images of a drawing, so that they can be painted when they are needed.
 * @param ready is called for each image that was not unpacked yet, once it is
 * @returns what to call when nobody waits for it any more
 */
export function unpackImages({ items }: Drawing, ready?: () => void): () => void {
  const waiting = new AbortController();
  for (const item of items) {
    if (item.kind !== 'image') continue;
    let unpacked = kept.get(keyOf(item));
    if (!unpacked) {
      unpacked = { image: new Image() };
      unpacked.image.src =
        'asset' in item.file ? assetAddress(item.file.asset) : `data:image/${item.type};base64,${item.file.data}`;
      kept.set(keyOf(item), unpacked);
      for (const oldest of kept.keys()) {
        if (kept.size <= MOST) break;
        kept.delete(oldest);
      }
    }
    if (ready && !unpacked.image.complete) {
      unpacked.image.addEventListener('load', ready, { once: true, signal: waiting.signal });
    }
  }
  return () => waiting.abort();
}

/** An image that is unpacked and can be painted. */
export function unpackedImage(item: ImageItem): HTMLImageElement | undefined {
  const image = kept.get(keyOf(item))?.image;
  return image?.complete && image.naturalWidth > 0 ? image : undefined;
}

/** The same in a copy of few pixels: small pictures of sheets are painted again and again while a design is edited. */
export function smallImage(item: ImageItem): CanvasImageSource | undefined {
  const image = unpackedImage(item);
  const unpacked = kept.get(keyOf(item));
  if (!image || !unpacked) return undefined;
  unpacked.small ??= reduced(image);
  return unpacked.small;
}

function reduced(image: HTMLImageElement): CanvasImageSource {
  const factor = SMALL / Math.max(image.naturalWidth, image.naturalHeight);
  if (factor >= 1) return image;
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.naturalWidth * factor));
  canvas.height = Math.max(1, Math.round(image.naturalHeight * factor));
  const context = canvas.getContext('2d');
  if (!context) return image;
  context.imageSmoothingQuality = 'high';
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
}
