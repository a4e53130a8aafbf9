import { screen } from '@testing-library/react';
import type { Design } from '@mendrel/core';
import { findCell, solveDesign, STARTING_STANDARD } from '@mendrel/core';
import { evenTypefaces } from '../../../testing/evenTypefaces';
import { opened } from '../opened';
import { scopeChosen } from '../settingOutSlice';
import { choose, edited, retype } from '../testing/edited';
import { plainStrip } from '../../../testing/plainStrip';
import { CellDetails } from './CellDetails';
import { SeveralCells } from './SeveralCells';

const standard = STARTING_STANDARD;
const onA1 = (design: Design) =>
  solveDesign(design, { size: 'ISO A1', values: {}, standard, typefaces: evenTypefaces() });

const details = (selected: string, start = plainStrip(), before: Parameters<typeof edited>[2] = []) =>
  edited(
    start,
    (design, onEdit) => (
      <CellDetails design={design} layout={onA1(design)} standard={standard} selected={selected} onEdit={onEdit} />
    ),
    before,
  );
/** Typed lengths count for A1 alone. */
const onlyA1 = [opened({ id: 'one', version: 1, design: plainStrip() }), scopeChosen('size')];

describe('a panel', () => {
  test('takes a bare number as a length in the unit of the design', async () => {
    const { user, design } = details('strip-1');
    await retype(user, 'Width', '72.5');
    expect(design().panels[0]?.width).toBe('72.5 mm');
    expect(screen.getByText('72.5 × 574 mm on ISO A1')).toBeTruthy();
  });

  test.each([
    ['', 'This cannot be empty.'],
    ['3 mm +', /ends too early|expected|missing/i],
  ])('does not take “%s”, keeps it there and says why', async (typed, problem) => {
    const { user, design } = details('strip-1');
    const field = screen.getByRole('textbox', { name: 'Width' });
    await user.clear(field);
    await user.type(field, `${typed}{Enter}`);
    expect(field).toHaveProperty('value', typed);
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText(problem)).toBeTruthy();
    expect(design()).toEqual(plainStrip());
    await user.type(field, '{Escape}');
    expect(field).toHaveProperty('value', 'strip');
  });

  test('that counts for one size only gets a value of its own there', async () => {
    const { user, design } = details('strip-1', plainStrip(), onlyA1);
    expect(screen.getByText('Counts for ISO A1 only.')).toBeTruthy();
    await retype(user, 'Width', '90');
    expect(design().panels[0]?.width).toBe('strip');
    expect(design().dimensions[0]).toEqual({
      name: 'strip',
      formula: '80 mm',
      bySize: { 'ISO A3': '60 mm', 'ISO A1': '90 mm' },
    });
  });

  test('that floats is told where it hangs', async () => {
    const { user, design } = details('strip-1');
    expect(screen.queryByRole('textbox', { name: 'Right by' })).toBeNull();
    await choose(user, 'Place', 'Floating');
    await choose(user, 'Anchor to the frame’s', 'Upper right');
    await retype(user, 'Right by', '-10');
    expect(design().panels[0]).toMatchObject({ dock: 'floating', anchor: 'upper-right', x: '-10 mm' });
  });

  test('is mirrored, locked and unlocked; the only one cannot dock earlier or later', async () => {
    const { user, design } = details('strip-1');
    await user.click(screen.getByRole('button', { name: 'Mirror' }));
    expect(design().panels[0]?.dock).toBe('left');
    await user.click(screen.getByRole('button', { name: 'Lock' }));
    expect(design().panels[0]?.locked).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Unlock' }));
    expect(design().panels[0]?.locked).toBeFalsy();
    for (const name of ['Move up in order', 'Move down in order'])
      expect(screen.getByRole('button', { name })).toHaveProperty('disabled', true);
  });
});

