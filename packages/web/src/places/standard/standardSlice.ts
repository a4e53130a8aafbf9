import { createSlice } from '@reduxjs/toolkit';
import type { PayloadAction } from '@reduxjs/toolkit';
import type { OfficeStandard } from '@mendrel/core';
import type { History } from '../../app/history';
import { step, stepBack, stepForth } from '../../app/history';

/** What was typed into a field that cannot be read: kept as it is, with what is wrong, until it is mended. */
export interface Unread {
  text: string;
  message: string;
}

/** The draft of the office standard as it is being edited. */
export interface StandardEditState extends History<OfficeStandard> {
  /** The version on the server that editing started from. */
  version: number;
  saved: OfficeStandard | undefined;
  /** The field being typed in: what follows in it belongs to the same step. */
  field: string | undefined;
  /** Entries that cannot be read, by field. */
  unread: Record<string, Unread>;
}

const initialState: StandardEditState = {
  version: 0,
  saved: undefined,
  past: [],
  present: undefined,
  future: [],
  field: undefined,
  unread: {},
};

const slice = createSlice({
  name: 'standard',
  initialState,
  reducers: {
    standardOpened(_state, { payload }: PayloadAction<{ version: number; standard: OfficeStandard }>) {
      const { version, standard } = payload;
      return { ...initialState, version, saved: standard, present: standard };
    },
    standardEdited(state, { payload }: PayloadAction<{ standard: OfficeStandard; field?: string }>) {
      const { standard, field } = payload;
      if (!state.present || standard === state.present) return;
      step(state, standard, field !== undefined && field === state.field);
      state.field = field;
      if (field !== undefined) delete state.unread[field];
    },
    fieldLeft(state) {
      state.field = undefined;
    },
    entryUnread(state, { payload }: PayloadAction<Unread & { field: string }>) {
      const { field, text, message } = payload;
      state.unread[field] = { text, message };
    },
    entryDropped(state, { payload }: PayloadAction<string>) {
      delete state.unread[payload];
    },
    standardUndone(state) {
      if (!stepBack<OfficeStandard>(state)) return;
      state.field = undefined;
      state.unread = {};
    },
    standardRedone(state) {
      if (!stepForth<OfficeStandard>(state)) return;
      state.field = undefined;
      state.unread = {};
    },
    standardSaved(state, { payload }: PayloadAction<{ version: number; standard: OfficeStandard }>) {
      // The draft as it was sent: what was typed while the answer was on its way stays an unsaved edit.
      state.version = payload.version;
      state.saved = payload.standard;
    },
  },
});

export const {
  standardOpened,
  standardEdited,
  fieldLeft,
  entryUnread,
  entryDropped,
  standardUndone,
  standardRedone,
  standardSaved,
} = slice.actions;
export const standardReducer = slice.reducer;

/** Whether closing the window would lose edits of the standard. */
export const standardUnsaved = ({ standard }: { standard: StandardEditState }): boolean =>
  standard.present !== standard.saved || Object.keys(standard.unread).length > 0;
