import type { StandardState } from '@mendrel/contract';
import { readDesign, readStandard } from '@mendrel/core';
import type { OfficeStandard } from '@mendrel/core';
import pino from 'pino';
import supertest from 'supertest';
import { createApp } from '../app';
import { AssetModel } from '../assets/assetModel';
import { DesignCheckpointModel, DesignModel, DesignRevisionModel } from '../designs/designModel';
import { emptyDatabase, startTestServer, testDependencies } from '../testing/server';
import type { TestServer } from '../testing/server';
import { TypefaceLibrary } from '../typefaces/typefaceLibrary';
import { migrate } from './connection';
import { DRAWING, fill, FONT, PICTURE } from '../testing/filledDatabase';
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
  const read = readStandard({ ...before, version: 2, parameters: old });
  expect(read.parameters[0]).toEqual({ ...first, kind: 'tick' });
});

/** Numbers of the versions before this one, by their last migration. */
const EARLIER = Array.from({ length: migrations.length - 1 }, (_, i) => i + 1);

test.each(EARLIER)('a database that version %i has filled is brought up with everything in it', async (version) => {
  const { database, remove } = await emptyDatabase();
  try {
    await migrate(database, migrations.slice(0, version));
    const filled = await fill(database, version);
    await migrate(database);

    const library = await TypefaceLibrary.load(database);
    const log = pino({ level: 'silent' });
    const agent = supertest(createApp(testDependencies(database, library, log)));
    const { body: project } = await agent.get(`/api/projects/${filled.project}`).expect(200);
    expect(project).toMatchObject({ name: 'Old project', designName: 'Old strip', sheets: 1 });
    const { body: design } = await agent.get(`/api/designs/${filled.design}`).expect(200);
    const { draft } = (await agent.get('/api/standard').expect(200)).body as StandardState;
    expect(readStandard(draft)).toEqual(draft);
    expect(readDesign(design.document)).toEqual(design.document);
    if (version >= 16) {
      const { body: sheets } = await agent.get(`/api/projects/${filled.project}/sheets`).expect(200);
      expect(sheets[0].revisions).toMatchObject([{ code: 'A', description: 'Old revision' }]);
    }
    // What is drawn from it can be handed out.
    const { body: pdf } = await agent.get(`/api/sheets/${filled.sheet}/sheet.pdf`).expect(200);
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    await agent.get(`/api/intake/${filled.drawing}/conversion`).expect(200);
    if (filled.typeface) {
      const font = await agent.get(`/api/typefaces/${filled.typeface}/file`).expect(200);
      expect(Buffer.compare(font.body, FONT)).toBe(0);
    }
    // Files are kept once, and none is left in a document.
    expect(await AssetModel.query(database).where({ type: 'drawing' })).toMatchObject([{ bytes: DRAWING.length }]);
    if (version >= 3 && version < 12) {
      expect(await AssetModel.query(database).where({ type: 'png' })).toMatchObject([{ content: PICTURE }]);
      for (const { document } of [
        ...(await DesignModel.query(database)),
        ...(await DesignRevisionModel.query(database)),
        ...(await DesignCheckpointModel.query(database)),
      ]) {
        expect(JSON.stringify(document)).not.toContain(PICTURE.toString('base64'));
        expect(readDesign(document)).toEqual(document);
      }
    }
  } finally {
    await remove();
  }
});

test('reserved modules of kinds of sheet are called as the office calls them, those in the bin too', async () => {
  const { database, remove } = await emptyDatabase();
  try {
    await migrate(database, migrations.slice(0, 24));
    const { project } = await fill(database, 24);
    const modules = { columns: 6, rows: 4, naming: { from: 'upper-left', by: 'row-column' }, reserved: ['D1'] };
    await database('project_kinds').update({ modules: JSON.stringify(modules) });
    const content = [{ table: 'project_kinds', rows: [{ project_id: project, kind: 'plan', modules }] }];
    await database('bin').update({ content: JSON.stringify(content) });
    await migrate(database);
    const renamed = { ...modules, reserved: ['A1'] };
    expect(await database('project_kinds')).toMatchObject([{ modules: renamed }]);
    expect(await database('bin')).toMatchObject([{ content: [{ rows: [{ modules: renamed }] }] }]);
  } finally {
    await remove();
  }
});

test('the newest migration is taken back and made again with nothing lost', async () => {
  const { database, remove } = await emptyDatabase();
  try {
    await migrate(database, migrations.slice(0, 11));
    await fill(database, 11);
    const tables = ['designs', 'design_revisions', 'design_checkpoints', 'typefaces', 'legacy_drawings'];
    const all = async (): Promise<unknown[]> =>
      Promise.all(
        tables.map((table) =>
          database(table)
            .select('*')
            .orderBy(table === 'design_revisions' ? 'design_id' : 'id'),
        ),
      );
    const before = await all();
    const newest = migrations.find(({ name }) => name === '012-assets');
    await newest?.up(database);
    expect(await all()).not.toEqual(before);
    await newest?.down(database);
    expect(await all()).toEqual(before);
  } finally {
    await remove();
  }
});
