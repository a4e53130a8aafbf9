import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { DESK_PAGE } from '@mendrel/contract';
import type { DeskRecord } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { GONE_TO_NEXT } from '../../app/ahead';
import { api, faultOf } from '../../app/api';
import { Card } from '../../app/Card';
import { Fits } from '../../app/FindingMark';
import { useLoadedAhead } from '../../app/loadedAhead';
import { Pages } from '../../app/Pages';
import { PlaceBar } from '../../app/Shell';
import { Failed, Loading } from '../../app/states';
import { FirstSteps } from './FirstSteps';
import { Group } from './Group';
import { Behind, GoingOut } from './Outlook';

/** How often the Desk is read again while sheets are still being looked at, in ms. */
const ASKED_EVERY = 1000;

/** What needs attention now. */
export default function Desk() {
  const [page, setPage] = useState(0);
  const [waits, setWaits] = useState(false);
  const desk = api.useDeskQuery(page, { pollingInterval: waits ? ASKED_EVERY : 0 });
  const office = api.useOfficeQuery();
  const legacy = api.useLegacyDrawingsQuery();
  const designs = api.useDesignsQuery();
  const waiting = legacy.data?.filter((each) => each.designId === null) ?? [];
  const { data } = desk;
  useLoadedAhead(data !== undefined, GONE_TO_NEXT);
  if (data && data.waiting > 0 !== waits) setWaits(data.waiting > 0);
  const begun = !designs.data || !data || (designs.data.length > 0 && data.projects > 0);
  const fault = faultOf(desk);
  if (fault) return <Failed error={fault} retry={() => void desk.refetch()} />;
  return (
    <>
      <PlaceBar title="Desk">
        <Typography sx={{ color: 'text.secondary' }}>{office.data?.values['office.name']}</Typography>
      </PlaceBar>
      <Box
        sx={{
          flex: 1,
          overflow: 'auto',
          p: 6,
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 2fr) minmax(260px, 1fr)',
          columnGap: 5,
          alignContent: 'start',
          alignItems: 'start',
        }}
      >
        {begun ? null : <FirstSteps design={(designs.data?.length ?? 0) > 0} />}
        <Card scrolls={false} title="To do">
          {data ? <Summary desk={data} /> : <Loading what="what there is to do" />}
          {data && data.groups.length > 0 ? (
            <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {data.groups.map((group) => (
                <Group key={group.key} group={group} />
              ))}
            </Box>
          ) : null}
          {data ? <Pages of="things to do" page={page} size={DESK_PAGE} count={data.count} onPage={setPage} /> : null}
        </Card>
        <Box>
          {data && data.projects > 0 ? (
            <>
              <GoingOut due={data.due} waiting={data.waiting} />
              <Behind late={data.late} />
            </>
          ) : null}
          <Card scrolls={false} title="Waiting in Intake">
            {waiting.map((drawing) => (
              <Typography key={drawing.id} sx={{ py: 1.5 }}>
                <Link component={RouterLink} to={`/intake/${drawing.id}`}>
                  {drawing.name}
                </Link>
              </Typography>
            ))}
            {legacy.data && waiting.length === 0 ? (
              <Typography sx={{ color: 'text.secondary' }}>
                No legacy drawings to convert.{' '}
                <Link component={RouterLink} to="/intake">
                  Add one
                </Link>
                .
              </Typography>
            ) : null}
          </Card>
        </Box>
      </Box>
    </>
  );
}

/** How the office stands: what fits, and what is not known yet. */
function Summary({ desk }: { desk: DeskRecord }) {
  const { projects, sheets, fitting, waiting, count } = desk;
  if (projects === 0)
    return (
      <Typography sx={{ color: 'text.secondary' }}>
        No projects yet.{' '}
        <Link component={RouterLink} to="/projects">
          Add the first one
        </Link>
        .
      </Typography>
    );
  return (
    <>
      <Typography sx={{ color: 'text.secondary', pb: 3 }}>
        <Link component={RouterLink} to="/projects">
          {counted(projects, 'project')}
        </Link>{' '}
        with {counted(sheets, 'sheet')}
        {sheets === 0
          ? ''
          : fitting === sheets
            ? ', all of which fit'
            : `, of which ${fitting === 1 ? '1 fits' : `${fitting} fit`}`}
        .
      </Typography>
      {waiting > 0 ? (
        <Typography role="status" sx={{ pb: 3 }}>
          {waiting === 1 ? 'One project has' : `${waiting} projects have`} changed; {waiting === 1 ? 'its' : 'their'}{' '}
          sheets are being looked at…
        </Typography>
      ) : null}
      {waiting === 0 && count === 0 ? <Fits word="Everything fits" /> : null}
    </>
  );
}
