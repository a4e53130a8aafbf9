import { chromium } from '@playwright/test';
import { SHEET_SIZES } from '@mendrel/core';
import { at, framesOfEmptyPage, framesWhileMoving, leftOut, MOST_MS, ordered, share } from './frames';
import { stripDesign } from './stripDesign';

/** Marks when the first divider is on the page and drawn; asking the page from outside again and again would slow it. */
const NOTE_FIRST_DIVIDER = `new MutationObserver((_, observer) => {
  if (!document.querySelector('[role=separator]')) return;
  observer.disconnect();
  requestAnimationFrame(() => setTimeout(() => performance.mark('first divider')));
}).observe(document, { childList: true, subtree: true })`;

/**
 * Measures the interface in Chromium: opening a design, and dragging a divider of one with twelve sizes, by Chromium's own
 * tracing, beside an empty page that follows the pointer in the same browser.
 * @param url where the built application is served
 */
export async function benchInterface(url: string): Promise<void> {
  const sizes = SHEET_SIZES.filter((size) => Math.min(size.width, size.height) > 250).slice(0, 12);
  const design = stripDesign(
    15,
    sizes.map((size) => size.name),
    5,
  );
  const made = await fetch(`${url}/api/designs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ document: design }),
  });
  if (!made.ok) throw new Error(await made.text());
  const { id } = (await made.json()) as { id: string };
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update', '--no-first-run'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript(NOTE_FIRST_DIVIDER);
    // Once for the caches, then measured.
    const opened: number[] = [];
    for (let i = 0; i < 6; i++) {
      await page.goto(`${url}/designs/${id}`);
      await page.getByRole('separator').first().waitFor();
      const mark = await page.evaluate(`performance.getEntriesByName('first divider')[0].startTime`);
      if (i > 0) opened.push(Number(mark));
    }
    const opening = at(ordered(opened), 0.5);
    console.log(
      `Opening a design of 12 sizes, until its dividers can be dragged: ${(opening / 1000).toFixed(2)} x the second it may take`,
    );
    console.log(
      `    ours ${opening.toFixed(0)} ms (${opened.map((each) => each.toFixed(0)).join(', ')}), with the files of the interface in the browser's cache`,
    );

    // The strip itself, so that its rows have dividers; one in the middle of the window is dragged.
    await page.getByRole('treeitem').first().click();
    await page.getByRole('separator', { name: 'Divider after row' }).first().waitFor();
    const boxes = await Promise.all((await page.getByRole('separator').all()).map((each) => each.boundingBox()));
    const box = boxes.find((each) => each && each.y > 200 && each.y < 450);
    if (!box) throw new Error('there is no divider to drag');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    const ours = await framesWhileMoving(browser, page, x, y);
    await page.mouse.up();
    const empty = await framesOfEmptyPage(browser);
    const [work, least] = [at(ours.work, 0.95), at(empty.work, 0.95)];
    console.log(
      `Work on a frame while a divider is dragged under a wall of 12 sizes, 95 %: ${(work / MOST_MS).toFixed(2)} x the ${MOST_MS} ms it may take`,
    );
    console.log(
      `    ours ${work.toFixed(1)} ms, median ${at(ours.work, 0.5).toFixed(1)} ms; an empty page that follows the pointer ${least.toFixed(1)} ms`,
    );
    console.log(
      `Frames drawn within ${MOST_MS} ms of the last one: ${(share(ours) / share(empty)).toFixed(2)} x the share of the empty page`,
    );
    console.log(
      `    ours ${share(ours)} % of ${ours.between.length} (median ${at(ours.between, 0.5).toFixed(1)} ms, 95 % ${at(ours.between, 0.95).toFixed(1)} ms), the empty page ${share(empty)} % (95 % ${at(empty.between, 0.95).toFixed(1)} ms); drawn without a graphics card`,
    );
    console.log(
      `    refreshes of the screen without a new frame: ours ${leftOut(ours)} %, the empty page ${leftOut(empty)} %`,
    );
  } finally {
    await browser.close();
    await fetch(`${url}/api/designs/${id}`, { method: 'DELETE' });
  }
}
