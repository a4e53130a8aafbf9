import { chromium } from '@playwright/test';
import type { Browser, Page } from '@playwright/test';
import type { Frames } from './frames';
import { framesDuring, MOST_MS, share } from './frames';

/** How far the register is scrolled, and how fast, in px and px a second: 78 rows a second. */
const SCROLLED = { distance: 14_400, speed: 3600 } as const;
const SCROLLER = '.MuiDataGrid-virtualScroller';

/** In the page: notes with every frame how far below the edge rows are built, and how far it is scrolled, in px. */
const WATCH = `{
  const scroller = document.querySelector('${SCROLLER}');
  window.noted = [];
  const note = () => {
    const rows = [...scroller.querySelectorAll('[role="row"][data-id]')];
    const built = Math.max(...rows.map((row) => row.getBoundingClientRect().bottom));
    window.noted.push([built - scroller.getBoundingClientRect().bottom, scroller.scrollTop]);
    requestAnimationFrame(note);
  };
  note();
}`;

/** In how many frames the next one was scrolled further than rows were built. */
function bare(noted: readonly (readonly [below: number, top: number])[]): number {
  return noted.filter(([below, top], i) => (noted[i + 1]?.[1] ?? top) - top > below).length;
}

/** Scrolls as a turned wheel does. Chromium itself turns it: it moves what it can by itself, as it does for a person. */
async function framesOfWheel(browser: Browser, page: Page, selector: string): Promise<Frames> {
  const box = await page.locator(selector).boundingBox();
  if (!box) throw new Error(`${selector} is not there`);
  const chromium = await page.context().newCDPSession(page);
  const turn = (distance: number, speed: number): Promise<unknown> =>
    chromium.send('Input.synthesizeScrollGesture', {
      x: box.x + box.width / 2,
      y: box.y + box.height / 2,
      yDistance: -distance,
      speed,
      gestureSourceType: 'mouse',
      preventFling: true,
    });
  // The first rows compile what the rest runs.
  await turn(SCROLLED.distance / 4, SCROLLED.speed);
  return framesDuring(browser, page, () => turn(SCROLLED.distance, SCROLLED.speed));
}

/** Scrolling the register of a project with so many sheets, against a list of as many plain rows. */
export async function benchScrolling(url: string, project: string, count: number): Promise<void> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.setContent(
      `<div id="list" style="height:600px;overflow:auto">${'<p style="height:46px;margin:0">row</p>'.repeat(count)}</div>`,
    );
    const plain = share(await framesOfWheel(browser, page, '#list'));
    await page.goto(`${url}/projects/${project}/register`);
    await page.getByRole('gridcell').first().waitFor();
    const ours = share(await framesOfWheel(browser, page, SCROLLER));
    console.log(
      `Frames within ${MOST_MS} ms while a register of ${count} scrolls: ${(ours / plain).toFixed(2)} x the share of a plain list`,
    );
    console.log(`    ours ${ours} %, a plain list ${plain} %; drawn without a graphics card`);
    await page.evaluate(WATCH);
    await framesOfWheel(browser, page, SCROLLER);
    const noted = await page.evaluate<[number, number][]>('window.noted');
    console.log(`    rows that were not built in time: in ${bare(noted)} of ${noted.length} frames`);
  } finally {
    await browser.close();
  }
}
