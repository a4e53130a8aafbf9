import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from '@playwright/test';
import { designId, drawingSet, legacyId, paperShown, projectId } from './office';

const PLACES: [
  name: string,
  path: (ids: Record<'design' | 'project' | 'legacy' | 'set', string>) => string,
  ready: string,
][] = [
  ['desk', () => '/desk', 'Drawn by is missing'],
  ['standard, sizes', () => '/standard', 'Sizes that ship'],
  ['standard, frames', () => '/standard/frames', 'Zones and marks'],
  ['standard, lines', () => '/standard/lines', 'Line patterns'],
  ['standard, layers', () => '/standard/layers', 'Rename all layers'],
  ['standard, scales', () => '/standard/scales', 'Scales in use'],
  ['standard, dimensions', () => '/standard/dimensions', 'At real size'],
  ['standard, parameters', () => '/standard/parameters', 'Parameters that ship'],
  ['standard, office data', () => '/standard/office', 'Save office data'],
  ['standard, devices', () => '/standard/devices', 'Frames inside what can be printed'],
  ['standard, revisions', () => '/standard/revisions', 'Revisions in use'],
  ['standard, lettering', () => '/standard/lettering', 'Lettering roles'],
  ['standard, real sizes', () => '/standard/real-sizes', 'Download as CSV'],
  ['standard, checks', () => '/standard/checks', 'Reduced prints'],
  ['designs', () => '/designs', 'Harbour block'],
  ['setting-out', ({ design }) => `/designs/${design}`, 'Dimensions'],
  ['intake', () => '/intake', 'What became of it'],
  ['intake result', ({ legacy }) => `/intake/${legacy}`, 'How it was read'],
  ['set of drawings', ({ set }) => `/intake/sets/${set}`, 'One title block on 2 sheets'],
  ['projects', () => '/projects', 'Brackenmouth Harbour Trust'],
  ['register', ({ project }) => `/projects/${project}/register`, 'Cover and index'],
  ['data', ({ project }) => `/projects/${project}/data`, 'Entered once'],
  ['arrange', ({ project }) => `/projects/${project}/arrange`, 'Scale on this sheet'],
  ['output', () => '/output', 'The whole set'],
  ['nowhere', () => '/nowhere', 'Nothing here'],
];

/** Parts of the standard that are made of the same pieces: one of them in the dark stands for all. */
const ONE_IN_THE_DARK = /^standard, (?!lettering|checks|frames)/;

/** What axe objects to on the page as it is. */
async function objections(page: Page, scheme: 'light' | 'dark'): Promise<string[]> {
  // One frame, no others inside: axe need not carry its findings over to a second, blank page, which stalls on a
  // busy machine. The dark scheme has the same structure as the light one; only its colours are new.
  const axe = new AxeBuilder({ page }).setLegacyMode();
  const { violations } = await (
    scheme === 'light'
      ? axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
      : axe.withRules(['color-contrast', 'link-in-text-block'])
  ).analyze();
  return violations.map((each) => `${each.id}: ${each.nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`);
}

for (const [name, path, ready] of PLACES) {
  test(`${name} has nothing that axe objects to, in the light and in the dark`, async ({ page, request }) => {
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
    const ids = {
      design: await designId(request, 'Quay strip'),
      project: await projectId(request, 'Brackenmouth Ferry Terminal'),
      legacy: await legacyId(request, 'rotated-text-a1.dxf'),
      set: name === 'set of drawings' ? await drawingSet(request) : '',
    };
    await page.goto(path(ids));
    await expect(page.getByText(ready).first()).toBeVisible();
    if (['setting-out', 'intake result', 'arrange'].includes(name)) await paperShown(page);
    expect(await objections(page, 'light')).toEqual([]);
    if (ONE_IN_THE_DARK.test(name)) return;
    const ground = (): Promise<string> => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    const light = await ground();
    await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
    await expect.poll(ground).not.toBe(light);
    expect(await objections(page, 'dark')).toEqual([]);
  });
}

test('what opens over setting-out has nothing that axe objects to', async ({ page, request }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto('/designs');
  await page.getByRole('button', { name: 'New design' }).click();
  await expect(page.getByRole('dialog').getByText('Corner block')).toBeVisible();
  expect(await objections(page, 'light')).toEqual([]);
  await page.goto(`/designs/${await designId(request, 'Quay strip')}`);
  await paperShown(page);
  await page.getByRole('button', { name: /^Sheet and frame/ }).click();
  expect(await objections(page, 'light')).toEqual([]);
  for (const open of ['Revisions…', 'Edit all…']) {
    await page.getByRole('button', { name: open }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await expect(page.getByText('Loading')).toHaveCount(0);
    expect(await objections(page, 'light')).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
  }
  await page.getByRole('tree').focus();
  await page.keyboard.press('Shift+?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  expect(await objections(page, 'light')).toEqual([]);
});
