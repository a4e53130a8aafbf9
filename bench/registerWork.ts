import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import pg from 'pg';
import { lookedAt } from './lookedAt';

/** What each piece of work may take, in s. */
const MOST_SECONDS = { paste: 3, impact: 5, issue: 10, answer: 0.2 } as const;
/** Sheets of the set that is issued. */
const ISSUED = 500;
const ROUNDS = 3;
/** How long the register is scrolled, and how far with every frame, in ms and px. */
const SCROLL_MS = 4000;
const SCROLL_STEP = 60;
/** What a frame may take, in ms. */
const MOST_FRAME_MS = 20;

interface Sheet {
  id: string;
  title: string;
  version: number;
  values: Record<string, string>;
}

async function sent<T>(url: string, method: 'GET' | 'POST' | 'PUT', body?: unknown): Promise<T> {
  const answer = await fetch(url, {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  if (!answer.ok) throw new Error(`${url}: ${await answer.text()}`);
  return (await answer.json()) as T;
}

const median = (times: readonly number[]): number => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

async function seconds(work: () => Promise<unknown>): Promise<number> {
  const begun = performance.now();
  await work();
  return (performance.now() - begun) / 1000;
}

function tell(what: string, times: readonly number[], most: number): void {
  const each = median(times);
  console.log(`${what}: ${(each / most).toFixed(2)} x the ${most} s it may take`);
  console.log(`    ${each.toFixed(2)} s (${times.map((time) => time.toFixed(2)).join(', ')})`);
}

/** Scrolls what it is given with every frame. @returns the times between frames, in ms */
const SCROLL = `(selector) => new Promise((done) => {
  const scroller = document.querySelector(selector);
  const [times, begun] = [[], performance.now()];
  let last;
  const step = (now) => {
    if (last !== undefined) times.push(now - last);
    last = now;
    scroller.scrollTop += ${SCROLL_STEP};
    if (now - begun < ${SCROLL_MS}) requestAnimationFrame(step); else done(times);
  };
  requestAnimationFrame(step);
})`;

async function framesOf(page: Page, selector: string): Promise<number> {
  const times = await page.evaluate<number[]>(`(${SCROLL})(${JSON.stringify(selector)})`);
  return times.filter((time) => time < MOST_FRAME_MS).length / Math.max(1, times.length);
}

/** What is done to a register of thousands of sheets: pasted, looked at with another design, issued, scrolled. */
export async function benchRegisterWork(url: string, databaseUrl: string): Promise<void> {
  const database = new pg.Client({ connectionString: databaseUrl });
  await database.connect();
  const { rows } = await database.query<{ project_id: string; count: string }>(
    'select project_id, count(*) from sheets group by project_id order by count(*) desc limit 1',
  );
  await database.end();
  const project = rows[0]?.project_id ?? '';
  const api = `${url}/api/projects/${project}`;
  const count = Number(rows[0]?.count);

  const paste = async (round: number): Promise<void> => {
    const sheets = await sent<Sheet[]>(`${api}/sheets`, 'GET');
    const changes = sheets.map(({ id, version, values }, i) => ({
      id,
      version,
      title: `Pasted ${round}, ${i}`,
      values: {
        ...values,
        'sheet.drawnBy': `D${round}`,
        'sheet.checkedBy': `C${round}`,
        'sheet.approvedBy': `A${round}`,
        'sheet.status': `Status ${round}`,
        'sheet.notes': `Note ${round} of ${i}`,
      },
    }));
    times.push(await seconds(() => sent(`${api}/sheet-changes`, 'POST', { changes })));
  };
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) await paste(round);
  tell(`Pasting ${count} x 6 cells`, times, MOST_SECONDS.paste);

  // What was pasted is looked at first, which the comparison would wait for.
  await lookedAt(url);
  const designs = await sent<{ id: string; name: string }[]>(`${url}/api/designs`, 'GET');
  const other = designs.find(({ name }) => name === 'Harbour block')!;
  let [looking, worst] = [true, 0];
  const impact = seconds(() => sent(`${api}/swap-impact`, 'POST', { designId: other.id })).finally(
    () => (looking = false),
  );
  while (looking) {
    worst = Math.max(worst, await seconds(() => sent(`${url}/api/office`, 'GET')));
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  tell(`What another design would do to ${count} sheets`, [await impact], MOST_SECONDS.impact);
  tell('    another answer meanwhile, the longest', [worst], MOST_SECONDS.answer);

  const sheets = await sent<Sheet[]>(`${api}/sheets`, 'GET');
  const set = await sent<{ id: string }>(`${api}/sets`, 'POST', {
    values: { 'set.name': 'Measured' },
    sheets: sheets.slice(0, ISSUED).map(({ id }) => id),
  });
  const { values, version } = await sent<{ values: object; version: number }>(`${url}/api/office`, 'GET');
  await sent(`${url}/api/office`, 'PUT', { values, version, issueBlocks: 'nothing' });
  const wish = { setId: set.id, date: '2031-06-01', purpose: 'For information', recipients: [], remarks: '' };
  const issuing: number[] = [];
  for (let round = 0; round < ROUNDS; round++)
    issuing.push(await seconds(() => sent(`${api}/issues`, 'POST', { id: randomUUID(), ...wish, transmittal: null })));
  tell(`Issuing ${ISSUED} sheets`, issuing, MOST_SECONDS.issue);
  await lookedAt(url);

  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.setContent(
      `<div id="list" style="height:600px;overflow:auto">${'<p style="height:46px;margin:0">row</p>'.repeat(count)}</div>`,
    );
    const plain = await framesOf(page, '#list');
    await page.goto(`${url}/projects/${project}/register`);
    await page.getByRole('gridcell').first().waitFor();
    const ours = await framesOf(page, '.MuiDataGrid-virtualScroller');
    const percent = (part: number): number => Math.round(part * 100);
    console.log(
      `Frames within ${MOST_FRAME_MS} ms while a register of ${count} scrolls: ${(ours / plain).toFixed(2)} x the share of a plain list`,
    );
    console.log(`    ours ${percent(ours)} %, a plain list ${percent(plain)} %; drawn without a graphics card`);
  } finally {
    await browser.close();
  }
}
