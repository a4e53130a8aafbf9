import type { Dependencies } from '../http/dependencies';
import { Failure } from '../http/failure';
import { newestRevision, standardAt } from '../standard/standardModel';
import { withoutEnding } from './fileName';
import { lessonsOf } from './lessons';
import { LegacyModel } from './legacyModel';
import { IntakeSetModel } from './setModel';

/**
 * Reads the drawings of sets, one after another, while requests go on. What was read is kept drawing by drawing, so a set
 * goes on where it was when the server stopped.
 */
export class SetReader {
  private readonly running = new Map<string, AbortController>();

  constructor(private readonly dependencies: Pick<Dependencies, 'database' | 'convert' | 'log'>) {}

  /** Begins to read a set, or goes on with it; does nothing while it is being read. */
  start(id: string): void {
    if (this.running.has(id)) return;
    const controller = new AbortController();
    this.running.set(id, controller);
    this.readAll(id, controller.signal)
      .catch((error: unknown) => this.dependencies.log.error({ error, set: id }, 'reading a set failed'))
      .finally(() => this.running.delete(id));
  }

  stop(id: string): void {
    this.running.get(id)?.abort();
  }

  private async readAll(id: string, signal: AbortSignal): Promise<void> {
    const { database, convert } = this.dependencies;
    const standard = await standardAt(await newestRevision(database), database);
    const by = { standard, corrections: {}, lessons: await lessonsOf(database) };
    while (!signal.aborted) {
      const next = await LegacyModel.query(database)
        .where({ set_id: id })
        .whereNull('reading')
        .whereNull('refused')
        .orderBy('name')
        .orderBy('id')
        .first();
      if (!next) {
        await IntakeSetModel.query(database).where({ id, state: 'reading' }).patch({ state: 'read' });
        return;
      }
      try {
        const bytes = new Uint8Array(next.content);
        const { design, report, values } = await convert(bytes, withoutEnding(next.name), by, signal);
        await LegacyModel.query(database).findById(next.id).patch({ reading: { design, report, values } });
      } catch (error) {
        if (signal.aborted) return;
        // One drawing that cannot be read must not keep the others waiting.
        const known = error instanceof Failure;
        if (!known) this.dependencies.log.error({ error, drawing: next.id }, 'reading a drawing failed');
        const refused = known
          ? `${error.where === undefined ? '' : `${error.where}: `}${error.message}`
          : 'it could not be read, for a reason that lies in the program';
        await LegacyModel.query(database).findById(next.id).patch({ refused });
      }
    }
  }
}
