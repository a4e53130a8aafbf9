import type { SymbolContent } from '../../design';
import { composeSheet } from '../../compose';
import type { Item } from '../../drawing';
import type { Values } from '../../parameter';
import type { OfficeStandard, OwnSymbol } from '../../standard';
import { standardDifference, standardProblems, STARTING_STANDARD } from '../../standard';
import { cell, designWith } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';

/** A level line of 20 in a box of 20 x 10, turned about its left end. */
const POINTER: OwnSymbol = {
  id: 'pointer',
  name: 'Pointer',
  width: 20,
  height: 10,
  base: { x: 0, y: 5 },
  linework: [{ kind: 'stroke', points: [0, 5, 20, 5], closed: false }],
};
const STANDARD: OfficeStandard = { ...STARTING_STANDARD, symbols: [POINTER] };
const pointer: SymbolContent = {
  id: 's',
  kind: 'symbol',
  symbol: 'own',
  own: 'pointer',
  height: '10 mm',
  horizontal: 'centre',
  vertical: 'middle',
  rotation: 0,
};

/** A symbol in the middle of a cell of 62 x 62 mm with 1 mm around it, whose corner is at 20, 10. */
function drawn(content: SymbolContent, values: Values = {}, standard = STANDARD) {
  const root = { ...cell('root', [content]), padding: '1 mm' };
  const design = designWith(root, { dock: 'lower-left', width: '62 mm', height: '62 mm' });
  const on = { standard, typefaces: TEST_TYPEFACES };
  const layout = solveDesign(design, { size: 'ISO A1', values, ...on });
  const { items } = composeSheet(design, layout, { ...on, values });
  return {
    findings: layout.findings,
    items: items.filter((item) => item.cell === 'root' && !('closed' in item && item.closed)),
  };
}
const points = (items: readonly Item[]): number[] =>
  items.flatMap((item) => (item.kind === 'stroke' ? item.points.map((value) => Number(value.toFixed(6))) : []));

test('a symbol of the office stands at the height that the design says', () => {
  const { items, findings } = drawn({ ...pointer, height: '20 mm' });
  expect(points(items)).toEqual([31, 41, 71, 41]);
  expect(findings).toEqual([]);
});

test('data turns it clockwise about its base point, however it stands in its cell', () => {
  const turned = { ...pointer, turnedBy: 'project.northAngle' };
  // From 41, 41 to the right, and a quarter clockwise from there: down.
  expect(points(drawn(turned, { 'project.northAngle': '90°' }).items)).toEqual([41, 41, 41, 21]);
  expect(points(drawn(turned, { 'project.northAngle': '-90' }).items)).toEqual([41, 41, 41, 61]);
  const [, , x, y] = points(drawn({ ...turned, rotation: 90 }, { 'project.northAngle': '90°' }).items);
  const [x0, y0] = points(drawn({ ...turned, rotation: 90 }, { 'project.northAngle': '90°' }).items);
  expect([x! - x0!, y! - y0!]).toEqual([0, -20]);
});

test('the north arrow may follow another parameter than the project’s', () => {
  const north: SymbolContent = { ...pointer, symbol: 'north', turnedBy: 'sheet.subtitle' };
  delete north.own;
  const needle = (values: Values) => JSON.stringify(drawn(north, values).items);
  expect(needle({ 'sheet.subtitle': '30', 'project.northAngle': '0' })).toBe(needle({ 'sheet.subtitle': '30' }));
  expect(needle({ 'sheet.subtitle': '30' })).not.toBe(needle({ 'sheet.subtitle': '0' }));
});

test('where it would leave its cell it is moved into it; what is larger than the cell is told', () => {
  const turned = { ...pointer, height: '20 mm', turnedBy: 'project.northAngle' };
  // 40 mm down from the middle of 60 mm would be 10 mm too far.
  const down = drawn(turned, { 'project.northAngle': '90°' });
  expect(points(down.items)).toEqual([31, 51, 31, 11]);
  expect(down.findings).toEqual([]);
  expect(drawn({ ...turned, height: '40 mm' }, { 'project.northAngle': '90°' }).findings).toEqual([
    expect.objectContaining({ kind: 'spill', by: 20, message: expect.stringContaining('Pointer, turned by 90°,') }),
  ]);
});

test('a value that says no degrees is told, and so are one that is missing and a symbol that is gone', () => {
  const turned = { ...pointer, turnedBy: 'project.northAngle' };
  const messages = (content: SymbolContent, values: Values = {}, standard = STANDARD) =>
    drawn(content, values, standard).findings.map(({ message }) => message);
  expect(messages(turned, { 'project.northAngle': 'north-east' })).toEqual([
    'North angle is “north-east”, and a symbol is turned by degrees',
  ]);
  expect(messages(turned)).toEqual(['North angle is missing in the symbol']);
  expect(messages(pointer, {}, STARTING_STANDARD)).toEqual(['a symbol of the office is not in its standard any more']);
  expect(drawn(pointer, {}, STARTING_STANDARD).items).toEqual([]);
});

test('two of one name are a problem, and what changes of one is said without its places', () => {
  const twice = { ...STANDARD, symbols: [POINTER, { ...POINTER, id: 'other' }] };
  expect(standardProblems(twice)).toEqual([expect.objectContaining({ where: 'symbols.1.name' })]);
  const changed = { ...STANDARD, symbols: [{ ...POINTER, width: 24, linework: [] }] };
  expect(standardDifference(STANDARD, changed)).toEqual([
    { table: 'symbols', message: 'Symbol Pointer: width 20 mm → 24 mm; drawn differently' },
  ]);
  expect(standardDifference(STARTING_STANDARD, STANDARD)).toEqual([
    { table: 'symbols', message: 'Symbol Pointer is new' },
  ]);
});
