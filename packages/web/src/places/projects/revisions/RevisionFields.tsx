import TextField from '@mui/material/TextField';
import type { ApiError } from '@mendrel/contract';
import type { RevisionWords } from './revisionWords';

interface Props {
  words: RevisionWords;
  problem: Partial<ApiError> | undefined;
  onChange: (words: RevisionWords) => void;
}

const FIELDS = [
  { key: 'description', label: 'What was changed', required: true },
  { key: 'date', label: 'Date', required: true },
  { key: 'by', label: 'By', required: false },
  { key: 'checked', label: 'Checked by', required: false },
] as const satisfies readonly { key: keyof RevisionWords; label: string; required: boolean }[];

/** What is said of a revision. */
export function RevisionFields({ words, problem, onChange }: Props) {
  return FIELDS.map(({ key, label, required }) => (
    <TextField
      key={key}
      label={label}
      required={required}
      value={words[key]}
      autoFocus={key === 'description'}
      multiline={key === 'description'}
      onChange={(event) => onChange({ ...words, [key]: event.target.value })}
      error={problem?.where === key}
      helperText={problem?.where === key ? problem.message : undefined}
    />
  ));
}
