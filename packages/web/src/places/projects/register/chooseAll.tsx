import { createContext, use, useLayoutEffect } from 'react';
import type { GridColDef } from '@mui/x-data-grid';
import {
  GRID_CHECKBOX_SELECTION_COL_DEF,
  gridTabIndexColumnHeaderSelector,
  useGridApiContext,
  useGridSelector,
} from '@mui/x-data-grid';
import { RowBox } from '../../../app/rowControls';

/** How many of the rows of a table are chosen, and what chooses all of them or none. */
export interface AllChosen {
  state: 'none' | 'some' | 'all';
  choose: (all: boolean) => void;
}

export const AllChosenContext = createContext<AllChosen>({ state: 'none', choose: () => undefined });

/** The box over the boxes of all rows. That of the grid looks at each row whenever one is another, which takes long with thousands. */
function ChooseAll({ field }: { field: string }) {
  const { state, choose } = use(AllChosenContext);
  const grid = useGridApiContext();
  const tab = useGridSelector(grid, gridTabIndexColumnHeaderSelector);
  const tabIndex = tab?.field === field ? 0 : -1;
  // The box takes the place of its heading among what Tab goes to.
  useLayoutEffect(() => {
    const heading = grid.current.getColumnHeaderElement(field);
    if (heading && tabIndex === 0) heading.tabIndex = -1;
  }, [grid, field, tabIndex]);
  return (
    <RowBox
      checked={state === 'all'}
      indeterminate={state === 'some'}
      tabIndex={tabIndex}
      onChange={() => choose(state !== 'all')}
      // The grid keeps Space from scrolling, and with it from the box.
      onKeyDown={({ key }) => key === ' ' && choose(state !== 'all')}
      slotProps={{ htmlInput: { 'aria-label': state === 'all' ? 'Unselect all rows' : 'Select all rows' } }}
    />
  );
}

/** The column of boxes that choose rows. */
export const CHECK_COLUMN: GridColDef = {
  ...GRID_CHECKBOX_SELECTION_COL_DEF,
  renderHeader: ({ field }) => <ChooseAll field={field} />,
};
