import type { WorkingUnit } from '@mendrel/core';
import { useState } from 'react';
import TextField from '@mui/material/TextField';
import { EditError, FormulaError, parseFormula } from '@mendrel/core';
import { asFormula } from './asFormula';

interface Props {
  label: string;
  value: string;
  onSet: (value: string) => void;
  placeholder?: string;
  /** What is typed is a formula and has to be readable as one. */
  formula?: boolean;
  /** What is typed is a length or a formula for one; a bare number is in this unit. */
  length?: WorkingUnit;
  required?: boolean;
  multiline?: boolean;
  help?: string;
  /** What is wrong with the value that is kept. */
  problem?: string;
  /** Reads what was typed into what is kept. @throws an error in words */
  read?: (text: string) => string;
}

/** A text field that hands its value over when it is left or Enter is pressed, and only if it can be used. */
export function Typed({
  label,
  value,
  onSet,
  placeholder,
  formula,
  length,
  required,
  multiline,
  help,
  read,
  ...kept
}: Props) {
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const giveUp = (): void => {
    setTyped(undefined);
    setProblem(undefined);
  };
  const finish = (): void => {
    if (typed === undefined || typed.trim() === value) {
      giveUp();
      return;
    }
    try {
      const text = read ? read(typed.trim()) : typed.trim();
      if (required && text === '') throw new EditError('This cannot be empty.');
      if (formula && text !== '') parseFormula(text);
      onSet(length && text !== '' ? asFormula(text, length) : text);
      giveUp();
    } catch (error) {
      // What was typed stays there, with what is wrong about it.
      if (!(error instanceof EditError || error instanceof FormulaError)) throw error;
      setProblem(error.message);
    }
  };
  return (
    <TextField
      label={label}
      value={typed ?? value}
      placeholder={placeholder}
      error={(problem ?? kept.problem) !== undefined}
      helperText={problem ?? kept.problem ?? help}
      multiline={multiline ?? false}
      {...(multiline ? { minRows: 3, maxRows: 10 } : {})}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={finish}
      onKeyDown={(event) => {
        if (event.key === 'Enter' && !multiline) finish();
        else if (event.key === 'Escape') giveUp();
      }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { spellCheck: multiline ?? false } }}
    />
  );
}
