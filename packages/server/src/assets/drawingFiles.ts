import type { Drawing, Item, PieceItem, SourceSpace, Typefaces } from '@mendrel/core';
import { pieceItems } from '@mendrel/core';
import { unpackedSpace } from '@mendrel/reading/source';
import type { Knex } from 'knex';
import { Failure } from '../http/failure';
import { AssetModel } from './assetModel';

/** Lineworks that are held unpacked: sheets of a set follow each other, and often show the same. */
const MOST_HELD = 3;

/** Linework by its SHA-256, unpacked; the latest few are held. @throws Failure that names the view whose linework is gone */
function lineworkOf(database: Knex): (piece: PieceItem) => Promise<SourceSpace> {
  const held = new Map<string, SourceSpace>();
  return async ({ linework, name }) => {
    const known = held.get(linework);
    if (known) return known;
    const row = await AssetModel.query(database).select('content').findById(linework).where({ type: 'linework' });
    if (!row) throw new Failure('unreadable', `the drawing of ${name} is not here any more; choose it again`);
    const space = unpackedSpace(row.content);
    held.set(linework, space);
    for (const oldest of held.keys()) {
      if (held.size <= MOST_HELD) break;
      held.delete(oldest);
    }
    return space;
  };
}

/**
 * Gives drawings what is kept beside them, as writers of files need it: the files of their images, each read once however many
 * sheets it stands on, and the lines of what their views show. What it gives throws a Failure that names what is not there.
 */
export function drawingFiles(database: Knex, typefaces: Typefaces): (drawing: Drawing) => Promise<Drawing> {
  const read = new Map<string, string>();
  const linework = lineworkOf(database);
  return async (drawing) => {
    const beside = (item: Item): boolean => item.kind === 'piece' || (item.kind === 'image' && 'asset' in item.file);
    if (!drawing.items.some(beside)) return drawing;
    const items: Item[] = [];
    for (const item of drawing.items) {
      if (item.kind === 'piece') {
        // Layers keep the names that they have in the drawing.
        for (const each of pieceItems(item, await linework(item), typefaces, (layer) => layer || item.layer))
          items.push(each);
        continue;
      }
      if (item.kind !== 'image' || !('asset' in item.file)) {
        items.push(item);
        continue;
      }
      const { asset } = item.file;
      const row = read.has(asset) ? undefined : await AssetModel.query(database).select('content').findById(asset);
      if (row) read.set(asset, row.content.toString('base64'));
      const data = read.get(asset);
      if (data === undefined)
        throw new Failure('unreadable', `the picture ${item.name}: its file is not here any more`);
      items.push({ ...item, file: { data } });
    }
    return { ...drawing, items };
  };
}
