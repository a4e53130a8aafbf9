import { writeDxf } from '@mendrel/formats/dxf';
import { details } from './details';
import type { Draft } from './drafting';
import { LAYERS } from './drafting';
import { stationElevations, stationFloor, stationRoof } from './fieldStation';
import { elevations, quayEdge, sections } from './terminalElevations';
import { framing, groundFloor, plantLevel, quayLevel, roof, upperDeck } from './terminalPlans';
import { pumpHouse } from './pumpHouse';
import { site } from './terminalSite';

/** The drawings that views of the demo show, by the names of their files without the ending. */
const DRAWN = {
  site: site,
  'ground floor': groundFloor,
  'upper deck': upperDeck,
  roof: roof,
  'quay level': quayLevel,
  'plant level': plantLevel,
  elevations: elevations,
  sections: sections,
  'quay edge': quayEdge,
  details: details,
  foundations: () => framing('foundations'),
  'deck framing': () => framing('deck'),
  'roof framing': () => framing('roof'),
  'station first floor': () => stationFloor(1),
  'station second floor': () => stationFloor(2),
  'station roof': stationRoof,
  'station elevations': stationElevations,
  'pump house': pumpHouse,
} as const satisfies Readonly<Record<string, () => Draft>>;

export type DemoDrawingName = keyof typeof DRAWN;

/** A drawing of the demo as a DXF file in millimetres. */
export function demoDrawing(name: DemoDrawingName): Buffer {
  const { items } = DRAWN[name]();
  const layers = Object.entries(LAYERS).map(([layer, look]) => ({
    name: layer,
    width: look.width,
    colour: '#000000',
    pattern: 'dashes' in look ? { name: `DASHES-${look.dashes.join('-')}`, dashes: [...look.dashes] } : undefined,
  }));
  const file = writeDxf(
    { width: 1000, height: 1000, items },
    { blockName: 'Sheet', layers, fontFile: () => 'PublicSans.ttf' },
  );
  return Buffer.from(file);
}
