import { expect, goTo, test } from './test';
import { copyOfDesign, paperShown } from './office';

const LOGO = `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="20mm" viewBox="0 0 60 20">
  <rect width="60" height="20" fill="#0f6e66"/><circle cx="10" cy="10" r="7" fill="#f2b04c"/></svg>`;

test('a logo is given once for the office, and stands in a design that asks for it', async ({ page, request }) => {
  const design = await copyOfDesign(request, 'Quay strip', 'Strip with a logo');
  await goTo(page, '/standard/office');
  const field = page.getByRole('group', { name: 'Office logo' });
  await field.getByRole('button', { name: 'Choose a picture…' }).click();
  // What linework cannot say stays as it looks, in dots.
  const words = LOGO.replace('</svg>', '<text x="20" y="14">Quillwater</text></svg>');
  const file = (svg: string) => ({ name: 'logo.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg) });
  await page.getByLabel('Picture file').setInputFiles(file(words));
  await page.getByRole('button', { name: 'Use picture' }).click();
  await expect(field.getByRole('img', { name: 'Office logo, 2400 by 800 dots' })).toBeVisible();
  await field.getByRole('button', { name: 'Choose another…' }).click();
  await page.getByLabel('Picture file').setInputFiles(file(LOGO));
  await page.getByRole('button', { name: 'Use picture' }).click();
  await expect(field.getByRole('img', { name: 'Office logo, linework' })).toBeVisible();
  await page.getByRole('button', { name: 'Save office data' }).click();
  await expect(page.getByText('Saved; now on every sheet')).toBeVisible();

  await goTo(page, `/designs/${design}`);
  await paperShown(page);
  await page.getByRole('treeitem', { name: /^Logo/ }).click();
  await page.getByRole('combobox', { name: 'Filled from' }).click();
  await page.getByRole('option', { name: 'Office logo' }).click();
  const shapes = page.getByRole('application').locator('path[fill="#0f6e66"]');
  await expect(shapes).not.toHaveCount(0);
  await expect(page.getByRole('application').locator('image')).toHaveCount(0);

  // Taken away again it is gone from the office, and the design shows its own mark.
  await goTo(page, '/standard/office');
  await field.getByRole('button', { name: 'Remove' }).click();
  await page.getByRole('button', { name: 'Save office data' }).click();
  await expect(page.getByText('Saved; now on every sheet').first()).toBeVisible();
  const office = (await (await request.get('/api/office')).json()) as { values: Record<string, string> };
  expect(office.values['office.logo']).toBeUndefined();
});
