import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { Design, FitOnSize, FitRow, FitState, OfficeStandard, RealData, TryOn, Typefaces } from '@mendrel/core';
import { amountInWords, counted, fitRank, fitReport } from '@mendrel/core';
import { Sign } from '../../../app/FindingMark';

const WORDS: Readonly<Record<FitState, string>> = {
  fits: 'fits',
  wrapped: 'wraps',
  condensed: 'condensed',
  stepped: 'smaller',
  missing: 'missing',
  spills: 'spills',
  conflicts: 'conflict',
};

const WEIGHTS: Partial<Record<FitState, 'error' | 'gap' | 'note'>> = {
  condensed: 'note',
  stepped: 'note',
  missing: 'gap',
  spills: 'error',
  conflicts: 'error',
};

const FILTERS = [
  ['all', 'All', 'fits'],
  ['changed', 'Not as set', 'condensed'],
  ['wrong', 'To mend', 'missing'],
] as const;
type Filter = (typeof FILTERS)[number][0];

const Table = styled('table')(({ theme }) => ({
  borderCollapse: 'collapse',
  width: '100%',
  '& caption': { position: 'absolute', left: -9999 },
  '& th, & td': {
    textAlign: 'left',
    padding: '4px 8px',
    fontWeight: 400,
    borderBottom: `1px solid ${theme.vars?.palette.divider}`,
    verticalAlign: 'baseline',
  },
  '& thead th': {
    position: 'sticky',
    top: 0,
    background: theme.vars?.palette.background.paper,
    color: theme.vars?.palette.text.secondary,
    fontWeight: 600,
    zIndex: 1,
    whiteSpace: 'nowrap',
  },
}));

export interface FitProps {
  design: Design;
  standard: OfficeStandard;
  typefaces: Typefaces;
  real: RealData;
  /** Goes to a content on a size, with the values that show it. */
  onGo: (row: FitRow, size: string, tryOn: TryOn) => void;
}

/** How every content fits on every size with blank, typical and longest values, the worst first; each place can be gone to. */
export function FitTable({ design, standard, typefaces, real, onGo }: FitProps) {
  const report = useMemo(() => fitReport(design, standard, typefaces, real), [design, standard, typefaces, real]);
  const [filter, setFilter] = useState<Filter>('all');
  const least = FILTERS.find(([key]) => key === filter)?.[2] ?? 'fits';
  const rows = report.rows.filter(({ worst }) => fitRank(worst) >= fitRank(least));
  const wrong = report.rows.filter(({ worst }) => fitRank(worst) >= fitRank('missing')).length;
  return (
    <>
      <Box sx={{ display: 'flex', gap: 4, alignItems: 'center', mb: 3 }}>
        <Typography sx={{ flex: 1, color: 'text.secondary' }}>
          {counted(report.rows.length, 'content')} on {counted(report.sizes.length, 'size')}, with blank, typical and
          longest values: {wrong === 0 ? 'nothing to mend' : `${wrong} to mend`}. Press a state to go to its place.
        </Typography>
        <ToggleButtonGroup
          size="small"
          exclusive
          color="primary"
          aria-label="Show"
          value={filter}
          onChange={(_event, next: Filter | null) => next && setFilter(next)}
        >
          {FILTERS.map(([key, name]) => (
            <ToggleButton key={key} value={key}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      {Object.entries(report.unsolved).map(([size, why]) => (
        <Typography key={size} role="alert" sx={{ color: 'error.main', mb: 2 }}>
          <Sign weight="error" /> {size} cannot be solved: {why}
        </Typography>
      ))}
      {rows.length === 0 ? (
        <Typography>
          {report.rows.length === 0 ? 'Nothing stands in the cells yet.' : 'Nothing of that kind.'}
        </Typography>
      ) : (
        <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="group" aria-label="Fit of the contents, table">
          <Table>
            <caption>Fit of the contents</caption>
            <thead>
              <tr>
                <th scope="col">Content</th>
                {report.sizes.map((size) => (
                  <th key={size} scope="col">
                    {size}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.content}>
                  <th scope="row">
                    {row.cellName ? `${row.cellName}: ` : ''}
                    {row.what}
                  </th>
                  {report.sizes.map((size) => (
                    <td key={size}>
                      <State
                        on={row.bySize[size]}
                        of={`${row.what} on ${size}`}
                        unit={design.unit}
                        onGo={(tryOn) => onGo(row, size, tryOn)}
                      />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </Table>
        </Box>
      )}
    </>
  );
}

interface StateProps {
  on: FitOnSize | undefined;
  of: string;
  unit: Design['unit'];
  onGo: (tryOn: TryOn) => void;
}

/** The worst of one content on one size: a shape and a word, and by how much it spills. */
function State({ on, of, unit, onGo }: StateProps) {
  if (!on) return <Box sx={{ color: 'text.secondary' }}>left out</Box>;
  const weight = WEIGHTS[on.state];
  const words = on.by > 0 ? `${WORDS[on.state]} ${amountInWords(on.by, unit)}` : WORDS[on.state];
  return (
    <Button
      size="small"
      color="inherit"
      title={[...on.says, `with ${on.tryOn} values`].join('\n')}
      aria-label={`${words}: ${of}, with ${on.tryOn} values`}
      onClick={() => onGo(on.tryOn)}
      sx={{
        minWidth: 0,
        px: 1,
        mx: -1,
        py: 0,
        whiteSpace: 'nowrap',
        fontWeight: weight === 'error' ? 600 : 400,
        color: { error: 'error.main', gap: 'warning.main', note: 'text.secondary', none: 'success.main' }[
          weight ?? 'none'
        ],
      }}
    >
      {weight ? <Sign weight={weight} /> : null}
      {weight ? '\u00a0' : null}
      {words}
    </Button>
  );
}
