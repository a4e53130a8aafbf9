import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import type { IntakeSet } from '@mendrel/contract';
import { api } from '../../app/api';
import { PlainTable } from '../../app/PlainTable';
import { PlaceBar } from '../../app/Shell';
import { Failed, Loading } from '../../app/states';
import { BringDrawings } from './BringDrawings';
import { LegacyTable } from './LegacyTable';
import { Taught } from './Taught';
import { Waits } from './Waits';

/** Legacy drawings and sets of them: bring some in, or go on with those that wait. */
export default function IntakeList() {
  const { data, error, isLoading, refetch } = api.useLegacyDrawingsQuery();
  const sets = api.useIntakeSetsQuery(undefined, { refetchOnMountOrArgChange: true });
  return (
    <>
      <PlaceBar title="Intake" />
      <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
        <BringDrawings />
        {isLoading ? <Loading what="the legacy drawings" /> : null}
        {error ? <Failed error={error} retry={() => void refetch()} /> : null}
        {sets.error ? <Failed error={sets.error} retry={() => void sets.refetch()} /> : null}
        {sets.data && sets.data.length > 0 ? <SetTable sets={sets.data} /> : null}
        {data && data.length > 0 ? <LegacyTable drawings={data} /> : null}
        <Taught />
        {data?.length === 0 && sets.data?.length === 0 ? (
          <Typography sx={{ color: 'text.secondary' }}>No drawings yet.</Typography>
        ) : null}
      </Box>
    </>
  );
}

function SetTable({ sets }: { sets: readonly IntakeSet[] }) {
  return (
    <Box sx={{ mb: 6 }}>
      <PlainTable
        caption="Sets of legacy drawings"
        headings={['Set of drawings', 'Drawings', 'What became of it']}
        framed
      >
        {sets.map((set) => (
          <tr key={set.id}>
            <td>
              <Link component={RouterLink} to={`/intake/sets/${set.id}`} sx={{ fontWeight: 600 }}>
                {set.name}
              </Link>
            </td>
            <td>{set.drawings}</td>
            <td>
              {set.projectId ? (
                <Link component={RouterLink} to={`/projects/${set.projectId}/register`}>
                  imported as a project
                </Link>
              ) : set.state === 'read' || set.state === 'taken' ? (
                <Waits />
              ) : (
                <Waits words={`${set.done} of ${set.drawings} read`} />
              )}
            </td>
          </tr>
        ))}
      </PlainTable>
    </Box>
  );
}
