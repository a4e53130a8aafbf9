import { useEffect, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { StandardImpact } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { counted, standardDifference } from '@mendrel/core';
import { api, errorOf } from '../../app/api';
import { FindingMark, Sign } from '../../app/FindingMark';
import { newUuid } from '../../app/newUuid';
import { PlainTable } from '../../app/PlainTable';
import { ChangeList } from './ChangeList';

interface Props {
  before: OfficeStandard;
  after: OfficeStandard;
  saving: boolean;
  onSave: () => void;
  onClose: () => void;
}

/** What an edited draft changes, in words and on designs and sheets, before it is saved. */
export function SaveDialog({ before, after, saving, onSave, onClose }: Props) {
  const [ask, asked] = api.useStandardImpactMutation();
  const [following] = useState(newUuid);
  useEffect(() => {
    const comparison = ask({ standard: after, following });
    // Nobody waits for it any more: the server stops comparing.
    return () => comparison.abort();
  }, [ask, after, following]);
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="save-title">
      <DialogTitle id="save-title">Save the draft of the standard</DialogTitle>
      <DialogContent>
        <Typography variant="h2" component="h3" sx={{ mb: 1 }}>
          What changes
        </Typography>
        <ChangeList changes={standardDifference(before, after)} none="Nothing that can be told apart." />
        <Typography variant="h2" component="h3" sx={{ mt: 4, mb: 1 }}>
          What it does to texts
        </Typography>
        {asked.error ? (
          <Typography sx={{ color: 'error.main' }}>
            <Sign weight="error" /> {errorOf(asked.error).message}
          </Typography>
        ) : asked.data ? (
          <Impact impact={asked.data} />
        ) : (
          <Comparing following={following} />
        )}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Go on editing
        </Button>
        <Button variant="contained" disabled={saving || (!asked.data && !asked.error)} onClick={onSave}>
          {saving ? 'Saving…' : 'Save the draft'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** How often it is asked how far the comparison is, in ms. */
const ASKED_EVERY = 400;

/** How far the comparison of all sheets is. */
function Comparing({ following }: { following: string }) {
  const { data } = api.useImpactProgressQuery(following, { pollingInterval: ASKED_EVERY });
  const progress = data?.progress;
  const part = progress && progress.all > 0 ? (100 * progress.done) / progress.all : undefined;
  return (
    <Box role="status">
      <Typography>
        {part === undefined
          ? 'Solving every design with it…'
          : `${progress?.done} of ${counted(progress?.all ?? 0, 'sheet')} compared`}
      </Typography>
      <LinearProgress
        aria-label="How far the comparison is"
        sx={{ mt: 2 }}
        {...(part === undefined ? { variant: 'indeterminate' } : { variant: 'determinate', value: part })}
      />
    </Box>
  );
}

function Impact({ impact }: { impact: StandardImpact }) {
  const { designs, sheets } = impact;
  const touched = designs.filter((design) => design.changed > 0);
  const texts = touched.reduce((sum, each) => sum + each.changed, 0);
  if (touched.length === 0 && sheets.touched === 0)
    return <Typography>No text on any design or sheet changes.</Typography>;
  return (
    <>
      <Typography>
        {texts} texts in {touched.length === 1 ? '1 design' : `${touched.length} designs`} and {sheets.changed} texts on{' '}
        {sheets.touched === 1 ? '1 sheet' : `${sheets.touched} sheets`} change.{' '}
        {sheets.atOnce === 0 && touched.every((each) => !each.atOnce)
          ? 'None of them at once: designs and projects use a published standard until they are moved to a newer one.'
          : `${sheets.atOnce} sheets follow the draft and change as soon as it is saved.`}
      </Typography>
      <PlainTable
        caption="What changes on designs and sheets"
        headings={['On', 'Texts', 'Change', 'Spill', 'No longer spill']}
      >
        {touched.map((design) => (
          <tr key={design.id}>
            <th scope="row">{design.name}, all sizes, longest values</th>
            <td>{design.texts}</td>
            <td>{design.changed}</td>
            <td>{spills(design.spills)}</td>
            <td>{design.mended}</td>
          </tr>
        ))}
        <tr>
          <th scope="row">
            {sheets.touched} of {sheets.count} sheets, with their own values
          </th>
          <td>{sheets.texts}</td>
          <td>{sheets.changed}</td>
          <td>{spills(sheets.spills)}</td>
          <td>{sheets.mended}</td>
        </tr>
      </PlainTable>
    </>
  );
}

const spills = (count: number) =>
  count === 0 ? '0' : <FindingMark finding={{ weight: 'error', message: `${count} more` }} />;

/** Asks what changed and publishes the draft. */
export function FixDialog({ number, fixing, problem, onFix, onClose }: FixProps) {
  const [note, setNote] = useState('');
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="fix-title">
      <DialogTitle id="fix-title">Publish revision {number}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 4 }}>
          A published standard never changes. Designs and projects go on with theirs until you move them to this one.
        </Typography>
        <TextField
          label="What changed"
          value={note}
          onChange={(event) => setNote(event.target.value)}
          multiline
          minRows={2}
          autoFocus
          error={problem !== undefined}
          helperText={problem ?? 'For those who read the list of revisions'}
          slotProps={{ htmlInput: { maxLength: 1000 } }}
        />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Not now
        </Button>
        <Button variant="contained" disabled={note.trim() === '' || fixing} onClick={() => onFix(note.trim())}>
          {fixing ? 'Publishing…' : `Publish revision ${number}`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

interface FixProps {
  number: number;
  fixing: boolean;
  problem: string | undefined;
  onFix: (note: string) => void;
  onClose: () => void;
}
