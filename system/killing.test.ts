import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import type { Issue, IssuedSheet, Office, Project, Sheet, StandardState } from '@mendrel/contract';
import { newParameter } from '@mendrel/core';
import { get, Mendrel, send, until } from './mendrel';

let mendrel: Mendrel;
beforeAll(() => {
  mendrel = new Mendrel().withData();
});
afterAll(() => mendrel.remove());

const postmaster = (): number =>
  Number(readFileSync(join(mendrel.data, 'postgres/postmaster.pid'), 'utf8').split('\n')[0]);
/** Ends the server or the database in the middle of whatever it does. */
const kill = (what: 'server' | 'database'): void => {
  try {
    process.kill(what === 'database' ? postmaster() : (mendrel.processes().server[0] ?? 0), 'SIGKILL');
  } catch {
    // It is just being started again from the last time.
  }
};

const parameter = newParameter({ id: 'zone', key: 'sheet.zone', name: 'Zone' });
const corner = readFileSync('demo/legacy/corner-block-a1.dxf', 'latin1');

/** A set of old drawings that was read and waits to be taken over. */
async function readSet(url: string, sheets: number): Promise<{ id: string; leader: string; drawings: string[] }> {
  const { body: set } = (await send(url, 'POST', '/intake/sets', { name: 'Old set' }))!;
  for (let i = 0; i < sheets; i++) {
    const form = new FormData();
    const text = corner.replace('BFT-A-101', `BFT-A-${101 + i}`);
    form.append('file', new Blob([Buffer.from(text, 'latin1')]), `a${i}.dxf`);
    await fetch(`${url}/api/intake/sets/${set.id}/drawings`, { method: 'POST', body: form });
  }
  await send(url, 'POST', `/intake/sets/${set.id}/read`);
  for (;;) {
    const { state, groups } = await get(url, `/intake/sets/${set.id}`);
    if (state === 'read')
      return {
        id: set.id,
        leader: groups[0].leader,
        drawings: groups[0].sheets.map(({ drawing }: { drawing: string }) => drawing),
      };
  }
}

