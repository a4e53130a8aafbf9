import type { SheetCreate } from '@mendrel/contract';
import type { Recipient, View } from '@mendrel/core';
import { outlineValue } from '@mendrel/core';

/** A view in the demo: name, extents in metres, scale, module; without a module it has no place yet. */
type DemoView = [name: string, width: number, height: number, scale: string | null, module: string | null];

interface DemoSheet {
  number: string;
  title: string;
  kind: SheetCreate['kind'];
  size: string;
  drawnBy: string;
  checkedBy: string;
  views: DemoView[];
}

export interface DemoProject {
  values: Record<string, string>;
  contacts: Record<string, string>[];
  design: 'quay' | 'harbour';
  /** Whether its covers have a design of their own. */
  cover?: true;
  date: string;
  status: string;
  sheets: DemoSheet[];
  firstRevision: string;
  /** The device of the standard that its sheets are printed on. */
  device?: string;
  revisions: DemoRevision[];
  sets?: DemoSet[];
}

/** A set, which sheets it has by their numbers, and the issue of it. */
interface DemoSet {
  name: string;
  purpose: string;
  of: (number: string) => boolean;
  /** The day on which it goes out next. */
  due?: string;
  issue?: { date: string; recipients: Recipient[]; remarks: string };
}

/** A revision, and which sheets it is for, by their numbers. */
interface DemoRevision {
  date: string;
  description: string;
  by: string;
  checked: string;
  of: (number: string) => boolean;
}

const revision = (
  date: string,
  description: string,
  by: string,
  of: DemoRevision['of'] = () => true,
): DemoRevision => ({
  date,
  description,
  by,
  checked: by === 'TL' ? 'RH' : 'TL',
  of,
});

/** Details and schedules, which come later than plans. */
const isLater = (number: string): boolean => /-[56]\d\d$/.test(number);

const FT = 0.3048;

/** Views with ids; extents in mm. */
export function demoViews(views: readonly DemoView[]): View[] {
  return views.map(([name, width, height, scale, module], i) => ({
    id: `view-${i + 1}`,
    name,
    realWidth: Math.round(width * 1000),
    realHeight: Math.round(height * 1000),
    scale,
    module,
  }));
}

type Row = [number: string, title: string, kind: SheetCreate['kind'], drawnBy: string, views?: DemoView[]];

const rows = (size: string | ((row: Row) => string), list: readonly Row[]): DemoSheet[] =>
  list.map((row) => {
    const [number, title, kind, drawnBy, views = []] = row;
    const checkedBy = drawnBy === 'TL' ? 'RH' : 'TL';
    return { number, title, kind, size: typeof size === 'string' ? size : size(row), drawnBy, checkedBy, views };
  });

const hall = (name: string): DemoView => [name, 62, 40, '1:100', 'A1'];
const elevation = (name: string, module: string): DemoView => [name, 62, 15, '1:100', module];
const detail = (name: string, module: string): DemoView => [name, 0.75, 0.72, '1:10', module];

const contact = (discipline: string, firm: string, phone: string): Record<string, string> => ({
  discipline,
  firm,
  phone,
});

/** The site of the ferry terminal: ticket hall, waiting deck, quay with its gangway, and the edge of the water. */
const SITE = outlineValue({
  width: 124,
  height: 62,
  parts: [
    { name: 'Hall', ring: [0, 22, 44, 22, 44, 62, 0, 62] },
    { name: 'Deck', ring: [44, 22, 96, 22, 96, 50, 44, 50] },
    { name: 'Quay', ring: [0, 6, 96, 6, 96, 22, 0, 22] },
  ],
  lines: [
    [96, 14, 124, 2],
    [96, 18, 124, 6],
    [0, 0, 124, 0],
  ],
});

/** The part of the site that a sheet shows, by its title. */
export const partOf = (title: string): string =>
  /quay|gangway|waterside|pontoon/i.test(title)
    ? 'Quay'
    : /deck/i.test(title)
      ? 'Deck'
      : /hall|stair|lift|washroom/i.test(title)
        ? 'Hall'
        : 'Hall, Deck';

