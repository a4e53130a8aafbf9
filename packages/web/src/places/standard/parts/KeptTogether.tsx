import { useState } from 'react';
import TextField from '@mui/material/TextField';

interface Props {
  words: readonly string[];
  problem: string | undefined;
  onSet: (words: string[]) => void;
}

/** Words that no line ends within, one entry a line. */
export function KeptTogether({ words, problem, onSet }: Props) {
  const [typed, setTyped] = useState<string>();
  return (
    <TextField
      label="Words kept on one line"
      multiline
      minRows={1}
      maxRows={6}
      value={typed ?? words.join('\n')}
      placeholder="Phase 2"
      error={problem !== undefined}
      helperText={problem ?? 'One entry a line; numbers such as A-101 and 1:100 are kept together anyway'}
      onChange={({ target }) => setTyped(target.value)}
      onBlur={() => {
        if (typed === undefined) return;
        setTyped(undefined);
        onSet([...new Set(typed.split('\n').flatMap((line) => line.trim().replace(/\s+/g, ' ') || []))]);
      }}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
}
