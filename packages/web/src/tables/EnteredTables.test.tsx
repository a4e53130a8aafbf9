import { screen, within } from '@testing-library/react';
import type { TableRows } from '@mendrel/core';
import { shown } from '../testing/shown';
import { EnteredTables } from './EnteredTables';

const DOORS = { id: 'doors', name: 'Doors', columns: [{ key: 'c1', name: 'Door' }] };
const ROWS: TableRows = { contacts: [{ discipline: 'Structure', firm: 'Tarn' }] };

function entered(tables: TableRows = ROWS, onSave = vi.fn((_tables: TableRows) => Promise.resolve(undefined))) {
  const element = (now: TableRows) => (
    <EnteredTables tables={now} standard={{ tables: [DOORS] }} about="For all." onSave={onSave} />
  );
  const { user, rerender } = shown(element(tables));
  return { user, onSave, saved: (now: TableRows) => rerender(element(now)) };
}
const card = (name: string) => within(screen.getByRole('region', { name }));
const field = (table: string, name: string): HTMLInputElement => card(table).getByRole('textbox', { name });

test('every table whose rows people enter has a card, the office’s own too', () => {
  entered();
  expect(screen.getAllByRole('region').map((each) => each.getAttribute('aria-label'))).toEqual([
    'Contacts',
    'Abbreviations',
    'Doors',
  ]);
  expect(field('Contacts', 'Firm, Structure').value).toBe('Tarn');
  expect(card('Doors').getByText(/No rows yet/)).toBeTruthy();
});

test('rows are saved as a whole with the other tables; empty rows and emptied cells are left out', async () => {
  const { user, onSave } = entered({ ...ROWS, key: [{ sign: 'FFL' }] });
  await user.click(card('Contacts').getByRole('button', { name: 'Add a row' }));
  await user.click(card('Contacts').getByRole('button', { name: 'Add a row' }));
  const [first] = card('Contacts').getAllByRole<HTMLInputElement>('textbox', { name: 'Discipline, new row' });
  await user.type(first!, 'Acoustics');
  await user.clear(field('Contacts', 'Firm, Structure'));
  await user.click(card('Contacts').getByRole('button', { name: 'Save contacts' }));
  expect(onSave).toHaveBeenCalledWith({
    key: [{ sign: 'FFL' }],
    contacts: [{ discipline: 'Structure' }, { discipline: 'Acoustics' }],
  });
});

test('what is being typed stays when another table is saved, and is given up when that is asked for', async () => {
  const { user, saved } = entered();
  await user.type(field('Contacts', 'Firm, Structure'), 'Tarn & Selvedge');
  saved({ ...ROWS, key: [{ sign: 'FFL' }] });
  expect(field('Contacts', 'Firm, Structure').value).toBe('Tarn & Selvedge');
  expect(field('Abbreviations', 'Sign, FFL').value).toBe('FFL');
  await user.click(card('Contacts').getByRole('button', { name: 'Discard changes' }));
  expect(field('Contacts', 'Firm, Structure').value).toBe('Tarn');
});

test('what could not be saved stays, with what went wrong', async () => {
  const refuse = vi.fn((_tables: TableRows) =>
    Promise.resolve({ data: { code: 'conflict', message: 'someone else saved' } } as never),
  );
  const { user } = entered(ROWS, refuse);
  await user.type(field('Contacts', 'Firm, Structure'), 'Tarns');
  await user.click(card('Contacts').getByRole('button', { name: 'Save contacts' }));
  expect(await screen.findByText(/Contacts not saved: someone else saved/)).toBeTruthy();
  expect(field('Contacts', 'Firm, Structure').value).toBe('Tarns');
});
