import { RED_PNG } from '../packages/formats/src/testing/image';
import { expect, goTo, test } from './test';
import { copyOfDesign, paperShown } from './office';
import { Hands, LOGO, startDesign } from './hands';

// Tried as a new user would: a real block for A1 and A3, from an empty sheet.
test('a right-strip block with 20 cells, logo, 12 fields and revision table is built in under 60 actions', async ({
  page,
}) => {
  const hands = new Hands(page);
  await startDesign(hands, 'Built from nothing', 'Empty sheet', 'mm', ['ISO A1', 'ISO A3']);
  await hands.click(page.getByRole('button', { name: 'Add…' }).first());
  await hands.click(page.getByRole('menuitem', { name: 'Panel, right edge' }));
  // The strip is 80 mm wide, and 62 on A3.
  await hands.click(page.getByRole('button', { name: 'Make the width a dimension' }));
  await hands.type(page.getByRole('textbox', { name: /Width on ISO A3$/ }), '62');

  await hands.click(hands.cell('Right strip'));
  await hands.divide('Rows', '40 | * | 30 x3 | 24 x3 | 14 x3 | 26');
  // Six of the rows are divided in two at once.
  const rows = page.getByRole('treeitem', { name: /^Empty cell/ });
  await hands.click(rows.nth(5));
  await hands.click(rows.nth(10), { modifiers: ['Shift'] });
  await hands.divide('Columns', '* | *');
  await expect(page.getByRole('treeitem', { name: /^Empty cell/ })).toHaveCount(18);

  // Twelve fields with their captions: the cells in the order of the outline, then the parameters in the same order.
  await hands.click(rows.nth(2));
  await hands.click(rows.nth(13), { modifiers: ['Shift'] });
  await hands.click(page.getByRole('button', { name: 'Add fields…' }));
  const dialog = page.getByRole('dialog', { name: /^Add fields to/ });
  for (const name of [
    'Client',
    'Project',
    'Sheet title',
    'Status',
    'Drawn by',
    'Designed by',
    'Checked by',
    'Approved by',
    'Scale',
    'Date',
    'Sheet number',
    'Revision',
  ]) {
    await hands.click(dialog.getByRole('checkbox', { name, exact: true }));
  }
  await hands.click(dialog.getByRole('button', { name: 'Add fields' }));

  await hands.click(hands.cell(/^Empty cell/));
  await hands.click(page.getByRole('button', { name: 'Add…' }).last());
  await hands.click(page.getByRole('menuitem', { name: 'Picture…' }));
  await hands.file(page.getByLabel('Picture file'), { name: 'mark.svg', mimeType: 'image/svg+xml', buffer: LOGO });
  await hands.click(page.getByRole('button', { name: 'Insert picture' }));

  await hands.click(hands.cell(/^Empty cell/));
  await hands.click(page.getByRole('button', { name: 'Add…' }).last());
  await hands.click(page.getByRole('menuitem', { name: 'Table', exact: true }));

  const cells = await page.getByRole('treeitem').count();
  console.log(`    built with ${hands.actions} actions: ${cells} cells and panels`);
  expect(cells).toBeGreaterThanOrEqual(20);
  expect(hands.actions).toBeLessThan(60);
  await expect(page.getByText(/^saved, version/)).toBeVisible();
  await expect(page.getByRole('application').getByText('Brackenmouth Ferry Terminal')).toBeVisible();
});

test('neighbours are joined, a span is split, and what was copied fills other cells', async ({ page, request }) => {
  const hands = new Hands(page);
  await goTo(page, `/designs/${await copyOfDesign(request, 'Quay strip', 'Copy for joining')}`);
  await paperShown(page);
  await hands.click(hands.cell('Notes'));
  await hands.divide('Grid', '2 equal by 3 equal');
  const empty = page.getByRole('treeitem', { name: /^Empty cell/ });
  await expect(empty).toHaveCount(5);
  await hands.click(empty.nth(0));
  await hands.click(empty.nth(1), { modifiers: ['Shift'] });
  await page.getByRole('tree').focus();
  await hands.press('j');
  await expect(page.getByText('do not make up a rectangle together')).toBeVisible();
  await hands.click(empty.nth(1));
  await hands.click(empty.nth(2), { modifiers: ['Shift'] });
  await hands.click(page.getByRole('button', { name: 'Join cells', exact: true }));
  await expect(empty).toHaveCount(4);
  await hands.click(hands.cell('Client'));
  await page.getByRole('tree').focus();
  await hands.press('Control+c');
  await hands.click(empty.nth(0));
  await page.getByRole('tree').focus();
  await hands.press('Control+v');
  await expect(page.getByRole('treeitem', { name: /^Client/ })).toHaveCount(2);
  await hands.press('Control+z');
  await expect(page.getByRole('treeitem', { name: /^Client/ })).toHaveCount(1);
});

