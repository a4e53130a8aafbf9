import { plainStrip } from '../../testing/plainStrip';
import { opened } from './opened';
import {
  dropped,
  edited,
  hasUnsaved,
  previewed,
  realTried,
  valuesTyped,
  redone,
  savedAs,
  settingOutReducer,
  triedOn,
  undone,
} from './settingOutSlice';

const design = plainStrip();
const start = settingOutReducer(undefined, opened({ id: 'one', version: 3, design }));
const named = (name: string) => ({ ...design, name });

test('opens on the cell that says which project it is', () => {
  expect(start).toMatchObject({ selection: ['cell-2'], size: 'ISO A1', version: 3 });
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
  const dragging = settingOutReducer(start, previewed({ design: named('dragged') }));
  expect(dragging).toMatchObject({ present: design, past: [] });
  const kept = settingOutReducer(dragging, dropped());
  expect([kept.preview, kept.present?.name]).toEqual([undefined, 'dragged']);
  expect(kept.past).toEqual([design]);
  expect(settingOutReducer(kept, dropped())).toBe(kept);
});

test('saving keeps the history', () => {
  const state = settingOutReducer(
    settingOutReducer(start, edited(named('A'))),
    savedAs({ version: 4, design: named('A') }),
  );
  expect(state.version).toBe(4);
  expect(settingOutReducer(state, undone()).present).toBe(design);
});

describe('a design that is left with unsaved edits', () => {
  const left = settingOutReducer(
    settingOutReducer(start, edited(named('Mine'))),
    opened({ id: 'two', version: 1, design }),
  );

  test('is found again as it was, with its history', () => {
    const back = settingOutReducer(left, opened({ id: 'one', version: 3, design }));
    expect(back).toMatchObject({ id: 'one', version: 3, left: {} });
    expect(back.present?.name).toBe('Mine');
    expect(settingOutReducer(back, undone()).present).toBe(design);
  });

  test('keeps the version it was edited from, so that saving over a newer one is refused', () => {
    expect(settingOutReducer(left, opened({ id: 'one', version: 9, design: named('Theirs') }))).toMatchObject({
      version: 3,
    });
  });

  test('keeps the window from closing unasked; a saved one does not', () => {
    expect(hasUnsaved({ settingOut: left })).toBe(true);
    expect(hasUnsaved({ settingOut: start })).toBe(false);
  });

  test('is let go when the version of the server is taken instead', () => {
    const mine = settingOutReducer(start, edited(named('Mine')));
    expect(settingOutReducer(mine, opened({ id: 'one', version: 4, design: named('Theirs') }))).toMatchObject({
      version: 4,
      left: {},
    });
  });
});

test('values that are typed over stay from design to design, and over whatever is tried on', () => {
  const typed = { 'sheet.title': 'Plant room' };
  const over = settingOutReducer(start, valuesTyped(typed));
  expect(settingOutReducer(over, opened({ id: 'two', version: 1, design })).typed).toEqual(typed);
  expect(settingOutReducer(over, triedOn('longest')).typed).toEqual(typed);
});

test('a real sheet that is tried on stays from design to design, until examples are chosen again', () => {
  const sheet = { project: 'p', sheet: 's', number: 'A-101' };
  const tried = settingOutReducer(start, realTried(sheet));
  expect(settingOutReducer(tried, opened({ id: 'two', version: 1, design })).real).toEqual(sheet);
  expect(settingOutReducer(tried, triedOn('longest'))).toMatchObject({ real: undefined, tryOn: 'longest' });
});
