import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { lookedAt } from './lookedAt';
import { benchScrolling } from './scrolling';

/** What each piece of work may take, in s. */
const MOST_SECONDS = { paste: 3, impact: 5, issue: 10, answer: 0.2 } as const;
/** Sheets of the set that is issued. */
const ISSUED = 500;
const ROUNDS = 3;

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

  await benchScrolling(url, project, count);
}
