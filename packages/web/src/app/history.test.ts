import fc from 'fast-check';
import type { History } from './history';
import { MOST_STEPS, step, stepBack, stepForth } from './history';

const opened = (present: number): History<number> => ({ past: [], present, future: [] });

test('as many steps back as were made lead to the beginning, and as many forth to the end again', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(), { maxLength: MOST_STEPS }), (edits) => {
      const history = opened(-1);
      const states = [-1];
      for (const edit of edits) {
        step(history, edit);
        if (states.at(-1) !== edit) states.push(edit);
      }
      for (const state of states.toReversed().slice(1)) {
        expect(stepBack(history)).toBe(true);
        expect(history.present).toBe(state);
      }
      expect(stepBack(history)).toBe(false);
      for (const state of states.slice(1)) {
        expect(stepForth(history)).toBe(true);
        expect(history.present).toBe(state);
      }
      expect(stepForth(history)).toBe(false);
    }),
  );
});

test('what is typed on in one field is one step, and a new step ends the way forth', () => {
  const history = opened(0);
  step(history, 1);
  step(history, 2, true);
  expect(history).toEqual({ past: [0], present: 2, future: [] });
  stepBack(history);
  step(history, 3);
  expect(history).toEqual({ past: [0], present: 3, future: [] });
});

test('no more than the latest steps are kept, and nothing is stepped before a document is open', () => {
  const history = opened(0);
  for (let i = 1; i <= MOST_STEPS + 5; i++) step(history, i);
  expect(history.past).toHaveLength(MOST_STEPS);
  expect(history.past[0]).toBe(5);
  const none: History<number> = { past: [], present: undefined, future: [] };
  step(none, 1);
  expect([none.present, stepBack(none), stepForth(none)]).toEqual([undefined, false, false]);
});
