import * as fontkit from 'fontkit';
import { fitText, STARTING_STANDARD } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypefaces } from '@mendrel/formats/typeface';
import { inTurns, report, wait } from './measure';

/** What fitting fifty texts may take once their letters have been seen, in ms. */
const ALLOWED = 1;
const TEXTS = 50;
/** How many times quicker than shaping each text it has to be. */
const QUICKER = 50;

/** Fifty texts wrapped, condensed or stepped down into rooms of their cells, against the time allowed and against shaping each once. */
export function benchFitting(): void {
  const files = shippedFontFiles();
  const typefaces = readTypefaces(files);
  const role = STARTING_STANDARD.roles.find(({ id }) => id === 'value')!;
  const typeface = typefaces.get(role.typeface)!;
  const texts = Array.from({ length: TEXTS }, (_, i) => `Ground floor plan, part ${i}, with pontoon and gangway`);
  const policy = { lines: 2, condense: 0.85, steps: 1 };
  const fit = (): void => {
    for (const [i, text] of texts.entries()) {
      const room = { width: 30 + i, height: 14 };
      fitText(text, role, typeface, room, policy, STARTING_STANDARD.heights);
    }
  };
  report(
    `Fitting ${TEXTS} texts, warm`,
    `the ${ALLOWED} ms it may take`,
    inTurns(fit, () => wait(ALLOWED), 200),
  );
  const font = fontkit.create(files.get(role.typeface)! as Buffer);
  if (!('layout' in font)) return;
  const shape = (): void => texts.forEach((text) => void font.layout(text).advanceWidth);
  report(`Fitting ${TEXTS} texts (wanted: 1/${QUICKER})`, 'shaping each once with fontkit', inTurns(fit, shape, 50));
}
