import { useState } from 'react';
import Autocomplete, { createFilterOptions } from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import type { OfficeStandard, Parameter } from '@mendrel/core';
import { NewEntry } from '../additions/NewEntry';

/** What makes a new parameter, at the end of every list. */
const NEW = { key: '', name: 'New parameter…', scope: '' } as const;
type Choice = Pick<Parameter, 'key' | 'name'> & { scope: string };

const inWords = ({ name, key }: Choice): string => (key === '' ? name : `${name}  {${key}}`);
const matching = createFilterOptions<Choice>({ stringify: inWords });

interface Props {
  label: string;
  /** The key that is chosen; '' where one is added and nothing stays chosen. */
  value: string;
  standard: OfficeStandard;
  parameters: readonly Parameter[];
  onSet: (key: string) => void;
}

/** One parameter, found by its name or key among those of its scope; or a new one, which is added to the standard and chosen in one step. */
export function ChosenParameter({ label, value, standard, parameters, onSet }: Props) {
  const [asking, setAsking] = useState(false);
  const chosen: Choice | undefined = value === '' ? undefined : parameters.find(({ key }) => key === value);
  return (
    <>
      <Autocomplete<Choice, false, boolean>
        options={[...parameters, NEW]}
        value={chosen ?? (value === '' ? null : { key: value, name: 'A parameter that is gone', scope: '' })}
        getOptionLabel={inWords}
        getOptionKey={({ key }) => key}
        isOptionEqualToValue={(a, b) => a.key === b.key}
        filterOptions={(all, state) => [
          ...matching(
            all.filter((each) => each !== NEW),
            state,
          ),
          NEW,
        ]}
        blurOnSelect
        clearOnBlur
        disableClearable={value !== ''}
        size="small"
        onChange={(_event, next) => {
          if (next === NEW) setAsking(true);
          else if (next) onSet(next.key);
        }}
        renderInput={(input) => <TextField {...input} label={label} placeholder={value === '' ? 'Name or key' : ''} />}
      />
      {asking ? (
        <NewEntry
          kind="parameter"
          standard={standard}
          unit={standard.unit}
          onAdded={onSet}
          onClose={() => setAsking(false)}
        />
      ) : null}
    </>
  );
}
