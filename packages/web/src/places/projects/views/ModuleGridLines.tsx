import Box from '@mui/material/Box';
import type { ModuleGrid } from '@mendrel/core';
import { moduleRect, modulesOf } from '@mendrel/core';
import { INKS } from '../../../app/inks';

/** The module grid under the linework, each module with its name. */
export function ModuleGridLines({ grid, paperHeight }: { grid: ModuleGrid; paperHeight: number }) {
  const modules = modulesOf(grid).map(({ label, column, row }) => ({ label, ...moduleRect(grid, column, row) }));
  const size = Math.min(grid.moduleWidth, grid.moduleHeight) * 0.11;
  return (
    <Box component="g" sx={{ pointerEvents: 'none' }} aria-hidden>
      {modules.map(({ label, x, y, width, height }) => (
        <g key={label}>
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
            {label}
          </text>
        </g>
      ))}
    </Box>
  );
}
