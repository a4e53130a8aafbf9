import { readFileSync } from 'node:fs';
import { expect, goTo, test } from './test';
import { drawingSet, legacyId, paperShown } from './office';

for (const [name, cells, fields] of [
  ['corner-block-a1.dxf', 11, 10],
  ['rotated-text-a1.dxf', 10, 9],
] as const) {
  test(`${name} becomes a design that can be set out`, async ({ page }) => {
    await goTo(page, '/intake');
    await page.getByRole('link', { name }).click();
    await paperShown(page);
    await expect(page.getByText(`${cells} cells`)).toBeVisible();
    await expect(page.getByText(`${fields} fields`)).toBeVisible();
    await expect(page.getByText('Old and rebuilt lines lie 0.000 mm apart')).toBeVisible();
    await page.getByRole('button', { name: 'Save as a design' }).click();
    await expect(page).toHaveURL(/\/designs\//);
    await expect(page.getByRole('heading', { name: name.replace('.dxf', ''), level: 1 })).toBeVisible();
    await paperShown(page);
    await page.getByRole('button', { name: /^ISO A3/ }).click();
    await expect(page.getByText('420 × 297 mm ·')).toBeVisible();
  });
}

for (const name of ['scaled-model-a3.dxf', 'strip-arch-d.dxf', 'dirty-arch-e1.dxf']) {
  test(`${name} becomes a design that a project's sheets are drawn by`, async ({ page, request }) => {
    await goTo(page, `/intake/${await legacyId(request, name)}`);
    await expect(page.getByRole('heading', { name: /ISO A3|ARCH D|ARCH E1/, level: 2 })).toBeVisible();
    await expect(page.getByText(/Old and rebuilt lines lie 0\.0\d\d mm apart/)).toBeVisible();
    await page.getByRole('button', { name: /^Save as/ }).click();
    await expect(page).toHaveURL(/\/designs\/[0-9a-f-]+$/);
    const designId = page.url().split('/').pop();
    const project = await request.post('/api/projects', { data: { name: `After ${name}`, designId } });
    const { id } = (await project.json()) as { id: string };
    const size = { scaled: 'ISO A3', strip: 'ARCH D', dirty: 'ARCH E1' }[name.split('-')[0] ?? ''] ?? '';
    const sheet = { number: 'Z-901', title: 'Drawn by the old block', kind: 'plan', size };
    expect((await request.post(`/api/projects/${id}/sheets`, { data: sheet })).status()).toBe(201);
    await goTo(page, `/projects/${id}/arrange`);
    await paperShown(page);
    await expect(page.getByRole('application').locator('svg text', { hasText: 'Z-901' }).first()).toBeAttached();
  });
}

test('a parameter that was guessed can be changed before it is kept', async ({ page, request }) => {
  await goTo(page, `/intake/${await legacyId(request, 'rotated-text-a1.dxf')}`);
  const field = page.getByRole('combobox', { name: '“TL”' });
  await expect(field).toHaveText('Checked by (sheet)');
  await field.click();
  await page.getByRole('option', { name: 'Approved by (sheet)' }).click();
  await page.getByRole('button', { name: /^Save as/ }).click();
  await expect(page).toHaveURL(/\/designs\/[0-9a-f-]+$/);
  const id = page.url().split('/').pop();
  const saved = await (await request.get(`/api/designs/${id}`)).text();
  expect(saved).toContain('{sheet.approvedBy}');
  expect(saved).not.toContain('{sheet.checkedBy}');
});

test('cells are made one, and a correction stays while another is made', async ({ page, request }) => {
  await goTo(page, `/intake/${await legacyId(request, 'scaled-model-a3.dxf')}`);
  await paperShown(page);
  const found = page.getByRole('region', { name: 'What was found' });
  const before = Number(/(\d+) cells/.exec((await found.textContent()) ?? '')?.[1]);
  const paper = page.getByRole('application');
  const box = await paper.boundingBox();
  if (!box) throw new Error('there is no paper');
  // Any two neighbours will do that fill a rectangle: the paper is tried from below until two are chosen.
  const { report } = await (await request.get(`/api/intake/${page.url().split('/').pop()}/conversion`)).json();
  const cells: { x: number; y: number; width: number; height: number }[] = report.cells;
  const pair = cells
    .flatMap((a) => cells.map((b) => [a, b] as const))
    .find(([a, b]) => a.y === b.y && a.height === b.height && Math.abs(a.x + a.width - b.x) < 0.01);
  if (!pair) throw new Error('there are no two cells side by side');
  const corners = await page.evaluate(
    (points) => {
      const drawn = document.querySelector<SVGGElement>('[role="application"] svg > g');
      const at = drawn?.getScreenCTM();
      return points.map(([x = 0, y = 0]) => (at ? [at.a * x + at.e, at.d * y + at.f] : [0, 0]));
    },
    pair.map((cell) => [cell.x + cell.width / 2, report.sheet.height - cell.y - cell.height / 2]),
  );
  const [first = [], second = []] = corners;
  await page.mouse.click(first[0] ?? 0, first[1] ?? 0);
  await page.keyboard.down('Shift');
  await page.mouse.click(second[0] ?? 0, second[1] ?? 0);
  await page.keyboard.up('Shift');
  await page.getByRole('button', { name: 'Make 2 one cell' }).click();
  await expect(found).toContainText(`${before - 1} cells`);

  const field = page.getByRole('region', { name: 'Values and their parameters' }).getByRole('combobox').first();
  await field.click();
  await page.getByRole('option', { name: 'Approved by (sheet)' }).click();
  await expect(field).toHaveText('Approved by (sheet)');
  await expect(found).toContainText(`${before - 1} cells`);
  await page.getByRole('button', { name: 'Undo all corrections' }).click();
  await expect(found).toContainText(`${before} cells`);
});

test('a layer is left out, lengths stay as drawn and lettering gets another role, each beside the others', async ({
  page,
  request,
}) => {
  await goTo(page, `/intake/${await legacyId(request, 'dirty-arch-e1.dxf')}`);
  const found = page.getByRole('region', { name: 'What was found' });
  await expect(found).toContainText(/\d+ cells/);
  const before = Number(/(\d+) cells/.exec((await found.textContent()) ?? '')?.[1]);
  const role = page.getByRole('combobox', { name: /^Role of texts of/ }).last();
  await role.click();
  await page
    .getByRole('option', { name: /^Title/ })
    .first()
    .click();
  await expect(page.getByRole('combobox', { name: /^Role of texts of/ }).last()).toHaveText(/^Title/);
  await page.getByRole('button', { name: 'Use lengths as drawn' }).click();
  await expect(page.getByText('Lengths stay as they were drawn.')).toBeVisible();
  await expect(page.getByRole('combobox', { name: /^Role of texts of/ }).last()).toHaveText(/^Title/);
  const layer = page.getByRole('combobox', { name: /^LOGO: / });
  await layer.click();
  await page.getByRole('option', { name: 'Leave out' }).click();
  await expect(layer).toHaveText('Leave out');
  await expect(page.getByText('the layer was left out by hand')).toBeVisible();
  await page.getByRole('button', { name: 'Undo all corrections' }).click();
  await expect(page.getByText('Lengths stay as they were drawn.')).toHaveCount(0);
  await expect(found).toContainText(`${before} cells`);
});

test('a file is dropped in; one that cannot be read is refused with its line', async ({ page }) => {
  await goTo(page, '/intake');
  const picker = page.getByLabel('Drawing files');
  const drawing = readFileSync('demo/legacy/corner-block-a1.dxf');
  await picker.setInputFiles({ name: 'cut.dxf', mimeType: 'application/dxf', buffer: drawing.subarray(0, 9000) });
  await expect(page.getByRole('alert')).toContainText(/cut\.dxf was not read: line \d+: .*cut off/);
  await picker.setInputFiles({ name: 'note.dxf', mimeType: 'application/dxf', buffer: Buffer.from('Dear all,\n') });
  await expect(page.getByRole('alert')).toContainText('note.dxf was not read: line 1');
  await expect(page.getByRole('link', { name: 'cut.dxf' })).toHaveCount(0);
  await picker.setInputFiles({ name: 'dropped.dxf', mimeType: 'application/dxf', buffer: drawing });
  await expect(page).toHaveURL(/\/intake\/[0-9a-f-]+/);
  await expect(page.getByText('11 cells')).toBeVisible();
  await page.getByRole('link', { name: 'Intake', exact: true }).first().click();
  await page.getByRole('button', { name: 'Delete dropped.dxf' }).click();
  const question = page.getByRole('dialog', { name: 'Delete dropped.dxf?' });
  await question.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('link', { name: 'dropped.dxf' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete dropped.dxf' }).click();
  await question.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: 'dropped.dxf' })).toHaveCount(0);
});

