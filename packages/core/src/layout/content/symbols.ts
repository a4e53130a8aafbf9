import type { Cell, SymbolContent, SymbolName } from '../../design';
import { SYMBOL_WORDS } from '../../design';
import type { Rect } from '../../geometry';
import { amountInWords } from '../../quantity';
import type { SheetLayout } from '../sheetLayout';
import { within } from './within';

/** Width of a symbol as a part of its height. */
const PROPORTION: Readonly<Record<SymbolName, number>> = {
  north: 1,
  'scale bar': 8,
  'first angle': 2.2,
  'third angle': 2.2,
};

/** What a symbol of a height takes up, in mm. */
export const symbolExtent = (symbol: SymbolName, height: number): { width: number; height: number } => ({
  width: height * PROPORTION[symbol],
  height,
});

/** Places a symbol at its exact height. */
export function laySymbol(cell: Cell, symbol: SymbolContent, height: number, inner: Rect, into: SheetLayout): void {
  const extent = symbolExtent(symbol.symbol, height);
  into.symbols.push({ cell: cell.id, symbol, ...within(inner, extent, symbol) });
  const over = Math.max(extent.width - inner.width, extent.height - inner.height);
  if (over > 0.01) {
    into.findings.push({
      kind: 'spill',
      weight: 'error',
      message: `the ${SYMBOL_WORDS[symbol.symbol].toLowerCase()} is ${amountInWords(over, into.unit)} larger than its cell`,
      where: { cell: cell.id, content: symbol.id },
      by: over,
      mend: `make the symbol smaller, or the cell ${amountInWords(over, into.unit)} larger`,
    });
  }
}
