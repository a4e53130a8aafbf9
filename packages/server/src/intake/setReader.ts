import type { Dependencies } from '../http/dependencies';
import { Failure } from '../http/failure';
import type { ConvertLegacy } from './convert';
import { converter } from './convert';
import { newestRevision, standardAt } from '../standard/standardModel';
import { withoutEnding } from './fileName';
import { lessonsOf } from './lessons';
import type { DrawingReading } from './legacyModel';
import { LegacyModel } from './legacyModel';
import { IntakeSetModel } from './setModel';

/**
 * Reads the drawings of sets, one after another, while requests go on. What was read is kept drawing by drawing, so a set
 * goes on where it was when the server stopped.
 */
export class SetReader {
  private readonly running = new Map<string, AbortController>();

  private readonly convert: ConvertLegacy;

  constructor(private readonly dependencies: Pick<Dependencies, 'database' | 'read' | 'log'>) {
    this.convert = converter(dependencies.read);
  }

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
    const { database } = this.dependencies;
    const standard = await standardAt(await newestRevision(database), database);
    const by = { standard, corrections: {}, lessons: await lessonsOf(database) };
    while (!signal.aborted) {
      const next = await LegacyModel.query(database)
        .where({ set_id: id })
        .whereNull('reading')
        .whereNull('refused')
        .orderBy(['name', 'id'])
        .first();
      if (!next) {
        await IntakeSetModel.query(database).where({ id, state: 'reading' }).patch({ state: 'read' });
        return;
      }
      try {
        const bytes = new Uint8Array(next.content);
        const sheets = await this.readSheets(bytes, withoutEnding(next.name), by, signal);
        await LegacyModel.query(database).findById(next.id).patch({ reading: { sheets } });
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

  /** Every sheet of a file; the first time says which there are. */
  private async readSheets(
    bytes: Uint8Array,
    name: string,
    by: Parameters<ConvertLegacy>[2],
    signal: AbortSignal,
  ): Promise<DrawingReading[]> {
    const { places, ...first } = await this.convert(bytes, name, by, signal);
    const readings = [readingOf(first)];
    for (const { space, place, taken } of places.slice(0, MOST_PLACES)) {
      if (taken) continue;
      try {
        readings.push(readingOf(await this.convert(bytes, name, { ...by, corrections: { space, place } }, signal)));
      } catch (error) {
        // A page of notes among sheets is no reason to refuse the sheets.
        if (signal.aborted || !(error instanceof Failure)) throw error;
      }
    }
    return readings;
  }
}

/** Sheets of one file that are read at most. */
const MOST_PLACES = 100;

const readingOf = ({ design, report, values }: DrawingReading): DrawingReading => ({ design, report, values });
