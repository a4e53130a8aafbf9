import { findContent } from '../design/visit';
import type { Item } from '../drawing';
import { STARTING_STANDARD } from '../standard';
import { oldBox, oldLine, oldText } from '../testing/oldLinework';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { convertLegacy } from './convert';

const ON = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };

/** An A3 sheet with a cell of 165 x 40 mm for a title, and one for its number. */
function converted(...texts: Item[]) {
  const items = [
    oldBox(0, 0, 420, 297),
    oldBox(20, 10, 390, 277),
    oldLine([245, 10, 245, 80]),
    oldLine([245, 80, 410, 80]),
    oldLine([245, 40, 410, 40]),
    oldText('SHEET NO', 248, 35, 1.8),
    oldText('A-101', 248, 14, 5),
    ...texts,
  ];
  return convertLegacy(
    { items, source: { format: 'test', version: '', entities: items.length }, dropped: [] },
    'x',
    ON,
  );
}

test('a value that stood off every edge of its cell is shifted to where it stood', () => {
  const { design, report } = converted(oldText('TITLE', 248, 75, 1.8), oldText('Roof plan', 290, 55, 3.5));
  const [own] = report.decisions.filter((each) => each.what.includes('Roof plan'));
  expect(findContent(design, own!.content!)!.content.shift).toBeDefined();
  expect(report.differences.filter((each) => each.what === 'text')).toEqual([]);
});

test('a value in its usual place has no shift', () => {
  const { design } = converted(oldText('TITLE', 246.2, 77, 1.8), oldText('Roof plan', 246.2, 42, 3.5));
  expect(JSON.stringify(design)).not.toContain('shift');
});

test('a title of three lines keeps its breaks and its place', () => {
  const lines = ['Ground floor plan', 'Sections A-A and B-B', 'Details of the roof'];
  const { values, report } = converted(
    oldText('TITLE', 248, 75, 1.8),
    ...lines.map((words, i) => oldText(words, 248, 62 - 5.25 * i, 3.5)),
  );
  expect(values['sheet.title']).toBe(lines.join('\n'));
  expect(report.differences.filter((each) => each.what === 'text')).toEqual([]);
});
