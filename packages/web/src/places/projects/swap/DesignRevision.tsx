import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { api } from '../../../app/api';

interface Props {
  designId: string;
  /** Null while the draft is followed; the newest while it is undefined. */
  value: number | null | undefined;
  /** Either a visible label, or one for those who do not see the table that it stands in. */
  label?: string;
  hiddenLabel?: string;
  disabled?: boolean;
  onSet: (revision: number | null) => void;
}

const DRAFT = 'draft';

/** Which revision of a design is drawn with. */
export function DesignRevision({ designId, value, label, hiddenLabel, disabled = false, onSet }: Props) {
  const revisions = api.useDesignRevisionsQuery(designId).currentData;
  const newest = revisions?.reduce<number | null>((most, { number }) => Math.max(most ?? 0, number), null) ?? null;
  const shown = value === undefined ? newest : value;
  return (
    <TextField
      select
      fullWidth
      {...(label === undefined ? {} : { label })}
      disabled={disabled || !revisions}
      value={revisions ? (shown ?? DRAFT) : ''}
      onChange={({ target }) => onSet(target.value === DRAFT ? null : Number(target.value))}
      {...(hiddenLabel === undefined
        ? {}
        : { slotProps: { select: { SelectDisplayProps: { 'aria-label': hiddenLabel } } } })}
    >
      <MenuItem value={DRAFT}>Follows the draft</MenuItem>
      {(revisions ?? []).map(({ number, note }) => (
        <MenuItem key={number} value={number}>
          Revision {number}: {note}
        </MenuItem>
      ))}
    </TextField>
  );
}