const ferryTerminal: DemoProject = {
  contacts: [
    contact('Structure', 'Tarn & Selvedge', '055 0142 771'),
    contact('Services', 'Copperline Services', '055 0142 316'),
    contact('Landscape', 'Fenwright Gardens', '055 0142 904'),
  ],
  values: {
    'project.name': 'Brackenmouth Ferry Terminal',
    'project.number': 'BFT',
    'project.address': 'South Quay, Brackenmouth',
    'project.client': 'Brackenmouth Harbour Trust',
    'project.clientAddress': 'Harbour House, Brackenmouth',
    'project.phase': 'Tender',
    'project.fireClass': 'Class 2',
    'project.datum': '4.20 m',
    'project.originator': 'QWS',
    'project.keyPlan': SITE,
  },
  design: 'quay',
  cover: true,
  date: '2031-04-02',
  status: 'Tender',
  firstRevision: 'P01',
  device: 'roll-plotter',
  revisions: [
    revision('2031-02-14', 'First issue', 'MO', (number) => !isLater(number)),
    revision('2031-03-21', 'Gangway moved to the east side', 'MO', (number) =>
      ['A-104', 'A-202', 'A-203', 'A-509', 'L-101', 'S-102'].includes(number),
    ),
    revision('2031-04-02', 'Tender', 'LS'),
  ],
  sets: [
    {
      name: 'Tender',
      purpose: 'For tender',
      // Its title does not fit yet, so that it does not go out.
      of: (number) => number !== 'A-504',
      issue: {
        date: '2031-04-02',
        recipients: [
          { firm: 'Brackenmouth Harbour Trust', person: 'H. Pell', copies: 'PDF, 1 print' },
          { firm: 'Tarn & Selvedge', person: 'A. Tarn', copies: 'PDF, DXF' },
          { firm: 'Copperline Services', person: 'J. Wick', copies: 'PDF' },
        ],
        remarks: 'Sent with the bill of quantities.',
      },
    },
    {
      name: 'Harbour board',
      purpose: 'For information',
      due: '2031-05-20',
      of: (number) => ['G-001', 'G-002', 'A-101', 'A-102', 'A-201'].includes(number),
    },
  ],
  sheets: rows(
    ([, , kind]) => (kind === 'detail' || kind === 'schedule' ? 'ISO A3' : 'ISO A1'),
    [
      ['G-001', 'Cover and index', 'cover', 'LS'],
      ['G-002', 'Location and site', 'plan', 'LS', [['Site plan', 320, 210, '1:500', 'A1']]],
      ['A-101', 'Ground floor plan', 'plan', 'MO', [hall('Ground floor plan')]],
      ['A-102', 'Upper deck plan', 'plan', 'MO', [hall('Upper deck plan')]],
      ['A-103', 'Roof plan', 'plan', 'RH', [hall('Roof plan')]],
      ['A-104', 'Quay level and gangways', 'plan', 'MO', [hall('Quay level')]],
      ['A-105', 'Plant level plan', 'plan', 'RH', [hall('Plant level')]],
      ['A-106', 'Reflected ceiling plan, ticket hall', 'plan', 'MO', [['Ceiling, ticket hall', 30, 24, '1:50', 'A1']]],
      ['A-107', 'Floor finishes plan', 'plan', 'RH', [hall('Floor finishes')]],
      [
        'A-201',
        'North and south elevations',
        'elevation',
        'MO',
        [elevation('North elevation', 'B1'), elevation('South elevation', 'A1')],
      ],
      [
        'A-202',
        'East elevation, waterside, with pontoon and gangway',
        'elevation',
        'TL',
        [elevation('East elevation', 'B1')],
      ],
      [
        'A-203',
        'West elevation and forecourt canopy',
        'elevation',
        'TL',
        [elevation('West elevation', 'B1'), ['Canopy', 18, 7, '1:50', 'A1']],
      ],
      [
        'A-301',
        'Sections A and B',
        'section',
        'TL',
        [
          ['Section A', 33, 9.5, '1:50', 'B1'],
          ['Section B', 33, 9.5, '1:50', 'A1'],
        ],
      ],
      ['A-302', 'Section C through ticket hall', 'section', 'TL', [['Section C', 34, 16, '1:50', 'A1']]],
      ['A-303', 'Sections through quay edge', 'section', 'RH', [['Section through quay edge', 14, 8, '1:20', 'A1']]],
      ['A-401', 'Ticket hall, large-scale plan', 'large-scale', 'RH', [['Ticket hall', 12, 10, '1:20', 'A1']]],
      [
        'A-402',
        'Washrooms, large-scale plans',
        'large-scale',
        'MO',
        [
          ['Washrooms, ground floor', 6.5, 5, '1:20', 'A1'],
          ['Washrooms, upper deck', 6.5, 5, '1:20', 'A3'],
        ],
      ],
      [
        'A-403',
        'Main stair',
        'large-scale',
        'RH',
        [
          ['Stair plan', 6.4, 3.4, '1:20', 'B1'],
          ['Stair section', 6.8, 3.6, '1:20', 'A3'],
        ],
      ],
      ['A-404', 'Lift and lobby', 'large-scale', 'LS', [['Lift lobby', 5, 4, '1:20', 'A1']]],
      ['A-501', 'Envelope details', 'detail', 'RH', [detail('Eaves', 'B1'), detail('Sill', 'B3')]],
      ['A-502', 'Glazing details', 'detail', '', [detail('Mullion', 'B1'), ['Transom', 0.36, 0.34, '1:5', 'B3']]],
      ['A-503', 'Roof edge and gutter details', 'detail', 'RH', [detail('Gutter', 'B1')]],
      [
        'A-504',
        'Canopy connection details at the pontoon gangway and the waterside balustrade',
        'detail',
        'TL',
        [detail('Canopy fixing', 'B1')],
      ],
      ['A-505', 'Balustrade details', 'detail', 'MO', [detail('Balustrade', 'B1')]],
      ['A-506', 'Quay edge waterproofing', 'detail', 'RH', [detail('Quay edge', 'B1')]],
      ['A-507', 'Door threshold details', 'detail', 'MO', [detail('Threshold', 'B1')]],
      ['A-508', 'Stair nosing and landing details', 'detail', 'LS', [detail('Nosing', 'B1')]],
      ['A-509', 'Gangway bearing details', 'detail', 'TL', [['Bearing', 1, 0.9, '1:10', null]]],
      ['A-510', 'Signage fixing details', 'detail', 'LS', [['Totem', 0.9, 1.2, null, 'A1']]],
      ['A-601', 'Door schedule', 'schedule', 'LS'],
      ['A-602', 'Finishes schedule', 'schedule', 'LS'],
      ['A-603', 'Window and glazing schedule', 'schedule', 'LS'],
      ['A-604', 'Sanitary schedule', 'schedule', 'MO'],
      ['A-605', 'Ironmongery schedule', 'schedule', 'MO'],
      ['L-101', 'Forecourt and landscape plan', 'plan', 'LS', [['Forecourt', 120, 90, '1:200', 'A1']]],
      ['L-102', 'Planting plan', 'plan', 'LS', [['Planting', 120, 90, '1:200', 'A1']]],
      ['L-501', 'Paving details', 'detail', 'LS', [detail('Paving edge', 'B1')]],
      ['S-101', 'Foundation plan', 'plan', 'TL', [hall('Foundations')]],
      ['S-102', 'Deck framing plan', 'plan', 'TL', [hall('Deck framing')]],
      ['S-103', 'Roof framing plan', 'plan', 'TL', [hall('Roof framing')]],
      ['S-301', 'Structural sections', 'section', 'TL', [['Section 1', 34, 16, '1:50', 'A1']]],
      ['S-501', 'Steel connection details', 'detail', 'TL', [detail('Node 1', 'B1'), detail('Node 2', 'B3')]],
    ],
  ),
};

