import type { Drawing } from '@mendrel/core';
import { readImageHeader } from '../../images/imageFile';

/** A picture that lies beside a DXF file, which refers to it by its path. */
export interface PictureFile {
  path: string;
  /** Dots across and up. */
  columns: number;
  rows: number;
  bytes: Uint8Array;
}

/** Pictures by the base64 of their files, as items hold them. */
export type PictureFiles = ReadonlyMap<string, PictureFile>;

/** Where pictures lie from the DXF file. */
const FOLDER = 'pictures';

/**
 * The files of the images of a drawing, each once, with a path beside the DXF file that shows them.
 * @throws ImageFileError for one that is damaged
 */
export function pictureFiles({ items }: Drawing): PictureFiles {
  const files = new Map<string, PictureFile>();
  for (const item of items) {
    if (item.kind !== 'image' || !('data' in item.file) || files.has(item.file.data)) continue;
    const bytes = new Uint8Array(Buffer.from(item.file.data, 'base64'));
    const { type, columns, rows } = readImageHeader(bytes);
    const name =
      item.name
        .normalize('NFKD')
        .replace(/[^A-Za-z0-9]+/g, '-')
        .replace(/^-+|-+$/g, '') || 'picture';
    const path = `${FOLDER}/${files.size + 1}-${name.slice(0, 40)}.${type === 'jpeg' ? 'jpg' : type}`;
    files.set(item.file.data, { path, columns, rows, bytes });
  }
  return files;
}

/** A picture with the handle by which entities refer to it. */
export type PlacedPicture = PictureFile & { handle: string };
