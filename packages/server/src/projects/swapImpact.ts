import type { DesignSwap, DesignSwapImpact } from '@mendrel/contract';
import { MOST_SWAPPED } from '@mendrel/contract';
import type { Design, OfficeStandard } from '@mendrel/core';
import {
  mendedBy,
  newToMend,
  parametersOf,
  placesUsing,
  rankOf,
  rowsOf,
  sharedSource,
  sheetSources,
  swapOf,
} from '@mendrel/core';
import type { Knex } from 'knex';
import type { FindingsKeeper } from '../findings/findingsKeeper';
import { Failure } from '../http/failure';
import { theOffice } from '../office/officeModel';
import { sheetRecords } from '../sheets/sheetModel';
import { standardAt } from '../standard/standardModel';
import type { Work } from '../work/tasks';
import { designsRecord, projectDesigns, swappedDesigns } from './projectDesigns';
import type { ProjectModel } from './projectModel';
import { chosenFor } from './projectModel';

/** Sheets that are compared in one go: between two goes others get their turn. */
const AT_ONCE = 100;

const shownIn = (design: Design, standard: OfficeStandard): string[] =>
  [...parametersOf(standard).values()].flatMap(({ key, name }) => (placesUsing(design, key) > 0 ? [name] : []));

/**
 * What other designs would do to all sheets of a project that they are for, with the sheets' real values.
 * @param by.gone stops it between two goes
 * @throws Failure when there is no such design, or `stopped` when it was given up
 */
export async function swapImpact(
  project: ProjectModel,
  swap: DesignSwap,
  { database, work, findings, gone }: { database: Knex; work: Work; findings: FindingsKeeper; gone: AbortSignal },
): Promise<DesignSwapImpact> {
  const [now, then] = [await projectDesigns(project, database), await swappedDesigns(project, swap, database)];
  if (!now || !then) throw new Failure('invalid', 'this project has no design yet; choose one first', 'designId');
  const sheets = await sheetRecords(project.id, database);
  const [office, standard] = [await theOffice(database), await standardAt(project.standard_revision, database)];
  const common = {
    standard,
    office: office.values,
    project: project.values,
    ...chosenFor(project),
    tables: rowsOf(office.tables, project.tables),
  };
  const after = sheetSources(
    { ...common, design: then.usual.document },
    sheets,
    (index) => then.of(sheets[index]!).document,
  );
  // By the two designs of a sheet: what its sheets share is sent once.
  const pairs = new Map<string, number[]>();
  sheets.forEach((sheet, index) => {
    const [one, other] = [now.of(sheet), then.of(sheet)];
    if (one.key === other.key) return;
    const key = `${one.key} ${other.key}`;
    const known = pairs.get(key);
    if (known) known.push(index);
    else pairs.set(key, [index]);
  });
  // What is found on the sheets as they are is known already, or is looked for first.
  const found = await findings.ofProject(project.id);
  const told: DesignSwapImpact['told'] = [];
  const [lost, gained] = [new Set<string>(), new Set<string>()];
  for (const places of pairs.values()) {
    const [first] = places;
    const is = after[first ?? 0];
    const one = sheets[first ?? 0];
    if (!is || !one) continue;
    const [shown, showing] = [shownIn(now.of(one).document, standard), shownIn(is.design, standard)];
    for (const name of shown) if (!showing.includes(name)) lost.add(name);
    for (const name of showing) if (!shown.includes(name)) gained.add(name);
    for (let from = 0; from < places.length; from += AT_ONCE) {
      if (gone.aborted) throw new Failure('stopped', 'the comparison was stopped');
      const part = places.slice(from, from + AT_ONCE);
      const results = await work('solve', {
        source: sharedSource(is),
        sheets: part.map((index) => ({ sheet: after[index]!.sheet, index })),
        count: sheets.length,
      });
      part.forEach((index, i) => {
        const { id, number, title } = sheets[index]!;
        const { id: designId, revision } = then.of(sheets[index]!);
        told.push({
          id,
          number,
          title,
          design: { id: designId, revision },
          ...swapOf(found.get(id) ?? { findings: [] }, results[i]!),
        });
      });
    }
  }
  return {
    sheets: told.length,
    worse: told.filter((each) => newToMend(each).length > 0).length,
    mended: told.filter((each) => mendedBy(each).length > 0).length,
    areas: told.filter((each) => each.area).length,
    lost: [...lost],
    gained: [...gained],
    told: [...told].sort((a, b) => rankOf(newToMend(a)) - rankOf(newToMend(b))).slice(0, MOST_SWAPPED),
    designs: designsRecord(then),
  };
}
