import { expect, goTo, test } from './test';
import type { Page } from '@playwright/test';
import { copyOfDesign, paperShown } from './office';

async function open(page: Page, id: string): Promise<void> {
  await goTo(page, `/designs/${id}`);
  await paperShown(page);
}

const outline = (page: Page, name: string) => page.getByRole('treeitem', { name }).first();

test('a cell is divided by typing, a track typed to size, and both undone and redone', async ({ page, request }) => {
  await open(page, await copyOfDesign(request, 'Quay strip', 'Copy for dividing'));
  await outline(page, 'Notes').click();
  await page.getByLabel('Track sizes').fill('40 | * | 12 x2');
  await expect(page.getByRole('status').filter({ hasText: '40 + ' })).toContainText('231 mm = 40');
  await page.getByRole('button', { name: 'Divide' }).click();
  await expect(page.getByText('Divided into 4 cells.')).toBeVisible();

  const first = page.getByLabel('Size of row 1', { exact: true });
  await expect(first).toHaveValue('40');
  await first.fill(`1 1/2 in`);
  await first.press('Enter');
  await expect(first).toHaveValue('38.1');
  await first.fill('wide');
  await first.press('Enter');
  await expect(page.getByRole('alert')).toContainText('"wide" is not a length');
  await first.press('Escape');

  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(first).toHaveValue('40');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Divided into 4 cells.')).toHaveCount(0);
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText('Divided into 4 cells.')).toBeVisible();
});

test('too much is said while typing', async ({ page, request }) => {
  await open(page, await copyOfDesign(request, 'Quay strip', 'Copy for sums'));
  await outline(page, 'Sheet title').click();
  const tracks = page.getByLabel('Track sizes');
  await tracks.fill('30 | 20');
  await expect(page.locator('#divide-sum')).toContainText('16 mm more than the 34 mm there are');
  await tracks.fill('10 | 20');
  await expect(page.locator('#divide-sum')).toContainText('4 mm of 34 mm are left over');
  await tracks.fill('10 | | *');
  await expect(page.locator('#divide-sum')).toContainText('a size is missing');
});

test('a divider is dragged; the paper stays, the size snaps, one step is undone', async ({ page, request }) => {
  await open(page, await copyOfDesign(request, 'Quay strip', 'Copy for dragging'));
  await outline(page, 'Client').click();
  const label = page.getByLabel('Size of row 5', { exact: true });
  await expect(label).toHaveValue('42');
  const handle = page.getByRole('separator', { name: 'Divider after row 5' });
  const box = (await handle.boundingBox())!;
  const above = (await page.getByRole('separator', { name: 'Divider after row 4' }).boundingBox())!;
  const perMm = (box.y - above.y) / 42;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  for (let i = 1; i <= 10; i++) await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 3 * i);
  const beside = page.getByRole('application').getByRole('status');
  await expect(beside).toHaveText(/^[\d.]+ \| [\d.]+ mm, for all sizes$/);
  // A drag is drawn with the frames of the screen: the last of its moves, of 3 dots each, is told in its time.
  const to = 42 + 30 / perMm;
  await expect.poll(async () => Math.abs(Number.parseFloat((await beside.textContent()) ?? '') - to)).toBeLessThan(0.6);
  const said = await beside.textContent();
  await page.mouse.up();
  await expect(beside).toHaveCount(0);
  const dragged = Number(await label.inputValue());
  expect(said?.split(' ')[0]).toBe(String(dragged));
  expect(dragged).toBeGreaterThan(42);
  expect((dragged * 2) % 1).toBe(0);
  await page.keyboard.press('Control+z');
  await expect(label).toHaveValue('42');

  await handle.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(label).toHaveValue('43');
  await page.keyboard.press('Control+z');
  await expect(label).toHaveValue('42.5');
});

