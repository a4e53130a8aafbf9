import { useMemo, useState } from 'react';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { Design, OfficeStandard, Parameter, Values } from '@mendrel/core';
import { isWords, parametersOf, placesUsing } from '@mendrel/core';

interface Props {
  design: Design;
  standard: OfficeStandard;
  /** What is tried on now. */
  tried: Values;
  typed: Values;
  onSet: (typed: Values) => void;
}

/** Values that are typed over those that are tried on: any parameter of words, those that the design uses first. */
export function TypedValues({ design, standard, tried, typed, onSet }: Props) {
  const parameters = parametersOf(standard);
  /** The value that was just chosen: it is typed over next. */
  const [next, setNext] = useState<string>();
  const choices = useMemo(() => {
    const all = [...parametersOf(standard).values()].filter(isWords);
    const used = new Set(all.filter(({ key }) => placesUsing(design, key) > 0));
    return [...used, ...all.filter((each) => !used.has(each))];
  }, [design, standard]);
  const remove = (key: string): void => onSet(Object.fromEntries(Object.entries(typed).filter(([own]) => own !== key)));
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
      {Object.entries(typed).map(([key, value]) => (
        <Box key={key} sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
          <TextField
            label={parameters.get(key)?.name ?? key}
            value={value}
            multiline
            maxRows={4}
            autoFocus={key === next}
            onFocus={({ target }) => (key === next ? target.select() : undefined)}
            onBlur={() => setNext(undefined)}
            onChange={({ target }) => onSet({ ...typed, [key]: target.value })}
            slotProps={{ htmlInput: { maxLength: 2000 } }}
            sx={{ flex: 1 }}
          />
          <Button size="small" color="inherit" aria-label={`Do not type ${key} over`} onClick={() => remove(key)}>
            Remove
          </Button>
        </Box>
      ))}
      <Autocomplete<Parameter>
        options={choices.filter(({ key }) => typed[key] === undefined)}
        value={null}
        blurOnSelect
        getOptionLabel={({ name, key }) => `${name}  {${key}}`}
        getOptionKey={({ key }) => key}
        noOptionsText="No such parameter"
        onChange={(_event, chosen) => {
          if (!chosen) return;
          setNext(chosen.key);
          onSet({ ...typed, [chosen.key]: tried[chosen.key] ?? '' });
        }}
        renderInput={(input) => <TextField {...input} label="Type a value over" />}
      />
    </Box>
  );
}
