import { useId } from 'react';
import Box from '@mui/material/Box';
import type { ModuleGrid, Rect } from '@mendrel/core';
import { moduleRect, modulesOf } from '@mendrel/core';
import { INKS } from '../app/inks';

/** The module grid under the linework, each module with its name; reserved ones are tinted. */
export function ModuleGridLines({ grid, paperHeight }: { grid: ModuleGrid; paperHeight: number }) {
  const modules = modulesOf(grid).map(({ name, label, column, row }) => ({
    label,
    reserved: grid.reserved.includes(name),
    ...moduleRect(grid, column, row),
  }));
  const size = Math.min(grid.moduleWidth, grid.moduleHeight) * 0.11;
  // Around panels in the corners: every second ring of the clip is a hole.
  const clip = useId();
  const box = ({ x, y, width, height }: Rect): string =>
    `M${x} ${paperHeight - y - height}h${width}v${height}h${-width}Z`;
  const panels = grid.claimed.filter(({ fixed }) => !fixed);
  return (
    <Box component="g" sx={{ pointerEvents: 'none' }} aria-hidden clipPath={`url(#${clip})`}>
      <clipPath id={clip}>
        <path clipRule="evenodd" d={[grown(grid.area), ...panels].map(box).join('')} />
      </clipPath>
      {modules.map(({ label, reserved, x, y, width, height }) => (
        <g key={label}>
          {reserved ? (
            <rect x={x} y={paperHeight - y - height} {...{ width, height }} fill={INKS.selected} fillOpacity={0.1} />
          ) : null}
          <path
            d={edges({ x, y: paperHeight - y - height, width, height })}
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

/** A little more than the drawing area, for the lines along its edge. */
const grown = ({ x, y, width, height }: Rect): Rect => ({ x: x - 1, y: y - 1, width: width + 2, height: height + 2 });

/** The edges of a module, each from its beginning: the dashes of two modules that share one lie over each other. */
const edges = ({ x, y, width, height }: Rect): string =>
  `M${x} ${y}h${width}M${x} ${y + height}h${width}M${x} ${y}v${height}M${x + width} ${y}v${height}`;
