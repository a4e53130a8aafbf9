import type { Outline } from '@mendrel/core';
import { linePath } from '../paper/linePath';

/** The middle of a part's extent. */
function middleOf(ring: readonly number[]): { x: number; y: number } {
  const of = (odd: number): number => {
    const values = ring.filter((_, i) => i % 2 === odd);
    return (Math.min(...values) + Math.max(...values)) / 2;
  };
  return { x: of(0), y: of(1) };
}

interface Props {
  outline: Outline;
  label: string;
  /** Height in pixels; its width follows. */
  height: number;
}

/** An outline as it is, its parts tinted and numbered as they are listed. */
export function OutlinePicture({ outline: { width, height, parts, lines }, label, height: pixels }: Props) {
  const line = Math.max(width, height) / 150;
  return (
    <svg
      role="img"
      aria-label={label}
      height={pixels}
      viewBox={`${-line} ${-line} ${width + 2 * line} ${height + 2 * line}`}
      style={{ maxWidth: '100%', flex: 'none' }}
    >
      <g transform={`matrix(1 0 0 -1 0 ${height})`} stroke="currentColor" strokeWidth={line} strokeLinejoin="round">
        <path d={parts.map(({ ring }) => linePath(ring, true)).join('')} fill="currentColor" fillOpacity={0.12} />
        <path d={lines.map((points) => linePath(points, false)).join('')} fill="none" />
      </g>
      <g fill="currentColor" fontSize={Math.max(width, height) / 12} textAnchor="middle" dominantBaseline="central">
        {parts.map(({ ring }, i) => {
          const { x, y } = middleOf(ring);
          return (
            <text key={i} x={x} y={height - y}>
              {i + 1}
            </text>
          );
        })}
      </g>
    </svg>
  );
}
