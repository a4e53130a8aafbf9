import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { DrawingRecord } from '@mendrel/contract';
import type { WorkingUnit } from '@mendrel/core';
import { DRAWING_UNITS, formatLength } from '@mendrel/core';
import type { Made } from './chosenWindow';
import { madeAs, usualUnits } from './chosenWindow';

interface Props {
  drawing: DrawingRecord;
  /** Millimetres for each unit, as far as the file says it. */
  said: number | undefined;
  unit: number;
  /** What lengths in the building are told in. */
  works: WorkingUnit;
  onChange: (unit: number) => void;
}

/** What a unit of a drawing, a millimetre of a page or a dot of a picture is in the building. */
export function UnitChoice({ drawing, said, unit, works, onChange }: Props) {
  const made = madeAs(drawing);
  const usual = made === 'drawn' ? DRAWING_UNITS.map(named) : usualUnits(made, works);
  const all = usual.some(({ mm }) => mm === unit)
    ? usual
    : [...usual, { mm: unit, words: otherWords(unit, made, works) }];
  const words = DRAWING_UNITS.find(({ mm }) => mm === said)?.words;
  return (
    <TextField
      select
      label={LABELS[made]}
      value={unit}
      onChange={(event) => onChange(Number(event.target.value))}
      helperText={words ? `The file says ${words}.` : 'The file does not say it; sizes show whether it is right.'}
    >
      {all.map((each) => (
        <MenuItem key={each.mm} value={each.mm}>
          {each.words}
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

const named = ({ mm, words }: (typeof DRAWING_UNITS)[number]): { mm: number; words: string } => ({
  mm,
  words: words.replace(/^./, (letter) => letter.toUpperCase()),
});

/** A unit that is none of the usual ones. */
const otherWords = (mm: number, made: Made, works: WorkingUnit): string =>
  made === 'page' ? `1:${Number(mm.toPrecision(6))}` : formatLength(mm, works, true);
