import type { SymbolContent } from '@mendrel/core';
import { isWords, parametersOf, SYMBOL_WORDS, SYMBOLS } from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { Pair } from '../details/Section';
import { Typed } from '../../../app/Typed';
import type { EditedKind, EditorProps } from './editing';
import { withOptional } from './withOptional';

/** A symbol as it stands in a list: one that ships by its name, one of the office's own by its id. */
const choiceOf = ({ symbol, own }: SymbolContent): string => (symbol === 'own' ? `own ${own ?? ''}` : symbol);

function chosen(content: SymbolContent, choice: string): SymbolContent {
  const shipped = SYMBOLS.find((each) => each === choice);
  const next: SymbolContent = { ...content, symbol: shipped ?? 'own', own: choice.replace(/^own /, '') };
  if (shipped) delete next.own;
  // The marks of a projection method stand as the standard has them.
  if (shipped && shipped !== 'north') delete next.turnedBy;
  return next;
}

/** A symbol: which one, its height on paper, and what turns it. */
function SymbolEditor({ content, standard, unit, onChange }: EditorProps<SymbolContent>) {
  const own = standard.symbols ?? [];
  const gone = content.symbol === 'own' && !own.some(({ id }) => id === content.own);
  const turns = content.symbol === 'north' || content.symbol === 'own';
  return (
    <>
      <Pair>
        <Chosen
          label="Symbol"
          value={choiceOf(content)}
          options={[
            ...SYMBOLS.map((symbol) => [symbol, SYMBOL_WORDS[symbol]] as const),
            ...own.map(({ id, name }) => [`own ${id}`, name] as const),
            ...(gone ? [[choiceOf(content), 'A symbol that is gone'] as const] : []),
          ]}
          {...(own.length === 0 ? { help: 'Your own come from Standard, Symbols' } : {})}
          onSet={(choice) => onChange(chosen(content, choice))}
        />
        <Typed
          label="Height"
          length={unit}
          required
          value={content.height}
          onSet={(height) => onChange({ ...content, height })}
        />
      </Pair>
      {turns ? (
        <Chosen
          label="Turned by"
          value={content.turnedBy ?? ''}
          options={[
            ['', content.symbol === 'north' ? 'North angle of the project' : 'Nothing'],
            ...[...parametersOf(standard).values()]
              .filter(isWords)
              .map(({ key, name }) => [key, `${name}  {${key}}`] as const),
          ]}
          onSet={(key) =>
            onChange(withOptional<SymbolContent, 'turnedBy'>(content, 'turnedBy', key === '' ? undefined : key))
          }
        />
      ) : null}
    </>
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
