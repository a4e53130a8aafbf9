import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, goTo, test } from './test';

const FOUR_PLANS: readonly (readonly [string, string])[] = [
  ['A-101', 'Ground floor plan'],
  ['A-104', 'First floor plan'],
  ['A-107', 'Roof plan'],
  ['A-109', 'Drain plan'],
];

/** A project of its own, so that others find theirs as they were. */
async function ownProject(page: Page, sheets = FOUR_PLANS, name = 'Ropewalk sheds'): Promise<string> {
  const designs = (await (await page.request.get('/api/designs')).json()) as { id: string; name: string }[];
  const { id: designId } = designs.find(({ name }) => name === 'Quay strip')!;
  const made = await page.request.post('/api/projects', { data: { name, designId } });
  const { id } = (await made.json()) as { id: string };
  const added = sheets.map(([number, title]) => ({
    id: crypto.randomUUID(),
    number,
    title,
    kind: 'plan',
    size: 'ISO A1',
    values: {},
  }));
  await page.request.post(`/api/projects/${id}/sheet-changes`, { data: { changes: [], added } });
  return id;
}
const numbers = (page: Page) => page.getByRole('gridcell').and(page.locator('[data-field="number"]'));
const row = (page: Page, number: string) => page.getByRole('row', { name: new RegExp(number) });

