import type { Design } from '../design';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith, divided, field } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { fitRank, fitReport } from './fitReport';

/** A strip of 120 mm on A1 and of 30 mm on A3. */
const strip = (...texts: ReturnType<typeof field>[]): Design =>
  designWith(
    divided(
      'root',
      'rows',
      texts.map(() => ({ fixed: '12 mm' })),
      texts.map((text, i) => ({ ...cell(`c${i}`, [text]), name: `Cell ${i}` })),
    ),
    { dock: 'right', width: 'strip' },
    { dimensions: [{ name: 'strip', formula: '120 mm', bySize: { 'ISO A3': '30 mm' } }] },
  );
const reported = (design: Design) => fitReport(design, STARTING_STANDARD, TEST_TYPEFACES);
const fit = { lines: 1, condense: 1, steps: 0 };

test('each content stands once, the worst first, with the worst of each size and the values that show it', () => {
  const { rows, sizes } = reported(
    strip(field('client', '{sheet.scale}', { fit }), field('title', '{sheet.title}', { fit })),
  );
  expect(sizes).toEqual(['ISO A1', 'ISO A3']);
  expect(rows.map(({ content, worst }) => [content, worst])).toEqual([
    ['title', 'spills'],
    ['client', 'fits'],
  ]);
  const [title] = rows;
  expect(title).toMatchObject({ cell: 'c1', cellName: 'Cell 1', what: 'the field “{sheet.title}”' });
  expect(title!.bySize['ISO A1']).toMatchObject({ state: 'fits' });
  expect(title!.bySize['ISO A3']).toMatchObject({ state: 'spills', tryOn: 'longest' });
  expect(title!.bySize['ISO A3']!.by).toBeGreaterThan(0);
  expect(title!.bySize['ISO A3']!.says[0]).toContain('spills out of Cell 1');
});

test('what is missing is told with typical values, not with blank ones; what nobody knows is a conflict', () => {
  const { rows } = reported(strip(field('known', '{sheet.number}', { fit }), field('gone', '{sheet.colour}', { fit })));
  expect(rows.map(({ content, worst }) => [content, worst])).toEqual([
    ['gone', 'conflicts'],
    ['known', 'fits'],
  ]);
});

test('a text that steps down, is condensed or wraps is told as that', () => {
  const titles = [
    field('wraps', '{sheet.number} {sheet.scale}', { fit: { lines: 2, condense: 1, steps: 0 } }),
    field('narrow', '{sheet.status}', { fit: { lines: 1, condense: 0.5, steps: 0 } }),
  ];
  const { rows } = reported(strip(...titles));
  const states = Object.fromEntries(rows.map(({ content, bySize }) => [content, bySize['ISO A1']!.state]));
  expect(states).toEqual({ wraps: 'fits', narrow: 'fits' });
  const onSmall = Object.fromEntries(rows.map(({ content, bySize }) => [content, bySize['ISO A3']!.state]));
  expect(onSmall).toEqual({ wraps: 'wrapped', narrow: 'condensed' });
});

test('a size on which the design cannot be solved says why, and the others are reported', () => {
  const design = strip(field('f', '{sheet.number}', { fit }));
  const broken: Design = {
    ...design,
    dimensions: [{ name: 'strip', formula: '90 mm', bySize: { 'ISO A3': 'gone + 1 mm' } }],
  };
  const { unsolved, rows } = reported(broken);
  expect(Object.keys(unsolved)).toEqual(['ISO A3']);
  expect(rows[0]!.bySize['ISO A1']).toMatchObject({ state: 'fits' });
});

test('a design without contents has a report without rows', () => {
  expect(reported(designWith(cell('c'), { dock: 'right', width: '90 mm' })).rows).toEqual([]);
  expect(fitRank('spills')).toBeGreaterThan(fitRank('wrapped'));
});
