import { screen, within } from '@testing-library/react';
import type { AreaSettings, MeasuredArea } from '@mendrel/core';
import { groupedAreas } from '@mendrel/core';
import { shown } from '../../../testing/shown';
import { AreaTable } from './AreaTable';

const area = (number: string, name: string, squareMetres: number): MeasuredArea => ({
  number,
  name,
  squareMetres,
  ring: [],
  at: { x: 0, y: 0 },
  layer: 'AREA',
});
const SETTINGS: AreaSettings = {
  sources: [],
  groups: ['Public', 'Staff'],
  groupOf: { '1': 'Public', '2': 'Staff' },
  unit: 'm²',
  decimals: 1,
};

function table(areas: MeasuredArea[]) {
  const asked = { onGroup: vi.fn(), onLight: vi.fn() };
  return { ...asked, ...shown(<AreaTable grouped={groupedAreas(areas, SETTINGS)} settings={SETTINGS} {...asked} />) };
}
const rowTexts = (): string[] => screen.getAllByRole('row').map((row) => row.textContent ?? '');

test('groups have their totals, all of them one, and what is in none stands last', () => {
  table([area('1', 'Hall', 30.04), area('2', 'Office', 18), area('3', 'Shaft', 2)]);
  const rows = rowTexts();
  expect(rows.some((row) => row.startsWith('Public') && row.endsWith('30.0 m²'))).toBe(true);
  expect(rows.find((row) => row.startsWith('Total'))).toBe('Total48.0 m²');
  expect(rows.indexOf('In no group, and in no total')).toBeLessThan(rows.findIndex((row) => row.includes('Shaft')));
});

test('an area gets its group by its number', async () => {
  const { user, onGroup } = table([area('3', 'Shaft', 2)]);
  await user.click(screen.getByRole('combobox', { name: 'Group of 3 Shaft' }));
  await user.click(within(screen.getByRole('listbox')).getByRole('option', { name: 'Staff' }));
  expect(onGroup).toHaveBeenCalledWith('3', 'Staff');
});

test('an area that nothing names cannot have a group', () => {
  table([area('', '', 4)]);
  expect(screen.getByText('no name')).toBeTruthy();
  expect(screen.getByRole('combobox').getAttribute('aria-disabled')).toBe('true');
});
