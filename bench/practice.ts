import type { Browser } from '@playwright/test';
import { chromium } from '@playwright/test';
import pg from 'pg';
import type { Sought } from './bareBrowser';
import { BareBrowser } from './bareBrowser';
import { deskOf, lookedAt } from './lookedAt';

const PROJECTS = 300;
const SHEETS = 100;
const LARGE_REGISTER = 5000;
/** What each page and an edit may take, in ms. */
const MOST_PAGE_MS = 1000;
const MOST_EDIT_MS = 100;

/**
 * Projects of the demo, multiplied: their sheets have titles and numbers of their own, and views that are parts of others are
 * so within one copy of the project's sheets.
 */
const FILL = `
  with original as (select *, row_number() over (order by position) - 1 as place from projects),
  added as (
    insert into projects (id, position, design_id, design_revision, standard_revision, values, version)
    select gen_random_uuid(), 100 + n, design_id, design_revision, standard_revision,
      values || jsonb_build_object('project.name', 'Project ' || n, 'project.number', (20000 + n)::text), 1
    from generate_series(1, $1::int) as n join original on place = n % 3
    returning id, position, design_id
  ),
  pattern as (
    select sheets.*, projects.design_id as project_design, row_number() over (partition by projects.design_id order by sheets.number) - 1 as place,
      count(*) over (partition by projects.design_id) as all_there_are
    from sheets join projects on projects.id = sheets.project_id
  )
  insert into sheets (id, project_id, number, title, kind, size, values, views, version)
  select gen_random_uuid(), added.id, 'B-' || (10000 + n), title || ', part ' || n, kind, size, pattern.values,
    regexp_replace(views::text, '"(id|partOf)": "([^"]+)"', '"\\1": "\\2-' || n / all_there_are || '"', 'g')::jsonb, 1
  from added cross join generate_series(1, $2::int) as n
  join pattern on pattern.project_design = added.design_id and pattern.place = n % pattern.all_there_are`;

const median = (times: number[]): number => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

function tell(what: string, times: number[], most: number): void {
  const each = median(times);
  console.log(`${what}: ${(each / most).toFixed(2)} x the ${most} ms it may take`);
  console.log(`    ${Math.round(each)} ms (${Math.round(Math.min(...times))} to ${Math.round(Math.max(...times))})`);
}

/** In the page: how long it takes from the next key until a title stands in its cell and is on screen, in ms. */
function typedCellStands(title: string): { ms: Promise<number> } {
  const stands = (): boolean =>
    [...document.querySelectorAll('[data-field=title]:not(.MuiDataGrid-cell--editing)')].some(
      (cell) => cell.textContent === title,
    );
  const ms = new Promise<number>((resolve) => {
    document.addEventListener(
      'keydown',
      () => {
        const begun = performance.now();
        const look = (): void => {
          // After the frame in which it is there.
          if (stands()) setTimeout(() => resolve(performance.now() - begun));
          else requestAnimationFrame(look);
        };
        requestAnimationFrame(look);
      },
      { once: true, capture: true },
    );
  });
  return { ms };
}

/** A changed lettering role compared on all sheets of the office, and what others wait for meanwhile. */
export async function benchImpact(url: string): Promise<void> {
  const { draft } = (await (await fetch(`${url}/api/standard`)).json()) as {
    draft: { roles: { id: string; height: number }[] };
  };
  const roles = draft.roles.map((role) => (role.id === 'value' ? { ...role, height: role.height * 1.4 } : role));
  const begun = performance.now();
  const comparing = fetch(`${url}/api/standard/impact`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ standard: { ...draft, roles } }),
  }).then(async (answer) => (await answer.json()) as { sheets: { count: number } });
  let [ended, worst] = [false, 0];
  void comparing.finally(() => (ended = true));
  while (!ended) {
    const asked = performance.now();
    await (await fetch(`${url}/api/projects`)).text();
    worst = Math.max(worst, performance.now() - asked);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  const { sheets } = await comparing;
  const seconds = (performance.now() - begun) / 1000;
  console.log(`A changed standard on ${sheets.count} sheets: ${Math.round(sheets.count / seconds)} a second`);
  console.log(`    the list of projects took ${Math.round(worst)} ms at most meanwhile`);
}

/** Desk, list of projects and a large register of an office of 300 projects with 100 sheets each. */
export async function benchPractice(url: string, databaseUrl: string): Promise<void> {
  const database = new pg.Client({ connectionString: databaseUrl });
  await database.connect();
  await database.query(FILL, [PROJECTS, SHEETS]);
  await database.query(FILL.replace('n % 3', '0').replaceAll('B-', 'C-'), [1, LARGE_REGISTER]);
  const { rows } = await database.query<{ project_id: string }>(
    'select project_id from sheets group by project_id order by count(*) desc limit 1',
  );
  const [large] = rows;
  await database.end();
  const { sheets } = await deskOf(url);
  const seconds = await lookedAt(url);
  console.log(`All ${sheets} sheets solved, fitted and drawn: ${Math.round(sheets / seconds)} a second`);

  const rounds = 5;
  const repeat = async (work: () => Promise<number>): Promise<number[]> => {
    await work();
    const times: number[] = [];
    for (let i = 0; i < rounds; i++) times.push(await work());
    return times;
  };
  const register = `${url}/projects/${large?.project_id}/register`;
  const firstRow = { selector: '[role="gridcell"][data-field="number"]', words: 'C-10001' };
  for (const [what, sought] of [
    ['The Desk', { address: `${url}/desk`, selector: 'h2', words: 'To do' }],
    ['The list of projects', { address: `${url}/projects`, selector: 'main a', words: 'Project 1' }],
    [`A register of ${LARGE_REGISTER} sheets by its address`, { address: register, ...firstRow }],
    [
      'The same register from the list of projects',
      { address: `${url}/projects`, through: `main a[href*="${large?.project_id}"]`, ...firstRow },
    ],
  ] satisfies [string, Sought][]) {
    // One of its own for each, so that the first visit is one.
    const bare = await BareBrowser.start();
    const first = await bare.opened(sought);
    // A browser keeps what it made of code that came a second time, and uses it from the third time on.
    await bare.opened(sought);
    tell(what, await repeat(() => bare.opened(sought)), MOST_PAGE_MS);
    console.log(`    ${Math.round(first)} ms when a browser first comes there`);
    await bare.close();
  }

  const browser: Browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(register);
  await page.getByText('C-10001').first().waitFor();
  let edits = 0;
  tell(
    `An edit in a register of ${LARGE_REGISTER} sheets`,
    await repeat(async () => {
      // Another sheet each time, until its cell stands as it was typed: what is said of the one before may still be there.
      const row = page.getByRole('row').filter({ has: page.getByText(`C-${10_001 + ++edits}`, { exact: true }) });
      await row.locator('[data-field=title]').dblclick();
      const title = `Edited ${edits}`;
      await page.keyboard.press('Control+A');
      await page.keyboard.type(title);
      const took = await page.evaluateHandle(typedCellStands, title);
      await page.keyboard.press('Enter');
      return took.evaluate(({ ms }) => ms);
    }),
    MOST_EDIT_MS,
  );
  await browser.close();
}
