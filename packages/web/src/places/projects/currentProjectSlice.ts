import { createSlice } from '@reduxjs/toolkit';
import type { PayloadAction } from '@reduxjs/toolkit';

interface State {
  /** The project that was looked at last. */
  id: string | undefined;
}

const initialState: State = { id: undefined };

/** Which project somebody is at work on: other places begin with it. */
const slice = createSlice({
  name: 'currentProject',
  initialState,
  reducers: {
    projectVisited(state, action: PayloadAction<string>) {
      state.id = action.payload;
    },
  },
});

export const { projectVisited } = slice.actions;
export const currentProjectReducer = slice.reducer;
