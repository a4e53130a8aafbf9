import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { PlainTable } from '../../app/PlainTable';

/** One table of the standard, with its title and what can be done with it. */
export function Card({ title, headings, action, wide = false, children }: CardProps) {
  return (
    <Box
      component="section"
      // It may scroll sideways in a narrow window, so the keyboard has to reach it.
      tabIndex={0}
      aria-label={title}
      sx={{
        gridColumn: wide ? '1 / -1' : 'auto',
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 2,
        p: 5,
        overflowX: 'auto',
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, mb: 2 }}>
        <Typography variant="h2" component="h2" sx={{ flex: 1 }}>
          {title}
        </Typography>
        {action}
      </Box>
      <PlainTable caption={title} headings={headings}>
        {children}
      </PlainTable>
    </Box>
  );
}

interface CardProps {
  title: string;
  headings: readonly string[];
  action?: ReactNode;
  /** Takes a row for itself. */
  wide?: boolean;
  children: ReactNode;
}
