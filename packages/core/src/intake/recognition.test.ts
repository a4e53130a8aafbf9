import fc from 'fast-check';
import type { Item } from '../drawing';
import { rectPoints } from '../drawing';
import type { Rect } from '../geometry';
import { readCell } from './cellTexts';
import type { FoundCell } from './builtDesign';
import { facesOf } from './faces';
import type { LegacyText } from './legacyText';
import { closedLines, ruledLines } from './linework';
import { groupFaces, partition, rectangles, tidy, tracksOf } from './partition';
import { readNeighbours } from './neighbours';
import { findTables } from './tables';
import { TOLERANCE } from './tolerances';
import { oldLine, readOldText as text } from '../testing/oldLinework';

const stroke = (points: number[], closed = false): Item => oldLine(points, { closed, layer: 'L' });
const MM = { unit: 'mm', asDrawn: false } as const;
const rect = (x: number, y: number, width: number, height: number): Rect => ({ x, y, width, height });

describe('ruled lines', () => {
  test('pieces that overlap, repeat or nearly meet are one line', () => {
    const lines = ruledLines(
      [stroke([0, 0, 40, 0]), stroke([39, 0, 80, 0]), stroke([0, 0.05, 40, 0.05]), stroke([80.1, 0, 100, 0])],
      0.12,
    );
    expect(lines).toHaveLength(1);
    expect(lines[0]!.spans).toHaveLength(1);
    expect(lines[0]!.spans[0]![0]).toBeCloseTo(0, 6);
    expect(lines[0]!.spans[0]![1]).toBeCloseTo(100, 6);
  });

  test('slanting linework is none, a hand’s tremble is', () => {
    expect(ruledLines([stroke([0, 0, 100, 20])], 0.12)).toEqual([]);
    expect(ruledLines([stroke([0, 0, 100, 0.06])], 0.12)).toHaveLength(1);
  });

  // However a line is cut into pieces, it has the same ink.
  test('ink does not depend on how lines are cut', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 99 }), { maxLength: 10 }), (cuts) => {
        const stops = [0, ...cuts.sort((a, b) => a - b), 100];
        const pieces = stops.slice(1).map((to, i) => stroke([stops[i]!, 5, to, 5]));
        const [line] = ruledLines(pieces, 0.12);
        expect(line!.spans.reduce((sum, [from, to]) => sum + to - from, 0)).toBeCloseTo(100, 6);
      }),
    );
  });
});

describe('regions between lines', () => {
  // Dividers that continue each other may both end short of the line between them, by up to 0.5 mm, and may be a little out of line.
  test.each([0, 0.1, 0.24, 0.25, 0.3, 0.4, 0.48, 0.5])('dividers that end %s mm short of a line bound cells', (gap) => {
    for (const [over, under] of [
      [gap, 0],
      [0, gap],
      [gap, gap],
    ] as const) {
      for (const beside of [0, 0.05, 0.3]) {
        const { lines } = closedLines(
          [
            stroke([0, 0, 400, 0, 400, 300, 0, 300], true),
            stroke([200, 60, 400, 60]),
            stroke([200, 0, 200, 60]),
            stroke([200, 30, 400, 30]),
            stroke([300, 30 + over, 300, 60]),
            stroke([300 + beside, 0, 300 + beside, 30 - under]),
          ],
          TOLERANCE,
        );
        const { cells } = facesOf(lines, rect(0, 0, 400, 300), 3 * TOLERANCE);
        expect([over, under, beside, cells.length]).toEqual([over, under, beside, 4]);
      }
    }
  });

  const frame = rect(0, 0, 400, 300);
  const lines = (...boxes: Rect[]) =>
    ruledLines(
      boxes.map((each) => stroke(rectPoints(each), true)),
      0.12,
    );

  test('are cells, with the largest as the drawing area', () => {
    const { cells, odd, drawingArea } = facesOf(
      lines(frame, rect(300, 0, 100, 40), rect(300, 40, 100, 60)),
      frame,
      0.3,
    );
    expect(cells).toEqual([rect(300, 40, 100, 60), rect(300, 0, 100, 40)]);
    expect(odd).toEqual([]);
    expect(drawingArea).toEqual(frame);
  });

  test('a line that ends halfway closes nothing off', () => {
    const open = [...lines(frame, rect(300, 0, 100, 100)), ...ruledLines([stroke([300, 50, 350, 50])], 0.12)];
    expect(facesOf(open, frame, 0.3).cells).toEqual([rect(300, 0, 100, 100)]);
  });

  test('an L is reported as odd, not as a cell', () => {
    const { cells, odd } = facesOf(lines(frame, rect(300, 0, 100, 100), rect(300, 0, 50, 50)), frame, 0.3);
    expect(cells).toEqual([rect(300, 0, 50, 50)]);
    expect(odd).toEqual([rect(300, 0, 100, 100)]);
  });
});

