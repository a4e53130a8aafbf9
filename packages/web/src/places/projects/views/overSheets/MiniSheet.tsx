import Box from '@mui/material/Box';
import type { ModuleGrid, View } from '@mendrel/core';
import { placeViews } from '@mendrel/core';
import { INKS } from '../../../../app/inks';

interface Props {
  grid: ModuleGrid;
  views: readonly View[];
  /** Views that stay where they stand. */
  fixed: readonly View[];
  label: string;
}

/** The drawing area of a sheet in small, with its views as rectangles. */
export function MiniSheet({ grid, views, fixed, label }: Props) {
  const { area, claimed } = grid;
  const y = (rect: { y: number; height: number }): number => area.y + area.height - rect.y - rect.height;
  const stays = new Set(fixed);
  const { placed } = placeViews([...fixed, ...views], grid);
  return (
    <Box component="figure" sx={{ m: 0, width: 148 }}>
      <Box
        component="svg"
        viewBox={`0 0 ${area.width} ${area.height}`}
        role="img"
        aria-label={`${label}: ${placed.map(({ view }) => view.name).join(', ') || 'no views'}`}
        sx={{ display: 'block', width: '100%', bgcolor: 'office.sheet', border: 1, borderColor: 'divider' }}
      >
        {claimed.map((each, i) => (
          <rect
            key={i}
            x={each.x - area.x}
            y={y(each)}
            width={each.width}
            height={each.height}
            fill={INKS.selected}
            fillOpacity={0.12}
          />
        ))}
        {placed.map((each) => (
          <rect
            key={each.view.id}
            x={each.x - area.x}
            y={y(each)}
            width={each.width}
            height={each.height}
            fill={INKS.selected}
            fillOpacity={stays.has(each.view) ? 0.12 : 0.4}
            stroke={INKS.selected}
            vectorEffect="non-scaling-stroke"
          >
            <title>{`${each.view.name}, ${each.view.scale ?? 'not to scale'}`}</title>
          </rect>
        ))}
      </Box>
      <Box component="figcaption" sx={{ fontSize: '0.75rem', mt: 0.5 }}>
        {label}
      </Box>
    </Box>
  );
}
