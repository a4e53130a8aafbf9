import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Corrections, IntakeReport, ReportLayer } from '@mendrel/core';
import { Section } from './Section';

interface Props {
  report: IntakeReport;
  corrections: Corrections;
  busy: boolean;
  onCorrect: (layers: NonNullable<Corrections['layers']>) => void;
}

type Choice = 'found' | 'block' | 'out';

/** Layers that are shown at once, those of the block first; the rest is unfolded. */
const MOST = 10;

/** What was set by hand comes first, then what the block is made of. */
const rank = ({ name, block }: ReportLayer, set: NonNullable<Corrections['layers']>): number =>
  set[name] ? 0 : block > 0 ? 1 : 2;

/** The layers of the old drawing, how much of each belongs to the block, and what should become of them. */
export function Layers({ report: { layers }, corrections, busy, onCorrect }: Props) {
  const [all, setAll] = useState(false);
  const set = corrections.layers ?? {};
  const first = layers.toSorted((a, b) => rank(a, set) - rank(b, set));
  const choose = (layer: string, choice: Choice): void => {
    const others = Object.fromEntries(Object.entries(set).filter(([name]) => name !== layer));
    onCorrect(choice === 'found' ? others : { ...others, [layer]: choice });
  };
  return (
    <Section title="Layers of the old drawing">
      <Typography sx={{ color: 'text.secondary', mb: 3 }}>
        Leave out what does not belong to the title block; take in what was not seen to belong to it.
      </Typography>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
        {(all ? first : first.slice(0, MOST)).map(({ name, entities, block }) => (
          <TextField
            key={name}
            select
            label={`${name}: ${block} of ${entities} in the block`}
            value={set[name] ?? 'found'}
            disabled={busy}
            onChange={({ target }) => choose(name, target.value as Choice)}
          >
            <MenuItem value="found">As found</MenuItem>
            <MenuItem value="block">Part of the block</MenuItem>
            <MenuItem value="out">Leave out</MenuItem>
          </TextField>
        ))}
      </Box>
      {layers.length > MOST ? (
        <Button size="small" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? `Show the first ${MOST}` : `Show ${layers.length - MOST} more layers`}
        </Button>
      ) : null}
    </Section>
  );
}
