import type { SymbolContent } from '@mendrel/core';
import { SYMBOL_WORDS, SYMBOLS } from '@mendrel/core';
import { Chosen } from '../details/Chosen';
import { Pair } from '../details/Section';
import { Typed } from '../details/Typed';
import type { EditedKind, EditorProps } from './editing';

/** A symbol: which one, and its height on paper. */
function SymbolEditor({ content, unit, onChange }: EditorProps<SymbolContent>) {
  return (
    <Pair>
      <Chosen
        label="Symbol"
        value={content.symbol}
        options={SYMBOLS.map((symbol) => [symbol, SYMBOL_WORDS[symbol]] as const)}
        onSet={(symbol) => onChange({ ...content, symbol })}
      />
      <Typed
        label="Height"
        length={unit}
        required
        value={content.height}
        onSet={(height) => onChange({ ...content, height })}
      />
    </Pair>
  );
}

export const symbols: EditedKind<'symbol'> = {
  Editor: SymbolEditor,
  adding: { menu: 'Symbol', command: 'Add a symbol' },
  make: ({ id, unit }) => ({
    id,
    kind: 'symbol',
    horizontal: 'centre',
    vertical: 'middle',
    rotation: 0,
    symbol: 'north',
    height: unit === 'in' ? '1/2 in' : '14 mm',
  }),
};
