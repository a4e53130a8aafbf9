import { cellsOf } from '../design';
import type { Item } from '../drawing';
import { solveDesign } from '../layout';
import { STARTING_STANDARD } from '../standard';
import { oldBox, oldLine, oldText } from '../testing/oldLinework';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { convertLegacy } from './convert';

const ON = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };

/** An A1 sheet with its frame, and what else is drawn on it. */
const designOf = (...more: Item[]) => {
  const items = [oldBox(0, 0, 841, 594), oldBox(20, 10, 811, 574), ...more];
  const drawing = { items, source: { format: 'dxf', version: '', entities: items.length }, dropped: [] };
  return convertLegacy(drawing, 'old', ON).design;
};

/** A grid of revisions with three columns and its headings below. */
function grid(x: number, y: number, width: number): Item[] {
  const [row, rows] = [6, 5];
  return [
    ...Array.from({ length: rows + 1 }, (_, i) => oldLine([x, y + i * row, x + width, y + i * row])),
    ...[0, 12, width - 20, width].map((at) => oldLine([x + at, y, x + at, y + rows * row])),
    ...['REV', 'DESCRIPTION', 'DATE'].map((words, i) => oldText(words, x + [1, 13, width - 19][i]!, y + 2, 1.8)),
  ];
}

test('a strip with a grid of revisions inside stays one strip, along the whole edge on every size', () => {
  const design = designOf(
    oldLine([741, 10, 741, 584]),
    oldLine([741, 40, 831, 40]),
    oldText('SHEET NO', 743, 36, 1.8),
    oldText('A-101', 743, 14, 7),
    oldLine([741, 100, 831, 100]),
    oldText('PROJECT', 743, 96, 1.8),
    oldText('Ferry Terminal', 743, 50, 5),
    ...grid(741, 100, 90),
  );
  expect(design.panels.map(({ dock }) => dock)).toEqual(['right']);
  const contents = [...cellsOf(design)].flatMap(({ cell }) => cell.contents);
  expect(contents.filter(({ kind }) => kind === 'table')).toHaveLength(1);
  for (const { size } of design.sizes) {
    const { panels, frame } = solveDesign(design, { size, values: {}, ...ON });
    expect(panels.map(({ y, height }) => [y, height])).toEqual([[frame.y, frame.height]]);
  }
});

test('a grid over a corner block of its width is part of the block; one beside it is a panel of its own', () => {
  const block = [
    oldLine([651, 10, 651, 50]),
    oldLine([651, 50, 831, 50]),
    oldLine([651, 30, 831, 30]),
    oldText('TITLE', 653, 46, 1.8),
    oldText('Roof plan', 653, 33, 5),
    oldText('SHEET NO', 653, 26, 1.8),
    oldText('A-101', 653, 13, 5),
  ];
  expect(designOf(...block, ...grid(651, 50, 180)).panels.map(({ dock }) => dock)).toEqual(['lower-right']);
  expect(designOf(...block, ...grid(531, 10, 120)).panels.map(({ name }) => name)).toContain('Revisions');
});
