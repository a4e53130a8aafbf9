import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { BinEntry, BinKind } from '@mendrel/contract';
import { BIN_PAGE, KEPT_DAYS } from '@mendrel/contract';
import { errorOf, faultOf } from '../../app/api';
import { sheetApi } from '../../app/sheetApi';
import { AskBeforeDeleting } from '../../app/AskBeforeDeleting';
import { PlainTable } from '../../app/PlainTable';
import { PlaceBar, TrailLink } from '../../app/Shell';
import { Empty, Failed, Loading } from '../../app/states';

const KIND_WORDS: Readonly<Record<BinKind, string>> = { project: 'Project', sheets: 'Sheets', design: 'Design' };

const DAY = 24 * 60 * 60 * 1000;
/** The day until which something can be restored. */
const until = ({ deletedAt }: BinEntry): string =>
  new Date(Date.parse(deletedAt) + KEPT_DAYS * DAY).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  });

/** What was deleted in the office and can be restored. */
export default function Bin() {
  return (
    <>
      <PlaceBar title="Bin" trail={<TrailLink to="/projects">Projects</TrailLink>} />
      <Entries />
    </>
  );
}

function Entries() {
  const found = sheetApi.useBinQuery();
  const [restore, restoring] = sheetApi.useRestoreMutation();
  const [leaving, setLeaving] = useState<BinEntry>();
  const { enqueueSnackbar } = useSnackbar();
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  const entries = found.currentData;
  if (!entries) return <Loading what="the bin" />;
  if (entries.length === 0)
    return (
      <Empty title="Nothing in the bin">
        Projects, sheets and designs that are deleted lie here for {KEPT_DAYS} days and can be restored.
      </Empty>
    );
  const back = async (entry: BinEntry): Promise<void> => {
    const result = await restore(entry.id);
    if (result.error) enqueueSnackbar(`Not restored: ${errorOf(result.error).message}`, { variant: 'error' });
    else enqueueSnackbar(`${entry.name} is back`, { variant: 'success' });
  };
  return (
    <>
      <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
        <PlainTable caption="Deleted things" headings={['What', 'Name', 'Until', 'Edit']} framed>
          {entries.map((entry) => (
            <tr key={entry.id}>
              <td>{KIND_WORDS[entry.kind]}</td>
              <th scope="row">{entry.name}</th>
              <td>{until(entry)}</td>
              <td>
                <Box sx={{ display: 'flex', gap: 2 }}>
                  <Button
                    size="small"
                    disabled={restoring.isLoading}
                    aria-label={`Restore ${entry.name}`}
                    onClick={() => void back(entry)}
                  >
                    Restore
                  </Button>
                  <Button
                    size="small"
                    color="error"
                    aria-label={`Delete for good… ${entry.name}`}
                    onClick={() => setLeaving(entry)}
                  >
                    Delete for good…
                  </Button>
                </Box>
              </td>
            </tr>
          ))}
        </PlainTable>
        {entries.length === BIN_PAGE ? (
          <Typography sx={{ mt: 3, color: 'text.secondary' }}>The {BIN_PAGE} that were deleted last.</Typography>
        ) : null}
      </Box>
      {leaving ? <DeleteForGood entry={leaving} onClose={() => setLeaving(undefined)} /> : null}
    </>
  );
}

function DeleteForGood({ entry, onClose }: { entry: BinEntry; onClose: () => void }) {
  const [remove, removing] = sheetApi.useDeleteForGoodMutation();
  return (
    <AskBeforeDeleting
      title={`Delete ${entry.name} for good?`}
      words="It cannot be restored any more after that."
      busy={removing.isLoading}
      problem={removing.error ? errorOf(removing.error).message : undefined}
      onDelete={() => void remove(entry.id).then((result) => (result.error ? undefined : onClose()))}
      onClose={onClose}
    />
  );
}
