import type { Content, SymbolContent } from '@mendrel/core';
import { SYMBOL_WORDS, SYMBOLS } from '@mendrel/core';
import { Chosen } from '../details/Chosen';
import { Pair } from '../details/Section';
import { Typed } from '../details/Typed';

/** A symbol: which one, and its height on paper. */
export function SymbolEditor({
  content,
  unit,
  onChange,
}: {
  content: SymbolContent;
  unit: 'mm' | 'in';
  onChange: (content: Content) => void;
}) {
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
