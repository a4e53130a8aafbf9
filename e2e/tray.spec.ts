import { expect, goTo, test } from './test';
import { goToSheet, projectId } from './office';

const FERRY = 'Brackenmouth Ferry Terminal';

test('a view waits in the tray of the project, whatever becomes of its sheet, and is brought onto another', async ({
  page,
  request,
}) => {
  const id = await projectId(request, FERRY);
  const view = { name: 'Kerb', realWidth: 2000, realHeight: 1500, scale: '1:20' };
  const added = ['Y-901', 'Y-902'].map((number, i) => ({
    id: crypto.randomUUID(),
    number,
    title: 'Kerbs',
    kind: 'detail',
    size: 'ISO A1',
    values: {},
    views:
      i === 0
        ? [
            { ...view, id: 'kerb', module: 'A1' },
            { ...view, id: 'kerb-2', name: 'Gully', module: 'B1' },
          ]
        : [],
  }));
  await request.post(`/api/projects/${id}/sheet-changes`, { data: { added } });
  await goToSheet(page, id, 'Y-901');
  const tray = page.getByRole('region', { name: /^Tray of the project/ });
  await page.getByRole('button', { name: 'Into the tray' }).click();
  await expect(tray).toContainText('Kerb 1:20');
  await expect(page.getByLabel('Name')).toHaveValue('Gully');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tray.getByText('Kerb')).toBeHidden();

  await goTo(page, `/projects/${id}/register`);
  await page.getByLabel('Show only').fill('Y-90');
  await page.getByRole('button', { name: 'Delete Y-901' }).click();
  const dialog = page.getByRole('dialog', { name: 'Delete Y-901 Kerbs?' });
  await expect(dialog).toContainText('Its data and 2 views go with it');
  await dialog.getByRole('checkbox', { name: 'Keep the 2 views in the tray of the project' }).click();
  await expect(dialog).toContainText('Its data go with it');
  await dialog.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('grid').getByText('Y-901')).toBeHidden();

  await goToSheet(page, id, 'Y-902');
  await tray.getByRole('button', { name: 'Bring here Gully' }).click();
  await expect(page.getByLabel('Name')).toHaveValue('Gully');
  await expect(page.getByText('Scale on this sheet: 1:20')).toBeVisible();
  await tray.getByRole('button', { name: 'Remove Kerb from the tray' }).click();
  await expect(tray.getByText('Kerb')).toBeHidden();
  // New ones are made of drawings one after the other, before it is known where they will stand.
  await page.getByRole('button', { name: 'From a drawing…' }).click();
  const choose = page.getByRole('dialog', { name: 'Add a view of a drawing' });
  await choose.getByRole('button', { name: /^details\.dxf/ }).click();
  await choose.getByRole('button', { name: 'Put it into the tray' }).click();
  await expect(page.getByText('details waits in the tray')).toBeVisible();
  await choose.getByRole('button', { name: 'Cancel' }).click();
  await tray.getByRole('button', { name: 'Remove details from the tray' }).click();
  await expect(tray.getByText('details')).toBeHidden();
  // Of a file of several pages all at once.
  const set = await request.get(`/api/projects/${await projectId(request, 'Osier Lane Pump House')}/set.pdf`);
  await page.getByRole('button', { name: 'From a drawing…' }).click();
  await choose
    .getByLabel('A drawing for the view')
    .setInputFiles({ name: 'pages.pdf', mimeType: 'application/pdf', buffer: await set.body() });
  const all = choose.getByRole('button', { name: /^All \d+ parts into the tray$/ });
  const count = Number(/\d+/.exec((await all.textContent()) ?? '')?.[0]);
  await all.click();
  await expect(page.getByText(`${count} views wait in the tray`)).toBeVisible();
  const waiting = (await (await request.get(`/api/projects/${id}/tray`)).json()) as { id: string; name: string }[];
  expect(waiting.filter(({ name }) => name.startsWith('pages')).length).toBe(count);
  await choose.getByRole('button', { name: 'Cancel' }).click();
  await request.post(`/api/projects/${id}/sheet-changes`, { data: { tray: { take: waiting.map((each) => each.id) } } });
  const drawings = (await (await request.get(`/api/projects/${id}/drawings`)).json()) as { id: string; name: string }[];
  const pages = drawings.find(({ name }) => name === 'pages.pdf')!;
  expect((await request.delete(`/api/drawings/${pages.id}`)).ok()).toBe(true);
  const deleted = { deleted: [added[1]!.id] };
  expect((await request.post(`/api/projects/${id}/sheet-changes`, { data: deleted })).ok()).toBe(true);
});
