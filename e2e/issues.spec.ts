import { expect, goTo, test } from './test';
import { projectId } from './office';

interface SheetInfo {
  id: string;
  number: string;
  title: string;
  version: number;
}

test('a set is put together, issued after a check, and compared with the issue before', async ({ page, request }) => {
  const project = await projectId(request, 'Osier Lane Pump House');
  const sheets = async () => (await (await request.get(`/api/projects/${project}/sheets`)).json()) as SheetInfo[];
  await goTo(page, `/projects/${project}/sets`);
  await page.getByRole('button', { name: 'New set' }).first().click();
  await page.getByLabel('Set', { exact: true }).fill('Planning set');
  await page.getByLabel('Set purpose').fill('For planning');
  await page.getByRole('button', { name: /^Each elevation/ }).click();
  await page.getByRole('button', { name: /^Each section/ }).click();
  // Its row goes to the front, where those that are chosen stand.
  await page.getByRole('row', { name: /A-103/ }).getByRole('checkbox').click();
  // What was chosen last comes last; it is moved up by its button.
  await page.getByRole('button', { name: 'Move A-103 up' }).click();
  await page.getByRole('button', { name: 'Save this set' }).click();
  await expect(page.getByText('Planning set has 3 sheets')).toBeVisible();
  const places = page.getByRole('grid', { name: 'Sheets of Planning set' }).getByRole('row');
  await expect(places.nth(1)).toContainText('A-201');
  await expect(places.nth(2)).toContainText('A-103');
  const whole = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Download this set as PDF' }).click();
  expect((await whole).suggestedFilename()).toContain('Planning-set');

  const issue = async (): Promise<void> => {
    await page.getByRole('tab', { name: 'Issues' }).click();
    await page.getByRole('button', { name: 'Issue a set' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('What goes out').click();
    await page.getByRole('option', { name: /Planning set/ }).click();
    await expect(dialog.getByLabel('Purpose')).toHaveValue('For planning');
    if ((await dialog.getByRole('table', { name: 'Recipients' }).count()) === 0)
      await dialog.getByRole('button', { name: 'Add a recipient' }).click();
    await dialog.getByRole('textbox', { name: /Firm/ }).first().fill('Planning office');
    await dialog.getByRole('button', { name: 'Check what would go out' }).click();
    await expect(dialog.getByRole('status', { name: 'In short' })).toContainText('3 sheets');
    await dialog.getByRole('button', { name: 'Issue 3 sheets' }).click();
    await expect(dialog).toHaveCount(0);
  };
  await issue();
  await expect(page.getByRole('heading', { name: 'Issue 1: For planning' })).toBeVisible();
  await expect(page.getByText('to Planning office')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Issued sheets' }).getByRole('button')).toHaveCount(3);

  // A sheet changes; the issue shows it as it went out, the next one tells what is another on it.
  const before = (await sheets()).find(({ number }) => number === 'A-103')!;
  await request.patch(`/api/sheets/${before.id}`, { data: { version: before.version, title: 'Gallery only' } });
  await page.reload();
  await page.getByRole('navigation', { name: 'Issued sheets' }).getByRole('button', { name: /A-103/ }).click();
  await expect(page.getByRole('application', { name: /^A-103 as it went out/ })).toContainText(before.title);
  await page.getByRole('link', { name: 'All issues' }).click();
  await issue();
  await page.getByRole('tab', { name: 'What changed' }).click();
  await expect(page.getByRole('status', { name: 'In short' })).toHaveText('1 changed, 2 the same.');
  await expect(
    page.getByRole('listitem').filter({ hasText: `Sheet title: “${before.title}” is “Gallery only” now` }),
  ).toBeVisible();
  await expect(page.getByRole('application', { name: /^A-103 in both issues/ })).toBeVisible();

  await page.getByRole('button', { name: 'Withdraw…' }).click();
  const withdrawing = page.getByRole('dialog');
  await withdrawing.getByLabel('Why').fill('Title was wrong');
  await withdrawing.getByRole('button', { name: 'Withdraw it' }).click();
  await expect(page.getByText('Withdrawn: Title was wrong')).toBeVisible();
  const after = (await sheets()).find(({ id }) => id === before.id)!;
  await request.patch(`/api/sheets/${before.id}`, { data: { version: after.version, title: before.title } });
});
