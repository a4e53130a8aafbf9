import type { Office, Project } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const office = async (): Promise<Office> => (await server.agent.get('/api/office').expect(200)).body;
const setReplaceable = async (replaceable: string[], status = 200) => {
  const { values, version } = await office();
  return (await server.agent.put('/api/office').send({ values, version, replaceable }).expect(status)).body;
};
const theProject = async (): Promise<Project> => (await server.agent.get('/api/projects').expect(200)).body[0];
const setPhone = async (phone: string | undefined, status = 200) => {
  const { id, values, version } = await theProject();
  const others = Object.fromEntries(Object.entries(values).filter(([key]) => key !== 'office.phone'));
  const changed = phone === undefined ? others : { ...others, 'office.phone': phone };
  return (await server.agent.patch(`/api/projects/${id}`).send({ values: changed, version }).expect(status)).body;
};
const firstSheet = async (): Promise<string> => {
  const [sheet] = (await server.agent.get(`/api/projects/${(await theProject()).id}/sheets`)).body;
  return (await server.agent.get(`/api/sheets/${sheet.id}/sheet.svg`).expect(200)).body.toString();
};

test('a project has a value of its own where the office allows it, and shows the office’s again without', async () => {
  expect((await setPhone('055 0199 001', 400)).where).toBe('values.office.phone');
  await setReplaceable(['office.phone']);
  await setPhone('055 0199 001');
  expect(await firstSheet()).toContain('055 0199 001');
  // What a project has of its own is not taken away behind its back.
  expect((await setReplaceable([], 409)).message).toContain('Brackenmouth Ferry Terminal has a');
  await setPhone(undefined);
  expect(await firstSheet()).toContain('055 0142 880');
  await setReplaceable([]);
});

test('only values of the office can be let go', async () => {
  expect((await setReplaceable(['project.name'], 400)).where).toBe('replaceable');
  expect((await setReplaceable(['office.nothing'], 400)).where).toBe('replaceable');
  expect((await office()).replaceable).toEqual([]);
});
