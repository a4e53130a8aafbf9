import { readFileSync } from 'node:fs';
import { expect, goTo, test } from './test';
import type { Page } from '@playwright/test';
import type { StandardState } from '@mendrel/contract';

// The draft is one for all: each test leaves it as it found it, through undo or without saving.

let newest = 1;
test.beforeAll(async ({ request }) => {
  // Intake may have added parameters to the draft before: here it begins as it was published last.
  const { version, changed, revisions } = (await (await request.get('/api/standard')).json()) as StandardState;
  newest = (revisions[0]?.number ?? 0) + (changed ? 1 : 0);
  if (!changed) return;
  const fixed = await request.post('/api/standard/revisions', { data: { note: 'With parameters of intake', version } });
  expect(fixed.status()).toBe(201);
});

const download = async (page: Page, press: () => Promise<void>): Promise<string> => {
  const coming = page.waitForEvent('download', { timeout: 60_000 });
  // Where none comes the page says why, and so does the test.
  const refused = page
    .getByText(/was not downloaded/)
    .textContent({ timeout: 60_000 })
    .then(
      (words) => Promise.reject(new Error(words ?? 'refused')),
      () => coming,
    );
  const [file] = await Promise.all([Promise.race([coming, refused]), press()]);
  return readFileSync(await file.path(), 'utf8');
};