const wing = (name: string): DemoView => [name, 200 * FT, 120 * FT, `1/8" = 1'-0"`, 'A1'];

const fieldStation: DemoProject = {
  contacts: [
    contact('Structure', 'Heron Timber Design', '055 0188 210'),
    contact('Civil', 'Culvert & Bank', '055 0188 477'),
  ],
  values: {
    'project.name': 'Tolliver Creek Field Station',
    'project.number': '3107',
    'project.address': '88 Lower Creek Road, Tolliver',
    'project.client': 'Tolliver Watershed Council',
    'project.clientAddress': '12 Mill Street, Tolliver',
    'project.phase': 'Construction documents',
  },
  design: 'quay',
  date: '06/14/2031',
  status: 'For permit',
  firstRevision: '1',
  revisions: [revision('06/14/2031', 'For permit', 'EV')],
  sheets: rows('ARCH D', [
    ['G-001', 'Cover sheet', 'cover', 'EV'],
    ['G-002', 'Code summary and life safety', 'cover', 'EV'],
    ['A-101', 'First floor plan', 'plan', 'RH', [wing('First floor plan')]],
    ['A-102', 'Second floor plan', 'plan', 'RH', [wing('Second floor plan')]],
    ['A-103', 'Roof plan', 'plan', 'RH', [wing('Roof plan')]],
    ['A-104', 'Reflected ceiling plan', 'plan', 'EV', [wing('Reflected ceiling plan')]],
    [
      'A-201',
      'Building elevations',
      'elevation',
      'RH',
      [
        ['North elevation', 60.9, 9, `1/8" = 1'-0"`, 'C1'],
        ['South elevation', 60.9, 9, `1/8" = 1'-0"`, 'A1'],
      ],
    ],
    [
      'A-202',
      'Building elevations, wet laboratory wing',
      'elevation',
      'EV',
      [['East elevation', 40, 9, `1/8" = 1'-0"`, 'B1']],
    ],
    ['A-301', 'Building sections', 'section', 'RH', [['Section A', 30, 9, `1/4" = 1'-0"`, 'B1']]],
    [
      'A-302',
      'Wall sections',
      'section',
      'EV',
      [
        ['Wall section 1', 3, 9, `3/4" = 1'-0"`, 'A1'],
        ['Wall section 2', 3, 9, `3/4" = 1'-0"`, 'A2'],
      ],
    ],
    [
      'A-401',
      'Enlarged laboratory plans',
      'large-scale',
      'RH',
      [
        ['Wet laboratory', 12, 9, `1/4" = 1'-0"`, 'A1'],
        ['Sample store', 6, 5, `1/2" = 1'-0"`, 'A3'],
      ],
    ],
    ['A-402', 'Enlarged restroom plans', 'large-scale', 'EV', [['Restrooms', 7, 5, `1/4" = 1'-0"`, 'A1']]],
    ['A-501', 'Roof details', 'detail', 'RH', [['Ridge', 1, 1, `3" = 1'-0"`, 'A1']]],
    ['A-502', 'Deck and railing details', 'detail', 'EV', [['Railing', 1.2, 1.2, `1 1/2" = 1'-0"`, 'A1']]],
    ['A-601', 'Door and window schedules', 'schedule', 'EV'],
    ['A-602', 'Room finish schedule', 'schedule', 'EV'],
    ['S-101', 'Foundation plan', 'plan', 'RH', [wing('Foundation plan')]],
    ['S-102', 'Framing plan', 'plan', 'RH', [wing('Framing plan')]],
  ]),
};

