import { addDrawingSchema, pieceSchema, wholePiece } from '@mendrel/contract';
import type { DrawingRecord, DrawingReplaced, Piece, ReadingRecord } from '@mendrel/contract';
import type { IntakeProgress } from '@mendrel/core';
import { assetSchema, letteringOfViews } from '@mendrel/core';
import type { ReadSpace } from '@mendrel/reading';
import { Router } from 'express';
import type { Request, Response } from 'express';
import type { Knex } from 'knex';
import { AssetModel } from '../assets/assetModel';
import type { Dependencies } from '../http/dependencies';
import { Followed } from '../http/followed';
import { goneSignal } from '../http/files';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, checked, idOf } from '../http/requests';
import { costly } from '../http/costly';
import { fileToRead } from '../http/uploads';
import { resultOf } from '../intake/convert';
import { fileName } from '../intake/fileName';
import { ProjectModel } from '../projects/projectModel';
import { standardAt } from '../standard/standardModel';
import { trayOf } from '../tray/tray';
import { perform } from '../work/perform';
import type { Picture } from '../work/picture';
import { addDrawing } from './addDrawing';
import { asDrawing, DrawingModel } from './drawingModel';
import { FirstPicture } from './firstPicture';
import { replaceDrawing } from './replaceDrawing';
import { pieceFile } from './pieceFile';

/** Packed linework that is drawn at once; larger ones are drawn where they keep nobody waiting. */
const SMALL = 300_000;

/** Numbers of sheets whose views show some part of a drawing. */
async function shownOn({ project_id, spaces }: DrawingModel, database: Knex): Promise<string[]> {
  const { rows } = await database.raw<{ rows: { number: string }[] }>(
    `select number from sheets where project_id = ?
       and exists (select 1 from jsonb_array_elements(views) as view where view #>> '{drawing,linework}' = any(?))
     order by number limit 6`,
    [project_id, spaces.map(({ linework }) => linework)],
  );
  return rows.map(({ number }) => number);
}

/** The name of a view in the tray that shows some part of a drawing. */
async function waitingShown({ project_id, spaces }: DrawingModel, database: Knex): Promise<string | undefined> {
  const shown = new Set(spaces.map(({ linework }) => linework));
  const views = await trayOf(project_id, database);
  return views.find(({ drawing }) => drawing && shown.has(drawing.linework))?.name;
}

function pieceOf(words: unknown): Piece {
  let piece: unknown;
  try {
    piece = typeof words === 'string' ? JSON.parse(words) : undefined;
  } catch {
    throw new Failure('invalid', 'what is to be shown of the drawing is no JSON', 'piece');
  }
  return checked(piece, pieceSchema);
}

/** Drawings that views show: brought, read once, and given out as pictures of what a view shows. */
export function drawingRoutes({ database, read, readSoon, work, library }: Dependencies): Router {
  const router = Router();
  const first = new FirstPicture();
  const readings = new Followed<IntakeProgress>({ step: 'read', part: 0 });

  /** A drawing that was sent, read. Whoever goes away while it is read does not want it any more. */
  const brought = async (
    request: Request,
    response: Response,
  ): Promise<{ file: { name: string; content: Buffer }; spaces: ReadSpace[] }> => {
    const { file } = request;
    if (!file) throw new Failure('invalid', 'no file was sent', 'file');
    const { reading } = bodyOf(request, addDrawingSchema);
    const result = await readings.follow(reading, (tell) =>
      resultOf(read, { kind: 'source', bytes: new Uint8Array(file.buffer) }, goneSignal(response), tell),
    );
    if (!('spaces' in result)) throw new Error('a drawing was asked for, and something else was answered');
    return { file: { name: fileName(file.originalname), content: file.buffer }, spaces: result.spaces };
  };

  router.get(
    '/projects/:id/drawings',
    answers(async (request): Promise<DrawingRecord[]> => {
      const project_id = idOf(request, 'project');
      if (!(await ProjectModel.query(database).findById(project_id))) throw notFound('project');
      const rows = await DrawingModel.query(database).where({ project_id }).orderBy(['added_at', 'name']);
      return rows.map(asDrawing);
    }),
  );
  router.post(
    '/projects/:id/drawings',
    costly(),
    fileToRead(readSoon),
    answers(async (request, response): Promise<DrawingRecord> => {
      const projectId = idOf(request, 'project');
      const project = await ProjectModel.query(database).findById(projectId);
      if (!project) throw notFound('project');
      const { file, spaces } = await brought(request, response);
      const [space] = spaces;
      if (space && space.packed.length > SMALL) {
        const standard = await standardAt(project.standard_revision, database);
        const [packed, piece] = [space.packed, wholePiece(space.summary, letteringOfViews(standard))];
        first.begin(packed, piece, () => work('picture', { packed, piece }));
      }
      return database.transaction(async (transaction) =>
        asDrawing(await addDrawing(projectId, file, spaces, transaction)),
      );
    }, 201),
  );
  router.put(
    '/drawings/:id/file',
    costly(),
    fileToRead(readSoon),
    answers(async (request, response): Promise<DrawingReplaced> => {
      const id = idOf(request, 'drawing');
      if (!(await DrawingModel.query(database).findById(id))) throw notFound('drawing');
      const { file, spaces } = await brought(request, response);
      return database.transaction((transaction) => replaceDrawing(id, file, spaces, transaction, work));
    }),
  );
  router.get(
    '/drawing-readings/:id',
    answers(async (request): Promise<ReadingRecord> => {
      const progress = readings.at(idOf(request, 'reading'));
      return Promise.resolve({ progress: progress ?? null });
    }),
  );
  router.delete(
    '/drawings/:id',
    answers(async (request) =>
      database.transaction(async (transaction) => {
        const row = await DrawingModel.query(transaction).findById(idOf(request, 'drawing')).forUpdate();
        if (!row) throw notFound('drawing');
        const sheets = await shownOn(row, transaction);
        const waiting = await waitingShown(row, transaction);
        if (waiting !== undefined)
          throw new Failure(
            'in-use',
            `${row.name} is shown by ${waiting}, which waits in the tray; take that out of it first`,
          );
        if (sheets.length > 0) {
          const more = sheets.length > 5 ? ' and others' : '';
          throw new Failure(
            'in-use',
            `${row.name} is shown on ${sheets.slice(0, 5).join(', ')}${more}; take it off there first`,
          );
        }
        const project = await ProjectModel.query(transaction).findById(row.project_id);
        if (project?.areas?.sources.some(({ drawing }) => drawing === row.id))
          throw new Failure('in-use', `areas are measured from ${row.name}; remove it under Areas first`);
        await DrawingModel.query(transaction).deleteById(row.id);
        return asDrawing(row);
      }),
    ),
  );
  const pictureOf = async (sha256: string, piece: Piece): Promise<Picture> => {
    const row = await AssetModel.query(database).findById(sha256).where({ type: 'linework' });
    if (!row) throw notFound('drawing');
    const task = { packed: new Uint8Array(row.content), piece };
    return row.content.length <= SMALL ? perform('picture', task, library.typefaces) : work('picture', task);
  };
  router.get('/linework/:sha256/picture.svg', async (request, response) => {
    const sha256 = checked(request.params['sha256'], assetSchema);
    const piece = pieceOf(request.query['piece']);
    const drawn = (await first.take(sha256, piece)) ?? (await pictureOf(sha256, piece));
    // The address says what is there, so it never changes.
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    response.setHeader('Content-Type', 'image/svg+xml');
    response.send(pieceFile(piece, drawn, library.fontFiles));
  });
  return router;
}
