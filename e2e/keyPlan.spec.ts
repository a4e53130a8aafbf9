import { expect, goTo, test } from './test';
import { projectId } from './office';

const SITE = `<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="40mm" viewBox="0 0 80 40">
  <rect width="50" height="40" fill="none" stroke="black"/><rect x="50" width="30" height="40" fill="none" stroke="black"/>
  <text x="20" y="20" font-size="4">Labs</text><text x="62" y="20" font-size="4">Store</text></svg>`;

/** Grey areas on a sheet: marked parts of the key plan. */
const marked = (svg: string): number => svg.match(/<path[^>]*fill="#a6a6a6"/gi)?.length ?? 0;

test('an outline is given once for a project, and each sheet marks its part', async ({ page, request }) => {
  const id = await projectId(request, 'Tolliver Creek Field Station');
  await goTo(page, `/projects/${id}/data`);
  const field = page.getByRole('group', { name: 'Key plan outline' });
  const file = page.getByLabel('Drawing for Key plan outline');
  await file.setInputFiles({ name: 'letter.dxf', mimeType: 'image/vnd.dxf', buffer: Buffer.from('Dear Mr Hawser') });
  await expect(field.getByRole('alert')).toContainText('letter.dxf: this is no drawing');
  await file.setInputFiles({ name: 'site.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(SITE) });
  await expect(field.getByRole('img', { name: 'Key plan outline, 2 parts' })).toBeVisible();
  await expect(field.getByLabel('Part 1')).toHaveValue('Labs');
  await page.getByRole('button', { name: 'Save', exact: false }).first().click();
  await expect(page.getByText('Saved; now on 18 sheets')).toBeVisible();

  await goTo(page, `/projects/${id}`);
  const cell = page.getByRole('row', { name: /A-101/ }).locator('[data-field="sheet.keyPlanPart"]');
  const type = async (words: string): Promise<void> => {
    await cell.click();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Control+A');
    await page.keyboard.type(words);
    await page.keyboard.press('Enter');
    await expect(cell).toHaveText(words);
  };
  await type('Store, Yard');
  await expect(page.getByRole('row', { name: /A-101/ })).toContainText('Part of the key plan is “Store, Yard”');
  await type('Store');
  const sheets = (await (await request.get(`/api/projects/${id}/sheets`)).json()) as { id: string; number: string }[];
  const sheetFile = async (number: string): Promise<string> =>
    (await request.get(`/api/sheets/${sheets.find((each) => each.number === number)?.id}/sheet.svg`)).text();
  await expect.poll(async () => marked(await sheetFile('A-101'))).toBe(1);
  expect(marked(await sheetFile('A-102'))).toBe(0);

  // As it was before, for the tests that follow.
  await goTo(page, `/projects/${id}/data`);
  await field.getByRole('button', { name: 'Remove' }).click();
  await page.getByRole('button', { name: 'Save', exact: false }).first().click();
  await expect(page.getByText('Saved; now on 18 sheets').first()).toBeVisible();
});
