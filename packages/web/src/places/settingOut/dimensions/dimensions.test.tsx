import { screen, within } from '@testing-library/react';
import type { Design } from '@mendrel/core';
import { STARTING_STANDARD } from '@mendrel/core';
import { evenTypefaces, measuredWith } from '../../../testing/evenTypefaces';
import { edited, retype } from '../testing/edited';
import { plainStrip } from '../../../testing/plainStrip';
import { WithStyles } from '../../../testing/shown';
import { Dimensions } from './Dimensions';

const typefaces = evenTypefaces();
beforeEach(() => measuredWith(typefaces));

const TRIED = { values: {}, tables: {} };
const dimensions = (more: Partial<Design> = {}) =>
  edited({ ...plainStrip(), ...more }, (design, onEdit) => (
    <WithStyles>
      <Dimensions design={design} tried={TRIED} standard={STARTING_STANDARD} onEdit={onEdit} />
    </WithStyles>
  ));
const value = (name: string): HTMLInputElement => screen.getByRole('textbox', { name });

test('each size shows what it comes to; the one with a value of its own is strong', () => {
  dimensions();
  expect(['A0', 'A1', 'A3'].map((size) => value(`strip on ISO ${size}`).value)).toEqual(['80', '80', '60']);
  expect(getComputedStyle(value('strip on ISO A3')).fontWeight).toBe('600');
  expect(getComputedStyle(value('strip on ISO A1')).fontWeight).toBe('400');
});

test('a value typed at one size counts there; what cannot be read stays, and nothing changes', async () => {
  const { user, design } = dimensions();
  await retype(user, 'strip on ISO A1', '90');
  expect(design().dimensions[0]?.bySize).toEqual({ 'ISO A3': '60 mm', 'ISO A1': '90 mm' });
  const field = await retype(user, 'strip on ISO A0', '90 +');
  expect(field.getAttribute('aria-invalid')).toBe('true');
  expect(field).toHaveProperty('value', '90 +');
  expect(design().dimensions[0]?.bySize).toEqual({ 'ISO A3': '60 mm', 'ISO A1': '90 mm' });
});

test('one that nothing uses, and one that cannot be solved, are marked', () => {
  dimensions({
    dimensions: [
      ...plainStrip().dimensions,
      { name: 'spare', formula: '5 mm' },
      { name: 'round', formula: 'round + 1 mm' },
    ],
  });
  const row = (name: RegExp): HTMLElement => screen.getByRole('row', { name });
  expect(within(row(/spare/)).getByRole('img', { name: 'unused' })).toBeTruthy();
  expect(within(row(/round/)).getByRole('img', { name: 'conflict' })).toBeTruthy();
  expect(within(row(/^strip/)).queryByRole('img')).toBeNull();
});

test('a new one has a name of one word that is not taken, and a length', async () => {
  const { user, design } = dimensions();
  await user.click(screen.getByRole('button', { name: 'Add a dimension' }));
  const name = value('Name of the dimension');
  const add = screen.getByRole('button', { name: 'Add' });
  await user.type(name, 'strip');
  expect(screen.getByText(/There is one of this name/)).toBeTruthy();
  expect(add).toHaveProperty('disabled', true);
  await user.type(name, ' row');
  expect(screen.getByText(/One word of letters and digits/)).toBeTruthy();
  await user.clear(name);
  await user.type(name, 'titleRow');
  await user.clear(value('Its value'));
  await user.type(value('Its value'), 'strip / 2{Enter}');
  expect(design().dimensions.at(-1)).toEqual({ name: 'titleRow', formula: 'strip / 2' });
});

test('the whole table renames with all that uses it, and lets a size follow the general value again', async () => {
  const { user, design } = dimensions();
  await user.click(screen.getByRole('button', { name: 'Edit all…' }));
  const table = screen.getByRole('dialog', { name: 'Dimensions' });
  expect(within(table).getByText('Right strip', { exact: false })).toBeTruthy();
  await user.click(within(table).getByRole('button', { name: 'Remove own value of strip on ISO A3' }));
  expect(design().dimensions[0]?.bySize?.['ISO A3']).toBeUndefined();
  await retype(user, 'Name', 'block');
  expect(design().dimensions[0]?.name).toBe('block');
  expect(design().panels[0]?.width).toBe('block');
});