describe('dividing a block', () => {
  const make = (face: Rect) => ({ id: `f-${face.x}-${face.y}`, name: '', contents: [] });
  let ids = 0;
  const nextId = (): string => `g-${++ids}`;

  test('cuts go through where they can, rows from the top', () => {
    const faces = [rect(0, 0, 100, 20), rect(0, 20, 60, 30), rect(60, 20, 40, 30)];
    const root = partition(faces, make, nextId, MM);
    expect(root.division?.rows).toEqual([{ share: 1 }, { fixed: '20 mm' }]);
    expect(root.division?.children[0]?.cell.division?.columns).toEqual([{ share: 1 }, { fixed: '40 mm' }]);
  });

  test('a pinwheel is held as cells that span tracks', () => {
    const faces = [
      rect(0, 40, 60, 20),
      rect(60, 20, 20, 40),
      rect(20, 0, 60, 20),
      rect(0, 0, 20, 40),
      rect(20, 20, 40, 20),
    ];
    const { division } = partition(faces, make, nextId, MM);
    expect([division?.columns.length, division?.rows.length]).toEqual([3, 3]);
    expect(division?.children.filter((child) => child.columnSpan * child.rowSpan === 2)).toHaveLength(4);
  });

  test('an L comes apart into rectangles', () => {
    const parts = rectangles([rect(0, 0, 100, 20), rect(0, 20, 40, 30)]);
    expect(parts.map((part) => part.length)).toEqual([1, 1]);
  });

  test('blocks that touch at a corner are two', () => {
    expect(
      groupFaces([rect(0, 0, 10, 10), rect(10, 10, 10, 10), rect(10, 0, 5, 10)]).map((group) => group.length),
    ).toEqual([3]);
    expect(groupFaces([rect(0, 0, 10, 10), rect(10, 10, 10, 10)])).toHaveLength(2);
  });

  test.each([
    [
      [20, 20, 20],
      [{ share: 1 }, { share: 1 }, { share: 1 }],
    ],
    [
      [20.01, 100, 12],
      [{ fixed: '20 mm' }, { share: 1 }, { fixed: '12 mm' }],
    ],
    [
      [33.333, 100, 66.667],
      [{ fixed: '33.333 mm' }, { share: 1 }, { fixed: '66.667 mm' }],
    ],
  ])('%j become tracks', (lengths, tracks) => {
    expect(tracksOf(lengths, MM)).toEqual(tracks);
  });

  test('lengths are rounded only when they are nearly round', () => {
    expect([tidy(20.02, 'mm'), tidy(20.2, 'mm'), tidy(63.48, 'in')]).toEqual([20, 20.2, 63.5]);
  });
});

describe('tables among cells', () => {
  const grid = (rows: number, height = 7): Rect[] =>
    Array.from({ length: rows }, (_, row) => [
      rect(0, row * height, 15, height),
      rect(15, row * height, 75, height),
      rect(90, row * height, 30, height),
    ]).flat();
  const headings = (y: number) => [text('Rev', 1, y), text('Description', 16, y), text('Date', 91, y)];

  test('are equal rows with headings at one end', () => {
    const [below] = findTables(grid(6), headings(2));
    expect(below).toMatchObject({
      kind: 'revisions',
      rows: 5,
      rowHeight: 7,
      heading: 'bottom',
      x: 0,
      y: 0,
      width: 120,
      height: 42,
    });
    expect(below?.columns.map((column) => column.heading)).toEqual(['Rev', 'Description', 'Date']);
    expect(findTables(grid(6), headings(37))[0]).toMatchObject({ heading: 'top' });
  });

  test('tell what stands in their filled rows, from the headings on, one text a column', () => {
    const entry = (y: number, ...words: string[]) => words.map((each, i) => text(each, [1, 16, 91][i]!, y));
    const below = [...headings(2), ...entry(9, 'A', 'First issue', '01/02/31'), ...entry(23, 'C', 'Doors moved')];
    expect(findTables(grid(6), below)[0]?.filled).toEqual([
      ['A', 'First issue', '01/02/31'],
      ['C', 'Doors moved', ''],
    ]);
    const above = [...headings(37), text('of the north', 16, 30.5), ...entry(32.5, 'A', 'Windows'), ...entry(25, 'B')];
    expect(findTables(grid(6), above)[0]?.filled).toEqual([
      ['A', 'Windows of the north', ''],
      ['B', '', ''],
    ]);
    expect(findTables(grid(6), headings(2))[0]?.filled).toEqual([]);
  });

  test('two rows, other words or captions in the rows make none', () => {
    expect(findTables(grid(2), headings(2))).toEqual([]);
    expect(findTables(grid(6), [text('Foo', 1, 2), text('Bar', 16, 2), text('Baz', 91, 2)])).toEqual([]);
    expect(findTables(grid(6), [...headings(2), text('SCALE', 1, 9)])).toEqual([]);
  });
});

