import { readFileSync } from 'node:fs';
import { expect, goTo, test } from './test';
import { copyOfDesign, paperShown } from './office';

test('a design is downloaded as a sheet and as a file, and read in again', async ({ page, request }) => {
  const design = await copyOfDesign(request, 'Quay strip', 'Strip to keep');
  await goTo(page, `/designs/${design}`);
  await paperShown(page);
  await page.getByRole('button', { name: 'Download…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Download Strip to keep' });
  await dialog.getByRole('combobox', { name: 'Size' }).click();
  await page.getByRole('option', { name: 'ISO A3' }).click();
  const sheet = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'PDF', exact: true }).click();
  expect((await sheet).suggestedFilename()).toBe('Strip-to-keep-ISO-A3.pdf');
  const report = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Conformity as PDF' }).click();
  expect((await report).suggestedFilename()).toBe('Strip-to-keep-conformity.pdf');
  const kept = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Design file' }).click();
  const file = readFileSync(await (await kept).path(), 'utf8');

  await goTo(page, '/designs');
  const bad = { name: 'letter.json', mimeType: 'application/json', buffer: Buffer.from('Dear all') };
  await page.getByLabel('Design file').setInputFiles(bad);
  await expect(page.getByText('letter.json was not read: it is no design file')).toBeVisible();
  const own = file.replace('"Strip to keep"', '"Strip from a file"');
  const good = { name: 'strip.json', mimeType: 'application/json', buffer: Buffer.from(own) };
  await page.getByLabel('Design file').setInputFiles(good);
  await expect(page.getByRole('heading', { name: 'Strip from a file' })).toBeVisible();
  await paperShown(page);
});

test('the fit report leads from what spills to its place on the paper', async ({ page, request }) => {
  await goTo(page, `/designs/${await copyOfDesign(request, 'Quay strip', 'Strip to report')}`);
  await paperShown(page);
  await page.getByRole('button', { name: 'Report…' }).click();
  await page.getByRole('button', { name: /^spills .*sheet.title.* on ISO A3, with longest values/ }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Sheet title');
  await expect(page.getByRole('button', { name: 'Longest' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('button', { name: /^ISO A3/ })).toHaveAttribute('aria-pressed', 'true');
});

test('a design is tried on a real sheet, with its data and the rows of its project', async ({ page, request }) => {
  await goTo(page, `/designs/${await copyOfDesign(request, 'Quay strip', 'Strip to try')}`);
  await paperShown(page);
  await page.getByRole('button', { name: 'A real sheet or own values' }).click();
  await page.getByRole('combobox', { name: 'Project' }).fill('Tolliver');
  await page.getByRole('option', { name: 'Tolliver Creek Field Station' }).click();
  await page.getByRole('combobox', { name: 'Sheet', exact: true }).fill('S-102');
  await page.getByRole('option', { name: /S-102/ }).click();
  await page.getByRole('button', { name: 'Try on', exact: true }).click();
  await expect(page.getByRole('button', { name: 'S-102, a real sheet or own values' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByRole('button', { name: /^ARCH D/ })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('application').getByText('Framing plan').first()).toBeAttached();
  await expect(page.getByRole('application').getByText('Heron Timber Design').first()).toBeAttached();
  await page.getByRole('button', { name: 'Typical' }).click();
  await expect(page.getByRole('application').getByText('Ground floor plan').first()).toBeAttached();
  await page.getByRole('button', { name: 'A real sheet or own values' }).click();
  await page.getByRole('combobox', { name: 'Type a value over' }).fill('Sheet title');
  await page.getByRole('option', { name: /^Sheet title/ }).click();
  await page.getByRole('textbox', { name: 'Sheet title' }).fill('Plant room');
  await page.getByRole('button', { name: 'Try on', exact: true }).click();
  await expect(page.getByRole('application').getByText('Plant room').first()).toBeAttached();
});

test('a design is kept as a starter, begun from, and gives one of its panels to another', async ({ page, request }) => {
  await copyOfDesign(request, 'Harbour block', 'Starter block');
  await goTo(page, '/designs');
  const keep = page.getByRole('button', { name: 'Keep Starter block as a starter' });
  await keep.click();
  await expect(keep).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'New design' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('radio', { name: /Starter block/ })).toBeChecked();
  await dialog.getByRole('textbox', { name: 'Name' }).fill('Begun from it');
  await dialog.getByRole('checkbox', { name: 'ISO A2' }).uncheck();
  await dialog.getByRole('checkbox', { name: 'ISO A0' }).check();
  await dialog.getByRole('button', { name: 'Create design' }).click();
  await paperShown(page);
  await expect(page.getByRole('heading', { name: 'Begun from it' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^ISO A0.*fits/ })).toBeVisible();

  await page.getByRole('button', { name: 'Add…', exact: true }).first().click();
  await page.getByRole('menuitem', { name: 'Panel of another design…' }).click();
  await page.getByRole('combobox', { name: 'Design' }).fill('Quay strip');
  await page.getByRole('option', { name: 'Quay strip', exact: true }).click();
  await page.getByRole('combobox', { name: 'Panel' }).click();
  await page.getByRole('option', { name: /^Right strip/ }).click();
  await page.getByRole('button', { name: 'Add panel' }).click();
  await expect(page.getByRole('treeitem', { name: /Right strip/ })).toBeVisible();
  await goTo(page, '/designs');
  await keep.click();
  await expect(keep).toHaveAttribute('aria-pressed', 'false');
});