test('a large drawing is read in steps that are told, and can be given up', async ({ page }) => {
  const wall = (i: number): string => {
    const [x, y] = [60_000 + ((i * 7919) % 560_000), 150_000 + ((i * 104_729) % 380_000)];
    return `  0\nLINE\n  8\nWALLS\n 10\n${x}\n 20\n${y}\n 11\n${x + 9000}\n 21\n${y}\n`;
  };
  const walls = Array.from({ length: 300_000 }, (_, i) => wall(i)).join('');
  const drawing = readFileSync('demo/legacy/corner-block-a1.dxf', 'latin1').replace(
    /ENTITIES\r?\n/,
    `ENTITIES\n${walls}`,
  );
  await goTo(page, '/intake');
  await page.getByLabel('Drawing files').setInputFiles({
    name: 'whole plan.dxf',
    mimeType: 'application/dxf',
    buffer: Buffer.from(drawing, 'latin1'),
  });
  await expect(page.getByRole('status')).toContainText(/whole plan\.dxf: step \d of 6, /);
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Choose files' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'whole plan.dxf' })).toHaveCount(0);
});

test('a page that a browser printed is brought in as a PDF, converted and kept', async ({ page, browser }) => {
  // Reference: Chromium writes the PDF, from linework in millimetres.
  const line = (x0: number, y0: number, x1: number, y1: number): string =>
    `<line x1="${x0}" y1="${y0}" x2="${x1}" y2="${y1}" stroke="black" stroke-width="0.35"/>`;
  const text = (x: number, y: number, size: number, words: string): string =>
    `<text x="${x}" y="${y}" font-size="${size / 0.716}" font-family="sans-serif">${words}</text>`;
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="420mm" height="297mm" viewBox="0 0 420 297">
    <rect x="20" y="10" width="390" height="277" fill="none" stroke="black" stroke-width="0.7"/>
    <rect x="230" y="247" width="180" height="40" fill="none" stroke="black" stroke-width="0.5"/>
    ${line(230, 267, 410, 267)}${line(320, 267, 320, 287)}
    ${text(232, 251, 1.8, 'PROJECT')}${text(232, 263, 5, 'Quarry Road Library')}
    ${text(232, 271, 1.8, 'TITLE')}${text(232, 283, 3.5, 'North elevation')}
    ${text(322, 271, 1.8, 'DRAWING NO.')}${text(322, 283, 5, 'A-201')}</svg>`;
  const printer = await browser.newPage();
  await printer.setContent(`<style>body{margin:0}svg{display:block}</style>${drawing}`);
  const buffer = await printer.pdf({ width: '420mm', height: '297mm', printBackground: true });
  await printer.close();

  await goTo(page, '/intake');
  await page.getByLabel('Drawing files').setInputFiles({ name: 'printed.pdf', mimeType: 'application/pdf', buffer });
  await expect(page).toHaveURL(/\/intake\/[0-9a-f-]+$/);
  await expect(page.getByRole('heading', { name: /ISO A3/, level: 2 })).toBeVisible();
  await expect(page.getByText('3 cells')).toBeVisible();
  await expect(page.getByRole('combobox', { name: '“North elevation”' })).toHaveText('Sheet title (sheet)');
  await page.getByRole('button', { name: 'Save as a design' }).click();
  await expect(page).toHaveURL(/\/designs\//);
});

test('the sheets of a set become one design and the register of a project', async ({ page }) => {
  const corner = readFileSync('demo/legacy/corner-block-a1.dxf', 'latin1');
  const sheet = (number: string, title: string) => ({
    name: `${number}.dxf`,
    mimeType: 'application/dxf',
    buffer: Buffer.from(corner.replace('BFT-A-101', number).replace('Ground floor plan', title), 'latin1'),
  });
  await goTo(page, '/intake');
  await page
    .getByLabel('Drawing files')
    .setInputFiles([
      sheet('OLD-A-101', 'Ground floor plan'),
      sheet('OLD-A-102', 'First floor plan'),
      sheet('OLD-A-103', 'Roof plan'),
      { name: 'OLD-note.dxf', mimeType: 'application/dxf', buffer: Buffer.from('Dear all,\n') },
    ]);
  await expect(page).toHaveURL(/\/intake\/sets\//);
  const set = page.url();
  const group = page.getByRole('region', { name: 'One title block on 3 sheets' });
  await expect(group).toContainText('Roof plan');
  await expect(page.getByText(/OLD-note\.dxf: line 1/)).toBeVisible();
  await group.getByRole('checkbox', { name: 'Import OLD-A-102' }).uncheck();
  await group.getByLabel('Project name').fill('Ferry Terminal as built');
  await group.getByRole('button', { name: 'Import 2 sheets as a project' }).click();
  await expect(page).toHaveURL(/\/projects\/[0-9a-f-]+\/register/);
  await expect(page.getByRole('heading', { name: 'Ferry Terminal as built', level: 1 })).toBeVisible();
  await expect(page.getByText('OLD-A-103')).toBeVisible();
  await expect(page.getByText('OLD-A-102')).toHaveCount(0);

  // Taken over, the drawings may go; the project stays.
  await goTo(page, set);
  await page.getByRole('button', { name: 'Delete these drawings' }).click();
  await page.getByRole('dialog', { name: 'Delete 4 drawings?' }).getByRole('button', { name: 'Delete' }).click();
  await expect(page).toHaveURL(/\/intake$/);
  await goTo(page, '/projects');
  await expect(page.getByRole('link', { name: 'Ferry Terminal as built' })).toBeVisible();
});

test('what is set right on one drawing of a set counts for all sheets of its group', async ({ page, request }) => {
  const id = await drawingSet(request);
  await goTo(page, `/intake/sets/${id}`);
  await page.getByRole('link', { name: 'Correct all of them at once' }).click();
  const apply = page.getByRole('button', { name: 'Apply to 2 sheets' });
  await expect(apply).toBeDisabled();
  await page.getByRole('combobox', { name: '“MO”' }).click();
  await page.getByRole('option', { name: 'Approved by (sheet)' }).click();
  await apply.click();
  await expect(page.getByRole('columnheader', { name: 'Approved by' })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'MO' })).toHaveCount(2);
  await expect(page.getByRole('columnheader', { name: 'Drawn by' })).toHaveCount(0);
});

test('anything on the old drawing is asked what became of it', async ({ page, request }) => {
  await goTo(page, `/intake/${await legacyId(request, 'corner-block-a1.dxf')}`);
  await paperShown(page);
  // The old text lies under the new one; whichever is on top takes the click.
  const client = page.getByRole('application').getByText('Brackenmouth Harbour Trust').first();
  const at = (await client.boundingBox())!;
  await page.mouse.click(at.x + at.width / 2, at.y + at.height / 2);
  const told = page.getByRole('region', { name: 'What you clicked' });
  await expect(told).toContainText('“Brackenmouth Harbour Trust”');
  await expect(told).toContainText('a value of Client');
});

test('old and new are compared, and what differs is shown where it is', async ({ page, request }) => {
  await goTo(page, `/intake/${await legacyId(request, 'rotated-text-a1.dxf')}`);
  await paperShown(page);
  await page.getByRole('button', { name: 'Difference' }).click();
  await expect(page.getByText('Blue: design only')).toBeVisible();
  const ring = page.locator('[role=application] circle[r="6"]');
  await expect(ring).toHaveCount(0);
  const first = page.getByRole('list', { name: 'What differs' }).getByRole('button').first();
  await first.click();
  await expect(first).toHaveAttribute('aria-pressed', 'true');
  await expect(ring).toHaveCount(1);
  await page.getByRole('button', { name: 'Blink' }).click();
  await expect(page.getByText('Blue: design only')).toHaveCount(0);

  await goTo(page, `/intake/${await legacyId(request, 'dirty-arch-e1.dxf')}`);
  await expect(page.getByRole('region', { name: 'Old lettering and its roles' })).toContainText('Caption 3/32 in');
  await expect(page.getByText('Cleaned: 2 cases of duplicates.')).toBeVisible();
});

test('a caption that nobody knows is made a parameter of the office, and forgotten again', async ({ page }) => {
  const corner = readFileSync('demo/legacy/corner-block-a1.dxf', 'latin1');
  const buffer = Buffer.from(corner.replace('Created by', 'PENCILLED BY HAND'), 'latin1');
  await goTo(page, '/intake');
  await page.getByLabel('Drawing files').setInputFiles({ name: 'p.dxf', mimeType: 'application/dxf', buffer });
  await page.getByRole('button', { name: 'Make Pencilled by hand a parameter' }).click();
  await expect(page.getByRole('combobox', { name: '“MO”' })).toHaveText('Pencilled by hand (sheet)');
  await page.getByRole('link', { name: 'Intake' }).first().click();
  const forget = page.getByRole('button', { name: 'Forget The caption “pencilled by hand”' });
  await forget.click();
  await expect(forget).toHaveCount(0);
});
