import Box from '@mui/material/Box';
import type { ModuleGrid } from '@mendrel/core';
import { moduleName, moduleRect } from '@mendrel/core';
import { INKS } from '../../../app/inks';

/** The module grid under the linework, each module with its name. */
export function ModuleGridLines({ grid, paperHeight }: { grid: ModuleGrid; paperHeight: number }) {
  const modules = [];
  for (let row = 0; row < grid.rows; row++) {
    for (let column = 0; column < grid.columns; column++) {
      modules.push({ name: moduleName(column, row), ...moduleRect(grid, column, row) });
    }
  }
  const size = Math.min(grid.moduleWidth, grid.moduleHeight) * 0.11;
  return (
    <Box component="g" sx={{ pointerEvents: 'none' }} aria-hidden>
      {modules.map(({ name, x, y, width, height }) => (
        <g key={name}>
          <rect
            x={x}
            y={paperHeight - y - height}
            width={width}
            height={height}
            fill="none"
            stroke={INKS.selected}
            strokeOpacity="0.55"
            strokeDasharray="4 4"
            vectorEffect="non-scaling-stroke"
          />
          <text
            x={x + size * 0.4}
            y={paperHeight - y - height + size * 1.2}
            fontSize={size}
            fill={INKS.selected}
            fillOpacity="0.7"
            fontFamily="Public Sans"
          >
            {name}
          </text>
        </g>
      ))}
    </Box>
  );
}
