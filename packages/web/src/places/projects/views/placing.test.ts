import type { PlacedView, View } from '@mendrel/core';
import { moduleGrid, placeViews } from '@mendrel/core';
import { carried, carries, carry } from './carried';
import { nudged, settled } from './placing';

const grid = moduleGrid({ x: 20, y: 10, width: 720, height: 573 }, { columns: 4, rows: 3 });
const plan: View = { id: 'plan', name: 'Plan', realWidth: 16_000, realHeight: 9_000, scale: '1:100', module: 'A1' };
const stands = (view: View): PlacedView => placeViews([view], grid).placed[0]!;
const at = (x: number, y: number) => ({ x, y, width: 160, height: 90 });
const way = { grid, over: [{ view: 'plan', at: { x: 203, y: 57 }, number: 'A-101' }], free: false, pull: 5, step: 1 };

test('let go near the place of a plan of another floor, a view lies over it exactly', () => {
  const { view, over } = settled(plan, at(206, 53), way);
  expect(over).toBe('A-101');
  const { x, y } = stands(view);
  expect([x, y]).toEqual([203, 57]);
});

test('elsewhere it stands in the middle of its modules, whatever it was moved by before', () => {
  const { view, over } = settled({ ...plan, shift: { x: 3, y: 3 } }, at(206, 40), way);
  expect(over).toBeUndefined();
  expect(view).toEqual({ ...plan, module: 'A2' });
});

test('moved freely it stands where it was let go, by whole steps', () => {
  const { view } = settled(plan, at(261.4, 143.6), { ...way, free: true });
  const { x, y } = stands(view);
  expect([x, y]).toEqual([261, 144]);
});

test('nudges add up, over the edge of a module as well', () => {
  let view = plan;
  const from = stands(plan);
  for (let i = 0; i < 200; i++) view = nudged(stands(view), { x: 1, y: 0 }, grid);
  expect(stands(view).x).toBeCloseTo(from.x + 200, 6);
  expect(view.module).toBe('A2');
});

test('a drag takes a view along, and anything else is none', () => {
  const held = new Map<string, string>();
  const dataTransfer = {
    get types() {
      return [...held.keys()];
    },
    setData: (kind: string, data: string) => held.set(kind, data),
    getData: (kind: string) => held.get(kind) ?? '',
  } as unknown as DataTransfer;
  expect(carries(dataTransfer)).toBe(false);
  expect(carried(dataTransfer)).toBeUndefined();
  carry({ dataTransfer } as React.DragEvent, { view: { id: 'view-2' }, from: { id: 'sheet-1' } });
  expect(carries(dataTransfer)).toBe(true);
  expect(carried(dataTransfer)).toEqual({ sheet: 'sheet-1', view: 'view-2' });
});