const pumpHouse: DemoProject = {
  contacts: [contact('Structure', 'Tarn & Selvedge', '055 0142 771')],
  values: {
    'project.name': 'Osier Lane Pump House',
    'project.number': '2210',
    'project.address': 'Osier Lane, Brackenmouth',
    'project.client': 'Osier Lane Trust',
    'project.phase': 'Planning',
  },
  design: 'harbour',
  date: '2031-05-12',
  status: 'Planning',
  firstRevision: 'A',
  revisions: [revision('2031-05-12', 'Planning', 'MO')],
  sheets: rows(
    ([, , kind]) => (kind === 'detail' ? 'ISO A3' : 'ISO A2'),
    [
      ['G-001', 'Location plan', 'cover', 'MO', [['Location plan', 340, 320, '1:1250', 'B1']]],
      ['A-101', 'Existing plans', 'plan', 'MO', [['Existing ground floor', 16, 9, '1:50', 'B1']]],
      ['A-102', 'Proposed ground floor', 'plan', 'MO', [['Ground floor', 16, 9, '1:50', 'B1']]],
      ['A-103', 'Proposed gallery and roof', 'plan', 'MO', [['Gallery', 16, 9, '1:50', 'B1']]],
      [
        'A-201',
        'Elevations',
        'elevation',
        'MO',
        [
          ['Lane elevation', 12, 6, '1:50', 'C1'],
          ['Creek elevation', 12, 6, '1:50', 'B1'],
        ],
      ],
      [
        'A-301',
        'Sections A and B',
        'section',
        'TL',
        [
          ['Section A', 12, 7, '1:50', 'B1'],
          ['Section B', 3.65, 2.5, '1:50', 'A3'],
        ],
      ],
      ['A-501', 'Roof light details', 'detail', 'TL', [['Roof light', 0.9, 0.7, '1:10', 'B1']]],
      ['A-502', 'Window repair details', 'detail', 'TL', [['Sash', 0.4, 0.35, '1:5', 'B1']]],
      ['A-503', 'Stair details', 'detail', 'MO'],
    ],
  ),
};

export const DEMO_PROJECTS: readonly DemoProject[] = [ferryTerminal, fieldStation, pumpHouse];
