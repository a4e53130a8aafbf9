import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { Knex } from 'knex';
import design1 from '../../../core/src/design/fixtures/design-1.json';
import design2 from '../../../core/src/design/fixtures/design-2.json';
import standard2 from '../../../core/src/standard/fixtures/standard-2.json';
import { RED_PNG } from '../../../formats/src/testing/image';
import standard1 from './standard-1.json';

/** What stands in a database that an earlier version has filled. */
export interface Filled {
  design: string;
  project: string;
  sheet: string;
  drawing: string;
  /** From the second version on. */
  typeface?: string;
}

export const DRAWING = readFileSync('demo/legacy/strip-arch-d.dxf');
export const FONT = readFileSync('packages/fonts/ttf/PublicSans-Regular.ttf');
/** Of 4 by 2 pixels. */
export const PICTURE = Buffer.from(RED_PNG, 'base64');

const picture = {
  kind: 'picture',
  id: 'old-picture',
  name: 'Mark',
  horizontal: 'centre',
  vertical: 'middle',
  rotation: 0,
  width: 4,
  height: 2,
  linework: [],
  image: { type: 'png', data: PICTURE.toString('base64'), columns: 4, rows: 2 },
};

/** Puts the picture into the first cell that holds contents, at whatever depth. */
function pictured(value: unknown): unknown {
  let done = false;
  const walk = (each: unknown): unknown => {
    if (Array.isArray(each)) return each.map(walk);
    if (typeof each !== 'object' || each === null) return each;
    return Object.fromEntries(
      Object.entries(each).map(([key, inner]) => {
        if (key === 'contents' && Array.isArray(inner) && !done) {
          done = true;
          return [key, [...(inner as unknown[]), picture]];
        }
        return [key, walk(inner)];
      }),
    );
  };
  return walk(value);
}

/** A set and an issue of it. */
async function fillIssue({ project, sheet }: Filled, database: Knex): Promise<void> {
  const [set, issue] = [randomUUID(), randomUUID()];
  const values = JSON.stringify({ 'set.name': 'Old set' });
  await database('sets').insert({ id: set, project_id: project, position: 1, values });
  await database('set_sheets').insert({ set_id: set, sheet_id: sheet, position: 0 });
  await database('frozen').insert([
    { sha256: 'shared', content: Buffer.of(1) },
    { sha256: 'own', content: Buffer.of(2) },
  ]);
  await database('issues').insert({
    id: issue,
    project_id: project,
    number: 1,
    date: '2031-04-02',
    purpose: 'Tender',
    set: 'Old set',
    recipient: '',
    recipients: '[]',
    remarks: '',
  });
  await database('issue_sheets').insert({
    issue_id: issue,
    position: 0,
    sheet_id: sheet,
    number: 'A-101',
    title: 'Old plan',
    size: 'ISO A1',
    revision: 'A',
    shared: 'shared',
    own: 'own',
  });
}

/**
 * Fills a database as the version did whose last migration is number `version`: with the tables, the columns and the documents
 * of its time, all of them. A new migration that changes how something is stored adds a line here, and changes none.
 */
export async function fill(database: Knex, version: number): Promise<Filled> {
  const filled: Filled = { design: randomUUID(), project: randomUUID(), sheet: randomUUID(), drawing: randomUUID() };
  const json = (value: unknown): string => JSON.stringify(value);
  const standard = version < 2 ? standard1 : standard2;
  const document = version < 3 ? design1 : version < 12 ? pictured(design2) : design2;
  await database('office').insert({ id: 1, values: json({ 'office.name': 'Old office' }), standard: json(standard) });
  await database('designs').insert({ id: filled.design, name: 'Old strip', document: json(document) });
  await database('projects').insert({
    id: filled.project,
    position: 1,
    design_id: filled.design,
    values: json({ 'project.name': 'Old project' }),
  });
  await database('sheets').insert({
    id: filled.sheet,
    project_id: filled.project,
    number: 'A-101',
    title: 'Old plan',
    kind: 'plan',
    size: design1.sizes[0]!.size,
    values: json({ 'sheet.drawnBy': 'MO' }),
    views: json([]),
  });
  const asset = async (type: string, content: Buffer): Promise<object> => {
    if (version < 12) return { content };
    const { rows } = await database.raw<{ rows: { sha256: string }[] }>(
      `insert into assets (sha256, type, bytes, content) select encode(sha256(file), 'hex'), ?, length(file), file
       from (select ?::bytea as file) as sent on conflict (sha256) do update set used_at = now() returning sha256`,
      [type, content],
    );
    return { asset: rows[0]?.sha256 };
  };
  // Two drawings of one file, as an office has them.
  for (const [i, id] of [filled.drawing, randomUUID()].entries())
    await database('legacy_drawings').insert({
      id,
      name: `old-${i}.dxf`,
      bytes: DRAWING.length,
      ...(await asset('drawing', DRAWING)),
    });
  if (version >= 2) {
    await database('standard_revisions').insert({ number: 1, note: 'Old', document: json(standard) });
    filled.typeface = randomUUID();
    const file = await asset('typeface', FONT);
    await database('typefaces').insert({ id: filled.typeface, name: 'Old Sans', licence: 'OFL', ...file });
    await database('designs').update({ standard_revision: 1 });
  }
  if (version >= 3) {
    await database('design_revisions').insert({
      design_id: filled.design,
      number: 1,
      note: 'Old',
      document: json(document),
      standard_revision: 1,
    });
    await database('design_checkpoints').insert({
      id: randomUUID(),
      design_id: filled.design,
      name: 'Old state',
      document: json(document),
    });
    await database('projects').update({ design_revision: 1, standard_revision: 1 });
  }
  if (version >= 6)
    await database('intake_lessons').insert({ kind: 'caption', sign: 'old caption', answer: 'sheet.title' });
  if (version >= 16) {
    const revision = randomUUID();
    await database('revisions').insert({
      id: revision,
      project_id: filled.project,
      position: 1,
      date: '2031-04-02',
      description: 'Old revision',
      by: 'MO',
      checked: '',
    });
    await database('sheet_revisions').insert({
      revision_id: revision,
      sheet_id: filled.sheet,
      code: 'A',
      state: 'as it was',
    });
  }
  if (version >= 17)
    await database('project_kinds').insert({ project_id: filled.project, kind: 'plan', design_id: filled.design });
  if (version >= 18) await fillIssue(filled, database);
  if (version >= 19) {
    await database('projects').update({
      numbering: json({ pattern: '{sequence}', disciplines: [], zones: [], digits: 3 }),
      file_names: '{sheet.number}',
    });
    await database('sheets').update({ title: 'Older plan' });
  }
  if (version >= 20)
    await database('bin').insert({ id: randomUUID(), kind: 'sheets', name: 'Old sheet', content: json([]) });
  if (version >= 21) {
    await database('sheets').update({ design_id: filled.design });
    await database('sheet_places').insert({ sheet_id: filled.sheet, project_id: filled.project, place: 0 });
    await database('project_kinds').update({ modules: json({ columns: 6, rows: 4 }) });
    await database('office').update({ sheet_kinds: json([{ name: 'Fire', figure: 7 }]) });
  }
  if (version >= 24)
    await database('waiting_views').insert({ project_id: filled.project, id: 'old', view: json({ id: 'old' }) });
  return filled;
}