describe('reading a cell', () => {
  const cell = rect(0, 0, 90, 20);
  const kinds = (...texts: LegacyText[]) =>
    readCell(texts, cell).map((read) => [read.text.text, read.kind, read.parameter]);

  test('a caption and its value', () => {
    expect(kinds(text('SHEET TITLE', 1, 16), text('Roof plan', 1, 2, 5))).toEqual([
      ['SHEET TITLE', 'caption', 'sheet.title'],
      ['Roof plan', 'field', 'sheet.title'],
    ]);
  });

  test('a value that is itself a drawing-office word stays a value', () => {
    expect(kinds(text('TITLE', 1, 16, 2), text('Notes', 1, 2, 5))).toContainEqual(['Notes', 'field', 'sheet.title']);
    expect(kinds(text('DRAWN', 1, 16), text('DR', 1, 2))).toContainEqual(['DR', 'field', 'sheet.drawnBy']);
  });

  test('two captions share a cell, each with the value under it', () => {
    const read = kinds(
      text('SCALE', 1, 16, 2),
      text('1:50', 1, 8, 3.5),
      text('DATE', 45, 16, 2),
      text('2031-04-02', 45, 8, 3.5),
    );
    expect(read).toContainEqual(['1:50', 'field', 'sheet.scale']);
    expect(read).toContainEqual(['2031-04-02', 'field', 'sheet.date']);
  });

  test('caption and value on one line, attributes, and what says nothing of itself', () => {
    expect(kinds(text('Scale: 1:50', 1, 2))).toEqual([
      ['Scale:', 'caption', 'sheet.scale'],
      ['1:50', 'field', 'sheet.scale'],
    ]);
    expect(kinds(text('Ferry Terminal', 1, 2, 3.5, { tag: 'PROJECT_NAME' }))).toEqual([
      ['Ferry Terminal', 'field', 'project.name'],
    ]);
    expect(kinds(text('Copyright of the practice', 1, 2))).toEqual([['Copyright of the practice', 'note', undefined]]);
    expect(kinds(text('CONSULTANTS', 1, 16))).toEqual([['CONSULTANTS', 'caption', undefined]]);
  });

  test('words of law are nobody’s value, and neither is what is turned otherwise than its caption', () => {
    const read = kinds(
      text('PROJECT', 1, 17, 2),
      text('Mill Creek Library', 1, 10, 4),
      text('© 2017 North Fork Studio', 1, 2, 1.8),
      text('printed on recycled paper', 88, 1, 1.8, { rotation: 90 }),
    );
    expect(read).toContainEqual(['Mill Creek Library', 'field', 'project.name']);
    expect(read).toContainEqual(['© 2017 North Fork Studio', 'note', undefined]);
    expect(read).toContainEqual(['printed on recycled paper', 'note', undefined]);
  });

  test('"No." asks for the number of the sheet where one stands with it', () => {
    expect(kinds(text('No.', 1, 16, 2), text('D-12', 1, 4, 4))).toEqual([
      ['No.', 'caption', 'sheet.number'],
      ['D-12', 'field', 'sheet.number'],
    ]);
    expect(kinds(text('No.', 1, 16, 2), text('2417', 1, 4, 4))).toContainEqual(['2417', 'note', undefined]);
  });

  test('a word with a colon heads what stands beside it, although nobody knows what it asks for', () => {
    const read = kinds(
      text('Projet :', 1, 16),
      text('Halle du marché', 30, 16),
      text('Façade :', 1, 10),
      text('nord', 30, 10),
      text('Échelle :', 1, 4),
      text('1:100', 30, 4),
    );
    expect(read).toContainEqual(['Halle du marché', 'field', 'project.name']);
    expect(read).toContainEqual(['Façade :', 'caption', undefined]);
    expect(read).toContainEqual(['nord', 'note', undefined]);
    expect(read).toContainEqual(['1:100', 'field', 'sheet.scale']);
  });

  test('a caption with a blank behind it gets its field', () => {
    expect(kinds(text('drawn by ______', 1, 4), text('Date ........', 45, 4))).toEqual([
      ['drawn by', 'caption', 'sheet.drawnBy'],
      ['', 'field', 'sheet.drawnBy'],
      ['Date', 'caption', 'sheet.date'],
      ['', 'field', 'sheet.date'],
    ]);
  });

  test.each(['4 of 19', '4/19', '4 / 19', '4 von 19', '12 sur 40'])(
    '"%s" under "Sheet" is position and count',
    (words) => {
      const read = readCell([text('SHEET', 1, 10), text(words, 1, 4)], rect(0, 0, 90, 20));
      const field = read.find(({ kind }) => kind === 'field');
      expect(field?.parameter).toBe('sheet.position');
      expect(field?.pattern).toBe(words.replace(/^\d+/, '{sheet.position}').replace(/\d+$/, '{set.count}'));
      expect(readCell([text(`Sheet: ${words}`, 1, 4)], rect(0, 0, 90, 20))[1]?.parameter).toBe('sheet.position');
    },
  );

  test('a number under "Sheet" is the sheet’s, and a date is no position', () => {
    expect(kinds(text('SHEET', 1, 10), text('A-101', 1, 4))[1]).toEqual(['A-101', 'field', 'sheet.number']);
    expect(kinds(text('DATE', 1, 10), text('4/19', 1, 4))[1]).toEqual(['4/19', 'field', 'sheet.date']);
  });

  test('position and count stand in the next cell too, where the caption has one of its own', () => {
    const cells: FoundCell[] = [rect(0, 0, 30, 8), rect(30, 0, 60, 8)].map((face, i) => {
      const own = i === 0 ? text('SHEET', 2, 2.5) : text('4 of 19', 32, 2.5);
      return { face, texts: readCell([own], face), linework: [] };
    });
    readNeighbours(cells);
    expect(cells[1]!.texts).toEqual([
      expect.objectContaining({ parameter: 'sheet.position', pattern: '{sheet.position} of {set.count}' }),
    ]);
  });

  test('small words before a figure are no sheet number behind its caption', () => {
    expect(kinds(text('Sheet no 12', 1, 4))).toEqual([['Sheet no 12', 'note', undefined]]);
    expect(kinds(text('SHEET A-12', 1, 4))[1]).toEqual(['A-12', 'field', 'sheet.number']);
  });

  test('what stands smaller under a name is its address, and prints nothing of the name', () => {
    expect(
      kinds(
        text('PROJECT', 1, 20),
        text('Ferry Terminal', 1, 13, 5),
        text('4 Harbour Road', 1, 8, 2.5),
        text('Brackenmouth', 1, 4, 2.5),
      ),
    ).toEqual([
      ['PROJECT', 'caption', 'project.name'],
      ['Ferry Terminal', 'field', 'project.name'],
      ['4 Harbour Road', 'field', 'project.address'],
      ['Brackenmouth', 'field', 'project.address'],
    ]);
  });

  test('each of several captions gets its field, those with nothing under them too', () => {
    expect(kinds(text('DRAWN', 1, 10), text('MO', 1, 4), text('CHECKED', 45, 10), text('DATE', 70, 10))).toEqual([
      ['DRAWN', 'caption', 'sheet.drawnBy'],
      ['CHECKED', 'caption', 'sheet.checkedBy'],
      ['DATE', 'caption', 'sheet.date'],
      ['MO', 'field', 'sheet.drawnBy'],
      ['', 'field', 'sheet.checkedBy'],
      ['', 'field', 'sheet.date'],
    ]);
  });

  test('a heading in capitals, or larger than what follows, stands over a list of lines', () => {
    const lines = [text('Existing walls', 1, 11), text('New walls', 1, 6), text('Taken down', 1, 1)];
    const first = (...texts: LegacyText[]) => kinds(...texts).find(([words]) => words === texts[0]?.text)?.[1];
    expect(first(text('KEY TO WALLS', 1, 17), ...lines)).toBe('caption');
    expect(first(text('Key to walls', 1, 17, 3.5), ...lines)).toBe('caption');
    expect(kinds(text('KEY TO WALLS', 1, 17), ...lines).filter(([, kind]) => kind === 'note')).toHaveLength(3);
    // A letterhead is no list.
    const address = [text('4 Harbour Road', 1, 9), text('Brackenmouth', 1, 5), text('Tel. 0100 222', 1, 1)];
    expect(first(text('QUILLWATER STUDIO', 1, 15, 3.5), ...address)).toBe('note');
    expect(first(text('Quillwater Studio', 1, 15, 5), ...lines)).toBe('note');
    // Lines that are all alike have no heading among them, and a name with an address is none.
    expect(first(text('Existing walls', 1, 16), ...lines)).toBe('note');
    expect(
      first(text('KEY TO WALLS', 1, 17), ...lines.map((line) => ({ ...line, text: line.text.toUpperCase() }))),
    ).toBe('note');
  });
});