test('a length counts for one size only when that is chosen, and is named for it', async ({ page, request }) => {
  const hands = new Hands(page);
  await goTo(page, `/designs/${await copyOfDesign(request, 'Quay strip', 'Copy for one size')}`);
  await paperShown(page);
  await hands.click(page.getByRole('button', { name: /^ISO A3/ }));
  await hands.click(page.getByRole('button', { name: 'A3 only' }));
  await hands.click(hands.cell('Client'));
  const size = page.getByLabel('Size of row 5', { exact: true });
  await expect(size).toHaveAttribute('title', 'Counts for ISO A3 only');
  await hands.type(size, '30');
  await expect(page.getByRole('textbox', { name: 'clientRow on ISO A3' })).toHaveValue('30');
  await expect(page.getByRole('textbox', { name: 'clientRow on ISO A1' })).toHaveValue('42');
});

test('what would it take: the change is computed, previewed and applied', async ({ page, request }) => {
  const hands = new Hands(page);
  await goTo(page, `/designs/${await copyOfDesign(request, 'Quay strip', 'Copy for mending')}`);
  await paperShown(page);
  await hands.click(page.getByRole('button', { name: 'Longest' }));
  await hands.click(page.getByRole('button', { name: 'What would it take?' }));
  const dialog = page.getByRole('dialog', { name: 'What would it take?' });
  await expect(dialog).toContainText(/strip 62 → \d+(\.\d)? mm on ISO A3 removes both/);
  // The longest title of any project is too long for several sizes, each with a change of its own.
  const apply = dialog.getByRole('button', { name: 'Apply' });
  for (let left = await apply.count(); left > 0; left--) {
    await hands.click(apply.first());
    await expect(apply).toHaveCount(left - 1);
  }
  await expect(dialog).toContainText('No problems on any size.');
});

test('a revision stays as it was; what changed since is told; a checkpoint takes one back', async ({
  page,
  request,
}) => {
  const hands = new Hands(page);
  await goTo(page, `/designs/${await copyOfDesign(request, 'Quay strip', 'Copy for revisions')}`);
  await paperShown(page);
  await hands.click(page.getByRole('button', { name: 'Revisions…' }));
  const dialog = page.getByRole('dialog', { name: /^Revisions of/ });
  await expect(dialog).toContainText('Not published yet');
  await hands.type(dialog.getByLabel('Name of the checkpoint'), 'Before the change');
  await expect(dialog.getByRole('button', { name: 'Restore Before the change' })).toBeVisible();
  await hands.type(dialog.getByLabel('What changed, for those who use it'), 'First one', false);
  await hands.click(dialog.getByRole('button', { name: 'Publish revision 1' }));
  await expect(dialog).toBeHidden();

  await hands.click(hands.cell('Client'));
  await hands.type(page.getByLabel('Size of row 5', { exact: true }), '50');
  await hands.click(page.getByRole('button', { name: 'Revisions…' }));
  await expect(dialog).toContainText('Strip, row 5: 42 → 50');
  await expect(dialog.getByRole('application')).toBeVisible();
  await hands.click(dialog.getByRole('button', { name: 'Restore Before the change' }));
  await expect(page.getByLabel('Size of row 5', { exact: true })).toHaveValue('42');
});

test('a locked panel is not changed by accident', async ({ page, request }) => {
  const hands = new Hands(page);
  await goTo(page, `/designs/${await copyOfDesign(request, 'Quay strip', 'Copy for locking')}`);
  await paperShown(page);
  await hands.click(hands.cell('Right strip'));
  await page.getByRole('tree').focus();
  await hands.press('l');
  await expect(hands.cell('Right strip')).toContainText('locked');
  await hands.click(hands.cell('Client'));
  await hands.type(page.getByLabel('Size of row 5', { exact: true }), '50');
  await expect(page.getByText('Right strip is locked; unlock it first').first()).toBeVisible();
});

