import type { AnyPicture, Design } from '@mendrel/core';
import { picturesOf, withImages } from '@mendrel/core';
import type { Knex } from 'knex';
import { Failure } from '../http/failure';
import { AssetModel, keepAsset } from './assetModel';
import { soundImage } from './soundImage';

const pictureFailure = (content: AnyPicture, words: string): Failure =>
  new Failure('invalid', `the picture ${content.name || content.id}: ${words}`, content.id);

/** The image of a picture, kept under its SHA-256. @throws Failure that names the picture */
async function kept(content: AnyPicture, database: Knex): Promise<AnyPicture['image']> {
  const { image } = content;
  if (!image) return undefined;
  const { type, columns, rows } = image;
  if ('asset' in image) {
    // Another kind of file, such as a drawing, is no picture whatever it is called.
    const found = await AssetModel.query(database).findById(image.asset).where({ type }).patch({ used_at: new Date() });
    if (found === 0) throw pictureFailure(content, 'its file is not here any more; choose it again');
    return image;
  }
  const bytes = Buffer.from(image.data, 'base64');
  const header = await soundImage(bytes).catch((error: unknown) => {
    throw error instanceof Failure ? pictureFailure(content, error.message) : error;
  });
  if (header.type !== type || header.columns !== columns || header.rows !== rows)
    throw pictureFailure(content, `the file has ${header.columns} × ${header.rows} pixels as ${header.type}`);
  return { type, columns, rows, asset: await keepAsset(type, bytes, database) };
}

/**
 * A design whose images are kept beside it, each once, so that none is copied into every save and revision.
 * @throws Failure that names a picture which is damaged, or whose file is not there
 */
export async function withKeptImages(design: Design, database: Knex): Promise<Design> {
  const images = new Map<string, AnyPicture['image']>();
  for (const picture of picturesOf(design)) images.set(picture.id, await kept(picture, database));
  return withImages(design, ({ id }) => images.get(id));
}
