// Takes the pictures in docs/screenshots/ from the demo data, one a main view, at 1280 x 800.
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { startApplication } from './application.mjs';
import { root } from './paths.mjs';

const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
const application = await startApplication();
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
});

const read = async (path) => (await fetch(`${application.url}/api${path}`)).json();
const named = (list, name) => list.find((each) => each.name === name)?.id;
const ids = {
  quay: named(await read('/designs'), 'Quay strip'),
  ferry: named(await read('/projects'), 'Brackenmouth Ferry Terminal'),
  legacy: named(await read('/intake'), 'rotated-text-a1.dxf'),
};
/** Setting-out with all of its sizes, which come after the paper. */
const bench = (page) => page.getByRole('region', { name: 'Size wall' }).locator('canvas').nth(4).waitFor();
/** In the page: whether something is drawn in the middle of a picture. */
const inked = (canvas) => {
  const [width, height] = [Math.floor(canvas.width * 0.6), Math.floor(canvas.height * 0.6)];
  const { data } = canvas.getContext('2d').getImageData(canvas.width * 0.1, canvas.height * 0.2, width, height);
  return data.filter((each, i) => i % 4 === 3 && each > 0).length > 100;
};
const paper = (page) => page.getByRole('application').locator('svg text').first().waitFor({ state: 'attached' });

/** Sheets of an old set with one block, one of which misspells its client. */
function oldSet() {
  const corner = readFileSync(join(root, 'demo/legacy/corner-block-a1.dxf'), 'latin1');
  const titles = [
    'Ground floor plan',
    'First floor plan',
    'Roof plan',
    'North elevation',
    'South elevation',
    'Section AA',
  ];
  titles.push('Section BB', 'Stair details', 'Door schedule', 'Quay wall details', 'Pontoon plan', 'Gangway details');
  return titles.map((title, i) => {
    const number = `BFT-A-${i === 7 ? 107 : 101 + i}`;
    const client = i === 4 ? 'Brackenmouth Harbor Trust' : 'Brackenmouth Harbour Trust';
    const text = corner
      .replace('BFT-A-101', number)
      .replace('Ground floor plan', title)
      .replace('Brackenmouth Harbour Trust', client);
    return { name: `BFT-A-${101 + i}.dxf`, mimeType: 'application/dxf', buffer: Buffer.from(text, 'latin1') };
  });
}

/** Each view: its file, its place, what is done there first, and its colour scheme. */
const VIEWS = [
  // Not before all sheets were looked at.
  ['desk', '/desk', (page) => page.getByText('of which 67 fit').waitFor({ timeout: 60_000 })],
  ['standard-frames', '/standard/frames', (page) => page.getByRole('heading', { name: 'Zones and marks' }).waitFor()],
  [
    'standard-impact',
    '/standard/lettering',
    async (page) => {
      await page.getByLabel('Height, Value', { exact: true }).fill('5');
      await page.getByRole('button', { name: 'See impact and save…' }).click();
      await page.getByText('of 69 sheets, with').waitFor({ timeout: 60_000 });
    },
  ],
  ['standard-checks', '/standard/checks', (page) => page.getByRole('heading', { name: 'Reduced prints' }).waitFor()],
  ['designs', '/designs', (page) => page.locator('li canvas').nth(1).waitFor()],
  ['setting-out', `/designs/${ids.quay}`, bench],
  [
    'setting-out-dark',
    `/designs/${ids.quay}`,
    async (page) => {
      await bench(page);
      await page.getByRole('button', { name: 'Longest' }).click();
      await page.getByRole('button', { name: /^ISO A3/ }).click();
    },
    'dark',
  ],
  [
    'new-design',
    '/designs',
    async (page) => {
      await page.locator('li canvas').nth(1).waitFor();
      await page.getByRole('button', { name: 'New design' }).click();
      await page.getByRole('dialog').locator('canvas').nth(4).waitFor();
    },
  ],
  [
    'what-it-takes',
    `/designs/${ids.quay}`,
    async (page) => {
      await bench(page);
      await page.getByRole('button', { name: 'Longest' }).click();
      await page.getByRole('button', { name: /^ISO A3/ }).click();
      await page.getByRole('button', { name: 'What would it take?' }).click();
      await page.getByText('removes both').waitFor();
    },
  ],
  [
    'revisions',
    `/designs/${ids.quay}`,
    async (page) => {
      await bench(page);
      await page.getByRole('treeitem', { name: /^Client/ }).click();
      await page.getByLabel('Size of row 5', { exact: true }).fill('60');
      await page.getByLabel('Size of row 5', { exact: true }).press('Enter');
      await page.getByRole('button', { name: 'Revisions…' }).click();
      await page.getByText('row 5: 42 → 60').waitFor();
    },
  ],
  [
    'report',
    `/designs/${ids.quay}`,
    async (page) => {
      await bench(page);
      await page.getByRole('button', { name: 'Report…' }).click();
      await page.getByRole('table', { name: 'Fit of the contents' }).waitFor();
    },
  ],
  [
    'table',
    `/designs/${ids.quay}`,
    async (page) => {
      await bench(page);
      await page.getByRole('treeitem', { name: /^Consultants/ }).click();
      await page.getByRole('combobox', { name: 'Lists' }).waitFor();
    },
  ],
  ['intake', `/intake/${ids.legacy}`, paper],
  [
    'intake-set',
    '/intake',
    async (page) => {
      await page.getByLabel('Drawing files').setInputFiles(oldSet());
      await page.getByText('One title block on').waitFor();
      await page.locator('canvas').first().waitFor();
    },
  ],
  [
    'register',
    `/projects/${ids.ferry}/register`,
    async (page) => {
      const last = page.getByRole('img', { name: 'Picture of A-203' });
      await last.waitFor();
      // Its picture has more than the frame and the block once the drawings of its views have come.
      await page.waitForFunction(inked, await last.elementHandle());
    },
  ],
  [
    'areas',
    `/projects/${ids.ferry}/areas`,
    async (page) => {
      await page.getByText('In no group, and in no total').waitFor();
      await page.waitForLoadState('networkidle');
    },
  ],
  [
    'arrange',
    `/projects/${ids.ferry}/arrange`,
    async (page) => {
      await page.getByRole('button', { name: /^A-101/ }).click();
      await paper(page);
    },
  ],
  [
    'issue',
    `/projects/${ids.ferry}/issues`,
    async (page) => {
      await page.getByRole('button', { name: 'Open issue 1' }).click();
      await page.getByRole('button', { name: /A-201/ }).click();
      await paper(page);
    },
  ],
  ['output', '/output', (page) => page.getByText('A-101').waitFor()],
];

try {
  for (const [name, path, ready, colorScheme = 'light'] of VIEWS) {
    const page = await browser.newPage({
      viewport: { width: 1280, height: 800 },
      colorScheme,
      reducedMotion: 'reduce',
    });
    await page.goto(application.url + path);
    await ready(page);
    await page.evaluate(() => document.fonts.ready);
    await page.mouse.move(1279, 799);
    await page.screenshot({ path: join(folder, `${name}.png`), animations: 'disabled' });
    await page.close();
  }
} finally {
  await browser.close();
  await application.stop();
}
