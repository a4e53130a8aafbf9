import { chromium } from '@playwright/test';
import { SHEET_SIZES } from '@mendrel/core';
import { FRAME_MS } from './measure';
import { stripDesign } from './stripDesign';

interface TraceEvent {
  name: string;
  ts: number;
  dur?: number;
  tid: number;
}

const at = (sorted: readonly number[], part: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? 0;

/**
 * Measures the interface in Chromium: opening a design, and dragging a divider of one with twelve sizes, by Chromium's own
 * tracing.
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
    // Once for the caches, then measured.
    let opened = 0;
    for (let i = 0; i < 2; i++) {
      const start = performance.now();
      await page.goto(`${url}/designs/${id}`);
      await page.getByRole('separator').first().waitFor();
      opened = performance.now() - start;
    }
    console.log(
      `Opening a design of 12 sizes, until its dividers can be dragged: ${(opened / 1000).toFixed(2)} x the second it may take`,
    );
    console.log(`    ours ${opened.toFixed(0)} ms, with the files of the interface in the browser's cache`);

    // The strip itself, so that its rows have dividers; one in the middle of the window is dragged.
    await page.getByRole('treeitem').first().click();
    await page.getByRole('separator', { name: 'Divider after row' }).first().waitFor();
    const boxes = await Promise.all((await page.getByRole('separator').all()).map((each) => each.boundingBox()));
    const box = boxes.find((each) => each && each.y > 200 && each.y < 450);
    if (!box) throw new Error('there is no divider to drag');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    // The first movements compile what the rest runs.
    for (let i = 0; i < 40; i++) await page.mouse.move(x, y + (i % 20));
    await browser.startTracing(page, {
      categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline.frame'],
    });
    for (let i = 0; i < 240; i++) {
      const next = new Promise((resolve) => setTimeout(resolve, FRAME_MS / 2));
      await page.mouse.move(x, y + 20 * Math.sin(i / 12));
      await next;
    }
    const trace = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: TraceEvent[] };
    await page.mouse.up();
    const drawn = trace.traceEvents.filter((event) => event.name === 'DrawFrame').map((event) => event.ts / 1000);
    drawn.sort((a, b) => a - b);
    const frames = drawn
      .slice(1)
      .map((time, i) => time - (drawn[i] ?? time))
      .sort((a, b) => a - b);
    const share = frames.filter((frame) => frame < 20).length / Math.max(1, frames.length);
    console.log(
      `Frames while a divider is dragged under a wall of 12 sizes: ${(at(frames, 0.95) / 20).toFixed(2)} x the 20 ms that 95 % may take`,
    );
    console.log(
      `    ${Math.round(share * 100)} % of ${frames.length} frames under 20 ms; median ${at(frames, 0.5).toFixed(1)} ms, 95 % ${at(frames, 0.95).toFixed(1)} ms (drawn without a graphics card)`,
    );
  } finally {
    await browser.close();
    await fetch(`${url}/api/designs/${id}`, { method: 'DELETE' });
  }
}
