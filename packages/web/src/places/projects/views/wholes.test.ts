import type { Sheet } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { asPartOf, wholesOf } from './wholes';

const drawing = { linework: 'a'.repeat(64), name: 'plan.dxf', unit: 1, x: 0, y: 0 };
const viewOf = (id: string, scale: string, size: number): View => ({
  id,
  name: id,
  realWidth: size,
  realHeight: size,
  scale,
  module: 'A1',
  drawing,
});
const sheetOf = (id: string, number: string, views: View[]): Sheet => ({ id, number, views, version: 2 }) as Sheet;

const part = viewOf('view-9', '1:20', 4000);
const sheets = [
  sheetOf('one', 'A-101', [viewOf('view-1', '1:100', 30_000)]),
  sheetOf('two', 'A-107', [viewOf('view-1', '1:100', 30_000), viewOf('small', '1:100', 100)]),
  sheetOf('three', 'A-401', [part]),
];

test('views that hold it at a smaller scale are offered', () => {
  expect(wholesOf(part, sheets).map(({ sheet, id }) => `${sheet} ${id}`)).toEqual(['A-101 view-1', 'A-107 view-1']);
  expect(wholesOf(sheets[0]!.views[0]!, sheets)).toEqual([]);
});

test('a whole that shares its id with another view gets one of its own, in the same change', () => {
  const changes = asPartOf(part, sheets[2]!, 'view-1', sheets);
  expect(changes.map(({ sheet }) => sheet.id)).toEqual(['three', 'one']);
  const [own, whole] = changes.map(({ change }) => change.views![0]!);
  expect(own!.partOf).toBe(whole!.id);
  expect(whole!.id).not.toBe('view-1');
});

test('a whole with an id of its own is left alone, and a part becomes one of nothing again', () => {
  const single = sheets.filter(({ id }) => id !== 'two');
  const [change, ...rest] = asPartOf(part, sheets[2]!, 'view-1', single);
  expect(rest).toEqual([]);
  expect(change!.change.views![0]).toMatchObject({ partOf: 'view-1' });
  const [none] = asPartOf({ ...part, partOf: 'view-1' }, sheets[2]!, '', single);
  expect(none!.change.views![0]).not.toHaveProperty('partOf');
});
