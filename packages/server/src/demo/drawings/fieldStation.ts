import type { Box } from './drafting';
import { Draft } from './drafting';
import { basin, bench, closet, door, drawWalls, glazing, stairs, table, wall } from './walls';

/** A foot, in mm. */
export const FOOT = 304.8;
const AXES_X = [0, 24, 48, 72, 96, 120, 144, 168].map((feet) => feet * FOOT);
const AXES_Y = [0, 24, 48, 72].map((feet) => feet * FOOT);
const NAMES_X = ['1', '2', '3', '4', '5', '6', '7', '8'];
const NAMES_Y = ['A', 'B', 'C', 'D'];
const feetWords = (mm: number): string => `${Math.round(mm / FOOT)}'-0"`;
const box = (x0: number, y0: number, x1: number, y1: number): Box => [x0 * FOOT, y0 * FOOT, x1 * FOOT, y1 * FOOT];

/** A floor of the field station, 168 by 72 feet. */
export function stationFloor(floor: 1 | 2): Draft {
  const draft = new Draft(96);
  draft.grid('x', AXES_X, NAMES_X, -1500, 73 * FOOT + 1500).grid('y', AXES_Y, NAMES_Y, -1500, 169 * FOOT + 1500);
  draft.dimensions('x', AXES_X, -900, feetWords).dimensions('y', AXES_Y, -900, feetWords);
  const solid: Box[] = [];
  const openings: Box[] = [];
  const across = (y: number, from: number, to: number, thick = 150): void =>
    void solid.push(wall(from * FOOT, y * FOOT, to * FOOT, y * FOOT, thick));
  const up = (x: number, from: number, to: number, thick = 150): void =>
    void solid.push(wall(x * FOOT, from * FOOT, x * FOOT, to * FOOT, thick));
  for (const y of [0, 72]) across(y, 0, 168, 300);
  for (const x of [0, 168]) up(x, 0, 72, 300);
  across(32, 0, 168);
  across(40, 0, 168);
  const south = floor === 1 ? [24, 48, 72, 96, 120, 144] : [36, 72, 108, 144];
  const north = [24, 48, 60, 72, 96, 132];
  for (const x of south) up(x, 0, 32);
  for (const x of north) up(x, 40, 72);
  for (const x of [0, ...south]) door(draft, openings, (x + 5) * FOOT, 32 * FOOT, 's', { width: 3 * FOOT, thick: 150 });
  for (const x of [0, 48, 60, 72, 96, 132])
    door(draft, openings, (x + 5) * FOOT, 40 * FOOT, 'n', { width: 3 * FOOT, thick: 150 });
  if (floor === 1) door(draft, openings, 0, 36 * FOOT, 'e', { width: 6 * FOOT, double: true });
  door(draft, openings, 168 * FOOT, 36 * FOOT, 'w', { width: 3 * FOOT });
  for (let x = 3; x < 166; x += 8) {
    if (AXES_X.some((axis) => Math.abs(axis / FOOT - x - 2.5) < 3)) continue;
    glazing(draft, openings, [x * FOOT, -150, (x + 5) * FOOT, 150], 2.5 * FOOT);
    glazing(draft, openings, [x * FOOT, 72 * FOOT - 150, (x + 5) * FOOT, 72 * FOOT + 150], 2.5 * FOOT);
  }
  drawWalls(draft, { solid, openings });
  for (let i = 0; i < 3; i++) {
    closet(draft, (50 + i * 3.2) * FOOT, 71.2 * FOOT);
    closet(draft, (62 + i * 3.2) * FOOT, 71.2 * FOOT);
    basin(draft, (50 + i * 3) * FOOT, 41 * FOOT);
    basin(draft, (62 + i * 3) * FOOT, 41 * FOOT);
  }
  stairs(draft, box(26, 60, 46, 65), 18);
  stairs(draft, box(26, 66, 46, 71), 18);
  // Benches of the laboratories.
  for (const x of floor === 1 ? [72, 96, 120] : [72, 108])
    for (let k = 0; k < 3; k++)
      draft
        .box('A-FURN', box(x + 5, 4 + k * 8, x + 20, 7.5 + k * 8))
        .line('A-FURN', (x + 5) * FOOT, (5.75 + k * 8) * FOOT, (x + 20) * FOOT, (5.75 + k * 8) * FOOT);
  for (const x of [8, 16]) for (const y of [8, 20]) table(draft, x * FOOT, y * FOOT);
  bench(draft, 4 * FOOT, 46 * FOOT, 6);
  for (let k = 0; k < 4; k++) draft.box('A-FURN', box(100 + k * 7, 44, 105 + k * 7, 46.5));
  draft
    .hatch('A-CLNG', box(0.5, 0.5, 167.5, 71.5), 90, 2 * FOOT)
    .hatch('A-CLNG', box(0.5, 0.5, 167.5, 71.5), 0, 4 * FOOT);
  for (let x = 8; x < 166; x += 12)
    for (const y of [8, 20, 36, 50, 62]) draft.box('A-CLNG-LITE', box(x, y, x + 4, y + 1));
  const rooms: [string, string, number, number, number, number][] =
    floor === 1
      ? [
          ['Commons', '101', 0, 0, 24, 32],
          ['Office', '102', 24, 0, 48, 32],
          ['Records', '103', 48, 0, 72, 32],
          ['Dry laboratory', '104', 72, 0, 96, 32],
          ['Wet laboratory', '105', 96, 0, 120, 32],
          ['Sample prep', '106', 120, 0, 144, 32],
          ['Boat room', '107', 144, 0, 168, 32],
        ]
      : [
          ['Library', '201', 0, 0, 36, 32],
          ['Map room', '202', 36, 0, 72, 32],
          ['Analysis', '203', 72, 0, 108, 32],
          ['Instruments', '204', 108, 0, 144, 32],
          ['Store', '205', 144, 0, 168, 32],
        ];
  const n = floor * 100;
  rooms.push(
    ['Lobby', `${n + 10}`, 0, 40, 24, 72],
    ['Stair', `${n + 11}`, 24, 40, 48, 72],
    ['Women', `${n + 12}`, 48, 40, 60, 72],
    ['Men', `${n + 13}`, 60, 40, 72, 72],
  );
  rooms.push(
    ['Meeting', `${n + 14}`, 72, 40, 96, 72],
    ['Open office', `${n + 15}`, 96, 40, 132, 72],
    ['Mechanical', `${n + 16}`, 132, 40, 168, 72],
    ['Corridor', `${n + 17}`, 0, 32, 168, 40],
  );
  for (const [name, number, x0, y0, x1, y1] of rooms)
    draft.room(name, number, [x0 * FOOT + 75, y0 * FOOT + 75, x1 * FOOT - 75, y1 * FOOT - 75], 'ft2');
  return draft;
}

