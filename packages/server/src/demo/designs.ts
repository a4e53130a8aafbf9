import type { Cell, Design } from '@mendrel/core';
import { DESIGN_VERSION, RULED_FRAME } from '@mendrel/core';
import { beginDesign, caption, cell, divided, field, id, pair, practice, WRAPPED } from './pieces';

/** There is less room on the smallest sheets. */
const ROOMY = 'frame.height > 300 mm';

/** Who else works on a project; there is no room for them on the smallest sheets. */
const consultants = (): Cell => ({
  ...cell('Consultants', {
    id: id('content'),
    kind: 'table',
    table: 'contacts',
    title: 'Consultants',
    columns: [
      { heading: 'Discipline', shows: '{row.discipline}', width: '3*' },
      { heading: 'Firm', shows: '{row.firm}', width: '5*' },
      { heading: 'Phone', shows: '{row.phone}', width: '3*' },
    ],
    rowHeight: '7 mm',
    rows: 0,
    heading: 'none',
    more: 'first',
    captionRole: 'caption',
    valueRole: 'value-small',
    horizontal: 'left',
    vertical: 'top',
    rotation: 0,
  }),
  when: ROOMY,
});

/** Where on the site the sheet is; only projects that have an outline need the room. */
const keyPlan = (): Cell => ({
  ...cell('Key plan', caption('Key plan'), {
    id: id('content'),
    kind: 'keyPlan',
    outline: 'project.keyPlan',
    marks: 'sheet.keyPlanPart',
    fill: '#a6a6a6',
    pen: 'fine',
    role: 'caption',
    horizontal: 'right',
    vertical: 'middle',
    rotation: 0,
  }),
  when: `${ROOMY} && filled(project.keyPlan)`,
});

/** What was changed on the sheet, the newest last; the smallest sheets show the last one beside their number. */
const revisions = (): Cell => ({
  ...cell('Revisions', {
    id: id('content'),
    kind: 'table',
    table: 'revisions',
    columns: [
      { heading: 'Rev', shows: '{row.code}', width: '2*' },
      { heading: 'Description', shows: '{row.description}', width: '11*' },
      { heading: 'Date', shows: '{row.date}', width: '4*' },
    ],
    rowHeight: '8 mm',
    rows: 0,
    heading: 'top',
    more: 'last',
    captionRole: 'caption',
    valueRole: 'value-small',
    horizontal: 'left',
    vertical: 'bottom',
    rotation: 0,
  }),
  when: ROOMY,
});

/** What stands at the foot of the notes, where there is room: the scale of the sheet as a bar, and its number for a camera. */
const footOfNotes = (): Cell['contents'] => [
  {
    id: id('content'),
    kind: 'scaleBar',
    parameter: 'sheet.scale',
    length: '55 mm',
    height: '1.6 mm',
    role: 'caption',
    horizontal: 'left',
    vertical: 'bottom',
    rotation: 0,
    when: ROOMY,
  },
  {
    id: id('content'),
    kind: 'code',
    pattern: '{project.number}/{sheet.number}[/{sheet.revision}]',
    side: '20 mm',
    level: 'M',
    horizontal: 'right',
    vertical: 'bottom',
    rotation: 0,
    when: ROOMY,
  },
];

