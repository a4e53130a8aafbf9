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
import type { Project, Sheet } from '@mendrel/contract';
import { counted, exampleNumber, renumbered, USUAL_SCHEMES } from '@mendrel/core';
import { PlainTable } from '../../../app/PlainTable';
import { useSheetKinds } from '../../../app/sheetKinds';
import { mentionsOf } from './mentions';
import type { SheetEdit } from '../edits/sheetEdits';
import { useStep } from '../../../app/useStep';

interface Props {
  project: Project;
  sheets: readonly Sheet[];
  chosen: ReadonlySet<string>;
  /** @returns why nothing was renumbered */
  onRenumber: (edits: SheetEdit[]) => Promise<string | undefined>;
  onClose: () => void;
}

/** Texts that name old numbers and are told; of more how many. */
const TOLD = 8;

/** New numbers for chosen sheets, with all that follows from them before it is done. */
export function Renumber({ project, sheets, chosen, onRenumber, onClose }: Props) {
  const kinds = useSheetKinds();
  const schemes = [
    ...(project.numbering ? [{ name: 'The scheme of the project', scheme: project.numbering }] : []),
    ...USUAL_SCHEMES,
  ];
  const [place, setPlace] = useState(0);
  const [from, setFrom] = useState('');
  const [step, setStep] = useState('1');
  const [byKind, setByKind] = useState(true);
  const renumbering = useStep(onClose);
  const scheme = schemes[place]!.scheme;
  const first = from.trim() === '' ? undefined : Number(from);
  const by = Number(step);
  const valid = (first === undefined || isCount(first, 0)) && isCount(by, 1);
  const numbers = useMemo(
    () =>
      valid
        ? renumbered(
            scheme,
            sheets,
            chosen,
            { step: by, byKind, ...(first === undefined ? {} : { from: first }) },
            kinds,
          )
        : new Map<string, string>(),
    [scheme, sheets, chosen, first, by, byKind, valid, kinds],
  );
  const changed = sheets.filter((sheet) => numbers.has(sheet.id) && numbers.get(sheet.id) !== sheet.number);
  const mentions = useMemo(
    () =>
      mentionsOf(
        sheets,
        sheets.filter(({ id, number }) => numbers.has(id) && numbers.get(id) !== number).map(({ number }) => number),
      ),
    [sheets, numbers],
  );
  const issued = changed.filter((sheet) => sheet.issues.length > 0).length;
  const submit = async (): Promise<void> => {
    await renumbering.run(() =>
      onRenumber(changed.map((sheet) => ({ sheet, change: { number: numbers.get(sheet.id)! } }))),
    );
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="renumber-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <DialogTitle id="renumber-title">Renumber {counted(chosen.size, 'sheet')}</DialogTitle>
        <DialogContent sx={{ pt: '8px !important', display: 'flex', flexDirection: 'column', gap: 3, minHeight: 420 }}>
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 150px 110px', gap: 4 }}>
            <TextField
              select
              label="By"
              value={place}
              onChange={(event) => setPlace(Number(event.target.value))}
              helperText={`Such as ${exampleNumber(scheme)}`}
            >
              {schemes.map(({ name }, i) => (
                <MenuItem key={name} value={i}>
                  {name}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              label="Each series from"
              value={from}
              onChange={(event) => setFrom(event.target.value)}
              error={first !== undefined && !isCount(first, 0)}
              helperText="Empty: its first number"
            />
            <TextField
              label="Step"
              value={step}
              onChange={(event) => setStep(event.target.value)}
              error={!isCount(by, 1)}
            />
          </Box>
          {scheme.pattern.includes('{type}') ? (
            <FormControlLabel
              control={<Checkbox size="small" checked={byKind} onChange={(_event, on) => setByKind(on)} />}
              label="Set the figure of the kind by the kind of each sheet"
            />
          ) : null}
          <Box role="status" aria-label="In short">
            <Typography>
              {changed.length === 0
                ? 'All of them keep their numbers.'
                : `${counted(changed.length, 'sheet')} ${changed.length === 1 ? 'gets' : 'get'} another number; the names of their files follow, sets keep their order.`}
            </Typography>
            {issued > 0 ? (
              <Typography>
                {counted(issued, 'sheet')} of them went out already, under the old number; what went out keeps it.
              </Typography>
            ) : null}
          </Box>
          {mentions.length > 0 ? (
            <Alert severity="warning">
              Old numbers stand in words, which do not follow:{' '}
              {mentions
                .slice(0, TOLD)
                .map(({ on, named }) => `${named} on ${on}`)
                .join(', ')}
              {mentions.length > TOLD ? ` and ${mentions.length - TOLD} more` : ''}.
            </Alert>
          ) : null}
          {renumbering.problem ? <Alert severity="error">Nothing changed: {renumbering.problem}</Alert> : null}
          {changed.length > 0 ? (
            <Box sx={{ maxHeight: 250, overflow: 'auto' }} tabIndex={0} role="group" aria-label="New numbers">
              <PlainTable caption="New numbers" headings={['Now', 'Then', 'Title']} framed tight>
                {changed.map((sheet) => (
                  <tr key={sheet.id}>
                    <td>{sheet.number}</td>
                    <td>
                      <b>{numbers.get(sheet.id)}</b>
                    </td>
                    <td>{sheet.title}</td>
                  </tr>
                ))}
              </PlainTable>
            </Box>
          ) : null}
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={changed.length === 0 || renumbering.busy}>
            {renumbering.busy ? 'Renumbering…' : `Renumber ${counted(changed.length, 'sheet')}`}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

/** Numbers larger than this are typing errors. */
const MOST = 99_999;
const isCount = (value: number, least: number): boolean => Number.isInteger(value) && value >= least && value <= MOST;
