import type { Finding } from '../../check';
import type { Signing } from '../../design';
import { SIGNING_WORDS } from '../../design';
import { textWidth } from '../../lettering';
import { fillPattern } from '../../parameter';
import { amountInWords } from '../../quantity';
import type { BoxKind, Measuring, PlacedBox, Room } from './kind';
import { missingInWords } from './missingLetters';
import { missingValues } from './missingValues';
import { tooLarge } from './tooLarge';
import { unknownRoles } from './unknownRoles';
import { within } from './within';

/** A line to sign on or a seal's circle where it came to stand, with its words; lengths in mm. */
export interface SigningLayout extends PlacedBox<Signing> {
  size: number;
  words: { text: string; x: number; y: number; width: number };
}

/** From the line down to the tops of the letters under it, as a part of their height. */
const UNDER_LINE = 0.5;
/** Part of a circle's diameter that words in its middle may take. */
const IN_CIRCLE = 0.86;

type Measured = Pick<SigningLayout, 'size' | 'words'> & { width: number; height: number };

function measured(content: Signing, { setting, length }: Measuring): Measured {
  const size = length(content.size);
  const role = setting.standard.roles.find((each) => each.id === content.role);
  const typeface = role && setting.typefaces.get(role.typeface);
  const filled = role && typeface ? fillPattern(content.pattern, setting.values).text : '';
  const text = role?.capitals ? filled.toUpperCase() : filled;
  const width = role && typeface ? textWidth(typeface, text, role.height, role.widthFactor) : 0;
  const letters = role?.height ?? 0;
  if (content.form === 'circle') {
    const words = { text, x: (size - width) / 2, y: (size - letters) / 2, width };
    return { size, words, width: size, height: size };
  }
  // Room for words is kept without them too, so that lines beside each other stay level.
  const height = content.pattern === '' ? 0 : letters * (1 + UNDER_LINE);
  return { size, words: { text, x: 0, y: 0, width }, width: size, height };
}

/** A line or circle stands at its exact size; words stand under the line, or in the middle of the circle. */
export const signings: BoxKind<Signing, SigningLayout> = {
  extent: (content, by) => {
    const { width, height } = measured(content, by);
    return { width, height };
  },
  lay: (content, room) => {
    const { cell, inner } = room;
    const { size, words, ...extent } = measured(content, room);
    const at = within(inner, extent, content);
    const what = `the ${SIGNING_WORDS[content.form].toLowerCase()}`;
    return {
      placed: { cell: cell.id, content, ...at, size, words: { ...words, x: at.x + words.x, y: at.y + words.y } },
      findings: [
        ...tooLarge(extent, inner, room, content.id, what, (by) => `make it ${by} smaller, or the cell ${by} larger`),
        ...missingValues(content.id, what, fillPattern(content.pattern, room.setting.values), room),
        ...unknownRoles(content.pattern === '' ? [] : [content.role], room, content.id, what),
        ...longWords(content, words.width, size, room),
        ...missingInWords(words.text, content.role, content.id, room),
      ],
    };
  },
  inOverlaps: ({ form }) => `the ${SIGNING_WORDS[form].toLowerCase()}`,
};

/** Words that reach beyond their line or out of their circle. */
function longWords(content: Signing, width: number, size: number, { cell, unit }: Room): Finding[] {
  const over = width - (content.form === 'circle' ? IN_CIRCLE * size : size);
  if (over <= 0.01) return [];
  const by = amountInWords(over, unit);
  return [
    {
      kind: 'spill',
      weight: 'error',
      message: `the words of the ${SIGNING_WORDS[content.form].toLowerCase()} are ${by} too wide for it`,
      where: { cell: cell.id, content: content.id },
      by: over,
      mend:
        content.form === 'circle'
          ? 'make the circle larger, or let it say less'
          : 'make the line longer, or let it say less',
    },
  ];
}
