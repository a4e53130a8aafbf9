import type { AddedImage } from '@mendrel/contract';
import { MOST_IMAGE_BYTES } from '@mendrel/contract';
import { assetSchema } from '@mendrel/core';
import { Router } from 'express';
import { costly } from '../http/costly';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { answers, checked } from '../http/requests';
import { oneFile } from '../http/uploads';
import { AssetModel, keepAsset } from './assetModel';
import type { AssetType } from './assetModel';
import { asKept, soundImage } from './soundImage';

/** As what each kind of file is given out; what is not in it is not given out here. */
const MEDIA: Partial<Record<AssetType, string>> = { png: 'image/png', jpeg: 'image/jpeg' };

/** Image files, each kept once under its SHA-256. */
export function assetRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.post(
    '/assets',
    costly(),
    oneFile(MOST_IMAGE_BYTES),
    answers(async (request): Promise<AddedImage> => {
      const { file } = request;
      if (!file) throw new Failure('invalid', 'no file was sent', 'file');
      const bytes = await asKept(file.buffer);
      const { type, columns, rows, dotsPerInch } = await soundImage(bytes);
      const asset = await keepAsset(type, bytes, database);
      return { asset, type, columns, rows, ...(dotsPerInch === undefined ? {} : { dotsPerInch }) };
    }, 201),
  );
  router.get('/assets/:sha256', async (request, response) => {
    const sha256 = checked(request.params['sha256'], assetSchema);
    const row = await AssetModel.query(database).findById(sha256);
    const media = row && MEDIA[row.type];
    if (!media) throw notFound('image');
    // The address says what is there, so it never changes.
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    response.setHeader('Content-Type', media);
    response.send(row.content);
  });
  return router;
}
