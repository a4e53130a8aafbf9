import {
  MOST_STARTER_DESIGNS,
  publishStandardSchema,
  standardAdditionSchema,
  standardChangeSchema,
  standardImpactSchema,
} from '@mendrel/contract';
import type {
  ImpactProgress,
  ParameterUse,
  StandardAdded,
  StandardAt,
  StandardImpact,
  StandardState,
} from '@mendrel/contract';
import type { OfficeStandard, SheetLayout } from '@mendrel/core';
import {
  LayoutError,
  composeSheet,
  emPerCapital,
  officeStandardSchema,
  readStandard,
  solveDesign,
  specimenSheet,
  standardDifference,
} from '@mendrel/core';
import type { StarterBlock } from '@mendrel/formats/dxf';
import { writeStarterDrawing } from '@mendrel/formats/dxf';
import { writePdf } from '@mendrel/formats/pdf';
import { Router } from 'express';
import type { Request } from 'express';
import { z } from 'zod';
import type { Knex } from 'knex';
import { designAt, DesignModel, newestDesignRevision } from '../designs/designModel';
import type { Dependencies } from '../http/dependencies';
import { Followed } from '../http/followed';
import { attach, fontFileOf, goneSignal, safeName } from '../http/files';
import { conflict, Failure, notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { officeForChange, officeForRenaming, OfficeModel, theOffice } from '../office/officeModel';
import { standardImpact } from './standardImpact';
import { addToStandard } from './additions';
import { newestRevision, standardAt, StandardRevisionModel } from './standardModel';
import { followRenames } from './renames';
import { parameterUses, refuseRemovedInUse } from './standardUse';

const MOST_REVISIONS = 1000;

async function stateOf(database: Knex): Promise<StandardState> {
  const office = await theOffice(database);
  const revisions = await StandardRevisionModel.query(database)
    .select('number', 'note', 'published_at')
    .orderBy('number', 'desc')
    .limit(MOST_REVISIONS);
  const [newest] = revisions;
  const last = newest && (await StandardRevisionModel.query(database).findById(newest.number));
  return {
    draft: office.standard,
    version: office.standard_version,
    changed: !last || standardDifference(last.document, office.standard).length > 0,
    revisions: revisions.map(({ number, note, published_at }) => ({
      number,
      note,
      publishedAt: published_at.toISOString(),
    })),
  };
}

/** The revision that a route or a query names: a number, or `draft`. */
function numberIn(text: unknown): number | null {
  if (text === undefined || text === 'draft') return null;
  const number = typeof text === 'string' && /^\d{1,6}$/.test(text) ? Number(text) : 0;
  if (number < 1) throw new Failure('not-found', 'a revision of the standard is a number, or draft', 'revision');
  return number;
}

const asked = (request: Request): number | null => numberIn(request.query['revision']);

export function standardRoutes({ database, library, work }: Dependencies): Router {
  const router = Router();
  const comparisons = new Followed<ImpactProgress>({ done: 0, all: 0 });

  /** Refuses roles in typefaces that are not available: nothing could be drawn with them. */
  const checkTypefaces = (standard: OfficeStandard): void => {
    for (const table of ['roles', 'dimensions'] as const) {
      standard[table].forEach(({ name, typeface }, i) => {
        if (!library.has(typeface)) {
          throw new Failure(
            'invalid',
            `${name}: the typeface "${typeface}" is not here; upload it or choose another`,
            `${table}.${i}.typeface`,
          );
        }
      });
    }
  };

  router.get(
    '/standard',
    answers(() => stateOf(database)),
  );
  router.put(
    '/standard',
    answers(async (request) => {
      const { standard: json, version } = bodyOf(request, standardChangeSchema);
      const standard = readStandard(json);
      checkTypefaces(standard);
      return database.transaction(async (transaction) => {
        const { standard: before, standard_version } = await officeForRenaming(transaction);
        if (standard_version !== version) throw conflict('standard');
        await OfficeModel.query(transaction)
          .findById(1)
          .patch({ standard, standard_version: version + 1 });
        await refuseRemovedInUse(before, standard, transaction);
        await followRenames(before, standard, transaction);
        return stateOf(transaction);
      });
    }),
  );
  router.post(
    '/standard/impact',
    answers(async (request, response): Promise<StandardImpact> => {
      const { standard, following } = bodyOf(request, standardImpactSchema);
      const after = readStandard(standard);
      checkTypefaces(after);
      const { standard: before } = await theOffice(database);
      const signal = goneSignal(response);
      return comparisons.follow(following, (tell) => standardImpact(before, after, { database, work, tell, signal }));
    }),
  );
  router.get(
    '/standard/impact/:id',
    answers((request) => Promise.resolve({ progress: comparisons.at(idOf(request, 'comparison')) ?? null })),
  );
  router.get(
    '/standard/parameter-uses',
    answers(async (): Promise<ParameterUse[]> => parameterUses((await theOffice(database)).standard, database)),
  );
  router.post(
    '/standard/additions',
    answers(async (request): Promise<StandardAdded> => {
      const { design, ...added } = bodyOf(request, standardAdditionSchema);
      return database.transaction(async (transaction) => {
        const before = await newestRevision(transaction);
        const revision = await addToStandard(added, transaction);
        checkTypefaces(await standardAt(null, transaction));
        if (design !== undefined) {
          // What is drawn there is not edited by this, so that whoever is just saving it meets no conflict.
          const change = { standard_revision: revision, updated_at: new Date() };
          if ((await DesignModel.query(transaction).findById(design).patch(change)) === 0) throw notFound('design');
        }
        return { revision, published: revision !== before };
      });
    }),
  );
  router.post(
    '/standard/revisions',
    answers(async (request) => {
      const { note, version } = bodyOf(request, publishStandardSchema);
      return database.transaction(async (transaction) => {
        // Held until the end, so that two who publish at once do not take the same number.
        const office = await officeForChange(transaction);
        if (office.standard_version !== version) throw conflict('standard');
        const last = await StandardRevisionModel.query(transaction).orderBy('number', 'desc').first();
        if (last && standardDifference(last.document, office.standard).length === 0) {
          // The same wish sent twice, as by an impatient hand, is carried out once.
          if (last.note === note) return stateOf(transaction);
          throw new Failure('invalid', `nothing has changed since revision ${last.number}`, 'note');
        }
        if ((last?.number ?? 0) >= MOST_REVISIONS) {
          throw new Failure('invalid', `a standard has at most ${MOST_REVISIONS} revisions`);
        }
        await StandardRevisionModel.query(transaction).insert({
          number: (last?.number ?? 0) + 1,
          note,
          document: office.standard,
        });
        return stateOf(transaction);
      });
    }, 201),
  );
  router.get(
    '/standard/revisions/:number',
    answers(async (request): Promise<StandardAt> => {
      const number = numberIn(request.params['number']);
      const standard = await standardAt(number, database);
      const published = number === null ? undefined : await StandardRevisionModel.query(database).findById(number);
      return { number, standard, parametersAsPublished: (published?.document ?? standard).parameters };
    }),
  );
  router.get('/standard/schema.json', (_request, response) => {
    attach(response, 'mendrel-standard.schema.json', 'application/schema+json');
    response.send(JSON.stringify(z.toJSONSchema(officeStandardSchema), null, 2));
  });
  router.get('/standard/standard.json', async (request, response) => {
    const standard = await standardAt(asked(request), database);
    attach(response, 'office-standard.json', 'application/json');
    response.send(JSON.stringify(standard, null, 2));
  });
  router.get('/standard/specimen.pdf', async (request, response) => {
    const standard = await standardAt(asked(request), database);
    const { values } = await theOffice(database);
    const name = values['office.name'] ?? '';
    const pdf = await writePdf([specimenSheet(standard, name, library.typefaces)], {
      fonts: library.fontFiles,
      emPerCapital: emPerCapital(library.typefaces),
      title: 'Lines and lettering',
      author: name,
    });
    attach(response, 'lines-and-lettering.pdf', 'application/pdf');
    response.send(Buffer.from(pdf));
  });
  router.get('/standard/starter.dxf', async (request, response) => {
    const standard = await standardAt(asked(request), database);
    const { values } = await theOffice(database);
    const designs = await DesignModel.query(database).orderBy('name').limit(MOST_STARTER_DESIGNS);
    const { typefaces } = library;
    const blocks: StarterBlock[] = [];
    for (const { id } of designs) {
      // What projects draw with is what is published; a design without a revision goes along as it is.
      const { document } = await designAt(id, await newestDesignRevision(id, database), database);
      for (const { size } of document.sizes) {
        const layout = solvedOrNot(() => solveDesign(document, { size, values: {}, standard, typefaces }));
        if (!layout) continue;
        const drawing = composeSheet(document, layout, { standard, typefaces });
        blocks.push({ design: document.name, size, drawing });
      }
    }
    attach(response, `${safeName(`${values['office.name'] ?? 'office'} starter`)}.dxf`, 'application/dxf');
    response.send(writeStarterDrawing(standard, blocks, fontFileOf));
  });
  return router;
}

/** A solution, or nothing for a draft whose formulas do not come out at the moment. */
function solvedOrNot(solve: () => SheetLayout): SheetLayout | undefined {
  try {
    return solve();
  } catch (error) {
    if (error instanceof LayoutError) return undefined;
    throw error;
  }
}
