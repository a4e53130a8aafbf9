import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { APIRequestContext, Locator } from '@playwright/test';
import { solveDesign, starterDesign, STARTING_STANDARD, sheetSize } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypefaces } from '@mendrel/formats/typeface';
import { expect, goTo, test } from './test';
import { paperShown, projectId } from './office';

const paste = (field: Locator, text: string): Promise<void> =>
  field.evaluate((element, piece) => {
    const data = new DataTransfer();
    data.setData('text/plain', piece);
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, text);

async function firstSheet(request: APIRequestContext, project: string): Promise<string> {
  const sheets = (await (await request.get(`/api/projects/${project}/sheets`)).json()) as { id: string }[];
  return sheets[0]!.id;
}

test('contacts are pasted from a spreadsheet into the data of a project, and stand on its sheets', async ({
  page,
  request,
}) => {
  const project = await projectId(request, 'Brackenmouth Ferry Terminal');
  await goTo(page, `/projects/${project}/data`);
  const discipline = page.getByRole('textbox', { name: 'Discipline, Structure' });
  await expect(discipline).toHaveValue('Structure');
  await paste(discipline, 'Acoustics\tStill Water\tN. Hush\nStructure\tTarn & Selvedge\tA. Tarn');
  await page.getByRole('button', { name: 'Save contacts' }).click();
  await expect(page.getByText('Contacts saved')).toBeVisible();
  const dxf = await (await request.get(`/api/sheets/${await firstSheet(request, project)}/sheet.dxf`)).text();
  for (const words of ['Acoustics', 'Still Water', 'Tarn & Selvedge', 'Fenwright Gardens'])
    expect(dxf).toContain(words);
  expect(dxf).toContain('CONTACTS_1_FIRM');
});

test('a table of the office’s own is made, filled, and put into a design', async ({ page, request }) => {
  await goTo(page, '/standard/tables');
  await page.getByRole('button', { name: 'Add a table' }).click();
  await page.getByRole('textbox', { name: 'Name, New table' }).fill('Finishes');
  await page.getByRole('textbox', { name: /^Columns/ }).fill('Room | Floor | Wall');
  await page.getByRole('button', { name: 'See impact and save…' }).click();
  await page.getByRole('dialog').getByRole('button', { name: /Save/ }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await goTo(page, '/standard/office');
  const card = page.getByRole('region', { name: 'Finishes' });
  await card.getByRole('button', { name: 'Add a row' }).click();
  await card.getByRole('textbox', { name: 'Room, new row' }).fill('Waiting hall');
  await card.getByRole('textbox', { name: 'Floor, Waiting hall' }).fill('Oak');
  await card.getByRole('button', { name: 'Save finishes' }).click();
  await expect(page.getByText('Finishes saved')).toBeVisible();
  const office = (await (await request.get('/api/office')).json()) as { tables: Record<string, unknown> };
  expect(Object.values(office.tables)).toContainEqual([{ c1: 'Waiting hall', c2: 'Oak' }]);

  const standard = (await (await request.get('/api/standard')).json()) as { draft: typeof STARTING_STANDARD };
  const document = starterDesign('cover-sheet', 'Cover with finishes', 'mm', [sheetSize('ISO A1')], standard.draft);
  const made = (await (await request.post('/api/designs', { data: { document } })).json()) as { id: string };
  await goTo(page, `/designs/${made.id}`);
  await paperShown(page);
  await page.getByRole('treeitem', { name: /^Contacts/ }).click();
  await page.getByRole('combobox', { name: 'Lists' }).click();
  await page.getByRole('option', { name: 'Finishes' }).click();
  await expect(page.getByRole('combobox', { name: 'Shows' }).nth(1)).toHaveText('Floor');
  // The draft is saved by itself.
  await expect
    .poll(async () => JSON.stringify(await (await request.get(`/api/designs/${made.id}`)).json()))
    .toContain('{row.c2}');
});

test('a cover lists every sheet of its project, and each sheet’s text lies inside of it', async ({ request }) => {
  const project = await projectId(request, 'Tolliver Creek Field Station');
  const before = (await (await request.get(`/api/projects/${project}`)).json()) as Record<string, unknown>;
  const standard = (await (await request.get('/api/standard')).json()) as { draft: typeof STARTING_STANDARD };
  const size = sheetSize('ARCH D');
  const document = starterDesign('cover-sheet', 'Cover', 'in', [size], standard.draft);
  const { id: designId } = (await (await request.post('/api/designs', { data: { document } })).json()) as {
    id: string;
  };
  const changed = await request.patch(`/api/projects/${project}`, { data: { version: before['version'], designId } });
  expect(changed.ok()).toBe(true);
  const sheets = (await (await request.get(`/api/projects/${project}/sheets`)).json()) as {
    id: string;
    number: string;
  }[];
  const pdf = await (await request.get(`/api/sheets/${sheets[0]!.id}/sheet.pdf`)).body();
  const folder = mkdtempSync(join(tmpdir(), 'mendrel-tables-'));
  try {
    // Reference: pdftotext of poppler-utils.
    writeFileSync(join(folder, 'cover.pdf'), pdf);
    const boxes = execFileSync('pdftotext', ['-bbox', join(folder, 'cover.pdf'), '-'], { encoding: 'utf8' });
    for (const { number } of sheets) expect(boxes).toContain(`>${number}<`);
    const [, width = '', height = ''] = /<page width="([\d.]+)" height="([\d.]+)"/.exec(boxes) ?? [];
    for (const [, x0 = '', y0 = '', x1 = '', y1 = ''] of boxes.matchAll(
      /xMin="([\d.-]+)" yMin="([\d.-]+)" xMax="([\d.-]+)" yMax="([\d.-]+)"/g,
    )) {
      expect(Math.min(Number(x0), Number(y0))).toBeGreaterThan(0);
      expect(Number(x1)).toBeLessThan(Number(width));
      expect(Number(y1)).toBeLessThan(Number(height));
    }
  } finally {
    rmSync(folder, { recursive: true });
    const now = (await (await request.get(`/api/projects/${project}`)).json()) as { version: number };
    const back = { designId: before['designId'], designRevision: before['designRevision'], version: now.version };
    await request.patch(`/api/projects/${project}`, { data: back });
  }
});

// Reference: Chromium's own layout of a table with fixed columns (CSS 2.2, 17.5.2.1) of the same widths and heights.
test('rows and columns of a table stand where a browser puts them', async ({ page }) => {
  const widths = ['30 mm', '2*', '*', '25 mm'];
  const [across, high, row] = [180, 84, 7];
  const design = starterDesign('empty-sheet', 'Table', 'mm', [sheetSize('ISO A1')], STARTING_STANDARD);
  const root = {
    id: 'cell',
    name: 'Table',
    contents: [
      {
        id: 'table',
        kind: 'table' as const,
        table: 'key' as const,
        columns: widths.map((width) => ({ heading: 'H', shows: '', width })),
        rowHeight: `${row} mm`,
        rows: 0,
        heading: 'top' as const,
        captionRole: 'caption',
        valueRole: 'value-small',
        horizontal: 'left' as const,
        vertical: 'top' as const,
        rotation: 0 as const,
      },
    ],
  };
  const panel = {
    id: 'panel',
    name: 'Panel',
    dock: 'upper-right' as const,
    width: `${across} mm`,
    height: `${high} mm`,
    outlinePen: 'outline',
    dividerPen: 'divider',
    root,
  };
  const typefaces = readTypefaces(shippedFontFiles());
  const on = { size: 'ISO A1', values: {}, standard: STARTING_STANDARD, typefaces };
  const layout = solveDesign({ ...design, panels: [panel] }, on);
  const [table] = layout.placed;
  if (table?.content.kind !== 'table' || !('columns' in table)) throw new Error('there is no table');
  const fixed = 30 + 25;
  const cols = [30, ((across - fixed) * 2) / 3, (across - fixed) / 3, 25];
  const rows = Array.from({ length: high / row }, () => `<tr>${'<td></td>'.repeat(4)}</tr>`).join('');
  await page.setContent(
    `<table style="table-layout:fixed;border-collapse:separate;border-spacing:0;width:${across}px;height:${high}px">
     ${cols.map((width) => `<col style="width:${width}px">`).join('')}<tbody style="line-height:0">${rows}</tbody></table>
     <style>td{padding:0}</style>`,
  );
  const seen = await page.evaluate(() => {
    const at = document.querySelector('table')!.getBoundingClientRect();
    const cells = [...document.querySelectorAll('tr:first-child td')];
    return {
      columns: cells.map((cell) => cell.getBoundingClientRect().width),
      feet: [...document.querySelectorAll('tr')].map((each) => at.bottom - each.getBoundingClientRect().bottom),
    };
  });
  table.columns.forEach((width, i) => expect(Math.abs(width - seen.columns[i]!)).toBeLessThan(0.05));
  const feet = table.rows.map(({ y }) => y - table.y).sort((a, b) => b - a);
  expect(feet).toHaveLength(seen.feet.length);
  feet.forEach((foot, i) => expect(Math.abs(foot - seen.feet[i]!)).toBeLessThan(0.05));
});
