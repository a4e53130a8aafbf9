import type { OfficeStandard } from '@mendrel/core';
import { STARTING_STANDARD } from '@mendrel/core';
import type { StandardEditState } from './standardSlice';
import {
  entryDropped,
  entryUnread,
  fieldLeft,
  standardEdited,
  standardOpened,
  standardRedone,
  standardReducer,
  standardSaved,
  standardUndone,
  standardUnsaved,
} from './standardSlice';

type Action = Parameters<typeof standardReducer>[1];
const after = (...actions: Action[]): StandardEditState =>
  actions.reduce<StandardEditState>(standardReducer, standardReducer(undefined, { type: 'start' }));
const opened = standardOpened({ version: 3, standard: STARTING_STANDARD });
const least = (leastHeight: number): OfficeStandard => ({ ...STARTING_STANDARD, leastHeight });
const typed = (leastHeight: number) => standardEdited({ standard: least(leastHeight), field: 'leastHeight' });

test('what is typed into one field is one step; the next visit to it is another', () => {
  const state = after(opened, typed(1), typed(1.2), typed(1.25), fieldLeft(), typed(1.3));
  expect(state.past).toHaveLength(2);
  expect(standardReducer(state, standardUndone()).present?.leastHeight).toBe(1.25);
  const back = after(opened, typed(1), typed(1.2), standardUndone());
  expect(back.present).toBe(STARTING_STANDARD);
  expect(standardReducer(back, standardRedone()).present?.leastHeight).toBe(1.2);
});

test('an edit after undo forgets what was undone', () => {
  const state = after(opened, typed(1), standardUndone(), standardEdited({ standard: least(2) }));
  expect(state.future).toEqual([]);
  expect(standardReducer(state, standardRedone())).toBe(state);
});

test('an entry that cannot be read is kept and counts as unsaved until it is mended or dropped', () => {
  const entry = entryUnread({ field: 'leastHeight', text: 'wide', message: 'a number' });
  const state = after(opened, entry);
  expect(state.unread['leastHeight']).toEqual({ text: 'wide', message: 'a number' });
  expect(standardUnsaved({ standard: state })).toBe(true);
  expect(standardUnsaved({ standard: after(opened, entry, entryDropped('leastHeight')) })).toBe(false);
  expect(after(opened, entry, typed(1.5)).unread).toEqual({});
});

test('saving keeps what was typed while the answer was on its way', () => {
  const sent = least(1);
  const saved = standardSaved({ version: 4, standard: sent });
  const edit = standardEdited({ standard: sent });
  expect(standardUnsaved({ standard: after(opened, edit, saved) })).toBe(false);
  const busy = after(opened, edit, typed(1.1), saved);
  expect(busy.present?.leastHeight).toBe(1.1);
  expect(busy.version).toBe(4);
  expect(standardUnsaved({ standard: busy })).toBe(true);
});
