import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import type { IntakeStep } from '@mendrel/core';
import { INTAKE_STEPS } from '@mendrel/core';
import { api } from '../../app/api';

const WORDS: Readonly<Record<IntakeStep, string>> = {
  read: 'reading the file',
  sheet: 'looking for its sheet',
  cells: 'finding its cells',
  texts: 'telling captions from values',
  design: 'making a design of it',
  comparison: 'comparing the two',
};

/** How often it is asked how far the reading is, in ms. */
const ASKED_EVERY = 400;

interface Props {
  /** What the reading is asked for with. */
  reading: string;
  /** What is being read. */
  name: string;
}

/** How far the reading of a drawing is, in words and as a bar. */
export function ReadingProgress({ reading, name }: Props) {
  const { data } = api.useReadingQuery(reading, { pollingInterval: ASKED_EVERY, refetchOnMountOrArgChange: true });
  const progress = data?.progress;
  const step = progress ? INTAKE_STEPS.indexOf(progress.step) : 0;
  const done = progress ? (100 * (step + progress.part)) / INTAKE_STEPS.length : 0;
  return (
    <Box role="status">
      <Typography sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
        {name}: {progress ? `step ${step + 1} of ${INTAKE_STEPS.length}, ${WORDS[progress.step]}` : 'on its way'}
      </Typography>
      <LinearProgress
        aria-label={`How far ${name} is read`}
        sx={{ mt: 1.5 }}
        {...(progress ? { variant: 'determinate', value: done } : { variant: 'indeterminate' })}
      />
    </Box>
  );
}
