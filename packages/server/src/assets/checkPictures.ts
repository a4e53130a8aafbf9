import type { Parameters } from '@mendrel/core';
import { readPictureValue } from '@mendrel/core';
import type { Knex } from 'knex';
import { Failure } from '../http/failure';
import { AssetModel } from './assetModel';

/**
 * Refuses values that refer to a picture whose file is not here, and keeps the files of the others from being swept away before
 * the values are saved.
 */
export async function checkPictures(
  values: Readonly<Record<string, string>>,
  parameters: Parameters,
  before: Readonly<Record<string, string>> | undefined,
  database: Knex,
): Promise<void> {
  for (const [key, value] of Object.entries(values)) {
    const parameter = parameters.get(key);
    if (parameter?.kind !== 'picture' || before?.[key] === value) continue;
    const image = readPictureValue(value);
    if (!image || image.type === 'linework') continue;
    const { asset, type } = image;
    const found = await AssetModel.query(database).findById(asset).where({ type }).patch({ used_at: new Date() });
    if (found === 0)
      throw new Failure(
        'invalid',
        `${parameter.name}: its file is not here any more; choose it again`,
        `values.${key}`,
      );
  }
}
