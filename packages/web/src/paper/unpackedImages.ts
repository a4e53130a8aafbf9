import type { Drawing, ImageItem, PieceItem } from '@mendrel/core';
import { assetAddress, pieceAddress } from '../app/assetAddress';

/** Images that are kept unpacked: a title block has one or two, and each sheet a few views. */
const MOST = 200;

/** Longest edge of the copies that small pictures are painted with, in pixels. */
const SMALL = 256;

interface Unpacked {
  image: HTMLImageElement;
  small?: CanvasImageSource;
}

type Shown = ImageItem | PieceItem;

/** Where an image is fetched from, which tells it apart. */
function addressOf(item: Shown): string {
  if (item.kind === 'piece') return pieceAddress(item);
  return 'asset' in item.file ? assetAddress(item.file.asset) : `data:image/${item.type};base64,${item.file.data}`;
}

/** By their addresses, the latest last. */
const kept = new Map<string, Unpacked>();

/**
 * Begins to unpack the images of a drawing, so that they can be painted when they are needed.
 * @param ready is called for each image that was not unpacked yet, once it is
 * @returns what to call when nobody waits for it any more
 */
export function unpackImages({ items }: Drawing, ready?: () => void): () => void {
  const waiting = new AbortController();
  for (const item of items) {
    if (item.kind !== 'image' && item.kind !== 'piece') continue;
    const address = addressOf(item);
    let unpacked = kept.get(address);
    if (!unpacked) {
      unpacked = { image: new Image() };
      unpacked.image.src = address;
      kept.set(address, unpacked);
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
export function unpackedImage(item: Shown): HTMLImageElement | undefined {
  const image = kept.get(addressOf(item))?.image;
  return image?.complete && image.naturalWidth > 0 ? image : undefined;
}

/** The same in a copy of few pixels: small pictures of sheets are painted again and again while a design is edited. */
export function smallImage(item: Shown): CanvasImageSource | undefined {
  const image = unpackedImage(item);
  const unpacked = kept.get(addressOf(item));
  if (!image || !unpacked) return undefined;
  unpacked.small ??= reduced(image, item.kind === 'piece' ? LINEWORK_COATS : 1);
  return unpacked.small;
}

/** Lines much thinner than a pixel are hardly seen: they are painted several times over each other. */
const LINEWORK_COATS = 4;

function reduced(image: HTMLImageElement, coats: number): CanvasImageSource {
  const factor = SMALL / Math.max(image.naturalWidth, image.naturalHeight);
  if (factor >= 1 && coats === 1) return image;
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.naturalWidth * factor));
  canvas.height = Math.max(1, Math.round(image.naturalHeight * factor));
  const context = canvas.getContext('2d');
  if (!context) return image;
  context.imageSmoothingQuality = 'high';
  for (let coat = 0; coat < coats; coat++) context.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
}