/** The strip along the right edge that most of the practice's sheets carry. */
export function quayStrip(): Design {
  beginDesign();
  const notes = cell(
    'Notes',
    caption('Notes'),
    field('{sheet.notes}', 'notes', { lines: 40, condense: 0.9, steps: 1 }, 'top'),
  );
  const root = divided(
    'Strip',
    'rows',
    [
      { fixed: '62 mm' },
      { share: 1 },
      { fixed: '34 mm' },
      { fixed: '30 mm' },
      { fixed: '42 mm' },
      { fixed: '40 mm' },
      { fixed: 'titleRow' },
      { fixed: '16 mm' },
      { fixed: '16 mm' },
      { fixed: 'numberRow' },
    ],
    [
      practice(),
      notes,
      keyPlan(),
      consultants(),
      cell(
        'Client',
        caption('Client'),
        field('{project.client}', 'value', WRAPPED),
        field('{project.clientAddress}', 'notes', WRAPPED),
      ),
      cell(
        'Project',
        caption('Project'),
        field('{project.name}', 'title', WRAPPED),
        field('{project.number}', 'value-small'),
      ),
      cell('Sheet title', caption('Sheet title'), field('{sheet.title}', 'title', WRAPPED)),
      pair(
        'Drawn and checked',
        cell('Drawn', caption('Drawn'), field('{sheet.drawnBy}')),
        cell('Checked', caption('Checked'), field('{sheet.checkedBy}')),
      ),
      pair(
        'Scale and date',
        cell('Scale', caption('Scale'), field('{sheet.scale}')),
        cell('Date', caption('Date'), field('{sheet.date}')),
      ),
      divided(
        'Number',
        'columns',
        [{ share: 1 }, { fixed: '24 mm' }],
        [
          cell('Sheet number', caption('Sheet number'), field('{sheet.number}', 'number')),
          cell(
            'Sheet of set',
            caption('Sheet'),
            field('{sheet.position} of {set.count}', 'value-small'),
            field('{sheet.size}', 'value-small'),
            field('[Rev {sheet.revision}]', 'value-small'),
          ),
        ],
      ),
    ],
  );
  notes.contents.push(...footOfNotes());
  const [, second] = root.division?.children ?? [];
  if (second) second.cell = divided('Remarks', 'rows', [{ share: 1 }, { fixed: '40 mm' }], [notes, revisions()]);
  return {
    format: 'mendrel-design',
    version: DESIGN_VERSION,
    name: 'Quay strip',
    unit: 'mm',
    sizes: [
      { size: 'ISO A0', orientation: 'landscape' },
      { size: 'ISO A1', orientation: 'landscape' },
      { size: 'ISO A2', orientation: 'landscape' },
      { size: 'ISO A3', orientation: 'landscape' },
      { size: 'ARCH D', orientation: 'landscape' },
    ],
    dimensions: [
      { name: 'strip', formula: '90 mm', bySize: { 'ISO A0': '100 mm', 'ISO A3': '62 mm' } },
      { name: 'titleRow', formula: '34 mm', bySize: { 'ISO A0': '42 mm', 'ISO A3': '24 mm' } },
      { name: 'numberRow', formula: 'round(strip * 0.32, 1 mm)' },
    ],
    frame: RULED_FRAME,
    panels: [
      {
        id: 'panel-1',
        name: 'Right strip',
        dock: 'right',
        width: 'strip',
        outlinePen: 'outline',
        dividerPen: 'divider',
        root,
      },
    ],
    loose: [
      {
        id: 'stamp-1',
        kind: 'stamp',
        pattern: '{sheet.status}',
        role: 'number',
        at: { of: 'drawing-area', anchor: 'upper-right', x: '-45 mm', y: '-14 mm' },
        angle: 0,
        boxed: true,
        opacity: 40,
        when: 'filled(sheet.status)',
      },
    ],
    modules: { columns: 4, rows: 3 },
  };
}

/** The block in the lower right corner, 180 mm wide as ISO 7200 (from memory) has it. */
export function harbourBlock(edition: 'first' | 'newest' = 'newest'): Design {
  const newest = edition === 'newest';
  beginDesign();
  const small = (name: string, words: string, pattern: string): Cell =>
    cell(name, caption(words), field(pattern, 'value-small'));
  const root = divided(
    'Block',
    'rows',
    [{ share: 1 }, { fixed: '14 mm' }, { fixed: '12 mm' }],
    [
      divided(
        'Owner and title',
        'columns',
        [{ fixed: '62 mm' }, { share: 1 }],
        [
          cell('Practice', caption('Legal owner'), field('{office.name}', 'value', WRAPPED)),
          divided(
            'Titles',
            'rows',
            [{ share: 1 }, { share: 1 }],
            [
              cell('Project', caption('Project'), field('{project.name}', 'value', WRAPPED)),
              cell('Title', caption('Title'), field('{sheet.title}', 'title', WRAPPED)),
            ],
          ),
        ],
      ),
      divided(
        'Client row',
        'columns',
        [{ share: 2 }, { share: 1 }, { share: 1 }],
        [
          cell('Client', caption('Client'), field('{project.client}', 'value-small', WRAPPED)),
          small('Scale', 'Scale', '{sheet.scale}'),
          newest ? small('Revision', 'Revision', '{sheet.revision}') : small('Status', 'Status', '{sheet.status}'),
        ],
      ),
      divided(
        'People and number',
        'columns',
        [{ fixed: '28 mm' }, { fixed: '28 mm' }, { fixed: '36 mm' }, { fixed: '28 mm' }, { share: 1 }],
        [
          newest
            ? small('Drawn', 'Created, checked by', '{sheet.drawnBy}[, {sheet.checkedBy}]')
            : small('Drawn', 'Created by', '{sheet.drawnBy}'),
          small('Approved', 'Approved by', '{sheet.approvedBy}'),
          small('Date', 'Date of issue', '{sheet.date}'),
          small('Sheet', 'Sheet', '{sheet.position} / {set.count}'),
          cell('Number', caption('Identification number'), field('{sheet.fileName}', 'title')),
        ],
      ),
    ],
  );
  return {
    format: 'mendrel-design',
    version: DESIGN_VERSION,
    name: 'Harbour block',
    unit: 'mm',
    sizes: [
      { size: 'ISO A1', orientation: 'landscape' },
      { size: 'ISO A2', orientation: 'landscape' },
      { size: 'ISO A3', orientation: 'landscape' },
      { size: 'ISO A4', orientation: 'portrait' },
    ],
    dimensions: [
      { name: 'blockWidth', formula: newest ? '180 mm' : '170 mm' },
      { name: 'blockHeight', formula: '64 mm', bySize: { 'ISO A4': '56 mm' } },
    ],
    frame: RULED_FRAME,
    panels: [
      {
        id: 'panel-1',
        name: 'Lower right block',
        dock: 'lower-right',
        width: 'blockWidth',
        height: 'blockHeight',
        outlinePen: 'outline',
        dividerPen: 'divider',
        root,
      },
    ],
    modules: { columns: 4, rows: 3 },
  };
}
