import { screen, within } from '@testing-library/react';
import type { Design } from '@mendrel/core';
import { STARTING_STANDARD } from '@mendrel/core';
import { evenTypefaces } from '../../../testing/evenTypefaces';
import { plainStrip } from '../../../testing/plainStrip';
import { shown } from '../../../testing/shown';
import { DesignReport } from './DesignReport';

function report(more: Partial<Design> = {}) {
  const onGo = vi.fn();
  const onGoToCell = vi.fn();
  const onClose = vi.fn();
  const element = (
    <DesignReport
      design={{ ...plainStrip(), ...more }}
      standard={STARTING_STANDARD}
      typefaces={evenTypefaces(1)}
      real={{}}
      onGo={onGo}
      onGoToCell={onGoToCell}
      onClose={onClose}
    />
  );
  return { ...shown(element), onGo, onGoToCell, onClose };
}
const rows = (): string[] =>
  within(screen.getByRole('table', { name: 'Fit of the contents' }))
    .getAllByRole('rowheader')
    .map((each) => each.textContent ?? '');

test('every content stands in a row with a state a size, the worst first; a state leads to its place', async () => {
  const { user, onGo } = report();
  const table = screen.getByRole('table', { name: 'Fit of the contents' });
  expect(
    within(table)
      .getAllByRole('columnheader')
      .map(({ textContent }) => textContent),
  ).toEqual(['Content', 'ISO A0', 'ISO A1', 'ISO A2', 'ISO A3']);
  // Letters as wide as they are high: the longest title of the catalogue does not go into the narrowest strip.
  expect(rows()[0]).toContain('{sheet.title}');
  const spills = screen.getByRole('button', {
    name: /^spills .*: the field “\{sheet.title\}” on ISO A3, with longest/,
  });
  await user.click(spills);
  expect(onGo).toHaveBeenCalledWith(
    expect.objectContaining({ what: 'the field “{sheet.title}”' }),
    'ISO A3',
    'longest',
  );
});

test('what is to mend can be shown alone', async () => {
  const { user } = report();
  const all = rows().length;
  await user.click(screen.getByRole('button', { name: 'To mend' }));
  expect(rows().length).toBeLessThan(all);
  expect(rows()[0]).toContain('{sheet.title}');
  await user.click(screen.getByRole('button', { name: 'All' }));
  expect(rows()).toHaveLength(all);
});

test('a size that cannot be solved says why', () => {
  report({ dimensions: [{ name: 'strip', formula: '80 mm', bySize: { 'ISO A3': 'gone + 1 mm' } }] });
  expect(screen.getByRole('alert').textContent).toContain('ISO A3 cannot be solved');
});

test('a design without contents says that there is nothing', () => {
  report({ panels: [] });
  expect(screen.getByText('Nothing stands in the cells yet.')).toBeTruthy();
});

test('what a design does in two ways is listed with its cells, which can be gone to', async () => {
  const start = plainStrip();
  const [panel] = start.panels;
  const division = panel!.root.division!;
  const title = division.children.find(({ cell }) => JSON.stringify(cell).includes('{sheet.title}'))!;
  const twice = division.children.map((child) =>
    child === title || child.cell.division
      ? child
      : {
          ...child,
          cell: {
            ...child.cell,
            contents: title.cell.contents.map((each, i) => ({
              ...each,
              id: `${child.cell.id}-${i}`,
              ...('role' in each ? { role: 'number-large' } : {}),
            })),
          },
        },
  );
  const root = { ...panel!.root, division: { ...division, children: twice } };
  const { user, onGoToCell } = report({ panels: [{ ...panel!, root }] });
  await user.click(screen.getByRole('button', { name: 'Consistency' }));
  const topic = screen.getByRole('region', { name: 'One parameter in several roles' });
  expect(topic.textContent).toContain('Sheet title is set in');
  await user.click(within(topic).getAllByRole('button')[0]!);
  expect(onGoToCell).toHaveBeenCalledWith(expect.any(String));
});

test('the rules of published standards are listed with what was found; a place can be gone to', async () => {
  const { user, onGoToCell } = report();
  await user.click(screen.getByRole('button', { name: 'Conformity' }));
  const table = screen.getByRole('table', { name: 'Conformity' });
  const row = within(table).getByRole('rowheader', { name: 'title, mandatory' }).closest('tr')!;
  expect(row.textContent).toContain('ISO 7200');
  expect(row.textContent).toContain('met');
  await user.click(within(row).getByRole('button'));
  expect(onGoToCell).toHaveBeenCalledWith(expect.any(String));
});
