import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { APIRequestContext, Page } from '@playwright/test';
import { expect, test } from './test';
import { STARTING_STANDARD, textWidth } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypefaces } from '@mendrel/formats/typeface';
import { Hands, startDesign } from './hands';

/** Lines and texts of a drawing as ezdxf reads them, blocks taken apart, in mm. */
const MEASURE = `
import json, sys, ezdxf
doc = ezdxf.readfile(sys.argv[1])
lines, fills, texts = [], [], []
def walk(entities):
    for e in entities:
        kind = e.dxftype()
        if kind == 'INSERT':
            walk(e.virtual_entities())
        elif kind == 'LWPOLYLINE':
            points = [(p[0], p[1]) for p in e.get_points('xy')]
            if e.closed:
                points.append(points[0])
            lines.extend([a[0], a[1], b[0], b[1]] for a, b in zip(points, points[1:]))
        elif kind == 'HATCH':
            for path in e.paths:
                xs = [v[0] for v in path.vertices]
                ys = [v[1] for v in path.vertices]
                fills.append([min(xs), min(ys), max(xs), max(ys)])
        elif kind == 'TEXT':
            texts.append({'text': e.dxf.text, 'x': e.dxf.insert.x, 'y': e.dxf.insert.y, 'height': e.dxf.height})
        elif kind == 'MTEXT':
            height = e.dxf.char_height
            for i, line in enumerate(e.plain_text(split=True)):
                y = e.dxf.insert.y - height - i * e.dxf.line_spacing_factor * 5 / 3 * height
                texts.append({'text': line, 'x': e.dxf.insert.x, 'y': y, 'height': height})
walk(doc.modelspace())
print(json.dumps({'lines': lines, 'fills': fills, 'texts': texts, 'errors': len(doc.audit().errors)}))
`;

interface Measured {
  lines: [number, number, number, number][];
  fills: [number, number, number, number][];
  texts: { text: string; x: number; y: number; height: number }[];
  errors: number;
}

