import { execFileSync } from 'node:child_process';
import { expect, test } from '@playwright/test';
import { paperShown, projectId } from './office';

const FERRY = 'Brackenmouth Ferry Terminal';

test('project data is entered once and stands on every sheet', async ({ page, request }) => {
  const id = await projectId(request, 'Osier Lane Pump House');
  await page.goto(`/projects/${id}/data`);
  await page.getByLabel('Client', { exact: true }).fill('Osier Lane Community Trust');
  await page.getByRole('button', { name: 'Save project data' }).click();
  await expect(page.getByText('Saved; now on 9 sheets')).toBeVisible();
  const sheets = (await (await request.get(`/api/projects/${id}/sheets`)).json()) as { id: string }[];
  for (const sheet of sheets) {
    expect(await (await request.get(`/api/sheets/${sheet.id}/sheet.dxf`)).text()).toContain(
      'Osier Lane Community Trust',
    );
  }
});

test('a title is edited in the register, and undone', async ({ page, request }) => {
  await page.goto(`/projects/${await projectId(request, FERRY)}/register`);
  const cell = page.getByRole('gridcell', { name: 'Upper deck plan', exact: true });
  await cell.dblclick();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Upper deck and gallery plan');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('gridcell', { name: 'Upper deck and gallery plan' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell).toBeVisible();
});

test('a number that is taken is refused, and the register keeps the old one', async ({ page, request }) => {
  await page.goto(`/projects/${await projectId(request, FERRY)}/register`);
  await page.getByRole('gridcell', { name: 'A-103', exact: true }).dblclick();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('A-101');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Not saved: there is a sheet A-101 already')).toBeVisible();
});

test('a sheet is added under the number that is proposed', async ({ page, request }) => {
  await page.goto(`/projects/${await projectId(request, FERRY)}/register`);
  await page.getByRole('button', { name: 'Add a sheet' }).click();
  await expect(page.getByLabel('Number')).toHaveValue('A-108');
  await page.getByLabel('Title').fill('Mezzanine plan');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('A-108 added')).toBeVisible();
  await expect(page.getByText(/^43 sheets/)).toBeVisible();
});

test('a view gets extents, a scale and a module; the scale field fills itself', async ({ page, request }) => {
  await page.goto(`/projects/${await projectId(request, FERRY)}/arrange`);
  await page.getByRole('navigation', { name: 'Sheets' }).getByRole('button', { name: /G-001/ }).click();
  await paperShown(page);
  await expect(page.getByText('blank, no view is placed')).toBeVisible();
  await page.getByRole('button', { name: 'Add a view' }).click();
  const width = page.getByLabel('Real width');
  await width.fill('36 m');
  await width.press('Enter');
  await expect(width).toHaveValue('36 m');
  await page.getByRole('combobox', { name: 'Scale' }).click();
  await page.getByRole('option', { name: /^1:200 \d/ }).click();
  await expect(page.getByRole('combobox', { name: 'Scale' })).toContainText('180 × 40 mm');
  await page.getByRole('button', { name: 'Place where it is free' }).click();
  await expect(page.getByRole('combobox', { name: 'Module' })).toHaveText('C1');
  await expect(page.getByText('Scale on this sheet: 1:200')).toBeVisible();

  // The arrow keys move it through the grid; the grid's own module names say where it is.
  await page.getByRole('application').focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('combobox', { name: 'Module' })).toHaveText('B1');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('combobox', { name: 'Module' })).toHaveText('B2');

  await page.getByRole('combobox', { name: 'Scale' }).click();
  await page.getByRole('option', { name: /^1:20 \d/ }).click();
  await expect(page.getByText(/reaches .* mm out of the drawing area/)).toBeVisible();
});

test('the whole set is downloaded as one PDF at true size', async ({ page, request }) => {
  await page.goto(`/projects/${await projectId(request, 'Tolliver Creek Field Station')}/register`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download the set as PDF' }).click(),
  ]);
  const info = execFileSync('pdfinfo', [await download.path()], { encoding: 'utf8' });
  expect(info).toMatch(/Pages:\s+18/);
  // ARCH D is 36 x 24 in of 72 points each.
  expect(info).toMatch(/Page size:\s+2592 x 1728 pts/);
});

test('a sheet is downloaded as DXF from Output', async ({ page }) => {
  await page.goto('/output');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'A-201 as DXF' }).click(),
  ]);
  const look =
    'import ezdxf,sys; d=ezdxf.readfile(sys.argv[1]); print(len(d.audit().errors), len(d.modelspace().query("INSERT")[0].attribs))';
  const [errors, attributes] = execFileSync('/usr/bin/python3', ['-c', look, await download.path()], {
    encoding: 'utf8',
  })
    .trim()
    .split(' ');
  expect(errors).toBe('0');
  expect(Number(attributes)).toBeGreaterThan(10);
});

test('output begins with the project that was looked at last', async ({ page, request }) => {
  await page.goto(`/projects/${await projectId(request, 'Tolliver Creek Field Station')}/register`);
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  await page.getByRole('link', { name: 'Output', exact: true }).click();
  await expect(page.getByRole('combobox', { name: 'Project' })).toHaveText('Tolliver Creek Field Station');
  await expect(page.getByText('18 sheets as one PDF')).toBeVisible();
});
