import type { Linework, OwnSymbol } from '@mendrel/core';

const path = (points: readonly number[], closed: boolean): string => {
  const places = Array.from(
    { length: Math.floor(points.length / 2) },
    (_, i) => `${points[2 * i]} ${points[2 * i + 1]}`,
  );
  return `M${places.join('L')}${closed ? 'Z' : ''}`;
};

function arcPath({ centre: [x, y], radius, from, to }: Extract<Linework, { kind: 'arc' }>): string {
  const sweep = (((to - from) % 360) + 360) % 360 || 360;
  const count = Math.max(2, Math.ceil(sweep / 6));
  const places = Array.from({ length: count + 1 }, (_, i) => {
    const angle = ((from + (sweep * i) / count) * Math.PI) / 180;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });
  return path(places.flat(), sweep === 360);
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
              d={piece.rings.map((ring) => path(ring, true)).join('')}
              fill="currentColor"
              fillRule="evenodd"
            />
          ) : (
            <path
              key={i}
              d={piece.kind === 'stroke' ? path(piece.points, piece.closed) : arcPath(piece)}
              fill="none"
              stroke="currentColor"
            />
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
