import type { Finding } from '../../check';
import { amountInWords } from '../../quantity';
import type { Room } from './kind';

interface Extent {
  width: number;
  height: number;
}

/**
 * What is said of a box that is larger than the room it stands in; nothing where it fits.
 * @param what the box within a sentence
 * @param mend what to do, by how much it is too large in words
 */
export function tooLarge(
  extent: Extent,
  room: Extent,
  { cell, unit }: Pick<Room, 'cell' | 'unit'>,
  content: string,
  what: string,
  mend: (by: string) => string,
): Finding[] {
  const over = Math.max(extent.width - room.width, extent.height - room.height);
  if (over <= 0.01) return [];
  const by = amountInWords(over, unit);
  return [
    {
      kind: 'spill',
      weight: 'error',
      message: `${what} is ${by} larger than its cell`,
      where: { cell: cell.id, content },
      by: over,
      mend: mend(by),
    },
  ];
}