/** Puts the design that is open on a sheet of a project of its own and measures the exported DXF. */
async function measured(page: Page, request: APIRequestContext, size: string): Promise<Measured> {
  await page.keyboard.press('Control+s');
  await expect(page.getByText(/^saved, version/)).toBeVisible();
  const designId = page.url().split('/').pop();
  const made = await request.post('/api/projects', { data: { name: 'Worked example', designId } });
  const project = (await made.json()) as { id: string };
  const added = await request.post(`/api/projects/${project.id}/sheets`, {
    data: { number: 'A-101', title: 'Ground floor plan', kind: 'plan', size },
  });
  expect(added.ok(), await added.text()).toBe(true);
  const sheet = (await added.json()) as { id: string };
  const dxf = await request.get(`/api/sheets/${sheet.id}/sheet.dxf`);
  const folder = mkdtempSync(join(tmpdir(), 'mendrel-example-'));
  try {
    const file = join(folder, 'sheet.dxf');
    writeFileSync(file, await dxf.body());
    // Debian's own Python has ezdxf.
    const read = execFileSync('/usr/bin/python3', ['-c', MEASURE, file], {
      encoding: 'utf8',
      maxBuffer: 64 * 1024 * 1024,
    });
    return JSON.parse(read) as Measured;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-4;

/** Whether a line of the drawing covers a piece, whichever way it was drawn. */
function drawn({ lines }: Measured, x0: number, y0: number, x1: number, y1: number): boolean {
  const within = (value: number, a: number, b: number): boolean =>
    value > Math.min(a, b) - 1e-4 && value < Math.max(a, b) + 1e-4;
  return lines.some(([ax, ay, bx, by]) =>
    near(x0, x1)
      ? near(ax, x0) && near(bx, x0) && within(y0, ay, by) && within(y1, ay, by)
      : near(ay, y0) && near(by, y0) && within(x0, ax, bx) && within(x1, ax, bx),
  );
}

/** Sets the frame's margins for the design that is open. */
async function margins(hands: Hands, lengths: Record<'left' | 'right' | 'top' | 'bottom', string>): Promise<void> {
  const { page } = hands;
  await hands.click(page.getByRole('button', { name: /^Sheet and frame/ }));
  await hands.click(page.getByRole('combobox', { name: 'Margins' }));
  await hands.click(page.getByRole('option', { name: 'Own margins' }));
  for (const [edge, length] of Object.entries(lengths)) await hands.type(page.getByLabel(`Margin, ${edge}`), length);
}

async function addPanel(
  hands: Hands,
  place: string,
  lengths: Partial<Record<'Width' | 'Height', string>>,
): Promise<void> {
  const { page } = hands;
  await hands.click(page.getByRole('button', { name: 'Add…' }).first());
  await hands.click(page.getByRole('menuitem', { name: `Panel, ${place}` }));
  for (const [key, length] of Object.entries(lengths)) await hands.type(page.getByLabel(key, { exact: true }), length);
}

/** The cell with nothing in it that comes nth in the outline. */
const empty = (page: Page, n: number) => page.getByRole('treeitem', { name: /^Empty cell/ }).nth(n);

const IN = 25.4;

// Worked example 1 (common practice): a 34 x 22 in sheet with a binding edge, and a strip of rows in inches.
test('a 34 by 22 inch sheet with a bound frame and a strip of inch rows', async ({ page, request }) => {
  const hands = new Hands(page);
  await startDesign(hands, 'Worked example 1', 'Empty sheet', 'inches', ['ASME D']);
  await margins(hands, { left: '1 1/2 in', right: '9/16 in', top: '9/16 in', bottom: '9/16 in' });
  await addPanel(hands, 'right edge', { Width: '3 1/8 in' });
  // The line of the strip is 1/8 in wide: a black cell of that width.
  await hands.divide('Columns', '1/8 | *');
  await hands.click(empty(page, 0));
  await hands.click(page.getByRole('button', { name: 'Fill and edges' }));
  await hands.click(page.getByRole('combobox', { name: 'Fill' }));
  await hands.click(page.getByRole('option', { name: 'Black' }));
  await hands.click(empty(page, 1));
  await hands.divide('Rows', '* | 9/16 | 1/2 x3 | 3/4 | 1');

  const sheet = await measured(page, request, 'ASME D');
  expect(sheet.errors).toBe(0);
  const [left, bottom] = [1.5 * IN, (9 / 16) * IN];
  const [width, height] = [811.2125, 530.225];
  const right = left + width;
  expect(drawn(sheet, left, bottom, right, bottom)).toBe(true);
  expect(drawn(sheet, left, bottom, left, bottom + height)).toBe(true);
  expect(drawn(sheet, right, bottom, right, bottom + height)).toBe(true);
  expect(
    sheet.fills.some(([x0, y0, x1, y1]) => near(x1, right - 3 * IN) && near(x1 - x0, IN / 8) && near(y1 - y0, height)),
  ).toBe(true);
  for (const up of [1, 1.75, 2.25, 2.75, 3.25, 3 + 13 / 16]) {
    const y = bottom + up * IN;
    expect(drawn(sheet, right - 3 * IN, y, right, y), `row at ${up} in`).toBe(true);
  }
});

// Worked example 2 (common practice): A3 with a 5 mm frame, a block of 150 x 40 in 4 rows and 2 columns.
test('an A3 sheet with a 5 mm frame and a block of eight equal cells', async ({ page, request }) => {
  const hands = new Hands(page);
  await startDesign(hands, 'Worked example 2', 'Empty sheet', 'mm', ['ISO A3']);
  await margins(hands, { left: '5', right: '5', top: '5', bottom: '5' });
  await addPanel(hands, 'lower right corner', { Width: '150 mm', Height: '40 mm' });
  await hands.divide('Grid', '2 equal by 4 equal');
  const sheet = await measured(page, request, 'ISO A3');
  expect(drawn(sheet, 5, 5, 415, 5) && drawn(sheet, 415, 5, 415, 292)).toBe(true);
  for (const y of [15, 25, 35]) expect(drawn(sheet, 265, y, 415, y)).toBe(true);
  expect(drawn(sheet, 340, 5, 340, 45)).toBe(true);
  expect(drawn(sheet, 265, 45, 415, 45) && drawn(sheet, 265, 5, 265, 45)).toBe(true);
});

// Worked example 3 (common practice): A3, a bottom strip 55 high with boxes inset by 5.
test('an A3 sheet with a bottom strip of inset boxes', async ({ page, request }) => {
  const hands = new Hands(page);
  await startDesign(hands, 'Worked example 3', 'Empty sheet', 'mm', ['ISO A3']);
  await margins(hands, { left: '5', right: '5', top: '5', bottom: '5' });
  await addPanel(hands, 'bottom edge', { Height: '55 mm' });
  await hands.divide('Rows', '5 | * | 5');
  await hands.click(empty(page, 1));
  await hands.divide('Columns', '5 | 140 | 5 | 255 | 5');
  // Outline order now: gap above, then gap, 140, gap, 255, gap, then the gap below.
  await hands.click(empty(page, 2));
  await hands.divide('Rows', '22.5 x2');
  await hands.click(empty(page, 5));
  await hands.divide('Columns', '85 x3');
  await hands.click(empty(page, 5));
  await hands.divide('Rows', '15 | 10 x3');
  await hands.click(empty(page, 9));
  await hands.divide('Rows', '20 | 25');
  await hands.click(empty(page, 11));
  await hands.divide('Columns', '40 | 45');

  const sheet = await measured(page, request, 'ISO A3');
  const verticals: [number, number, number][] = [
    [10, 10, 55],
    [150, 10, 55],
    [155, 10, 55],
    [240, 10, 55],
    [325, 10, 55],
    [410, 10, 55],
    [365, 10, 55],
  ];
  for (const [x, y0, y1] of verticals) expect(drawn(sheet, x, y0, x, y1), `upright line at ${x}`).toBe(true);
  const levels: [number, number, number][] = [
    [32.5, 10, 150],
    [40, 155, 240],
    [30, 155, 240],
    [20, 155, 240],
    [35, 240, 325],
  ];
  for (const [y, x0, x1] of levels) expect(drawn(sheet, x0, y, x1, y), `level line at ${y}`).toBe(true);
});

// Worked example 4 (common practice): a cell 2 1/4 in wide wraps its notes at 2 in.
test('a cell of 2 1/4 inches wraps its notes at 2 inches', async ({ page, request }) => {
  const hands = new Hands(page);
  await startDesign(hands, 'Worked example 4', 'Empty sheet', 'inches', ['ASME B']);
  await addPanel(hands, 'right edge', { Width: '2 1/4 in' });
  await hands.type(page.getByLabel('Padding', { exact: true }), '1/8 in');
  await hands.click(page.getByRole('button', { name: 'Add…' }).last());
  await hands.click(page.getByRole('menuitem', { name: 'Notes' }));
  const words = 'All dimensions are in feet and inches unless noted. Check them on site before any work is begun.';
  await hands.type(page.getByLabel('Text', { exact: true }), words, false);
  await hands.click(page.getByRole('button', { name: 'Sheet and frame' }));

  const sheet = await measured(page, request, 'ASME B');
  const lines = sheet.texts.filter(({ text }) => text.length > 3 && words.includes(text.trim()));
  expect(lines.length).toBeGreaterThan(1);
  expect(lines.map(({ text }) => text.trim()).join(' ')).toBe(words);
  // Measured with the typeface's own advances, no line is longer than 2 in, and the next word would not have gone in.
  const role = STARTING_STANDARD.roles.find((each) => each.id === 'notes')!;
  const typeface = readTypefaces(shippedFontFiles()).get(role.typeface)!;
  const width = (text: string): number => textWidth(typeface, text, lines[0]!.height, role.widthFactor);
  lines.forEach(({ text }, i) => {
    expect(width(text.trim())).toBeLessThanOrEqual(2 * IN + 0.02);
    const next = lines[i + 1]?.text.trim().split(' ')[0];
    if (next) expect(width(`${text.trim()} ${next}`)).toBeGreaterThan(2 * IN);
  });
  // The strip's left edge is 2 1/4 in left of the frame's right line; every line starts 1/8 in inside of it.
  const edges = sheet.lines.filter(([x0, , x1]) => near(x0, x1)).map(([x0]) => x0);
  const start = lines[0]!.x;
  expect(lines.every(({ x }) => near(x, start))).toBe(true);
  expect(edges.some((x) => near(x, start - IN / 8))).toBe(true);
  expect(edges.some((x) => near(x, start - IN / 8 + 2.25 * IN))).toBe(true);
});
