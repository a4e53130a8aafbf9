import type { TableContent } from '../../design';
import { readDesign } from '../../design';
import type { OfficeStandard } from '../../standard';
import { parametersOf, readStandard, STARTING_STANDARD, triedOn } from '../../standard';
import { caption, cell, designWith } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';
import type { PlacedOf } from './boxKinds';

const STANDARD: OfficeStandard = { ...STARTING_STANDARD, languages: ['English', 'German', 'French'] };
const SCALE = { ...caption('scale', 'Scale'), inLanguages: { German: 'Maßstab', French: 'Échelle' } };
const TABLE: TableContent = {
  id: 't',
  kind: 'table',
  horizontal: 'left',
  vertical: 'top',
  rotation: 0,
  table: 'contacts',
  title: 'Consultants',
  titleIn: { German: 'Fachplaner' },
  columns: [{ heading: 'Firm', headingIn: { German: 'Büro' }, shows: '{row.firm}', width: '*' }],
  rowHeight: '6 mm',
  rows: 2,
  heading: 'top',
  captionRole: 'caption',
  valueRole: 'value-small',
};
const design = designWith(cell('c', [SCALE, TABLE]), { dock: 'lower-right', width: '120 mm', height: '60 mm' });

/** The caption, the title and the heading of a project with a choice of languages. */
function words(languages: string | undefined): string[] {
  const values: Record<string, string> = languages === undefined ? {} : { 'project.languages': languages };
  const on = { size: 'ISO A1', values, standard: STANDARD, typefaces: TEST_TYPEFACES };
  const layout = solveDesign(readDesign(design), on);
  const table = layout.placed[0] as PlacedOf<'table'>;
  const lines = table.texts.flatMap((each) => each.lines.map(({ text }) => text)).filter(Boolean);
  return [...layout.texts.map(({ text }) => text), ...lines];
}

test.each([
  [undefined, ['Scale', 'Consultants', 'Firm']],
  ['English', ['Scale', 'Consultants', 'Firm']],
  ['German', ['Maßstab', 'Fachplaner', 'Büro']],
  ['German, English', ['Maßstab / Scale', 'Fachplaner / Consultants', 'Büro / Firm']],
  // What has no words in a language stands as it is, once.
  ['French', ['Échelle', 'Consultants', 'Firm']],
  ['English, French', ['Scale / Échelle', 'Consultants', 'Firm']],
  ['Frisian', ['Scale', 'Consultants', 'Firm']],
])('a project in %s has captions, titles and headings of tables in it', (languages, expected) => {
  expect(words(languages)).toEqual(expected);
});

test('an office of several languages has the choice among one and two of them, and tries the longest on in two', () => {
  const choice = parametersOf(STANDARD).get('project.languages');
  expect(choice).toMatchObject({ kind: 'choice', scope: 'project' });
  expect(choice!.choices.slice(0, 4)).toEqual(['English', 'German', 'French', 'English, German']);
  expect(choice!.choices).toHaveLength(9);
  expect(triedOn('longest', STANDARD).values['project.languages']).toBe('English, German');
  // A form of a project begins with its name, not with its languages.
  const asked = [...parametersOf(STANDARD).values()].filter(({ scope }) => scope === 'project');
  expect([asked.at(0)?.key, asked.at(-1)?.key]).toEqual(['project.name', 'project.languages']);
  // Asked for at every field, it is made once.
  expect(parametersOf(STANDARD)).toBe(parametersOf(STANDARD));
  for (const languages of [undefined, [], ['English']]) {
    const one = { ...STARTING_STANDARD, ...(languages ? { languages } : {}) };
    expect(parametersOf(one).has('project.languages')).toBe(false);
  }
});

test('languages that are there twice, or have commas in their names, are refused', () => {
  expect(() => readStandard({ ...STANDARD, languages: ['German', 'german'] })).toThrow('"german" is there twice');
  expect(() => readStandard({ ...STANDARD, languages: ['German, Swiss'] })).toThrow('no commas');
});
