import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { legacyId, paperShown } from './office';

for (const [name, cells, fields] of [
  ['corner-block-a1.dxf', 11, 10],
  ['rotated-text-a1.dxf', 10, 9],
] as const) {
  test(`${name} becomes a design that can be set out`, async ({ page }) => {
    await page.goto('/intake');
    await page.getByRole('link', { name }).click();
    await paperShown(page);
    await expect(page.getByText(`${cells} cells`)).toBeVisible();
    await expect(page.getByText(`${fields} fields`)).toBeVisible();
    await expect(page.getByText('Old and rebuilt lines lie 0.000 mm apart')).toBeVisible();
    await page.getByRole('button', { name: 'Keep as a design' }).click();
    await expect(page).toHaveURL(/\/designs\//);
    await expect(page.getByRole('heading', { name: name.replace('.dxf', ''), level: 1 })).toBeVisible();
    await paperShown(page);
    await page.getByRole('button', { name: /^ISO A3/ }).click();
    await expect(page.getByText('420 × 297 mm ·')).toBeVisible();
  });
}

test('the other shipped drawings end in a result or in words', async ({ page, request }) => {
  for (const name of ['scaled-model-a3.dxf', 'strip-arch-d.dxf', 'dirty-arch-e1.dxf']) {
    await page.goto(`/intake/${await legacyId(request, name)}`);
    await expect(page.getByRole('heading', { name: /ISO A3|ARCH D|ARCH E1/, level: 2 })).toBeVisible();
  }
});

test('a parameter that was guessed can be changed before it is kept', async ({ page, request }) => {
  await page.goto(`/intake/${await legacyId(request, 'rotated-text-a1.dxf')}`);
  const field = page.getByRole('combobox', { name: '“TL”' });
  await expect(field).toHaveText('Checked by (sheet)');
  await field.click();
  await page.getByRole('option', { name: 'Approved by (sheet)' }).click();
  await page.getByRole('button', { name: /^Keep as/ }).click();
  await expect(page).toHaveURL(/\/designs\/[0-9a-f-]+$/);
  const id = page.url().split('/').pop();
  const saved = await (await request.get(`/api/designs/${id}`)).text();
  expect(saved).toContain('{sheet.approvedBy}');
  expect(saved).not.toContain('{sheet.checkedBy}');
});

test('a file is dropped in; one that cannot be read is refused with its line', async ({ page }) => {
  await page.goto('/intake');
  const picker = page.getByLabel('DXF file');
  const drawing = readFileSync('demo/legacy/corner-block-a1.dxf');
  await picker.setInputFiles({ name: 'cut.dxf', mimeType: 'application/dxf', buffer: drawing.subarray(0, 9000) });
  await expect(page.getByRole('alert')).toContainText(/cut\.dxf was not taken in: line \d+: .*cut off/);
  await picker.setInputFiles({ name: 'note.dxf', mimeType: 'application/dxf', buffer: Buffer.from('Dear all,\n') });
  await expect(page.getByRole('alert')).toContainText('note.dxf was not taken in: line 1');
  await expect(page.getByRole('link', { name: 'cut.dxf' })).toHaveCount(0);
  await picker.setInputFiles({ name: 'dropped.dxf', mimeType: 'application/dxf', buffer: drawing });
  await expect(page).toHaveURL(/\/intake\/[0-9a-f-]+/);
  await expect(page.getByText('11 cells')).toBeVisible();
});
