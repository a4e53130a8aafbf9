import type { ImageItem, LegacyDrawing, LegacySpace } from '@mendrel/core';
import { MOST_IMAGE_SIDE } from '@mendrel/core';

/** Why an image cannot be taken over; undefined for a sound one. */
async function faultOf({ file, pixels }: ImageItem): Promise<string | undefined> {
  if (!('data' in file)) return undefined;
  if (pixels && Math.max(pixels.columns, pixels.rows) > MOST_IMAGE_SIDE)
    return `a picture of ${pixels.columns} × ${pixels.rows} dots; it may have ${MOST_IMAGE_SIDE} each way`;
  // Loaded when first needed: most drawings have no pictures.
  const { PictureError, refuseDamagedPicture } = await import('../pictures');
  try {
    await refuseDamagedPicture(Buffer.from(file.data, 'base64'));
    return undefined;
  } catch (error) {
    if (error instanceof PictureError) return error.message;
    throw error;
  }
}

/** Base64 as documents keep it, however the file wrote it. */
const rewritten = (item: ImageItem): ImageItem =>
  'data' in item.file ? { ...item, file: { data: Buffer.from(item.file.data, 'base64').toString('base64') } } : item;

async function sound(drawing: LegacyDrawing): Promise<LegacyDrawing> {
  const items = [];
  const dropped = [...drawing.dropped];
  for (const item of drawing.items) {
    const why = item.kind === 'image' ? await faultOf(item) : undefined;
    if (why === undefined) items.push(item.kind === 'image' ? rewritten(item) : item);
    else dropped.push({ layer: item.layer, entities: 1, why });
  }
  return { ...drawing, items, dropped };
}

/** Leaves out images that cannot be unpacked, so that nothing is kept that writers choke on. */
export const withSoundImages = (spaces: readonly LegacySpace[]): Promise<LegacySpace[]> =>
  Promise.all(
    spaces.map(async (space) =>
      space.drawing.items.some(({ kind }) => kind === 'image')
        ? { ...space, drawing: await sound(space.drawing) }
        : space,
    ),
  );
