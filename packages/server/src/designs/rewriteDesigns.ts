import type { Design } from '@mendrel/core';
import type { Transaction } from 'objection';
import { DesignCheckpointModel, DesignModel, DesignRevisionModel } from './designModel';

/**
 * Rewrites designs, their published revisions and their checkpoints, one at a time: together they may be large.
 * @param rewrite gives the same object back where nothing changes
 */
export async function rewriteDesigns(rewrite: (design: Design) => Design, transaction: Transaction): Promise<void> {
  for (const { id } of await DesignModel.query(transaction).select('id').orderBy('id')) {
    // Held until the end, so that an edit that is saved meanwhile is either seen here or refused by its version.
    const design = await DesignModel.query(transaction).findById(id).forUpdate();
    if (!design) continue;
    const document = rewrite(design.document);
    if (document !== design.document) {
      await DesignModel.query(transaction)
        .findById(id)
        .patch({ document, version: design.version + 1, updated_at: new Date() });
    }
    // A published revision keeps its shape; the names of the data it shows follow, or it would show nothing.
    for (const { number } of await DesignRevisionModel.query(transaction).select('number').where({ design_id: id })) {
      const revision = await DesignRevisionModel.query(transaction).findById([id, number]);
      const now = revision && rewrite(revision.document);
      if (now && now !== revision.document)
        await DesignRevisionModel.query(transaction).findById([id, number]).patch({ document: now });
    }
    for (const kept of await DesignCheckpointModel.query(transaction).select('id').where({ design_id: id })) {
      const checkpoint = await DesignCheckpointModel.query(transaction).findById(kept.id);
      const now = checkpoint && rewrite(checkpoint.document);
      if (now && now !== checkpoint.document)
        await DesignCheckpointModel.query(transaction).findById(kept.id).patch({ document: now });
    }
  }
}
