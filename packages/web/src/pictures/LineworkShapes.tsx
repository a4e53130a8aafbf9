import type { Linework } from '@mendrel/core';
import { arcPoints } from '@mendrel/core';
import { linePath } from '../paper/linePath';

/** The line of a piece that is no area. */
function lineOf(piece: Exclude<Linework, { kind: 'fill' }>): string {
  if (piece.kind === 'stroke') return linePath(piece.points, piece.closed);
  const [x, y] = piece.centre;
  return linePath(arcPoints({ ...piece, centre: { x, y } }), false);
}

/** Linework as shapes of an SVG, y up; what has no colour of its own in that of the words around it. */
export function LineworkShapes({ linework }: { linework: readonly Linework[] }) {
  return linework.map((piece, i) =>
    piece.kind === 'fill' ? (
      <path
        key={i}
        d={piece.rings.map((ring) => linePath(ring, true)).join('')}
        fill={piece.colour ?? 'currentColor'}
        fillRule="evenodd"
      />
    ) : (
      <path
        key={i}
        d={lineOf(piece)}
        fill="none"
        stroke={piece.colour ?? 'currentColor'}
        {...(piece.width === undefined ? {} : { strokeWidth: piece.width })}
      />
    ),
  );
}
