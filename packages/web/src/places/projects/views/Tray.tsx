import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import CloseIcon from '@mui/icons-material/Close';
import Typography from '@mui/material/Typography';
import type { View } from '@mendrel/core';
import { carry } from './carried';
import type { WaitingView } from './waitingViews';

interface Props {
  waiting: readonly WaitingView[];
  onBring: (waiting: WaitingView) => void;
  onRemove: (view: View) => void;
}

/** Views that are listed at a time. */
const FEW = 6;

/** Views of the project that stand nowhere: brought onto the sheet by a button, or by dragging them onto the paper. */
export function Tray({ waiting, onBring, onRemove }: Props) {
  const [all, setAll] = useState(false);
  if (waiting.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="tray-heading" sx={{ mt: 5 }}>
      <Typography id="tray-heading" variant="h3" component="h3" sx={{ color: 'text.secondary', mb: 1 }}>
        Tray of the project ({waiting.length})
      </Typography>
      {waiting.slice(0, all ? waiting.length : FEW).map((each) => {
        const { view, from } = each;
        const source = from ? ` from ${from.number}` : '';
        return (
          <Box
            key={`${from?.id ?? ''} ${view.id}`}
            draggable
            onDragStart={(event) => carry(event, each)}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              borderTop: 1,
              borderColor: 'divider',
              py: 1,
              cursor: 'grab',
            }}
          >
            <Box sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
              {view.name}{' '}
              <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.75rem' }}>
                {[view.scale ?? 'not to scale', ...(from ? [`meant for ${from.number}`] : [])].join(', ')}
              </Box>
            </Box>
            <Button size="small" aria-label={`Bring here ${view.name}${source}`} onClick={() => onBring(each)}>
              Bring here
            </Button>
            {from ? null : (
              <IconButton
                size="small"
                aria-label={`Remove ${view.name} from the tray`}
                title="Remove it from the tray"
                onClick={() => onRemove(view)}
              >
                <CloseIcon fontSize="inherit" />
              </IconButton>
            )}
          </Box>
        );
      })}
      {waiting.length > FEW && !all ? (
        <Button size="small" onClick={() => setAll(true)}>
          Show all {waiting.length}
        </Button>
      ) : null}
    </Box>
  );
}
