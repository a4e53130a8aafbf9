/** A piece of data that rows of a kind have, with examples invented for try-on, a row each. */
export interface RowKey {
  key: string;
  name: string;
  typical: readonly string[];
  /** The longest that is usual, for a cell that has to hold anything. */
  longest: string;
}

/** A column of a new table: its heading, what it shows, and how much of the table's width it takes. */
export interface UsualColumn {
  heading: string;
  shows: string;
  share: number;
}

export interface TableKind {
  /** What its tables are called. */
  name: string;
  /** What it is within a sentence: `the table of revisions`. */
  inWords: string;
  /**
   * Where rows come from: the register has them already, revisions and issues are made for each sheet, people enter them for the
   * office or a project, or they are recorded as areas are measured.
   */
  source: 'register' | 'revisions' | 'issues' | 'entered' | 'recorded';
  keys: readonly RowKey[];
  /** Columns of a new table. */
  columns: readonly UsualColumn[];
}

const rowKey = (key: string, name: string, typical: readonly string[], longest: string): RowKey => ({
  key,
  name,
  typical,
  longest,
});
const shown = (heading: string, key: string, share: number): UsualColumn => ({
  heading,
  shows: `{${key.includes('.') ? key : `row.${key}`}}`,
  share,
});

/** The kinds of table there are; a new kind is one more entry here. Examples are invented. */
export const TABLE_KINDS = {
  revisions: {
    name: 'Revisions',
    inWords: 'the table of revisions',
    source: 'revisions',
    keys: [
      rowKey('code', 'Revision', ['P01', 'P02', 'P03'], 'P02.01'),
      rowKey('date', 'Date', ['2031-02-14', '2031-03-21', '2031-04-02'], '30 September 2031'),
      rowKey(
        'description',
        'Description',
        ['First issue', 'Gangway moved to the east side', 'Tender'],
        'Gangway moved to the east side, doors of the waiting hall widened',
      ),
      rowKey('by', 'By', ['MO', 'MO', 'LS'], 'M. Oldacre'),
      rowKey('checked', 'Checked', ['TL', 'TL', 'RH'], 'T. Lanyard'),
    ],
    columns: [shown('Rev', 'code', 2), shown('Description', 'description', 8), shown('Date', 'date', 4)],
  },
  index: {
    name: 'Sheet index',
    inWords: 'the sheet index',
    source: 'register',
    keys: [],
    columns: [shown('Sheet', 'sheet.number', 2), shown('Title', 'sheet.title', 8), shown('Scale', 'sheet.scale', 3)],
  },
  issues: {
    name: 'Issues',
    inWords: 'the table of issues',
    source: 'issues',
    keys: [
      rowKey('date', 'Date', ['2031-03-21', '2031-04-02'], '30 September 2031'),
      rowKey('purpose', 'Purpose', ['For co-ordination', 'Tender'], 'For co-ordination and comment'),
      rowKey('set', 'Set', ['Planning', 'Tender'], 'Planning application, first stage'),
      rowKey('recipient', 'Sent to', ['Harbour Trust', 'All bidders'], 'Trustees of the Brackenmouth Harbour Trust'),
    ],
    columns: [shown('Date', 'date', 4), shown('Purpose', 'purpose', 6), shown('Sent to', 'recipient', 6)],
  },
  recipients: {
    name: 'Recipients',
    inWords: 'the table of recipients',
    source: 'issues',
    keys: [
      rowKey('firm', 'Firm', ['Harbour Trust', 'Tarn & Selvedge'], 'Trustees of the Brackenmouth Harbour Trust'),
      rowKey('person', 'Person', ['H. Pell', 'A. Tarn'], 'Dr Alexandra Tarn-Selvedge'),
      rowKey('copies', 'What they get', ['PDF', '2 prints'], 'PDF, DXF and 2 prints'),
    ],
    columns: [shown('Firm', 'firm', 6), shown('Person', 'person', 4), shown('Copies', 'copies', 3)],
  },
  areas: {
    name: 'Areas',
    inWords: 'the table of areas',
    source: 'recorded',
    keys: [
      rowKey('group', 'Group', ['Public', 'Public', 'Staff'], 'Public, ground floor'),
      rowKey('name', 'Area', ['Waiting hall', 'Ticket office', 'Crew room'], 'Waiting hall with gallery and kiosk'),
      rowKey('area', 'Size', ['312.40 m²', '41.75 m²', '28.10 m²'], '12,312.40 m²'),
    ],
    columns: [shown('Area', 'name', 6), shown('Size', 'area', 3)],
  },
  contacts: {
    name: 'Contacts',
    inWords: 'the table of contacts',
    source: 'entered',
    keys: [
      rowKey('discipline', 'Discipline', ['Structure', 'Services', 'Landscape'], 'Building services engineering'),
      rowKey(
        'firm',
        'Firm',
        ['Tarn & Selvedge', 'Copperline Services', 'Fenwright Gardens'],
        'Tarn, Selvedge and Partners, Structural Engineers',
      ),
      rowKey('person', 'Person', ['A. Tarn', 'J. Wick', 'P. Fenwright'], 'Dr Alexandra Tarn-Selvedge'),
      rowKey(
        'address',
        'Address',
        ['9 Ropewalk, Brackenmouth', '22 Foundry Yard, Tolliver', 'The Old Nursery, Osier Lane'],
        '22 Foundry Yard, Old Harbour Quarter, Brackenmouth',
      ),
      rowKey('phone', 'Phone', ['055 0142 771', '055 0142 316', '055 0142 904'], '+00 55 0142 771 204'),
      rowKey(
        'email',
        'E-mail',
        ['a@tarn.example', 'j@copperline.example', 'p@fenwright.example'],
        'office@tarn-selvedge.example',
      ),
    ],
    columns: [shown('Discipline', 'discipline', 3), shown('Firm', 'firm', 5), shown('Phone', 'phone', 3)],
  },
  key: {
    name: 'Abbreviations',
    inWords: 'the table of abbreviations',
    source: 'entered',
    keys: [
      rowKey('sign', 'Sign', ['FFL', 'SSL', 'DPC'], 'FFL/SSL'),
      rowKey(
        'meaning',
        'Meaning',
        ['Finished floor level', 'Structural slab level', 'Damp-proof course'],
        'Finished floor level above harbour datum',
      ),
    ],
    columns: [shown('Sign', 'sign', 1), shown('Meaning', 'meaning', 4)],
  },
  own: {
    name: 'A table of the office',
    inWords: 'the office’s table',
    source: 'entered',
    keys: [],
    columns: [shown('Column', 'c1', 1)],
  },
} as const satisfies Readonly<Record<string, TableKind>>;

