import type { Piece } from '@mendrel/contract';
import type { PieceItem } from '@mendrel/core';

/** What a piece looks like, wherever it stands. */
export type PieceLook = Pick<
  PieceItem,
  'linework' | 'width' | 'height' | 'from' | 'perUnit' | 'hidden' | 'typeface' | 'least'
>;

/** Where the server gives out a file that is kept under its SHA-256; what is there never changes. */
export const assetAddress = (asset: string): string => `/api/assets/${asset}`;

/** Where the picture of a piece of a view's drawing is given out; the address says all of it. */
export function pieceAddress({ linework, width, height, from, perUnit, hidden, typeface, least }: PieceLook): string {
  const piece: Piece = { width, height, from, perUnit, hidden: [...hidden], typeface, least };
  return `/api/linework/${linework}/picture.svg?piece=${encodeURIComponent(JSON.stringify(piece))}`;
}
