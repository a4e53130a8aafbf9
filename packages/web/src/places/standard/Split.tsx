import type { ReactNode } from 'react';
import Box from '@mui/material/Box';

/** Tables at the left, and the drawn specimen that follows them at the right, in sight however long the tables are. */
export function Split({ children, beside, width = 360 }: { children: ReactNode; beside: ReactNode; width?: number }) {
  return (
    <Box sx={{ display: 'flex', gap: 5, alignItems: 'flex-start' }}>
      <Box sx={{ flex: 1, minWidth: 0 }}>{children}</Box>
      <Box component="aside" aria-label="Specimen" sx={{ width, flex: 'none', position: 'sticky', top: 0 }}>
        {beside}
      </Box>
    </Box>
  );
}
