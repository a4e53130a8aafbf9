import type { DesignRecord, StandardAdditionRequest, StandardState } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const BOARD = {
  name: 'Site board',
  series: 'Office',
  width: 711.2,
  height: 1041.4,
  unit: 'in',
  roll: false,
  model: 'ASME D',
};
const HEAVY = { id: 'heavy', name: 'Heavy', width: 1.4, colour: '#000000' };

const standard = async (): Promise<StandardState> => (await server.agent.get('/api/standard').expect(200)).body;
const add = (addition: StandardAdditionRequest) => server.agent.post('/api/standard/additions').send(addition);
const design = async (): Promise<DesignRecord> => {
  const { body } = await server.agent.get('/api/designs').expect(200);
  return (await server.agent.get(`/api/designs/${(body as { id: string }[])[0]!.id}`).expect(200)).body;
};

test('a size is added, published and used by the design in one step; other edits of the draft stay unpublished', async () => {
  const before = await standard();
  const [first] = before.draft.pens;
  const edited = {
    ...before.draft,
    pens: before.draft.pens.map((pen) => (pen === first ? { ...pen, width: 0.2 } : pen)),
  };
  await server.agent.put('/api/standard').send({ standard: edited, version: before.version }).expect(200);
  const { id, version } = await design();
  const { body } = await add({ sizes: [BOARD as never], design: id }).expect(200);
  const revision = before.revisions[0]!.number + 1;
  expect(body).toEqual({ revision, published: true });

  const after = await standard();
  expect(after.draft.sizes).toContainEqual(BOARD);
  expect(after.changed).toBe(true);
  expect(after.revisions[0]).toMatchObject({ number: revision, note: 'Adds Site board' });
  const { body: published } = await server.agent.get(`/api/standard/revisions/${revision}`).expect(200);
  expect(published.standard.sizes).toContainEqual(BOARD);
  expect(published.standard.pens[0].width).toBe(first!.width);

  const moved = await design();
  expect(moved).toMatchObject({ standard: revision, version });
  const sizes = [...moved.document.sizes, { size: 'Site board', orientation: 'portrait' }];
  await server.agent
    .put(`/api/designs/${id}`)
    .send({ document: { ...moved.document, sizes }, version: moved.version })
    .expect(200);
});

test('what is there already is not added again, and no revision is published for it', async () => {
  const before = await standard();
  const { body } = await add({ sizes: [{ ...BOARD, width: 100 } as never] }).expect(200);
  expect(body).toMatchObject({ published: false });
  expect((await standard()).draft.sizes).toEqual(before.draft.sizes);
});

test('what is newly typed into the draft is published as it stands there', async () => {
  const { draft, version } = await standard();
  const pens = [...draft.pens, HEAVY];
  await server.agent
    .put('/api/standard')
    .send({ standard: { ...draft, pens }, version })
    .expect(200);
  const { body } = await add({ pens: [{ ...HEAVY, width: 2 }] }).expect(200);
  const { body: published } = await server.agent.get(`/api/standard/revisions/${body.revision}`).expect(200);
  expect(published.standard.pens).toContainEqual(HEAVY);
});

test('what a standard cannot hold, and a design that is not there, change nothing', async () => {
  const before = await standard();
  await add({ sizes: [{ ...BOARD, name: 'ISO A1' } as never] }).expect(400);
  await add({ roles: [{ ...before.draft.roles[0]!, id: 'x', name: 'X', typeface: 'Nobody has this' }] }).expect(400);
  const nobody = '3f1b6a52-0f6a-4d4e-9d11-2a8e7d5c9b00';
  await add({ pens: [{ ...HEAVY, id: 'other', name: 'Other' }], design: nobody }).expect(404);
  expect(await standard()).toEqual(before);
});

test('a save that was under way when the design was moved leaves it there', async () => {
  const { id, version, document, standard: before } = await design();
  const { body: added } = await add({ pens: [{ ...HEAVY, id: 'quay', name: 'Quay' }] }).expect(200);
  expect(added.revision).not.toBe(before);
  // Somebody else has the row: the save has read the design, and waits to write it.
  const mover = await server.database.transaction();
  await mover('designs').where({ id }).update({ standard_revision: added.revision });
  let answered = false;
  const saved = server.agent
    .put(`/api/designs/${id}`)
    .send({ document: { ...document, name: 'Saved meanwhile' }, version })
    .then((answer) => ((answered = true), answer));
  const waiting = "select 1 from pg_stat_activity where wait_event_type = 'Lock' and datname = current_database()";
  while (!answered && (await server.database.raw(waiting)).rows.length === 0);
  expect(answered).toBe(false);
  await mover.commit();
  expect((await saved).status).toBe(200);
  const { body } = await server.agent.get(`/api/designs/${id}`).expect(200);
  expect(body).toMatchObject({
    standard: added.revision,
    version: version + 1,
    document: { name: 'Saved meanwhile' },
  });
});

test('a design for a size as drawn brings the size into the standard, with the frame that it was drawn with', async () => {
  const { document } = await design();
  const before = await standard();
  const drawn = {
    ...document,
    name: 'Old office block',
    sizes: [{ size: '900 x 600 mm', orientation: 'landscape' as const }],
    frame: { ...document.frame, margins: { left: '25 mm', right: '7 mm', top: '7 mm', bottom: '7 mm' } },
  };
  const { body } = await server.agent.post('/api/designs').send({ document: drawn }).expect(201);
  const after = await standard();
  expect(after.draft.sizes).toContainEqual(expect.objectContaining({ name: '900 x 600 mm', width: 900, height: 600 }));
  expect(after.draft.frameRules.find((rule) => rule.sizes.includes('900 x 600 mm'))).toMatchObject({
    name: '900 x 600 mm',
    margins: { left: 25, right: 7, top: 7, bottom: 7 },
  });
  expect(after.revisions[0]!.number).toBe(before.revisions[0]!.number + 1);
  expect((body as DesignRecord).standard).toBe(after.revisions[0]!.number);
  // A second one finds them there.
  await server.agent
    .post('/api/designs')
    .send({ document: { ...drawn, name: 'Another' } })
    .expect(201);
  expect((await standard()).revisions).toHaveLength(after.revisions.length);
});
