import fc from 'fast-check';
import { composeSheet } from '../compose';
import type { Cell, Design, Dock } from '../design';
import { DESIGN_VERSION } from '../design';
import type { Item } from '../drawing';
import { placed } from '../drawing';
import { solveDesign } from '../layout';
import type { Values } from '../parameter';
import { SHEET_SIZES, STARTING_STANDARD } from '../standard';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { convertLegacy } from './convert';
import type { LegacyDrawing } from './legacyDrawing';
import { parameterOfCaption, parameterOfTag } from './lexicon';

const ON = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };

/** Captions with the parameter each stands for and a value that could stand under it. */
const NAMED: readonly [caption: string, parameter: string, value: string][] = [
  ['PROJECT', 'project.name', 'Ferry Terminal'],
  ['Bauherr', 'project.client', 'Harbour Trust'],
  ['SHEET TITLE', 'sheet.title', 'Roof plan'],
  ['Gez.', 'sheet.drawnBy', 'MO'],
  ['Vérifié par', 'sheet.checkedBy', 'TL'],
  ['Escala', 'sheet.scale', '1:50'],
  ['DATE', 'sheet.date', '2031-04-02'],
  ['Job No.', 'project.number', '2417'],
  ['Plan-Nr.', 'sheet.number', 'A-101'],
  ['REV', 'sheet.revision', 'C'],
  ['Statut', 'sheet.status', 'TENDER'],
  ['FILE', 'sheet.fileName', 'BFT-A-101'],
];

/** A recipe for dividing: how many parts, which way, and how the parts go on. */
interface Cut {
  rows: boolean;
  parts: { weight: number; inside: Cut | undefined }[];
}

const cut: fc.Arbitrary<Cut> = fc.letrec<{ cut: Cut }>((tie) => ({
  cut: fc.record({
    rows: fc.boolean(),
    parts: fc.array(
      fc.record({
        weight: fc.integer({ min: 2, max: 5 }),
        inside: fc.option(tie('cut'), { nil: undefined, depthSize: 'small', maxDepth: 2 }),
      }),
      { minLength: 2, maxLength: 3 },
    ),
  }),
})).cut;

interface Block {
  dock: Dock;
  width: number;
  height: number;
}

/** A title block made by a recipe: each cell holds a caption and its field as long as there are words left. */
function designOf(
  size: string,
  recipe: Cut,
  block: Block,
  inch: boolean,
): { design: Design; values: Values; cells: number } {
  let [cells, contents] = [0, 0];
  const values: Record<string, string> = {};
  const suffix = inch ? '-inch' : '';
  const leaf = (): Cell => {
    const named = NAMED[cells];
    const id = `leaf-${++cells}`;
    if (!named) return { id, name: '', contents: [] };
    const [text, parameter, value] = named;
    values[parameter] = value;
    const base = { horizontal: 'left', rotation: 0, fit: { lines: 1, condense: 1, steps: 0 } } as const;
    return {
      id,
      name: '',
      contents: [
        { ...base, id: `c${++contents}`, kind: 'caption', vertical: 'top', role: `caption${suffix}`, text },
        {
          ...base,
          id: `c${++contents}`,
          kind: 'field',
          vertical: 'bottom',
          role: `value${suffix}`,
          pattern: `{${parameter}}`,
        },
      ],
    };
  };
  let groups = 0;
  // Cells stay large enough to hold a caption over a value, as those of title blocks are.
  const divide = (from: Cut | undefined, width: number, height: number): Cell => {
    const total = from?.parts.reduce((sum, part) => sum + part.weight, 0) ?? 1;
    const smallest = Math.min(...(from?.parts.map((part) => part.weight / total) ?? [1]));
    const fits = from && (from.rows ? height * smallest >= 12 : width * smallest >= 26);
    if (!from || !fits) return leaf();
    const tracks = from.parts.map((part) => ({ share: part.weight }));
    const children = from.parts.map((part, i) => ({
      row: from.rows ? i : 0,
      column: from.rows ? 0 : i,
      rowSpan: 1,
      columnSpan: 1,
      cell: divide(
        part.inside,
        from.rows ? width : (width * part.weight) / total,
        from.rows ? (height * part.weight) / total : height,
      ),
    }));
    const one = [{ share: 1 }];
    return {
      id: `group-${++groups}`,
      name: '',
      contents: [],
      division: from.rows ? { rows: tracks, columns: one, children } : { rows: one, columns: tracks, children },
    };
  };
  const root = divide(recipe, block.width, block.height);
  const orientation = 'landscape' as const;
  const design: Design = {
    format: 'mendrel-design',
    version: DESIGN_VERSION,
    name: 'Old block',
    unit: 'mm',
    sizes: [{ size, orientation }],
    dimensions: [],
    frame: { margins: 'standard', pen: 'frame', trimLine: true, zones: false, centringMarks: false },
    panels: [
      {
        id: 'p',
        name: 'Block',
        dock: block.dock,
        width: `${block.width} mm`,
        height: `${block.height} mm`,
        outlinePen: 'outline',
        dividerPen: 'divider',
        root,
      },
    ],
    modules: { columns: 4, rows: 3 },
  };
  return { design, values, cells };
}

