import { useState } from 'react';
import { useParams } from 'react-router';
import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import type { IntakeSetRecord } from '@mendrel/contract';
import { api, faultOf } from '../../../app/api';
import { PlaceBar, TrailLink } from '../../../app/Shell';
import { Empty, Failed, Loading } from '../../../app/states';
import { GroupRegister } from './GroupRegister';
import { SetActions } from './SetActions';
import { Sign } from '../../../app/FindingMark';

/** How often a set is asked for while it is being read, in ms. */
const ASK = 700;

/** A set of legacy drawings: how far its reading is, then the designs and registers that it would become. */
export default function SheetSet() {
  const { id = '' } = useParams();
  const [reading, setReading] = useState(true);
  const found = api.useIntakeSetQuery(id, { pollingInterval: reading ? ASK : 0 });
  const { currentData: set } = found;
  const fault = faultOf(found);
  if (set && (set.state === 'reading') !== reading) setReading(set.state === 'reading');
  const trail = <TrailLink to="/intake">Intake</TrailLink>;
  if (fault) {
    return (
      <>
        <PlaceBar title="Set of drawings" trail={trail} />
        <Failed error={fault} retry={() => void found.refetch()} />
      </>
    );
  }
  if (!set) return <Loading what="the set of drawings" />;
  return (
    <>
      <PlaceBar title={set.name} trail={trail}>
        <Box sx={{ flex: 1 }} />
        <SetActions set={set} />
      </PlaceBar>
      <Box sx={{ flex: 1, overflow: 'auto', p: 6, display: 'flex', flexDirection: 'column', gap: 6 }}>
        {set.state === 'reading' || set.state === 'stopped' ? <Progress set={set} /> : null}
        {set.state === 'read' && set.groups.length === 0 ? (
          <Empty title="Nothing was recognised">
            {set.drawings === 0
              ? 'This set has no drawings: none of them arrived. Delete it, and drop the drawings again under Intake.'
              : `None of the ${set.drawings} drawings has a title block that can be read. Each is named below with the reason.`}
          </Empty>
        ) : null}
        {set.groups.map((group, i) => (
          <GroupRegister key={group.leader} set={set} group={group} number={i + 1} />
        ))}
        {set.refused.length > 0 ? <Refused set={set} /> : null}
      </Box>
    </>
  );
}

function Progress({ set }: { set: IntakeSetRecord }) {
  return (
    <Box role="status">
      <Typography>
        {set.state === 'stopped' ? 'Stopped: ' : 'Reading: '}
        {set.done} of {set.drawings} drawings read
      </Typography>
      <LinearProgress
        variant="determinate"
        aria-label="Drawings read"
        value={(100 * set.done) / Math.max(1, set.drawings)}
        sx={{ mt: 2, maxWidth: 640 }}
      />
    </Box>
  );
}

function Refused({ set }: { set: IntakeSetRecord }) {
  return (
    <Box component="section" aria-labelledby="refused-heading">
      <Typography id="refused-heading" variant="h2" component="h2">
        {set.refused.length} {set.refused.length === 1 ? 'drawing was' : 'drawings were'} not recognised
      </Typography>
      {set.refused.map(({ name, why }) => (
        <Typography key={name} sx={{ mt: 1 }}>
          <Box component="span" sx={{ color: 'error.main' }}>
            <Sign weight="error" />
          </Box>{' '}
          <b>{name}</b>: {why}
        </Typography>
      ))}
    </Box>
  );
}
