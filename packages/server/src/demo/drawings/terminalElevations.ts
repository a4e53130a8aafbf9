import { Draft } from './drafting';
import { AXES_X, AXES_Y, NAMES_X, NAMES_Y } from './terminalPlans';

/** Levels of the terminal, in mm over the ground floor, with their names. */
const LEVELS: readonly (readonly [number, string])[] = [
  [0, '+4.20 Ground floor'],
  [4200, '+8.40 Upper deck'],
  [8900, '+13.10 Roof'],
];

/** How far apart the four elevations stand in their drawing, in mm. */
export const ELEVATION_STEP = 25_000;
export const ELEVATIONS = ['north', 'south', 'east', 'west'] as const;

/** The four elevations, one over the other. */
export function elevations(): Draft {
  const draft = new Draft(100);
  ELEVATIONS.forEach((side, i) => {
    const base = i * ELEVATION_STEP;
    const along = side === 'north' || side === 'south' ? AXES_X : AXES_Y;
    const names = along === AXES_X ? NAMES_X : NAMES_Y;
    const mirrored = side === 'north' || side === 'west';
    const length = along.at(-1) ?? 0;
    const at = (x: number): number => (mirrored ? length - x : x);
    along.forEach((x, k) => {
      draft.line('S-GRID', at(x), base - 1200, at(x), base + 10_400);
      draft
        .circle('S-GRID-IDEN', at(x), base + 10_800, 400)
        .text('S-GRID-IDEN', names[k] ?? '', at(x), base + 10_650, { height: 3 });
    });
    draft.line('A-ELEV-OTLN', -3500, base, length + 3500, base);
    const [hall0, hall1] = along === AXES_X ? [Math.min(at(0), at(30_000)), Math.max(at(0), at(30_000))] : [0, length];
    // The hall: boards between its windows, and its roof.
    draft.ring('A-ELEV-OTLN', hall0 - 150, base, hall1 + 150, base, hall1 + 150, base + 8600, hall0 - 150, base + 8600);
    draft.box('A-ELEV', [hall0 - 600, base + 8600, hall1 + 600, base + 8900]);
    draft.hatch('A-ELEV-PATT', [hall0 - 150, base + 3600, hall1 + 150, base + 4400], 0, 200);
    draft.hatch('A-ELEV-PATT', [hall0 - 150, base + 7800, hall1 + 150, base + 8600], 0, 200);
    for (const floor of [0, 4400]) {
      for (let x = hall0 + 450; x + 2400 < hall1; x += 3000) {
        draft.box('A-ELEV', [x, base + floor + (floor > 0 ? 400 : 100), x + 2400, base + floor + 3300]);
        for (const part of [800, 1600])
          draft.line('A-GLAZ', x + part, base + floor + (floor > 0 ? 400 : 100), x + part, base + floor + 3300);
        draft.line('A-GLAZ', x, base + floor + 2500, x + 2400, base + floor + 2500);
        draft.line('A-ELEV-PATT', x + 200, base + floor + 1500, x + 700, base + floor + 2300);
      }
      for (let x = hall0 - 150; x < hall1; x += 3000)
        draft.hatch('A-ELEV-PATT', [x, base + floor, x + 450, base + floor + 3600], 0, 200);
    }
    // The deck beside it: columns, a balustrade, a light roof.
    if (along === AXES_X) {
      const [deck0, deck1] = [Math.min(at(30_000), at(54_000)), Math.max(at(30_000), at(54_000))];
      draft
        .box('A-ELEV', [deck0 - 150, base + 3900, deck1 + 900, base + 4200])
        .box('A-ELEV', [deck0 - 150, base + 7100, deck1 + 900, base + 7300]);
      for (let x = deck0; x <= deck1; x += 6000) draft.box('A-ELEV', [x - 100, base, x + 100, base + 7100]);
      for (let x = deck0; x <= deck1; x += 1500) draft.line('A-GLAZ', x, base + 4200, x, base + 5300);
      draft.line('A-GLAZ', deck0, base + 5300, deck1, base + 5300);
      draft.hatch('A-ELEV-PATT', [deck0, base + 100, deck1, base + 3900], 90, 1200);
    }
    if (side === 'east') {
      // The water, the pontoon and the gangway before it.
      for (let x = -3500; x < length + 3500; x += 2200) draft.arc('C-WATR', x, base - 1900, 700, 40, 140);
      draft
        .box('A-ELEV', [20_000, base - 1500, 29_000, base - 1000])
        .line('A-ELEV', 20_500, base - 1000, 12_000, base + 200, 12_000, base + 1200, 20_500, base);
    }
    LEVELS.forEach(([y, words]) => draft.level(words.split(' ')[0] ?? '', length + 900, base + y));
    draft.text('A-ANNO-NOTE', `${side} elevation`.toUpperCase(), -3400, base - 3000, { height: 2.5, align: 'left' });
  });
  return draft;
}

/** How far apart the sections stand in their drawing, in mm. */
export const SECTION_STEP = 30_000;