test('server and database are killed in the middle of everything, and what was answered is there, whole', async () => {
  let url = await mendrel.start();
  const [project, other] = (await get(url, '/projects')) as Project[];
  const sheets = ((await get(url, `/projects/${project!.id}/sheets`)) as Sheet[]).slice(0, 12);
  const designs = (await get(url, '/designs')) as { id: string; name: string }[];
  const { draft, version } = (await get(url, '/standard')) as StandardState;
  const withKey = (key: string, standard = draft) => ({
    ...standard,
    parameters: [...draft.parameters, { ...parameter, key }],
  });
  expect((await send(url, 'PUT', '/standard', { standard: withKey('sheet.zone'), version }))?.status).toBe(200);
  const set = await readSet(url, 12);
  const office = (await get(url, '/office')) as Office;
  const lets = { values: office.values, version: office.version, issueBlocks: 'nothing' };
  expect((await send(url, 'PUT', '/office', lets))?.status).toBe(200);

  /** The newest answered title of each sheet, and those that were sent after it without an answer. */
  const titles = new Map(sheets.map(({ id, title }) => [id, { answered: title, sent: [] as string[] }]));
  const revisions = new Map<string, Set<string>>(designs.map(({ id }) => [id, new Set()]));
  let taken: { projectId: string; sheets: number } | undefined;
  let key = 'sheet.zone';
  const keys = new Set([key]);
  let busy = true;
  let pastedOnce = false;

  const saves = async (sheet: Sheet, n: number): Promise<void> => {
    for (let i = 0; busy; i++) {
      const now = ((await get(url, `/projects/${project!.id}/sheets`)) as Sheet[]).find(({ id }) => id === sheet.id)!;
      const title = `Sheet ${n}, save ${i}`;
      const known = titles.get(sheet.id)!;
      known.sent.push(title);
      const saved = await send(url, 'PATCH', `/sheets/${sheet.id}`, { title, version: now.version });
      if (saved?.status === 200) titles.set(sheet.id, { answered: title, sent: [] });
    }
  };
  const renames = async (): Promise<void> => {
    for (let i = 0; busy; i++) {
      const state = (await get(url, '/standard')) as StandardState;
      const next = `sheet.zone${i}`;
      keys.add(next);
      const renamed = await send(url, 'PUT', '/standard', {
        standard: withKey(next, state.draft),
        version: state.version,
      });
      if (renamed?.status === 200) key = next;
      await wait(20);
    }
  };
  const publishes = async (): Promise<void> => {
    for (let i = 0; busy; i++) {
      for (const { id } of designs) {
        const design = await get(url, `/designs/${id}`);
        const document = { ...design.document, name: `${design.document.name.split(',')[0]}, ${i}` };
        const saved = await send(url, 'PUT', `/designs/${id}`, { document, version: design.version });
        if (saved?.status !== 200) continue;
        const note = `Revision ${i}`;
        const published = await send(url, 'POST', `/designs/${id}/revisions`, { note, version: saved.body.version });
        if (published?.status === 201) revisions.get(id)!.add(note);
      }
    }
  };
  /** A whole register is filled at once, again and again. */
  const pastes = async (): Promise<void> => {
    for (let i = 0; busy; i++) {
      const all = (await get(url, `/projects/${other!.id}/sheets`)) as Sheet[];
      const changes = all.map(({ id, version: from }) => ({ id, version: from, title: `Paste ${i}` }));
      const answer = await send(url, 'POST', `/projects/${other!.id}/sheet-changes`, { changes });
      if (answer?.status === 200) pastedOnce = true;
    }
  };
  const issued = new Set<string>();
  const issues = async (): Promise<void> => {
    while (busy) {
      const id = randomUUID();
      const wish = {
        id,
        date: '2031-04-02',
        purpose: 'Test',
        recipients: [],
        remarks: '',
        setId: null,
        transmittal: null,
      };
      const answer = await send(url, 'POST', `/projects/${other!.id}/issues`, wish);
      if (answer?.status === 201) issued.add(id);
      await wait(200);
    }
  };
  const takesOver = async (): Promise<void> => {
    // The same wish until it is answered.
    while (!taken && busy) {
      const wish = { leader: set.leader, projectName: 'Taken over', drawings: set.drawings };
      const answer = await send(url, 'POST', `/intake/sets/${set.id}/take-over`, wish);
      if (answer?.status === 201) taken = answer.body as typeof taken;
    }
  };

  const work = [...sheets.slice(0, 4).map(saves), renames(), publishes(), pastes(), issues()];
  for (const what of ['server', 'database', 'server', 'database'] as const) {
    await wait(1500);
    if (what === 'server') work.push(takesOver());
    await wait(30);
    kill(what);
    url = await mendrel.ready();
  }
  // However slow the machine is, everybody is answered at least once.
  await until(
    'an answer to each of them',
    () => (pastedOnce && sheets.slice(0, 4).every(({ id }) => titles.get(id)!.answered.includes('save'))) || undefined,
  );
  busy = false;
  await Promise.all(work);
  await takesOverAtLast();

  async function takesOverAtLast(): Promise<void> {
    busy = true;
    await takesOver();
  }

  const now = (await get(url, `/projects/${project!.id}/sheets`)) as Sheet[];
  for (const { id } of sheets.slice(0, 4)) {
    const { answered, sent } = titles.get(id)!;
    // What was sent and never answered may have been saved or not; what was answered is there, or something newer is.
    expect([answered, ...sent]).toContain(now.find((sheet) => sheet.id === id)!.title);
    expect(answered).toMatch(/save/);
  }
  const state = (await get(url, '/standard')) as StandardState;
  const current = state.draft.parameters.find(({ id }) => id === 'zone')!.key;
  expect(keys).toContain(current);
  expect(Number(current.replace(/\D/g, '') || -1)).toBeGreaterThanOrEqual(Number(key.replace(/\D/g, '') || -1));
  for (const { id } of designs) {
    const kept = (await get(url, `/designs/${id}/revisions`)) as { number: number; note: string }[];
    expect(kept.map(({ number }) => number)).toEqual(kept.map((_, i) => kept.length - i));
    const notes = kept.map(({ note }) => note);
    for (const note of revisions.get(id)!) expect(notes.filter((each) => each === note)).toEqual([note]);
  }
  // A paste is there on every sheet, or on none.
  const pasted = (await get(url, `/projects/${other!.id}/sheets`)) as Sheet[];
  expect(pasted).toHaveLength(other!.sheets);
  expect(new Set(pasted.map(({ title }) => title)).size).toBe(1);
  expect(pasted[0]!.title).toMatch(/^Paste/);
  // An issue is there with all its sheets, each of which can be drawn, or not at all; none was made twice.
  const made = (await get(url, `/projects/${other!.id}/issues`)) as Issue[];
  expect(made.map(({ id }) => id)).toEqual(expect.arrayContaining([...issued]));
  expect(made.map(({ number }) => number)).toEqual(made.map((_, i) => made.length - i));
  for (const { id } of made) {
    const kept = (await get(url, `/issues/${id}/sheets`)) as IssuedSheet[];
    expect(kept.map(({ position }) => position)).toEqual(pasted.map((_, i) => i));
    expect((await get(url, `/issues/${id}/sheets/${kept.length - 1}`)).drawing.items.length).toBeGreaterThan(10);
  }
  const projects = ((await get(url, '/projects')) as Project[]).filter(({ name }) => name === 'Taken over');
  expect(projects.map(({ id, sheets: count }) => [id, count])).toEqual([[taken!.projectId, 12]]);
  expect((await get(url, '/designs')).length).toBe(designs.length + 1);
}, 240_000);
