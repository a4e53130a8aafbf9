import { randomUUID } from 'node:crypto';
import type { DrawingSpace } from '@mendrel/contract';
import { MOST_PROJECT_DRAWINGS } from '@mendrel/contract';
import type { ReadSpace } from '@mendrel/reading';
import type { Transaction } from 'objection';
import { keepAsset } from '../assets/assetModel';
import { Failure, notFound } from '../http/failure';
import { ProjectModel } from '../projects/projectModel';
import { DrawingModel } from './drawingModel';

/** Layers that are listed, and words of why something was left out. */
const MOST_LISTED = 300;

/** What is told of a drawing's parts, their linework kept. */
export async function keptSpaces(spaces: readonly ReadSpace[], transaction: Transaction): Promise<DrawingSpace[]> {
  const kept: DrawingSpace[] = [];
  for (const { name, summary, packed, unit, dropped } of spaces) {
    kept.push({
      name,
      ...summary,
      layers: summary.layers.slice(0, MOST_LISTED),
      linework: await keepAsset('linework', Buffer.from(packed), transaction),
      dropped: dropped.slice(0, MOST_LISTED),
      ...(unit === undefined ? {} : { unit }),
    });
  }
  return kept;
}

/** Keeps a drawing that was read, with the linework of each of its parts. @throws Failure when the project has too many */
export async function addDrawing(
  projectId: string,
  file: { name: string; content: Buffer },
  spaces: readonly ReadSpace[],
  transaction: Transaction,
): Promise<DrawingModel> {
  // Held until the end, so that two at once do not both take the last place.
  const project = await ProjectModel.query(transaction).findById(projectId).forUpdate();
  if (!project) throw notFound('project');
  const count = await DrawingModel.query(transaction).where({ project_id: projectId }).resultSize();
  if (count >= MOST_PROJECT_DRAWINGS)
    throw new Failure(
      'invalid',
      `a project may have ${MOST_PROJECT_DRAWINGS} drawings; delete some that no view shows`,
    );
  return DrawingModel.query(transaction)
    .insert({
      id: randomUUID(),
      project_id: projectId,
      name: file.name,
      asset: await keepAsset('drawing', file.content, transaction),
      bytes: file.content.length,
      spaces: await keptSpaces(spaces, transaction),
    })
    .returning('*');
}
