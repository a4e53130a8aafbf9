import { correctionsForOther } from './correctionsForOther';
import type { ProposedParameter, ReportText } from './report';
import { setProposals } from './setProposals';

const text = (id: number, words: string, x: number, y: number, cell: string): ReportText => ({
  id,
  text: words,
  kind: 'note',
  parameter: null,
  role: null,
  x,
  y,
  height: 2.5,
  cell,
});

/** A sheet with two cells in the lower right corner of its frame, drawn in units of its own. */
function sheet(width: number, units: number, first: number, title: string) {
  const frame = { x: 20, y: 10, width: width - 30, height: 277 };
  const right = frame.x + frame.width;
  return {
    source: { format: '', version: '', unitsPerPaperMm: units, rotation: 0, origin: { x: 1000, y: -500 }, entities: 0 },
    sheet: { name: '', width, height: 297 },
    frame,
    cells: [
      { id: 'a', x: right - 180, y: 10, width: 90, height: 20 },
      { id: 'b', x: right - 90, y: 10, width: 90, height: 20 },
    ],
    texts: [text(first, title, right - 178, 14, 'a'), text(first + 1, 'MO', right - 88, 14, 'b')],
  };
}

describe('corrections of one sheet for another', () => {
  const one = sheet(420, 1, 5, 'Roof plan');
  const other = sheet(841, 50, 31, 'Section A-A');

  test('what a text is goes to the text in the same place of the block, whatever it says', () => {
    const field = { kind: 'field', parameter: 'sheet.title' } as const;
    expect(correctionsForOther({ texts: { 5: field } }, one, other).texts).toEqual({ 31: field });
  });

  test('a strip on the left keeps to the left edge, on a sheet of another size too', () => {
    const left = (width: number, id: number) => {
      const own = sheet(width, 1, id, 'Roof plan');
      const cells = own.cells.map((cell, i) => ({ ...cell, x: 20 + 90 * i }));
      return { ...own, cells, texts: own.texts.map((each, i) => ({ ...each, x: 22 + 90 * i })) };
    };
    const note = { kind: 'note' } as const;
    expect(correctionsForOther({ texts: { 5: note } }, left(594, 5), left(841, 31)).texts).toEqual({ 31: note });
  });

  test('a text with no counterpart is left as it was', () => {
    const without = { ...other, texts: other.texts.slice(1) };
    expect(correctionsForOther({ texts: { 5: { kind: 'note' } } }, one, without)).toEqual({});
  });

  test('cells that are one are so by their places, in the units of the other drawing', () => {
    const middle = (of: typeof one, i: number) => {
      const { x, y, width, height } = of.cells[i]!;
      const { origin, unitsPerPaperMm } = of.source;
      return { x: origin.x + unitsPerPaperMm * (x + width / 2), y: origin.y + unitsPerPaperMm * (y + height / 2) };
    };
    const joined = [[middle(one, 0), middle(one, 1)]];
    expect(correctionsForOther({ joined }, one, other).joined).toEqual([[middle(other, 0), middle(other, 1)]]);
  });

  test('layers, roles and lengths count for all; the sheet and the space are each one’s own', () => {
    const layers = { HELP: 'out' } as const;
    expect(correctionsForOther({ layers, asDrawn: true, space: 'Model', place: 2 }, one, other)).toEqual({
      layers,
      asDrawn: true,
    });
  });
});

describe('what the sheets of a set propose', () => {
  const proposal = (value: string, key = 'sheet.fireClass'): { proposals: ProposedParameter[] } => ({
    proposals: [{ caption: 'FIRE CLASS', key, name: 'Fire class', value, texts: [1] }],
  });

  test('the same value on all of them is the project’s, different ones are each sheet’s', () => {
    expect(setProposals([proposal('EI 60'), proposal('EI 60')])).toMatchObject([
      { key: 'project.fireClass', sheets: 2 },
    ]);
    expect(setProposals([proposal('EI 60', 'project.fireClass'), proposal('EI 90')])).toMatchObject([
      { key: 'sheet.fireClass', sheets: 2 },
    ]);
  });

  test('one sheet alone says no more than its words', () => {
    expect(setProposals([proposal('EI 60')])).toMatchObject([{ key: 'sheet.fireClass', sheets: 1 }]);
  });
});
