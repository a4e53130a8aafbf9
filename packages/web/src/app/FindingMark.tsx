import Box from '@mui/material/Box';
import type { Finding } from '@mendrel/core';

const LOOK = {
  error: { sign: '▲', colour: 'error.main', word: 'conflict' },
  gap: { sign: '◆', colour: 'warning.main', word: 'missing' },
  note: { sign: '●', colour: 'text.secondary', word: 'note' },
} as const;

/** A finding with its shape, its colour and its words. */
export function FindingMark({ finding, more = 0 }: { finding: Pick<Finding, 'weight' | 'message'>; more?: number }) {
  const { sign, colour, word } = LOOK[finding.weight];
  return (
    <Box component="span" sx={{ color: colour, display: 'inline-flex', gap: 1.5, alignItems: 'baseline', minWidth: 0 }}>
      <span role="img" aria-label={word}>
        {sign}
      </span>
      <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis' }}>
        {finding.message}
        {more > 0 ? ` and ${more} more` : ''}
      </Box>
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
