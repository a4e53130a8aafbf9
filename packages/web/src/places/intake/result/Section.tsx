import type { ReactNode } from 'react';
import { useId } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

/** A part of what intake has to say, under its heading. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  const id = useId();
  return (
    <Box component="section" aria-labelledby={id} sx={{ p: 4, borderBottom: 1, borderColor: 'divider' }}>
      <Typography id={id} variant="h3" component="h2" sx={{ color: 'text.secondary', mb: 3 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
