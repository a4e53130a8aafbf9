import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { ProposedParameter } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { Section } from './Section';

interface Props {
  /** The drawing that they come from. */
  id: string;
  proposals: readonly Omit<ProposedParameter, 'texts'>[];
  /** What goes on once one is a parameter. */
  onMade?: () => void;
}

/** Captions that nobody knows, which the office may make parameters of. */
export function Proposals({ id, proposals, onMade }: Props) {
  const [want, wanting] = api.useWantParameterMutation();
  const { enqueueSnackbar } = useSnackbar();
  if (proposals.length === 0) return null;
  const make = async ({ caption, key, name, value, choices }: Props['proposals'][number]): Promise<void> => {
    const result = await want({ id, caption, key, name, value: value.slice(0, 500), ...(choices ? { choices } : {}) });
    if (result.data) {
      enqueueSnackbar(`${name} added to the draft of the standard`, { variant: 'success' });
      onMade?.();
    } else enqueueSnackbar(`Not added: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  return (
    <Section title="Unknown captions">
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
        {proposals.map((each) => (
          <Box key={each.key} sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
            <Typography sx={{ flex: 1, minWidth: 0 }}>
              <b>{each.caption}</b> {each.choices ? `one of ${each.choices.join(', ')}` : each.value} (
              {each.key.startsWith('project.') ? 'of the project' : 'of each sheet'})
            </Typography>
            <Button
              size="small"
              variant="outlined"
              disabled={wanting.isLoading}
              aria-label={`Make ${each.name} a parameter`}
              onClick={() => void make(each)}
            >
              Make a parameter
            </Button>
          </Box>
        ))}
      </Box>
    </Section>
  );
}
