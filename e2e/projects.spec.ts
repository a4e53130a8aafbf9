import { execFileSync } from 'node:child_process';
import { expect, goTo, test } from './test';
import { copyOfDesign, paperShown, projectId } from './office';

const FERRY = 'Brackenmouth Ferry Terminal';

test('project data is entered once and stands on every sheet', async ({ page, request }) => {
  const id = await projectId(request, 'Osier Lane Pump House');
  await goTo(page, `/projects/${id}/data`);
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
  await goTo(page, `/projects/${await projectId(request, FERRY)}/register`);
  const cell = page.getByRole('gridcell', { name: 'Upper deck plan', exact: true });
  await cell.dblclick();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Upper deck and gallery plan');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('gridcell', { name: 'Upper deck and gallery plan' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell).toBeVisible();
});

test('Shift+Enter breaks a title in the register, and the break is on the sheet', async ({ page, request }) => {
  const project = await projectId(request, FERRY);
  await goTo(page, `/projects/${project}/register`);
  await page.getByRole('gridcell', { name: 'Plant level plan' }).dblclick();
  const typed = page.getByRole('textbox', { name: 'Title' });
  await typed.press('Shift+Enter');
  await typed.pressSequentially('with tanks');
  await typed.press('Enter');
  await expect(typed).toHaveCount(0);
  await expect(page.getByRole('gridcell', { name: 'Plant level plan with tanks' })).toBeVisible();
  const titles = async (): Promise<string[]> => {
    const sheets = (await (await request.get(`/api/projects/${project}/sheets`)).json()) as { title: string }[];
    return sheets.map(({ title }) => title);
  };
  await expect.poll(titles).toContain('Plant level plan\nwith tanks');

  // The form of all data shows the lines, and keeps them while something else is changed.
  await page.getByRole('button', { name: 'All data of A-105' }).click();
  const form = page.getByRole('dialog');
  await expect(form.getByLabel('Title', { exact: true })).toHaveValue('Plant level plan\nwith tanks');
  await form.getByLabel('Subtitle').fill('Zone C');
  await form.getByLabel('Subtitle').press('Enter');
  await expect(form).toHaveCount(0);
  await expect.poll(titles).toContain('Plant level plan\nwith tanks');
});

test('the Delete key empties a cell at once, and Ctrl+Z brings it back', async ({ page, request }) => {
  await goTo(page, `/projects/${await projectId(request, FERRY)}/register`);
  const cell = page.getByRole('gridcell', { name: 'Roof plan', exact: true });
  await cell.click();
  await page.keyboard.press('Delete');
  await expect(page.getByText('A-103 changed')).toBeVisible();
  await expect(cell).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(cell).toBeVisible();
});

test('rows of a spreadsheet are pasted into the register; what is refused is said', async ({ page, request }) => {
  await goTo(page, `/projects/${await projectId(request, FERRY)}/register`);
  const row = (number: string) => page.getByRole('row', { name: new RegExp(`^(Picture of )?.*${number}`) });
  await row('A-105').getByRole('gridcell', { name: 'RH', exact: true }).first().click();
  const paste = (text: string) =>
    page.evaluate((words) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text/plain', words);
      const event = new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true });
      document.activeElement?.dispatchEvent(event);
    }, text);
  await paste('AB\tCD\t31.02.2025\nEF\tGH\t2 May 2031\n');
  await expect(page.getByText('Nothing changed: A-105: Date: there is no 31 February 2025')).toBeVisible();
  await expect(row('A-106').getByRole('gridcell', { name: '2 May 2031' })).toHaveCount(0);
  await paste('AB\tCD\t27.02.2031\nEF\tGH\t2 May 2031\n');
  await expect(page.getByText('2 sheets changed')).toBeVisible();
  await expect(row('A-106').getByRole('gridcell', { name: '2 May 2031' })).toBeVisible();
  // What was pasted together is taken back together, and put in again.
  await page.keyboard.press('Control+z');
  await expect(row('A-106').getByRole('gridcell', { name: '2 May 2031' })).toHaveCount(0);
  await page.keyboard.press('Control+Shift+z');
  await expect(row('A-106').getByRole('gridcell', { name: '2 May 2031' })).toBeVisible();
});

