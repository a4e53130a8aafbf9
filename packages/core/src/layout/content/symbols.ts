import type { SymbolContent, SymbolName } from '../../design';
import { SYMBOL_WORDS } from '../../design';
import type { BoxKind, PlacedBox } from './kind';
import { tooLarge } from './tooLarge';
import { within } from './within';

/** Width of a symbol as a part of its height. */
export const SYMBOL_PROPORTION: Readonly<Record<SymbolName, number>> = {
  north: 1,
  'first angle': 2.2,
  'third angle': 2.2,
};

export type SymbolLayout = PlacedBox<SymbolContent>;

/** A symbol stands at its exact height. */
export const symbols: BoxKind<SymbolContent, SymbolLayout> = {
  extent: (content, { length }) => {
    const height = length(content.height);
    return { width: height * SYMBOL_PROPORTION[content.symbol], height };
  },
  lay: (content, room) => {
    const { cell, inner } = room;
    const extent = symbols.extent(content, room);
    return {
      placed: { cell: cell.id, content, ...within(inner, extent, content) },
      findings: tooLarge(
        extent,
        inner,
        room,
        content.id,
        `the ${SYMBOL_WORDS[content.symbol].toLowerCase()}`,
        (by) => `make the symbol smaller, or the cell ${by} larger`,
      ),
    };
  },
  inOverlaps: ({ symbol }) => `the ${symbol} symbol`,
};
