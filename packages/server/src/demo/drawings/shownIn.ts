import type { DetailName } from './details';
import { DETAILS, placeOf } from './details';
import type { LayerName } from './drafting';
import { FOOT, STATION_STEP } from './fieldStation';
import type { DemoDrawingName } from './index';
import { PUMP_HOUSE } from './pumpHouse';
import { ELEVATION_STEP, SECTION_STEP } from './terminalElevations';
import { FORECOURT } from './terminalSite';

/** What a view of the demo shows: a drawing, from a corner on, without some layers. */
export interface Shows {
  drawing: DemoDrawingName;
  x: number;
  y: number;
  hidden?: readonly LayerName[];
  /** What others call it that are large-scale parts of it, and what it is such a part of. */
  id?: string;
  partOf?: string;
}

const FINISHES: readonly LayerName[] = ['A-FLOR-PATT'];
const CEILING: readonly LayerName[] = ['A-CLNG', 'A-CLNG-LITE'];
const AREAS: readonly LayerName[] = ['A-AREA'];

const plan = (drawing: DemoDrawingName, hidden: readonly LayerName[] = AREAS): Shows => ({
  drawing,
  x: -4000,
  y: -5000,
  hidden,
});
const groundPart = (x: number, y: number): Shows => ({
  drawing: 'ground floor',
  x,
  y,
  hidden: [...AREAS, ...CEILING],
  partOf: 'ground-floor-plan',
});
const elevation = (i: number, x = -4000, y = -3500): Shows => ({ drawing: 'elevations', x, y: i * ELEVATION_STEP + y });
const detail = (name: DetailName): Shows => ({ drawing: 'details', ...placeOf(name) });

const TERMINAL: Readonly<Record<string, Shows>> = {
  ...Object.fromEntries(DETAILS.map((name) => [name, detail(name)])),
  'Site plan': { drawing: 'site', x: 0, y: 0 },
  'Ground floor plan': { ...plan('ground floor', [...AREAS, ...FINISHES, ...CEILING]), id: 'ground-floor-plan' },
  'Upper deck plan': { ...plan('upper deck'), id: 'upper-deck-plan' },
  'Roof plan': plan('roof'),
  'Quay level': plan('quay level'),
  'Plant level': plan('plant level'),
  'Ceiling, ticket hall': {
    drawing: 'ground floor',
    x: 0,
    y: 8500,
    hidden: [...AREAS, ...FINISHES, 'A-FURN', 'A-AREA-IDEN'],
  },
  'Floor finishes': plan('ground floor', [...AREAS, ...CEILING, 'A-FURN']),
  'North elevation': elevation(0),
  'South elevation': elevation(1),
  'East elevation': elevation(2, -16_000),
  'West elevation': elevation(3, -16_000),
  Canopy: elevation(1, 38_000, -500),
  'Section A': { drawing: 'sections', x: -1500, y: -500 },
  'Section B': { drawing: 'sections', x: -1500, y: SECTION_STEP - 500 },
  'Section C': { drawing: 'sections', x: -2000, y: 2 * SECTION_STEP - 3000 },
  'Section 1': { drawing: 'sections', x: -2000, y: 2 * SECTION_STEP - 3000 },
  'Section through quay edge': { drawing: 'quay edge', x: 0, y: -600 },
  'Ticket hall': groundPart(1500, 19_000),
  'Washrooms, ground floor': groundPart(11_750, 200),
  'Washrooms, upper deck': { ...groundPart(11_750, 200), drawing: 'upper deck', partOf: 'upper-deck-plan' },
  'Stair plan': groundPart(17_800, 900),
  'Stair section': { drawing: 'sections', x: 17_500, y: -300 },
  'Lift lobby': groundPart(23_100, 2200),
  Forecourt: { drawing: 'site', ...FORECOURT },
  Planting: { drawing: 'site', ...FORECOURT, hidden: ['C-TOPO', 'A-ROOF', 'A-OVHD'] },
  Foundations: plan('foundations'),
  'Deck framing': plan('deck framing'),
  'Roof framing': plan('roof framing'),
};

const wing = (drawing: DemoDrawingName, hidden: readonly LayerName[] = [...AREAS, ...CEILING]): Shows => ({
  drawing,
  x: -16 * FOOT,
  y: -24 * FOOT,
  hidden,
});
const stationPart = (x: number, y: number): Shows => ({
  drawing: 'station first floor',
  x: x * FOOT,
  y: y * FOOT,
  hidden: [...AREAS, ...CEILING],
});
const stationElevation = (i: number, x: number): Shows => ({
  drawing: 'station elevations',
  x,
  y: i * STATION_STEP - 500,
});

const STATION: Readonly<Record<string, Shows>> = {
  'First floor plan': wing('station first floor'),
  'Second floor plan': wing('station second floor'),
  'Roof plan': wing('station roof'),
  'Reflected ceiling plan': wing('station first floor', [...AREAS, 'A-FURN', 'A-SANI']),
  'North elevation': stationElevation(0, -4800),
  'South elevation': stationElevation(1, -4800),
  'East elevation': stationElevation(2, -9000),
  'Section A': stationElevation(3, -4000),
  'Wall section 1': stationElevation(3, -800),
  'Wall section 2': stationElevation(3, 20_200),
  'Wet laboratory': stationPart(90, 0.5),
  'Sample store': stationPart(121, 12),
  Restrooms: stationPart(48.5, 56),
};

const part = (name: keyof typeof PUMP_HOUSE, left: number, below: number): Shows => ({
  drawing: 'pump house',
  x: PUMP_HOUSE[name].x - left,
  y: PUMP_HOUSE[name].y - below,
  hidden: AREAS,
});

const PUMP: Readonly<Record<string, Shows>> = {
  'Existing ground floor': part('existing', 2500, 1700),
  'Ground floor': part('ground', 2500, 1700),
  Gallery: part('gallery', 2500, 1700),
  'Lane elevation': part('lane', 500, 400),
  'Creek elevation': part('creek', 500, 900),
  'Section A': part('sectionA', 500, 1000),
  'Section B': part('sectionB', -1000, 100),
};

/** What each view shows, by the number of its project and its own name; other views have no drawing yet. */
export const SHOWN_IN: Readonly<Record<string, Readonly<Record<string, Shows>>>> = {
  BFT: TERMINAL,
  3107: STATION,
  2210: PUMP,
};
