import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Design } from '@mendrel/core';
import { FormulaError, parseFormula, setDimension } from '@mendrel/core';
import type { Solved } from './useSolved';
import { lengthWords } from './dividers';

interface Props {
  design: Design;
  solved: readonly Solved[];
  onEdit: (design: Design) => void;
}

const shortSize = (size: string): string =>
  size
    .replace(/^ISO /, '')
    .replace(/^ARCH /, '')
    .replace(/^ASME /, '');

/** Dimensions by size: type a value or a formula; a value for one size overrides the general one. */
export function Dimensions({ design, solved, onEdit }: Props) {
  const [adding, setAdding] = useState(false);
  const sizes = design.sizes.slice(0, 6);
  return (
    <Box component="section" aria-labelledby="dimensions-heading" sx={{ py: 3, borderTop: 1, borderColor: 'divider' }}>
      <Typography
        id="dimensions-heading"
        variant="h3"
        component="h2"
        sx={{ color: 'text.secondary', px: 3.5, pb: 1.5 }}
      >
        Dimensions
      </Typography>
      <Box sx={{ overflowX: 'auto', px: 3.5 }} tabIndex={0} role="region" aria-label="Dimensions by size">
        <Box
          component="table"
          sx={{
            borderCollapse: 'collapse',
            width: '100%',
            fontSize: '0.75rem',
            fontVariantNumeric: 'tabular-nums',
            '& td, & th': { p: 0.5, textAlign: 'left', borderBottom: 1, borderColor: 'divider', fontWeight: 400 },
          }}
        >
          <thead>
            <Box component="tr" sx={{ color: 'text.secondary' }}>
              <th scope="col">Name</th>
              {sizes.map(({ size }) => (
                <th key={size} scope="col" title={size}>
                  {shortSize(size)}
                </th>
              ))}
            </Box>
          </thead>
          <tbody>
            {design.dimensions.map((dimension) => (
              <tr key={dimension.name}>
                <th scope="row" title={dimension.formula}>
                  {dimension.name}
                </th>
                {sizes.map(({ size }) => (
                  <td key={size}>
                    <DimensionValue
                      label={`${dimension.name} on ${size}`}
                      formula={dimension.bySize?.[size] ?? dimension.formula}
                      shown={valueOn(solved, size, dimension.name, design.unit)}
                      own={dimension.bySize?.[size] !== undefined}
                      onSet={(text) => {
                        parseFormula(text);
                        onEdit(setDimension(design, dimension.name, text, size));
                      }}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
      {adding ? (
        <NewDimension
          taken={design.dimensions.map((each) => each.name)}
          onAdd={(name, formula) => {
            onEdit(setDimension(design, name, formula));
            setAdding(false);
          }}
          onCancel={() => setAdding(false)}
        />
      ) : (
        <Button size="small" onClick={() => setAdding(true)} sx={{ mx: 2, mt: 1 }}>
          Add a dimension
        </Button>
      )}
    </Box>
  );
}

function valueOn(solved: readonly Solved[], size: string, name: string, unit: 'mm' | 'in'): string {
  const found = solved.find((each) => each.size === size);
  const value = found && !found.problem ? found.layout.dimensions.get(name) : undefined;
  return value === undefined ? '—' : lengthWords(value, unit);
}

function DimensionValue({
  label,
  formula,
  shown,
  own,
  onSet,
}: {
  label: string;
  formula: string;
  shown: string;
  own: boolean;
  onSet: (text: string) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const finish = (): void => {
    const text = typed?.trim();
    if (text && text !== formula) {
      try {
        onSet(/^[\d.]+$/.test(text) ? `${text} mm` : text);
      } catch (error) {
        if (!(error instanceof FormulaError)) throw error;
        setProblem(error.message);
        return;
      }
    }
    setProblem(undefined);
    setTyped(undefined);
  };
  return (
    <Box
      component="input"
      aria-label={label}
      aria-invalid={problem !== undefined}
      title={problem ?? formula}
      value={typed ?? shown}
      onFocus={(event: React.FocusEvent<HTMLInputElement>) => {
        setTyped(formula);
        // Selected once the formula has taken the place of its result.
        const input = event.currentTarget;
        requestAnimationFrame(() => input.select());
      }}
      onBlur={finish}
      onChange={(event: React.ChangeEvent<HTMLInputElement>) => setTyped(event.target.value)}
      onKeyDown={(event: React.KeyboardEvent<HTMLInputElement>) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        else if (event.key === 'Escape') {
          setProblem(undefined);
          setTyped(undefined);
        }
      }}
      sx={{
        width: typed === undefined ? 30 : 110,
        font: 'inherit',
        border: '1px solid transparent',
        borderColor: problem ? 'error.main' : 'transparent',
        borderRadius: '4px',
        bgcolor: 'transparent',
        color: 'inherit',
        fontWeight: own ? 600 : 400,
        px: 0,
        '&:hover': { borderColor: 'divider' },
        '&:focus': { outline: '2px solid', outlineColor: 'primary.main' },
      }}
    />
  );
}

function NewDimension({
  taken,
  onAdd,
  onCancel,
}: {
  taken: readonly string[];
  onAdd: (name: string, formula: string) => void;
  onCancel: () => void;
}) {
  const [name, setName] = useState('');
  const [formula, setFormula] = useState('10 mm');
  const problem = !/^[A-Za-z][A-Za-z0-9]*$/.test(name)
    ? 'One word of letters and digits.'
    : taken.includes(name)
      ? 'There is one of this name.'
      : undefined;
  const field = {
    font: 'inherit',
    fontSize: '0.8125rem',
    p: 1,
    border: '1px solid',
    borderColor: 'divider',
    borderRadius: '4px',
    bgcolor: 'background.paper',
    color: 'text.primary',
    minWidth: 0,
    width: 90,
  };
  return (
    <Box
      component="form"
      sx={{ px: 3.5, pt: 2, display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}
      onSubmit={(event) => {
        event.preventDefault();
        if (!problem) onAdd(name, formula);
      }}
    >
      <Box
        component="input"
        aria-label="Name of the dimension"
        placeholder="name"
        autoFocus
        value={name}
        onChange={(event: React.ChangeEvent<HTMLInputElement>) => setName(event.target.value)}
        sx={field}
      />
      <Box
        component="input"
        aria-label="Its value"
        value={formula}
        onChange={(event: React.ChangeEvent<HTMLInputElement>) => setFormula(event.target.value)}
        sx={field}
      />
      <Button type="submit" size="small" disabled={problem !== undefined}>
        Add
      </Button>
      <Button size="small" color="inherit" onClick={onCancel}>
        Cancel
      </Button>
      {name !== '' && problem ? (
        <Typography variant="caption" sx={{ color: 'error.main', width: '100%' }}>
          ▲ {problem}
        </Typography>
      ) : null}
    </Box>
  );
}
