import { useState } from 'react';
import InputBase from '@mui/material/InputBase';
import Paper from '@mui/material/Paper';
import Popper from '@mui/material/Popper';
import type { GridRenderEditCellParams } from '@mui/x-data-grid';
import { useGridApiContext } from '@mui/x-data-grid';
import { BREAK_HINT, keepsText } from '../../../app/typedBreaks';

/** Edits a text of a table that may have several lines, over the cell that it stands in. */
function LinesEditCell({ id, field, value, colDef }: GridRenderEditCellParams) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const grid = useGridApiContext();
  return (
    <div ref={setAnchor} style={{ alignSelf: 'flex-start', width: colDef.computedWidth, height: 0 }}>
      {anchor ? (
        <Popper open anchorEl={anchor} placement="bottom-start">
          <Paper elevation={2} sx={{ width: colDef.computedWidth, minHeight: 36, px: 3, py: 2 }}>
            <InputBase
              multiline
              fullWidth
              autoFocus
              maxRows={8}
              value={typeof value === 'string' ? value : ''}
              onFocus={({ target }) => target.setSelectionRange(target.value.length, target.value.length)}
              onChange={({ target }) => void grid.current.setEditCellValue({ id, field, value: target.value })}
              onKeyDown={(event) => {
                // The table ends an edit with Enter, whatever else is pressed.
                if (event.key === 'Enter' && event.shiftKey) event.stopPropagation();
                else keepsText(event);
              }}
              slotProps={{ input: { 'aria-label': colDef.headerName ?? field, title: BREAK_HINT } }}
            />
          </Paper>
        </Popper>
      ) : null}
    </div>
  );
}

/** For a column whose texts may have several lines. */
export const editLines = (params: GridRenderEditCellParams): React.ReactNode => <LinesEditCell {...params} />;
