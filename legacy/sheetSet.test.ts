import { readFileSync } from 'node:fs';
import type { ReadDrawing } from '@mendrel/core';
import { convertSpaces, parametersOf, sheetGroups, STARTING_STANDARD } from '@mendrel/core';
import { readDxf, readTypefaces, spacesOf } from '@mendrel/formats';
import { shippedFontFiles } from '@mendrel/fonts/files';

const on = { standard: STARTING_STANDARD, typefaces: readTypefaces(shippedFontFiles()) };
const parameters = parametersOf(STARTING_STANDARD);

/** A drawing of demo/legacy with some of its words changed, as a sheet of a set. */
function sheet(file: string, id: string, changes: Record<string, string>): ReadDrawing {
  let text = readFileSync(`demo/legacy/${file}.dxf`, 'latin1');
  for (const [from, to] of Object.entries(changes)) text = text.replace(from, to);
  const { design, report, values } = convertSpaces(spacesOf(readDxf(Buffer.from(text, 'latin1'))), id, on);
  return { id, name: id, design, report, values };
}

const TITLES = ['Ground floor plan', 'First floor plan', 'Roof plan', 'North elevation', 'Section AA'];
const corner = TITLES.map((title, i) =>
  sheet('corner-block-a1', `corner-${i}`, {
    'BFT-A-101': `BFT-A-${101 + i}`,
    'Ground floor plan': title,
    ...(i === 3 ? { 'Brackenmouth Harbour Trust': 'Brackenmouth Harbor Trust' } : {}),
  }),
);

test('sheets with one block become one design with a set of values for each; others stand apart', () => {
  const other = sheet('scaled-model-a3', 'other', {});
  const [group, rest, ...more] = sheetGroups([other, ...corner], parameters, on);
  expect(more).toEqual([]);
  expect(rest!.sheets.map(({ drawing }) => drawing)).toEqual(['other']);
  expect(group!.sheets.map(({ number, title }) => `${number} ${title}`)).toEqual(
    TITLES.map((title, i) => `BFT-A-${101 + i} ${title}`),
  );
  for (const each of group!.sheets) expect(each.cells.same).toBe(each.cells.all);
  expect(group!.projectValues['project.name']).toBe('Brackenmouth Ferry Terminal');
  expect(group!.disagreements).toEqual([
    {
      parameter: 'project.client',
      taken: 'Brackenmouth Harbour Trust',
      others: [{ value: 'Brackenmouth Harbor Trust', drawings: ['corner-3'] }],
    },
  ]);
});

test('numbers that stand twice are told apart, and what is computed is said to stay behind', () => {
  const [group] = sheetGroups([corner[0]!, { ...corner[0]!, id: 'again' }], parameters, on);
  expect(group!.sheets.map(({ number }) => number)).toEqual(['BFT-A-101', 'BFT-A-101 (2)']);
  expect(group!.sheets[1]!.remarks).toContain('there are several sheets BFT-A-101');
  expect(group!.sheets[0]!.remarks).toEqual([]);
  expect(group!.leftOut).toEqual(['sheet.scale']);
  // The code in the block is a revision of the sheet.
  expect(group!.sheets[0]!.revisions).toEqual([{ code: 'B', date: '', description: '' }]);
});

test('the order in which drawings come does not matter for what belongs together', () => {
  const forward = sheetGroups(corner, parameters, on);
  const backward = sheetGroups([...corner].reverse(), parameters, on);
  expect(backward.map(({ sheets }) => sheets.map(({ number }) => number))).toEqual(
    forward.map(({ sheets }) => sheets.map(({ number }) => number)),
  );
});

test('filled rows come along: revisions with their sheet, contacts with the project from the sheet that has the most', () => {
  const box = { x: 0, y: 0, width: 90, height: 40 };
  const withRows = (drawing: ReadDrawing, firms: readonly string[]): ReadDrawing => ({
    ...drawing,
    report: {
      ...drawing.report,
      tables: [
        { ...box, kind: 'revisions', columns: ['Rev', 'Description', 'Date'] },
        { ...box, kind: 'contacts', columns: ['Discipline', 'Firm'] },
      ],
      filledRows: [
        { table: 0, texts: ['A', 'First issue', '14.02.2031'] },
        { table: 0, texts: ['B', 'Doors', '21.03.2031'] },
        ...firms.map((firm) => ({ table: 1, texts: ['Structure', firm] })),
      ],
    },
  });
  const [first, second] = corner;
  const drawings = [withRows(first!, ['Tarn']), withRows(second!, ['Tarn', 'Copperline'])];
  const [group] = sheetGroups(drawings, parameters, on);
  expect(group!.tables).toEqual({
    contacts: [
      { discipline: 'Structure', firm: 'Tarn' },
      { discipline: 'Structure', firm: 'Copperline' },
    ],
  });
  // The code in the block is that of the last row.
  expect(group!.sheets[0]!.revisions).toEqual([
    { code: 'A', description: 'First issue', date: '14.02.2031' },
    { code: 'B', description: 'Doors', date: '21.03.2031' },
  ]);
});
