import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';

test('the real-size table is shown and kept as CSV', async ({ page }) => {
  await page.goto('/standard/real-sizes');
  const imperial = page.getByRole('region', { name: 'Lettering in drawings made at real size, feet and inches' });
  // Worked example 5 (common practice): 1/8 in on paper is drawn 6 in high for 1/4" = 1'-0".
  await expect(imperial.getByRole('row', { name: /^1\/4" = 1'-0"/ })).toContainText('6 in');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    imperial.getByRole('button', { name: 'Download as CSV' }).click(),
  ]);
  const csv = readFileSync(await download.path(), 'utf8');
  expect(csv.split('\r\n')[0]).toContain('Value 1/8 in');
});

test('a reduced print tells which lettering is no longer legible', async ({ page }) => {
  await page.goto('/standard/checks');
  const prints = page.getByRole('region', { name: 'Reduced prints' });
  await expect(prints.getByRole('row', { name: /^Value 3\.5 mm/ })).toContainText('1.75 mm');
  await expect(prints.getByRole('row', { name: /^Value 3\.5 mm/ })).toContainText('under 1.8 mm');
  await prints.getByRole('combobox', { name: 'Least height' }).click();
  await page.getByRole('option', { name: '1.5 mm' }).click();
  await expect(prints.getByRole('row', { name: /^Value 3\.5 mm/ })).toContainText('legible');
});
