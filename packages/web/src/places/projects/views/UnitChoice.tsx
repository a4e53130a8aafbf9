import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { DrawingRecord } from '@mendrel/contract';
import { DRAWING_UNITS } from '@mendrel/core';
import type { Made } from './chosenWindow';
import { madeAs, USUAL_UNITS } from './chosenWindow';

interface Props {
  drawing: DrawingRecord;
  /** Millimetres for each unit, as far as the file says it. */
  said: number | undefined;
  unit: number;
  onChange: (unit: number) => void;
}

/** What a unit of a drawing, a millimetre of a page or a dot of a picture is in the building. */
export function UnitChoice({ drawing, said, unit, onChange }: Props) {
  const made = madeAs(drawing);
  const usual = made === 'drawn' ? DRAWING_UNITS.map(({ mm }) => mm) : USUAL_UNITS[made];
  const words = DRAWING_UNITS.find(({ mm }) => mm === said)?.words;
  return (
    <TextField
      select
      label={LABELS[made]}
      value={unit}
      onChange={(event) => onChange(Number(event.target.value))}
      helperText={words ? `The file says ${words}.` : 'The file does not say it; sizes show whether it is right.'}
    >
      {[...new Set<number>([...usual, unit])].map((mm) => (
        <MenuItem key={mm} value={mm}>
          {unitWords(mm, made)}
        </MenuItem>
      ))}
    </TextField>
  );
}

const LABELS: Readonly<Record<Made, string>> = {
  drawn: 'One unit of the drawing is',
  page: 'The page was printed at',
  picture: 'One dot of the picture is',
};

function unitWords(mm: number, made: Made): string {
  const number = Number(mm.toPrecision(6));
  if (made === 'page') return `1:${number}`;
  const named = made === 'drawn' && DRAWING_UNITS.find((each) => each.mm === mm);
  return named ? named.words.replace(/^./, (letter) => letter.toUpperCase()) : `${number} mm`;
}