test('an own size is made from the nearest shipped one, typed in feet and inches, and seen to scale', async ({
  page,
}) => {
  await goTo(page, '/standard/sizes');
  await page.getByRole('button', { name: 'ASME F', exact: true }).click();
  await page.getByRole('button', { name: 'Make an own size from ASME F' }).click();
  const name = page.getByLabel('Name, Own ASME F', { exact: true });
  await expect(name).toHaveValue('Own ASME F');
  await name.fill('Board 28 x 41');
  const width = page.getByLabel('Width, Board 28 x 41', { exact: true });
  await width.fill(`3'-5"`);
  await expect(page.getByText('Board 28 x 41: 41 × 28 in')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Outlines of sheet sizes, Board 28 x 41 marked' })).toBeVisible();

  // Something that cannot be read stays as typed, says what would be right, and cannot be saved.
  await width.fill('1/0"');
  await expect(page.getByText('divides by zero')).toBeVisible();
  await page.getByRole('link', { name: 'Frame rules' }).click();
  await expect(page.getByText('1 entry to fix')).toBeVisible();
  await expect(page.getByRole('button', { name: 'See impact and save…' })).toBeDisabled();
  await page.getByRole('link', { name: 'Sheet sizes' }).click();
  await expect(width).toHaveValue('1/0"');
  await width.fill('40');
  await page.getByRole('button', { name: 'See impact and save…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Sheet size Board 28 x 41 is new');
  await expect(dialog).toContainText('No text on any design or sheet changes.');
  await dialog.getByRole('button', { name: 'Save the draft' }).click();
  await expect(page.getByText(`Draft, changed since revision ${newest}`)).toBeVisible();
  await page.getByRole('button', { name: 'Remove Board 28 x 41' }).click();
  await page.getByRole('button', { name: 'See impact and save…' }).click();
  await dialog.getByRole('button', { name: 'Save the draft' }).click();
  await expect(page.getByText(`Draft, the same as revision ${newest}`)).toBeVisible();
});

test('a changed role is seen in its specimen at once, and its effect before it is saved', async ({ page }) => {
  await goTo(page, '/standard/lettering');
  const height = page.getByLabel('Height, Value', { exact: true });
  await height.fill('7');
  await expect(page.getByRole('heading', { name: 'Value, 7 mm' })).toBeVisible();
  await page.getByRole('button', { name: 'See impact and save…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Lettering role Value: height 3.5 mm → 7 mm');
  await expect(dialog).toContainText(/\d+ texts in \d+ designs and \d+ texts on \d+ sheets change/);
  await expect(dialog).toContainText('None of them at once');
  await expect(dialog.getByRole('row', { name: /^Quay strip/ })).toContainText('more');
  await dialog.getByRole('button', { name: 'Go on editing' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(height).toHaveValue('3.5');
  await expect(page.getByText(`Draft, the same as revision ${newest}`)).toBeVisible();
});

test('tables are typed through with the keyboard and take a piece of a spreadsheet', async ({ page }) => {
  await goTo(page, '/standard/lines');
  const cell = (label: string) => page.getByLabel(label, { exact: true });
  await cell('Width in mm, Frame').focus();
  await page.keyboard.press('ArrowDown');
  await expect(cell('Width in mm, Outline')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(cell('Pen, Outline')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(cell('Pen, Divider')).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(cell('Width in mm, Divider')).toBeFocused();
  await cell('Pen, Fine').evaluate((field) => {
    const data = new DataTransfer();
    data.setData('text/plain', 'Thin\t0,13\t#112233\nFaint\tsome\t#445566\nExtra\t0.7\t#778899');
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(cell('Width in mm, Thin')).toHaveValue('0.13');
  await expect(cell('Width in mm, Faint')).toHaveValue('some');
  await expect(cell('Width in mm, Extra')).toHaveValue('0.7');
  await expect(page.getByText('“some” is not a length').or(page.getByText('"some" is not a length'))).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell('Pen, Fine')).toBeVisible();
  await expect(cell('Pen, Extra')).toHaveCount(0);
});

test('a table is kept as CSV, and a wrong column is refused by name', async ({ page }) => {
  await goTo(page, '/standard/lettering');
  const roles = page.getByRole('region', { name: 'Lettering roles' });
  const csv = await download(page, () => roles.getByRole('button', { name: 'Download as CSV' }).click());
  expect(csv.split('\r\n')[0]).toBe('Role,For,Height,Unit,Typeface and weight,Width,Spacing,Capitals,Pen');
  await page.getByLabel('CSV for Lettering roles').setInputFiles({
    name: 'wrong.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Role,Size\nValue,4'),
  });
  await expect(page.getByText('the file has a column “Size”')).toBeVisible();
  await page.getByLabel('CSV for Lettering roles').setInputFiles({
    name: 'right.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(csv.replace('Value,value,3.5,mm', 'Value,value,"4,2",mm')),
  });
  await expect(page.getByLabel('Height, Value', { exact: true })).toHaveValue('4.2');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Height, Value', { exact: true })).toHaveValue('3.5');
});

test('a frame rule follows a preset, and margins that leave no room are marked', async ({ page }) => {
  await goTo(page, '/standard/frames');
  await page.getByLabel('Rule, Inch sheets', { exact: true }).first().focus();
  await page.getByRole('button', { name: 'ASME Y14.1' }).click();
  await expect(page.getByLabel('Left, Inch sheets', { exact: true }).first()).toHaveValue('12.7');
  await page.getByLabel('Left, ISO 5457, A4', { exact: true }).first().fill('300');
  await expect(page.getByText('these margins leave no room on ISO A4').first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(`Draft, the same as revision ${newest}`)).toBeVisible();
});

test('the starter drawing carries layers, styles and title blocks', async ({ page }) => {
  await goTo(page, '/standard/revisions');
  const dxf = await download(page, () =>
    page.getByRole('button', { name: 'Download the starter drawing (DXF)' }).click(),
  );
  for (const word of [
    'SHEET-FRAME',
    'Large sheet number',
    'Dimensions in inches',
    'Quay strip ISO A3',
    'SHEET_NUMBER',
  ]) {
    expect(dxf).toContain(word);
  }
});

test('the standard is kept as JSON and read again; what is not one is refused', async ({ page }) => {
  await goTo(page, '/standard/revisions');
  const json = await download(page, () => page.getByRole('button', { name: 'Download the standard as JSON' }).click());
  const standard = JSON.parse(json) as { leastHeight: number };
  const read = (buffer: Buffer) =>
    page.getByLabel('Standard as JSON').setInputFiles({ name: 'office.json', mimeType: 'application/json', buffer });
  await read(Buffer.from(JSON.stringify({ ...standard, leastHeight: -1 })));
  await expect(page.getByText('office.json was not read: leastHeight')).toBeVisible();
  await read(Buffer.from(JSON.stringify({ ...standard, leastHeight: 1.6 })));
  await expect(page.getByText('Least height “1.8 mm” → “1.6 mm”')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Nothing differs.')).toBeVisible();
});

test('a file that is no font is refused in words', async ({ page }) => {
  await goTo(page, '/standard/lettering');
  await page.getByLabel('Licence of the typeface to upload').fill('OFL 1.1');
  await page.getByLabel('Font file').setInputFiles({
    name: 'plan.ttf',
    mimeType: 'font/ttf',
    buffer: Buffer.from('this is a drawing, not a font'),
  });
  await expect(page.getByText('plan.ttf was not added: the file is not a font file')).toBeVisible();
});

test('a symbol of the office is read from a drawing, and one that cannot be read is refused in words', async ({
  page,
}) => {
  await goTo(page, '/standard/symbols');
  await expect(page.getByText('No own symbols yet')).toBeVisible();
  const file = page.getByLabel('Drawing of a symbol');
  await file.setInputFiles({ name: 'letter.dxf', mimeType: 'image/vnd.dxf', buffer: Buffer.from('Dear Mr Hawser') });
  await expect(page.getByRole('alert')).toContainText('letter.dxf: this is no drawing');
  const arrow =
    '<svg xmlns="http://www.w3.org/2000/svg" width="30mm" height="40mm" viewBox="0 0 30 40"><path d="M15 0L25 40L5 40Z"/></svg>';
  await file.setInputFiles({ name: 'Pointer.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(arrow) });
  const row = page.getByRole('listitem', { name: 'Pointer' });
  await expect(row.getByRole('img', { name: 'Picture of Pointer' })).toBeVisible();
  await row.getByLabel('Base up, mm').fill('far');
  await row.getByLabel('Base up, mm').press('Enter');
  await expect(row).toContainText('not a length');
  await row.getByLabel('Base up, mm').fill('12');
  await row.getByLabel('Base up, mm').press('Enter');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row.getByLabel('Base up, mm')).toHaveValue('20');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('No own symbols yet')).toBeVisible();
});

test('the real-size table is shown and kept as CSV', async ({ page }) => {
  await goTo(page, '/standard/real-sizes');
  const imperial = page.getByRole('region', { name: 'Lettering in drawings made at real size, feet and inches' });
  // Worked example 5 (common practice): 1/8 in on paper is drawn 6 in high for 1/4" = 1'-0".
  await expect(imperial.getByRole('row', { name: /^1\/4" = 1'-0"/ })).toContainText('6');
  const csv = await download(page, () => imperial.getByRole('button', { name: 'Download as CSV' }).click());
  expect(csv.split('\r\n')[0]).toContain('Value 1/8 in');
});

test('a reduced print tells which lettering is no longer legible', async ({ page }) => {
  await goTo(page, '/standard/checks');
  const value = page.getByRole('region', { name: 'ISO A1 on ISO A3' }).getByRole('row', { name: /^Value 3\.5 mm/ });
  await expect(value).toContainText('1.75 mm');
  await expect(value).toContainText('under 1.8 mm');
  await page.getByLabel('Least legible height in mm').fill('1,5');
  await expect(value).toContainText('legible');
  await page.getByRole('button', { name: 'Undo' }).click();
});
