import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { ConformityTable } from './ConformityTable';
import { ConsistencyList } from './ConsistencyList';
import type { FitProps } from './FitTable';
import { FitTable } from './FitTable';

const PARTS = [
  ['fit', 'Fit'],
  ['conformity', 'Conformity'],
  ['consistency', 'Consistency'],
] as const;
type Part = (typeof PARTS)[number][0];

interface Props extends FitProps {
  onGoToCell: (cell: string) => void;
  onClose: () => void;
}

/** What can be said of a design as a whole: how everything fits, what published standards ask, what it does in two ways. */
export function DesignReport({ onGoToCell, onClose, ...fit }: Props) {
  const [part, setPart] = useState<Part>('fit');
  return (
    <Dialog open onClose={onClose} aria-labelledby="report-title" fullWidth maxWidth="lg">
      <Box sx={{ display: 'flex', alignItems: 'center', pr: 6 }}>
        <DialogTitle id="report-title" sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
          Report on {fit.design.name}
        </DialogTitle>
        <ToggleButtonGroup
          size="small"
          exclusive
          color="primary"
          aria-label="Report on"
          value={part}
          onChange={(_event, next: Part | null) => next && setPart(next)}
        >
          {PARTS.map(([key, name]) => (
            <ToggleButton key={key} value={key}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <DialogContent sx={{ height: '70vh' }}>
        {part === 'fit' ? (
          <FitTable {...fit} />
        ) : part === 'conformity' ? (
          <ConformityTable design={fit.design} standard={fit.standard} typefaces={fit.typefaces} onGo={onGoToCell} />
        ) : (
          <ConsistencyList design={fit.design} standard={fit.standard} onGo={onGoToCell} />
        )}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