export function stationRoof(): Draft {
  const draft = new Draft(96);
  draft.grid('x', AXES_X, NAMES_X, -1500, 73 * FOOT + 1500).grid('y', AXES_Y, NAMES_Y, -1500, 169 * FOOT + 1500);
  draft.dimensions('x', AXES_X, -900, feetWords).dimensions('y', AXES_Y, -900, feetWords);
  draft.box('A-ROOF', box(-2, -2, 170, 74)).line('A-ROOF', -2 * FOOT, 36 * FOOT, 170 * FOOT, 36 * FOOT);
  draft.hatch('A-FLOR-PATT', box(-2, -2, 170, 74), 90, 1.5 * FOOT);
  for (const x of [40, 88, 136])
    draft
      .box('A-GLAZ', box(x, 44, x + 10, 52))
      .line('A-GLAZ', x * FOOT, 44 * FOOT, (x + 10) * FOOT, 52 * FOOT)
      .text('A-ANNO-NOTE', 'Skylight', (x + 5) * FOOT, 42 * FOOT, { height: 2 });
  for (const y of [18, 56]) draft.text('A-ANNO-NOTE', '4 : 12', 84 * FOOT, y * FOOT, { height: 2.5 });
  return draft;
}

/** How far apart the elevations of the station stand in their drawing, in mm. */
export const STATION_STEP = 18_000;

/** Its elevations and its section, one over the other. */
export function stationElevations(): Draft {
  const draft = new Draft(96);
  ['North elevation', 'South elevation', 'East elevation', 'Section A'].forEach((name, i) => {
    const base = i * STATION_STEP;
    const feet = i < 2 ? 168 : 72;
    const length = feet * FOOT;
    draft.line('A-ELEV-OTLN', -3000, base, length + 3000, base);
    if (i < 2)
      draft
        .box('A-ELEV-OTLN', [0, base, length, base + 20 * FOOT])
        .box('A-ELEV', [-600, base + 20 * FOOT, length + 600, base + 28 * FOOT])
        .hatch('A-ELEV-PATT', [-600, base + 20 * FOOT, length + 600, base + 28 * FOOT], 90, 450);
    else
      draft.ring(
        'A-ELEV-OTLN',
        0,
        base,
        length,
        base,
        length,
        base + 20 * FOOT,
        length / 2,
        base + 28 * FOOT,
        0,
        base + 20 * FOOT,
      );
    for (let x = 3; x + 5 < feet; x += 8)
      for (const y of [3, 12.5]) {
        if (i === 3) continue;
        draft
          .box('A-ELEV', [x * FOOT, base + y * FOOT, (x + 5) * FOOT, base + (y + 5) * FOOT])
          .line('A-GLAZ', (x + 2.5) * FOOT, base + y * FOOT, (x + 2.5) * FOOT, base + (y + 5) * FOOT);
      }
    if (i < 3) draft.hatch('A-ELEV-PATT', [0, base + 8.5 * FOOT, length, base + 12 * FOOT], 0, 200);
    else
      for (const y of [0, 10, 20])
        draft
          .box('A-WALL', [0, base + y * FOOT - 300, length, base + y * FOOT])
          .hatch('A-WALL-PATT', [0, base + y * FOOT - 300, length, base + y * FOOT], 45, 200);
    for (const [y, words] of [
      [0, `100'-0"`],
      [10, `110'-0"`],
      [20, `120'-0"`],
    ] as const)
      draft.level(words, length + 700, base + y * FOOT);
    draft.text('A-ANNO-NOTE', name.toUpperCase(), -2900, base - 1900, { height: 2.5, align: 'left' });
  });
  return draft;
}
