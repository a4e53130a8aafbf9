import { useForm } from 'react-hook-form';
import { screen } from '@testing-library/react';
import type { Parameter } from '@mendrel/core';
import { parametersOf, STARTING_STANDARD } from '@mendrel/core';
import { shown } from '../testing/shown';
import type { Typed } from './valueFields';
import { typedFrom, ValueField, valuesFrom } from './valueFields';

function Editing({ of, onValues }: { of: Parameter; onValues: (values: Record<string, string>) => void }) {
  const before = { [of.key]: of.choices[0] ?? '' };
  const form = useForm<Typed>({ defaultValues: typedFrom(before, [of]) });
  return (
    <form onSubmit={(event) => void form.handleSubmit((typed) => onValues(valuesFrom(typed, [of], before)))(event)}>
      <ValueField parameter={of} form={form} />
      <button type="submit">Save</button>
    </form>
  );
}

test('what was chosen can be taken back', async () => {
  const standard = { ...STARTING_STANDARD, languages: ['English', 'Welsh'] };
  const parameter = parametersOf(standard).get('project.languages')!;
  const onValues = vi.fn();
  const { user } = shown(<Editing of={parameter} onValues={onValues} />);
  await user.click(screen.getByRole('combobox', { name: 'Languages of captions' }));
  await user.click(screen.getByRole('option', { name: 'English, Welsh' }));
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(onValues).toHaveBeenLastCalledWith({ 'project.languages': 'English, Welsh' });
  await user.click(screen.getByRole('combobox', { name: 'Languages of captions' }));
  await user.click(screen.getByRole('option', { name: 'Nothing chosen' }));
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(onValues).toHaveBeenLastCalledWith({});
});
