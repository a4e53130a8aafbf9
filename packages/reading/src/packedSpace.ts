import { deflateSync, inflateSync } from 'node:zlib';
import type { SourceSpace } from '@mendrel/core';
import { decoded, encoded } from './encodedSpace';

/** Bytes that linework may unpack to: that of half a million pieces with many points each. */
const MOST_BYTES = 600_000_000;

/** Linework as it is kept. The same linework gives the same bytes. */
export const packedSpace = (space: SourceSpace): Uint8Array => deflateSync(encoded(space), { level: 1 });

/** @throws Error for what was not packed by `packedSpace` */
export const unpackedSpace = (packed: Uint8Array): SourceSpace =>
  decoded(inflateSync(packed, { maxOutputLength: MOST_BYTES }));
