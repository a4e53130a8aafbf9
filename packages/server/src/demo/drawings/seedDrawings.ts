import type { DrawingSpace } from '@mendrel/contract';
import type { AreaSettings, View } from '@mendrel/core';
import { readSource } from '@mendrel/reading/source';
import type { Transaction } from 'objection';
import { measured, withAreas } from '../../areas/projectAreas';
import { addDrawing } from '../../drawings/addDrawing';
import { ProjectModel } from '../../projects/projectModel';
import type { DemoDrawingName } from './index';
import { demoDrawing } from './index';
import { SHOWN_IN } from './shownIn';

/** What areas are measured from, by the number of the project: rooms that are in no group are in no total. */
const AREAS_OF: Readonly<
  Record<string, Pick<AreaSettings, 'groups' | 'groupOf'> & { plans: readonly DemoDrawingName[] }>
> = {
  BFT: {
    plans: ['ground floor', 'upper deck'],
    groups: ['Public', 'Staff'],
    groupOf: {
      '0.09': 'Public',
      '0.10': 'Public',
      '1.09': 'Public',
      '1.12': 'Public',
      '0.01': 'Staff',
      '0.02': 'Staff',
      '1.01': 'Staff',
      '1.02': 'Staff',
      '1.11': 'Staff',
    },
  },
};

/**
 * Brings the drawings of a project of the demo, and gives its views what they show.
 * @param number of the project
 * @returns a view with its drawing, where it has one
 */
export async function seedDrawings(
  projectId: string,
  number: string,
  transaction: Transaction,
): Promise<(view: View) => View> {
  const shownIn = SHOWN_IN[number] ?? {};
  const brought = new Map<DemoDrawingName, { id: string; space: DrawingSpace; name: string }>();
  for (const name of new Set(Object.values(shownIn).map(({ drawing }) => drawing))) {
    const content = demoDrawing(name);
    const file = { name: `${name.replace(/^station /, '')}.dxf`, content };
    const row = await addDrawing(projectId, file, await readSource(new Uint8Array(content)), transaction);
    const [space] = row.spaces;
    if (space) brought.set(name, { id: row.id, space, name: row.name });
  }
  const areas = AREAS_OF[number];
  if (areas) {
    const sources = areas.plans.flatMap((plan) => {
      const from = brought.get(plan);
      return from ? [{ drawing: from.id, space: from.space.name, layers: ['A-AREA'], unit: 1 }] : [];
    });
    const { groups, groupOf } = areas;
    const settings: AreaSettings = { sources, groups, groupOf, unit: 'm²', decimals: 1 };
    const project = await ProjectModel.query(transaction).findById(projectId).throwIfNotFound();
    const tables = withAreas(project, settings, await measured(projectId, settings, transaction));
    await ProjectModel.query(transaction).findById(projectId).patch({ areas: settings, tables });
  }
  return (view) => {
    const shows = shownIn[view.name];
    const from = shows && brought.get(shows.drawing);
    if (!shows || !from) return view;
    const { linework, leastText } = from.space;
    return {
      ...view,
      ...(shows.id === undefined ? {} : { id: shows.id }),
      ...(shows.partOf === undefined ? {} : { partOf: shows.partOf }),
      drawing: {
        linework,
        name: from.name,
        unit: 1,
        x: Math.round(shows.x),
        y: Math.round(shows.y),
        ...(shows.hidden ? { hidden: [...shows.hidden] } : {}),
        ...(leastText === undefined ? {} : { leastText }),
      },
    };
  };
}
