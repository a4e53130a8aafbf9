import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { OwnSymbol, WorkingUnit } from '@mendrel/core';
import { EditError, formatLength, MOST_OWN_SYMBOLS, OutlineError, parseLength, QuantityError } from '@mendrel/core';
import { Card } from '../../../app/Card';
import { FileButton } from '../../../app/FileButton';
import { Sign } from '../../../app/FindingMark';
import { Typed } from '../../../app/Typed';
import { SymbolPicture } from '../SymbolPicture';
import { freshId, freshName, useStandardEdit } from '../useStandardEdit';

/** A place along a side of a symbol, from words in a unit. @throws EditError for what is none */
function readPlace(text: string, unit: WorkingUnit): number {
  try {
    return parseLength(text, unit);
  } catch (error) {
    throw error instanceof QuantityError ? new EditError(error.message) : error;
  }
}

/** Symbols that the office keeps besides those that ship, each read from a drawing. */
export function Symbols() {
  const { standard, change, problemsIn } = useStandardEdit();
  const [said, setSaid] = useState<{ wrong: boolean; words: string }>();
  const symbols = standard.symbols ?? [];
  const set = (next: OwnSymbol[], field?: string): void => change({ symbols: next }, field);
  const add = async (file: File): Promise<void> => {
    setSaid(undefined);
    // What reads drawings is fetched when the first one is chosen.
    const { readSymbolFile } = await import('@mendrel/formats/outlines');
    try {
      const { symbol, dropped } = readSymbolFile(new Uint8Array(await file.arrayBuffer()));
      const name = file.name.replace(/\.[^.]+$/, '').slice(0, 50) || 'Symbol';
      set([...symbols, { id: freshId(symbols, 'symbol'), name: freshName(symbols, name), ...symbol }]);
      if (dropped.length > 0) setSaid({ wrong: false, words: `Left out of ${file.name}: ${dropped.join(', ')}.` });
    } catch (error) {
      if (!(error instanceof OutlineError)) throw error;
      setSaid({ wrong: true, words: `${file.name}: ${error.message}.` });
    }
  };
  const problems = problemsIn('symbols');
  return (
    <Card
      title="The office’s own symbols"
      about="Drawings in DXF or SVG that designs place beside the symbols that ship, as high as each design says. The base point is the one about which data turns a symbol."
      action={
        symbols.length < MOST_OWN_SYMBOLS ? (
          <FileButton
            size="small"
            variant="outlined"
            of="Drawing of a symbol"
            accept=".dxf,.svg,image/svg+xml"
            onFile={(file) => void add(file)}
          >
            Add a symbol…
          </FileButton>
        ) : null
      }
    >
      {said ? (
        <Typography
          role={said.wrong ? 'alert' : 'status'}
          sx={{ color: said.wrong ? 'error.main' : 'warning.main', mb: 3 }}
        >
          <Sign weight={said.wrong ? 'error' : 'gap'} /> {said.words}
        </Typography>
      ) : null}
      {symbols.length === 0 ? (
        'No own symbols yet. Add a drawing of each, such as your north arrow or a mark of your quality system.'
      ) : (
        <Box component="ul" aria-label="Own symbols" sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 4 }}>
          {symbols.map((symbol, i) => (
            <SymbolRow
              key={symbol.id}
              symbol={symbol}
              unit={standard.unit}
              problem={problems.find(({ where }) => where.startsWith(`symbols.${i}.`))?.message}
              onSet={(next, field) =>
                set(
                  symbols.map((each) => (each === symbol ? next : each)),
                  `symbols.${symbol.id}.${field}`,
                )
              }
              onRemove={() => set(symbols.filter((each) => each !== symbol))}
            />
          ))}
        </Box>
      )}
    </Card>
  );
}

interface RowProps {
  symbol: OwnSymbol;
  unit: WorkingUnit;
  problem: string | undefined;
  onSet: (symbol: OwnSymbol, field: string) => void;
  onRemove: () => void;
}

/** A symbol as it is drawn, its name, and its base point from its lower left corner. */
function SymbolRow({ symbol, unit, problem, onSet, onRemove }: RowProps) {
  const { name, base, width, height } = symbol;
  return (
    <Box
      component="li"
      aria-label={name}
      sx={{
        display: 'grid',
        gridTemplateColumns: '88px minmax(140px, 240px) 110px 110px auto',
        gap: 3,
        alignItems: 'center',
      }}
    >
      <SymbolPicture symbol={symbol} side={80} />
      <Typed
        label="Name"
        required
        help=" "
        value={name}
        {...(problem === undefined ? {} : { problem })}
        onSet={(next) => onSet({ ...symbol, name: next }, 'name')}
      />
      {(['x', 'y'] as const).map((axis) => (
        <Typed
          key={axis}
          label={`Base ${axis === 'x' ? 'across' : 'up'}, ${unit}`}
          value={formatLength(base[axis], unit)}
          help={`of ${formatLength(axis === 'x' ? width : height, unit)}`}
          read={(text) => String(readPlace(text, unit))}
          onSet={(mm) => onSet({ ...symbol, base: { ...base, [axis]: Number(mm) } }, axis)}
        />
      ))}
      <Box>
        <Button size="small" onClick={() => onSet({ ...symbol, base: { x: width / 2, y: height / 2 } }, 'base')}>
          Base in the middle
        </Button>
        <Button size="small" color="inherit" onClick={onRemove}>
          Remove
        </Button>
      </Box>
    </Box>
  );
}
