import type { Finding } from '../check';
import { counted } from '../quantity';
import type { SheetLayout } from './sheetLayout';

/** Rows that a table leaves to the next one of its kind, where none goes on with them or the last has no room for all. */
export const rowsWithoutTable = ({ goingOn }: SheetLayout): Finding[] =>
  [...goingOn.values()].flatMap(({ left, cell, content, what }): Finding[] =>
    left === 0
      ? []
      : [
          {
            kind: 'spill',
            weight: 'error',
            message: `${counted(left, 'row')} of ${what} ${left === 1 ? 'has' : 'have'} no room, and no other table goes on with them`,
            where: { cell, content },
            mend: 'let another table of the same go on, make one of them higher, or choose what else becomes of these rows',
          },
        ],
  );
