import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import { errorOf } from './api';
import { Sign } from './FindingMark';

/** Shown while something is fetched or computed. */
export function Loading({ what }: { what: string }) {
  return (
    <Box role="status" sx={{ display: 'flex', alignItems: 'center', gap: 3, p: 8, color: 'text.secondary' }}>
      <CircularProgress size={18} aria-hidden />
      <Typography>Loading {what}…</Typography>
    </Box>
  );
}

/** Shown where a request failed, with the way on. */
export function Failed({ error, retry }: { error: unknown; retry?: () => void }) {
  const { message, where } = errorOf(error);
  return (
    <Box role="alert" sx={{ p: 8, maxWidth: 640 }}>
      <Typography sx={{ color: 'error.main', fontWeight: 600 }}>
        <Sign weight="error" /> {message}
      </Typography>
      {where ? <Typography sx={{ color: 'text.secondary', mt: 1 }}>At {where}</Typography> : null}
      {retry ? (
        <Button variant="outlined" onClick={retry} sx={{ mt: 4 }}>
          Try again
        </Button>
      ) : null}
    </Box>
  );
}

/** Shown where there is nothing yet, with the next step. */
export function Empty({ title, children, action }: { title: string; children?: ReactNode; action?: ReactNode }) {
  return (
    <Box sx={{ p: 10, maxWidth: 520 }}>
      <Typography variant="h2" component="h2">
        {title}
      </Typography>
      <Typography sx={{ color: 'text.secondary', my: 2 }}>{children}</Typography>
      {action}
    </Box>
  );
}
