import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { expect, goTo, test } from './test';
import { goToSheet, projectId } from './office';

const PUMP_HOUSE = 'Osier Lane Pump House';
const FERRY = 'Brackenmouth Ferry Terminal';

const pairs = (...all: (string | number)[]): string => all.join('\n');
const line = (layer: string, x0: number, y0: number, x1: number, y1: number): string =>
  pairs(0, 'LINE', 8, layer, 10, x0, 20, y0, 11, x1, 21, y1);
/** A shed of 12 by 8 m, drawn in metres without saying so. */
const SHED = pairs(
  ...[0, 'SECTION', 2, 'ENTITIES'],
  line('WALL', 0, 0, 12, 0),
  line('WALL', 12, 0, 12, 8),
  line('WALL', 12, 8, 0, 8),
  line('WALL', 0, 8, 0, 0),
  line('ROOF', 0, 4, 12, 4),
  ...[0, 'ENDSEC', 0, 'EOF', ''],
);

/** Pictures of views on the paper. */
const pieces = (page: Page) => page.getByRole('application').locator('image[href^="/api/linework"]');

/** A box to half a pixel. */
const nearly = ({ x, y, width, height }: { x: number; y: number; width: number; height: number }) => ({
  x: expect.closeTo(x, 0),
  y: expect.closeTo(y, 0),
  width: expect.closeTo(width, 0),
  height: expect.closeTo(height, 0),
});

test('a drawing becomes a view at the largest scale that fits; a part of it and its layers are chosen by keyboard', async ({
  page,
  request,
}) => {
  const id = await projectId(request, PUMP_HOUSE);
  await goToSheet(page, id, 'A-503');
  await page.getByRole('button', { name: 'From a drawing…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Add a view of a drawing' });
  await dialog
    .getByLabel('A drawing for the view')
    .setInputFiles({ name: 'shed.dxf', mimeType: 'application/dxf', buffer: Buffer.from(SHED) });
  // Its unit is not in the file: metres make a likely building of it.
  await expect(dialog.getByRole('combobox', { name: 'One unit of the drawing is' })).toHaveText('Metres');
  await expect(dialog.getByText('12 m × 8 m')).toBeVisible();
  await expect(dialog.getByText(/^At 1:50, the largest that the drawing area holds: 240 × 160 mm/)).toBeVisible();
  // Half of it, without its roof.
  const width = dialog.getByLabel('Window width');
  await width.fill('6 m');
  await width.press('Enter');
  await expect(dialog.getByText('6 m × 8 m')).toBeVisible();
  await dialog.getByLabel(/^ROOF/).click();
  await expect(dialog.getByText('Layers, 1 of 2 shown')).toBeVisible();
  await dialog.getByRole('button', { name: 'Add the view' }).click();
  await expect(dialog).toBeHidden();
  await expect(pieces(page)).toHaveCount(1);
  await expect(page.getByLabel('Name')).toHaveValue('shed');
  const sheets = (await (await request.get(`/api/projects/${id}/sheets`)).json()) as {
    id: string;
    number: string;
    views: { scale: string; realWidth: number; drawing?: { unit: number; hidden?: string[] } }[];
  }[];
  const sheet = sheets.find(({ number }) => number === 'A-503')!;
  expect(sheet.views).toMatchObject([{ realWidth: 6000, drawing: { unit: 1000, hidden: ['ROOF'] } }]);
  const dxf = await (await request.get(`/api/sheets/${sheet.id}/sheet.dxf`)).text();
  expect(dxf).toContain('\nWALL\n');
  expect(dxf).not.toContain('\nROOF\n');

  // Taken off, its corners stand for it again.
  await page.getByRole('button', { name: 'Take it off' }).click();
  await expect(pieces(page)).toHaveCount(0);
  await expect(page.getByText('No drawing yet: its corners stand for it.')).toBeVisible();
});

