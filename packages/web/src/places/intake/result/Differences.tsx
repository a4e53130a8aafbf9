import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Difference, IntakeReport } from '@mendrel/core';
import type { Marked } from './marked';
import { Section } from './Section';
import { Sign } from '../../../app/FindingMark';

interface Props {
  report: IntakeReport;
  /** Things of the old drawing that are too many to be shown. */
  notShown?: number;
  marked: Marked | undefined;
  onMark: (difference: Difference | undefined) => void;
}

/** Differences that are shown at once; the rest is unfolded. */
const MOST = 12;
/** Lines nearer than this are where they were, in mm. */
const EXACT = 0.1;

/** How far old and new lie apart, and where: a difference is shown on the paper by a click. */
export function Differences({ report, notShown = 0, marked, onMark }: Props) {
  const { deviation, textDeviation, differences, moreDifferences } = report;
  const [all, setAll] = useState(false);
  const exact = deviation.max <= EXACT;
  return (
    <Section title="Compared with the old drawing">
      <Typography sx={{ color: exact ? 'success.main' : 'warning.main' }}>
        <Sign weight={exact ? 'note' : 'gap'} /> Old and rebuilt lines lie {deviation.max.toFixed(3)} mm apart at most,{' '}
        {deviation.mean.toFixed(3)} mm on average.
      </Typography>
      <Typography sx={{ color: 'text.secondary', mt: 1 }}>
        Texts start {textDeviation.max.toFixed(1)} mm apart at most, {textDeviation.mean.toFixed(1)} mm on average: they
        stand at the standard’s heights and distances now.
      </Typography>
      {notShown > 0 ? (
        <Typography sx={{ color: 'text.secondary', mt: 1 }}>
          {notShown} lines of the drawing area are too many to be shown; all of the title block is.
        </Typography>
      ) : null}
      {differences.length > 0 ? (
        <Box component="ul" aria-label="What differs" sx={{ listStyle: 'none', m: 0, mt: 2, p: 0 }}>
          {(all ? differences : differences.slice(0, MOST)).map((each, i) => (
            <li key={`${each.words} ${i}`}>
              <Button
                size="small"
                color="inherit"
                aria-pressed={marked === each}
                onClick={() => onMark(marked === each ? undefined : each)}
                sx={{
                  textAlign: 'left',
                  justifyContent: 'flex-start',
                  fontWeight: 400,
                  whiteSpace: 'normal',
                  width: '100%',
                  bgcolor: marked === each ? 'office.accentGround' : undefined,
                }}
              >
                {each.words}
                {each.by === null ? '' : `: ${each.by.toFixed(1)} mm`}
              </Button>
            </li>
          ))}
        </Box>
      ) : null}
      {differences.length > MOST ? (
        <Button size="small" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? `Show the largest ${MOST}` : `Show ${differences.length - MOST} more`}
        </Button>
      ) : null}
      {all && moreDifferences > 0 ? (
        <Typography>and {moreDifferences} smaller ones that are not listed</Typography>
      ) : null}
    </Section>
  );
}
