import type { ReactNode } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

interface Props {
  /** What is locked, by name; nothing where nothing is. */
  locked: string | undefined;
  onUnlock: () => void;
  /** The notice stands elsewhere. */
  quiet?: boolean;
  children: ReactNode;
}

/** Controls of something that may be locked: they stay to be read, cannot be used, and one notice says why. */
export function Locked({ locked, onUnlock, quiet = false, children }: Props) {
  if (locked === undefined) return <>{children}</>;
  return (
    <>
      {quiet ? null : (
        <Alert
          severity="info"
          action={
            <Button size="small" color="inherit" onClick={onUnlock}>
              Unlock
            </Button>
          }
        >
          {locked} is locked.
        </Alert>
      )}
      <Box inert sx={{ opacity: 0.55, display: 'flex', flexDirection: 'column', gap: 4 }}>
        {children}
      </Box>
    </>
  );
}
