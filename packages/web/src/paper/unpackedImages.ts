import type { Drawing, ImageItem } from '@mendrel/core';

/** Images that are kept unpacked; a title block has one or two. */
const MOST = 16;

/** By the file's content, the latest last. */
const kept = new Map<string, HTMLImageElement>();

/** Begins to unpack the images of a drawing, so that they can be painted when they are needed. */
export function unpackImages({ items }: Drawing): void {
  for (const item of items) {
    if (item.kind !== 'image' || kept.has(item.data)) continue;
    const image = new Image();
    image.src = `data:image/${item.type};base64,${item.data}`;
    kept.set(item.data, image);
    for (const oldest of kept.keys()) {
      if (kept.size <= MOST) break;
      kept.delete(oldest);
    }
  }
}

/** An image that is unpacked and can be painted. */
export function unpackedImage({ data }: ImageItem): HTMLImageElement | undefined {
  const image = kept.get(data);
  return image?.complete && image.naturalWidth > 0 ? image : undefined;
}
