import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { CompareMode, Comparison } from './useComparison';

/** Ways of holding the old drawing against the design. */
export function CompareBar({ comparison: { mode, setMode, balance, setBalance } }: { comparison: Comparison }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 3 }}>
      {mode === 'slider' ? (
        <>
          <Typography sx={{ color: 'text.secondary' }}>Legacy</Typography>
          <Slider
            aria-label="Legacy drawing to design"
            value={balance}
            onChange={(_event, next) => setBalance(next)}
            sx={{ width: 130 }}
            size="small"
            valueLabelDisplay="off"
          />
          <Typography sx={{ color: 'text.secondary' }}>Design</Typography>
        </>
      ) : null}
      {mode === 'difference' ? (
        <Typography sx={{ color: 'text.secondary' }}>Red: legacy only. Blue: design only. Dark: both.</Typography>
      ) : null}
      <ToggleButtonGroup
        size="small"
        exclusive
        color="primary"
        aria-label="Compare by"
        value={mode}
        onChange={(_event, next: CompareMode | null) => next && setMode(next)}
      >
        <ToggleButton value="slider">Slider</ToggleButton>
        <ToggleButton value="blink">Blink</ToggleButton>
        <ToggleButton value="difference">Difference</ToggleButton>
      </ToggleButtonGroup>
    </Box>
  );
}
