import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { CleaningStep, IntakeReport, WorkingUnit } from '@mendrel/core';
import { formatLength, MOST_REACH } from '@mendrel/core';
import type { Marked } from './marked';
import { Sign } from '../../../app/FindingMark';

const MOST_ROUNDED = 8;
/** A button that stands in a line of text. */
const IN_TEXT = { minWidth: 0, minHeight: 24, px: 1.5, py: 0 } as const;

interface Props {
  report: IntakeReport;
  unit: WorkingUnit;
  /** Whether lengths stay as they were drawn. */
  asDrawn: boolean;
  busy: boolean;
  marked: Marked | undefined;
  onMark: (step: CleaningStep | undefined) => void;
  onAsDrawn: (asDrawn: boolean) => void;
  onReach: (reach: number) => void;
}

/** How the sheet was found, what was left out and why, and what could not be made out. */
export function Decisions({ report, unit, asDrawn, busy, marked, onMark, onAsDrawn, onReach }: Props) {
  const sheet = report.decisions.filter((each) => !each.content);
  return (
    <Box component="section" aria-labelledby="decisions-heading" sx={{ p: 4 }}>
      <Typography id="decisions-heading" variant="h3" component="h2" sx={{ color: 'text.secondary', mb: 2 }}>
        How it was read
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 4, '& li': { mb: 1.5 } }}>
        {sheet.map((each) => (
          <li key={each.what}>
            {each.what}: {each.why} ({Math.round(each.confidence * 100)} % sure).
          </li>
        ))}
        {report.cleaning.map((each) => (
          <li key={each.what}>
            Cleaned: {each.pieces} {each.pieces === 1 ? 'case' : 'cases'} of {each.what}.{' '}
            {each.places.length > 0 ? (
              <Button
                size="small"
                aria-label={`Show ${each.what} on the paper`}
                aria-pressed={marked === each}
                onClick={() => onMark(marked === each ? undefined : each)}
                sx={{ ...IN_TEXT, bgcolor: marked === each ? 'office.accentGround' : undefined }}
              >
                Show
              </Button>
            ) : null}
          </li>
        ))}
        <li>
          <Reach key={report.reach} reach={report.reach} busy={busy} onReach={onReach} />
        </li>
        {report.rounded.length > 0 ? (
          <li>
            Rounded:{' '}
            {report.rounded
              .slice(0, MOST_ROUNDED)
              .map(({ measured, taken }) => `${measured} mm → ${formatLength(taken, unit, true)}`)
              .join(', ')}
            {report.rounded.length > MOST_ROUNDED ? `, and ${report.rounded.length - MOST_ROUNDED} more` : ''}.{' '}
            <Button size="small" disabled={busy} onClick={() => onAsDrawn(true)} sx={IN_TEXT}>
              Use lengths as drawn
            </Button>
          </li>
        ) : null}
        {asDrawn ? (
          <li>
            Lengths stay as they were drawn.{' '}
            <Button size="small" disabled={busy} onClick={() => onAsDrawn(false)} sx={IN_TEXT}>
              Round them
            </Button>
          </li>
        ) : null}
        {report.dropped.map((each, i) => (
          <li key={`${each.layer}-${i}`}>
            Left out: {each.entities} on layer {each.layer}; {each.why}.
          </li>
        ))}
        {report.unresolved.map((each) => (
          <Box component="li" key={each} sx={{ color: 'warning.main' }}>
            <Sign weight="gap" /> {each}
          </Box>
        ))}
        {report.dropped.length + report.unresolved.length === 0 ? (
          <li>Nothing was left out, and nothing remained unclear.</li>
        ) : null}
      </Box>
    </Box>
  );
}

/** How far ends of lines are drawn; another distance is typed. */
function Reach({ reach, busy, onReach }: { reach: number; busy: boolean; onReach: (reach: number) => void }) {
  const [typed, setTyped] = useState(String(reach));
  const wanted = Number(typed.replace(',', '.'));
  const wrong = typed.trim() === '' || !(wanted >= 0 && wanted <= MOST_REACH);
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (!wrong && wanted !== reach) onReach(wanted);
      }}
      sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}
    >
      <label htmlFor="reach">Close gaps up to</label>
      <TextField
        id="reach"
        value={typed}
        disabled={busy}
        error={wrong}
        helperText={wrong ? `from 0 to ${MOST_REACH} mm` : undefined}
        onChange={({ target }) => setTyped(target.value)}
        sx={{ width: 84 }}
      />
      mm
    </Box>
  );
}
