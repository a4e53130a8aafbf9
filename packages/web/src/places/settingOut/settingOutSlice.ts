import { createSlice } from '@reduxjs/toolkit';
import type { PayloadAction } from '@reduxjs/toolkit';
import type { Axis, Cell, Design, TryOn, Values } from '@mendrel/core';
import type { History } from '../../app/history';
import { step, stepBack, stepForth } from '../../app/history';

/** The design being edited, with everything that is not on the server. */
export interface SettingOutState extends Editing {
  /** Designs that were left with unsaved edits, by id: they are found again as they were. */
  left: Record<string, Editing>;
  tryOn: TryOn;
  /** The real sheet that is tried on in place of examples. */
  real: RealSheet | undefined;
  /** Values that are typed over those that are tried on, by the keys of their parameters. */
  typed: Values;
  /** The cell that was copied last; it may be put into another design. */
  copied: Cell | undefined;
  /** Whether a typed length counts for every size, or only for the one shown. */
  scope: EditScope;
}

export type EditScope = 'all' | 'size';

/** A sheet of a project, by their ids, and its number. */
export interface RealSheet {
  project: string;
  sheet: string;
  number: string;
}

/** What a drag in progress makes of the design. */
export interface Preview {
  design: Design;
  /** The divider that the pointer holds, by the track before it, and where the pointer is in the paper's window, in pixels. */
  held?: { axis: Axis; index: number; x: number; y: number };
}

/** A design as it comes from the server, and what is selected in it at first. */
export interface OpenedDesign {
  id: string;
  version: number;
  design: Design;
  selection: readonly string[];
}

/** One design and how far its editing has come. */
interface Editing extends History<Design> {
  id: string | undefined;
  /** The version on the server that editing started from. */
  version: number;
  saved: Design | undefined;
  /** A drag in progress; not in the history yet. */
  preview: Preview | undefined;
  /** Ids of what is selected: cells, or one thing that stands outside of cells. The last one is shown in detail. */
  selection: readonly string[];
  size: string;
}

const initialState: SettingOutState = {
  id: undefined,
  version: 0,
  saved: undefined,
  past: [],
  present: undefined,
  future: [],
  preview: undefined,
  selection: [],
  size: '',
  left: {},
  tryOn: 'typical',
  real: undefined,
  typed: {},
  copied: undefined,
  scope: 'all',
};

/** Makes a design the present one, with a way back. */
function keep(state: SettingOutState, design: Design): void {
  state.preview = undefined;
  step(state, design);
}

const slice = createSlice({
  name: 'settingOut',
  initialState,
  reducers: {
    designOpened(state, { payload }: PayloadAction<OpenedDesign>) {
      const { id, version, design, selection } = payload;
      const { left, tryOn, real, typed, copied, scope, ...editing } = state;
      const others = { ...left };
      if (editing.id !== undefined && editing.id !== id && editing.present !== editing.saved) {
        others[editing.id] = { ...editing, preview: undefined };
      }
      const again = editing.id === id ? undefined : others[id];
      delete others[id];
      if (again) return { ...again, left: others, tryOn, real, typed, copied, scope };
      return {
        ...initialState,
        id,
        version,
        saved: design,
        present: design,
        selection,
        size: (design.sizes.find((each) => each.size === 'ISO A1') ?? design.sizes[0])?.size ?? '',
        left: others,
        tryOn,
        real,
        typed,
        copied,
        scope,
      };
    },
    edited(state, { payload }: PayloadAction<Design>) {
      keep(state, payload);
    },
    previewed(state, { payload }: PayloadAction<Preview | undefined>) {
      state.preview = payload;
    },
    /** Keeps what a drag has come to. */
    dropped(state) {
      if (state.preview) keep(state, state.preview.design);
    },
    undone(state) {
      if (stepBack<Design>(state)) state.preview = undefined;
    },
    redone(state) {
      if (stepForth<Design>(state)) state.preview = undefined;
    },
    savedAs(state, { payload }: PayloadAction<{ version: number; design: Design }>) {
      state.version = payload.version;
      state.saved = payload.design;
    },
    selectedCell(state, { payload }: PayloadAction<string | undefined>) {
      state.selection = payload === undefined ? [] : [payload];
    },
    selectedCells(state, { payload }: PayloadAction<readonly string[]>) {
      state.selection = [...payload];
    },
    /** Adds a cell to the selection, or takes it out. */
    toggledCell(state, { payload }: PayloadAction<string>) {
      const others = state.selection.filter((each) => each !== payload);
      state.selection = others.length < state.selection.length ? others : [...others, payload];
    },
    copiedCell(state, { payload }: PayloadAction<Cell>) {
      state.copied = payload;
    },
    scopeChosen(state, { payload }: PayloadAction<EditScope>) {
      state.scope = payload;
    },
    sizeShown(state, { payload }: PayloadAction<string>) {
      state.size = payload;
    },
    triedOn(state, { payload }: PayloadAction<TryOn>) {
      state.tryOn = payload;
      state.real = undefined;
    },
    realTried(state, { payload }: PayloadAction<RealSheet>) {
      state.real = payload;
    },
    valuesTyped(state, { payload }: PayloadAction<Values>) {
      state.typed = payload;
    },
  },
});

export const {
  designOpened,
  edited,
  previewed,
  dropped,
  undone,
  redone,
  savedAs,
  selectedCell,
  selectedCells,
  toggledCell,
  copiedCell,
  scopeChosen,
  sizeShown,
  triedOn,
  realTried,
  valuesTyped,
} = slice.actions;
export const settingOutReducer = slice.reducer;

/** Whether closing the window would lose edits. */
export const hasUnsaved = ({ settingOut }: { settingOut: SettingOutState }): boolean =>
  settingOut.present !== settingOut.saved || Object.keys(settingOut.left).length > 0;

/** Applies an edit to the design as it is now. What the edit throws comes through. */
export const editDesign =
  (change: (design: Design) => Design) =>
  (dispatch: (action: unknown) => unknown, getState: () => { settingOut: SettingOutState }): void => {
    const { present } = getState().settingOut;
    if (present) dispatch(edited(change(present)));
  };