test('ranges are copied, filled and emptied; words are found and replaced after being shown', async ({ page }) => {
  await goTo(page, `/projects/${await ownProject(page)}/register`);
  const drawn = (number: string) => row(page, number).locator('[data-field="drawnBy"]');
  await drawn('A-101').dblclick();
  await page.keyboard.type('MO');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A-101 changed')).toBeVisible();
  await drawn('A-101').click();
  await drawn('A-109').click({ modifiers: ['Shift'] });
  await expect(page.getByRole('status', { name: 'Cells' })).toHaveText('4 × 1 cells');
  await page.keyboard.press('Control+d');
  await expect(page.getByText('3 sheets changed')).toBeVisible();
  await expect(drawn('A-109')).toHaveText('MO');
  await page.keyboard.press('Delete');
  await expect(page.getByText('4 sheets changed')).toBeVisible();
  await expect(drawn('A-101')).toHaveText('');
  await page.keyboard.press('Control+z');
  await expect(drawn('A-101')).toHaveText('MO');

  await page.getByRole('button', { name: 'Table…' }).click();
  await page.getByRole('menuitem', { name: 'Find and replace…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Find', { exact: true }).fill('floor plan');
  await dialog.getByLabel('Replace with').fill('layout');
  await expect(dialog.getByRole('status', { name: 'Found' })).toHaveText('2 cells on 2 sheets.');
  await expect(dialog.getByRole('cell', { name: 'Ground layout' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Replace in 2 cells' }).click();
  await expect(page.getByRole('gridcell', { name: 'First layout' })).toBeVisible();
});

test('the last of many sheets is reached and edited, put into a set and given a revision', async ({ page }) => {
  const many = Array.from({ length: 230 }, (_, i) => [`A-${1001 + i}`, `Plan ${i + 1}`] as const);
  const id = await ownProject(page, many);
  await goTo(page, `/projects/${id}/register`);
  const last = row(page, 'A-1230');
  await page.getByRole('gridcell', { name: 'Plan 1', exact: true }).click();
  await page.keyboard.press('Control+End');
  await last.locator('[data-field="title"]').dblclick();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Last plan');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A-1230 changed')).toBeVisible();
  await expect(last).toContainText('Last plan');
  // Moved to the side and then up, as on a small screen, its numbers stay in sight.
  await page.setViewportSize({ width: 900, height: 700 });
  const moved = page.locator('.MuiDataGrid-virtualScroller');
  const numberShown = (number: string): Promise<void> =>
    expect(row(page, number).locator('[data-field="number"]')).toBeInViewport({ ratio: 1 });
  await moved.evaluate((table) => table.scrollTo({ left: 200, top: 0 }));
  await numberShown('A-1003');
  await moved.evaluate((table) => table.scrollTo({ left: 200, top: 4600 }));
  await numberShown('A-1105');
  await page.setViewportSize({ width: 1280, height: 800 });

  const toLast = async (): Promise<void> => {
    await page.getByRole('gridcell', { name: 'Plan 1', exact: true }).click();
    await page.keyboard.press('Control+End');
    await expect(last).toBeVisible();
  };
  await goTo(page, `/projects/${id}/sets`);
  await page.getByRole('button', { name: 'New set' }).click();
  await toLast();
  await last.getByRole('checkbox').click();
  await page.getByRole('button', { name: 'Save this set' }).click();
  await expect(page.getByText('1 sheet', { exact: true })).toBeVisible();

  await goTo(page, `/projects/${id}/revisions`);
  await page.getByRole('button', { name: 'Make a revision' }).click();
  await toLast();
  await page.getByRole('button', { name: 'None' }).click();
  await last.getByRole('checkbox').click();
  await page.getByLabel('What was changed').fill('Door widened');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByText('1 sheet with a revision, 229 without one')).toBeVisible();
});

test('chosen sheets are renumbered, copied and deleted, each taken back in one step', async ({ page }) => {
  await goTo(page, `/projects/${await ownProject(page)}/register`);
  // Anywhere in the cell of its box a row is chosen, with Shift all up to it, and with Space the next one or not.
  const choice = (row: number) => page.locator('[role="gridcell"][data-field="__check__"]').nth(row);
  await choice(0).click({ position: { x: 3, y: 3 } });
  await choice(1).click({ position: { x: 3, y: 3 }, modifiers: ['Shift'] });
  await expect(page.getByText('2 sheets chosen')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('1 sheet chosen')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Select all rows' }).check();
  await page.getByRole('button', { name: 'Renumber…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('status', { name: 'In short' })).toContainText('3 sheets get another number');
  await dialog.getByRole('button', { name: 'Renumber 3 sheets' }).click();
  await expect(numbers(page)).toHaveText(['A-101', 'A-102', 'A-103', 'A-104']);
  await page.keyboard.press('Control+z');
  await expect(numbers(page)).toHaveText(['A-101', 'A-104', 'A-107', 'A-109']);

  await page.getByRole('button', { name: 'Choose none' }).click();
  await row(page, 'A-107').getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Copy…' }).click();
  await dialog.getByRole('button', { name: 'Copy', exact: true }).click();
  await expect(numbers(page)).toHaveText(['A-101', 'A-104', 'A-107', 'A-109', 'A-110']);
  await page.getByRole('button', { name: 'Delete…' }).click();
  await dialog.getByRole('button', { name: 'Delete' }).click();
  await expect(numbers(page)).toHaveText(['A-101', 'A-104', 'A-109', 'A-110']);
  await page.keyboard.press('Control+z');
  await expect(numbers(page)).toHaveText(['A-101', 'A-104', 'A-107', 'A-109', 'A-110']);
  await page.keyboard.press('Control+Shift+z');
  await expect(numbers(page)).toHaveText(['A-101', 'A-104', 'A-109', 'A-110']);
  // What was deleted lies in the bin, and comes back from there as well.
  await goTo(page, '/bin');
  await page.getByRole('button', { name: 'Restore A-107 Roof plan' }).first().click();
  await expect(page.getByText('A-107 Roof plan is back')).toBeVisible();
});

test('the register leaves as XLSX and comes in again after what would change is shown', async ({ page }) => {
  await goTo(page, `/projects/${await ownProject(page)}/register`);
  const leaves = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Table…' }).click();
  await page.getByRole('menuitem', { name: 'Download as XLSX' }).click();
  const file = await leaves;
  expect(file.suggestedFilename()).toBe('Ropewalk sheds register.xlsx');
  const bytes = readFileSync(await file.path());

  await row(page, 'A-107').locator('[data-field="title"]').dblclick();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Another roof');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A-107 changed')).toBeVisible();
  await page.getByRole('button', { name: 'Table…' }).click();
  await page.getByRole('menuitem', { name: 'Read a table…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Table of sheets').setInputFiles({ name: 'sheets.xlsx', mimeType: '', buffer: bytes });
  await expect(dialog.getByRole('status', { name: 'In short' })).toContainText('1 sheet would change in 1 cell');
  await expect(dialog.getByRole('cell', { name: 'Another roof' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Take over 1 sheet' }).click();
  await expect(page.getByRole('gridcell', { name: 'Roof plan', exact: true })).toBeVisible();
});

test('columns are chosen and kept, sheets are found by their words, and the scheme of the project numbers new ones', async ({
  page,
}) => {
  const project = await ownProject(page);
  await goTo(page, `/projects/${project}/register`);
  await page.getByRole('button', { name: 'Table…' }).click();
  await page.getByRole('menuitem', { name: 'Columns…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('checkbox', { name: 'Show Subtitle' }).check();
  await dialog.getByRole('checkbox', { name: 'Show Checked' }).uncheck();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await page.reload();
  await expect(page.getByRole('columnheader', { name: 'Subtitle' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Checked' })).toHaveCount(0);
  await page.getByLabel('Show only sheets with these words').fill('floor');
  await expect(numbers(page)).toHaveText(['A-101', 'A-104']);
  await expect(page.getByRole('status', { name: 'In short' })).toContainText('2 of 4 sheets');

  await page.getByRole('tab', { name: 'Data' }).click();
  const card = page.getByRole('region', { name: 'Numbers and file names' });
  await card.getByLabel('Sheets are numbered').click();
  await page.getByRole('option', { name: /US National CAD Standard/ }).click();
  await expect(card.getByText('A-102, A-103 are missing between A-101 and A-104')).toBeVisible();
  await card.getByLabel('Pattern of file names').fill('{sheet.title}');
  await expect(card.getByText('Such as Ground floor plan.pdf')).toBeVisible();
  await card.getByLabel('Pattern of file names').fill('{sheet.nothing}');
  await expect(card.getByText('there is no parameter sheet.nothing')).toBeVisible();
  await card.getByLabel('Pattern of file names').fill('{sheet.number} {sheet.title}');
  await card.getByRole('button', { name: 'Save numbers and names' }).click();
  await expect(card.getByRole('button', { name: 'Save numbers and names' })).toBeDisabled();
  const next = await page.request.get(`/api/projects/${project}/next-number?kind=plan`);
  expect(await next.json()).toEqual({ number: 'A-110' });
});

test('a project begins from another one, is put away, and comes back', async ({ page }) => {
  await ownProject(page, FOUR_PLANS, 'Net loft');
  await goTo(page, '/projects');
  await page.getByRole('button', { name: 'Copy Net loft' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Net loft, second phase');
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(numbers(page)).toHaveText(['A-101', 'A-104', 'A-107', 'A-109']);
  await goTo(page, '/projects');
  await page.getByRole('button', { name: 'Put away Net loft, second phase' }).click();
  await expect(page.getByRole('link', { name: 'Net loft, second phase' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Show put away/ }).click();
  await page.getByRole('button', { name: 'Take out Net loft, second phase' }).click();
  await page.getByRole('link', { name: 'Bin' }).waitFor();
});

test('rows are moved by hand and grouped; by number they stand as before', async ({ page }) => {
  await goTo(page, `/projects/${await ownProject(page)}/register`);
  await numbers(page).filter({ hasText: 'A-107' }).click();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(numbers(page)).toHaveText(['A-101', 'A-107', 'A-104', 'A-109']);
  await row(page, 'A-109').getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Move…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('combobox', { name: 'In front of' }).fill('A-101');
  await dialog.page().getByRole('option', { name: /A-101/ }).click();
  await dialog.getByRole('button', { name: 'Move', exact: true }).click();
  await expect(numbers(page)).toHaveText(['A-109', 'A-101', 'A-107', 'A-104']);
  await page.reload();
  await expect(numbers(page)).toHaveText(['A-109', 'A-101', 'A-107', 'A-104']);
  // Sorted by a column, rows stand elsewhere than they are moved.
  const title = page.getByRole('columnheader').and(page.locator('[data-field="title"]'));
  await title.click();
  await expect(numbers(page)).toHaveText(['A-109', 'A-104', 'A-101', 'A-107']);
  await numbers(page).filter({ hasText: 'A-104' }).click();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(page.getByRole('status', { name: 'Cells' })).toHaveText(/^Sorted by Title/);
  await title.click();
  await title.click();
  await expect(numbers(page)).toHaveText(['A-109', 'A-101', 'A-107', 'A-104']);
  await page.getByRole('button', { name: 'Order by number' }).click();
  await expect(numbers(page)).toHaveText(['A-101', 'A-104', 'A-107', 'A-109']);
  await page.keyboard.press('Control+z');
  await expect(numbers(page)).toHaveText(['A-109', 'A-101', 'A-107', 'A-104']);

  await page.getByRole('button', { name: 'Table…' }).click();
  await page.getByRole('menuitem', { name: 'Columns…' }).click();
  await dialog.getByRole('combobox', { name: 'Group rows by' }).click();
  await page.getByRole('option', { name: 'Size' }).click();
  await dialog.getByRole('button', { name: 'Done' }).click();
  const group = row(page, 'ISO A1 4 sheets');
  await expect(group).toBeVisible();
  await group.getByRole('checkbox').check();
  await expect(page.getByText('4 sheets chosen')).toBeVisible();
  await group.getByText('ISO A1').click();
  await expect(numbers(page)).toHaveCount(0);
});

test('a sheet gets a design of its own after it is shown what that would do, and gives it back', async ({ page }) => {
  await goTo(page, `/projects/${await ownProject(page)}/register`);
  await row(page, 'A-104').getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Design…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('combobox', { name: 'Drawn with' }).click();
  await page.getByRole('option', { name: 'Harbour block' }).click();
  await dialog.getByRole('button', { name: 'Show what it would do' }).click();
  await expect(dialog.getByRole('status', { name: 'In short' })).toContainText('1 sheet: ');
  await expect(dialog.getByRole('img', { name: 'A-104 then' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Apply to 1 sheet' }).click();
  await expect(page.getByText('A-104 changed')).toBeVisible();
  await page.getByRole('button', { name: 'All data of A-104' }).click();
  await expect(dialog.getByText('Drawn with a design of its own: Harbour block, revision 2.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('A-104 back as before')).toBeVisible();
  await page.getByRole('button', { name: 'All data of A-104' }).click();
  await expect(dialog.getByRole('textbox', { name: 'Number' })).toBeVisible();
  await expect(dialog.getByText(/design of its own/)).toHaveCount(0);
});

test('a kind of the office’s own numbers its sheets, and some sheets of a project take another design', async ({
  page,
}) => {
  const id = await ownProject(page);
  await goTo(page, `/projects/${id}/data`);
  const kinds = page.getByRole('region', { name: 'Kinds of sheet' });
  await kinds.getByLabel('Another kind').fill('Plan');
  await kinds.getByRole('button', { name: 'Add the kind' }).click();
  await expect(kinds.getByText('there is a kind plan already')).toBeVisible();
  await kinds.getByLabel('Another kind').fill('Demolition');
  await kinds.getByRole('button', { name: 'Add the kind' }).click();
  await expect(kinds.getByLabel('Name of Demolition')).toHaveValue('Demolition');
  const grid = kinds.getByRole('button', { name: 'Module grid of plan' });
  await grid.click();
  const fields = page.getByRole('dialog', { name: 'Module grid of each plan' });
  await fields.getByLabel('Columns').fill('six');
  await fields.getByLabel('Columns').press('Enter');
  await expect(fields.getByText('A whole number from 1 to 40.')).toBeVisible();
  await fields.getByLabel('Columns').fill('6');
  await fields.getByLabel('Rows').fill('4');
  await fields.getByLabel('Free between them').fill('8');
  await fields.getByRole('button', { name: 'Use this grid' }).click();
  const dialog = page.getByRole('dialog', { name: 'Stand views of each plan in another module grid: 6 × 4' });
  await dialog.getByRole('button', { name: 'Apply to 4 sheets' }).click();
  await expect(grid).toHaveText('6 × 4, 8 mm between them');

  await page.getByLabel('Design', { exact: true }).click();
  await page.getByRole('option', { name: 'Harbour block' }).click();
  const swap = page.getByRole('dialog', { name: 'Draw the sheets with Harbour block' });
  await swap.getByLabel('Only chosen sheets').check();
  await swap.getByRole('checkbox', { name: 'Choose A-101' }).check();
  await swap.getByRole('button', { name: 'Apply to 1 sheet' }).click();
  await expect(page.getByText('1 sheet drawn anew')).toBeVisible();

  await goTo(page, `/projects/${id}/register`);
  await page.getByRole('button', { name: 'Add a sheet' }).click();
  await page.getByRole('dialog').getByRole('combobox', { name: 'Kind' }).click();
  await page.getByRole('option', { name: 'Demolition' }).click();
  await expect(page.getByRole('dialog').getByLabel('Number')).toHaveValue('A-701');
  await page.getByRole('dialog').getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('A-701 added')).toBeVisible();

  await goTo(page, `/projects/${id}/data`);
  await kinds.getByLabel('Name of Demolition').fill('Strip-out');
  await kinds.getByLabel('Name of Demolition').press('Enter');
  await expect(page.getByText('Demolition is called Strip-out now, on all sheets')).toBeVisible();
  await goTo(page, `/projects/${id}/register`);
  await expect(page.getByRole('row', { name: /A-701/ })).toContainText('Strip-out');
});

test('a project has a value of the office of its own, and each sheet says where its values come from', async ({
  page,
}) => {
  const id = await ownProject(page);
  await goTo(page, '/standard/office');
  const replaceable = page.getByRole('checkbox', { name: 'Office phone' });
  await replaceable.click();
  await expect(replaceable).toBeChecked();
  await goTo(page, `/projects/${id}/data`);
  await expect(page.getByRole('heading', { name: 'Instead of the office’s' })).toBeVisible();
  await page.getByLabel('Office phone').fill('055 0177 100');
  await page.getByRole('button', { name: 'Save project data' }).click();
  await expect(page.getByText('Saved; now on 4 sheets')).toBeVisible();
  await goTo(page, `/projects/${id}/register`);
  await page.getByRole('button', { name: 'All data of A-101' }).click();
  await page.getByRole('button', { name: 'Where values come from' }).click();
  const phone = page.getByRole('dialog').getByRole('row', { name: /^Office phone/ });
  await expect(phone).toContainText('055 0177 100');
  await expect(phone).toContainText('instead of the office’s 055 0142 880');
  await phone.getByRole('link', { name: 'the project' }).click();
  // As it was, for others.
  await page.getByLabel('Office phone').fill('');
  await page.getByRole('button', { name: 'Save project data' }).click();
  await expect(page.getByText('Saved; now on 4 sheets')).toBeVisible();
  await goTo(page, '/standard/office');
  await replaceable.click();
  await expect(replaceable).not.toBeChecked();
});
