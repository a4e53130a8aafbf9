import { composeSheet } from '../../compose';
import { placesUsing, renameParameter } from '../../impact';
import { solveDesign } from '../../layout';
import { newParameter } from '../../parameter';
import { STARTING_STANDARD } from '../../standard';
import { EVERY_CONTENT, valuesFor } from '../../testing/contents';
import { cell, designWith, divided } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { designDifferences } from '../difference';
import { formulasIn, mapFormulas } from '../formulas';
import type { Design } from '../schema';
import { takenFromStandard } from '../takenFromStandard';
import { readDesign, validateDesign } from '../validate';
import { cellLabel } from '../visit';
import type { Content, ContentKind } from './kinds';
import { CONTENT_KINDS, contentSchema } from './kinds';
import { formulasOf, parametersOfContent, patternsOf, pensOf, rolesOf, textAt, withTexts } from './parts';

const standard = {
  ...STARTING_STANDARD,
  parameters: [newParameter({ id: 'zone', key: 'sheet.zone', name: 'Zone' })],
};
/** What every content asks for: a zone, which only a scale bar reads as a scale. */

/** A design with the content alone in a cell of a strip 80 mm wide. */
const designOf = (content: Content): Design => ({
  ...designWith(
    divided('root', 'rows', [{ share: 1 }, { fixed: '60 mm' }], [cell('rest'), { ...cell('it', [content]), name: '' }]),
    { dock: 'right', width: '80 mm' },
  ),
  dimensions: [{ name: 'gap', formula: '5 mm' }],
});
const contentOf = (design: Design): Content => design.panels[0]!.root.division!.children[1]!.cell.contents[0]!;
const solved = (design: Design) =>
  solveDesign(design, { size: 'ISO A1', values: valuesFor(contentOf(design)), standard, typefaces: TEST_TYPEFACES });

const KINDS = Object.keys(CONTENT_KINDS) as ContentKind[];

describe.each(KINDS)('%s', (kind) => {
  const content: Content = EVERY_CONTENT[kind];
  const design = designOf(content);

  test('is read as it was written, and its cell and its changes are told by words of its own', () => {
    expect(contentSchema.parse(structuredClone(content))).toEqual(content);
    expect(readDesign(structuredClone(design))).toEqual(design);
    expect(cellLabel(cell('', [content]))).not.toBe('Empty cell');
    const without = designOf({ ...EVERY_CONTENT.caption, id: 'other' });
    const words = designDifferences(without, design).map((each) => each.words);
    expect(words).toContainEqual(expect.stringMatching(/: the .+ is new$/));
  });

  test('gives every formula to whoever asks for formulas, renames and checks', () => {
    const formulas = formulasOf(content);
    // Each of the sample's formulas uses the dimension, so that none is overlooked.
    const written = JSON.stringify(content).match(/\bgap\b/g)!;
    expect(formulas).toHaveLength(written.length);
    expect(formulasIn(design).filter((each) => each.cell === 'it')).toHaveLength(formulas.length);
    const renamed = mapFormulas(design, (text) => text.replaceAll('gap', 'space'));
    expect(JSON.stringify(contentOf(renamed))).not.toContain('gap');
    for (const { path } of formulas) {
      const broken = designOf(withTexts(content, [path], () => '2 +'));
      expect(validateDesign(broken).map(({ where }) => where)).toEqual([
        `panels.0.root.division.children.1.cell.contents.0.${path.join('.')}`,
      ]);
    }
  });

  test('gives every pattern and parameter to whoever looks for uses, renames and checks', () => {
    const uses = patternsOf(content).length + parametersOfContent(content).length;
    expect(uses > 0).toBe(JSON.stringify(content).includes('sheet.zone'));
    expect(placesUsing(design, 'sheet.zone')).toBe(uses > 0 ? 1 : 0);
    const renamed = renameParameter(design, 'sheet.zone', 'sheet.wing');
    expect(JSON.stringify(renamed)).not.toContain('sheet.zone');
    expect(placesUsing(renamed, 'sheet.wing')).toBe(uses > 0 ? 1 : 0);
    for (const path of patternsOf(content)) {
      const broken = designOf(withTexts(content, [path], () => '{open'));
      expect(validateDesign(broken).map(({ where }) => where)).toEqual([
        `panels.0.root.division.children.1.cell.contents.0.${path.join('.')}`,
      ]);
    }
  });

  test('names all roles and pens that it takes from the standard', () => {
    const { roles, pens } = takenFromStandard(design);
    const named = (ids: readonly { id: string }[], key: RegExp): string[] =>
      Object.entries(content)
        .filter(([name, value]) => key.test(name) && ids.some(({ id }) => id === value))
        .map(([, value]) => value as string);
    expect(new Set(rolesOf(content))).toEqual(new Set(named(standard.roles, /role$/i)));
    expect(new Set(pensOf(content))).toEqual(new Set(named(standard.pens, /pen$/i)));
    expect([...roles]).toEqual(expect.arrayContaining(rolesOf(content)));
    expect([...pens]).toEqual(expect.arrayContaining(pensOf(content)));
  });

  test('is solved and drawn within its cell, and asks for its room in a track as large as its content', () => {
    const layout = solved(design);
    expect(layout.findings).toEqual([]);
    const at = layout.cells.find((each) => each.id === 'it')!;
    const values = valuesFor(content);
    const items = composeSheet(design, layout, { standard, typefaces: TEST_TYPEFACES, values }).items.filter(
      (item) => 'cell' in item && item.cell === 'it',
    );
    expect(items.length).toBeGreaterThan(0);
    for (const item of items) {
      const points = item.kind === 'stroke' ? item.points : item.kind === 'text' ? [item.at.x, item.at.y] : [];
      points.forEach((value, i) => {
        const [low, length] = i % 2 === 0 ? [at.x, at.width] : [at.y, at.height];
        expect(value).toBeGreaterThanOrEqual(low - 0.01);
        expect(value).toBeLessThanOrEqual(low + length + 0.01);
      });
    }
    const fitted = structuredClone(design);
    fitted.panels[0]!.root.division!.rows[1] = { fit: true };
    expect(solved(fitted).findings).toEqual([]);
    expect(solved(fitted).cells.find((each) => each.id === 'it')!.height).toBeGreaterThan(1);
  });
});

test('a place without a text is a fault of the kind, and said to be one', () => {
  expect(() => textAt(EVERY_CONTENT.picture, ['columns', 0, 'width'])).toThrow(
    'there is no text at columns.0.width of a picture',
  );
});
