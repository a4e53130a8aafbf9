import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { IssueCreate } from '@mendrel/contract';
import type { Knex } from 'knex';
import { keepAsset } from '../assets/assetModel';
import { DesignRevisionModel } from '../designs/designModel';
import { createDesign } from '../designs/designRoutes';
import { LegacyModel } from '../intake/legacyModel';
import { OfficeModel } from '../office/officeModel';
import { ProjectModel } from '../projects/projectModel';
import { setKinds } from '../projects/projectKinds';
import { makeIssue } from '../issues/makeIssue';
import { makeRevision } from '../revisions/makeRevision';
import { SheetModel } from '../sheets/sheetModel';
import { SetModel } from '../sets/setModel';
import { writeSheets } from '../sets/projectSetRoutes';
import { coverSheet } from './coverSheet';
import { transmittalSheet } from './transmittalSheet';
import type { TypefaceLibrary } from '../typefaces/typefaceLibrary';
import { perform } from '../work/perform';
import type { Work } from '../work/tasks';
import { seedDrawings } from './drawings/seedDrawings';
import { harbourBlock, quayStrip } from './designs';
import { StandardRevisionModel } from '../standard/standardModel';
import { DEMO_PROJECTS, demoViews, partOf } from './projects';
import { DEMO_STANDARD } from './standard';

const OFFICE_VALUES = {
  'office.name': 'Quillwater Studio',
  'office.address': '4 Netmakers Row, Brackenmouth',
  'office.phone': '055 0142 880',
  'office.email': 'studio@quillwater.example',
  'office.web': 'quillwater.example',
};

const ABBREVIATIONS = [
  ['DPC', 'Damp-proof course'],
  ['FFL', 'Finished floor level'],
  ['HWS', 'High water, spring tide'],
  ['RWP', 'Rainwater pipe'],
  ['SSL', 'Structural slab level'],
  ['TBM', 'Temporary bench mark'],
].map(([sign = '', meaning = '']) => ({ sign, meaning }));

/**
 * Fills an empty database with the demo: a practice, four designs, three projects and the legacy drawings of a folder.
 * A database that holds an office already is left alone.
 */
export async function seedDemo(database: Knex, legacyFolder: string, library: TypefaceLibrary): Promise<void> {
  const issues = await database.transaction(async (transaction): Promise<DemoIssue[]> => {
    // Two servers that start at once must not both seed.
    await transaction.raw('select pg_advisory_xact_lock(4310)');
    if (await OfficeModel.query(transaction).findById(1)) return [];
    const toIssue: DemoIssue[] = [];
    await OfficeModel.query(transaction).insert({
      id: 1,
      values: OFFICE_VALUES,
      tables: { key: ABBREVIATIONS },
      standard: DEMO_STANDARD,
      version: 1,
      standard_version: 1,
    });
    await StandardRevisionModel.query(transaction).insert({
      number: 1,
      note: 'The first standard of the studio',
      document: DEMO_STANDARD,
    });
    const quay = await createDesign(quayStrip(), transaction);
    const harbour = await createDesign(harbourBlock(), transaction);
    const cover = await createDesign(coverSheet(), transaction);
    const transmittal = await createDesign(transmittalSheet(), transaction);
    // The small block has been revised since a project took it.
    const first = { ...harbourBlock('first'), name: harbour.document.name };
    const published = [quay, harbour, cover, transmittal].map((design) => ({
      design_id: design.id,
      number: 1,
      note: 'As the studio has used it so far',
      document: design === harbour ? first : design.document,
      standard_revision: 1,
    }));
    const revised = {
      design_id: harbour.id,
      number: 2,
      note: '180 mm wide, with who checked and the revision',
      document: harbour.document,
      standard_revision: 1,
    };
    for (const each of [...published, revised]) await DesignRevisionModel.query(transaction).insert(each);
    for (const [i, demo] of DEMO_PROJECTS.entries()) {
      const project = await ProjectModel.query(transaction)
        .insert({
          id: randomUUID(),
          position: i + 1,
          design_id: demo.design === 'quay' ? quay.id : harbour.id,
          design_revision: 1,
          standard_revision: 1,
          values: demo.values,
          first_revision: demo.firstRevision,
          device: demo.device ?? null,
          tables: { contacts: demo.contacts },
          version: 1,
        })
        .returning('*');
      if (demo.cover) {
        const own = { kind: 'cover' as const, designId: cover.id, designRevision: 1, size: 'ISO A1' };
        await setKinds(project.id, [own], transaction);
      }
      const shows = await seedDrawings(project.id, demo.values['project.number'] ?? '', transaction);
      const ids = new Map(demo.sheets.map(({ number }) => [number, randomUUID()]));
      for (const sheet of demo.sheets) {
        await SheetModel.query(transaction).insert({
          id: ids.get(sheet.number),
          project_id: project.id,
          number: sheet.number,
          title: sheet.title,
          kind: sheet.kind,
          size: sheet.size,
          values: {
            ...(sheet.drawnBy ? { 'sheet.drawnBy': sheet.drawnBy } : {}),
            'sheet.checkedBy': sheet.checkedBy,
            'sheet.approvedBy': 'LS',
            'sheet.date': demo.date,
            'sheet.status': demo.status,
            ...('project.keyPlan' in demo.values ? { 'sheet.keyPlanPart': partOf(sheet.title) } : {}),
            'sheet.notes': 'Do not scale from this drawing. Check all dimensions on site.',
          },
          views: demoViews(sheet.views).map(shows),
          version: 1,
        });
      }
      for (const { of, ...words } of demo.revisions) {
        const sheets = [...ids].flatMap(([number, id]) => (of(number) ? [id] : []));
        await makeRevision(project, { id: randomUUID(), ...words, code: null, sheets }, transaction);
      }
      for (const [position, { name, purpose, of, due, issue }] of (demo.sets ?? []).entries()) {
        const setId = randomUUID();
        const values = { 'set.name': name, 'set.purpose': purpose };
        await SetModel.query(transaction).insert({
          id: setId,
          project_id: project.id,
          position,
          values,
          due: due ?? null,
          version: 1,
        });
        const members = [...ids].flatMap(([number, id]) => (of(number) ? [id] : []));
        await writeSheets(setId, project.id, members, transaction);
        const goesWith = { designId: transmittal.id, size: 'ISO A4' };
        if (issue)
          toIssue.push({
            project: project.id,
            wish: { id: randomUUID(), purpose, setId, transmittal: goesWith, ...issue },
          });
      }
    }
    if (!existsSync(legacyFolder)) return toIssue;
    for (const file of readdirSync(legacyFolder).sort()) {
      if (!file.endsWith('.dxf')) continue;
      const content = readFileSync(join(legacyFolder, file));
      const asset = await keepAsset('drawing', content, transaction);
      await LegacyModel.query(transaction).insert({ id: randomUUID(), name: file, asset, bytes: content.length });
    }
    return toIssue;
  });
  // Sheets are drawn as they went out, which nothing waits for in the transaction above.
  const work: Work = (kind, task) => Promise.resolve(perform(kind, task, library.typefaces));
  const gone = new AbortController().signal;
  for (const { project, wish } of issues) await makeIssue(project, wish, { database, work, library, gone });
}

/** What is issued once everything else is there. */
interface DemoIssue {
  project: string;
  wish: IssueCreate;
}
