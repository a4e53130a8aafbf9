import type { OwnSymbol } from '@mendrel/core';
import { LineworkShapes } from '../../pictures/LineworkShapes';

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
        <LineworkShapes linework={linework} />
        <path
          d={`M${base.x - arm} ${base.y}H${base.x + arm}M${base.x} ${base.y - arm}V${base.y + arm}`}
          stroke="var(--mui-palette-error-main)"
          strokeWidth={2 * line}
        />
      </g>
    </svg>
  );
}
