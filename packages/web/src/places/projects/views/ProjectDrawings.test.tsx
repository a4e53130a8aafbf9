import { screen } from '@testing-library/react';
import type { DrawingRecord, DrawingSpace } from '@mendrel/contract';
import { shown } from '../../../testing/shown';
import type { Chosen } from './chosenWindow';
import { ProjectDrawings } from './ProjectDrawings';

const SPACE: DrawingSpace = {
  name: 'Model',
  linework: 'a'.repeat(64),
  box: { x: 0, y: 0, width: 30, height: 20 },
  layers: [{ name: 'WALL', items: 9 }],
  items: 9,
  dropped: [],
};
const drawing = (id: string, name: string, addedAt: string): DrawingRecord => ({
  id,
  name,
  bytes: 1,
  spaces: [{ ...SPACE, linework: id.repeat(64) }],
  addedAt,
});

test('drawings of one name are told apart by when they came; each can be chosen', async () => {
  const chosen: Chosen[] = [];
  const drawings = [
    drawing('a', 'plan.dxf', '2026-03-02T09:00:00.000Z'),
    drawing('b', 'plan.dxf', '2026-05-11T09:00:00.000Z'),
    drawing('c', 'roof.dxf', '2026-05-11T09:00:00.000Z'),
  ];
  const { user } = shown(
    <ProjectDrawings drawings={drawings} chosen={undefined} works="mm" onChoose={(each) => chosen.push(each)} />,
  );
  await user.click(screen.getByRole('button', { name: /plan\.dxf.*of 11 May 2026/ }));
  expect(chosen.map((each) => each.drawing.id)).toEqual(['b']);
  screen.getByRole('button', { name: /plan\.dxf.*of 2 Mar 2026/ });
  expect(screen.getByRole('button', { name: /roof\.dxf/ }).textContent).toBe('roof.dxf9 pieces');
});