test('all data of a sheet are entered in one form', async ({ page, request }) => {
  await goTo(page, `/projects/${await projectId(request, FERRY)}/register`);
  await page.getByRole('button', { name: 'All data of A-104' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Subtitle').fill('Zone B');
  await form.getByLabel('Approved by').fill('RH');
  await form.getByLabel('Date', { exact: true }).fill('30.02.2031');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByText('Date: there is no 30 February 2031')).toBeVisible();
  await form.getByLabel('Date', { exact: true }).fill('28.02.2031');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form).toHaveCount(0);
  await expect(page.getByRole('gridcell', { name: '28.02.2031' })).toBeVisible();
});

test('a sheet, a project and a design are deleted after asking; a design in use is kept', async ({ page, request }) => {
  const design = await copyOfDesign(request, 'Quay strip', 'Strip to delete');
  const made = await request.post('/api/projects', { data: { name: 'Lantern Steps Kiosk', designId: design } });
  const { id } = (await made.json()) as { id: string };
  for (const title of ['Plan', 'Roof']) {
    await request.post(`/api/projects/${id}/sheets`, { data: { title, kind: 'plan', size: 'ISO A1' } });
  }
  await goTo(page, `/projects/${id}/register`);
  await page.getByRole('button', { name: 'Delete A-102' }).click();
  await expect(page.getByRole('dialog', { name: 'Delete A-102 Roof?' })).toContainText('Its data go with it');
  await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText(/^1 sheet,/)).toBeVisible();

  await goTo(page, '/designs');
  await page.getByRole('button', { name: 'Delete Strip to delete' }).click();
  await expect(page.getByRole('dialog')).toContainText('Lantern Steps Kiosk uses this design');
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Delete' })).toBeDisabled();
  await page.keyboard.press('Escape');

  await goTo(page, '/projects');
  await page.getByRole('button', { name: 'Delete Lantern Steps Kiosk' }).click();
  await expect(page.getByRole('dialog')).toContainText('its 1 sheet go with it');
  await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: 'Lantern Steps Kiosk' })).toHaveCount(0);
  await goTo(page, '/designs');
  await page.getByRole('button', { name: 'Delete Strip to delete' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: 'Strip to delete' })).toHaveCount(0);
});

test('a project that its design does not fit says so everywhere, and a failed download on the page', async ({
  page,
  request,
}) => {
  const design = await copyOfDesign(request, 'Quay strip', 'Strip with a role nobody has');
  const { document, version } = (await (await request.get(`/api/designs/${design}`)).json()) as {
    document: unknown;
    version: number;
  };
  const without = JSON.parse(JSON.stringify(document).replaceAll('"role":"value"', '"role":"role-19"')) as unknown;
  await request.put(`/api/designs/${design}`, { data: { document: without, version } });
  const made = await request.post('/api/projects', { data: { name: 'Netmakers Row Loft', designId: design } });
  const { id } = (await made.json()) as { id: string };
  await request.post(`/api/projects/${id}/sheets`, { data: { title: 'Plan', kind: 'plan', size: 'ISO A1' } });
  const words = 'this revision of the office standard has no lettering role “role-19”';
  await goTo(page, '/');
  await expect(page.getByText(words)).toBeVisible();
  await goTo(page, `/projects/${id}/register`);
  await page.getByRole('grid').getByText(words).click();
  const dialog = page.getByRole('dialog', { name: 'Data of A-101' });
  await expect(dialog.getByRole('region', { name: 'To mend' })).toContainText(`${words}. Fix: `);
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('link', { name: 'Output' }).click();
  await expect(page.getByRole('cell').getByText(words)).toBeVisible();
  await page.getByRole('button', { name: 'A-101 as PDF' }).click();
  await expect(page.getByRole('alert')).toContainText(
    `A-101 as PDF was not downloaded: A-101 cannot be drawn: ${words}`,
  );
  await request.delete(`/api/projects/${id}`);
  await request.delete(`/api/designs/${design}`);
});

test('a number that is taken is refused, and the register keeps the old one', async ({ page, request }) => {
  await goTo(page, `/projects/${await projectId(request, FERRY)}/register`);
  await page.getByRole('gridcell', { name: 'A-103', exact: true }).dblclick();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('A-101');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Not saved: there is a sheet A-101 already')).toBeVisible();
  // The cell is open again with what was typed, to be mended or left.
  await expect(page.getByRole('gridcell').getByRole('textbox')).toHaveValue('A-101');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('gridcell', { name: 'A-103', exact: true })).toBeVisible();
});

