import { useForm } from 'react-hook-form';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormGroup from '@mui/material/FormGroup';
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
      <Replaceable office={data} />
      <OfficeTables office={data} />
    </>
  );
}

/** Which of the office's values a project may have of its own. */
function Replaceable({ office }: { office: Office }) {
  const { standard } = useStandardEdit();
  const [change, changing] = api.useChangeOfficeMutation();
  const { enqueueSnackbar } = useSnackbar();
  const set = async (key: string, on: boolean): Promise<void> => {
    const others = office.replaceable.filter((each) => each !== key);
    const { version, values } = office;
    const result = await change({ version, values, replaceable: on ? [...others, key] : others });
    if (result.error) enqueueSnackbar(`Not changed: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  return (
    <Card
      title="Values that a project may have of its own"
      about="Such as the phone of a site office. A project that says nothing shows the office’s."
    >
      <FormGroup row>
        {enteredFor('office', standard).map(({ key, name }) => (
          <FormControlLabel
            key={key}
            control={
              <Checkbox
                size="small"
                disabled={changing.isLoading}
                checked={office.replaceable.includes(key)}
                onChange={(_event, on) => void set(key, on)}
              />
            }
            label={name}
          />
        ))}
      </FormGroup>
    </Card>
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
      <ValuesForm what="office data" sections={[{ fields }]} form={form} onSave={keep} />
    </Card>
  );
}
