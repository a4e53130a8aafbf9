import { useState } from 'react';
import TextField from '@mui/material/TextField';
import type { View } from '@mendrel/core';

interface Props {
  label: string;
  value: string;
  read: (text: string) => View | undefined;
  onChange: (view: View) => Promise<boolean>;
  problem: string;
}

/** A text field that saves when it is left or Enter is pressed; what cannot be used stays for correction. */
export function Committed({ label, value, read, onChange, problem }: Props) {
  const [typed, setTyped] = useState<string>();
  const [wrong, setWrong] = useState(false);
  const finish = async (): Promise<void> => {
    if (typed === undefined || typed === value) {
      setTyped(undefined);
      return;
    }
    const next = read(typed);
    setWrong(!next);
    if (next && (await onChange(next))) setTyped(undefined);
  };
  return (
    <TextField
      label={label}
      value={typed ?? value}
      error={wrong}
      helperText={wrong ? problem : undefined}
      onChange={(event) => {
        setTyped(event.target.value);
        setWrong(false);
      }}
      onBlur={() => void finish()}
      onKeyDown={(event) => {
        if (event.key === 'Enter') void finish();
        else if (event.key === 'Escape') {
          setTyped(undefined);
          setWrong(false);
        }
      }}
    />
  );
}
