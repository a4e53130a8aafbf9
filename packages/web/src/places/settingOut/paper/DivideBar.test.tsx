import { screen } from '@testing-library/react';
import { EditError } from '@mendrel/core';
import { shown } from '../../../testing/shown';
import { plainStrip } from '../../../testing/plainStrip';
import { DivideBar } from './DivideBar';

const bar = (onDivide = vi.fn(), cell = 'cell-1', cells = 1) => ({
  onDivide,
  ...shown(<DivideBar design={plainStrip()} cellId={cell} width={80} height={462} cells={cells} onDivide={onDivide} />),
});
const tracks = (): HTMLElement => screen.getByRole('textbox', { name: 'Track sizes' });
const said = (): string => screen.getByRole('status').textContent ?? '';

test('what is typed is added up while it is typed, and divides with Enter', async () => {
  const { user, onDivide } = bar();
  expect(said()).toBe('462 mm to divide');
  await user.type(tracks(), '40 | * | 12 x2');
  expect(said()).toBe('462 mm = 40 + 398 + 12 + 12');
  await user.keyboard('{Enter}');
  expect(onDivide).toHaveBeenCalledWith({
    rows: [{ fixed: '40 mm' }, { share: 1 }, { fixed: '12 mm' }, { fixed: '12 mm' }],
  });
});

test('too much and too little are told in millimetres', async () => {
  const { user } = bar();
  await user.type(tracks(), '400 | 100');
  expect(said()).toContain('38 mm more than the 462 mm there are');
  await user.clear(tracks());
  await user.type(tracks(), '400 | 50');
  expect(said()).toContain('12 mm of 462 mm are left over');
});

test('what cannot be read is marked, and divides nothing', async () => {
  const { user, onDivide } = bar();
  await user.type(tracks(), '40 | | 12{Enter}');
  expect(tracks().getAttribute('aria-invalid')).toBe('true');
  expect(screen.getByRole('button', { name: 'Divide' })).toHaveProperty('disabled', true);
  expect(onDivide).not.toHaveBeenCalled();
});

test('a grid is typed as columns by rows', async () => {
  const { user, onDivide } = bar(vi.fn(), 'cell-1', 3);
  await user.click(screen.getByRole('button', { name: 'Grid' }));
  await user.type(tracks(), '* x2 by 10 | *');
  expect(said()).toBe('80 mm = 40 + 40  by  462 mm = 10 + 452');
  await user.click(screen.getByRole('button', { name: 'Divide all 3' }));
  expect(onDivide).toHaveBeenCalledWith({
    columns: [{ share: 1 }, { share: 1 }],
    rows: [{ fixed: '10 mm' }, { share: 1 }],
  });
});

test('what the design refuses is said, and what was typed stays', async () => {
  const { user } = bar(
    vi.fn(() => {
      throw new EditError('the cell is locked');
    }),
  );
  await user.type(tracks(), '40 | *{Enter}');
  expect(said()).toBe(' the cell is locked');
  expect(tracks()).toHaveProperty('value', '40 | *');
});
