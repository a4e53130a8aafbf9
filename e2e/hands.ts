import type { Locator, Page } from '@playwright/test';
import { goTo } from './goTo';

/** A mark to put into a title block, as an SVG file. */
export const LOGO = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 20" width="60mm" height="20mm"><path d="M2 18C20 2 40 2 58 18" fill="none" stroke="#000"/><circle cx="30" cy="8" r="5"/></svg>',
);

/** Does what a person does, and counts it: a click, one line typed with its Enter, a key, a window drawn, a file chosen. */
export class Hands {
  actions = 0;
  constructor(readonly page: Page) {}

  async click(what: Locator, options?: Parameters<Locator['click']>[0]): Promise<void> {
    this.actions++;
    await what.click(options);
  }
  /** Types into a field; what is there goes. */
  async type(what: Locator, text: string, enter = true): Promise<void> {
    this.actions++;
    await what.fill(text);
    if (enter) await what.press('Enter');
  }
  async press(key: string): Promise<void> {
    this.actions++;
    await this.page.keyboard.press(key);
  }
  async file(what: Locator, file: { name: string; mimeType: string; buffer: Buffer }): Promise<void> {
    this.actions++;
    await what.setInputFiles(file);
  }

  cell(name: string | RegExp): Locator {
    return this.page.getByRole('treeitem', { name }).first();
  }
  /** Divides what is selected: rows, columns or a grid, by one typed line. */
  async divide(into: 'Rows' | 'Columns' | 'Grid', tracks: string): Promise<void> {
    const kind = this.page.getByRole('group', { name: 'Divide into' }).getByRole('button', { name: into });
    if ((await kind.getAttribute('aria-pressed')) !== 'true') await this.click(kind);
    await this.type(this.page.getByLabel('Track sizes'), tracks);
  }
  /** Gives the selected cell a name. */
  async name(name: string): Promise<void> {
    await this.type(this.page.getByLabel('Name', { exact: true }), name);
  }
}

/** Starts a design from a starter with some sheet sizes, through the dialog. */
export async function startDesign(
  hands: Hands,
  name: string,
  starter: string,
  unit: 'mm' | 'inches',
  sizes: readonly string[],
): Promise<void> {
  const { page } = hands;
  await goTo(page, '/designs');
  await hands.click(page.getByRole('button', { name: 'New design' }));
  const dialog = page.getByRole('dialog', { name: 'New design' });
  await hands.type(dialog.getByLabel('Name'), name, false);
  if (unit === 'inches') await hands.click(dialog.getByRole('button', { name: 'inches' }));
  await hands.click(dialog.getByText(starter, { exact: true }));
  for (const box of await dialog.getByRole('checkbox').all()) {
    const size = (await box.evaluate((each) => each.closest('label')?.textContent)) ?? '';
    if ((await box.isChecked()) !== sizes.includes(size)) await hands.click(box);
  }
  await hands.click(dialog.getByRole('button', { name: 'Create design' }));
  await page.getByRole('heading', { name, level: 1 }).waitFor();
}
