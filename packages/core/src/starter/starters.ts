import type { WorkingUnit } from '../quantity';
import type { Cell, Design, Dimension } from '../design';
import { DESIGN_VERSION } from '../design';
import type { OfficeStandard, SheetSize } from '../standard';
import { penFor } from '../standard';
import { fixed, Parts, share } from './parts';

/** What a new design starts from. */
export interface Starter {
  key: 'empty-sheet' | 'right-strip' | 'bottom-strip' | 'corner-block' | 'cover-sheet' | 'narrow-strip' | 'transmittal';
  name: string;
  /** What it is for, in a sentence. */
  words: string;
}

export const STARTERS: readonly Starter[] = [
  {
    key: 'right-strip',
    name: 'Right strip',
    words: 'A strip along the right edge: logo, notes, project, title, number.',
  },
  { key: 'bottom-strip', name: 'Bottom strip', words: 'A strip along the lower edge, in columns from the left.' },
  {
    key: 'corner-block',
    name: 'Corner block',
    words: 'A block 180 mm wide in the lower right corner, with the data fields of ISO 7200 (from memory).',
  },
  { key: 'cover-sheet', name: 'Cover sheet', words: 'A large title over the sheet index, the practice below.' },
  { key: 'empty-sheet', name: 'Empty sheet', words: 'The frame alone; panels are added in setting-out.' },
  {
    key: 'narrow-strip',
    name: 'Narrow strip',
    words: 'A low strip in one line, for A3, A4 and letter sheets.',
  },
  {
    key: 'transmittal',
    name: 'Transmittal sheet',
    words: 'Goes with an issue: to whom, what for, and which sheets at which revision. For A4 and letter sheets.',
  },
];

/** A frame that leaves its margins, zones and marks to the office standard. */
export const RULED_FRAME: Design['frame'] = {
  margins: 'standard',
  pen: 'frame',
  trimLine: true,
  zones: 'standard',
  centringMarks: 'standard',
  trimmingMarks: 'standard',
  foldMarks: 'standard',
};

/** A length that reads well in either unit: mm, or the nearest quarter of an inch. */
type Length = (mm: number) => string;

const lengthIn =
  (unit: WorkingUnit): Length =>
  (mm) =>
    unit === 'mm' ? `${mm} mm` : `${Math.max(0.25, Math.round(mm / 25.4 / 0.25) * 0.25)} in`;

type Body = Pick<Design, 'dimensions' | 'panels'>;

const dimension = (name: string, formula: string): Dimension => ({ name, formula });

function rightStrip(of: Length, p: Parts): Body {
  const root = p.rows(
    'Strip',
    [fixed(of(60)), p.cell('Logo', p.field('{office.name}', 'value', 2), p.field('{office.address}', 'notes', 2))],
    [share(), p.cell('Notes', p.caption('Notes'), p.notes('Do not scale from this drawing.'))],
    [fixed(of(36)), p.named('Client', '{project.client}', 'value', 2)],
    [fixed(of(36)), p.named('Project', '{project.name}', 'title', 2)],
    [fixed(of(34)), p.named('Sheet title', '{sheet.title}', 'title', 2)],
    [
      fixed(of(16)),
      p.columns(
        'Drawn and checked',
        [share(), p.named('Drawn', '{sheet.drawnBy}')],
        [share(), p.named('Checked', '{sheet.checkedBy}')],
      ),
    ],
    [
      fixed(of(16)),
      p.columns(
        'Scale and date',
        [share(), p.named('Scale', '{sheet.scale}')],
        [share(), p.named('Date', '{sheet.date}')],
      ),
    ],
    [fixed(of(28)), p.named('Sheet number', '{sheet.number}', 'number')],
  );
  return {
    dimensions: [dimension('strip', `min(${of(90)}, frame.width * 0.16)`)],
    panels: [p.panel(root, { name: 'Right strip', dock: 'right', width: 'strip' })],
  };
}

