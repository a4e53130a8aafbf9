import { useRef, useState } from 'react';
import { Link as RouterLink, useNavigate } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { MOST_UPLOAD_BYTES } from '@mendrel/contract';
import type { ApiError, LegacyRecord } from '@mendrel/contract';
import { api, errorOf } from '../../app/api';
import { PlainTable } from '../../app/PlainTable';
import { PlaceBar } from '../../app/Shell';
import { Failed, Loading } from '../../app/states';

/** Legacy drawings: bring one in, or go on with one that waits. */
export default function IntakeList() {
  const { data, error, isLoading, refetch } = api.useLegacyDrawingsQuery();
  const [add, adding] = api.useAddLegacyMutation();
  const navigate = useNavigate();
  const picker = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const [refused, setRefused] = useState<{ file: string; problem: ApiError }>();

  const bring = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setRefused(undefined);
    if (file.size > MOST_UPLOAD_BYTES) {
      setRefused({
        file: file.name,
        problem: {
          code: 'too-large',
          message: `It is larger than ${MOST_UPLOAD_BYTES / 1024 / 1024} MB. Save the title block alone to a file of its own.`,
        },
      });
      return;
    }
    const result = await add(file);
    if (result.data) void navigate(`/intake/${result.data.id}`);
    else setRefused({ file: file.name, problem: errorOf(result.error) });
  };

  return (
    <>
      <PlaceBar title="Intake" />
      <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
        <Box
          onDragOver={(event) => {
            event.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={(event) => {
            event.preventDefault();
            setOver(false);
            void bring(event.dataTransfer.files[0]);
          }}
          sx={{
            border: '1.5px dashed',
            borderColor: over ? 'primary.main' : 'text.secondary',
            bgcolor: over ? 'office.accentGround' : 'background.paper',
            borderRadius: 2,
            p: 6,
            display: 'flex',
            alignItems: 'center',
            gap: 5,
            mb: 6,
          }}
        >
          <Box sx={{ flex: 1 }}>
            <Typography variant="h2" component="h2">
              Bring in an old title block
            </Typography>
            <Typography sx={{ color: 'text.secondary', mt: 1 }}>
              Drop a DXF file here. Mendrel finds its units and sheet, its cells, captions and values, and shows you the
              design it makes of them.
            </Typography>
            {refused ? (
              <Typography role="alert" sx={{ color: 'error.main', mt: 2 }}>
                ▲ {refused.file} was not taken in: {refused.problem.message}
              </Typography>
            ) : null}
          </Box>
          <input
            ref={picker}
            type="file"
            accept=".dxf"
            hidden
            aria-label="DXF file"
            onChange={(event) => {
              void bring(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
          <Button variant="contained" disabled={adding.isLoading} onClick={() => picker.current?.click()}>
            {adding.isLoading ? 'Reading…' : 'Choose a DXF file'}
          </Button>
        </Box>
        {isLoading ? <Loading what="the legacy drawings" /> : null}
        {error ? <Failed error={error} retry={() => void refetch()} /> : null}
        {data && data.length > 0 ? <LegacyTable drawings={data} /> : null}
        {data?.length === 0 ? <Typography sx={{ color: 'text.secondary' }}>No drawing waits here.</Typography> : null}
      </Box>
    </>
  );
}

const kilobytes = (bytes: number): string =>
  bytes < 1024 * 1024 ? `${Math.max(1, Math.round(bytes / 1024))} kB` : `${(bytes / 1024 / 1024).toFixed(1)} MB`;

function LegacyTable({ drawings }: { drawings: readonly LegacyRecord[] }) {
  return (
    <PlainTable caption="Legacy drawings" headings={['Legacy drawing', 'Size', 'What became of it']} framed>
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
              <Box component="span" sx={{ color: 'warning.main' }}>
                ◆ waits for you
              </Box>
            )}
          </td>
        </tr>
      ))}
    </PlainTable>
  );
}
