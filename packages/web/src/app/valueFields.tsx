import { Controller } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { OfficeStandard, Parameter, Values } from '@mendrel/core';
import { choicesOf, parametersOf, valueProblem } from '@mendrel/core';
import { OutlineField } from '../outlines/OutlineField';
import { PictureField } from '../pictures/PictureField';
import { BREAK_HINT, submitOnEnter } from './typedBreaks';

/** What a form holds: texts by field name. */
export type Typed = Record<string, string>;

// Dots in field names mean nesting to the form, so that keys go in without them.
const nameOf = (key: string): string => key.replace('.', '_');

/** What is entered at a scope, in the order of the catalogue, the office's own after what ships. */
export const enteredFor = (scope: Parameter['scope'], standard: OfficeStandard): Parameter[] =>
  [...parametersOf(standard).values()].filter((each) => each.scope === scope && !each.computed);

/** What is entered with a project: its own data, and that of its set of sheets. */
export const enteredForProject = (standard: OfficeStandard): Parameter[] => [
  ...enteredFor('project', standard),
  ...enteredFor('set', standard),
];

/** The form's texts for some values. */
export const typedFrom = (values: Values, fields: readonly Parameter[]): Typed =>
  Object.fromEntries(fields.map(({ key }) => [nameOf(key), values[key] ?? '']));

/** The values of a form's texts; what is empty is left out, what the form does not ask for stays. */
export function valuesFrom(typed: Typed, fields: readonly Parameter[], before: Values): Record<string, string> {
  const values: Record<string, string> = { ...before };
  for (const { key } of fields) {
    const value = typed[nameOf(key)]?.trim() ?? '';
    if (value === '') delete values[key];
    else values[key] = value;
  }
  return values;
}

/** An example of what is entered, told apart from an entry: grey words in a field look like one. */
const exampleWords = ({ typical }: Parameter): string => (typical === '' ? ' ' : `For example ${typical}`);

/** One value, entered as its parameter's kind asks for. */
export function ValueField({ parameter, form }: { parameter: Parameter; form: UseFormReturn<Typed> }) {
  const { key, name, kind, hint, required, most } = parameter;
  const options = choicesOf(parameter);
  const field = nameOf(key);
  const problem = form.formState.errors[field]?.message;
  const label = required ? `${name} (required)` : name;
  return (
    <Controller
      name={field}
      control={form.control}
      rules={{ validate: (value) => valueProblem(parameter, value.trim()) ?? true }}
      render={({ field: { ref, ...input } }) =>
        kind === 'picture' ? (
          <PictureField label={label} value={input.value} problem={problem} hint={hint} onChange={input.onChange} />
        ) : kind === 'outline' ? (
          <OutlineField label={label} value={input.value} problem={problem} hint={hint} onChange={input.onChange} />
        ) : (
          <TextField
            {...input}
            inputRef={ref}
            label={label}
            select={options !== undefined}
            multiline={kind === 'text' || kind === 'long text'}
            {...(kind === 'text' ? { onKeyDown: submitOnEnter } : {})}
            error={problem !== undefined}
            helperText={problem ?? (hint || (input.value === '' ? exampleWords(parameter) : undefined))}
            slotProps={{
              htmlInput: { maxLength: most ?? 300, ...(kind === 'text' ? { title: BREAK_HINT } : {}) },
              inputLabel: { shrink: true },
            }}
          >
            {options && <MenuItem value="">Nothing chosen</MenuItem>}
            {options?.map((option) => (
              <MenuItem key={option} value={option}>
                {option}
              </MenuItem>
            ))}
          </TextField>
        )
      }
    />
  );
}
