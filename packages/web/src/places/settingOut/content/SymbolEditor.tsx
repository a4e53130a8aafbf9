import type { Content, SymbolContent } from '@mendrel/core';
import { SYMBOL_WORDS, SYMBOLS } from '@mendrel/core';
import { Chosen } from '../details/Chosen';
import { Pair } from '../details/Section';
import { Typed } from '../details/Typed';

/** A symbol: which one, and its height on paper. */
export function SymbolEditor({ content, onChange }: { content: SymbolContent; onChange: (content: Content) => void }) {
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
        formula
        required
        value={content.height}
        onSet={(height) => onChange({ ...content, height })}
      />
    </Pair>
  );
}