function bottomStrip(of: Length, p: Parts): Body {
  const stack = (name: string, upper: Cell, lower: Cell): Cell => p.rows(name, [share(), upper], [share(), lower]);
  const root = p.columns(
    'Strip',
    [share(2), p.cell('Practice', p.field('{office.name}', 'value', 2), p.field('{office.address}', 'notes', 2))],
    [
      share(3),
      stack(
        'Project and client',
        p.named('Project', '{project.name}', 'title', 2),
        p.named('Client', '{project.client}'),
      ),
    ],
    [share(3), p.named('Sheet title', '{sheet.title}', 'title', 2)],
    [
      share(2),
      stack(
        'People and data',
        p.columns(
          'People',
          [share(), p.named('Drawn', '{sheet.drawnBy}')],
          [share(), p.named('Checked', '{sheet.checkedBy}')],
        ),
        p.columns('Data', [share(), p.named('Scale', '{sheet.scale}')], [share(), p.named('Date', '{sheet.date}')]),
      ),
    ],
    [fixed(of(50)), p.named('Sheet number', '{sheet.number}', 'number')],
  );
  return {
    dimensions: [dimension('strip', of(45))],
    panels: [p.panel(root, { name: 'Bottom strip', dock: 'bottom', height: 'strip' })],
  };
}

/** ISO 7200 (from memory): legal owner, identification number, date of issue, sheet, title, approval, creator, document type. */
function cornerBlock(p: Parts): Body {
  const root = p.rows(
    'Block',
    [
      share(),
      p.columns(
        'Owner and title',
        [fixed('60 mm'), p.named('Legal owner', '{office.name}', 'value', 2)],
        [
          share(),
          p.rows(
            'Titles',
            [share(3), p.named('Title', '{sheet.title}', 'title', 2)],
            [share(2), p.named('Supplementary title', '{sheet.subtitle}')],
          ),
        ],
      ),
    ],
    [
      fixed('14 mm'),
      p.columns(
        'Kind and state',
        [share(3), p.named('Project', '{project.name}')],
        [share(2), p.named('Document type', '{sheet.kind}')],
        [share(2), p.named('Document status', '{sheet.status}')],
      ),
    ],
    [
      fixed('14 mm'),
      p.columns(
        'People and number',
        [fixed('26 mm'), p.named('Creator', '{sheet.drawnBy}')],
        [fixed('26 mm'), p.named('Approved', '{sheet.approvedBy}')],
        [share(), p.named('Identification number', '{sheet.fileName}')],
        [fixed('12 mm'), p.named('Rev', '{sheet.revision}')],
        [fixed('24 mm'), p.named('Date of issue', '{sheet.date}', 'small value')],
        [fixed('22 mm'), p.named('Sheet', '{sheet.position} / {set.count}', 'small value')],
      ),
    ],
  );
  return {
    dimensions: [dimension('blockWidth', 'min(180 mm, frame.width)'), dimension('blockHeight', '60 mm')],
    panels: [p.panel(root, { name: 'Corner block', dock: 'lower-right', width: 'blockWidth', height: 'blockHeight' })],
  };
}

function coverSheet(of: Length, p: Parts): Body {
  const rowHeight = of(7);
  const index = p.cell(
    'Sheet index',
    p.table('index', rowHeight, { title: 'Sheet index', beside: 3, onlyFilled: true }),
  );
  const contacts = p.cell('Contacts', p.table('contacts', rowHeight, { title: 'Contacts', onlyFilled: true }));
  const root = p.rows(
    'Cover',
    [share(3), p.named('Project', '{project.name}', 'number', 3)],
    [
      share(2),
      p.columns(
        'Client and place',
        [share(), p.named('Client', '{project.client}', 'title', 2)],
        [share(), p.named('Address', '{project.address}', 'title', 2)],
        [share(), p.named('Set', '{set.name}', 'title', 2)],
      ),
    ],
    [share(5), index],
    [share(2), contacts],
    [
      fixed(of(32)),
      p.columns(
        'Practice',
        [share(3), p.cell('Practice', p.field('{office.name}', 'title'), p.field('{office.address}', 'notes', 2))],
        [share(), p.named('Date', '{sheet.date}')],
        [share(), p.named('Status', '{sheet.status}')],
        [fixed(of(50)), p.named('Sheet number', '{sheet.number}', 'number')],
      ),
    ],
  );
  return {
    dimensions: [],
    panels: [p.panel(root, { name: 'Cover', dock: 'right', width: 'frame.width' })],
  };
}