export type TableKindName = keyof typeof TABLE_KINDS;
export const TABLES = Object.keys(TABLE_KINDS) as [TableKindName, ...TableKindName[]];

/** What is known of a kind of table. */
export const tableKindOf = (kind: TableKindName): TableKind => TABLE_KINDS[kind];

/** The columns of a new table of a kind, by shares of its width. */
export const usualColumns = (kind: TableKindName): { heading: string; shows: string; width: string }[] =>
  tableKindOf(kind).columns.map(({ heading, shows, share }) => ({ heading, shows, width: `${share}*` }));

const SCRAPED = /[^\p{L}]/gu;
/** Other words for a kind's data in headings, as offices write them; common practice, from memory. */
const SYNONYMS: Readonly<Record<string, string>> = {
  rev: 'code',
  revision: 'code',
  no: 'code',
  nr: 'code',
  mark: 'code',
  index: 'code',
  desc: 'description',
  text: 'description',
  amendment: 'description',
  change: 'description',
  changes: 'description',
  issued: 'date',
  drawn: 'by',
  drn: 'by',
  initials: 'by',
  chk: 'checked',
  ckd: 'checked',
  company: 'firm',
  consultant: 'firm',
  telephone: 'phone',
  tel: 'phone',
  email: 'email',
  mail: 'email',
  role: 'discipline',
  abbreviation: 'sign',
  symbol: 'sign',
  room: 'name',
  sheet: 'sheet.number',
  number: 'sheet.number',
  title: 'sheet.title',
  scale: 'sheet.scale',
  size: 'area',
};

/** What a column with a heading shows in a table of a kind: a pattern, or '' where the heading says nothing to it. */
export function patternFor(kind: TableKindName, heading: string): string {
  const { keys, source } = tableKindOf(kind);
  const word = heading.toLowerCase().replace(SCRAPED, '');
  const synonym = SYNONYMS[word];
  if (source === 'register') return synonym?.startsWith('sheet.') ? `{${synonym}}` : '';
  const known = keys.find(
    ({ key, name }) => key === word || name.toLowerCase().replace(SCRAPED, '') === word || key === synonym,
  );
  return known ? `{row.${known.key}}` : '';
}
