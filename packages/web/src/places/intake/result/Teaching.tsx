import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { Corrections, IntakeReport, Parameter, Teachable } from '@mendrel/core';
import { NO_LESSONS, teachableBy } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { UndoButton } from '../../../app/UndoButton';
import { Section } from './Section';

interface Props {
  report: IntakeReport;
  corrections: Corrections;
  parameters: readonly Parameter[];
}

/** What corrections of this drawing may teach for all drawings to come; nothing is taught before somebody says so. */
export function Teaching({ report, corrections, parameters }: Props) {
  const { data: lessons } = api.useLessonsQuery();
  const [teach, teaching] = api.useTeachMutation();
  const { enqueueSnackbar } = useSnackbar();
  const offers = teachableBy(corrections, report, lessons ?? NO_LESSONS);
  if (!lessons || offers.length === 0) return null;
  const nameOf = (key: string): string => parameters.find((each) => each.key === key)?.name ?? key;

  const learn = async (sign: string, answer: string | null, said: string): Promise<boolean> => {
    const result = await teach({ kind: 'captions', sign, answer });
    if (result.error) enqueueSnackbar(`${said}: ${errorOf(result.error).message}`, { variant: 'error' });
    return !result.error;
  };
  const take = async ({ caption, sign, parameter }: Teachable): Promise<void> => {
    const before = Object.hasOwn(lessons.captions, sign) ? (lessons.captions[sign] ?? null) : null;
    if (!(await learn(sign, parameter, 'Not taught'))) return;
    enqueueSnackbar(`Taught: “${caption}” means ${nameOf(parameter)}, in every drawing`, {
      variant: 'success',
      action: (message) => <UndoButton message={message} onUndo={() => void learn(sign, before, 'Not undone')} />,
    });
  };
  return (
    <Section title="For other drawings too?">
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
        {offers.map((offer) => (
          <Box key={offer.sign} sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
            <Typography sx={{ flex: 1, minWidth: 0 }}>
              The caption <b>“{offer.caption}”</b> means {nameOf(offer.parameter)}
              {offer.known ? `, and no longer ${nameOf(offer.known)}` : ''}
            </Typography>
            <Button
              size="small"
              variant="outlined"
              disabled={teaching.isLoading}
              aria-label={`Teach the office that “${offer.caption}” means ${nameOf(offer.parameter)}`}
              onClick={() => void take(offer)}
            >
              Teach the office
            </Button>
          </Box>
        ))}
      </Box>
    </Section>
  );
}
