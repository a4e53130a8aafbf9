import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { StandardChange } from '@mendrel/core';

/** Changes of a standard in plain words. */
export function ChangeList({ changes, none }: { changes: readonly StandardChange[]; none: string }) {
  if (changes.length === 0) return <Typography>{none}</Typography>;
  return (
    <Box component="ul" sx={{ m: 0, pl: 5 }}>
      {changes.map((change) => (
        <li key={`${change.table} ${change.message}`}>{change.message}</li>
      ))}
    </Box>
  );
}
