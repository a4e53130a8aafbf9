import type { Piece } from '@mendrel/contract';
import type { PieceItem } from '@mendrel/core';

/** What a piece looks like, wherever it stands. */
export type PieceLook = Pick<
  PieceItem,
  | 'linework'
  | 'width'
  | 'height'
  | 'from'
  | 'perUnit'
  | 'hidden'
  | 'typeface'
  | 'fallback'
  | 'least'
  | 'pens'
  | 'outline'
>;

/** Where the server gives out a file that is kept under its SHA-256; what is there never changes. */
export const assetAddress = (asset: string): string => `/api/assets/${asset}`;

/** Where the picture of a piece of a view's drawing is given out; the address says all of it. */
export function pieceAddress({ linework, pens, outline, hidden, fallback, ...look }: PieceLook): string {
  const { width, height, from, perUnit, typeface, least } = look;
  const piece: Piece = {
    ...{ width, height, from, perUnit, typeface, least },
    hidden: [...hidden],
    ...(fallback === undefined ? {} : { fallback }),
    ...(pens && pens.length > 0 ? { pens: [...pens] } : {}),
    ...(outline === undefined ? {} : { outline: outline === 'circle' ? outline : [...outline] }),
  };
  return `/api/linework/${linework}/picture.svg?piece=${encodeURIComponent(JSON.stringify(piece))}`;
}
