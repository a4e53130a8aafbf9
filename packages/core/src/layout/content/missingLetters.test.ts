import { missingCharacters } from '../../lettering';
import type { Typefaces } from '../../lettering';
import { LETTERING_TYPEFACE, STARTING_STANDARD } from '../../standard';
import { EVERY_CONTENT } from '../../testing/contents';
import { caption, cell, designWith, field } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';

/** Latin letters alone. */
const latin = {
  ...TEST_TYPEFACES.get(LETTERING_TYPEFACE)!,
  name: 'Latin',
  has: (code: number) => code >= 0x20 && code < 0x250,
};
const typefaces: Typefaces = { get: () => latin };

test.each([
  ['Grundriss, 1. Stock', []],
  ['Plan Łódź', []],
  ['План 1', ['П', 'л', 'а', 'н']],
  ['A → B', ['→']],
  ['soft­hyphen\nand\tbreak​', []],
  ['🏠 house', ['🏠']],
])('of “%s” it lacks %j', (text, missing) => expect(missingCharacters(latin, text)).toEqual(missing));

test('a typeface without plain letters lacks those too', () => {
  expect(missingCharacters({ ...latin, has: () => false }, 'AB A')).toEqual(['A', 'B']);
});

test('what would print as a box is named where it stands, with its role', () => {
  const design = designWith(cell('c', [caption('title', 'Название'), field('f', '{sheet.title}')]), {
    dock: 'right',
    width: '90 mm',
  });
  const values = { 'sheet.title': 'Plan \u0007 →' };
  const { findings } = solveDesign(design, { size: 'ISO A1', values, standard: STARTING_STANDARD, typefaces });
  expect(findings).toEqual([
    expect.objectContaining({
      kind: 'characters',
      weight: 'error',
      message: 'Latin has no “Н”, “а”, “з”, “в”, “н” and 2 more, which print as boxes',
      where: { cell: 'c', content: 'title', role: expect.any(String) },
    }),
    expect.objectContaining({ message: 'Latin has no U+0007, “→”, which print as boxes' }),
  ]);
});

test('so is what stands under a line to sign on, or beside a tick box', () => {
  const signing = { ...EVERY_CONTENT.signing, size: '40 mm', pattern: '{sheet.checkedBy}' };
  const ticks = { ...EVERY_CONTENT.ticks, side: '3 mm', boxes: [{ value: 'x', words: 'План' }] };
  const contents = [signing, ticks].map((content) => ({ ...content, when: 'sheet.width > 1 mm' }));
  const design = designWith(cell('c', contents), { dock: 'right', width: '90 mm' });
  const values = { 'sheet.checkedBy': 'Ω. Lanyard' };
  const { findings } = solveDesign(design, { size: 'ISO A1', values, standard: STARTING_STANDARD, typefaces });
  const said = findings.flatMap(({ kind, message, where }) =>
    kind === 'characters' ? [[where.content, message]] : [],
  );
  expect(said).toEqual([
    ['signing-1', 'Latin has no “Ω”, which prints as a box'],
    ['ticks-1', 'Latin has no “П”, “л”, “а”, “н”, which print as boxes'],
  ]);
});
