import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import { planSheet } from './densePlan';
import { at, framesOfEmptyPage, framesWhileMoving, framesWhileTurning, MOST_MS, share } from './frames';
import type { Frames } from './frames';

/** A plan of this size has some 210,000 lines. */
const MEGABYTES = 25;
/** Steps of a fourth closer each, from a whole sheet to where a bitmap of it would be coarse. */
const CLOSER = 9;

/** A project with one sheet, and on it a view of a plan of so many lines. @returns the project's id */
async function projectWithPlan(url: string): Promise<string> {
  const sent = async <T>(path: string, method: string, body: unknown): Promise<T> => {
    const form = body instanceof FormData;
    const answer = await fetch(`${url}/api${path}`, {
      method,
      ...(form ? {} : { headers: { 'content-type': 'application/json' } }),
      body: form ? body : JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
    return (await answer.json()) as T;
  };
  const designs = (await (await fetch(`${url}/api/designs`)).json()) as { id: string; name: string }[];
  const design = designs.find(({ name }) => name === 'Quay strip');
  const { id } = await sent<{ id: string }>('/projects', 'POST', { name: 'Measured plan', designId: design?.id });
  const file = new FormData();
  file.append('file', new Blob([planSheet(MEGABYTES) as Uint8Array<ArrayBuffer>]), 'plan.dxf');
  const { spaces } = await sent<{ spaces: { linework: string }[] }>(`/projects/${id}/drawings`, 'POST', file);
  const added = [{ id: randomUUID(), number: 'M-1', title: 'Plan', kind: 'plan', size: 'ISO A1', values: {} }];
  const { sheets } = await sent<{ sheets: { id: string; version: number }[] }>(
    `/projects/${id}/sheet-changes`,
    'POST',
    { changes: [], added },
  );
  const [sheet] = sheets;
  const drawing = { linework: spaces[0]?.linework, name: 'plan.dxf', unit: 1, x: 30, y: 100 };
  const view = { id: 'plan', name: 'Plan', realWidth: 580, realHeight: 440, scale: '1:1', module: 'A1', drawing };
  await sent(`/sheets/${sheet?.id}`, 'PATCH', { views: [view], version: sheet?.version });
  return id;
}

function tell(what: string, frames: Frames, empty: Frames): void {
  const words = ({ between }: Frames): string =>
    `median ${at(between, 0.5).toFixed(1)} ms, 95 % ${at(between, 0.95).toFixed(1)} ms`;
  console.log(
    `Frames within ${MOST_MS} ms while ${what}: ${(share(frames) / share(empty)).toFixed(2)} x the share of the empty page`,
  );
  console.log(
    `    ours ${share(frames)} % (${words(frames)}), the empty page ${share(empty)} % (${words(empty)}); drawn without a graphics card`,
  );
}

/** Moving a sheet with a plan of 200,000 lines on it and looking at it from nearer, and moving the plan on its sheet, seen as a whole and closely. */
export async function benchViewFrames(url: string): Promise<void> {
  const project = await projectWithPlan(url);
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${url}/projects/${project}/arrange`);
    const paper = page.getByRole('application');
    await paper.locator('image[href^="blob:"]').waitFor();
    const empty = await framesOfEmptyPage(browser);
    const box = await paper.boundingBox();
    if (!box) throw new Error('there is no paper');
    const moved = async (x: number, y: number): Promise<Frames> => {
      await page.mouse.move(x, y);
      await page.mouse.down();
      const frames = await framesWhileMoving(browser, page, x, y);
      await page.mouse.up();
      return frames;
    };
    const [middle, edge] = [box.x + box.width / 2, box.y + box.height - 20];
    tell('a plan of 200,000 lines is moved on its sheet', await moved(middle, box.y + box.height / 2), empty);
    tell('the sheet with it is moved', await moved(middle, edge), empty);
    tell('it is looked at from nearer and farther', await framesWhileTurning(browser, page, middle, edge), empty);
    await paper.focus();
    for (let i = 0; i < CLOSER; i++) await page.keyboard.press('+');
    // Seen closely it is the picture itself again.
    await paper.locator('image[href*="picture.svg"]').waitFor();
    tell('the plan is moved on its sheet, seen closely', await moved(middle, edge), empty);
  } finally {
    await browser.close();
    await fetch(`${url}/api/projects/${project}`, { method: 'DELETE' });
  }
}
