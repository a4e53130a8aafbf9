import type { APIRequestContext } from '@playwright/test';
import type { Project, Sheet, StandardState } from '@mendrel/contract';
import { expect, goTo, test } from './test';
import { copyOfDesign, paperShown } from './office';

const BORDER = `<svg xmlns="http://www.w3.org/2000/svg" width="420mm" height="297mm" viewBox="0 0 420 297">
  <rect x="3" y="3" width="414" height="291" fill="none" stroke="#a0522d" stroke-width="2"/></svg>`;

/** Takes away what a test has made: the tests after it count projects and designs. */
async function cleared(request: APIRequestContext, designId: string, projectId?: string): Promise<void> {
  if (projectId !== undefined) await request.delete(`/api/projects/${projectId}`);
  await request.delete(`/api/designs/${designId}`);
}

/** A project of one sheet that is drawn with a design as it is. */
async function sheetWith(request: APIRequestContext, designId: string, size: string): Promise<Sheet> {
  const made = await request.post('/api/projects', { data: { name: 'Sailmakers Loft', designId } });
  const { id } = (await made.json()) as Project;
  const added = await request.post(`/api/projects/${id}/sheets`, {
    data: { number: 'A-101', title: 'Ground floor plan', kind: 'plan', size },
  });
  return (await added.json()) as Sheet;
}

test('a picture as the border lies under the sheet, as large as it, and takes no room', async ({ page, request }) => {
  const design = await copyOfDesign(request, 'Quay strip', 'Strip with a border');
  await goTo(page, `/designs/${design}`);
  await paperShown(page);
  const area = await page.getByText(/^Drawing area/).textContent();
  await page.getByRole('button', { name: 'Add…' }).first().click();
  await page.getByRole('menuitem', { name: 'Picture on the sheet' }).click();
  await page.getByRole('button', { name: 'Choose a picture…' }).click();
  const file = { name: 'border.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(BORDER) };
  await page.getByLabel('Picture file').setInputFiles(file);
  await page.getByRole('button', { name: 'Insert picture' }).click();
  await expect(page.getByRole('application').locator('path[stroke="#a0522d"]')).not.toHaveCount(0);
  await expect(page.getByText(/^Drawing area/)).toHaveText(area ?? '');
  await expect(page.getByRole('button', { name: /^ISO A1/ }).last()).toContainText('fits');
  await page.keyboard.press('Control+s');
  await expect(page.getByText(/^saved, version/)).toBeVisible();
  // On a sheet of 841 by 594 mm it is as wide as that but for the 3 mm in 420 that it keeps to the edge.
  const { id, projectId } = await sheetWith(request, design, 'ISO A1');
  const svg = await (await request.get(`/api/sheets/${id}/sheet.svg`)).text();
  const [, drawn = ''] =
    /<path[^>]* d="([^"]+)"[^>]*stroke="#a0522d"/.exec(svg) ?? /stroke="#a0522d"[^>]* d="([^"]+)"/.exec(svg) ?? [];
  const numbers = [...drawn.matchAll(/-?\d+(?:\.\d+)?/g)].map(([each]) => Number(each));
  expect(Math.max(...numbers)).toBeCloseTo(841 - (3 * 841) / 420, 0);
  await cleared(request, design, projectId);
});

test('a text is turned with the keyboard, and stands upright on the paper', async ({ page, request }) => {
  const design = await copyOfDesign(request, 'Quay strip', 'Strip with a turned number');
  await goTo(page, `/designs/${design}`);
  await paperShown(page);
  const number = page.getByRole('application').getByText('A-101', { exact: true }).first();
  const before = await number.boundingBox();
  expect(before!.width).toBeGreaterThan(before!.height);
  await page.getByRole('treeitem', { name: /^Sheet number/ }).click();
  const turning = page.getByRole('combobox', { name: 'Rotation' }).last();
  await turning.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(turning).toHaveText('90° up');
  await expect.poll(async () => (await number.boundingBox())!.height).toBeGreaterThan(before!.height * 1.5);
  const after = await number.boundingBox();
  expect(after!.height).toBeGreaterThan(after!.width);
  await cleared(request, design);
});

test('captions stand in the languages that a project chooses', async ({ page, request }) => {
  const { draft, version } = (await (await request.get('/api/standard')).json()) as StandardState;
  const speak = async (languages: string[] | undefined, at: number): Promise<number> => {
    const answer = await request.put('/api/standard', { data: { standard: { ...draft, languages }, version: at } });
    expect(answer.ok(), await answer.text()).toBe(true);
    return ((await answer.json()) as StandardState).version;
  };
  const now = await speak(['English', 'Welsh'], version);
  const design = await copyOfDesign(request, 'Quay strip', 'Strip in two languages');
  // The languages are in the draft of the standard only.
  await request.put(`/api/designs/${design}`, { data: { standard: null, version: 1 } });
  await goTo(page, `/designs/${design}`);
  await paperShown(page);
  await page.getByRole('treeitem', { name: /^Sheet title/ }).click();
  await page.getByLabel('Words in Welsh').first().fill('Teitl y ddalen');
  await page.getByLabel('Words in Welsh').first().press('Enter');
  await page.keyboard.press('Control+s');
  await expect(page.getByText(/^saved, version/)).toBeVisible();

  const sheet = await sheetWith(request, design, 'ISO A1');
  await request.patch(`/api/projects/${sheet.projectId}`, { data: { standard: null, version: 1 } });
  const shown = async (): Promise<string> => (await request.get(`/api/sheets/${sheet.id}/sheet.svg`)).text();
  expect(await shown()).not.toContain('Teitl y ddalen');
  await goTo(page, `/projects/${sheet.projectId}/data`);
  for (const [choice, words] of [
    ['English, Welsh', ['Sheet title', 'Teitl y ddalen']],
    ['Welsh', ['Teitl y ddalen']],
    ['Nothing chosen', ['Sheet title']],
  ] as const) {
    await page.getByRole('combobox', { name: 'Languages of captions' }).click();
    await page.getByRole('option', { name: choice, exact: true }).click();
    await page.getByRole('button', { name: 'Save project data' }).click();
    await expect
      .poll(async () => {
        const drawn = await shown();
        return ['Sheet title', 'Teitl y ddalen'].filter((each) => drawn.includes(each));
      })
      .toEqual(words);
  }
  await cleared(request, design, sheet.projectId);
  await speak(undefined, now);
});