describe('a row', () => {
  const rows = (design: Design): unknown => findCell(design, 'strip-1')!.cell.division?.rows;
  const unfold = async (name: RegExp, { user }: { user: { click: (of: Element) => Promise<void> } }): Promise<void> =>
    user.click(screen.getByRole('button', { name }));

  test('takes a share with bounds', async () => {
    const found = details('cell-3');
    await unfold(/^Row 3 of Strip/, found);
    await retype(found.user, 'Size of the row', '2* min 20 max 60');
    expect(rows(found.design())).toMatchObject([{ share: 1 }, {}, { share: 2, min: '20 mm', max: '60 mm' }, {}, {}]);
  });

  test('is one track; several are for the line under the paper', async () => {
    const found = details('cell-3');
    await unfold(/^Row 3 of Strip/, found);
    await retype(found.user, 'Size of the row', '10 | 20');
    expect(screen.getByText(/this is one track/)).toBeTruthy();
    expect(found.design()).toEqual(plainStrip());
  });

  test('becomes a dimension in one step, which then says that it sets it', async () => {
    const found = details('cell-3');
    await unfold(/^Row 3 of Strip/, found);
    await found.user.click(screen.getByRole('button', { name: 'Make a dimension' }));
    const name = found.design().dimensions.at(-1)!;
    expect(name).toMatchObject({ formula: '34 mm' });
    expect(rows(found.design())).toMatchObject([{}, {}, { fixed: name.name }, {}, {}]);
    expect(screen.getByText(`The dimension ${name.name} sets it.`)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Make a dimension' })).toBeNull();
  });

  test('is moved, gets another before it, and is not taken out while it holds something', async () => {
    const found = details('cell-3');
    const inOrder = (): unknown[] =>
      found
        .cell('strip-1')
        .division!.children.toSorted((a, b) => a.row - b.row)
        .map(({ cell }) => cell.name);
    await unfold(/^Row 3 of Strip/, found);
    await found.user.click(screen.getByRole('button', { name: 'Move up' }));
    expect(inOrder()).toEqual(['Notes', 'Sheet title', 'Project', 'Scale', 'Sheet number']);
    await found.user.click(screen.getByRole('button', { name: 'Insert before' }));
    expect(inOrder()).toEqual(['Notes', '', 'Sheet title', 'Project', 'Scale', 'Sheet number']);
    // The one that is selected stands in the second row still; what holds something is not taken out with it.
    await found.user.click(screen.getByRole('button', { name: 'Remove' }));
    expect(found.refused()).toBe('row 3 still holds something; empty it first');
    expect(inOrder()).toHaveLength(6);
  });

  test('at the upper end cannot move up', async () => {
    const found = details('cell-1');
    await unfold(/^Row 1 of Strip/, found);
    expect(screen.getByRole('button', { name: 'Move up' })).toHaveProperty('disabled', true);
    expect(screen.getByRole('button', { name: 'Move down' })).toHaveProperty('disabled', false);
  });
});

describe('a cell', () => {
  test('says its extent, takes a condition, and refuses one that cannot be read', async () => {
    const { user, cell } = details('cell-3');
    expect(screen.getByText('80 × 34 mm on ISO A1')).toBeTruthy();
    const [condition] = screen.getAllByRole('textbox', { name: 'Show when' });
    await user.type(condition!, 'sheet.width > 500 mm{Enter}');
    expect(cell('cell-3').when).toBe('sheet.width > 500 mm');
    await user.type(condition!, ' and{Enter}');
    expect(condition!.getAttribute('aria-invalid')).toBe('true');
    expect(cell('cell-3').when).toBe('sheet.width > 500 mm');
  });

  test('that was divided is joined again', async () => {
    const { user, design } = details('strip-1');
    expect(screen.getByText('Divided into 5 cells.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Join cells' }));
    expect(design().panels[0]?.root.division).toBeUndefined();
  });
});

describe('several cells', () => {
  const several = (...selection: string[]) =>
    edited(plainStrip(), (design, onEdit) => (
      <SeveralCells design={design} standard={standard} selection={selection} copied={undefined} onEdit={onEdit} />
    ));

  test('with lettering of different roles are given one', async () => {
    const { user, cell } = several('cell-2', 'cell-4');
    expect(screen.getByText('2 cells, 4 texts.')).toBeTruthy();
    expect(screen.getByRole('combobox', { name: 'Lettering role of all' }).textContent).toBe('Different ones');
    await choose(user, 'Lettering role of all', 'Value');
    const roles = ['cell-2', 'cell-4'].flatMap((id) => cell(id).contents.map((each) => 'role' in each && each.role));
    expect(roles).toEqual(['value', 'value', 'value', 'value']);
    expect(screen.getByRole('combobox', { name: 'Lettering role of all' }).textContent).toBe('Value');
  });

  test('are given padding and a condition together', async () => {
    const { user, cell } = several('cell-2', 'cell-4');
    await retype(user, 'Padding of all', '2');
    await retype(user, 'Show all when', 'sheet.width > 500 mm');
    for (const id of ['cell-2', 'cell-4'])
      expect(cell(id)).toMatchObject({ padding: '2 mm', when: 'sheet.width > 500 mm' });
    expect(cell('cell-3').padding).toBeUndefined();
  });

  test('next to each other are joined, and emptied', async () => {
    const { user, design, cell } = several('cell-3', 'cell-4');
    await user.click(screen.getByRole('button', { name: 'Empty them' }));
    expect(cell('cell-3').contents).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Join cells' }));
    expect(findCell(design(), 'cell-4')).toBeUndefined();
    expect(cell('strip-1').division?.children.find((each) => each.cell.id === 'cell-3')?.rowSpan).toBe(2);
  });
});