/** Sections across the terminal: A and B through the land side, C through the hall; and the quay edge. */
export function sections(): Draft {
  const draft = new Draft(50);
  ['A', 'B', 'C'].forEach((name, i) => {
    const base = i * SECTION_STEP;
    const slab = (y: number, from: number, to: number, thick = 300): void => {
      draft.box('A-WALL', [from, y - thick, to, y]).hatch('A-WALL-PATT', [from, y - thick, to, y], 45, 120);
    };
    slab(base, -150, 30_150, 400);
    slab(base + 8900, -600, 30_600, 400);
    if (name === 'C') {
      slab(base + 4200, -150, 12_000);
      for (let x = 13_000; x < 30_000; x += 2400)
        draft
          .box('A-ELEV', [x, base + 600, x + 1900, base + 7600])
          .line('A-GLAZ', x, base + 4000, x + 1900, base + 4000);
      draft.line('A-GLAZ', 11_900, base + 4200, 11_900, base + 5300);
      for (let x = 12_600; x < 30_000; x += 3000)
        draft.line('A-STRS', x, base + 8500, x, base + 7200).circle('A-CLNG-LITE', x, base + 7050, 150);
    } else {
      slab(base + 4200, -150, 30_150);
      for (const x of [6000, 12_000, 18_000, 24_000]) {
        draft
          .box('A-WALL', [x - 75, base, x + 75, base + 3900])
          .hatch('A-WALL-PATT', [x - 75, base, x + 75, base + 3900], 45, 120);
        draft
          .box('A-WALL', [x - 75, base + 4200, x + 75, base + 8500])
          .hatch('A-WALL-PATT', [x - 75, base + 4200, x + 75, base + 8500], 45, 120);
      }
      for (const floor of [0, 4200])
        for (const x of [1000, 7500, 13_500, 25_500])
          draft.box('A-DOOR', [x + 800, base + floor, x + 1750, base + floor + 2100]);
      // The stair between the axes 4 and 5.
      if (name === 'A') {
        const steps: number[] = [];
        for (let k = 0; k <= 12; k++)
          steps.push(18_400 + k * 280, base + k * 175, 18_400 + (k + 1) * 280, base + k * 175);
        draft.line('A-STRS', ...steps).line('A-STRS', 18_400, base + 900, 22_040, base + 3000);
      }
    }
    for (const x of [0, 30_000])
      draft
        .box('A-WALL', [x - 150, base, x + 150, base + 8500])
        .hatch('A-WALL-PATT', [x - 150, base, x + 150, base + 8500], 45, 120);
    // The ground beneath.
    draft.line('A-ELEV-OTLN', -1500, base - 400, 31_500, base - 400);
    for (let x = -1500; x < 31_500; x += 900)
      draft
        .line('A-WALL-PATT', x, base - 900, x + 450, base - 420)
        .line('A-WALL-PATT', x + 150, base - 900, x + 600, base - 420);
    for (const x of [0, 12_000, 18_000, 30_000])
      draft
        .box('A-WALL', [x - 700, base - 1300, x + 700, base - 700])
        .hatch('A-WALL-PATT', [x - 700, base - 1300, x + 700, base - 700], 135, 120);
    LEVELS.forEach(([y, words]) => draft.level(words.split(' ')[0] ?? '', 30_700, base + y));
    for (const [x, k] of [
      [0, 0],
      [6000, 1],
      [12_000, 2],
      [18_000, 3],
      [24_000, 4],
      [30_000, 5],
    ] as const) {
      if (name !== 'C') continue;
      draft.line('S-GRID', x, base - 1500, x, base + 10_300);
      draft
        .circle('S-GRID-IDEN', x, base + 10_500, 200)
        .text('S-GRID-IDEN', NAMES_Y[k] ?? '', x, base + 10_425, { height: 3 });
    }
    const rooms =
      name === 'C'
        ? [
            ['CAFÉ', 6000, 5900],
            ['TICKET HALL', 21_000, 3600],
            ['HALL', 6000, 1800],
          ]
        : [
            ['OFFICE', 3000, 1700],
            ['TICKET OFFICE', 9000, 1700],
            ['CORRIDOR', 27_000, 1700],
            ['OFFICE', 3000, 5900],
            ['MEETING', 9000, 5900],
          ];
    for (const [words, x, y] of rooms as [string, number, number][])
      draft.text('A-AREA-IDEN', words, x, base + y, { height: 2.5 });
  });
  return draft;
}

/** The edge of the quay, cut across. */
export function quayEdge(): Draft {
  const draft = new Draft(20);
  draft.box('A-WALL', [4000, 0, 5200, 6200]).hatch('A-WALL-PATT', [4000, 0, 5200, 6200], 45, 60);
  draft.box('A-WALL', [4000, 6200, 13_500, 6500]).hatch('A-WALL-PATT', [4000, 6200, 13_500, 6500], 45, 60);
  draft.box('A-DETL', [4000, 6500, 13_500, 6580]).hatch('A-DETL-PATT', [4000, 6500, 13_500, 6580], 90, 120);
  for (let y = 300; y < 6100; y += 900)
    for (let x = 5500; x < 13_300; x += 420)
      draft.circle('A-DETL-PATT', x + ((y / 900) % 2) * 200, y + ((x * 7) % 500), 60 + ((x * 13) % 70));
  draft.box('A-DETL', [3800, 6100, 4000, 6500]).box('A-DETL', [3500, 2200, 3980, 3800]);
  for (let x = 300; x < 3300; x += 700)
    draft.arc('C-WATR', x, 2900, 260, 40, 140).arc('C-WATR', x + 350, 2500, 260, 40, 140);
  draft.line('A-ELEV-OTLN', 200, 3250, 3900, 3250);
  draft
    .note('Granite setts on mortar bed', 8600, 7300, 8000, 6540)
    .note('Concrete capping, grooved', 8600, 7000, 5200, 6300);
  draft.note('Waterproofing in two layers', 8600, 5600, 7600, 6200).note('Rubble fill', 9600, 3300, 9000, 2700);
  draft.note('Timber fender', 300, 4700, 3600, 3400).level('+1.10', 400, 3250);
  draft.dimensions('x', [4000, 5200], -420).dimensions('y', [0, 6200, 6500, 6580], 13_800);
  return draft;
}
