import { expect, goTo, test } from './test';
import { copyOfDesign } from './office';

test('projects that are behind are looked at, moved to the newest revision of their design, and moved back', async ({
  page,
  request,
}) => {
  const design = await copyOfDesign(request, 'Quay strip', 'Strip with two revisions');
  const publish = async (note: string): Promise<void> => {
    const { document, version } = (await (await request.get(`/api/designs/${design}`)).json()) as {
      document: { modules: object };
      version: number;
    };
    const changed = { ...document, modules: { columns: note.length, rows: 2 } };
    const saved = await request.put(`/api/designs/${design}`, { data: { document: changed, version } });
    const { version: now } = (await saved.json()) as { version: number };
    await request.post(`/api/designs/${design}/revisions`, { data: { note, version: now } });
  };
  await publish('One');
  for (const name of ['Slipway kiosk', 'Slipway store']) {
    const made = await request.post('/api/projects', { data: { name, designId: design } });
    const { id } = (await made.json()) as { id: string };
    await request.post(`/api/projects/${id}/sheets`, { data: { title: 'Plan', kind: 'plan', size: 'ISO A1' } });
  }
  await publish('Second');
  await goTo(page, '/designs');
  await page.getByRole('link', { name: 'Adoption' }).click();
  const card = page.getByRole('region', { name: 'Strip with two revisions' });
  await expect(card).toContainText('2 projects behind revision 2');
  await expect(card.getByRole('listitem')).toHaveText(/Revision 1.*Slipway kiosk, Slipway store/);
  await card.getByRole('button', { name: 'See what moving them would do' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Look at their sheets' }).click();
  await expect(dialog.getByRole('row', { name: /Slipway store/ })).toContainText('1 sheet drawn anew');
  await dialog.getByRole('checkbox', { name: 'Move Slipway store' }).uncheck();
  await dialog.getByRole('button', { name: 'Move 1 project' }).click();
  await expect(page.getByText('1 project moved to revision 2')).toBeVisible();
  await expect(card.getByRole('listitem').first()).toHaveText(/Revision 2.*Slipway kiosk/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(card).toContainText('2 projects behind revision 2');
});
