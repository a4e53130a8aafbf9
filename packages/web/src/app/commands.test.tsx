import { screen } from '@testing-library/react';
import { useState } from 'react';
import { shown } from '../testing/shown';
import type { Command } from './commands';
import { CommandProvider, useCommands } from './commands';

function Place({ commands }: { commands: Command[] }) {
  useCommands(commands);
  return <input aria-label="Title" defaultValue="Plan" />;
}

function place() {
  const asked = { save: vi.fn(), undo: vi.fn(), divide: vi.fn(), leave: vi.fn() };
  const commands: Command[] = [
    { name: 'Save', keys: 'Ctrl+S', run: asked.save },
    { name: 'Undo', keys: 'Ctrl+Z', run: asked.undo },
    { name: 'Divide into rows', keys: 'R', run: asked.divide },
    { name: 'Divide into columns', run: asked.leave },
  ];
  function Shown() {
    const [there, setThere] = useState(true);
    return (
      <CommandProvider>
        {there ? <Place commands={commands} /> : null}
        <button onClick={() => setThere(false)}>Leave</button>
      </CommandProvider>
    );
  }
  return { ...asked, ...shown(<Shown />) };
}

test('a command runs by its keys', async () => {
  const { user, save, divide } = place();
  await user.keyboard('{Control>}s{/Control}r');
  expect([save, divide].map(({ mock }) => mock.calls.length)).toEqual([1, 1]);
});

test('whoever types keeps plain keys and those that work on words; others still run', async () => {
  const { user, save, undo, divide } = place();
  const field = screen.getByRole('textbox', { name: 'Title' });
  await user.click(field);
  await user.keyboard('r{Control>}z{/Control}{Control>}s{/Control}');
  expect(field).toHaveProperty('value', 'Planr');
  expect([divide, undo, save].map(({ mock }) => mock.calls.length)).toEqual([0, 0, 1]);
});

test('the list finds a command by a part of its name and runs the chosen one', async () => {
  const { user, divide, leave } = place();
  await user.keyboard('{Control>}k{/Control}');
  await user.keyboard('divide');
  expect(screen.getAllByRole('option').map((each) => each.textContent)).toEqual([
    'Divide into rowsR',
    'Divide into columns',
  ]);
  await user.keyboard('{ArrowDown}{ArrowDown}{Enter}');
  expect([divide, leave].map(({ mock }) => mock.calls.length)).toEqual([0, 1]);
});

test('plain keys belong to an open dialog', async () => {
  const { user, divide } = place();
  await user.keyboard('{Shift>}?{/Shift}');
  expect(screen.getByRole('dialog', { name: 'Keys' })).toBeTruthy();
  expect(screen.getByText('Divide into rows')).toBeTruthy();
  // What has no keys is not among them.
  expect(screen.queryByText('Divide into columns')).toBeNull();
  await user.keyboard('r');
  expect(divide).not.toHaveBeenCalled();
});

test('what is not on screen any more cannot be run', async () => {
  const { user, save } = place();
  await user.click(screen.getByRole('button', { name: 'Leave' }));
  await user.keyboard('{Control>}s{/Control}{Control>}k{/Control}');
  expect(save).not.toHaveBeenCalled();
  expect(screen.getByText('No command has this name.')).toBeTruthy();
});
