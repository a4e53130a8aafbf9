import type { Drawing } from '@mendrel/core';
import { valuesOf } from '@mendrel/core';
import { readTypefaces } from '@mendrel/formats/typeface';
import type { Knex } from 'knex';
import { assetContent } from '../assets/assetModel';
import { drawingFiles } from '../assets/drawingFiles';
import { Failure } from '../http/failure';
import { safeName } from '../http/files';
import type { Lettering, SheetFile } from '../output/sheetFile';
import type { IssuedDocument } from './frozenModel';
import { FrozenReader } from './frozenModel';

/** Sheets that are read in one go. */
const AT_ONCE = 20;

/** Where a sheet of an issue is kept. */
type Place = { shared: string; own: string };

/** The typefaces that issued sheets are lettered with, as they were then, by the SHA-256 of their files. */
async function letteringOf(files: ReadonlyMap<string, string>, database: Knex): Promise<Lettering> {
  const fontFiles = new Map<string, Uint8Array>();
  for (const [name, sha256] of files) fontFiles.set(name, new Uint8Array(await assetContent(sha256, database)));
  return { fontFiles, typefaces: readTypefaces(fontFiles) };
}

const filesOf = ({ own }: IssuedDocument): Map<string, string> => new Map(Object.entries(own.typefaces));

/** An issued sheet as a file, from nothing but what was kept of it. */
export async function issuedFile(place: Place, database: Knex): Promise<{ file: SheetFile; lettering: Lettering }> {
  const [document] = await new FrozenReader(database).read([place]);
  const { shared, own } = document!;
  const lettering = await letteringOf(filesOf(document!), database);
  return {
    file: {
      drawing: await drawingFiles(database, lettering.typefaces)(own.drawing),
      name: safeName(valuesOf({ ...shared, ...own })['sheet.fileName'] || own.sheet.number),
      title: `${own.sheet.number} ${own.sheet.title}`,
      author: shared.office['office.name'] ?? '',
      standard: shared.standard,
      design: shared.design,
    },
    lettering,
  };
}

/** Issued sheets one after the other, and the typefaces that all of them are lettered with. */
export async function issuedPages(
  places: readonly Place[],
  database: Knex,
  gone: AbortSignal,
): Promise<{ pages: AsyncIterable<Drawing>; lettering: Lettering; author: string; project: string }> {
  const reader = new FrozenReader(database);
  const files = new Map<string, string>();
  let [author, project] = ['', ''];
  // Looked through first: a PDF is begun with all its typefaces.
  for (let from = 0; from < places.length; from += AT_ONCE) {
    if (gone.aborted) throw new Failure('stopped', 'the set was stopped');
    for (const document of await reader.read(places.slice(from, from + AT_ONCE))) {
      for (const [name, sha256] of filesOf(document)) files.set(name, sha256);
      author ||= document.shared.office['office.name'] ?? '';
      project ||= document.shared.project['project.name'] ?? '';
    }
  }
  const lettering = await letteringOf(files, database);
  async function* pages(): AsyncGenerator<Drawing> {
    const withFiles = drawingFiles(database, lettering.typefaces);
    for (let from = 0; from < places.length; from += AT_ONCE) {
      for (const { own } of await reader.read(places.slice(from, from + AT_ONCE))) {
        if (gone.aborted) throw new Failure('stopped', 'the set was stopped');
        yield withFiles(own.drawing);
      }
      await new Promise((resolve) => setImmediate(resolve));
    }
  }
  return { pages: pages(), lettering, author, project };
}
