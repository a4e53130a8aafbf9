import { fork } from 'node:child_process';
import { once } from 'node:events';
import pg from 'pg';

const READERS = 50;
const WRITERS = 10;
/** How long each of the two is asked in one turn, in ms, and how many turns there are. */
const TURN = 4000;
const TURNS = 3;
/** Sheets of the project that is read. */
const SHEETS = 100;

interface Sheet {
  id: string;
  version: number;
}

/** Answers in one turn: reads and writes a second. */
async function asked(base: string, project: string, sheets: Sheet[]): Promise<{ reads: number; writes: number }> {
  const end = performance.now() + TURN;
  let [reads, writes] = [0, 0];
  const reader = async (): Promise<void> => {
    while (performance.now() < end) {
      const answer = await fetch(`${base}/projects/${project}/sheets`);
      await answer.text();
      if (!answer.ok) throw new Error(`a reader was answered ${answer.status}`);
      reads++;
    }
  };
  const writer = async (own: Sheet): Promise<void> => {
    while (performance.now() < end) {
      const answer = await fetch(`${base}/sheets/${own.id}`, {
        method: 'PATCH',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ title: `Title ${own.version}`, version: own.version }),
      });
      if (!answer.ok) throw new Error(`a writer was answered ${answer.status}`);
      own.version = ((await answer.json()) as Sheet).version;
      writes++;
    }
  };
  // Each writer has a sheet of its own, as people have who share out a register.
  await Promise.all([...Array.from({ length: READERS }, reader), ...sheets.slice(0, WRITERS).map(writer)]);
  return { reads: (reads * 1000) / TURN, writes: (writes * 1000) / TURN };
}

/** The register's API with 50 who read and 10 who write, against the same as bare SQL in Express. */
export async function benchRegisterApi(url: string, databaseUrl: string): Promise<void> {
  const database = new pg.Client({ connectionString: databaseUrl });
  await database.connect();
  const { rows: projects } = await database.query<{ project_id: string }>(
    'select project_id from sheets group by project_id having count(*) = $1 limit 1',
    [SHEETS],
  );
  const project = projects[0]?.project_id ?? '';
  const { rows: sheets } = await database.query<Sheet>('select id, version from sheets where project_id = $1', [
    project,
  ]);
  await database.end();
  const bare = fork('bench/bareServer.mjs', [], { env: { ...process.env, DATABASE_URL: databaseUrl } });
  const [{ port }] = (await once(bare, 'message')) as [{ port: number }];
  const ours = { reads: 0, writes: 0 };
  const theirs = { reads: 0, writes: 0 };
  // A turn that does not count: both have been running for a while where they are used.
  for (let turn = -1; turn < TURNS; turn++) {
    for (const [base, sum] of [
      [`${url}/api`, ours],
      [`http://127.0.0.1:${port}`, theirs],
    ] as const) {
      const { reads, writes } = await asked(base, project, sheets);
      if (turn < 0) continue;
      sum.reads += reads / TURNS;
      sum.writes += writes / TURNS;
    }
  }
  bare.kill();
  for (const [what, count] of [
    ['Reading a register of 100 sheets', 'reads'],
    ['Changing one of its sheets', 'writes'],
  ] as const) {
    console.log(
      `${what}, 50 readers and 10 writers: ${(theirs[count] / ours[count]).toFixed(2)} x bare SQL in Express`,
    );
    console.log(`    ours ${Math.round(ours[count])} a second, bare SQL ${Math.round(theirs[count])} a second`);
  }
}
