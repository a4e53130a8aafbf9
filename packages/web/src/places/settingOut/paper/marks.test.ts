import type { SheetLayout, WorkingUnit } from '@mendrel/core';
import { solveDesign, STARTING_STANDARD } from '@mendrel/core';
import { evenTypefaces } from '../../../testing/evenTypefaces';
import { recordedCanvas } from '../../../testing/recordedCanvas';
import { plainStrip } from '../../../testing/plainStrip';
import type { Mark } from './marks';
import { marksOf, spillGrounds } from './marks';
import { paintMarks } from './paintMarks';

const layout = (title: string): SheetLayout =>
  solveDesign(plainStrip(), {
    size: 'ISO A3',
    values: { 'sheet.title': title },
    standard: STARTING_STANDARD,
    typefaces: evenTypefaces(1),
  });

test('the drawing area is told in the unit of the office', () => {
  const words = (unit: WorkingUnit): unknown[] =>
    marksOf(layout('Plan'), unit, []).map((mark) => mark.kind === 'words' && mark.words);
  expect(words('mm')).toEqual(['Drawing area 330 × 277 mm']);
  expect(words('in')).toEqual(['Drawing area 12.992 × 10.906 in']);
});

test('selected cells are marked, but not those that do not show on this size', () => {
  const on = layout('Plan');
  const marked = (of: SheetLayout): string[] => marksOf(of, 'mm', ['cell-3', 'cell-4']).map((mark) => mark.key);
  expect(marked(on)).toEqual(['drawing area', 'cell-3', 'cell-4']);
  expect(marked({ ...on, hidden: new Set(['cell-4']) })).toEqual(['drawing area', 'cell-3']);
});

test('a text that spills is outlined, with the millimetres it lacks beside it', () => {
  const on = layout('Interchangeableness of prefabricated reinforced elements '.repeat(3));
  const spilling = on.texts.find((text) => text.fit === 'spills')!;
  const [box, by] = marksOf(on, 'mm', []).slice(1) as [Mark & { kind: 'box' }, Mark & { kind: 'words' }];
  expect(box.rect.width).toBeGreaterThan(spilling.width);
  expect(box.rect.height).toBeGreaterThan(spilling.height);
  expect(by.words).toBe(`spills ${spilling.by.toFixed(1)} mm`);
  expect(by.at.x).toBeGreaterThan(spilling.x + spilling.width);
});

test('a text that spills has the sheet’s colour under it and its words, where it runs off the paper too', () => {
  const marks = marksOf(layout('Interchangeableness of prefabricated reinforced elements '.repeat(3)), 'mm', [
    'cell-3',
  ]);
  const box = marks.find((mark) => mark.kind === 'box' && mark.dashPixels) as Mark & { kind: 'box' };
  const grounds = spillGrounds(marks, '#fff');
  expect(grounds).toHaveLength(1);
  expect(grounds[0]).toMatchObject({ kind: 'box', colour: '#fff', ground: 1, linePixels: 0 });
  expect((grounds[0] as Mark & { kind: 'box' }).rect.width).toBeGreaterThan(box.rect.width + 20);
});

test('painted marks have lines and dashes of pixels, whatever the scale', () => {
  const { context, told } = recordedCanvas();
  const mark: Mark = {
    key: 'a',
    kind: 'box',
    colour: '#f00',
    rect: { x: 10, y: 20, width: 30, height: 5 },
    ground: 0.1,
    linePixels: 2,
    dashPixels: [5, 3],
    turn: { degrees: 90, about: { x: 10, y: 20 } },
  };
  paintMarks(context, [mark], 100, { x: 0, y: 0, scale: 4 });
  expect(told).toContainEqual(['set lineWidth', 0.5]);
  expect(told).toContainEqual(['setLineDash', [1.25, 0.75]]);
  expect(told).toContainEqual(['rect', 10, 75, 30, 5]);
  // Turned about its corner: there, about, and back.
  expect(told.filter(([name]) => name === 'translate' || name === 'rotate')).toEqual([
    ['translate', 0, 0],
    ['translate', 10, 80],
    ['rotate', -1.571],
    ['translate', -10, -80],
  ]);
});
