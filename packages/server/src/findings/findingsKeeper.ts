import { createHash } from 'node:crypto';
import type { Design, Finding, SheetState } from '@mendrel/core';
import { rowsOf, sharedSource, sheetSources } from '@mendrel/core';
import type { Knex } from 'knex';
import type { Logger } from 'pino';
import { databaseFailureOf } from '../http/databaseFailure';
import { theOffice } from '../office/officeModel';
import { projectDesigns } from '../projects/projectDesigns';
import { chosenFor, ProjectModel } from '../projects/projectModel';
import { recordOf, SheetModel, sheetRecords } from '../sheets/sheetModel';
import { standardAt } from '../standard/standardModel';
import type { Work } from '../work/tasks';
import type { KeptFindings, ProjectSummary } from './findingsModel';
import { ProjectFindingsModel, SheetFindingsModel } from './findingsModel';
import type { ProjectStamp } from './stamps';
import { projectStamps } from './stamps';
import { summaryOf } from './summary';

/** Sheets that are drawn in one go. */
const AT_ONCE = 100;

const stateOf = ({ findings, area }: KeptFindings): SheetState => ({ findings, ...(area ? { area } : {}) });

const hash = (...parts: readonly unknown[]): string => {
  const sum = createHash('sha256');
  for (const part of parts) sum.update(JSON.stringify(part)).update('\n');
  return sum.digest('hex');
};

/**
 * Keeps the findings of all sheets, so that the office's state can be read without drawing. What changed is told by stamps, not by
 * those who change it, so that no way of changing something can be forgotten; a sheet is drawn again only when its source is another.
 */
export class FindingsKeeper {
  private running: Promise<void> | undefined;
  private again = false;
  private closed = false;
  /** Projects that are being looked at. */
  private readonly looking = new Map<string, Promise<ReadonlyMap<string, SheetState>>>();

  /**
   * @param on.work does what somebody waits for
   * @param on.whenIdle does what nobody waits for
   * @param on.program tells apart programs that may find different things
   */
  constructor(private readonly on: { database: Knex; work: Work; whenIdle: Work; program: string; log: Logger }) {}

  /** Tells apart programs that may find different things. */
  get program(): string {
    return this.on.program;
  }

  /** Looks at every project of which something has changed; several who ask wait for the same. */
  async refresh(): Promise<void> {
    if (this.running) {
      this.again = true;
      return this.running;
    }
    this.running = (async () => {
      do {
        this.again = false;
        const stale = await this.stale();
        for (const { id, stamp } of stale) {
          if (this.closed) return;
          await this.look(id, this.on.whenIdle).catch(async (error: unknown) => {
            // Without its database nothing is known of the sheets; they are looked at when it is back.
            if (databaseFailureOf(error)) throw error;
            if (!this.closed) await this.keepFailure(id, stamp, error);
          });
        }
        if (stale.length > 0) await this.sweep();
      } while (this.again);
    })().finally(() => (this.running = undefined));
    return this.running;
  }

  /** Projects whose findings are not those of today. */
  async stale(): Promise<ProjectStamp[]> {
    const { database, program } = this.on;
    const kept = await ProjectFindingsModel.query(database).select('project_id', 'stamp');
    const known = new Map(kept.map((row) => [row.project_id, row.stamp]));
    return (await projectStamps(database, program)).filter(({ id, stamp }) => known.get(id) !== stamp);
  }

  /**
   * Looks at one project: draws the sheets whose source is another than before, and tells all together.
   * Whoever else looks at it meanwhile waits, and then finds nothing left to draw.
   * @returns what has to be mended on each sheet, by its id
   */
  async look(projectId: string, work: Work = this.on.work): Promise<ReadonlyMap<string, SheetState>> {
    const before = this.looking.get(projectId);
    const now = (before ?? Promise.resolve()).then(
      () => this.lookNow(projectId, work),
      () => this.lookNow(projectId, work),
    );
    this.looking.set(projectId, now);
    try {
      return await now;
    } finally {
      if (this.looking.get(projectId) === now) this.looking.delete(projectId);
    }
  }

