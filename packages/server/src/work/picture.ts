import type { Piece } from '@mendrel/contract';
import type { Typefaces } from '@mendrel/core';
import { drawnTexts, emPerCapital, pieceItems } from '@mendrel/core';
import { svgPicture } from '@mendrel/formats/svg';
import { unpackedSpace } from '@mendrel/reading/source';

/** A piece of linework that is to be shown. */
export interface PictureTask {
  packed: Uint8Array;
  piece: Piece;
}

/** A picture as SVG elements in mm, y down, and the typefaces that it is lettered in. */
export interface Picture {
  markup: string;
  typefaces: string[];
}

/** Draws a piece of linework by itself: its window is the whole picture. */
export function picture({ packed, piece }: PictureTask, typefaces: Typefaces): Picture {
  const { width, height, ...look } = piece;
  const box = { x: 0, y: 0, width, height };
  const item = { kind: 'piece', part: 'view', layer: '', name: '', linework: '', ...box, ...look } as const;
  const items = pieceItems(item, unpackedSpace(packed), typefaces);
  return {
    markup: svgPicture(items, height, { emPerCapital: emPerCapital(typefaces) }),
    typefaces: [
      ...new Set(
        items.flatMap((each) => (each.kind === 'text' ? drawnTexts(each).map(({ typeface: name }) => name) : [])),
      ),
    ],
  };
}
