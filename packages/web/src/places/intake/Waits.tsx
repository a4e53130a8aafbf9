import Box from '@mui/material/Box';
import { Sign } from '../../app/FindingMark';

/** Says that something in intake waits for a person. */
export function Waits({ words = 'waits for you' }: { words?: string }) {
  return (
    <Box component="span" sx={{ color: 'warning.main' }}>
      <Sign weight="gap" /> {words}
    </Box>
  );
}
