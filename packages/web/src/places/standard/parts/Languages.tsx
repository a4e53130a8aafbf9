import { useState } from 'react';
import TextField from '@mui/material/TextField';
import { MOST_LANGUAGES } from '@mendrel/core';

interface Props {
  languages: readonly string[];
  problem: string | undefined;
  onSet: (languages: string[]) => void;
}

/** The languages that captions may stand in, typed with commas between them; the first is that of the captions themselves. */
export function Languages({ languages, problem, onSet }: Props) {
  const [typed, setTyped] = useState<string>();
  const read = (text: string): string[] =>
    text
      .split(/[,;]/)
      .flatMap((name) => name.trim() || [])
      .slice(0, MOST_LANGUAGES);
  const keep = (): void => {
    if (typed === undefined) return;
    setTyped(undefined);
    onSet(read(typed));
  };
  return (
    <TextField
      label="Languages of captions"
      value={typed ?? languages.join(', ')}
      placeholder="One"
      error={problem !== undefined}
      helperText={
        problem ??
        (languages.length > 1
          ? `${languages[0]} is that of the captions; a project chooses one or two`
          : 'Such as English, German')
      }
      onChange={({ target }) => setTyped(target.value)}
      onBlur={keep}
      onKeyDown={(event) => event.key === 'Enter' && keep()}
      slotProps={{ htmlInput: { maxLength: 300 }, inputLabel: { shrink: true } }}
    />
  );
}
