import { expect, test } from './test';
import { Hands, LOGO, startDesign } from './hands';

// What somebody who has never seen it builds first, by what the screens offer, with no key but Enter.
test('a strip of eight rows, two of them split, with logo, fields and a parameter of its own takes under 50 actions', async ({
  page,
}) => {
  const hands = new Hands(page);
  await startDesign(hands, 'First strip', 'Empty sheet', 'mm', ['ISO A1']);
  await hands.click(page.getByRole('button', { name: 'Add…' }).first());
  await hands.click(page.getByRole('menuitem', { name: 'Panel, right edge' }));
  await hands.type(page.getByLabel('Width', { exact: true }), '90');
  await hands.divide('Rows', '60 | * | 40 | 40 | 30 | 16 | 16 | 30');
  const empty = page.getByRole('treeitem', { name: /^Empty cell/ });
  await expect(empty).toHaveCount(8);
  // The two rows of 16 mm are split.
  await hands.click(empty.nth(5));
  await hands.click(empty.nth(6), { modifiers: ['Shift'] });
  await hands.divide('Columns', '* | *');
  await expect(empty).toHaveCount(10);

  await hands.click(empty.nth(2));
  await hands.click(empty.nth(8), { modifiers: ['Shift'] });
  await hands.click(page.getByRole('button', { name: 'Add fields…' }));
  const dialog = page.getByRole('dialog');
  for (const name of ['Client', 'Project', 'Sheet title', 'Drawn by', 'Checked by', 'Scale', 'Date']) {
    await hands.click(dialog.getByRole('checkbox', { name, exact: true }));
  }
  await hands.click(dialog.getByRole('button', { name: 'Add fields' }));

  await hands.click(hands.cell(/^Empty cell/));
  await hands.click(page.getByRole('button', { name: 'Add…' }).last());
  await hands.click(page.getByRole('menuitem', { name: 'Picture…' }));
  await hands.file(page.getByLabel('Picture file'), { name: 'mark.svg', mimeType: 'image/svg+xml', buffer: LOGO });
  await hands.click(page.getByRole('button', { name: 'Insert picture' }));

  // The last row asks for something that no office has from the start.
  await hands.click(empty.last());
  await hands.click(page.getByRole('button', { name: 'Add field' }));
  await hands.click(page.getByRole('combobox', { name: 'Add a parameter' }));
  await hands.click(page.getByRole('option', { name: 'New parameter…' }));
  await hands.type(dialog.getByLabel('Name'), 'Berth', false);
  await hands.type(dialog.getByLabel('Example'), 'B 12', false);
  await hands.click(dialog.getByRole('button', { name: 'Add and use it' }));

  await expect(page.getByRole('application').getByText('Brackenmouth Ferry Terminal')).toBeVisible();
  await expect(page.getByRole('application').getByText('B 12')).toBeVisible();
  await expect(page.getByRole('button', { name: /^ISO A1/ }).last()).toContainText('fits');
  await expect(page.getByText(/^saved, version/)).toBeVisible();
  console.log(`    built with ${hands.actions} actions`);
  expect(hands.actions).toBeLessThan(50);
});