test('the paper looks the same while a divider is held as before', async ({ page, request }) => {
  await open(page, await copyOfDesign(request, 'Quay strip', 'Copy for holding'));
  await outline(page, 'Sheet title').click();
  const handle = page.getByRole('separator', { name: 'Divider after row 6' });
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  // Above the divider; the size is told below it.
  const paper = (await page.getByRole('application').boundingBox())!;
  const clip = { x: paper.x, y: paper.y, width: paper.width, height: y - paper.y - 40 };
  await page.mouse.move(x, y);
  const before = await page.screenshot({ clip });
  await page.keyboard.down('Alt');
  await page.mouse.down();
  await page.mouse.move(x, y + 2);
  await page.mouse.move(x, y);
  await expect(page.getByRole('application').getByRole('status')).toContainText('mm');
  const held = await page.screenshot({ clip });
  await page.mouse.up();
  await page.keyboard.up('Alt');
  expect(await sharePictured(page, before, held)).toBeLessThan(0.002);
});

test('captions and fields are added, seen on every size, and saved', async ({ page, request }) => {
  const id = await copyOfDesign(request, 'Quay strip', 'Copy for saving');
  await open(page, id);
  await outline(page, 'Notes').click();
  await page.getByRole('button', { name: 'Add caption' }).click();
  await page.getByLabel('Fixed words').last().fill('Key plan');
  await page.getByLabel('Fixed words').last().press('Enter');
  await page.getByRole('button', { name: 'Add field' }).click();
  await page.getByLabel('Words from data').last().fill('{sheet.status} / {project.phase}');
  await page.getByLabel('Words from data').last().press('Enter');
  await expect(page.getByRole('application').getByText('Tender / Tender')).toBeVisible();
  await page.getByLabel('Words from data').last().fill('{sheet.status');
  await expect(page.getByText('"{sheet.status" has no closing brace')).toBeVisible();
  await page.getByRole('button', { name: /^ISO A3/ }).click();
  await expect(page.getByRole('application').getByText('Key plan')).toBeVisible();

  await page.keyboard.press('Control+s');
  await expect(page.getByText(/^saved, version [2-9]$/)).toBeVisible();
  const saved = await (await request.get(`/api/designs/${id}`)).text();
  expect(saved).toContain('Key plan');
  expect(saved).toContain('{sheet.status} / {project.phase}');
});

test('a save by someone else is reported, not overwritten; mine is kept as a copy', async ({ page, request }) => {
  const id = await copyOfDesign(request, 'Quay strip', 'Copy for two');
  await open(page, id);
  const { document, version } = (await (await request.get(`/api/designs/${id}`)).json()) as {
    document: object;
    version: number;
  };
  await request.put(`/api/designs/${id}`, { data: { document: { ...document, name: 'Theirs' }, version } });

  await outline(page, 'Notes').click();
  await page.getByLabel('Name').fill('Remarks');
  await page.getByLabel('Name').press('Enter');
  // By its keys: the draft is also saved by itself after a pause, and its dialog would then lie over the button.
  await page.keyboard.press('Control+s');
  await expect(page.getByRole('dialog', { name: 'Someone else has saved this design' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine as a copy' }).click();
  await expect(page.getByRole('heading', { name: 'Copy for two, copy', level: 1 })).toBeVisible();
  const theirs = (await (await request.get(`/api/designs/${id}`)).json()) as { document: { name: string } };
  expect(theirs.document.name).toBe('Theirs');
});

test('longest values show what spills, with the millimetres', async ({ page, request }) => {
  await open(page, await copyOfDesign(request, 'Quay strip', 'Copy for trying on'));
  await page.getByRole('button', { name: 'Longest' }).click();
  await expect(page.getByRole('button', { name: /^ISO A3/ })).toContainText(/spill.*mm/);
  await page.getByRole('button', { name: /^ISO A3/ }).click();
  await expect(page.getByText(/spills out of Project by/)).toBeVisible();
});

test('a formula that cannot be solved is told in place of the paper, and undone', async ({ page, request }) => {
  await open(page, await copyOfDesign(request, 'Quay strip', 'Copy for formulas'));
  const strip = page.getByLabel('strip on ISO A1');
  await strip.click();
  await expect(strip).toHaveValue('90 mm');
  await strip.fill('numberRow * 2');
  await strip.press('Enter');
  await expect(page.getByRole('alert')).toContainText('in a circle');
  await page.getByRole('button', { name: 'Undo' }).click();
  await paperShown(page);
});

test('everything here is reached from the keyboard', async ({ page, request }) => {
  await open(page, await copyOfDesign(request, 'Quay strip', 'Copy for keys'));
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Search commands' }).fill('divide');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Track sizes')).toBeFocused();
  await page.getByRole('tree').focus();
  await page.keyboard.press('Home');
  await expect(page.getByRole('treeitem', { selected: true })).toContainText('Right strip');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('treeitem', { selected: true })).toContainText('Logo');
  await page.keyboard.press('Alt+5');
  await expect(page.getByRole('heading', { name: 'Projects', level: 1 })).toBeVisible();
});

