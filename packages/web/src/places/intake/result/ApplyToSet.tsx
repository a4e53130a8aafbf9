import { useNavigate } from 'react-router';
import Button from '@mui/material/Button';
import { useSnackbar } from 'notistack';
import { counted } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';

interface Props {
  set: string;
  drawing: string;
  /** How many sheets the group has. */
  sheets: number;
  disabled: boolean;
}

/** Carries what was set right on one drawing over to all sheets of its group, and goes back to the set. */
export function ApplyToSet({ set, drawing, sheets, disabled }: Props) {
  const [apply, applying] = api.useApplyToSetMutation();
  const navigate = useNavigate();
  const { enqueueSnackbar } = useSnackbar();
  const applyIt = async (): Promise<void> => {
    const result = await apply({ id: set, drawing });
    if (result.data) void navigate(`/intake/sets/${set}`);
    else enqueueSnackbar(`Not applied: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  return (
    <Button variant="contained" disabled={disabled || applying.isLoading} onClick={() => void applyIt()}>
      Apply to {counted(sheets, 'sheet')}
    </Button>
  );
}