test('what is no drawing is refused in words, and the dialog stays', async ({ page, request }) => {
  await goToSheet(page, await projectId(request, PUMP_HOUSE), 'A-502');
  await page.getByRole('button', { name: 'From a drawing…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog
    .getByLabel('A drawing for the view')
    .setInputFiles({ name: 'cut.dxf', mimeType: 'application/dxf', buffer: Buffer.from(SHED.slice(0, 120)) });
  await expect(dialog.getByRole('alert')).toContainText('cut off');
  await expect(dialog.getByRole('button', { name: 'Add the view' })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
});

test('another drawing in a view keeps its place and its scale', async ({ page, request }) => {
  await goToSheet(page, await projectId(request, FERRY), 'A-103');
  await expect(pieces(page)).toHaveCount(1);
  const before = await pieces(page).getAttribute('href');
  await page.getByRole('button', { name: 'Another window or drawing…' }).click();
  const dialog = page.getByRole('dialog', { name: 'The drawing of Roof plan' });
  await dialog.getByRole('button', { name: /^upper deck\.dxf/ }).click();
  await dialog.getByRole('button', { name: 'Show it in this view' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText('upper deck.dxf')).toBeVisible();
  await expect(pieces(page)).not.toHaveAttribute('href', before ?? '');
  await expect(page.getByRole('combobox', { name: 'Module' })).toHaveText('A1');
  await expect(page.getByRole('combobox', { name: 'Scale' })).toContainText('1:100');
  // One layer of it is drawn with another pen.
  await page.getByRole('button', { name: 'Another window or drawing…' }).click();
  await dialog.getByLabel('Pen of A-WALL', { exact: true }).selectOption('Frame');
  await dialog.getByRole('button', { name: 'Show it in this view' }).click();
  await expect(pieces(page)).toHaveAttribute('href', /A-WALL/);
});

test('a sheet follows the hand that drags it and the wheel that enlarges it, and stays where they leave it', async ({
  page,
  request,
}) => {
  await goToSheet(page, await projectId(request, FERRY), 'A-402');
  const paper = page.getByRole('application');
  const area = (await paper.boundingBox())!;
  const sheet = paper.locator('svg g > rect').nth(1);
  const from = { x: area.x + 20, y: area.y + area.height - 20 };
  const before = (await sheet.boundingBox())!;
  const painted = (await paper.locator('svg > g').first().getAttribute('transform'))!;
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y - 90, { steps: 5 });
  const dragged = { ...before, x: before.x + 60, y: before.y - 90 };
  await expect.poll(() => sheet.boundingBox()).toEqual(nearly(dragged));
  // It is moved as it was painted, and painted anew where more comes into sight than was painted around it.
  const drawn = paper.locator('svg > g').first();
  await expect(drawn).toHaveAttribute('transform', painted);
  await page.mouse.move(from.x + 500, from.y - 90, { steps: 5 });
  await expect(drawn).not.toHaveAttribute('transform', painted);
  await page.mouse.move(from.x + 60, from.y - 90, { steps: 5 });
  await expect.poll(() => sheet.boundingBox()).toEqual(nearly(dragged));
  await page.mouse.up();
  await expect.poll(() => sheet.boundingBox()).toEqual(nearly(dragged));
  // The corner of the sheet stays under the pointer.
  await page.mouse.move(dragged.x, dragged.y + 200);
  await page.mouse.wheel(0, -100);
  await expect.poll(async () => (await sheet.boundingBox())!.width).toBeGreaterThan(before.width * 1.1);
  const nearer = (await sheet.boundingBox())!;
  expect(nearer.x).toBeCloseTo(dragged.x, 0);
  // Painted anew at that scale, it stands where it stood.
  await expect(paper.locator('div:has(> svg)')).not.toHaveAttribute('style', /scale/);
  expect(await sheet.boundingBox()).toEqual(nearly(nearer));
});

test('a view is dragged to other modules, and a click only chooses it', async ({ page, request }) => {
  await goToSheet(page, await projectId(request, FERRY), 'A-402');
  const view = page.locator('[data-view=view-2] rect').first();
  const module = page.getByRole('combobox', { name: 'Module' });
  await expect(module).toHaveText('A1');
  await view.click();
  await expect(page.getByLabel('Name')).toHaveValue('Washrooms, upper deck');
  await expect(module).toHaveText('A3');
  const box = (await view.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 60, { steps: 4 });
  await page.mouse.move(x, y - 140, { steps: 4 });
  await page.mouse.up();
  await expect(module).toHaveText('B3');
});

test('all views of a sheet are arranged at once, and stand as before when that is undone', async ({
  page,
  request,
}) => {
  await goToSheet(page, await projectId(request, FERRY), 'A-403');
  const module = page.getByRole('combobox', { name: 'Module' });
  await expect(module).toHaveText('B1');
  await page.getByRole('button', { name: 'Arrange all' }).click();
  await expect(page.getByText('All views stand in free modules')).toBeVisible();
  await expect(module).toHaveText('C1');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(module).toHaveText('B1');
});

test('a view is nudged, laid over the plan of another floor, locked, and lined up with another', async ({
  page,
  request,
}) => {
  const id = await projectId(request, FERRY);
  await goToSheet(page, id, 'A-104');
  const paper = page.getByRole('application');
  const module = page.getByRole('combobox', { name: 'Module' });
  await paper.focus();
  await paper.press('Alt+Shift+ArrowRight');
  await expect(page.getByText('10 mm right off the middle of its modules.')).toBeVisible();
  await page.getByRole('button', { name: 'A-103', exact: true }).click();
  await expect(page.getByText('10 mm right off the middle of its modules.')).toBeHidden();
  const at = await module.textContent();
  await page.getByLabel('Locked: it stays where it is').click();
  await expect(module).toBeDisabled();
  await paper.press('ArrowLeft');
  await expect(page.getByText(/is locked. Unlock it to move it/)).toBeVisible();
  await expect(module).toHaveText(at ?? '');
  // The sheet before of the same kind.
  await paper.press('PageUp');
  await expect(page.getByRole('heading', { name: /^A-103/ })).toBeVisible();

  await goToSheet(page, id, 'A-402');
  const [first, second] = await page
    .locator('[data-view]')
    .evaluateAll((all) => all.map((each) => each.getAttribute('data-view')));
  const mark = (view: string | null | undefined) => page.locator(`[data-view="${view}"] rect`).first();
  await mark(first).click();
  await mark(second).click({ modifiers: ['Control'] });
  await page.getByRole('button', { name: 'Bottom', exact: true }).click();
  await expect(page.getByText('Lined up')).toBeVisible();
  const bottoms = await Promise.all([first, second].map(async (view) => mark(view).boundingBox()));
  expect(bottoms[0]!.y + bottoms[0]!.height).toBeCloseTo(bottoms[1]!.y + bottoms[1]!.height, 0);
});

test('views are arranged over several sheets, and what fits is told by scale and size', async ({ page, request }) => {
  const id = await projectId(request, FERRY);
  await goToSheet(page, id, 'A-201');
  await page.getByRole('button', { name: 'Over sheets…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Arrange views over several sheets' });
  await expect(dialog.getByRole('radio', { name: /^In order: 2 sheets/ })).toBeChecked();
  await expect(dialog.getByText(/A-203 is left without views/)).toBeVisible();
  await dialog.getByRole('tab', { name: 'What fits' }).click();
  await dialog.getByRole('button', { name: '1 sheet at 1:200', exact: true }).click();
  await expect(dialog.getByRole('radio', { name: /^In order: 1 sheet/ })).toBeVisible();
  await dialog.getByRole('button', { name: 'Change 3 sheets' }).click();
  await expect(page.getByText('5 views arranged on 3 sheets')).toBeVisible();
  await expect(page.getByText('Scale on this sheet: 1:200')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Scale on this sheet: 1:100')).toBeVisible();
});

test('a view without a place on another sheet is dragged onto this one', async ({ page, request }) => {
  const id = await projectId(request, FERRY);
  await goToSheet(page, id, 'A-505');
  const waiting = page.getByRole('region', { name: /^Tray of the project/ });
  const before = await pieces(page).count();
  await waiting.getByText('Bearing').dragTo(page.getByRole('application'), { targetPosition: { x: 120, y: 180 } });
  await expect(pieces(page)).toHaveCount(before + 1);
  await expect(page.getByLabel('Name')).toHaveValue('Bearing');
  await expect(waiting).toBeHidden();
});

test('a new file takes the place of a drawing on every sheet that shows it, and says which went out with the old one', async ({
  page,
  request,
}) => {
  const id = await projectId(request, FERRY);
  await goToSheet(page, id, 'S-101');
  const before = await pieces(page).getAttribute('href');
  await page.getByRole('button', { name: 'Another window or drawing…' }).click();
  const dialog = page.getByRole('dialog', { name: 'The drawing of Foundations' });
  await dialog
    .getByLabel('A new file for foundations.dxf')
    .setInputFiles({ name: 'foundations B.dxf', mimeType: 'application/dxf', buffer: Buffer.from(SHED) });
  const changed = page.getByRole('dialog', { name: 'What foundations B.dxf has changed' });
  await expect(changed.getByText('The new file shows on S-101; S-101 went out with the old one')).toBeVisible();
  await expect(changed.getByRole('row', { name: /^WALL 0 4$/ })).toBeVisible();
  // Both states are asked of the server as pictures of the same window.
  await changed.getByRole('button', { name: 'As it was' }).click();
  await expect(changed.getByRole('img', { name: /as it was$/ })).toBeVisible();
  await changed.getByRole('button', { name: 'Close' }).click();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('foundations B.dxf')).toBeVisible();
  await expect(pieces(page)).not.toHaveAttribute('href', before ?? '');
  await expect(page.getByRole('combobox', { name: 'Scale' })).toContainText('1:100');
});

/** Dots for each inch of paper that pictures are compared at. */
const DOTS = 60;
const PER_MM = DOTS / 25.4;
/** Poppler makes lines thinner than a dot a dot wide: pictures of files are made finer and reduced. */
const FINER = 4;

/** Grey dots of a picture, reduced to a part of its size. */
async function greys(picture: Buffer | string, by = 1): Promise<{ data: Buffer; width: number; height: number }> {
  const { width } = await sharp(picture).metadata();
  const flat = await sharp(picture).flatten({ background: '#ffffff' }).png().toBuffer();
  const image = sharp(flat)
    .resize(Math.round(width / by))
    .greyscale();
  const { data, info } = await image.raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

/** How far two pictures are apart on average, from 0 to 1, within a box of the first. */
function apart(
  a: { data: Buffer; width: number },
  b: { data: Buffer; width: number },
  box: { x: number; y: number; width: number; height: number },
): number {
  let sum = 0;
  for (let y = 0; y < box.height; y++)
    for (let x = 0; x < box.width; x++)
      sum += Math.abs(
        (a.data[(box.y + y) * a.width + box.x + x] ?? 0) - (b.data[(box.y + y) * b.width + box.x + x] ?? 0),
      );
  return sum / (255 * box.width * box.height);
}

// References: poppler's picture of the PDF and rsvg's of the SVG.
test('a placed plan is the same on screen, in the PDF and in the SVG, within a hundredth', async ({
  page,
  request,
}) => {
  const id = await projectId(request, FERRY);
  await goToSheet(page, id, 'A-101');
  const image = pieces(page);
  await expect(image).toHaveCount(1);
  const href = (await image.getAttribute('href')) ?? '';
  const [x, y, width, height] = await Promise.all(
    ['x', 'y', 'width', 'height'].map(async (name) => Number(await image.getAttribute(name))),
  );
  const at = (await image.locator('xpath=ancestor::*[@transform][1]').getAttribute('transform')) ?? '';
  const [, dx = '0', dy = '0'] = /translate\(([-\d.]+) ([-\d.]+)\)/.exec(at) ?? [];
  const sheets = (await (await request.get(`/api/projects/${id}/sheets`)).json()) as { id: string; number: string }[];
  const sheet = sheets.find(({ number }) => number === 'A-101')!;
  const folder = mkdtempSync(join(tmpdir(), 'mendrel-views-'));
  const file = (name: string): string => join(folder, name);
  for (const ending of ['pdf', 'svg'])
    writeFileSync(file(`sheet.${ending}`), await (await request.get(`/api/sheets/${sheet.id}/sheet.${ending}`)).body());
  execFileSync('pdftocairo', [
    '-png',
    '-gray',
    '-r',
    String(FINER * DOTS),
    '-singlefile',
    file('sheet.pdf'),
    file('pdf'),
  ]);
  const finer = String(FINER * DOTS);
  execFileSync('rsvg-convert', ['-d', finer, '-p', finer, '-o', file('svg.png'), file('sheet.svg')]);
  // The view alone, as the page shows it, where it stands on a sheet of that many dots.
  const [left, upper] = [(Number(dx) + x!) * PER_MM, (Number(dy) + y!) * PER_MM];
  await page.setViewportSize({ width: 2100, height: 1500 });
  await page.evaluate(
    async ({ href, left, upper, width, height }) => {
      const picture = document.createElement('img');
      picture.id = 'view-to-compare';
      picture.style.cssText = `position:fixed;left:${left}px;top:${upper}px;width:${width}px;height:${height}px`;
      picture.src = href;
      const ground = document.createElement('div');
      ground.dataset['ofTest'] = 'yes';
      ground.style.cssText = 'position:fixed;inset:0;background:#fff;z-index:99999';
      ground.append(picture);
      document.body.append(ground);
      await picture.decode();
    },
    { href, left, upper, width: width! * PER_MM, height: height! * PER_MM },
  );
  const screen = await greys(await page.screenshot());
  const [pdf, svg] = [await greys(file('pdf.png'), FINER), await greys(file('svg.png'), FINER)];
  // A little less than the view: its name stands along its lower edge.
  const box = {
    x: Math.ceil(left) + 2,
    y: Math.ceil(upper) + 2,
    width: Math.floor(width! * PER_MM) - 4,
    height: Math.floor((height! - 6) * PER_MM) - 4,
  };
  expect(apart(screen, pdf, box)).toBeLessThan(0.01);
  expect(apart(screen, svg, box)).toBeLessThan(0.01);
  // There is something to compare.
  expect(apart(screen, { data: Buffer.alloc(screen.data.length, 255), width: screen.width }, box)).toBeGreaterThan(
    0.01,
  );
  rmSync(folder, { recursive: true });
});

test('areas are measured from a drawing, grouped with totals, and stand in the table of areas', async ({
  page,
  request,
}) => {
  const id = await projectId(request, PUMP_HOUSE);
  await goTo(page, `/projects/${id}/areas`);
  await page.getByRole('combobox', { name: 'Measure another drawing' }).click();
  await page.getByRole('option', { name: 'pump house.dxf' }).click();
  await expect(page.getByRole('combobox', { name: 'Layers of outlines in pump house.dxf' })).toHaveText(/A-AREA/);
  const table = page.getByRole('table', { name: 'Areas' });
  // 7515 by 5150 mm within the walls, by hand.
  await expect(table.getByRole('row', { name: /3 STUDIO/ })).toContainText('38.70 m²');
  await page.getByLabel('New group').fill('Dwelling');
  await page.getByRole('button', { name: 'Add the group' }).click();
  for (const [name, number] of [
    ['STUDIO', '3'],
    ['KITCHEN', '1'],
  ]) {
    await page.getByRole('combobox', { name: `Group of ${number} ${name}` }).click();
    await page.getByRole('option', { name: 'Dwelling' }).click();
  }
  await page.getByRole('button', { name: 'Save the areas' }).click();
  await expect(page.getByText('Saved; the table of areas has 3 rows')).toBeVisible();
  const { tables } = (await (await request.get(`/api/projects/${id}/tables`)).json()) as {
    tables: Record<string, { name: string; area: string }[]>;
  };
  expect(tables['areas']).toMatchObject([
    { name: '1 KITCHEN', area: '6.75 m²' },
    { name: '3 STUDIO', area: '38.70 m²' },
    { name: 'Total Dwelling', area: '45.45 m²' },
  ]);
  // Areas that were measured elsewhere come from a list, with the groups that it says.
  await page.getByLabel('A list of areas').setInputFiles({
    name: 'areas.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Number,Name,Area,Group\n9,Yard,120.5,Outside\n10,Ramp,wide,Outside\n'),
  });
  await expect(page.getByText('row 3: “wide” is no area')).toBeVisible();
  await page.getByRole('button', { name: 'Use these groups' }).click();
  await expect(table.getByRole('row', { name: /9 Yard/ })).toContainText('120.50 m²');
  await page.getByRole('button', { name: 'Save the areas' }).click();
  await expect(page.getByText('Saved; the table of areas has 6 rows')).toBeVisible();
});
