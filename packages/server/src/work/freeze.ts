import { createHash } from 'node:crypto';
import { deflateSync, inflateSync } from 'node:zlib';
import type { FrozenSheet, Typefaces } from '@mendrel/core';
import { drawSheet, FROZEN_VERSION, filesIn, toMend, typefacesIn } from '@mendrel/core';
import type { FreezeTask, Frozen } from './tasks';

/** A document as it is kept: compressed, under the SHA-256 of its text. */
export function packed(document: object): { sha256: string; content: Uint8Array } {
  const text = JSON.stringify(document);
  return { sha256: createHash('sha256').update(text).digest('hex'), content: deflateSync(text, { level: 4 }) };
}

/** The document of what was kept. */
export const unpacked = (content: Uint8Array): unknown => JSON.parse(inflateSync(content).toString('utf8'));

/** Draws sheets to be kept as they are. */
export const freeze = ({ source, sheets, count, typefaces: files }: FreezeTask, typefaces: Typefaces): Frozen[] =>
  sheets.map(({ sheet, index, related }) => {
    const position = { index, count };
    const result = drawSheet({ ...source, sheet, position, ...(related ? { related } : {}) }, typefaces);
    const findings = toMend(result);
    if ('problem' in result) return { findings, own: undefined, typefaces: [], images: [] };
    const { drawing } = result;
    const used = typefacesIn(drawing);
    const own: FrozenSheet = {
      version: FROZEN_VERSION,
      sheet,
      position,
      drawing,
      typefaces: Object.fromEntries(used.map((name) => [name, files[name] ?? ''])),
    };
    return { findings, own: packed(own), typefaces: used, images: filesIn(drawing) };
  });