test('files that are no pictures are refused, and what is dropped from an SVG is said', async ({ page, request }) => {
  const hands = new Hands(page);
  await goTo(page, `/designs/${await copyOfDesign(request, 'Quay strip', 'Copy for pictures')}`);
  await paperShown(page);
  await hands.click(hands.cell('Notes'));
  await hands.click(page.getByRole('button', { name: 'Add…' }).last());
  await hands.click(page.getByRole('menuitem', { name: 'Picture…' }));
  const dialog = page.getByRole('dialog', { name: 'Choose a picture' });
  const file = dialog.getByLabel('Picture file');
  await file.setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') });
  await expect(dialog.getByRole('alert')).toContainText('not a PNG, JPEG, TIFF, WebP or SVG picture');
  // The header of a PNG of 20,000 by 10,000 pixels.
  const huge = Buffer.alloc(40);
  Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex').copy(huge);
  huge.writeUInt32BE(20_000, 16);
  huge.writeUInt32BE(10_000, 20);
  await file.setInputFiles({ name: 'huge.png', mimeType: 'image/png', buffer: huge });
  await expect(dialog.getByRole('alert')).toContainText('200 million; a picture may have 40 million');
  const script = Buffer.from(LOGO.toString().replace('<path', '<script>alert(1)</script><path'));
  await file.setInputFiles({ name: 'mark.svg', mimeType: 'image/svg+xml', buffer: script });
  await expect(dialog.getByRole('status')).toContainText('Left out of it: a script');
  await expect(dialog.getByRole('button', { name: 'Insert picture' })).toBeEnabled();
});

test('an image is shown on the paper, and is kept once beside the design, not in it', async ({ page, request }) => {
  const hands = new Hands(page);
  const id = await copyOfDesign(request, 'Quay strip', 'Copy for an image');
  await goTo(page, `/designs/${id}`);
  await paperShown(page);
  await hands.click(hands.cell('Notes'));
  await hands.click(page.getByRole('button', { name: 'Add…' }).last());
  await hands.click(page.getByRole('menuitem', { name: 'Picture…' }));
  const buffer = Buffer.from(RED_PNG, 'base64');
  await page.getByLabel('Picture file').setInputFiles({ name: 'mark.png', mimeType: 'image/png', buffer });
  await hands.click(page.getByRole('button', { name: 'Insert picture' }));
  const image = page.locator('image[href^="/api/assets/"]').first();
  await expect(image).toBeVisible();
  const answer = await request.get((await image.getAttribute('href')) ?? '');
  expect([answer.headers()['content-type'], (await answer.body()).toString('base64')]).toEqual(['image/png', RED_PNG]);
  await expect(page.getByText(/^saved, version 2/)).toBeVisible();
  const saved = await (await request.get(`/api/designs/${id}`)).text();
  expect(saved).toContain('"asset"');
  expect(saved).not.toContain(RED_PNG);
});

test('a size, a pen and a parameter that the office lacks are added from where they are needed, in one step each', async ({
  page,
  request,
}) => {
  const hands = new Hands(page);
  await goTo(page, `/designs/${await copyOfDesign(request, 'Quay strip', 'Copy for own entries')}`);
  await paperShown(page);
  await page.keyboard.press('Escape');
  await hands.click(page.getByRole('combobox', { name: 'Add a sheet size' }));
  await hands.click(page.getByRole('option', { name: 'New sheet size…' }));
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Pier board');
  await dialog.getByLabel('Width').fill('1200');
  await dialog.getByLabel('Height').fill('700');
  await dialog.getByRole('button', { name: 'Add and use it' }).click();
  await expect(page.getByText(/^Pier board added and published with revision \d+ of the standard/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Pier board ?fits/ })).toBeVisible();

  await hands.click(hands.cell('Client'));
  await hands.click(page.getByRole('button', { name: 'Fill and edges' }));
  await hands.click(page.getByRole('combobox', { name: 'Top edge' }));
  await hands.click(page.getByRole('option', { name: 'New pen…' }));
  await dialog.getByLabel('Name').fill('Quay line');
  await dialog.getByLabel('Line width in mm').fill('1.4');
  await dialog.getByRole('button', { name: 'Add and use it' }).click();
  await expect(page.getByRole('combobox', { name: 'Top edge' })).toContainText('Quay line, 1.4 mm');

  await hands.click(page.getByRole('combobox', { name: 'Add a parameter' }).first());
  await hands.click(page.getByRole('option', { name: 'New parameter…' }));
  await dialog.getByLabel('Name').fill('Mooring class');
  await dialog.getByLabel('Example').fill('B2');
  await dialog.getByRole('button', { name: 'Add and use it' }).click();
  await expect(page.getByText('Mooring class added to the office standard')).toBeVisible();
  await expect(page.getByLabel('Words from data').first()).toHaveValue(/\{sheet\.mooringClass\}/);
  await expect(page.getByText(/saved, version/)).toBeVisible();
});
