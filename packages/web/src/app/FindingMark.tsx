import Box from '@mui/material/Box';
import SvgIcon from '@mui/material/SvgIcon';
import type { Finding } from '@mendrel/core';

const LOOK = {
  error: { shape: 'M12 3 22 20H2z', colour: 'error.main', word: 'conflict' },
  gap: { shape: 'M12 2 22 12 12 22 2 12z', colour: 'warning.main', word: 'missing' },
  note: { shape: 'M12 5a7 7 0 1 0 0 14 7 7 0 0 0 0-14z', colour: 'text.secondary', word: 'note' },
} as const;

interface SignProps {
  weight: Finding['weight'];
  /** Named for those who do not see it; left out where the words beside it say the same. */
  named?: boolean;
}

/** The shape of a finding's weight in the colour of the words it stands with. Drawn, so that every machine shows the same. */
export function Sign({ weight, named = false }: SignProps) {
  const { shape, word } = LOOK[weight];
  return (
    <SvgIcon
      viewBox="0 0 24 24"
      {...(named ? { role: 'img', 'aria-label': word, 'aria-hidden': false } : {})}
      sx={{ fontSize: '0.8em', flex: 'none', verticalAlign: '-0.05em', color: 'inherit' }}
    >
      <path d={shape} />
    </SvgIcon>
  );
}

/** A finding with its shape, its colour and its words, cut where there is no room, and how many there are besides. */
export function FindingMark({ finding, more = 0 }: { finding: Pick<Finding, 'weight' | 'message'>; more?: number }) {
  const { colour } = LOOK[finding.weight];
  return (
    <Box component="span" sx={{ color: colour, display: 'inline-flex', gap: 1.5, alignItems: 'baseline', minWidth: 0 }}>
      <Sign weight={finding.weight} named />
      <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis' }}>
        {finding.message}
      </Box>
      {more > 0 ? <Box component="span" sx={{ flex: 'none' }}>{` +${more} more`}</Box> : null}
    </Box>
  );
}

/** Says that nothing is wrong. */
export function Fits({ word = 'fits' }: { word?: string }) {
  return (
    <Box component="span" sx={{ color: 'success.main' }}>
      {word}
    </Box>
  );
}
