import { screen } from '@testing-library/react';
import { parametersOf, STARTING_STANDARD } from '@mendrel/core';
import { shown } from '../../../testing/shown';
import { ChosenParameter } from './ChosenParameter';

const parameters = [...parametersOf(STARTING_STANDARD).values()];

test('a parameter is found by a part of its name or of its key, and a new one is offered whatever is looked for', async () => {
  const onSet = vi.fn();
  const of = { label: 'Ticked by', value: 'sheet.status', standard: STARTING_STANDARD, parameters, onSet };
  const { user } = shown(<ChosenParameter {...of} />);
  const field = screen.getByRole('combobox', { name: 'Ticked by' });
  expect((field as HTMLInputElement).value).toBe('Status  {sheet.status}');
  const offered = (): (string | null)[] => screen.getAllByRole('option').map(({ textContent }) => textContent);
  await user.clear(field);
  await user.type(field, 'clientadd');
  expect(offered()).toEqual(['Client address  {project.clientAddress}', 'New parameter…']);
  await user.clear(field);
  await user.type(field, 'no such thing');
  expect(offered()).toEqual(['New parameter…']);
  await user.clear(field);
  await user.type(field, 'drawn');
  await user.click(screen.getByRole('option', { name: /\{sheet\.drawnBy\}/ }));
  expect(onSet).toHaveBeenCalledWith('sheet.drawnBy');
});
