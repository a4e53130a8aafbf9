import { useState } from 'react';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import type { Rect, WorkingUnit } from '@mendrel/core';
import type { Chosen } from './chosenWindow';
import { realWords, typedReal } from './lengthWords';
import { typedCorners, withCorners, withWindow } from './windowShape';

const FIELDS = [
  { key: 'x', label: 'From the left' },
  { key: 'y', label: 'From below' },
  { key: 'width', label: 'Window width' },
  { key: 'height', label: 'Window height' },
] as const;

interface Props {
  chosen: Chosen;
  onChange: (chosen: Chosen) => void;
  unit: WorkingUnit;
}

/** The window in the building's lengths, from the lower left corner of what is drawn. */
export function WindowFields({ chosen, onChange, unit }: Props) {
  const { space, window } = chosen;
  const shown: Rect = { ...window, x: window.x - space.box.x, y: window.y - space.box.y };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2.5 }}>
      {FIELDS.map(({ key, label }) => (
        <LengthField
          key={key}
          label={label}
          value={realWords(shown[key] * chosen.unit, unit)}
          onChange={(words) => {
            const mm = typedReal(words, unit);
            const length = mm === undefined ? undefined : mm / chosen.unit;
            const isSize = key === 'width' || key === 'height';
            if (length === undefined || (isSize && length <= 0)) return false;
            const next = { ...shown, [key]: length };
            onChange(withWindow(chosen, { ...next, x: next.x + space.box.x, y: next.y + space.box.y }));
            return true;
          }}
        />
      ))}
      {Array.isArray(chosen.outline) ? (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <LengthField
            label="Corners from the lower left"
            value={cornerWords(chosen, unit)}
            problem="Write at least three, such as 0, 0; 12.5, 0; 12.5, 8."
            onChange={(words) => {
              const corners = typedCorners(words, chosen, unit);
              const next = corners && withCorners(chosen, corners);
              if (next) onChange(next);
              return next !== undefined;
            }}
          />
        </Box>
      ) : null}
    </Box>
  );
}

/** Corners in the building's lengths, from the lower left corner of what is drawn. */
function cornerWords({ outline, space, unit: per }: Chosen, unit: WorkingUnit): string {
  if (outline === undefined || outline === 'circle') return '';
  const words = (at: number, from: number): string => realWords((at - from) * per, unit).replace(/ m$/, '');
  return Array.from({ length: outline.length / 2 }, (_, i) => {
    const [x, y] = [outline[2 * i] ?? 0, outline[2 * i + 1] ?? 0];
    return `${words(x, space.box.x)}, ${words(y, space.box.y)}`;
  }).join('; ');
}

interface FieldProps {
  label: string;
  value: string;
  /** What to write, where it could not be read. */
  problem?: string;
  /** Takes what was typed. @returns whether it could be read */
  onChange: (words: string) => boolean;
}

/** A length that is taken when it is left, or Enter is pressed; what cannot be read stays for correction. */
function LengthField({ label, value, problem = 'Write 12.5 m or 41\'-0".', onChange }: FieldProps) {
  const [typed, setTyped] = useState<string>();
  const [wrong, setWrong] = useState(false);
  const finish = (): void => {
    if (typed === undefined || typed === value) {
      setTyped(undefined);
      setWrong(false);
      return;
    }
    const taken = onChange(typed);
    setWrong(!taken);
    if (taken) setTyped(undefined);
  };
  return (
    <TextField
      label={label}
      value={typed ?? value}
      error={wrong}
      helperText={wrong ? problem : undefined}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={finish}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        finish();
      }}
    />
  );
}
