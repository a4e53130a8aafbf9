import { useState } from 'react';
import { screen, within } from '@testing-library/react';
import type { Sheet } from '@mendrel/contract';
import type { View, WorkingUnit } from '@mendrel/core';
import { moduleGrid } from '@mendrel/core';
import { shown } from '../../../testing/shown';
import { SheetViews } from './SheetViews';

const VIEW: View = { id: 'view-1', name: 'Plan', realWidth: 20_000, realHeight: 10_000, scale: '1:100', module: null };
const SHEET = { id: 's', number: 'A-101', title: 'Plan', kind: 'plan', size: 'ISO A1', values: {}, views: [VIEW] };

function views(view: View = VIEW, unit: WorkingUnit = 'mm', accept = true) {
  const asked = {
    onAdd: vi.fn(),
    onChooseDrawing: vi.fn(),
    onArrange: vi.fn(),
    onArrangeSheets: vi.fn(),
    onRemove: vi.fn(),
    onIntoTray: vi.fn(),
    onPlace: vi.fn(),
    onSelect: vi.fn(),
  };
  let now = view;
  function Views() {
    const [shownView, setView] = useState(view);
    return (
      <SheetViews
        sheet={{ ...SHEET, views: [shownView] } as unknown as Sheet}
        grid={moduleGrid({ x: 20, y: 10, width: 720, height: 573 }, { columns: 4, rows: 3 })}
        over={[]}
        wholesOf={() => []}
        onPartOf={() => undefined}
        findings={[]}
        scales={['1:50', '1:100', '1:200', '1/4" = 1\'-0"']}
        unit={unit}
        selected={['view-1']}
        onChange={(next) => {
          if (accept) setView((now = next));
          return Promise.resolve(accept);
        }}
        {...asked}
      />
    );
  }
  return { ...asked, ...shown(<Views />), view: () => now };
}
const field = (name: string): HTMLInputElement => screen.getByRole('textbox', { name });

test('real extents are typed in metres, or with a unit; what is no length stays with a hint', async () => {
  const { user, view } = views();
  expect([field('Real width').value, field('Real height').value]).toEqual(['20 m', '10 m']);
  await user.clear(field('Real width'));
  await user.type(field('Real width'), '12.5{Enter}');
  await user.clear(field('Real height'));
  await user.type(field('Real height'), '8400 mm{Enter}');
  expect(view()).toMatchObject({ realWidth: 12_500, realHeight: 8_400 });
  await user.clear(field('Real width'));
  await user.type(field('Real width'), 'wide{Enter}');
  expect(screen.getByText('Write 12.5 m or 41\'-0".')).toBeTruthy();
  expect(field('Real width').value).toBe('wide');
  await user.type(field('Real width'), '{Escape}');
  expect(field('Real width').value).toBe('12.5 m');
});

test('a view with a scale in feet and inches is measured in them', async () => {
  const { user, view } = views({ ...VIEW, scale: '1/4" = 1\'-0"' });
  expect(field('Real height').value).toBe('32\'-9.7008"');
  await user.clear(field('Real width'));
  await user.type(field('Real width'), '41\'-0"{Enter}');
  expect(view().realWidth).toBeCloseTo(41 * 304.8, 6);
});

test('every scale says how large the view is on paper, and whether that is too large', async () => {
  const { user, view } = views();
  await user.click(screen.getByRole('combobox', { name: 'Scale' }));
  const list = screen.getByRole('listbox');
  expect(within(list).getByRole('option', { name: /^1:50/ }).textContent).toContain('400 × 200 mm');
  await user.click(within(list).getByRole('option', { name: /^1:200/ }));
  expect(view().scale).toBe('1:200');
});

test('a view goes into a module by its name, and loses its place again', async () => {
  const { user, view } = views();
  expect(screen.getByText('no place yet')).toBeTruthy();
  await user.click(screen.getByRole('combobox', { name: 'Module' }));
  expect(screen.getAllByRole('option').map((each) => each.textContent)).toEqual([
    'No place yet',
    ...['A1', 'A2', 'A3', 'A4', 'B1', 'B2', 'B3', 'B4', 'C1', 'C2', 'C3', 'C4'],
  ]);
  await user.click(screen.getByRole('option', { name: 'B2' }));
  expect(view().module).toBe('B2');
  await user.click(screen.getByRole('combobox', { name: 'Module' }));
  await user.click(screen.getByRole('option', { name: 'No place yet' }));
  expect(view().module).toBeNull();
});

test('what the server refuses stays as it was typed', async () => {
  const { user } = views(VIEW, 'mm', false);
  await user.clear(field('Name'));
  await user.type(field('Name'), 'Ground floor{Enter}');
  expect(field('Name').value).toBe('Ground floor');
});

test('a new view gets the next name', async () => {
  const { user, onAdd } = views();
  await user.click(screen.getByRole('button', { name: 'Add a view' }));
  expect(onAdd).toHaveBeenCalledWith(expect.objectContaining({ name: 'View 2', module: null }));
});
