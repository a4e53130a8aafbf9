import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { ApiError, Project, Sheet } from '@mendrel/contract';
import { counted, MOST_CODE_CHARACTERS } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { dayOf } from '../../../app/dayOf';
import { newUuid } from '../../../app/newUuid';
import { codeFor, codesInWords, firstChoice } from './chosenSheets';
import { RevisionFields } from './RevisionFields';
import type { RevisionWords } from './revisionWords';
import { SheetChoice } from './SheetChoice';

interface Props {
  project: Project;
  sheets: readonly Sheet[];
  onClose: () => void;
}

/** Where a problem is told beside the field that it is about. */
const AT_FIELDS: ReadonlySet<string | undefined> = new Set(['date', 'description', 'by', 'checked', 'code']);

/** A new revision: what was changed, and the sheets that it is for. */
export function MakeRevision({ project, sheets, onClose }: Props) {
  // Sent again it is the same revision.
  const [id] = useState(newUuid);
  const [words, setWords] = useState<RevisionWords>(() => ({
    date: dayOf(new Date()),
    description: '',
    by: '',
    checked: '',
  }));
  const [common, setCommon] = useState(false);
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(() => new Set(firstChoice(sheets).map((each) => each.id)));
  const [make, making] = api.useMakeRevisionMutation();
  const [problem, setProblem] = useState<Partial<ApiError>>();
  const { enqueueSnackbar } = useSnackbar();
  const code = common ? typed.trim() : null;
  const taken = sheets.filter((sheet) => chosen.has(sheet.id));
  const gets = taken.map((sheet) => ({ sheet, ...codeFor(sheet, code, project.firstRevision) }));
  const had = common && typed.trim() !== '' ? gets.filter((each) => each.had) : [];
  const ready = words.description.trim() !== '' && words.date.trim() !== '' && taken.length > 0 && code !== '';
  const submit = async (): Promise<void> => {
    const result = await make({ projectId: project.id, id, ...words, code, sheets: taken.map((sheet) => sheet.id) });
    if (result.error) setProblem(errorOf(result.error));
    else {
      enqueueSnackbar(`${counted(taken.length, 'sheet')} now at ${codesInWords(gets.map((each) => each.code))}`, {
        variant: 'success',
      });
      onClose();
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="make-revision">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <DialogTitle id="make-revision">Make a revision</DialogTitle>
        <DialogContent
          sx={{
            display: 'grid',
            gridTemplateColumns: 'minmax(220px, 300px) minmax(0, 1fr)',
            gap: 5,
            pt: '8px !important',
          }}
        >
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
            <RevisionFields words={words} problem={problem} onChange={setWords} />
            <RadioGroup
              aria-label="Code"
              value={common ? 'one' : 'next'}
              onChange={(_event, choice) => setCommon(choice === 'one')}
            >
              <FormControlLabel value="next" control={<Radio size="small" />} label="The next code of each sheet" />
              <FormControlLabel value="one" control={<Radio size="small" />} label="One code for all of them" />
            </RadioGroup>
            {common ? (
              <TextField
                label="Code for all"
                required
                value={typed}
                onChange={(event) => setTyped(event.target.value)}
                slotProps={{ htmlInput: { maxLength: MOST_CODE_CHARACTERS } }}
                error={problem?.where === 'code' || had.length > 0}
                helperText={
                  had.length > 0
                    ? `${codesInWords(had.map(({ sheet }) => sheet.number))} had it already`
                    : problem?.where === 'code'
                      ? problem.message
                      : 'Such as C01 for the first issue of a contract'
                }
              />
            ) : null}
            {problem && !AT_FIELDS.has(problem.where) ? (
              <Alert severity="error">Not made: {problem.message}</Alert>
            ) : null}
          </Box>
          <SheetChoice sheets={sheets} chosen={chosen} code={code} first={project.firstRevision} onChange={setChosen} />
        </DialogContent>
        <DialogActions>
          <Typography role="status" sx={{ flex: 1, color: 'text.secondary', pl: 4 }}>
            {taken.length === 0
              ? 'Choose the sheets that it is for'
              : `${counted(taken.length, 'sheet')}: ${codesInWords(gets.map((each) => each.code).filter(Boolean))}`}
          </Typography>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={!ready || had.length > 0 || making.isLoading}>
            {making.isLoading ? 'Making…' : 'Make it'}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
