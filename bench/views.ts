import DxfParser from 'dxf-parser';
import type { Item } from '@mendrel/core';
import { arrangeOverSheets, measureAreas, moduleGrid, pieceItems, sourceSpace } from '@mendrel/core';
import { MaxRectsPacker } from 'maxrects-packer';
import { readDxf, spacesOf } from '@mendrel/formats/dxf';
import { svgPicture } from '@mendrel/formats/svg';
import { packedSpace, unpackedSpace } from '@mendrel/reading/source';
import { planSheet } from './densePlan';
import { inTurns, report, wait } from './measure';

/** What a plan of 20 MB may take until it is on screen, the areas of 500 rooms, and arranging 300 views, in ms. */
const [MOST_PLAN_MS, MOST_AREAS_MS, MOST_ARRANGING_MS] = [3000, 500, 1000];
const VIEWS = 300;
const ROOMS = 500;

const on = { layer: 'AREA', part: 'view' } as const;

/** Rooms beside and above each other, each with its name and its number. */
function rooms(): Item[] {
  return Array.from({ length: ROOMS }, (_, i): Item[] => {
    const [x, y] = [(i % 25) * 4000, Math.floor(i / 25) * 5000];
    const text = {
      kind: 'text',
      at: { x: x + 500, y: y + 2000 },
      height: 250,
      width: 1500,
      widthFactor: 1,
      rotation: 0,
      typeface: '',
      role: '',
    } as const;
    return [
      { ...on, kind: 'stroke', points: [x, y, x + 4000, y, x + 4000, y + 5000, x, y + 5000], closed: true, width: 0.1 },
      { ...on, ...text, layer: 'NAMES', text: `Room ${i}` },
      { ...on, ...text, layer: 'NAMES', text: `${Math.floor(i / 25)}.${i % 25}`, height: 180 },
    ];
  }).flat();
}

/** Views of all sizes over as few sheets as hold them, against a packer of rectangles that knows no modules. */
function benchArranging(): void {
  const grid = moduleGrid({ x: 0, y: 0, width: 720, height: 573 }, { columns: 12, rows: 9 });
  const sizes = Array.from({ length: VIEWS }, (_, i) => ({
    width: 30 + ((i * 7919) % 350),
    height: 30 + ((i * 104_729) % 300),
  }));
  const views = sizes.map(({ width, height }, i) => ({
    view: {
      id: `v${i}`,
      name: `View ${i}`,
      realWidth: width * 100,
      realHeight: height * 100,
      scale: '1:100',
      module: null,
    },
    group: '',
  }));
  const arranged = (): void => {
    const { left } = arrangeOverSheets(views, [], grid, 'fewest');
    if (left.length > 0) throw new Error(`${left.length} of ${VIEWS} views found no room`);
  };
  const packed = (): void => {
    const packer = new MaxRectsPacker(720, 573, 0, { smart: false, pot: false, allowRotation: false });
    for (const { width, height } of sizes) packer.add(width, height, undefined);
  };
  const words = `${VIEWS} views arranged on the fewest sheets`;
  report(words, 'maxrects-packer, which packs plain rectangles', inTurns(arranged, packed, 10));
  report(
    words,
    `the ${MOST_ARRANGING_MS} ms they may take`,
    inTurns(arranged, () => wait(MOST_ARRANGING_MS), 2),
  );
}

/** A plan of 20 MB brought for a view and drawn, the areas of a plan with 500 rooms, and an arrangement. */
export function benchViews(): void {
  const bytes = planSheet(20);
  const text = new TextDecoder().decode(bytes);
  const shown = (): void => {
    const [space] = spacesOf(readDxf(bytes), 'views');
    const read = sourceSpace(space!.drawing.items)!;
    const { items } = unpackedSpace(packedSpace(read.space));
    const { box } = read.summary;
    const window = { x: 0, y: 0, width: box.width, height: box.height };
    const look = { from: { x: box.x, y: box.y }, perUnit: 1, hidden: [], typeface: '', least: 0.18 };
    const piece = { kind: 'piece', part: 'view', layer: '', name: '', linework: '', ...window, ...look } as const;
    svgPicture(pieceItems(piece, { items }, new Map()), box.height, { emPerCapital: () => 1 });
  };
  const words = 'A plan of 20 MB read, kept, and drawn in a view';
  report(
    words,
    'dxf-parser that only parses it',
    inTurns(shown, () => void new DxfParser().parseSync(text), 2),
  );
  report(
    words,
    `the ${MOST_PLAN_MS} ms it may take`,
    inTurns(shown, () => wait(MOST_PLAN_MS), 1),
  );
  benchArranging();
  const plan = rooms();
  const measured = (): void => {
    const { areas } = measureAreas(plan, { layers: ['AREA'], unit: 1 });
    if (areas.length !== ROOMS) throw new Error(`${ROOMS} rooms were measured as ${areas.length}`);
  };
  report(
    `The areas of ${ROOMS} rooms`,
    `the ${MOST_AREAS_MS} ms they may take`,
    inTurns(measured, () => wait(MOST_AREAS_MS), 3),
  );
}
