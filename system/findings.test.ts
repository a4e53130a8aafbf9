import type { DeskRecord, Project, Sheet } from '@mendrel/contract';
import { get, Mendrel, send, until } from './mendrel';

let mendrel: Mendrel;
beforeEach(() => {
  mendrel = new Mendrel().withData();
});
afterEach(() => mendrel.remove());

const looked = (url: string): Promise<DeskRecord> =>
  until('all sheets to be looked at', async () => {
    const desk = (await get(url, '/desk')) as DeskRecord;
    return desk.waiting === 0 ? desk : undefined;
  });

test('sheets are looked at after the start and after a change, and what was found is there after another start', async () => {
  const url = await mendrel.start();
  const { groups, fitting, sheets } = await looked(url);
  expect([groups.length, fitting, sheets]).toEqual([2, 67, 69]);

  const [project] = (await get(url, '/projects')) as Project[];
  const [sheet] = (await get(url, `/projects/${project!.id}/sheets`)) as Sheet[];
  await send(url, 'PATCH', `/sheets/${sheet!.id}`, { size: 'ISO B1', version: sheet!.version });
  const changed = await looked(url);
  expect(changed.groups[0]?.finding.message).toContain('is not made for ISO B1');
  expect(changed.fitting).toBe(66);

  // Stopped in the middle of looking: the standard of all sheets has just become another one.
  const { draft, version } = await get(url, '/standard');
  await send(url, 'PUT', '/standard', { standard: { ...draft, leastHeight: draft.leastHeight + 0.1 }, version });
  expect(await mendrel.end('SIGTERM')).toBe(0);
  const again = await looked(await mendrel.start());
  expect([again.fitting, again.groups.length]).toEqual([66, changed.groups.length]);
});