/** Turns a drawing into what a reader would hand over: in another unit, somewhere else, as nothing but lines and texts. */
function asLegacy(items: readonly Item[], unit: number, dx: number, dy: number): LegacyDrawing {
  const bare = items.map((item): Item => {
    const moved = placed(item, unit, dx, dy);
    if (moved.kind !== 'text') return moved;
    const bareText = { ...moved };
    delete bareText.field;
    return bareText;
  });
  return { items: bare, source: { format: 'DXF', version: 'AC1015', entities: bare.length }, dropped: [] };
}

const SIZES = SHEET_SIZES.filter((size) => Math.max(size.width, size.height) > 400);

// The core's own output is the reference: what one design drew must come back as the same cells and parameters.
test('a title block that Mendrel drew is recognised in any size, unit and place', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SIZES),
      cut,
      fc.constantFrom<Dock>('right', 'bottom', 'left', 'lower-right', 'upper-right', 'lower-left'),
      fc.integer({ min: 60, max: 180 }),
      fc.integer({ min: 40, max: 100 }),
      fc.constantFrom(0, 1, 2),
      fc.integer({ min: -5000, max: 5000 }),
      (size, recipe, dock, width, height, unitIndex, offset) => {
        const inch = size.unit !== 'mm';
        const unit = (inch ? [1 / 25.4, 48 / 25.4, 12 / 25.4] : [1, 100, 50])[unitIndex]!;
        // Offices that work in inches draw whole quarters of them.
        const whole = (mm: number): number => (inch ? Math.round(mm / 6.35) * 6.35 : mm);
        const extents = {
          width: dock === 'bottom' ? 300 : whole(width),
          height: dock === 'right' || dock === 'left' ? 250 : whole(height),
        };
        const { design, values } = designOf(size.name, recipe, { dock, ...extents }, inch);
        const layout = solveDesign(design, { size: size.name, orientation: 'landscape', values, ...ON });
        fc.pre(layout.findings.length === 0 && Object.keys(values).length >= 3);
        const drawing = composeSheet(design, layout, ON);
        const { report } = convertLegacy(asLegacy(drawing.items, unit, offset, -offset), 'old', ON);

        expect(report.sheet.name).toBe(size.name);
        expect(report.source.unitsPerPaperMm).toBeCloseTo(unit, 6);
        // Lengths snap to half millimetres or to 1/64 in where they are a few hundredths away.
        const tolerance = inch ? 0.13 : 0.07;
        const wanted = layout.cells.filter((cell) => !cell.divided);
        expect(report.cells).toHaveLength(wanted.length);
        for (const cell of wanted) {
          const near = report.cells.some((found) =>
            (['x', 'y', 'width', 'height'] as const).every((key) => Math.abs(found[key] - cell[key]) < tolerance),
          );
          expect([cell.id, near]).toEqual([cell.id, true]);
        }
        for (const text of layout.texts.filter((each) => each.kind === 'field')) {
          const found = report.texts.find((each) => each.kind === 'field' && each.text === text.text);
          expect([text.text, found?.parameter]).toEqual([text.text, text.pattern?.slice(1, -1)]);
        }
        expect(report.deviation.max).toBeLessThan(tolerance);
      },
    ),
    { numRuns: 150 },
  );
});