test('cells that are typed one after the other stand at once, and are kept', async ({ page, request }) => {
  const address = `/projects/${await projectId(request, FERRY)}/register`;
  await goTo(page, address);
  // The server takes longer than somebody who types.
  let answered = 0;
  await page.route('**/sheet-changes', async (route) => {
    const answer = await route.fetch();
    await expect(cells.nth(1)).toHaveText('PQ');
    answered += 1;
    await route.fulfill({ response: answer });
  });
  const row = page.getByRole('row').filter({ has: page.getByRole('gridcell', { name: 'A-103', exact: true }) });
  const cells = row.locator('[data-field="drawnBy"], [data-field="checkedBy"]');
  await expect(cells).toHaveCount(2);
  const before = await cells.allTextContents();
  await cells.first().click();
  await page.keyboard.type('NM');
  await page.keyboard.press('Tab');
  await page.keyboard.type('PQ');
  await page.keyboard.press('Enter');
  await expect(cells).toHaveText(['NM', 'PQ']);
  await expect.poll(() => answered).toBe(2);
  await page.unroute('**/sheet-changes');
  await page.reload();
  await expect(cells).toHaveText(['NM', 'PQ']);
  for (const [place, words] of before.entries()) {
    await cells.nth(place).click();
    await page.keyboard.type(words);
    await page.keyboard.press('Enter');
  }
  await expect(cells).toHaveText(before);
});

test('a sheet is added under the number that is proposed', async ({ page, request }) => {
  await goTo(page, `/projects/${await projectId(request, FERRY)}/register`);
  await page.getByRole('button', { name: 'Add a sheet' }).click();
  await expect(page.getByLabel('Number')).toHaveValue('A-108');
  await page.getByLabel('Title').fill('Mezzanine plan');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('A-108 added')).toBeVisible();
  await expect(page.getByText(/^43 sheets/)).toBeVisible();
});

test('a view gets extents, a scale and a module; the scale field fills itself', async ({ page, request }) => {
  await goTo(page, `/projects/${await projectId(request, FERRY)}/arrange`);
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
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText('blank, no view is placed')).toBeVisible();
});

test('the whole set is downloaded as one PDF at true size', async ({ page, request }) => {
  await goTo(page, `/projects/${await projectId(request, 'Tolliver Creek Field Station')}/register`);
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
  await goTo(page, '/output');
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
  await goTo(page, `/projects/${await projectId(request, 'Tolliver Creek Field Station')}/register`);
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  await page.getByRole('link', { name: 'Output', exact: true }).click();
  await expect(page.getByRole('combobox', { name: 'Project' })).toHaveText('Tolliver Creek Field Station');
  await expect(page.getByText('18 sheets as one PDF')).toBeVisible();
});

test('what another design would do to a kind of sheet is shown, applied, and undone in one step', async ({
  page,
  request,
}) => {
  const id = await projectId(request, FERRY);
  const chip = page.getByText('Harbour block', { exact: true });
  await goTo(page, `/projects/${id}/data`);
  await page.getByLabel('Design of detail', { exact: true }).click();
  await page.getByRole('option', { name: 'Harbour block' }).click();
  const dialog = page.getByRole('dialog', { name: 'Draw each detail with Harbour block' });
  await expect(dialog.getByRole('status', { name: 'In short' })).toContainText(
    /^1[0-9] sheets: .*with another drawing area/,
  );
  await expect(dialog.getByRole('status', { name: 'In short' })).toContainText('No longer shown: ');
  await dialog.getByRole('button', { name: /A-502/ }).click();
  await expect(dialog.getByRole('img', { name: 'A-502 now' })).toBeVisible();
  await expect(dialog.getByRole('img', { name: 'A-502 then' })).toBeVisible();
  // Nothing is changed by looking.
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(chip).toHaveCount(0);
  await page.getByLabel('Design of detail', { exact: true }).click();
  await page.getByRole('option', { name: 'Harbour block' }).click();
  await dialog.getByRole('button', { name: /^Apply to 1/ }).click();
  await expect(chip.first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(chip).toHaveCount(0);
});
