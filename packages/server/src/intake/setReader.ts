import { assetContent } from '../assets/assetModel';
import type { Dependencies } from '../http/dependencies';
import { Failure } from '../http/failure';
import type { ConvertLegacy } from './convert';
import { converter } from './convert';
import { newestRevision, standardAt } from '../standard/standardModel';
import { withoutEnding } from './fileName';
import { lessonsOf } from './lessons';
import type { DrawingReading, DrawingReadings } from './legacyModel';
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

  /**
   * Begins to read a set, or goes on with it; does nothing while it is being read.
   * @returns when the set is read, or its reading was broken off
   */
  async start(id: string): Promise<void> {
    if (this.running.has(id)) return;
    const controller = new AbortController();
    this.running.set(id, controller);
    await this.readAll(id, controller.signal)
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
    // What one drawing was read as is saved while the next one is read.
    let saved: Promise<unknown> = Promise.resolve();
    const open = async (): Promise<Pick<LegacyModel, 'id'>[]> =>
      LegacyModel.query(database)
        .select('id')
        .where({ set_id: id })
        .whereNull('reading')
        .whereNull('refused')
        .orderBy(['name', 'id']);
    for (let left = await open(); left.length > 0; left = await open()) {
      for (const { id: drawing } of left) {
        if (signal.aborted) break;
        const next = await LegacyModel.query(database).findById(drawing);
        // Its set was deleted meanwhile.
        if (!next) return;
        const outcome = await this.outcomeOf(next, by, signal);
        await saved;
        if (!outcome) return;
        // Taken up where it is awaited; until then nobody listens to a failure.
        saved = LegacyModel.query(database).findById(next.id).patch(outcome).execute();
        saved.catch(() => undefined);
      }
      await saved;
      if (signal.aborted) return;
    }
    if (!signal.aborted) await IntakeSetModel.query(database).where({ id, state: 'reading' }).patch({ state: 'read' });
  }

  /** What a drawing was read as, or why it cannot be read; nothing where its reading was broken off, and goes on later. */
  private async outcomeOf(
    drawing: LegacyModel,
    by: Parameters<ConvertLegacy>[2],
    signal: AbortSignal,
  ): Promise<{ reading: DrawingReadings } | { refused: string } | undefined> {
    try {
      const bytes = new Uint8Array(await assetContent(drawing.asset, this.dependencies.database));
      const sheets = await this.readSheets(bytes, withoutEnding(drawing.name), by, drawing.sheet_corrections, signal);
      return { reading: { sheets } };
    } catch (error) {
      if (signal.aborted) return undefined;
      if (error instanceof Failure && error.code !== 'unreadable') {
        // Stopped with the server, or no turn was free: that says nothing about the drawing.
        if (error.code === 'stopped') return undefined;
        throw error;
      }
      // One drawing that cannot be read must not keep the others waiting.
      if (error instanceof Failure)
        return { refused: `${error.where === undefined ? '' : `${error.where}: `}${error.message}` };
      this.dependencies.log.error({ error, drawing: drawing.id }, 'reading a drawing failed');
      return { refused: 'it could not be read, for a reason that lies in the program' };
    }
  }

  /** Every sheet of a file; the first time says which there are. */
  private async readSheets(
    bytes: Uint8Array,
    name: string,
    by: Parameters<ConvertLegacy>[2],
    corrections: LegacyModel['sheet_corrections'],
    signal: AbortSignal,
  ): Promise<DrawingReading[]> {
    const { places, ...first } = await this.convert(
      bytes,
      name,
      { ...by, corrections: corrections['0'] ?? {} },
      signal,
    );
    const readings = [readingOf(first)];
    for (const { space, place, taken } of places.slice(0, MOST_PLACES)) {
      if (taken) continue;
      const own = corrections[String(readings.length)] ?? {};
      try {
        readings.push(
          readingOf(await this.convert(bytes, name, { ...by, corrections: { ...own, space, place } }, signal)),
        );
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
