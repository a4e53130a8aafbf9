import type { Cell, Design, Dock } from '../../design';
import { SHEET_SIZES, STARTING_STANDARD } from '../../standard';
import { starterDesign } from '../../starter';
import { caption, cell, designWith, divided, field } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import type { ConformityLine } from '.';
import { conformity, conformityPages } from '.';
import { DATA_FIELDS, longValues } from './dataFields';

const lines = (design: Design): ConformityLine[] => conformity(design, STARTING_STANDARD, TEST_TYPEFACES);
const line = (design: Design, standard: string, rule: string): ConformityLine =>
  lines(design).find((each) => each.standard === standard && each.rule === rule)!;
const block = (cells: Cell[], dock: Dock = 'lower-right', width = '180 mm', more: Partial<Design> = {}): Design =>
  designWith(
    divided(
      'root',
      'rows',
      cells.map(() => ({ share: 1 })),
      cells,
    ),
    { dock, width, ...(dock === 'right' ? {} : { height: '80 mm' }) },
    more,
  );
const WIDE = { fit: { lines: 1, condense: 1, steps: 0 } };

test('mandatory data fields that are not there are not met, those that may be there do not apply', () => {
  const design = block([cell('a', [field('number', '{sheet.number}', WIDE)])]);
  expect(line(design, 'ISO 7200', 'identification number, mandatory')).toMatchObject({ verdict: 'met', cells: ['a'] });
  expect(line(design, 'ISO 7200', 'title, mandatory')).toMatchObject({ verdict: 'not met', found: 'not there' });
  expect(line(design, 'ISO 7200', 'paper size')).toMatchObject({ verdict: 'does not apply' });
});

test('a data field has room for as many characters as are recommended, or says by how much they spill and where', () => {
  // Letters of 3.5 mm are 1.75 mm wide here: 25 of them take 43.75 mm.
  const title = field('title', '{sheet.title}', WIDE);
  expect(line(block([cell('a', [title])]), 'ISO 7200', 'title, characters')).toMatchObject({ verdict: 'met' });
  expect(line(block([cell('a', [title])], 'lower-right', '40 mm'), 'ISO 7200', 'title, characters')).toMatchObject({
    verdict: 'not met',
    found: expect.stringMatching(/^25 characters spill [\d.]+ mm on ISO A\d$/),
    cells: ['a'],
  });
});

test.each([
  ['180 mm', 'met', '180 mm on ISO A1'],
  ['190 mm', 'not met', '190 mm on ISO A1'],
])('a block that is %s wide is %s', (width, verdict, found) => {
  expect(line(block([cell('a')], 'lower-right', width), 'ISO 7200', 'width of the title block')).toMatchObject({
    verdict,
    found,
  });
});

test.each([
  ['170 mm', 'met'],
  // As wide as a title block is.
  ['180 mm', 'met'],
  ['175 mm', 'not met'],
  ['90 mm', 'not met'],
])('a strip at the right that is %s wide is %s', (width, verdict) => {
  const design = block([cell('a')], 'right', width);
  expect(line(design, 'ISO 9431', 'width of the space for text')).toMatchObject({ verdict });
  expect(line(design, 'ISO 7200', 'width of the title block')).toMatchObject({ verdict: 'does not apply' });
});

test('a block with the sheet number elsewhere than at the lower right is told with its cell', () => {
  const number = cell('a', [field('n', '{sheet.number}')]);
  const rule = 'place of the title block';
  expect(line(block([number]), 'ISO 5457', rule)).toMatchObject({ verdict: 'met', cells: ['a'] });
  expect(line(block([number], 'upper-left'), 'ISO 5457', rule)).toMatchObject({
    verdict: 'not met',
    found: 'not on ISO A1, ISO A3',
  });
});

test('margins of the standard are met, own ones are told by the sizes that have them', () => {
  expect(line(block([cell('a')]), 'ISO 5457', 'margins')).toMatchObject({ verdict: 'met' });
  const margins = { left: '25 mm', right: '10 mm', top: '10 mm', bottom: '10 mm' };
  const own = block([cell('a')]);
  expect(line({ ...own, frame: { ...own.frame, margins } }, 'ISO 5457', 'margins')).toMatchObject({
    verdict: 'not met',
    found: 'not on ISO A1, ISO A3',
  });
});

test('lettering of a height that ISO 3098 does not name is told', () => {
  const design = block([cell('a', [caption('c', 'Client')])]);
  expect(line(design, 'ISO 3098', 'heights of lettering')).toMatchObject({
    verdict: 'not met',
    found: '2 mm',
    cells: ['a'],
  });
  const nominal = block([cell('a', [caption('c', 'Client', { role: 'value' })])]);
  expect(line(nominal, 'ISO 3098', 'heights of lettering')).toMatchObject({ verdict: 'met' });
  expect(line(nominal, 'US National CAD Standard', 'least height of lettering')).toMatchObject({
    verdict: 'does not apply',
  });
});

test('a design in inches is looked at by the US National CAD Standard', () => {
  const sizes = SHEET_SIZES.filter(({ name }) => name === 'ARCH D');
  const design = starterDesign('right-strip', 'Strip', 'in', sizes, STARTING_STANDARD);
  expect(line(design, 'US National CAD Standard', 'least height of lettering')).toMatchObject({ verdict: 'met' });
  expect(line(design, 'ISO 5457', 'margins')).toMatchObject({ verdict: 'does not apply' });
});

test('room is looked at with as many characters as are asked for', () => {
  const values = longValues();
  for (const { keys, characters } of DATA_FIELDS)
    for (const key of keys) if (characters !== undefined) expect(values[key]).toHaveLength(characters);
});

test('every data field of ISO 7200 has a line, and every line says what was found and what is needed', () => {
  const all = lines(block([cell('a')]));
  for (const { name } of DATA_FIELDS) expect(all.some(({ rule }) => rule.startsWith(name))).toBe(true);
  for (const { found, needed } of all) expect([found, needed].every((words) => words.length > 0)).toBe(true);
});

test('standards that do not count for the office are left out', () => {
  const design = block([cell('a', [field('number', '{sheet.number}')])]);
  const counted = conformity(design, { ...STARTING_STANDARD, uncounted: ['ISO 7200', 'ISO 9431'] }, TEST_TYPEFACES);
  expect(counted).toEqual(lines(design).filter((each) => !['ISO 7200', 'ISO 9431'].includes(each.standard)));
});

test('the report stands on pages of A4, every word of it within the margins and no row on another', () => {
  const all = lines(block([cell('a', [field('number', '{sheet.number}')])]));
  const many = [...all, ...all, ...all, ...all, ...all];
  const pages = conformityPages(many, 'a design', TEST_TYPEFACES);
  expect(pages.length).toBeGreaterThan(1);
  for (const { items } of pages) {
    for (const item of items) {
      if (item.kind !== 'text') continue;
      expect(item.at.x + item.width).toBeLessThanOrEqual(195.01);
      expect(item.at.y).toBeGreaterThan(15);
    }
    const rules = items.flatMap((item) => (item.kind === 'stroke' ? [item.points[1]!] : []));
    expect(rules).toEqual([...rules].sort((a, b) => b - a));
  }
  const said = pages
    .flatMap(({ items }) => items.flatMap((item) => (item.kind === 'text' ? [item.text] : [])))
    .join(' ');
  for (const { rule } of all) for (const word of rule.split(' ')) expect(said).toContain(word);
});
