import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

interface Props {
  title: string;
  /** One line on what it is for. */
  about?: string;
  action?: ReactNode;
  /** Whether what is in it may be wider than a narrow window, as tables are. */
  scrolls?: boolean;
  /** Takes a whole row where cards stand side by side. */
  wide?: boolean;
  children?: ReactNode;
}

/** One piece of a page, with its title and what can be done with it. */
export function Card({ title, about, action, scrolls = true, wide = false, children }: Props) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 2,
        mb: 5,
        // A stretch of the page of its own; what is wider scrolls inside it.
        minWidth: 0,
        ...(wide ? { gridColumn: '1 / -1' } : {}),
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, px: 5, pt: 4, pb: 2, flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, minWidth: 220 }}>
          <Typography variant="h2" component="h2">
            {title}
          </Typography>
          {about ? <Typography sx={{ color: 'text.secondary' }}>{about}</Typography> : null}
        </Box>
        {action}
      </Box>
      {scrolls ? (
        // It may scroll sideways in a narrow window, so the keyboard has to reach it.
        <Box sx={{ overflowX: 'auto', px: 5, pb: 4 }} tabIndex={0} role="group" aria-label={`${title}, content`}>
          {children}
        </Box>
      ) : (
        <Box sx={{ px: 5, pb: children ? 5 : 2 }}>{children}</Box>
      )}
    </Box>
  );
}
