import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Corrections, IntakeReport, SheetCandidate } from '@mendrel/core';

interface Props {
  report: IntakeReport;
  busy: boolean;
  onCorrect: (change: Corrections) => void;
}

const key = (each: Pick<SheetCandidate, 'name' | 'unitsPerPaperMm' | 'rotation'>): string =>
  `${each.name} ${each.unitsPerPaperMm} ${each.rotation}`;

const inWords = ({ name, why, rotation, likelihood }: SheetCandidate): string =>
  `${name}${rotation === 0 ? '' : `, turned by ${rotation}°`}, ${Math.round(likelihood * 100)} %: ${why}`;

/** Which sheet the drawing was made for; another candidate can be chosen. */
export function SheetChoice({ report, busy, onCorrect }: Props) {
  const { candidates, source, sheet } = report;
  const taken = candidates.find(
    (each) =>
      each.name === sheet.name && each.rotation === source.rotation && each.unitsPerPaperMm === source.unitsPerPaperMm,
  );
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3, mt: 3 }}>
      {candidates.length > 1 ? (
        <TextField
          select
          label="Sheet"
          value={taken ? key(taken) : ''}
          disabled={busy}
          onChange={({ target }) => {
            const chosen = candidates.find((each) => key(each) === target.value);
            if (!chosen) return;
            const { name, unitsPerPaperMm, rotation } = chosen;
            onCorrect({ sheet: { name, unitsPerPaperMm, rotation } });
          }}
        >
          {candidates.map((each) => (
            <MenuItem key={key(each)} value={key(each)} sx={{ whiteSpace: 'normal', maxWidth: 480 }}>
              {inWords(each)}
            </MenuItem>
          ))}
        </TextField>
      ) : null}
    </Box>
  );
}
