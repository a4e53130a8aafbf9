import type { Box } from './drafting';
import { Draft } from './drafting';
import { basin, closet, door, drawWalls, glazing, stairs, table, wall } from './walls';

/** Where the parts of the pump house stand in its drawing, in mm. */
export const PUMP_HOUSE = {
  existing: { x: 0, y: 0 },
  ground: { x: 0, y: 15_000 },
  gallery: { x: 0, y: 30_000 },
  lane: { x: 25_000, y: 0 },
  creek: { x: 25_000, y: 12_000 },
  sectionA: { x: 25_000, y: 24_000 },
  sectionB: { x: 25_000, y: 36_000 },
} as const;

const THICK = 450;
/** Its length and its depth over the axes of the walls, in mm. */
const [LENGTH, DEPTH] = [11_000, 5600];

function plan(what: 'existing' | 'ground' | 'gallery'): Draft {
  const draft = new Draft(50);
  const solid: Box[] = [
    wall(0, 0, LENGTH, 0, THICK),
    wall(0, DEPTH, LENGTH, DEPTH, THICK),
    wall(0, 0, 0, DEPTH, THICK),
    wall(LENGTH, 0, LENGTH, DEPTH, THICK),
  ];
  const openings: Box[] = [];
  for (const x of [1400, 4400, 7400]) {
    glazing(draft, openings, [x, -THICK / 2, x + 1200, THICK / 2], 600);
    glazing(draft, openings, [x, DEPTH - THICK / 2, x + 1200, DEPTH + THICK / 2], 600);
  }
  if (what !== 'gallery') door(draft, openings, LENGTH, DEPTH / 2, 'w', { width: 1400, thick: THICK, double: true });
  if (what === 'ground') {
    solid.push(wall(3200, 0, 3200, DEPTH, 120), wall(0, 2600, 3200, 2600, 120));
    door(draft, openings, 3200, 1500, 'e', { width: 900, thick: 120 });
    door(draft, openings, 3200, 4300, 'w', { width: 800, thick: 120 });
    closet(draft, 900, DEPTH - THICK / 2);
    basin(draft, 2300, 2750);
    stairs(draft, [3600, 4200, 7200, 5200], 14);
    table(draft, 6500, 2000);
    table(draft, 8900, 2400);
    draft
      .room('Kitchen', '1', [225, 225, 3140, 2540])
      .room('Bath', '2', [225, 2660, 3140, 5375])
      .room('Studio', '3', [3260, 225, 10_775, 5375]);
  } else if (what === 'gallery') {
    draft
      .line('A-GLAZ', 5600, 225, 5600, 5375)
      .line('A-OVHD', 5600, 225, 10_775, 5375)
      .line('A-OVHD', 5600, 5375, 10_775, 225);
    draft.box('A-FURN', [700, 1600, 2700, 3600]).line('A-FURN', 700, 3000, 2700, 3000);
    draft.room('Gallery', '4', [225, 225, 5540, 5375]);
  } else {
    for (const x of [3200, 6200, 9000]) draft.circle('A-FURN', x, 2800, 900).circle('A-FURN', x, 2800, 350);
    draft.room('Pump hall', 'E1', [225, 225, 10_775, 5375]);
  }
  drawWalls(draft, { solid, openings });
  draft.dimensions('x', [0, LENGTH], -1100).dimensions('y', [0, DEPTH], -1100);
  return draft;
}

function elevation(water: boolean): Draft {
  const draft = new Draft(50);
  draft.line('A-ELEV-OTLN', -400, 0, LENGTH + 400, 0).box('A-ELEV-OTLN', [-225, 0, LENGTH + 225, 3600]);
  draft.box('A-ELEV', [-400, 3600, LENGTH + 400, 5300]).hatch('A-ELEV-PATT', [-400, 3600, LENGTH + 400, 5300], 90, 300);
  for (const x of [1400, 4400, 7400]) {
    draft.box('A-ELEV', [x, 900, x + 1200, 2600]).arc('A-ELEV', x + 600, 2600, 600, 0, 180);
    draft.line('A-GLAZ', x + 600, 900, x + 600, 3200).line('A-GLAZ', x, 1800, x + 1200, 1800);
  }
  for (let y = 0; y < 3600; y += 150) {
    draft.line('A-ELEV-PATT', -225, y, 1200, y).line('A-ELEV-PATT', 9000, y, LENGTH + 225, y);
  }
  if (water) for (let x = 0; x < LENGTH; x += 1500) draft.arc('C-WATR', x, -700, 500, 40, 140);
  return draft;
}

function section(short: boolean): Draft {
  const draft = new Draft(50);
  const length = short ? DEPTH : LENGTH;
  for (const x of [0, length])
    draft.box('A-WALL', [x - 225, 0, x + 225, 3600]).hatch('A-WALL-PATT', [x - 225, 0, x + 225, 3600], 45, 110);
  draft.box('A-WALL', [-225, -250, length + 225, 0]).hatch('A-WALL-PATT', [-225, -250, length + 225, 0], 45, 110);
  draft
    .box('A-WALL', [225, 2500, short ? length - 225 : 5600, 2700])
    .hatch('A-WALL-PATT', [225, 2500, short ? length - 225 : 5600, 2700], 45, 110);
  draft
    .line('A-ELEV-OTLN', -500, 3500, length / 2, 5600, length + 500, 3500)
    .line('A-ELEV', -500, 3300, length / 2, 5400, length + 500, 3300);
  draft.line('A-ELEV-OTLN', -900, -250, length + 900, -250);
  draft.level('+2.10', length + 400, 0);
  if (!short) for (const x of [1400, 4400, 7400]) draft.box('A-ELEV', [x, 900, x + 1200, 2400]);
  return draft;
}

/** Plans, elevations and sections of the pump house in one drawing. */
export function pumpHouse(): Draft {
  const whole = new Draft(50);
  const parts: Readonly<Record<keyof typeof PUMP_HOUSE, Draft>> = {
    existing: plan('existing'),
    ground: plan('ground'),
    gallery: plan('gallery'),
    lane: elevation(false),
    creek: elevation(true),
    sectionA: section(false),
    sectionB: section(true),
  };
  for (const [name, { x, y }] of Object.entries(PUMP_HOUSE)) whole.take(parts[name as keyof typeof PUMP_HOUSE], x, y);
  return whole;
}
