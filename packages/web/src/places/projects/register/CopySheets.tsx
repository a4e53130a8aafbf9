import { useMemo, useState } from 'react';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import type { NewSheet, Project, Sheet } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { useSheetKinds } from '../../../app/sheetKinds';
import { copiesOf } from './copies';
import { useStep } from '../../../app/useStep';

interface Props {
  project: Project;
  sheets: readonly Sheet[];
  chosen: readonly Sheet[];
  /** @returns why nothing was copied */
  onCopy: (copies: NewSheet[]) => Promise<string | undefined>;
  onClose: () => void;
}

/** Copies of chosen sheets, with the next numbers of their kinds. */
export function CopySheets({ project, sheets, chosen, onCopy, onClose }: Props) {
  const [views, setViews] = useState(true);
  const [data, setData] = useState(true);
  const step = useStep(onClose);
  const kinds = useSheetKinds();
  const copies = useMemo(
    () => copiesOf(sheets, chosen, project, { views, data }, kinds),
    [sheets, chosen, project, views, data, kinds],
  );
  const submit = async (): Promise<void> => {
    await step.run(() => onCopy(copies));
  };
  const numbers = copies.map(({ number }) => number);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="copy-title">
      <DialogTitle id="copy-title">Copy {counted(chosen.length, 'sheet')}</DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column' }}>
        <FormControlLabel
          control={<Checkbox size="small" checked={data} onChange={(_event, on) => setData(on)} />}
          label="With what is entered on them"
        />
        <FormControlLabel
          control={<Checkbox size="small" checked={views} onChange={(_event, on) => setViews(on)} />}
          label="With their views"
        />
        <Typography sx={{ mt: 3 }}>
          {copies.length > 6 ? `${numbers[0]} … ${numbers.at(-1)}` : numbers.join(', ')}
          {copies.length < chosen.length ? `; for ${chosen.length - copies.length} all numbers are taken` : ''}
        </Typography>
        <Typography sx={{ color: 'text.secondary' }}>
          Revisions and issues stay with the sheets that had them.
        </Typography>
        {step.problem ? (
          <Alert severity="error" sx={{ mt: 3 }}>
            Nothing copied: {step.problem}
          </Alert>
        ) : null}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button variant="contained" disabled={copies.length === 0 || step.busy} onClick={() => void submit()}>
          {step.busy ? 'Copying…' : 'Copy'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
