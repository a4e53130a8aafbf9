import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Alignment } from '@mendrel/core';
import { ALIGNMENTS } from '@mendrel/core';

interface Props {
  /** How many views are chosen. */
  count: number;
  /** The name of the first one, by which the others are lined up. */
  first: string;
  onAlign: (by: Alignment) => void;
  onDistribute: (way: 'across' | 'up') => void;
}

const WORDS: Readonly<Record<Alignment, string>> = {
  left: 'Left',
  centre: 'Centres',
  right: 'Right',
  top: 'Top',
  middle: 'Middles',
  bottom: 'Bottom',
};

/** What can be done with several views at once. */
export function LineUp({ count, first, onAlign, onDistribute }: Props) {
  return (
    <Box component="section" aria-label="Line up" sx={{ border: 1, borderColor: 'divider', p: 3, mb: 4 }}>
      <Typography sx={{ mb: 2 }}>
        {count} views chosen. Line them up by {first}:
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 1.5 }}>
        {ALIGNMENTS.map((by) => (
          <Button key={by} size="small" variant="outlined" onClick={() => onAlign(by)}>
            {WORDS[by]}
          </Button>
        ))}
      </Box>
      {count > 2 ? (
        <Box sx={{ display: 'flex', gap: 1.5, mt: 2, alignItems: 'center' }}>
          <Box component="span">Equal room</Box>
          <Button size="small" variant="outlined" onClick={() => onDistribute('across')}>
            across
          </Button>
          <Button size="small" variant="outlined" onClick={() => onDistribute('up')}>
            up the sheet
          </Button>
        </Box>
      ) : null}
    </Box>
  );
}
