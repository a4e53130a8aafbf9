import { readStandard } from '@mendrel/core';
import type { OfficeStandard } from '@mendrel/core';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';
import { migrations } from './migrations';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** The settings of figures that stored dimension lettering had not always. */
const SETTINGS = ['fractions', 'precision', 'leadingZeros', 'trailingZeros', 'movedOut'];

test('standards stored before dimensions had settings of their figures get those they were written with', async () => {
  const migration = migrations.find((each) => each.name === '008-dimension-figures');
  if (!migration) throw new Error('the migration is gone');
  const stored = async (): Promise<{ standard: OfficeStandard }> => server.database('office').first('standard');
  const { standard: before } = await stored();
  const revisions = await server.database('standard_revisions').orderBy('number');
  expect(revisions.length).toBeGreaterThan(0);

  await migration.down(server.database);
  const { standard: old } = await stored();
  for (const style of old.dimensions) expect(Object.keys(style)).not.toEqual(expect.arrayContaining(SETTINGS));
  await migration.up(server.database);

  const { standard } = await stored();
  expect(readStandard(standard)).toEqual(before);
  expect(await server.database('standard_revisions').orderBy('number')).toEqual(revisions);

  // An office without any dimension lettering keeps its empty table.
  await server.database('office').update({ standard: JSON.stringify({ ...before, dimensions: [] }) });
  await migration.up(server.database);
  expect((await stored()).standard.dimensions).toEqual([]);
});

test('parameters that were stored as yes/no are ticks', async () => {
  const migration = migrations.find((each) => each.name === '009-tick-parameters');
  if (!migration) throw new Error('the migration is gone');
  const stored = async (): Promise<{ standard: OfficeStandard }> => server.database('office').first('standard');
  const { standard: before } = await stored();
  const [first] = before.parameters;
  const old = [{ ...first, kind: 'yes/no' }, ...before.parameters.slice(1)];
  await server.database('office').update({ standard: JSON.stringify({ ...before, parameters: old }) });
  await migration.up(server.database);
  const { standard } = await stored();
  expect(standard.parameters.map((each) => each.kind)).toEqual([
    'tick',
    ...before.parameters.slice(1).map((each) => each.kind),
  ]);
  // A file kept from then says yes/no as well.
  const read = readStandard({ ...before, parameters: old });
  expect(read.parameters[0]).toEqual({ ...first, kind: 'tick' });
});
