import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { DesignRevision } from '@mendrel/contract';
import type { Design, OfficeStandard } from '@mendrel/core';
import { designDifferences, formulaProblems } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { Failed, Loading } from '../../../app/states';
import { Checkpoints } from './Checkpoints';
import { ChangeOverlay } from './ChangeOverlay';

interface Props {
  id: string;
  design: Design;
  version: number;
  standard: OfficeStandard;
  /** Saves the draft. @returns whether the server has it as it is */
  save: () => Promise<boolean>;
  onClose: () => void;
}

/** Differences listed in words; the rest is a number. */
const MOST_WORDS = 60;

/** What changed since the last revision, in words and as an overlay; fixing the draft; checkpoints to go back to. */
export function RevisionsDialog({ id, design, version, standard, save, onClose }: Props) {
  const { data, error, refetch } = api.useDesignRevisionsQuery(id);
  const last = data?.[0];
  return (
    <Dialog open onClose={onClose} aria-labelledby="revisions-title" fullWidth maxWidth="lg">
      <DialogTitle id="revisions-title">Revisions of {design.name}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 320px', gap: 6 }}>
        <Box>
          {error ? <Failed error={error} retry={() => void refetch()} /> : null}
          {!data && !error ? <Loading what="the revisions" /> : null}
          {data && !last ? (
            <Typography sx={{ mb: 4 }}>
              Not published yet. Projects that use it follow the draft, as it is at any moment.
            </Typography>
          ) : null}
          {last ? <SinceRevision id={id} number={last.number} design={design} standard={standard} /> : null}
          {data ? (
            <FixForm
              id={id}
              design={design}
              version={version}
              number={(last?.number ?? 0) + 1}
              save={save}
              onPublished={onClose}
            />
          ) : null}
        </Box>
        <Box>
          <Typography variant="h3" component="h3" sx={{ color: 'text.secondary', mb: 2 }}>
            Revisions
          </Typography>
          {data?.map((each) => (
            <RevisionRow key={each.number} revision={each} />
          ))}
          {data?.length === 0 ? <Typography sx={{ color: 'text.secondary' }}>None.</Typography> : null}
          <Checkpoints id={id} design={design} onClose={onClose} />
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function RevisionRow({ revision }: { revision: DesignRevision }) {
  const { number, note, publishedAt, projects } = revision;
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
      <Typography>
        <b>Revision {number}</b>, {new Date(publishedAt).toLocaleDateString()}
      </Typography>
      <Typography>{note}</Typography>
      <Typography sx={{ color: 'text.secondary' }}>
        {projects.length === 0 ? 'No project uses it' : `Used by ${projects.join(', ')}`}
      </Typography>
    </Box>
  );
}

function SinceRevision({
  id,
  number,
  design,
  standard,
}: { number: number } & Pick<Props, 'id' | 'design' | 'standard'>) {
  const { currentData, error, refetch } = api.useDesignAtQuery({ id, number });
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!currentData) return <Loading what={`revision ${number}`} />;
  const differences = designDifferences(currentData.document, design);
  return (
    <Box component="section" aria-label={`Since revision ${number}`} sx={{ mb: 5 }}>
      <Typography variant="h2" component="h3">
        Since revision {number}
      </Typography>
      {differences.length === 0 ? (
        <Typography sx={{ color: 'text.secondary', mt: 1 }}>Nothing has changed.</Typography>
      ) : (
        <>
          <Box component="ul" sx={{ pl: 5, my: 2, maxHeight: 150, overflow: 'auto' }} tabIndex={0}>
            {differences.slice(0, MOST_WORDS).map(({ words }, i) => (
              <li key={i}>{words}</li>
            ))}
            {differences.length > MOST_WORDS ? <li>and {differences.length - MOST_WORDS} more</li> : null}
          </Box>
          <ChangeOverlay before={currentData.document} after={design} standard={standard} />
        </>
      )}
    </Box>
  );
}

function FixForm({
  id,
  design,
  version,
  number,
  save,
  onPublished,
}: Pick<Props, 'id' | 'design' | 'version' | 'save'> & { number: number; onPublished: () => void }) {
  const [note, setNote] = useState('');
  const [fix, fixing] = api.usePublishDesignMutation();
  const [load] = api.endpoints.design.useLazyQuery();
  const { enqueueSnackbar } = useSnackbar();
  const problems = formulaProblems(design);
  const submit = async (): Promise<void> => {
    if (!(await save())) return;
    // Saving may just have raised the version.
    const current = await load(id);
    const result = await fix({ id, note, version: current.data?.version ?? version });
    if (result.error) {
      const { message, where } = errorOf(result.error);
      enqueueSnackbar(`Not published: ${message}${where ? ` (at ${where})` : ''}`, { variant: 'error' });
      return;
    }
    enqueueSnackbar(`Revision ${number} published; projects use it once you choose it there`, { variant: 'success' });
    onPublished();
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
      sx={{ display: 'flex', gap: 3, alignItems: 'flex-start' }}
    >
      <TextField
        label="What changed, for those who use it"
        value={note}
        onChange={(event) => setNote(event.target.value)}
        error={problems.length > 0}
        helperText={
          problems[0]
            ? `A draft with an error cannot be published: ${problems[0].message} (at ${problems[0].where}).`
            : 'A published revision never changes.'
        }
        slotProps={{ htmlInput: { maxLength: 1000 } }}
      />
      <Button
        type="submit"
        variant="contained"
        disabled={note.trim() === '' || problems.length > 0 || fixing.isLoading}
        sx={{ mt: 1 }}
      >
        Publish revision {number}
      </Button>
    </Box>
  );
}
