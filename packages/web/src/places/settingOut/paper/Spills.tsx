import type { SheetLayout } from '@mendrel/core';

/** Marks texts that spill: an outline in the colour of conflicts, a triangle, and by how much. */
export function Spills({ layout, paperHeight }: { layout: SheetLayout; paperHeight: number }) {
  return layout.texts
    .filter((text) => text.fit === 'spills')
    .map((text) => {
      const first = text.lines[0] ?? text;
      const upright = text.rotation % 180 === 0;
      const block = Math.abs(upright ? first.y - text.y : first.x - text.x) + text.height;
      const turn = `rotate(${-text.rotation} ${text.x} ${paperHeight - text.y})`;
      return (
        <g key={text.content} transform={turn} pointerEvents="none">
          <rect
            x={text.x - 0.6}
            y={paperHeight - text.y - block - 0.6}
            width={text.width + 1.2}
            height={block + 1.2 + text.height * 0.3}
            fill="#b3402a"
            fillOpacity="0.08"
            stroke="#b3402a"
            strokeDasharray="5 3"
            strokeWidth="1.5"
            vectorEffect="non-scaling-stroke"
          />
          <text
            x={text.x + text.width + 1.4}
            y={paperHeight - text.y}
            fontSize="3"
            fill="#b3402a"
            fontFamily="Public Sans"
          >
            ▲ {text.by.toFixed(1)} mm
          </text>
        </g>
      );
    });
}
