import type { View } from '../placement';
import { STARTING_STANDARD } from '../standard';
import { viewNotes } from './viewNotes';

const drawn = (pens: Record<string, string>): View => ({
  id: 'v',
  name: 'Plan',
  realWidth: 30_000,
  realHeight: 20_000,
  scale: '1:100',
  module: 'A1',
  drawing: { linework: 'a'.repeat(64), name: 'plan.dxf', unit: 1, x: 0, y: 0, pens },
});
const notesOn = (view: View): string[] =>
  viewNotes([view], [], STARTING_STANDARD, 'ISO A1', 'mm').map(({ message }) => message);

test('a layer in a pen that the office no longer has is told; one in a pen that it has is not', () => {
  const [pen] = STARTING_STANDARD.pens;
  expect(notesOn(drawn({ WALL: pen!.id }))).toEqual([]);
  expect(notesOn(drawn({ WALL: pen!.id, AXIS: 'gone' }))).toEqual([
    'Plan draws layer AXIS in a pen that the office no longer has',
  ]);
});

test('a scale that is not in the list, and a view without a drawing or a module, are told', () => {
  const empty = { ...drawn({}), drawing: undefined };
  expect(notesOn({ ...empty, scale: '1:33', module: null })).toEqual([
    'Plan is at 1:33, which is not in the office’s list of scales',
    'Plan shows no drawing yet',
    'Plan has no place yet',
  ]);
});
