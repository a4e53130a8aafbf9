import type { Linework } from './linework';

/** Linework so many times as large, from 0, 0. */
export function scaledLinework(linework: readonly Linework[], factor: number): Linework[] {
  const places = (list: readonly number[]): number[] => list.map((value) => value * factor);
  const width = (piece: { width?: number | undefined }): { width?: number } =>
    piece.width === undefined ? {} : { width: piece.width * factor };
  return linework.map((piece): Linework => {
    switch (piece.kind) {
      case 'stroke':
        return { ...piece, ...width(piece), points: places(piece.points) };
      case 'fill':
        return { ...piece, rings: piece.rings.map(places) };
      case 'arc':
        return {
          ...piece,
          ...width(piece),
          centre: [piece.centre[0] * factor, piece.centre[1] * factor],
          radius: piece.radius * factor,
        };
    }
  });
}