test('a border that carries zone marks is not taken for the frame', () => {
  const base = { layer: '0', part: 'block', width: 0.25 } as const;
  const box = (x: number, y: number, width: number, height: number): Item => ({
    ...base,
    kind: 'stroke',
    closed: true,
    points: [x, y, x + width, y, x + width, y + height, x, y + height],
  });
  const ticks = Array.from({ length: 15 }, (_, i): Item => {
    const x = 70.5 + i * 50;
    return { ...base, kind: 'stroke', closed: false, points: [x, 5, x, 10] };
  });
  const items = [
    box(0, 0, 841, 594),
    box(15, 5, 821, 584),
    box(20, 10, 811, 574),
    box(651, 10, 180, 60),
    box(651, 10, 90, 60),
    ...ticks,
  ];
  const { report } = convertLegacy(
    { items, source: { format: 'DXF', version: '', entities: 0 }, dropped: [] },
    'x',
    ON,
  );
  expect(report.frame).toEqual({ x: 20, y: 10, width: 811, height: 574 });
  expect(report.cells).toHaveLength(2);
  expect(report.deviation.max).toBeLessThan(0.001);
});

describe('what cannot be converted is told in words', () => {
  const line = (points: number[]): Item => ({
    kind: 'stroke',
    points,
    closed: false,
    width: 0.25,
    layer: '0',
    part: 'block',
  });
  const legacy = (...items: Item[]): LegacyDrawing => ({
    items,
    source: { format: 'DXF', version: '', entities: items.length },
    dropped: [],
  });
  test.each([
    ['nothing', legacy(), 'the drawing is empty'],
    [
      'texts alone',
      legacy({
        kind: 'text',
        text: 'A',
        at: { x: 0, y: 0 },
        height: 1,
        width: 1,
        widthFactor: 1,
        rotation: 0,
        typeface: '',
        role: '',
        layer: '0',
        part: 'block',
      }),
      'no straight lines',
    ],
    ['a single line', legacy(line([0, 0, 100, 0])), 'no frame was found'],
    ['a frame of no known proportions', legacy(line([0, 0, 100, 0, 100, 17, 0, 17, 0, 0])), 'no frame was found'],
    [
      'a frame without a title block',
      legacy(line([0, 0, 841, 0, 841, 594, 0, 594, 0, 0]), line([20, 10, 831, 10, 831, 584, 20, 584, 20, 10])),
      'no cells of a title block',
    ],
  ])('%s', (_name, drawing, message) => {
    expect(() => convertLegacy(drawing, 'x', ON)).toThrow(message);
  });
});

describe('the lexicon', () => {
  test.each([
    ['DRAWN', 'sheet.drawnBy'],
    ['DRN', 'sheet.drawnBy'],
    ['Drawn by:', 'sheet.drawnBy'],
    ['GEZEICHNET', 'sheet.drawnBy'],
    ['DESSINÉ PAR', 'sheet.drawnBy'],
    ['DIBUJADO', 'sheet.drawnBy'],
    ["CHK'D", 'sheet.checkedBy'],
    ['Maßstab', 'sheet.scale'],
    ['Échelle', 'sheet.scale'],
    ['Nº de plano', 'sheet.number'],
    ['PROJ. NO.', 'project.number'],
    ["MAÎTRE D'OUVRAGE", 'project.client'],
    ['Gezeichnet / Drawn', 'sheet.drawnBy'],
    ['Identification number', 'sheet.number'],
    ['P R O J E C T   N O .', 'project.number'],
    ['(3) Bauherr', 'project.client'],
    ['DWG #', 'sheet.number'],
    ['ÉCHELLE(S)', 'sheet.scale'],
    ['Maître d’œuvre', 'office.name'],
    ['Date (dd/mm/yy)', 'sheet.date'],
    ['Drawing no. (sheet):', 'sheet.number'],
    ['(A1)', undefined],
    ['PROYECTO', 'project.name'],
    ['Proyectó:', 'sheet.designedBy'],
    ["N° d'affaire", 'project.number'],
    ['Gezeichnet am', 'sheet.date'],
    ['Geprüft am', undefined],
    ['Name', undefined],
    ['Ground floor plan', undefined],
    ['', undefined],
  ])('%s asks for %s', (words, parameter) => {
    expect(parameterOfCaption(words)).toBe(parameter);
  });

  test('a text of brackets without end is no caption, and no trouble', () => {
    expect(parameterOfCaption(`Date${'(a)'.repeat(100_000)}`)).toBeUndefined();
  });

  test.each([
    ['DRAWN_BY', 'sheet.drawnBy'],
    ['DRAWNBY', 'sheet.drawnBy'],
    ['SHEET-NO', 'sheet.number'],
    ['TITLE_LINE_2', 'sheet.title'],
    ['BAUHERR1', 'project.client'],
    ['GEZ_DATUM', 'sheet.date'],
    ['XYZ', undefined],
  ])('the tag %s stands for %s', (tag, parameter) => {
    expect(parameterOfTag(tag)).toBe(parameter);
  });
});
