import { useId, useState } from 'react';
import type { ReactNode } from 'react';
import ExpandLessIcon from '@mui/icons-material/ExpandLess';
import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';

const ARROW = { fontSize: 16, color: 'text.secondary' } as const;

/** Two fields side by side. */
export const Pair = ({ children }: { children: ReactNode }) => (
  <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2.5 }}>{children}</Box>
);

/** Buttons are as wide as their words, so that rows of them begin in one line. */
const BUTTON_ROW = {
  display: 'flex',
  flexWrap: 'wrap',
  gap: 1.5,
  alignItems: 'center',
  '& > .MuiButton-text': { minWidth: 0 },
} as const;

/** Buttons in a row that wraps. */
export const Row = ({ children }: { children: ReactNode }) => <Box sx={BUTTON_ROW}>{children}</Box>;

/** A part of the details under a quiet heading. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  const id = useId();
  return (
    <Box component="section" aria-labelledby={id} sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
      <Typography id={id} variant="h3" component="h2" sx={{ color: 'text.secondary' }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}

/** A part that is folded away until it is asked for. */
export function Folded({ title, note, children }: { title: string; note?: string; children: ReactNode }) {
  const id = useId();
  const [open, setOpen] = useState(false);
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider' }}>
      <ButtonBase
        aria-expanded={open}
        aria-controls={id}
        onClick={() => setOpen(!open)}
        sx={{
          width: '100%',
          justifyContent: 'flex-start',
          gap: 2,
          py: 2,
          fontFamily: 'inherit',
          fontSize: '0.8125rem',
          textAlign: 'left',
          '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main' },
        }}
      >
        {open ? <ExpandLessIcon sx={ARROW} /> : <ExpandMoreIcon sx={ARROW} />}
        <Box component="span" sx={{ flex: 1 }}>
          {title}
        </Box>
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {note}
        </Box>
      </ButtonBase>
      <Box id={id} hidden={!open} sx={open ? { display: 'flex', flexDirection: 'column', gap: 3, pb: 3, pt: 1 } : {}}>
        {open ? children : null}
      </Box>
    </Box>
  );
}
