import { useMemo, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { counted } from '@mendrel/core';
import { PlainTable } from '../../../app/PlainTable';
import type { Replaced, Replacement } from './findReplace';
import { replacedCells } from './findReplace';
import type { Row } from './rows';
import { useStep } from '../../../app/useStep';

interface Props {
  rows: readonly Row[];
  /** Whether these are all sheets, or those that were chosen. */
  of: string;
  columns: readonly { field: string; name: string }[];
  /** @returns why nothing was changed */
  onReplace: (cells: readonly Replaced[]) => Promise<string | undefined>;
  onClose: () => void;
}

/** The choice of all columns. */
const ALL = 'all';
/** Changes that are shown before they are made; all of them are made. */
const SHOWN = 60;

/** Finds words in the register and puts others in their place, after showing each cell as it is and as it would be. */
export function FindReplace({ rows, of, columns, onReplace, onClose }: Props) {
  const [wish, setWish] = useState<Replacement>({ find: '', replace: '', exact: false, whole: false, field: null });
  const step = useStep(onClose);
  const fields = useMemo(() => columns.map(({ field }) => field), [columns]);
  const names = new Map(columns.map(({ field, name }) => [field, name]));
  const cells = useMemo(() => replacedCells(rows, fields, wish), [rows, fields, wish]);
  const set = (part: Partial<Replacement>): void => setWish({ ...wish, ...part });
  const submit = async (): Promise<void> => {
    await step.run(() => onReplace(cells));
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="find-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <DialogTitle id="find-title">Find and replace in {of}</DialogTitle>
        <DialogContent sx={{ pt: '8px !important', display: 'flex', flexDirection: 'column', gap: 3, minHeight: 380 }}>
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 180px', gap: 4 }}>
            <TextField
              label="Find"
              autoFocus
              value={wish.find}
              onChange={(event) => set({ find: event.target.value })}
            />
            <TextField
              label="Replace with"
              value={wish.replace}
              onChange={(event) => set({ replace: event.target.value })}
            />
            <TextField
              select
              label="In"
              value={wish.field ?? ALL}
              onChange={({ target }) => set({ field: target.value === ALL ? null : target.value })}
            >
              <MenuItem value={ALL}>All columns</MenuItem>
              {columns.map(({ field, name }) => (
                <MenuItem key={field} value={field}>
                  {name}
                </MenuItem>
              ))}
            </TextField>
          </Box>
          <Box sx={{ display: 'flex', gap: 4 }}>
            <FormControlLabel
              control={<Checkbox size="small" checked={wish.exact} onChange={(_event, exact) => set({ exact })} />}
              label="Capitals count"
            />
            <FormControlLabel
              control={<Checkbox size="small" checked={wish.whole} onChange={(_event, whole) => set({ whole })} />}
              label="Whole cells only"
            />
          </Box>
          {step.problem ? <Alert severity="error">Nothing changed: {step.problem}</Alert> : null}
          <Typography role="status" aria-label="Found">
            {wish.find === '' ? 'Type what is to be found.' : found(cells)}
          </Typography>
          {cells.length > 0 ? (
            <Box sx={{ maxHeight: 260, overflow: 'auto' }} tabIndex={0} role="group" aria-label="Cells that change">
              <PlainTable caption="Cells that change" headings={['Sheet', 'Column', 'Now', 'Then']} framed tight>
                {cells.slice(0, SHOWN).map(({ row, field, before, after }) => (
                  <tr key={`${row.id} ${field}`}>
                    <td>{row.number}</td>
                    <td>{names.get(field)}</td>
                    <td>{before}</td>
                    <td>{after}</td>
                  </tr>
                ))}
              </PlainTable>
              {cells.length > SHOWN ? <Typography>and {cells.length - SHOWN} more</Typography> : null}
            </Box>
          ) : null}
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={cells.length === 0 || step.busy}>
            {step.busy ? 'Replacing…' : `Replace in ${counted(cells.length, 'cell')}`}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

function found(cells: readonly Replaced[]): string {
  if (cells.length === 0) return 'Nothing that would change.';
  return `${counted(cells.length, 'cell')} on ${counted(new Set(cells.map(({ row }) => row.id)).size, 'sheet')}.`;
}
