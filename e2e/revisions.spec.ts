import { expect, goTo, test } from './test';
import { projectId } from './office';

test('a revision is made for chosen sheets, stands on them, and is withdrawn again', async ({ page, request }) => {
  const project = await projectId(request, 'Osier Lane Pump House');
  const sheets = (await (await request.get(`/api/projects/${project}/sheets`)).json()) as {
    id: string;
    number: string;
    version: number;
  }[];
  const plan = sheets.find(({ number }) => number === 'A-102')!;
  const drawn = async () => (await request.get(`/api/sheets/${plan.id}/sheet.svg`)).text();

  await goTo(page, `/projects/${project}/register`);
  const row = page.getByRole('row', { name: /A-102/ });
  await expect(row.getByRole('gridcell', { name: 'A', exact: true })).toBeVisible();
  // What changes after a revision is told in the register, and is chosen for the next one.
  await row.getByRole('gridcell', { name: 'Proposed ground floor' }).dblclick();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Proposed ground floor and yard');
  await page.keyboard.press('Enter');
  await expect(row.getByTitle('changed since A').first()).toBeVisible();

  await page.getByRole('tab', { name: 'Revisions' }).click();
  await expect(page.getByText('9 sheets with a revision, 1 changed since their last')).toBeVisible();
  await page.getByRole('button', { name: 'Make a revision' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What was changed').fill('Yard added');
  await dialog.getByLabel('By', { exact: true }).fill('MO');
  await expect(dialog.getByRole('status')).toHaveText('1 sheet: B');
  // One more sheet by its box; it gets the next code of its own.
  await dialog.getByRole('row', { name: /A-103/ }).getByRole('checkbox').click();
  await expect(dialog.getByRole('status')).toHaveText('2 sheets: B');
  // A code that a sheet had is refused before anything is sent.
  await dialog.getByLabel('One code for all of them').check();
  await dialog.getByRole('textbox', { name: 'Code for all' }).fill('A');
  await expect(dialog.getByText('A-102, A-103 had it already')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Make it' })).toBeDisabled();
  await dialog.getByLabel('The next code of each sheet').check();
  await dialog.getByRole('button', { name: 'Make it' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByText('2 sheets now at B')).toBeVisible();
  await expect(page.getByRole('row', { name: /Yard added/ })).toBeVisible();

  await page.getByRole('tab', { name: 'Register' }).click();
  await expect(row.getByRole('gridcell', { name: 'B', exact: true })).toBeVisible();
  await expect(row.getByTitle('changed since')).toHaveCount(0);

  await page.getByRole('tab', { name: 'Revisions' }).click();
  await page.getByRole('button', { name: 'Open revision B' }).click();
  await expect(dialog.getByRole('list', { name: 'Sheets with this revision' })).toContainText('A-103');
  await dialog.getByRole('button', { name: 'Withdraw…' }).click();
  await dialog.getByLabel('Why it is withdrawn').fill('Sent too early');
  await dialog.getByRole('button', { name: 'Withdraw it' }).click();
  await expect(page.getByText('Yard added (withdrawn: Sent too early)')).toBeVisible();
  expect(await drawn()).not.toContain('Yard added');
  // The title is that of before, so that other tests find it.
  const now = ((await (await request.get(`/api/projects/${project}/sheets`)).json()) as typeof sheets).find(
    ({ id }) => id === plan.id,
  )!;
  await request.patch(`/api/sheets/${plan.id}`, { data: { title: 'Proposed ground floor', version: now.version } });
});
