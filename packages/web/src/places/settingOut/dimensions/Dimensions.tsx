import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Design, OfficeStandard, TriedOn, WorkingUnit } from '@mendrel/core';
import { dimensionUses, FormulaError, setDimension } from '@mendrel/core';
import { lengthWords } from '../paper/dividers';
import { useTypefaces } from '../../../app/typefaces';
import type { Solved } from '../../../paper/useSolved';
import { useSolvedSizes } from '../../../paper/useSolved';
import { DimensionTable } from './DimensionTable';
import { asFormula } from '../../../app/asFormula';
import { Sign } from '../../../app/FindingMark';

interface Props {
  design: Design;
  tried: TriedOn;
  standard: OfficeStandard;
  onEdit: (edit: (design: Design) => Design) => void;
}

const shortSize = (size: string): string =>
  size
    .replace(/^ISO /, '')
    .replace(/^ARCH /, '')
    .replace(/^ASME /, '');

/** Dimensions by size: type a value or a formula; a value for one size overrides the general one. */
export function Dimensions({ design, tried, standard, onEdit }: Props) {
  const solved = useSolvedSizes(design, tried, standard, useTypefaces());
  const [adding, setAdding] = useState(false);
  const [all, setAll] = useState(false);
  const unused = new Set(dimensionUses(design).flatMap((each) => (each.usedBy.length === 0 ? [each.name] : [])));
  const faulty = new Set(
    solved.flatMap(({ problem }) => {
      const [place, name] = problem?.where.split('.') ?? [];
      return place === 'dimensions' && name !== undefined ? [name] : [];
    }),
  );
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
              {design.sizes.map(({ size }) => (
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
                  {faulty.has(dimension.name) ? (
                    <Box component="span" sx={{ color: 'error.main' }}>
                      <Sign weight="error" named />{' '}
                    </Box>
                  ) : null}
                  {dimension.name}
                  {unused.has(dimension.name) ? (
                    <Box
                      component="span"
                      role="img"
                      aria-label="unused"
                      title="Nothing uses it"
                      sx={{ color: 'warning.main' }}
                    >
                      {' '}
                      <Sign weight="gap" />
                    </Box>
                  ) : null}
                </th>
                {design.sizes.map(({ size }) => (
                  <td key={size}>
                    <DimensionValue
                      label={`${dimension.name} on ${size}`}
                      formula={dimension.bySize?.[size] ?? dimension.formula}
                      shown={valueOn(solved, size, dimension.name, design.unit)}
                      own={dimension.bySize?.[size] !== undefined}
                      onSet={(text) => {
                        const formula = asFormula(text, design.unit);
                        onEdit((now) => setDimension(now, dimension.name, formula, size));
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
          unit={design.unit}
          taken={design.dimensions.map((each) => each.name)}
          onAdd={(name, formula) => {
            onEdit((now) => setDimension(now, name, formula));
            setAdding(false);
          }}
          onCancel={() => setAdding(false)}
        />
      ) : (
        <Box sx={{ mx: 2, mt: 1 }}>
          <Button size="small" onClick={() => setAdding(true)}>
            Add a dimension
          </Button>
          <Button size="small" onClick={() => setAll(true)} disabled={design.dimensions.length === 0}>
            Edit all…
          </Button>
        </Box>
      )}
      {all ? <DimensionTable design={design} solved={solved} onEdit={onEdit} onClose={() => setAll(false)} /> : null}
    </Box>
  );
}

function valueOn(solved: readonly Solved[], size: string, name: string, unit: WorkingUnit): string {
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
        onSet(text);
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
        // As wide as what it shows, such as 3 1/2, but for many sizes beside each other.
        width: typed === undefined ? `clamp(30px, ${shown.length + 1}ch, 60px)` : 110,
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
  unit,
  onAdd,
  onCancel,
}: {
  unit: WorkingUnit;
  taken: readonly string[];
  onAdd: (name: string, formula: string) => void;
  onCancel: () => void;
}) {
  const [name, setName] = useState('');
  const [formula, setFormula] = useState(unit === 'mm' ? '10 mm' : '1/2 in');
  const problem = !/^[A-Za-z][A-Za-z0-9]*$/.test(name)
    ? 'One word of letters and digits.'
    : taken.includes(name)
      ? 'There is one of this name.'
      : formulaProblem(formula, unit);
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
        if (!problem) onAdd(name, asFormula(formula, unit));
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
          <Sign weight="error" /> {problem}
        </Typography>
      ) : null}
    </Box>
  );
}

function formulaProblem(text: string, unit: WorkingUnit): string | undefined {
  try {
    asFormula(text.trim(), unit);
    return undefined;
  } catch (error) {
    if (error instanceof FormulaError) return `Its value ${error.message}.`;
    throw error;
  }
}
