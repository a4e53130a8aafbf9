import type { SourceAreas } from '@mendrel/contract';
import type { AreaSettings, MeasuredArea, WorkingUnit } from '@mendrel/core';
import { areaRows, listedAreas } from '@mendrel/core';
import type { Knex } from 'knex';
import { assetContent } from '../assets/assetModel';
import { DrawingModel } from '../drawings/drawingModel';
import type { ProjectModel } from '../projects/projectModel';
import { areasOf } from '../work/areas';
import type { Work } from '../work/tasks';

/** The table that lists areas. */
const AREAS = 'areas';

/** How areas of a project are measured that nobody has chosen anything for: in the unit of the office. */
export const usualAreas = (unit: WorkingUnit): AreaSettings => ({
  sources: [],
  groups: [],
  groupOf: {},
  unit: unit === 'in' ? 'sq ft' : 'm²',
  decimals: unit === 'in' ? 0 : 2,
});

/** Packed linework that is measured at once; larger ones are measured where they keep nobody waiting. */
const SMALL = 300_000;

/**
 * Measures the areas of a project, from each of its sources.
 * @param work measures large drawings; without it all of them are measured here
 */
export async function measured(
  projectId: string,
  settings: AreaSettings,
  database: Knex,
  work?: Work,
): Promise<SourceAreas[]> {
  const ids = settings.sources.map(({ drawing }) => drawing);
  const rows = await DrawingModel.query(database).whereIn('id', ids).where({ project_id: projectId });
  const found: SourceAreas[] = [];
  for (const { drawing: id, space: part, layers, unit } of settings.sources) {
    const row = rows.find((each) => each.id === id);
    const space =
      row?.spaces.find(({ name }) => name === part) ?? (row?.spaces.length === 1 ? row.spaces[0] : undefined);
    if (!row || !space) {
      found.push({ drawing: row?.name ?? null, linework: null, areas: [], findings: [] });
      continue;
    }
    const packed = new Uint8Array(await assetContent(space.linework, database));
    const task = { packed, layers, unit };
    const areas = work && packed.length > SMALL ? await work('areas', task) : areasOf(task);
    found.push({ drawing: row.name, linework: space.linework, ...areas });
    // The event loop is free between drawings.
    await new Promise((resolve) => setImmediate(resolve));
  }
  return found;
}

/** The tables of a project but that of its areas. */
export const withoutAreas = (tables: ProjectModel['tables']): ProjectModel['tables'] =>
  Object.fromEntries(Object.entries(tables).filter(([id]) => id !== AREAS));

/** The tables of a project with the rows of its areas as they are measured. */
export function withAreas(
  { tables }: Pick<ProjectModel, 'tables'>,
  settings: AreaSettings,
  sources: readonly { areas: readonly MeasuredArea[] }[],
): ProjectModel['tables'] {
  const rows = areaRows([...sources.flatMap(({ areas }) => areas), ...listedAreas(settings)], settings);
  const others = withoutAreas(tables);
  return rows.length > 0 ? { ...others, [AREAS]: rows } : others;
}
