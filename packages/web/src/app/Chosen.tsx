import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

export interface ChosenProps<T extends string> {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onSet: (value: T) => void;
  help?: string;
}

/** One of a few, by name. */
export function Chosen<T extends string>({ label, value, options, onSet, help }: ChosenProps<T>) {
  return (
    <TextField
      select
      label={label}
      value={value}
      helperText={help}
      onChange={(event) => onSet(event.target.value as T)}
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
    >
      {options.map(([key, name]) => (
        <MenuItem key={key} value={key}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
