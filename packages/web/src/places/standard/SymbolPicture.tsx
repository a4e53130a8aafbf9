import type { Linework, OwnSymbol } from '@mendrel/core';
import { arcPoints } from '@mendrel/core';
import { linePath } from '../../paper/linePath';

/** The line of a piece that is no area. */
function lineOf(piece: Exclude<Linework, { kind: 'fill' }>): string {
  if (piece.kind === 'stroke') return linePath(piece.points, piece.closed);
  const [x, y] = piece.centre;
  return linePath(arcPoints({ ...piece, centre: { x, y } }), false);
}

/** A symbol as it was drawn, with a cross at its base point. */
export function SymbolPicture({ symbol, side }: { symbol: OwnSymbol; side: number }) {
  const { width, height, base, linework, name } = symbol;
  const most = Math.max(width, height);
  const margin = most / 12;
  const arm = most / 14;
  const line = most / 90;
  return (
    <svg
      role="img"
      aria-label={`Picture of ${name}`}
      width={side}
      height={side}
      viewBox={`${(width - most) / 2 - margin} ${(height - most) / 2 - margin} ${most + 2 * margin} ${most + 2 * margin}`}
    >
      <g transform={`matrix(1 0 0 -1 0 ${height})`} strokeWidth={line}>
        {linework.map((piece, i) =>
          piece.kind === 'fill' ? (
            <path
              key={i}
              d={piece.rings.map((ring) => linePath(ring, true)).join('')}
              fill="currentColor"
              fillRule="evenodd"
            />
          ) : (
            <path key={i} d={lineOf(piece)} fill="none" stroke="currentColor" />
          ),
        )}
        <path
          d={`M${base.x - arm} ${base.y}H${base.x + arm}M${base.x} ${base.y - arm}V${base.y + arm}`}
          stroke="var(--mui-palette-error-main)"
          strokeWidth={2 * line}
        />
      </g>
    </svg>
  );
}
