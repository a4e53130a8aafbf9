import type { Page } from '@playwright/test';
import { expect, goTo, test } from './test';
import type { RunOptions } from 'axe-core';
import axe from 'axe-core';
import { designId, drawingSet, legacyId, paperShown, projectId } from './office';

declare global {
  interface Window {
    axe: typeof axe;
  }
}

const PLACES: [
  name: string,
  path: (ids: Record<'design' | 'project' | 'legacy' | 'set', string>) => string,
  ready: string | RegExp,
][] = [
  ['desk', () => '/desk', 'Drawn by is missing'],
  ['standard, sizes', () => '/standard', 'Sizes that ship'],
  ['standard, frames', () => '/standard/frames', 'Zones and marks'],
  ['standard, lines', () => '/standard/lines', 'Line patterns'],
  ['standard, layers', () => '/standard/layers', 'Rename all layers'],
  ['standard, scales', () => '/standard/scales', 'Scales in use'],
  ['standard, dimensions', () => '/standard/dimensions', 'At real size'],
  ['standard, parameters', () => '/standard/parameters', 'Parameters that ship'],
  ['standard, symbols', () => '/standard/symbols', 'No own symbols yet'],
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
  ['areas', ({ project }) => `/projects/${project}/areas`, 'In no group, and in no total'],
  ['revisions of a project', ({ project }) => `/projects/${project}/revisions`, 'Gangway moved'],
  ['sets', ({ project }) => `/projects/${project}/sets`, 'Order as in the register'],
  ['issues', ({ project }) => `/projects/${project}/issues`, '1 issue, 41 sheets issued'],
  ['bin', () => '/bin', /lie here for 30 days|Delete for good/],
  ['adoption', () => '/designs/adoption', 'Every project draws with its newest revision'],
  ['text heights', () => '/designs/text-heights', 'Heights and their roles'],
  ['output', () => '/output', 'The whole set'],
  ['nowhere', () => '/nowhere', 'Nothing here'],
];

/** Parts of the standard that are made of the same pieces: one of them in the dark stands for all. */
const ONE_IN_THE_DARK = /^standard, (?!lettering|checks|frames)/;

/** What axe objects to on the page as it is. */
async function objections(page: Page, scheme: 'light' | 'dark'): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  // The dark scheme has the same structure as the light one; only its colours are new.
  const runOnly: RunOptions['runOnly'] =
    scheme === 'light'
      ? { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] }
      : { type: 'rule', values: ['color-contrast', 'link-in-text-block'] };
  return page.evaluate(
    async (options) => {
      // Passes are not asked for: gathering them takes as long as finding what fails.
      const { violations } = await window.axe.run(document, { ...options, resultTypes: ['violations'] });
      return violations.map((each) => `${each.id}: ${each.nodes.map((node) => node.html.slice(0, 300)).join(' | ')}`);
    },
    { runOnly },
  );
}

test.describe('places', () => {
  const show = async (page: Page, colorScheme: 'light' | 'dark'): Promise<void> => {
    await page.emulateMedia({ colorScheme });
    const scheme = (): Promise<string> => page.evaluate(() => getComputedStyle(document.documentElement).colorScheme);
    await expect.poll(scheme).toBe(colorScheme);
  };

  for (const [name, path, ready] of PLACES) {
    test(`${name} has nothing that axe objects to, in the light and in the dark`, async ({ page, request }) => {
      const ids = {
        design: await designId(request, 'Quay strip'),
        project: await projectId(request, 'Brackenmouth Ferry Terminal'),
        legacy: await legacyId(request, 'rotated-text-a1.dxf'),
        set: name === 'set of drawings' ? await drawingSet(request) : '',
      };
      await goTo(page, path(ids));
      await show(page, 'light');
      await expect(page.getByText(ready).first()).toBeVisible();
      await expect(page.getByRole('progressbar')).toHaveCount(0);
      if (['setting-out', 'intake result', 'arrange'].includes(name)) await paperShown(page);
      expect(await objections(page, 'light')).toEqual([]);
      if (ONE_IN_THE_DARK.test(name)) return;
      await show(page, 'dark');
      expect(await objections(page, 'dark')).toEqual([]);
    });
  }
});

test('what opens over setting-out has nothing that axe objects to', async ({ page, request }) => {
  await goTo(page, '/designs');
  await page.getByRole('button', { name: 'New design' }).click();
  await expect(page.getByRole('dialog').getByText('Corner block')).toBeVisible();
  expect(await objections(page, 'light')).toEqual([]);
  await goTo(page, `/designs/${await designId(request, 'Quay strip')}`);
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

test('what opens over arrange has nothing that axe objects to', async ({ page, request }) => {
  const project = await projectId(request, 'Brackenmouth Ferry Terminal');
  await goTo(page, `/projects/${project}/arrange`);
  await page
    .getByRole('navigation', { name: 'Sheets' })
    .getByRole('button', { name: /^A-201/ })
    .click();
  await paperShown(page);
  const marks = page.locator('[data-view] rect');
  await marks.first().click({ modifiers: ['Control'] });
  await page
    .locator('[data-view]')
    .last()
    .locator('rect')
    .first()
    .click({ modifiers: ['Control'] });
  await expect(page.getByText(/views chosen/)).toBeVisible();
  expect(await objections(page, 'light')).toEqual([]);
  await page.getByRole('button', { name: 'Over sheets…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('radio', { name: /^In order/ })).toBeVisible();
  expect(await objections(page, 'light')).toEqual([]);
  await dialog.getByRole('tab', { name: 'What fits' }).click();
  await expect(dialog.getByRole('rowheader', { name: '1:200', exact: true })).toBeVisible();
  expect(await objections(page, 'light')).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'From a drawing…' }).click();
  await dialog.getByRole('button', { name: /^ground floor\.dxf/ }).click();
  await dialog.getByRole('button', { name: 'Corners' }).click();
  await expect(dialog.getByLabel('Corners from the lower left')).toBeVisible();
  expect(await objections(page, 'light')).toEqual([]);
});