function narrowStrip(of: Length, p: Parts): Body {
  const root = p.columns(
    'Strip',
    [share(3), p.named('Project', '{project.name}')],
    [share(4), p.named('Sheet title', '{sheet.title}', 'value', 1)],
    [share(), p.named('Scale', '{sheet.scale}', 'small value')],
    [share(), p.named('Date', '{sheet.date}', 'small value')],
    [fixed(of(28)), p.named('Sheet number', '{sheet.number}', 'title')],
  );
  return {
    dimensions: [dimension('strip', of(14))],
    panels: [p.panel(root, { name: 'Narrow strip', dock: 'bottom', height: 'strip' })],
  };
}

/** Goes with an issue: its data are those of the issue, its index lists the sheets that go out. */
function transmittal(of: Length, p: Parts): Body {
  const rowHeight = of(6);
  const columns = [
    { heading: 'Sheet', shows: '{sheet.number}', width: '3*' },
    { heading: 'Title', shows: '{sheet.title}', width: '10*' },
    { heading: 'Size', shows: '{sheet.size}', width: '2*' },
    { heading: 'Rev', shows: '{sheet.revision}', width: '2*' },
  ];
  const index = p.table('index', rowHeight, { title: 'Sheets', columns, more: 'next', onlyFilled: true });
  const recipients = p.table('recipients', rowHeight, { title: 'Sent to', onlyFilled: true });
  const root = p.rows(
    'Transmittal',
    [fixed(of(26)), p.cell('Practice', p.field('{office.name}', 'title'), p.field('{office.address}', 'notes', 2))],
    [
      fixed(of(18)),
      p.columns(
        'Project',
        [share(3), p.named('Project', '{project.name}', 'value', 2)],
        [share(), p.named('Project number', '{project.number}')],
      ),
    ],
    [
      fixed(of(16)),
      p.columns(
        'Issue',
        [share(2), p.named('Issue', '{sheet.number}[, {sheet.subtitle}]', 'small value')],
        [share(3), p.named('Purpose', '{sheet.issuePurpose}')],
        [share(2), p.named('Date', '{sheet.issueDate}')],
        [share(1), p.named('Sheets', '{set.count}')],
      ),
    ],
    [share(1), p.cell('Sent to', recipients)],
    [share(4), p.cell('Sheets', index)],
  );
  return { dimensions: [], panels: [p.panel(root, { name: 'Transmittal', dock: 'right', width: 'frame.width' })] };
}

/**
 * A new design from a starter.
 * @param sizes the sheet sizes it is to serve; its first one is looked at first
 */
export function starterDesign(
  key: Starter['key'],
  name: string,
  unit: WorkingUnit,
  sizes: readonly SheetSize[],
  standard: Pick<OfficeStandard, 'roles' | 'pens'>,
): Design {
  const of = lengthIn(unit);
  const p = new Parts(standard, unit);
  const body = {
    'empty-sheet': () => ({ dimensions: [], panels: [] }),
    'right-strip': () => rightStrip(of, p),
    'bottom-strip': () => bottomStrip(of, p),
    'corner-block': () => cornerBlock(p),
    'cover-sheet': () => coverSheet(of, p),
    'narrow-strip': () => narrowStrip(of, p),
    transmittal: () => transmittal(of, p),
  }[key]();
  return {
    format: 'mendrel-design',
    version: DESIGN_VERSION,
    name,
    unit,
    sizes: sizes.map((size) => ({ size: size.name, orientation: usualOrientation(size) })),
    frame: { ...RULED_FRAME, pen: penFor(standard, 'frame').id },
    modules: { columns: 4, rows: 3 },
    ...body,
  };
}

/** Small sheets are read upright, as ISO 5457 (from memory) has it for A4; larger ones lie. */
export const usualOrientation = ({ width, height }: SheetSize): 'landscape' | 'portrait' =>
  Math.max(width, height) < 300 ? 'portrait' : 'landscape';
