import fc from 'fast-check';
import { cell, designWith, divided, field } from '../testing/designs';
import type { Cell } from './cell';
import type { Design } from './schema';
import { MOST_DEPTH } from './cell';
import { DESIGN_VERSION } from './migrate';
import { readDesign } from './validate';

const sound = (): Design =>
  designWith(
    divided('root', 'rows', [{ share: 1 }, { fixed: '20 mm' }], [cell('a', [field('f', '{sheet.title}')]), cell('b')]),
    {
      dock: 'right',
      width: 'strip',
    },
    { dimensions: [{ name: 'strip', formula: '90 mm' }] },
  );

/** The design with one place changed, addressed by a path. */
function changed(path: string, value: unknown): unknown {
  const copy = JSON.parse(JSON.stringify(sound())) as Record<string, unknown>;
  const keys = path.split('.');
  const last = keys.pop()!;
  const owner = keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy);
  owner[last] = value;
  return copy;
}

describe('readDesign', () => {
  test('takes a sound design as it is', () => {
    expect(readDesign(JSON.parse(JSON.stringify(sound())))).toEqual(sound());
  });

  test.each([
    ['version', 1, undefined],
    ['version', 2, undefined],
    ['version', DESIGN_VERSION + 1, `version ${DESIGN_VERSION + 1} is not known`],
    ['format', 'other', 'this is not a Mendrel design'],
    ['colour', 'red', 'unknown field "colour"'],
    ['panels.0.root.division.rows.1.fixed', '20', undefined],
    ['panels.0.root.division.rows.1.fixed', '20 mm +', 'panels.0.root.division.rows.1.fixed: "20 mm +" cannot be read'],
    ['panels.0.root.division.rows.1.length', '20 mm', 'panels.0.root.division.rows.1'],
    [
      'panels.0.root.division.children.0.cell.contents.0.pattern',
      '{sheet',
      'contents.0.pattern: "{sheet" has no closing brace',
    ],
    ['panels.0.root.division.children.1.row', 5, 'reaches beyond the tracks'],
    ['panels.0.root.division.children.1.cell.id', 'a', 'the id "a" is used twice'],
    ['panels.0.dock', 'lower-right', 'a panel docked lower-right needs a height'],
    ['dimensions.0.formula', 'strip + 1 mm', 'dimensions.0: the dimensions use each other in a circle: strip → strip'],
    ['dimensions.0.name', 'the strip', 'dimensions.0.name'],
    ['sizes.0.size', 'ISO A99', 'there is no sheet size "ISO A99"'],
    ['sizes', [], 'sizes'],
    ['modules.columns', 0, 'modules.columns'],
  ])('%s = %j', (path, value, message) => {
    if (message === undefined) expect(() => readDesign(changed(path, value))).not.toThrow();
    else expect(() => readDesign(changed(path, value))).toThrow(message);
  });

  test('a circle that only one size has is found too', () => {
    const design = {
      ...sound(),
      dimensions: [
        { name: 'strip', formula: '90 mm', bySize: { 'ISO A3': 'row' } },
        { name: 'row', formula: 'strip' },
      ],
    };
    expect(() => readDesign(design)).toThrow('in a circle: strip → row → strip');
  });

  test('cells nested deeper than any title block are refused without exhausting the stack', () => {
    const nest = (depth: number): Cell => {
      let inner: Cell = cell('leaf');
      for (let i = 0; i < depth; i++) inner = divided(`level-${i}`, 'rows', [{ share: 1 }], [inner]);
      return inner;
    };
    const read = (depth: number) => readDesign(designWith(nest(depth - 1), { dock: 'right', width: '9 mm' }));
    expect(() => read(MOST_DEPTH)).not.toThrow();
    for (const depth of [MOST_DEPTH + 1, MOST_DEPTH + 2, MOST_DEPTH + 3, 5000])
      expect(() => read(depth)).toThrow(`cells are nested more than ${MOST_DEPTH} deep`);
  });

  test('whatever JSON it is given, it answers with a design or with a place', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 4 }), (json) => {
        expect(() => readDesign(json)).toThrow(/./);
      }),
    );
  });
});
