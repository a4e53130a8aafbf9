import fc from 'fast-check';
import type { Sheet } from '@mendrel/contract';
import { inRegisterOrder, moved, rechosen, setRows } from './setOrder';

const SHEETS = ['a', 'b', 'c', 'd', 'e'].map((id) => ({ id, number: id }) as Sheet);
const chosenOf = fc.shuffledSubarray(SHEETS.map(({ id }) => id));

test('the sheets of a set come first, in its order, with their places; the others follow as the register has them', () => {
  expect(setRows(SHEETS, ['d', 'gone', 'a']).map(({ id, place }) => [id, place])).toEqual([
    ['d', 1],
    ['a', 2],
    ['b', undefined],
    ['c', undefined],
    ['e', undefined],
  ]);
});

test('a sheet moves by one place and back, and at the ends stays', () => {
  expect(moved(['a', 'b', 'c'], 'b', 1)).toEqual(['a', 'c', 'b']);
  expect(moved(['a', 'b'], 'a', -1)).toEqual(['a', 'b']);
  expect(moved(['a'], 'x', 1)).toEqual(['a']);
  fc.assert(
    fc.property(chosenOf, fc.constantFrom(...SHEETS.map(({ id }) => id)), (chosen, id) => {
      const there = moved(chosen, id, 1);
      expect([...there].sort()).toEqual([...chosen].sort());
      if (there.join() !== chosen.join()) expect(moved(there, id, -1)).toEqual(chosen);
    }),
  );
});

test('whatever is chosen anew, what stays keeps its order and what comes follows in that of the register', () => {
  fc.assert(
    fc.property(chosenOf, chosenOf, (before, wanted) => {
      const now = rechosen(SHEETS, before, new Set(wanted));
      expect([...now].sort()).toEqual([...wanted].sort());
      const stayed = before.filter((id) => wanted.includes(id));
      expect(now.slice(0, stayed.length)).toEqual(stayed);
      const came = now.slice(stayed.length);
      expect(came).toEqual(inRegisterOrder(SHEETS, came));
    }),
  );
});
