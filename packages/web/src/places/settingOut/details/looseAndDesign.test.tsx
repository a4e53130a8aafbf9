import { screen, waitFor, within } from '@testing-library/react';
import type { Design, Loose } from '@mendrel/core';
import { STARTING_STANDARD } from '@mendrel/core';
import { newLoose } from '../bench/newLoose';
import { FieldsDialog } from '../content/FieldsDialog';
import { choose, edited, retype } from '../testing/edited';
import { plainStrip } from '../../../testing/plainStrip';
import { shown } from '../../../testing/shown';
import { DesignDetails } from './DesignDetails';
import { LooseDetails } from './LooseDetails';
import { answering } from '../../../testing/answering';

// The office has no sizes of its own.
const OTHER: Design = {
  ...plainStrip(),
  name: 'Other',
  frame: { ...plainStrip().frame, pen: 'outline', trimLine: true },
};
beforeEach(() =>
  answering(({ path }) => ({
    body: path.endsWith('/designs')
      ? [{ id: 'other', name: 'Other', starter: true }]
      : path.endsWith('/designs/other')
        ? { document: OTHER }
        : { draft: { sizes: [] } },
  })),
);

const standard = STARTING_STANDARD;

describe('what stands outside of cells', () => {
  const loose = (kind: Loose['kind']) => {
    const start: Design = { ...plainStrip(), loose: [newLoose(kind, 'loose-1', plainStrip(), STARTING_STANDARD)] };
    const found = edited(start, (design, onEdit) => {
      const [first] = design.loose ?? [];
      return first ? <LooseDetails design={design} standard={standard} loose={first} onEdit={onEdit} /> : <p>Gone</p>;
    });
    return { ...found, loose: () => found.design().loose?.[0] };
  };

  test('a stamp is worded from data and turned by degrees that there are', async () => {
    const { user, loose: now } = loose('stamp');
    await retype(user, 'Words', 'Issued {sheet.date');
    expect(screen.getByText(/has no closing brace/)).toBeTruthy();
    await retype(user, 'Words', 'Issued {sheet.date}');
    for (const wrong of ['200', 'steep']) {
      await retype(user, 'Rotation in degrees', wrong);
      expect(screen.getByText('Degrees from -180 to 180.')).toBeTruthy();
    }
    await retype(user, 'Rotation in degrees', '-45');
    await choose(user, 'Box around it', 'None');
    expect(now()).toMatchObject({ pattern: 'Issued {sheet.date}', angle: -45, boxed: false });
  });

  test('a stamp lies under the drawing and covers a part of it, where that is wanted', async () => {
    const { user, loose: now } = loose('stamp');
    await retype(user, 'Opacity, %', '3');
    expect(screen.getByText('A whole number from 5 to 100.')).toBeTruthy();
    await retype(user, 'Opacity, %', '30 %');
    await choose(user, 'Lies', 'Under the drawing');
    expect(now()).toMatchObject({ opacity: 30, under: true });
    await retype(user, 'Opacity, %', '100');
    await choose(user, 'Lies', 'Over the drawing');
    expect(now()).not.toHaveProperty('opacity');
    expect(now()).not.toHaveProperty('under');
  });

  test('a picture on the sheet has no file at first, and is placed where it has its own size', async () => {
    const { user, loose: now } = loose('picture');
    expect(screen.getByText('No file yet')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Choose a picture…' })).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'Place' })).toBeNull();
    await choose(user, 'Size', 'Its own');
    const place = within(screen.getByRole('region', { name: 'Place' }));
    expect(place.getByRole('combobox', { name: 'Measured from' }).textContent).toBe('The sheet');
    await choose(user, 'Filled from', 'Office logo');
    await retype(user, 'Own width, mm', '50');
    expect(now()).toMatchObject({ size: 'own', parameter: 'office.logo', width: 50, height: 50, under: true });
  });

  test('a line hangs on points of the frame, of the drawing area, of panels and cells', async () => {
    const { user, loose: now } = loose('line');
    const to = within(screen.getByRole('region', { name: 'To' }));
    await user.click(to.getByRole('combobox', { name: 'Measured from' }));
    const places = screen.getAllByRole('option').map((each) => each.textContent);
    expect(places).toEqual([
      'The sheet',
      'The frame',
      'The drawing area',
      'Right strip',
      'Notes',
      'Project',
      'Sheet title',
      'Scale',
      'Sheet number',
    ]);
    await user.click(screen.getByRole('option', { name: 'Sheet title' }));
    await user.click(to.getByRole('combobox', { name: 'Point of it' }));
    await user.click(screen.getByRole('option', { name: 'Upper right' }));
    const right = to.getByRole('textbox', { name: 'Right by' });
    await user.clear(right);
    await user.type(right, '1/2 in{Enter}');
    expect(now()).toMatchObject({ to: { of: 'cell-3', anchor: 'upper-right', x: '1/2 in', y: '10 mm' } });
  });

  test('is taken out', async () => {
    const { user, design } = loose('rectangle');
    await user.click(screen.getByRole('button', { name: 'Remove' }));
    expect(design().loose ?? []).toEqual([]);
  });
});

describe('the design as a whole', () => {
  const whole = () =>
    edited(plainStrip(), (design, onEdit) => (
      <DesignDetails design={design} standard={standard} size="ISO A1" onEdit={onEdit} />
    ));

  test('gets sizes, small ones upright, and loses others', async () => {
    const { user, design } = whole();
    await choose(user, 'Add a sheet size', 'ISO A4');
    await choose(user, 'Add a sheet size', 'ARCH D');
    await user.click(screen.getByRole('button', { name: 'Remove ISO A0' }));
    await user.click(screen.getByRole('button', { name: 'ISO A2 is landscape; turn it' }));
    expect(design().sizes).toEqual([
      { size: 'ISO A1', orientation: 'landscape' },
      { size: 'ISO A2', orientation: 'portrait' },
      { size: 'ISO A3', orientation: 'landscape' },
      { size: 'ISO A4', orientation: 'portrait' },
      { size: 'ARCH D', orientation: 'landscape' },
    ]);
  });

  test('keeps at least one size, and says so', async () => {
    const { user, design, refused } = whole();
    for (const size of ['ISO A0', 'ISO A1', 'ISO A2', 'ISO A3'])
      await user.click(screen.getByRole('button', { name: `Remove ${size}` }));
    expect(design().sizes).toHaveLength(1);
    expect(refused()).toBeDefined();
  });

  test('takes the frame of another design, in one step', async () => {
    const { user, design } = whole();
    await user.click(await screen.findByRole('combobox', { name: 'As in another design' }));
    await user.click(await screen.findByRole('option', { name: 'Other' }));
    await waitFor(() => expect(design().frame).toEqual(OTHER.frame));
    expect(design().panels).toEqual(plainStrip().panels);
  });

  test('has margins of its own that begin as those of the standard', async () => {
    const { user, design } = whole();
    await choose(user, 'Margins', 'Own margins');
    // ISO 5457 (from memory): 20 mm to bind, 10 mm else.
    expect(design().frame.margins).toEqual({ left: '20 mm', right: '10 mm', top: '10 mm', bottom: '10 mm' });
    await retype(user, 'Margin, left', '1 1/2 in');
    expect(design().frame.margins).toMatchObject({ left: '1 1/2 in' });
    await choose(user, 'Margins', 'Office standard');
    expect(design().frame.margins).toBe('standard');
  });

  test.each(['0', '41', '2.5', 'two'])('has no %s columns of modules', async (typed) => {
    const { user, design } = whole();
    await retype(user, 'Columns', typed);
    expect(screen.getByText('A whole number from 1 to 40.')).toBeTruthy();
    expect(design().modules).toEqual({ columns: 4, rows: 3 });
  });
});

test('parameters go into cells in the order in which they were chosen, as many as there are cells', async () => {
  const onPut = vi.fn();
  const { user } = shown(<FieldsDialog standard={standard} cells={2} onPut={onPut} onClose={() => undefined} />);
  const put = screen.getByRole('button', { name: 'Add fields' });
  expect(put).toHaveProperty('disabled', true);
  const tick = async (name: RegExp): Promise<void> => user.click(screen.getByRole('checkbox', { name }));
  await tick(/^Sheet title$/);
  await tick(/^Project$/);
  await user.type(screen.getByRole('textbox', { name: 'Find' }), 'client');
  await tick(/^Client$/);
  expect(screen.getByRole('status').textContent).toContain('3 chosen, for 2 cells');
  expect(put).toHaveProperty('disabled', true);
  await user.clear(screen.getByRole('textbox', { name: 'Find' }));
  await tick(/^1\. Sheet title$/);
  await user.click(put);
  const [[chosen]] = onPut.mock.calls as [[{ key: string }[]]];
  expect(chosen.map((each) => each.key)).toEqual(['project.name', 'project.client']);
});
