import { useForm } from 'react-hook-form';
import { useSnackbar } from 'notistack';
import type { Office } from '@mendrel/contract';
import { api, errorOf, faultOf } from '../../../app/api';
import { Failed, Loading } from '../../../app/states';
import type { Typed } from '../../../app/valueFields';
import { enteredFor, typedFrom, valuesFrom } from '../../../app/valueFields';
import { ValuesForm } from '../../../app/ValuesForm';
import { Card } from '../../../app/Card';
import { EnteredTables } from '../../../tables/EnteredTables';
import { useStandardEdit } from '../useStandardEdit';

/** What is the same on every sheet of every project, entered once. */
export function OfficeData() {
  const found = api.useOfficeQuery();
  const { data } = found;
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  if (!data) return <Loading what="the office data" />;
  return (
    <>
      <OfficeForm key={JSON.stringify(data.values)} office={data} />
      <OfficeTables office={data} />
    </>
  );
}

/** Rows of tables for projects that have none of their own. */
function OfficeTables({ office }: { office: Office }) {
  const { standard } = useStandardEdit();
  const [change] = api.useChangeOfficeMutation();
  return (
    <EnteredTables
      tables={office.tables}
      standard={standard}
      about="For every project that has no rows of its own."
      onSave={async (tables) => (await change({ version: office.version, values: office.values, tables })).error}
    />
  );
}

function OfficeForm({ office }: { office: Office }) {
  const { standard } = useStandardEdit();
  const fields = enteredFor('office', standard);
  const [change] = api.useChangeOfficeMutation();
  const { enqueueSnackbar } = useSnackbar();
  const form = useForm<Typed>({ defaultValues: typedFrom(office.values, fields) });
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
      <ValuesForm what="office data" fields={fields} form={form} onSave={keep} />
    </Card>
  );
}
