import { screen } from '@testing-library/react';
import { shown } from '../../../testing/shown';
import { plainStrip } from '../../../testing/plainStrip';
import { Outline } from './Outline';

function outline(selection: readonly string[], design = plainStrip()) {
  const asked = {
    onSelect: vi.fn(),
    onSelectMany: vi.fn(),
    onAddPanel: vi.fn(),
    onAddLoose: vi.fn(),
    onTakePanel: vi.fn(),
  };
  Element.prototype.scrollIntoView = () => undefined;
  return {
    ...asked,
    ...shown(<Outline design={design} layout={undefined} selection={selection} faulty={undefined} {...asked} />),
  };
}
const row = (name: RegExp): HTMLElement => screen.getByRole('treeitem', { name });

test('the arrow keys go through it, with Shift they add', async () => {
  const { user, onSelect } = outline(['cell-2']);
  screen.getByRole('tree').focus();
  await user.keyboard('{ArrowDown}{ArrowUp}{End}{Home}');
  expect(onSelect.mock.calls).toEqual(
    [
      ['cell-3', false],
      ['strip-1', false],
      ['cell-5', false],
      ['strip-1', false],
    ].map(([id, add], i) => [i === 1 ? 'cell-1' : id, add]),
  );
  await user.keyboard('{Shift>}{ArrowDown}{/Shift}');
  expect(onSelect).toHaveBeenLastCalledWith('cell-3', true);
});

test('a click selects, with Ctrl it adds, with Shift it reaches from the last one', async () => {
  const { user, onSelect, onSelectMany } = outline(['cell-2']);
  await user.click(row(/^Scale/));
  expect(onSelect).toHaveBeenLastCalledWith('cell-4', false);
  await user.keyboard('{Control>}');
  await user.click(row(/^Sheet number/));
  await user.keyboard('{/Control}');
  expect(onSelect).toHaveBeenLastCalledWith('cell-5', true);
  await user.keyboard('{Shift>}');
  await user.click(row(/^Scale/));
  await user.keyboard('{/Shift}');
  expect(onSelectMany).toHaveBeenLastCalledWith(['cell-2', 'cell-3', 'cell-4']);
});

test('a design without panels says what to do first', () => {
  outline([], { ...plainStrip(), panels: [] });
  expect(screen.getByText(/Add… a panel to start with/)).toBeTruthy();
  expect(screen.queryByRole('tree')).toBeNull();
});
