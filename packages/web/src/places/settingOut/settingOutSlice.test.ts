import { starterDesign } from '../designs/starter';
import { edited, opened, previewed, redone, savedAs, settingOutReducer, undone } from './settingOutSlice';

const design = starterDesign();
const start = settingOutReducer(undefined, opened({ id: 'one', version: 3, design }));
const named = (name: string) => ({ ...design, name });

test('opens on the cell that says which project it is', () => {
  expect(start).toMatchObject({ selected: 'cell-2', size: 'ISO A1', version: 3 });
});

test('steps back and forth through edits; a new edit ends what was undone', () => {
  let state = [named('A'), named('B')].reduce((at, next) => settingOutReducer(at, edited(next)), start);
  state = settingOutReducer(state, undone());
  expect(state.present?.name).toBe('A');
  state = settingOutReducer(settingOutReducer(state, undone()), undone());
  expect(state.present).toBe(design);
  state = settingOutReducer(state, redone());
  expect(state.present?.name).toBe('A');
  state = settingOutReducer(state, edited(named('C')));
  expect(settingOutReducer(state, redone()).present?.name).toBe('C');
});

test('a drag in progress is not in the history until it is dropped', () => {
  const dragging = settingOutReducer(start, previewed(named('dragged')));
  expect(dragging).toMatchObject({ present: design, past: [] });
  const dropped = settingOutReducer(dragging, edited(named('dragged')));
  expect(dropped.preview).toBeUndefined();
  expect(dropped.past).toHaveLength(1);
});

test('saving keeps the history', () => {
  const state = settingOutReducer(
    settingOutReducer(start, edited(named('A'))),
    savedAs({ version: 4, design: named('A') }),
  );
  expect(state.version).toBe(4);
  expect(settingOutReducer(state, undone()).present).toBe(design);
});
