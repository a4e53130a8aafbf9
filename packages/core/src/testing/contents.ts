import type { ContentKind, ContentOf } from '../design';
import { outlineValue } from '../outline';
import type { Values } from '../parameter';

const placed = { horizontal: 'left', vertical: 'bottom', rotation: 0, when: 'gap > 0 mm' } as const;
const fit = { lines: 1, condense: 0.9, steps: 0 };

/** One content of every kind, each formula of it with the dimension `gap`: the compiler names a kind that is missing. */
export const EVERY_CONTENT: { readonly [Kind in ContentKind]: ContentOf<Kind> } = {
  caption: { ...placed, id: 'caption-1', kind: 'caption', text: 'Client', role: 'caption', fit },
  field: { ...placed, id: 'field-1', kind: 'field', pattern: '{sheet.zone}', role: 'value', fit },
  notes: { ...placed, id: 'notes-1', kind: 'notes', text: 'Do not scale.', role: 'notes' },
  picture: {
    ...placed,
    id: 'picture-1',
    kind: 'picture',
    name: 'Logo',
    width: 20,
    height: 10,
    linework: [{ kind: 'stroke', points: [0, 0, 20, 10], closed: false }],
  },
  table: {
    ...placed,
    id: 'table-1',
    kind: 'table',
    table: 'contacts',
    columns: [
      { heading: 'Firm', shows: '{row.firm}', width: '2 * gap' },
      { heading: 'Zone', shows: '{sheet.zone}', width: '4 * gap' },
    ],
    rowHeight: '1.5 * gap',
    rows: 3,
    heading: 'bottom',
    captionRole: 'caption',
    valueRole: 'value-small',
  },
  symbol: { ...placed, id: 'symbol-1', kind: 'symbol', symbol: 'north', height: '3 * gap' },
  scaleBar: {
    ...placed,
    id: 'scale-bar-1',
    kind: 'scaleBar',
    parameter: 'sheet.zone',
    length: '12 * gap',
    height: '0.5 * gap',
    role: 'caption',
  },
  keyPlan: {
    ...placed,
    id: 'key-plan-1',
    kind: 'keyPlan',
    outline: 'project.keyPlan',
    marks: 'sheet.zone',
    fill: '#a6a6a6',
    pen: 'fine',
    role: 'caption',
  },
  barCode: {
    ...placed,
    id: 'bar-code-1',
    kind: 'barCode',
    pattern: '{sheet.zone}',
    width: '10 * gap',
    height: '2 * gap',
    role: 'caption',
  },
  signing: {
    ...placed,
    id: 'signing-1',
    kind: 'signing',
    form: 'line',
    size: '12 * gap',
    pattern: '{sheet.zone}',
    role: 'caption',
    pen: 'fine',
  },
  code: {
    ...placed,
    id: 'code-1',
    kind: 'code',
    pattern: '{sheet.zone}',
    side: '6 * gap',
    level: 'M',
  },
  ticks: {
    ...placed,
    id: 'ticks-1',
    kind: 'ticks',
    parameter: 'sheet.zone',
    boxes: [
      { value: 'North', words: 'North wing' },
      { value: 'South', words: 'South wing' },
    ],
    arrangement: 'below',
    side: '0.8 * gap',
    role: 'caption',
    pen: 'fine',
  },
};

/** Values with which a content of a kind is complete. */
export const valuesFor = ({ kind }: { kind: ContentKind }): Values => ({
  'sheet.zone': kind === 'scaleBar' ? '1:50' : 'North',
  'project.keyPlan': outlineValue({
    width: 100,
    height: 50,
    parts: [{ name: 'North', ring: [0, 0, 60, 0, 60, 50, 0, 50] }],
    lines: [[60, 0, 100, 0]],
  }),
});
