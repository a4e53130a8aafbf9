import { useState } from 'react';
import { screen } from '@testing-library/react';
import type { Values } from '@mendrel/core';
import { STARTING_STANDARD } from '@mendrel/core';
import { plainStrip } from '../../../testing/plainStrip';
import { shown } from '../../../testing/shown';
import { TypedValues } from './TypedValues';

test('a value is typed over what is tried on, and left as it was again', async () => {
  let now: Values = {};
  function Held() {
    const [typed, setTyped] = useState<Values>({});
    now = typed;
    const tried = { 'sheet.title': 'Ground floor' };
    const of = { design: plainStrip(), standard: STARTING_STANDARD, tried, typed, onSet: setTyped };
    return <TypedValues {...of} />;
  }
  const { user } = shown(<Held />);
  await user.click(screen.getByRole('combobox', { name: 'Type a value over' }));
  const [first] = screen.getAllByRole('option');
  // Those that the design asks for come first.
  expect(first?.textContent).toMatch(/\{project\.name\}|\{sheet\./);
  await user.type(screen.getByRole('combobox', { name: 'Type a value over' }), 'Sheet title');
  await user.click(screen.getByRole('option', { name: /^Sheet title/ }));
  // It begins with what is tried on, marked, so that what is typed next takes its place.
  expect(now).toEqual({ 'sheet.title': 'Ground floor' });
  await user.keyboard('Roof');
  expect(now).toEqual({ 'sheet.title': 'Roof' });
  await user.type(screen.getByRole('textbox', { name: 'Sheet title' }), ' plan');
  expect(now).toEqual({ 'sheet.title': 'Roof plan' });
  await user.click(screen.getByRole('button', { name: 'Do not type sheet.title over' }));
  expect(now).toEqual({});
});
