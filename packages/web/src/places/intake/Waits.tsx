import Box from '@mui/material/Box';

/** Says that something in intake waits for a person. */
export function Waits({ words = 'waits for you' }: { words?: string }) {
  return (
    <Box component="span" sx={{ color: 'warning.main' }}>
      ◆ {words}
    </Box>
  );
}
