import { screen } from '@testing-library/react';
import { STARTING_STANDARD } from '@mendrel/core';
import { evenTypefaces, measuredWith } from '../../../testing/evenTypefaces';
import { shown } from '../../../testing/shown';
import { plainStrip } from '../../../testing/plainStrip';
import { SizeWall } from './SizeWall';

const typefaces = evenTypefaces(1);
beforeEach(() => measuredWith(typefaces));
// Nothing is drawn where there are no canvases.
HTMLCanvasElement.prototype.getContext = () => null;

function wall(title: string, rows = plainStrip().panels[0]!.root.division!.rows) {
  const asked = { onShow: vi.fn(), onScope: vi.fn(), onAskWhatItTakes: vi.fn(), onReport: vi.fn() };
  const design = plainStrip();
  const [panel] = design.panels;
  const root = { ...panel!.root, division: { ...panel!.root.division!, rows } };
  return {
    ...asked,
    ...shown(
      <SizeWall
        design={{ ...design, panels: [{ ...panel!, root }] }}
        tried={{
          values: { 'project.name': 'Quay', 'sheet.title': title, 'sheet.number': 'A1', 'sheet.scale': '1:5' },
          tables: {},
        }}
        standard={STARTING_STANDARD}
        shown="ISO A1"
        scope="all"
        {...asked}
      />,
    ),
  };
}
const sizes = (): (string | null)[] =>
  screen.getAllByRole('button', { name: /^ISO/ }).map((each) => each.textContent?.replace(/\s+/g, ' ') ?? null);

test('every size says whether all fits; the one shown is pressed, another is a click away', async () => {
  const { user, onShow, onScope } = wall('Plan');
  expect(sizes()).toEqual(['ISO A0fits', 'ISO A1fits', 'ISO A2fits', 'ISO A3fits']);
  expect(screen.getByRole('button', { name: /^ISO A1/ }).getAttribute('aria-pressed')).toBe('true');
  await user.click(screen.getByRole('button', { name: /^ISO A3/ }));
  expect(onShow).toHaveBeenCalledWith('ISO A3');
  await user.click(screen.getByRole('button', { name: 'A1 only' }));
  expect(onScope).toHaveBeenCalledWith('size');
  expect(screen.queryByRole('button', { name: 'What would it take?' })).toBeNull();
});

test('the wall folds to a line that still says how every size is', async () => {
  const { user } = wall('Plan');
  await user.click(screen.getByRole('button', { name: 'Fold the size wall' }));
  expect(screen.queryByRole('img', { name: 'ISO A1, solved' })).toBeNull();
  expect(sizes()).toEqual(['ISO A0fits', 'ISO A1fits', 'ISO A2fits', 'ISO A3fits']);
  await user.click(screen.getByRole('button', { name: 'Unfold the size wall' }));
  expect(screen.getByRole('img', { name: 'ISO A1, solved' })).toBeTruthy();
});

test('a size on which something spills says by how much, and asks what it would take', async () => {
  // Letters as wide as they are high, 5 mm or 3.5 mm once they step down, on two lines at most.
  const { user, onAskWhatItTakes } = wall('Washrooms, cleaners and plant rooms');
  expect(sizes()[3]).toMatch(/^ISO A31 spills, [\d.]+ mm$/);
  await user.click(screen.getByRole('button', { name: 'What would it take?' }));
  expect(onAskWhatItTakes).toHaveBeenCalled();
});

test('rows that do not fill their cell, or have no room in it, are told in millimetres', () => {
  const fixed = (mm: number): { fixed: string }[] => Array.from({ length: 5 }, () => ({ fixed: `${mm} mm` }));
  wall('Plan', fixed(60));
  // The frames are 821, 574, 400 and 277 mm high.
  expect(sizes()).toEqual([
    expect.stringContaining('521.0 mm left over'),
    expect.stringContaining('274.0 mm left over'),
    expect.stringContaining('100.0 mm left over'),
    expect.stringContaining('no room, 23.0 mm'),
  ]);
});
