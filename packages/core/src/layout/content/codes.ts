import { encode } from 'uqr';
import type { Finding } from '../../check';
import type { CodeContent, CodeLevel } from '../../design';
import { fillPattern } from '../../parameter';
import { amountInWords } from '../../quantity';
import type { BoxKind, PlacedBox, Room } from './kind';
import { missingValues } from './missingValues';
import { tooLarge } from './tooLarge';
import { within } from './within';

/** A code where it came to stand, with its squares from the top; none where there is nothing to say. */
export interface CodeLayout extends PlacedBox<CodeContent> {
  squares: readonly (readonly boolean[])[];
}

/** Clear squares around a code (ISO/IEC 18004, from memory). */
const CLEAR = 4;
/** Squares smaller than this are not read off a print by a telephone, in mm (common practice). */
const LEAST_SQUARE = 0.33;
/** More than this makes no code that anybody would put on a sheet; every level holds 1,273 bytes (ISO/IEC 18004, from memory). */
const MOST_BYTES = 600;

/** How many bytes a text takes as UTF-8, as codes hold it. */
function bytesOf(text: string): number {
  let bytes = 0;
  for (const character of text) {
    const code = character.codePointAt(0)!;
    bytes += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
  }
  return bytes;
}

type Squares = CodeLayout['squares'];
const known = new Map<string, Squares>();

/** The squares of a text, with the clear edge. Sheets are solved again and again with the same words. */
function squaresOf(text: string, level: CodeLevel): Squares {
  const key = `${level} ${text}`;
  let squares = known.get(key);
  if (!squares) {
    squares = encode(text, { ecc: level, border: CLEAR }).data;
    if (known.size > 200) known.clear();
    known.set(key, squares);
  }
  return squares;
}

/** A code stands at its exact side. */
export const codes: BoxKind<CodeContent, CodeLayout> = {
  extent: ({ side }, { length }) => ({ width: length(side), height: length(side) }),
  lay: (content, room) => {
    const { cell, inner, setting } = room;
    const extent = codes.extent(content, room);
    const filled = fillPattern(content.pattern, setting.values);
    const { text } = filled;
    const squares = text === '' || bytesOf(text) > MOST_BYTES ? [] : squaresOf(text, content.level);
    return {
      placed: { cell: cell.id, content, ...within(inner, extent, content), squares },
      findings: [
        ...tooLarge(
          extent,
          inner,
          room,
          content.id,
          'the QR code',
          (by) => `make it smaller, or the cell ${by} larger`,
        ),
        ...missingValues(content.id, 'the QR code', filled, room),
        ...unreadable(content, text, squares.length, extent.width, room),
      ],
    };
  },
  inOverlaps: () => 'the QR code',
};

/** What is said of a code that no camera reads off a print. */
function unreadable(content: CodeContent, text: string, count: number, side: number, { cell, unit }: Room): Finding[] {
  const where = { cell: cell.id, content: content.id };
  const bytes = bytesOf(text);
  if (bytes > MOST_BYTES) {
    return [
      {
        kind: 'room',
        weight: 'error',
        message: `the QR code holds ${bytes} bytes; it may hold ${MOST_BYTES}`,
        where,
        mend: 'let it say less',
      },
    ];
  }
  if (count === 0 || side / count >= LEAST_SQUARE) return [];
  const needed = count * LEAST_SQUARE;
  return [
    {
      kind: 'room',
      weight: 'error',
      message: `the squares of the QR code are ${amountInWords(side / count, unit)} wide, too small to be read off a print`,
      where,
      rule: 'common practice',
      mend: `make it ${amountInWords(Math.ceil(needed * 10) / 10, unit)} wide, or let it say less`,
    },
  ];
}
