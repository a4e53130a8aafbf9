import { RED_PNG } from '../../formats/src/testing/image';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Design, Picture } from '@mendrel/core';
import { cellsOf } from '@mendrel/core';
import { readTypefaces } from '@mendrel/formats';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readFile } from '@mendrel/reading/read';
import { runCommand } from './command';

const typefaces = readTypefaces(shippedFontFiles());
const folder = mkdtempSync(join(tmpdir(), 'mendrel-cli-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const path = (name: string): string => join(folder, name);
const json = (name: string) => JSON.parse(readFileSync(path(name), 'utf8'));
const legacy = (name: string): string => join(process.cwd(), 'demo/legacy', name);

async function mendrel(...words: string[]): Promise<{ code: number; out: string; error: string }> {
  const said = { out: '', error: '' };
  const code = await runCommand(
    words,
    { out: (text) => (said.out += text), error: (text) => (said.error += text) },
    // In the test's own process: the one that reads is tried with the built command.
    (task) => readFile(task, typefaces),
  );
  return { code, ...said };
}

test('sizes lists every size with frame and zones', async () => {
  const { code, out } = await mendrel('sizes', '--json');
  const list = JSON.parse(out) as { name: string }[];
  expect(code).toBe(0);
  expect(list.find((size) => size.name === 'ISO A1')).toEqual({
    name: 'ISO A1',
    width: 841,
    height: 594,
    frame: { x: 20, y: 10, width: 811, height: 574 },
    zones: { columns: 16, rows: 12 },
  });
  expect(list).toHaveLength(34);
});

// Each truth file was made together with its drawing and says what stands in it, in mm on paper.
describe.each(['corner-block-a1', 'rotated-text-a1', 'scaled-model-a3', 'strip-arch-d', 'dirty-arch-e1'])(
  'convert %s',
  (name) => {
    const truth = JSON.parse(readFileSync(legacy(`${name}.truth.json`), 'utf8'));
    let report: any; // oxlint-disable-line typescript/no-explicit-any -- the report is read as its readers have it: plain JSON
    beforeAll(async () => {
      expect(
        await mendrel(
          'convert',
          legacy(`${name}.dxf`),
          '--out',
          path(`${name}.json`),
          '--report',
          path(`${name}.report.json`),
        ),
      ).toMatchObject({ code: 0 });
      report = json(`${name}.report.json`);
    });
    const cellId = (index: number): string | undefined => {
      const wanted = truth.cells[index];
      return report.cells.find((each: Record<string, number>) =>
        ['x', 'y', 'width', 'height'].every((key) => Math.abs(each[key]! - wanted[key]) < 0.05),
      )?.id;
    };

    test('finds unit, sheet and frame', () => {
      expect(report.source.unitsPerPaperMm).toBeCloseTo(truth.unitsPerPaperMm, 6);
      expect(report.sheet.name).toBe(truth.sheet.name);
      for (const key of ['x', 'y', 'width', 'height']) expect(report.frame[key]).toBeCloseTo(truth.frame[key], 2);
    });

    test('finds the cells, all of them and no others', () => {
      expect(report.cells).toHaveLength(truth.cells.length);
      truth.cells.forEach((_: unknown, i: number) => expect(cellId(i)).toBeDefined());
    });

    test('finds captions and values, in their cells, with their parameters and standard heights', () => {
      for (const kind of ['caption', 'field'] as const) {
        for (const wanted of truth[`${kind}s`]) {
          // The attribute NUMBER stands twice in this drawing, so that one of its two values is lost in the file itself.
          if (name === 'strip-arch-d' && wanted.text === '3107') continue;
          const found = report.texts.find(
            (text: Record<string, unknown>) =>
              text.text === wanted.text &&
              text.kind === kind &&
              (wanted.cell === null || text.cell === cellId(wanted.cell)),
          );
          expect([wanted.text, found]).toEqual([wanted.text, expect.anything()]);
          expect(found.height).toBeCloseTo(wanted.height, 2);
          if (kind === 'field') expect(found.parameter).toBe(wanted.parameter);
        }
      }
    });

    test('finds tables, and drops layers that do not belong', () => {
      expect(report.tables).toEqual(truth.tables);
      const dropped = report.dropped.map((each: { layer: string }) => each.layer);
      for (const layer of truth.unrelatedLayers) expect(dropped).toContain(layer);
    });

    test('rebuilds the linework, exactly where it was drawn exactly', () => {
      expect(report.deviation.max).toBeLessThan(name === 'dirty-arch-e1' ? 0.06 : 0.001);
      expect(report.unresolved).toEqual([]);
    });

    test('makes a design that is solved and drawn for its own sheet', async () => {
      const solved = await mendrel(
        'solve',
        path(`${name}.json`),
        '--size',
        truth.sheet.name,
        '--json',
        path(`${name}.solved.json`),
      );
      expect(solved).toEqual({ code: 0, out: '', error: '' });
      const { cells } = json(`${name}.solved.json`);
      expect(cells.length).toBeGreaterThanOrEqual(truth.cells.length);
      for (const kind of ['pdf', 'svg', 'dxf']) {
        expect(
          (await mendrel('draw', path(`${name}.json`), '--size', truth.sheet.name, '--out', path(`${name}.${kind}`)))
            .code,
        ).toBe(0);
      }
    });
  },
);

test('solve tells where every text stands and how it fits', async () => {
  writeFileSync(
    path('values.json'),
    JSON.stringify({ 'sheet.title': 'East elevation with pontoon and gangway', 'sheet.number': 'A-202' }),
  );
  const args = ['--size', 'ISO A3', '--values', path('values.json'), '--json', path('solved.json')];
  expect((await mendrel('solve', path('rotated-text-a1.json'), ...args)).code).toBe(0);
  const solved = json('solved.json');
  expect(Object.keys(solved)).toEqual(['sheet', 'frame', 'drawingArea', 'cells', 'texts', 'findings']);
  const title = solved.texts.find((text: { text: string }) => text.text.startsWith('East'));
  expect(title).toMatchObject({
    role: 'title',
    height: 5,
    fit: 'wrapped',
    by: 0,
    lines: [expect.any(String), expect.any(String)],
  });
});

describe('mistakes end with code 1 and one clear line', () => {
  beforeAll(() => {
    writeFileSync(path('note.dxf'), 'Dear all,\n');
    writeFileSync(path('cut.dxf'), readFileSync(legacy('corner-block-a1.dxf')).subarray(0, 9000));
    writeFileSync(
      path('lines.dxf'),
      [
        '0',
        'SECTION',
        '2',
        'ENTITIES',
        '0',
        'LINE',
        '10',
        '0',
        '20',
        '0',
        '11',
        '9',
        '21',
        '3',
        '0',
        'ENDSEC',
        '0',
        'EOF',
        '',
      ].join('\n'),
    );
    writeFileSync(path('broken.json'), '{"format":\n\n oops');
    const good = readFileSync(path('rotated-text-a1.json'), 'utf8');
    const formula = JSON.stringify({ ...JSON.parse(good), dimensions: [{ name: 'a', formula: '3 mm + 2' }] });
    writeFileSync(path('formula.json'), formula);
    writeFileSync(path('other.json'), JSON.stringify({ format: 'mendrel-design', version: 9 }));
  });
  test.each([
    [['dance'], /there is no command "dance"/],
    [['convert', 'FOLDER/none.dxf', '--out', 'o', '--report', 'r'], /none\.dxf: there is no such file/],
    [
      ['convert', 'FOLDER/note.dxf', '--out', 'FOLDER/x', '--report', 'FOLDER/y'],
      /note\.dxf, line 1: "Dear all," is not a group code/,
    ],
    [['convert', 'FOLDER/cut.dxf', '--out', 'FOLDER/x', '--report', 'FOLDER/y'], /cut\.dxf, line \d+: .*cut off/],
    [['convert', 'FOLDER/lines.dxf', '--out', 'FOLDER/x', '--report', 'FOLDER/y'], /lines\.dxf: no frame was found/],
    [['convert', 'FOLDER/note.dxf', '--out', 'x'], /--report is missing/],
    [['convert', '--out', 'x', '--report', 'y'], /the drawing is missing/],
    [['solve', 'FOLDER/broken.json', '--size', 'ISO A1', '--json', 'x'], /broken\.json: line 3: this is not JSON/],
    [['solve', 'FOLDER/other.json', '--size', 'ISO A1', '--json', 'x'], /other\.json: version: version 9 is not known/],
    [
      ['solve', 'FOLDER/formula.json', '--size', 'ISO A1', '--json', 'x'],
      /formula\.json: dimensions\.a: .*mixes a length with a plain number/,
    ],
    [['solve', 'FOLDER/rotated-text-a1.json', '--size', 'A9', '--json', 'x'], /there is no sheet size "A9"/],
    [['solve', 'FOLDER/rotated-text-a1.json', '--colour', 'red'], /there is no option --colour here/],
    [
      ['draw', 'FOLDER/rotated-text-a1.json', '--size', 'ISO A1', '--out', 'FOLDER/x.doc'],
      /ends in \.pdf, \.svg or \.dxf/,
    ],
  ])('%j', async (words, message) => {
    const { code, out, error } = await mendrel(...words.map((word) => word.replace('FOLDER', folder)));
    expect(code).toBe(1);
    expect(out).toBe('');
    expect(error).toMatch(message);
    expect(error.trim().split('\n')).toHaveLength(1);
  });
});

test.each([['--help'], ['-h'], ['help'], ['draw', '--help'], ['convert', 'x.dxf', '-h']])(
  '%j shows how it is used',
  async (...words) => {
    const { code, out, error } = await mendrel(...words);
    expect([code, error]).toEqual([0, '']);
    expect(out).toContain('mendrel draw DESIGN.json');
  },
);

test('--version says the version of the package', async () => {
  const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
  expect(await mendrel('--version')).toEqual({ code: 0, out: version, error: '' });
});

test('a drawing is never written over, and a design not by its report', async () => {
  const drawing = path('corner.dxf');
  writeFileSync(drawing, readFileSync(legacy('corner-block-a1.dxf')));
  for (const [out, report] of [
    [drawing, path('r.json')],
    [path('d.json'), drawing],
    [path('same.json'), path('same.json')],
  ] as const) {
    const { code, error } = await mendrel('convert', drawing, '--out', out, '--report', report);
    expect([code, error]).toEqual([1, expect.stringContaining('would be written over')]);
  }
  expect(readFileSync(drawing)).toEqual(readFileSync(legacy('corner-block-a1.dxf')));
  const { code, error } = await mendrel(
    'draw',
    path('corner-block-a1.json'),
    '--size',
    'ISO A1',
    '--out',
    path('corner-block-a1.json'),
  );
  expect([code, error]).toEqual([1, expect.stringContaining('would be written over')]);
});

/** A converted design with a picture in its first cell, as a file. */
function pictured(name: string, image: Picture['image']): string {
  const design = json('corner-block-a1.json') as Design;
  const { cell } = [...cellsOf(design)].find((each) => !each.cell.division)!;
  const placing = { horizontal: 'centre', vertical: 'middle', rotation: 0, width: 8, height: 4 } as const;
  cell.contents = [
    { kind: 'picture', id: 'mark', name: 'Mark', linework: [], ...placing, ...(image ? { image } : {}) },
  ];
  writeFileSync(path(name), JSON.stringify(design));
  return path(name);
}

test('a design with a damaged picture is told by the picture, not by a stack of calls', async () => {
  // A PNG of four dots whose data was changed by one bit.
  const png = Buffer.from(RED_PNG, 'base64');
  png[45] = (png[45] ?? 0) ^ 8;
  const file = pictured('damaged.json', { type: 'png', data: png.toString('base64'), columns: 4, rows: 2 });
  const { code, error } = await mendrel('draw', file, '--size', 'ISO A1', '--out', path('damaged.pdf'));
  expect([code, error]).toEqual([1, expect.stringContaining('the picture Mark: this picture is damaged or cut off')]);
  expect(error.trim().split('\n')).toHaveLength(1);
});

test('a picture whose file only the server has is told by its name, and a DXF names it in its place', async () => {
  const file = pictured('kept.json', { type: 'png', asset: 'a'.repeat(64), columns: 4, rows: 2 });
  for (const kind of ['pdf', 'svg']) {
    const { code, error } = await mendrel('draw', file, '--size', 'ISO A1', '--out', path(`kept.${kind}`));
    expect([code, error]).toEqual([1, expect.stringContaining('the file of the picture Mark is kept by the server')]);
  }
  expect((await mendrel('draw', file, '--size', 'ISO A1', '--out', path('kept.dxf'))).code).toBe(0);
  expect(readFileSync(path('kept.dxf'), 'utf8')).toContain('Image: Mark');
});
