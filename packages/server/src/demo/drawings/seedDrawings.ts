import type { DrawingSpace } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { readSource } from '@mendrel/reading';
import type { Transaction } from 'objection';
import { addDrawing } from '../../drawings/addDrawing';
import type { DemoDrawingName } from './index';
import { demoDrawing } from './index';
import { SHOWN_IN } from './shownIn';

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
  const brought = new Map<DemoDrawingName, { space: DrawingSpace; name: string }>();
  for (const name of new Set(Object.values(shownIn).map(({ drawing }) => drawing))) {
    const content = demoDrawing(name);
    const file = { name: `${name.replace(/^station /, '')}.dxf`, content };
    const row = await addDrawing(projectId, file, await readSource(new Uint8Array(content)), transaction);
    const [space] = row.spaces;
    if (space) brought.set(name, { space, name: row.name });
  }
  return (view) => {
    const shows = shownIn[view.name];
    const from = shows && brought.get(shows.drawing);
    if (!shows || !from) return view;
    const { linework, leastText } = from.space;
    return {
      ...view,
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