test('unsaved edits are still there after looking at another design', async ({ page, request }) => {
  await open(page, await copyOfDesign(request, 'Quay strip', 'Copy to come back to'));
  // Nothing gets to the server before the edits were seen again.
  let seen = (): void => undefined;
  const looked = new Promise<void>((resolve) => (seen = resolve));
  await page.route('**/api/designs/*', async (route) => {
    if (route.request().method() === 'PUT') await looked;
    await route.continue();
  });
  await outline(page, 'Notes').click();
  await page.getByLabel('Name').fill('Remarks');
  await page.getByLabel('Name').press('Enter');
  await page.getByRole('link', { name: 'Designs' }).first().click();
  await page.getByRole('link', { name: 'Harbour block' }).click();
  await expect(page.getByRole('heading', { name: 'Harbour block', level: 1 })).toBeVisible();
  await page.getByRole('link', { name: 'Designs' }).first().click();
  await page.getByRole('link', { name: 'Copy to come back to' }).click();
  await expect(outline(page, 'Remarks')).toBeVisible();
  seen();
  await expect(page.getByText('saved, version 2')).toBeVisible();
});

/** The share of pixels that are plainly not the same in two pictures of one size. */
function sharePictured(page: Page, one: Buffer, other: Buffer): Promise<number> {
  return page.evaluate(
    async (pictures) => {
      const [a, b] = await Promise.all(
        pictures.map(async (picture) => {
          const image = new Image();
          image.src = `data:image/png;base64,${picture}`;
          await image.decode();
          const context = new OffscreenCanvas(image.width, image.height).getContext('2d')!;
          context.drawImage(image, 0, 0);
          return context.getImageData(0, 0, image.width, image.height).data;
        }),
      );
      let unlike = 0;
      for (let i = 0; i < a!.length; i += 4) if (Math.abs(a![i]! - b![i]!) > 64) unlike++;
      return unlike / (a!.length / 4);
    },
    [one.toString('base64'), other.toString('base64')],
  );
}

test('while the server is away an edit stays on the screen, and is saved by itself when it is back', async ({
  page,
  request,
}) => {
  const id = await copyOfDesign(request, 'Quay strip', 'Copy for an absence');
  await open(page, id);
  await page.route('**/api/**', (route) => route.abort());
  await outline(page, 'Client').click();
  const row = page.getByLabel('Size of row 5', { exact: true });
  await row.fill('61');
  await row.press('Enter');
  await expect(page.getByText('no answer yet; it is saved by itself')).toBeVisible();
  await expect(row).toHaveValue('61');
  await page.unroute('**/api/**');
  await expect(page.getByText('saved, version 2')).toBeVisible();
  const { document } = (await (await request.get(`/api/designs/${id}`)).json()) as { document: unknown };
  expect(JSON.stringify(document)).toContain('"fixed":"61 mm"');
});
