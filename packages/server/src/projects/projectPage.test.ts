import type { Project, ProjectPage } from '@mendrel/contract';
import { LONGEST_FIND, PROJECTS_ON_A_PAGE } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

const ADDED = PROJECTS_ON_A_PAGE + 10;

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  const { rows } = await server.database.raw<{ rows: { position: number }[] }>(
    'select max(position) as position from projects',
  );
  await server.database.raw(
    `insert into projects (id, position, values, version)
     select gen_random_uuid(), ?::int + n,
       jsonb_build_object('project.name', 'Quay house ' || n, 'project.number', (7000 + n)::text, 'project.client', 'Äbte & Söhne'), 1
     from generate_series(1, ?::int) as n`,
    [rows[0]!.position, ADDED],
  );
});
afterAll(() => server.stop());

const page = async (search: string): Promise<ProjectPage> =>
  (await server.agent.get(`/api/projects/page${search}`).expect(200)).body;
const names = ({ projects }: ProjectPage): string[] => projects.map(({ name }) => name);

test('projects are told page by page, in their order, with how many there are; together they are all of them', async () => {
  const { body: all } = await server.agent.get('/api/projects').expect(200);
  const first = await page('');
  expect(first).toMatchObject({ count: ADDED + 3, all: ADDED + 3, archived: 0 });
  expect(first.projects).toHaveLength(PROJECTS_ON_A_PAGE);
  expect([...first.projects, ...(await page('?page=1')).projects]).toEqual(all);
  expect((await page('?page=2')).projects).toEqual([]);
});

test('a project is found by parts of its name, its number or its client, whatever their order and capitals', async () => {
  expect(names(await page('?find=FERRY%20bracken'))).toEqual(['Brackenmouth Ferry Terminal']);
  expect(names(await page('?find=7007'))).toEqual(['Quay house 7']);
  expect(await page(`?find=${encodeURIComponent('äbte SÖHNE')}&page=1`)).toMatchObject({
    count: ADDED,
    all: ADDED + 3,
  });
  // Signs that mean something to a pattern mean nothing here.
  expect((await page('?find=%25')).count).toBe(0);
  expect((await page('?find=_')).count).toBe(0);
});

test('projects that are put away are told apart', async () => {
  const [{ id, version }] = (await page('?find=7001')).projects as [Project];
  await server.agent.patch(`/api/projects/${id}`).send({ version, archived: true }).expect(200);
  expect(await page('?find=7001')).toMatchObject({ count: 0, archived: 1 });
  expect(names(await page('?archived=true'))).toEqual(['Quay house 1']);
});

test.each(['?page=-1', '?page=x', `?find=${'x'.repeat(LONGEST_FIND + 1)}`, '?archived=perhaps'])(
  '%s is refused',
  async (search) => {
    await server.agent.get(`/api/projects/page${search}`).expect(400);
  },
);
