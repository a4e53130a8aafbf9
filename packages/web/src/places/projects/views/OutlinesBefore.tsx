import Box from '@mui/material/Box';
import { useTypefaces } from '../../../app/typefaces';
import type { ProjectSheet } from '../sheetDrawings';
import { solvedFrom } from '../drawnSheets';

interface Props {
  current: ProjectSheet;
  sheets: readonly ProjectSheet[];
  paperHeight: number;
}

/** Where views stand on the sheet before of the same kind and size: what jumps from one to the next is seen. */
export function OutlinesBefore({ current, sheets, paperHeight }: Props) {
  const typefaces = useTypefaces();
  const alike = sheets.filter(({ sheet }) => sheet.kind === current.sheet.kind && sheet.size === current.sheet.size);
  const before = alike[alike.findIndex(({ sheet }) => sheet.id === current.sheet.id) - 1];
  const solved = before && solvedFrom(before, typefaces);
  if (!solved || 'problem' in solved) return null;
  return (
    <Box component="g" sx={{ pointerEvents: 'none' }} aria-label={`Outlines of ${before.sheet.number}`}>
      {solved.placed.map(({ view, x, y, width, height }) => (
        <Box
          component="rect"
          key={view.id}
          x={x}
          y={paperHeight - y - height}
          width={width}
          height={height}
          sx={{
            fill: 'warning.main',
            fillOpacity: 0.08,
            stroke: (theme) => theme.vars?.palette.warning.main ?? 'currentColor',
            strokeDasharray: '8 3 2 3',
            vectorEffect: 'non-scaling-stroke',
          }}
        />
      ))}
    </Box>
  );
}
