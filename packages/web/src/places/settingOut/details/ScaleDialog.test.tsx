import { screen, within } from '@testing-library/react';
import { STARTING_STANDARD } from '@mendrel/core';
import { answering } from '../../../testing/answering';
import { evenTypefaces, measuredWith } from '../../../testing/evenTypefaces';
import { plainStrip } from '../../../testing/plainStrip';
import { edited } from '../testing/edited';
import { Scale } from './Scale';
import { readFactor } from './ScaleDialog';

const typefaces = evenTypefaces();
beforeEach(() => measuredWith(typefaces));
// Nothing is drawn where there are no canvases.
HTMLCanvasElement.prototype.getContext = () => null;
beforeEach(() => answering(() => ({ body: {} })));

test.each([
  ['1.41', 1.41],
  ['1,41', 1.41],
  ['.5', 0.5],
  ['71 %', 0.71],
  ['1:2', 0.5],
  ['3/2', 1.5],
  ['0', undefined],
  ['11', undefined],
  ['1:0', undefined],
  ['twice', undefined],
  ['', undefined],
])('a factor typed as %s', (text, factor) => {
  expect(readFactor(text)).toBe(factor);
});

test('what a factor comes to is seen on every size before it is done, in one step', async () => {
  const strip = plainStrip();
  const { user, design } = edited(strip, (now, onEdit) => (
    <Scale design={now} standard={STARTING_STANDARD} onEdit={onEdit} />
  ));
  await user.click(screen.getByRole('button', { name: 'Scale the design…' }));
  const dialog = within(await screen.findByRole('dialog', { name: `Scale ${strip.name}` }));
  const factor = dialog.getByRole('textbox', { name: 'Factor' });
  const take = (): HTMLButtonElement => dialog.getByRole('button', { name: 'Scale it' });
  expect(take().disabled).toBe(true);
  await user.clear(factor);
  await user.type(factor, 'twice');
  expect(dialog.getByText(/^A factor from 0.1 to 10/)).toBeTruthy();
  await user.clear(factor);
  await user.type(factor, '8');
  const [first] = strip.sizes;
  expect((await dialog.findByRole('listitem', { name: first!.size })).textContent).toContain(
    'longer than the room they have',
  );
  expect(design()).toBe(strip);
  await user.click(dialog.getByRole('button', { name: 'One ISO size down' }));
  await user.click(take());
  expect(design().dimensions[0]?.formula).not.toBe(strip.dimensions[0]?.formula);
  expect(screen.queryByRole('dialog')).toBeNull();
});