  private async lookNow(projectId: string, work: Work): Promise<ReadonlyMap<string, SheetState>> {
    const { database, program } = this.on;
    const read = await database.transaction(
      async (transaction) => {
        // Stamp and sources as they are at the same moment.
        const [known] = await projectStamps(transaction, program, projectId);
        const project = await ProjectModel.query(transaction).findById(projectId);
        if (!known || !project) return undefined;
        const designs = await projectDesigns(project, transaction);
        if (!designs) return undefined;
        const office = await theOffice(transaction);
        const typefaces = await transaction('typefaces').select('id').orderBy('id');
        const sheets = await sheetRecords(projectId, transaction);
        const of = {
          design: designs.usual.document,
          standard: await standardAt(project.standard_revision, transaction),
          office: office.values,
          project: project.values,
          ...chosenFor(project),
          tables: rowsOf(office.tables, project.tables),
        };
        const records = sheets.map(recordOf);
        const sources = sheetSources(of, records, (index) => designs.of(sheets[index]!).document);
        const kept = await transaction<KeptFindings>('sheet_findings').whereIn(
          'sheet_id',
          transaction('sheets').select('id').where({ project_id: projectId }),
        );
        return { stamp: known.stamp, designs, sources, sheets, kept, typefaces };
      },
      { isolationLevel: 'repeatable read', readOnly: true },
    );
    if (!read) return new Map();
    const { stamp, designs, sources, sheets, kept, typefaces } = read;
    const known = new Map(kept.map((row) => [row.sheet_id, row]));
    // What sheets of one design share is summed once for all of them.
    const shared = new Map<Design, string>();
    const hashes = sources.map((source) => {
      const { design, sheet, position } = source;
      const sum = shared.get(design) ?? hash(program, typefaces, sharedSource(source));
      shared.set(design, sum);
      return hash(sum, sheet, position.index, position.count);
    });
    const found = new Map<string, SheetState>();
    const other = sheets.flatMap((sheet, index) => {
      const before = known.get(sheet.id);
      if (!before || before.source !== hashes[index]) return [{ sheet, index }];
      found.set(sheet.id, stateOf(before));
      return [];
    });
    // What was found is stored while the next sheets are drawn.
    let stored: Promise<unknown> = Promise.resolve();
    for (const design of shared.keys()) {
      const alike = other.filter(({ index }) => sources[index]?.design === design);
      for (let from = 0; from < alike.length; from += AT_ONCE) {
        const part = alike.slice(from, from + AT_ONCE);
        const source = sharedSource(sources[part[0]!.index]!);
        const records = part.map(({ index }) => ({ sheet: sources[index]!.sheet, index }));
        const results = await work('findings', { source, sheets: records, count: sheets.length });
        const rows = part.map(({ sheet, index }, i) => {
          found.set(sheet.id, results[i]!);
          const { findings, area } = results[i]!;
          return { sheet_id: sheet.id, source: hashes[index]!, findings, area: area ?? null };
        });
        await stored;
        stored = SheetFindingsModel.query(database).insert(rows).onConflict('sheet_id').merge().execute();
        stored.catch(() => undefined);
      }
    }
    await stored;
    const summary = summaryOf(
      sheets.map((sheet) => {
        const { id, revision } = designs.of(sheet);
        return {
          id: sheet.id,
          number: sheet.number,
          design: { id, revision },
          findings: found.get(sheet.id)?.findings ?? [],
        };
      }),
    );
    await this.keepSummary(projectId, stamp, summary);
    return found;
  }

  /** What has to be mended on each sheet of a project as it is now, and its drawing area, by its id. */
  async ofProject(projectId: string): Promise<ReadonlyMap<string, SheetState>> {
    const { database, program } = this.on;
    const [today] = await projectStamps(database, program, projectId);
    if (!today) return new Map();
    const kept = await ProjectFindingsModel.query(database).select('stamp').findById(projectId);
    if (kept?.stamp !== today.stamp) return this.look(projectId);
    const rows = await database<KeptFindings>('sheet_findings').whereIn(
      'sheet_id',
      database('sheets').select('id').where({ project_id: projectId }),
    );
    return new Map(rows.map((row) => [row.sheet_id, stateOf(row)]));
  }

  /** Ends what is under way, and waits for it. */
  async close(): Promise<void> {
    this.closed = true;
    await this.running?.catch(() => undefined);
  }

  private async keepSummary(projectId: string, stamp: string, summary: ProjectSummary): Promise<void> {
    await ProjectFindingsModel.query(this.on.database)
      .insert({ project_id: projectId, stamp, summary })
      .onConflict('project_id')
      .merge();
  }

  /** A project that cannot be looked at says so, and is not tried again until something of it changes. */
  private async keepFailure(id: string, stamp: string, error: unknown): Promise<void> {
    const { log, database } = this.on;
    log.error({ err: error, project: id }, 'the sheets of a project could not be looked at');
    const sheets = await SheetModel.query(database).where({ project_id: id }).select('id', 'number');
    const finding: Finding = {
      kind: 'unsolved',
      weight: 'error',
      message: 'The sheets could not be checked',
      where: {},
      mend: 'look into the log of the server',
    };
    await this.keepSummary(
      id,
      stamp,
      summaryOf(sheets.map((sheet) => ({ id: sheet.id, number: sheet.number, design: null, findings: [finding] }))),
    );
  }

  /**
   * Removes what is kept of sheets and projects that are gone. They are not tied to each other by foreign keys: keeping findings
   * would hold rows that somebody is just deleting.
   */
  private async sweep(): Promise<void> {
    const { database } = this.on;
    await database.raw('delete from sheet_findings where not exists (select 1 from sheets where id = sheet_id)');
    await database.raw('delete from project_findings where not exists (select 1 from projects where id = project_id)');
  }
}
