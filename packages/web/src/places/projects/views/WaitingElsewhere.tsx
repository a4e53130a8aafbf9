import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Sheet } from '@mendrel/contract';
import { carry } from './carried';

interface Props {
  /** All sheets of the project. */
  sheets: readonly Sheet[];
  /** The sheet that is arranged. */
  current: string;
  onBring: (sheet: Sheet, view: string) => void;
}

/** Views that are listed at a time. */
const FEW = 6;

/** Views that wait in the trays of other sheets: brought here by a button, or by dragging them onto the paper. */
export function WaitingElsewhere({ sheets, current, onBring }: Props) {
  const [all, setAll] = useState(false);
  const waiting = sheets
    .filter(({ id }) => id !== current)
    .flatMap((sheet) => sheet.views.filter(({ module }) => module === null).map((view) => ({ sheet, view })));
  if (waiting.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="waiting-heading" sx={{ mt: 5 }}>
      <Typography id="waiting-heading" variant="h3" component="h3" sx={{ color: 'text.secondary', mb: 1 }}>
        Waiting on other sheets ({waiting.length})
      </Typography>
      {waiting.slice(0, all ? waiting.length : FEW).map(({ sheet, view }) => (
        <Box
          key={`${sheet.id} ${view.id}`}
          draggable
          onDragStart={(event) => carry(event, sheet.id, view.id)}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 2,
            borderTop: 1,
            borderColor: 'divider',
            py: 1,
            cursor: 'grab',
          }}
        >
          <Box sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
            {view.name}{' '}
            <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.75rem' }}>
              {sheet.number}
            </Box>
          </Box>
          <Button
            size="small"
            aria-label={`Bring here ${view.name} from ${sheet.number}`}
            onClick={() => onBring(sheet, view.id)}
          >
            Bring here
          </Button>
        </Box>
      ))}
      {waiting.length > FEW && !all ? (
        <Button size="small" onClick={() => setAll(true)}>
          Show all {waiting.length}
        </Button>
      ) : null}
    </Box>
  );
}
