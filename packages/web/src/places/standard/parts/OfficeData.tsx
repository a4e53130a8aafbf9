import { useForm } from 'react-hook-form';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useSnackbar } from 'notistack';
import type { Office } from '@mendrel/contract';
import { api, errorOf, faultOf } from '../../../app/api';
import { Failed, Loading } from '../../../app/states';
import type { Typed } from '../../../app/valueFields';
import { enteredFor, typedFrom, ValueField, valuesFrom } from '../../../app/valueFields';
import { Card } from '../Card';
import { useStandardEdit } from '../useStandardEdit';

/** What is the same on every sheet of every project, entered once. */
export function OfficeData() {
  const found = api.useOfficeQuery();
  const { data } = found;
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  if (!data) return <Loading what="the office data" />;
  return <OfficeForm key={data.version} office={data} />;
}

function OfficeForm({ office }: { office: Office }) {
  const { standard } = useStandardEdit();
  const fields = enteredFor('office', standard);
  const [change] = api.useChangeOfficeMutation();
  const { enqueueSnackbar } = useSnackbar();
  const form = useForm<Typed>({ defaultValues: typedFrom(office.values, fields) });
  const { isDirty, isSubmitting } = form.formState;
  const keep = async (typed: Typed): Promise<void> => {
    const result = await change({ version: office.version, values: valuesFrom(typed, fields, office.values) });
    if (result.error) enqueueSnackbar(`Not saved: ${errorOf(result.error).message}`, { variant: 'error' });
    else enqueueSnackbar('Saved; now on every sheet', { variant: 'success' });
  };
  return (
    <Card
      title="Office data"
      about="Entered once, shown on every sheet of every project. Saved separately from the draft."
    >
      <Box
        component="form"
        onSubmit={(event) => void form.handleSubmit(keep)(event)}
        sx={{ maxWidth: 560, display: 'flex', flexDirection: 'column', gap: 4, pt: 2 }}
      >
        {fields.map((parameter) => (
          <ValueField key={parameter.key} parameter={parameter} form={form} />
        ))}
        <Box sx={{ display: 'flex', gap: 3 }}>
          <Button type="submit" variant="contained" disabled={!isDirty || isSubmitting}>
            {isSubmitting ? 'Saving…' : 'Save office data'}
          </Button>
          <Button color="inherit" disabled={!isDirty} onClick={() => form.reset()}>
            Discard changes
          </Button>
        </Box>
      </Box>
    </Card>
  );
}
