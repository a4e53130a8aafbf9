import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import { useSnackbar } from 'notistack';
import type { LegacyRecord } from '@mendrel/contract';
import { api, errorOf } from '../../app/api';
import { AskBeforeDeleting } from '../../app/AskBeforeDeleting';
import { PlainTable } from '../../app/PlainTable';
import { Waits } from './Waits';

const kilobytes = (bytes: number): string =>
  bytes < 1024 * 1024 ? `${Math.max(1, Math.round(bytes / 1024))} kB` : `${(bytes / 1024 / 1024).toFixed(1)} MB`;

/** Single legacy drawings, what became of them, and a way to take them out again. */
export function LegacyTable({ drawings }: { drawings: readonly LegacyRecord[] }) {
  const [remove, removing] = api.useDeleteLegacyMutation();
  const [asked, setAsked] = useState<LegacyRecord>();
  const { enqueueSnackbar } = useSnackbar();
  const drop = async (id: string): Promise<void> => {
    const result = await remove(id);
    setAsked(undefined);
    if ('error' in result) enqueueSnackbar(`Not deleted: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  return (
    <>
      <PlainTable caption="Legacy drawings" headings={['Legacy drawing', 'Size', 'What became of it', 'Delete']} framed>
        {drawings.map((drawing) => (
          <tr key={drawing.id}>
            <td>
              <Link component={RouterLink} to={`/intake/${drawing.id}`} sx={{ fontWeight: 600 }}>
                {drawing.name}
              </Link>
            </td>
            <td>{kilobytes(drawing.bytes)}</td>
            <td>
              {drawing.designId ? (
                <Link component={RouterLink} to={`/designs/${drawing.designId}`}>
                  kept as {drawing.designName}
                </Link>
              ) : (
                <Waits />
              )}
            </td>
            <td>
              <Button
                size="small"
                color="inherit"
                aria-label={`Delete ${drawing.name}`}
                onClick={() => setAsked(drawing)}
              >
                Delete
              </Button>
            </td>
          </tr>
        ))}
      </PlainTable>
      {asked ? (
        <AskBeforeDeleting
          title={`Delete ${asked.name}?`}
          words="Deletes the drawing and your corrections; designs stay."
          busy={removing.isLoading}
          onDelete={() => void drop(asked.id)}
          onClose={() => setAsked(undefined)}
        />
      ) : null}
    </>
  );
}
