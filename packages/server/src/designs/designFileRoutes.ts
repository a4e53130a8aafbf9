import type { Design } from '@mendrel/core';
import {
  composeSheet,
  conformity,
  conformityPages,
  LayoutError,
  picturesOf,
  solveDesign,
  triedOn,
  UnknownLetteringError,
  UnknownSizeError,
  withImages,
} from '@mendrel/core';
import { writePdf } from '@mendrel/formats/pdf';
import { valuesSchema } from '@mendrel/contract';
import type { Request, Response } from 'express';
import { Router } from 'express';
import type { Knex } from 'knex';
import { z } from 'zod';
import { AssetModel } from '../assets/assetModel';
import { drawingFiles } from '../assets/drawingFiles';
import { costly } from '../http/costly';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { attach, safeName } from '../http/files';
import { bodyOf, checked, idOf } from '../http/requests';
import { longestValues } from '../office/longestValues';
import { theOffice } from '../office/officeModel';
import { pdfOptions, PICTURES_BESIDE, SHEET_ENDINGS, sendSheet } from '../output/sheetFile';
import { standardAt } from '../standard/standardModel';
import { DesignModel } from './designModel';

const askedSchema = z.object({
  size: z.string().min(1).max(60),
  tryOn: z.enum(['blank', 'typical', 'longest']).default('typical'),
  pictures: z.enum(PICTURES_BESIDE).default('files'),
});
/** The same with values that are typed over what it is tried on with. */
const askedWithValuesSchema = askedSchema.extend({ values: valuesSchema.default({}) });

/** A design that travels alone: the files of its images are in it. */
async function withFiles(design: Design, database: Knex): Promise<Design> {
  const files = new Map<string, string>();
  for (const { image } of picturesOf(design)) {
    if (!image || !('asset' in image) || files.has(image.asset)) continue;
    const row = await AssetModel.query(database).select('content').findById(image.asset);
    if (row) files.set(image.asset, row.content.toString('base64'));
  }
  return withImages(design, ({ image }) => {
    const data = image && 'asset' in image ? files.get(image.asset) : undefined;
    if (!image || data === undefined) return image;
    const { type, columns, rows } = image;
    return { type, columns, rows, data };
  });
}

/** One design as a file: its document, or a sheet of any of its sizes with what it is tried on with. */
export function designFileRoutes({ database, library }: Dependencies): Router {
  const router = Router();
  const theDesign = async (id: string): Promise<DesignModel> => {
    const row = await DesignModel.query(database).findById(id);
    if (!row) throw notFound('design');
    return row;
  };
  router.get('/designs/:id/design.json', async (request, response) => {
    const { name, document } = await theDesign(idOf(request, 'design'));
    const text = JSON.stringify(await withFiles(document, database), undefined, 2);
    attach(response, `${safeName(name)}.json`, 'application/json');
    response.send(`${text}\n`);
  });
  router.get('/designs/:id/conformity.pdf', costly(), async (request, response) => {
    const { name, document, standard_revision } = await theDesign(idOf(request, 'design'));
    const standard = await standardAt(standard_revision, database);
    const office = await theOffice(database);
    const { typefaces } = library;
    const pages = conformityPages(conformity(document, standard, typefaces), name, typefaces);
    const options = pdfOptions(`Conformity of ${name}`, office.values['office.name'] ?? '', library);
    attach(response, `${safeName(name)}-conformity.pdf`, 'application/pdf');
    response.send(Buffer.from(await writePdf(pages, options)));
  });
  for (const format of SHEET_ENDINGS) {
    const address = `/designs/:id/sheet.${format}`;
    const send = async (
      request: Request,
      response: Response,
      { size, tryOn, pictures, values: typed }: z.infer<typeof askedWithValuesSchema>,
    ): Promise<void> => {
      const { name, document, standard_revision } = await theDesign(idOf(request, 'design'));
      const standard = await standardAt(standard_revision, database);
      const office = await theOffice(database);
      if (!document.sizes.some((each) => each.size === size))
        throw new Failure('invalid', `${name} is not made for ${size}`, 'size');
      const examples = triedOn(tryOn, standard, { office: office.values, longest: await longestValues(database) });
      const tried = { ...examples, values: { ...examples.values, ...typed } };
      const { typefaces } = library;
      const drawing = drawn(name, size, () => {
        const layout = solveDesign(document, { size, ...tried, standard, typefaces });
        return composeSheet(document, layout, { standard, typefaces, values: tried.values });
      });
      const file = {
        drawing: await drawingFiles(database, library.typefaces)(drawing),
        name: safeName(`${name}-${size}`),
        title: `${name}, ${size}`,
        author: office.values['office.name'] ?? '',
        standard,
        design: document,
      };
      await sendSheet(response, format, file, library, pictures);
    };
    router.get(address, costly(), (request, response) =>
      send(request, response, { ...checked(request.query, askedSchema), values: {} }),
    );
    router.post(address, costly(), (request, response) =>
      send(request, response, bodyOf(request, askedWithValuesSchema)),
    );
  }
  return router;
}

/** What a design looks like on a size. @throws Failure that says why it cannot be drawn there */
function drawn<T>(name: string, size: string, draw: () => T): T {
  try {
    return draw();
  } catch (error) {
    if (error instanceof LayoutError || error instanceof UnknownLetteringError || error instanceof UnknownSizeError)
      throw new Failure('invalid', `${name} cannot be drawn on ${size}: ${error.message}`, 'size');
    throw error;
  }
}
