import type { Browser, Page } from '@playwright/test';
import { FRAME_MS } from './measure';

interface TraceEvent {
  name: string;
  /** Start and length in µs; `tdur` is the part of it in which the processor worked for it. */
  ts: number;
  dur?: number;
  tdur?: number;
}

/** What 95 % of frames may take, in ms. */
export const MOST_MS = 20;
const MOVES = 480;

const EMPTY_PAGE = `<div id="follower" style="position:absolute;width:20px;height:20px;background:#345"></div>
  <script>onpointermove = (event) => {
    follower.style.transform = 'translate(' + event.clientX + 'px,' + event.clientY + 'px)';
  }</script>`;

export const ordered = (list: readonly number[]): number[] => list.toSorted((a, b) => a - b);
export const at = (sorted: readonly number[], part: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? 0;

export interface Frames {
  /** Times from one frame drawn to the next, in ms, ordered. */
  between: number[];
  /** What the processor worked on the page for each frame, in ms, ordered. */
  work: number[];
}

/**
 * Moves the pressed pointer up and down, so that every movement changes something. The pointer moves 120 times a second, as a
 * hand does, whether or not the page has answered by then. It is moved by Chromium itself: Playwright's own pointer runs code in
 * the page with every movement while it is pressed.
 */
export async function framesWhileMoving(browser: Browser, page: Page, x: number, y: number): Promise<Frames> {
  const chromium = await page.context().newCDPSession(page);
  return framesOf(browser, page, (i) => {
    const to = y + 2 * (Math.abs((i % 40) - 20) - 10);
    return chromium.send('Input.dispatchMouseEvent', { type: 'mouseMoved', x, y: to, button: 'left', buttons: 1 });
  });
}

/** Turns the wheel at a place, forth and back by turns, as often as the pointer is moved. */
export async function framesWhileTurning(browser: Browser, page: Page, x: number, y: number): Promise<Frames> {
  const chromium = await page.context().newCDPSession(page);
  return framesOf(browser, page, (i) => {
    const deltaY = i % 80 < 40 ? -10 : 10;
    return chromium.send('Input.dispatchMouseEvent', { type: 'mouseWheel', x, y, deltaX: 0, deltaY });
  });
}

async function framesOf(browser: Browser, page: Page, step: (i: number) => Promise<unknown>): Promise<Frames> {
  const moves: Promise<unknown>[] = [];
  const move = async (i: number): Promise<void> => {
    moves.push(step(i));
    await new Promise((resolve) => setTimeout(resolve, FRAME_MS / 2));
  };
  // The first movements compile what the rest runs.
  for (let i = 0; i < 40; i++) await move(i);
  return framesDuring(browser, page, async () => {
    for (let i = 0; i < MOVES; i++) await move(i);
    await Promise.all(moves);
  });
}

/** What Chromium draws while something goes on in a page, read off its trace. */
export async function framesDuring(browser: Browser, page: Page, work: () => Promise<unknown>): Promise<Frames> {
  await browser.startTracing(page, {
    categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline.frame', 'cc'],
  });
  await work();
  const trace = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: TraceEvent[] };
  const drawn = ordered(
    trace.traceEvents.filter((event) => event.name === 'DrawFrame').map((event) => event.ts / 1000),
  );
  const worked = trace.traceEvents.filter(
    (event) => event.name === 'ProxyMain::BeginMainFrame' && event.dur !== undefined,
  );
  return {
    between: ordered(drawn.slice(1).map((time, i) => time - (drawn[i] ?? time))),
    work: ordered(worked.map((event) => (event.tdur ?? event.dur ?? 0) / 1000)),
  };
}

/** The share of the screen's refreshes, 60 a second, for which no new frame was drawn. */
export function leftOut({ between }: Frames): number {
  const refreshes = between.map((each) => Math.max(1, Math.round(each / FRAME_MS)));
  const all = refreshes.reduce((sum, each) => sum + each, 0);
  return Math.round(((all - refreshes.length) / Math.max(1, all)) * 100);
}

export const share = ({ between }: Frames): number =>
  Math.round((between.filter((each) => each < MOST_MS).length / Math.max(1, between.length)) * 100);

/** What an empty page that follows the pointer gets in the same browser. */
export async function framesOfEmptyPage(browser: Browser): Promise<Frames> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.setContent(EMPTY_PAGE);
  await page.mouse.move(300, 300);
  await page.mouse.down();
  const frames = await framesWhileMoving(browser, page, 300, 300);
  await page.close();
  return frames;
}
