import { STARTING_STANDARD } from '../standard';
import { cell, designWith, field } from '../testing/designs';
import { sheetSources } from './sheetSource';
import { valueOrigins } from './valueOrigins';

test('each value that a sheet shows says where it was entered', () => {
  const keys = [
    'office.name',
    'office.phone',
    'project.name',
    'set.purpose',
    'sheet.number',
    'sheet.drawnBy',
    'sheet.scale',
  ];
  const patterns = [...keys, 'sheet.checkedBy'].map((key) => field(key.replace('.', '-'), `{${key}}`));
  const design = designWith(cell('strip', patterns), { dock: 'right', width: '180 mm' });
  const sheet = {
    number: 'A-101',
    title: 'Plan',
    kind: 'plan',
    size: 'ISO A1',
    values: { 'sheet.drawnBy': 'MO' },
    views: [{ id: 'v', name: 'Plan', realWidth: 100, realHeight: 100, scale: '1:50', module: 'A1' }],
  };
  const office = { 'office.name': 'Quillwater', 'office.phone': '1', 'office.web': 'not shown' };
  const project = { 'project.name': 'Ferry', 'office.phone': '2', 'set.purpose': 'Tender' };
  const [source] = sheetSources({ design, standard: STARTING_STANDARD, office, project }, [sheet]);
  expect(
    valueOrigins(source!)
      .map(({ key, value, from, instead }) => [key, value, from, ...(instead ? [instead] : [])])
      .sort(),
  ).toEqual(
    [
      ['office.name', 'Quillwater', 'office'],
      ['office.phone', '2', 'project', '1'],
      ['project.name', 'Ferry', 'project'],
      ['set.purpose', 'Tender', 'set'],
      ['sheet.number', 'A-101', 'sheet'],
      ['sheet.drawnBy', 'MO', 'sheet'],
      ['sheet.scale', '1:50', 'computed'],
      ['sheet.checkedBy', '', 'nowhere'],
    ].sort(),
  );
});
