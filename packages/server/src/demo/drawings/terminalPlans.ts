import type { Box } from './drafting';
import { Draft } from './drafting';
import { basin, bench, closet, door, drawWalls, glazing, stairs, table, wall } from './walls';

/** Axes of the terminal: ten along the quay, six across, in mm. */
export const AXES_X = [0, 6000, 12_000, 18_000, 24_000, 30_000, 36_000, 42_000, 48_000, 54_000];
export const AXES_Y = [0, 6000, 12_000, 18_000, 24_000, 30_000];
export const NAMES_X = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '10'];
export const NAMES_Y = ['A', 'B', 'C', 'D', 'E', 'F'];

const OUTER = 300;
const INNER = 150;

/** The sheet that all plans share: axes and dimensions about the building. */
function framed(draft: Draft): Draft {
  draft.grid('x', AXES_X, NAMES_X, -1600, 31_600).grid('y', AXES_Y, NAMES_Y, -1600, 55_600);
  draft.dimensions('x', AXES_X, -900).dimensions('y', AXES_Y, -900);
  return draft;
}

function columns(draft: Draft, from = 5): void {
  for (const x of AXES_X.slice(from))
    for (const y of AXES_Y.slice(2)) {
      draft.box('S-COLS', [x - 150, y - 150, x + 150, y + 150]);
      draft.fill('S-COLS', [x - 150, y - 150, x + 150, y - 150, x + 150, y + 150, x - 150, y + 150]);
    }
}

/** The washrooms of a floor, in the boxes of 6 by 4.6 m from the axes 3 and 4 on. */
function washrooms(draft: Draft, solid: Box[], openings: Box[]): void {
  solid.push(
    wall(12_000, 0, 12_000, 9000, INNER),
    wall(15_000, 150, 15_000, 7200, INNER),
    wall(18_000, 0, 18_000, 9000, INNER),
  );
  solid.push(wall(12_000, 7200, 18_000, 7200, INNER));
  door(draft, openings, 13_000, 7200, 's', { thick: INNER });
  door(draft, openings, 17_000, 7200, 's', { thick: INNER });
  for (let i = 0; i < 3; i++) {
    const [left, right] = [12_550 + i * 950, 15_550 + i * 950];
    closet(draft, left, 1900);
    closet(draft, right, 1900);
    for (const x of [left + 475, right + 475])
      draft.line('A-SANI', x, 150, x, 1950).line('A-SANI', x + 40, 150, x + 40, 1950);
  }
  for (let i = 0; i < 3; i++) {
    basin(draft, 12_700 + i * 800, 4600);
    basin(draft, 15_700 + i * 800, 4600);
  }
}

/** The rooms along the land side, which both floors have. */
function landSide(draft: Draft, solid: Box[], openings: Box[]): void {
  solid.push(wall(0, 0, 30_000, 0, OUTER), wall(0, 0, 0, 30_000, OUTER), wall(0, 30_000, 30_000, 30_000, OUTER));
  solid.push(
    wall(30_000, 0, 30_000, 30_000, OUTER),
    wall(0, 9000, 30_000, 9000, INNER),
    wall(0, 12_000, 30_000, 12_000, INNER),
  );
  for (const x of [6000, 24_000, 27_000]) solid.push(wall(x, 0, x, 9000, INNER));
  for (const [x, to] of [
    [3000, 's'],
    [9000, 's'],
    [25_500, 's'],
    [28_500, 's'],
  ] as const)
    door(draft, openings, x, 9000, to, { thick: INNER });
  washrooms(draft, solid, openings);
  stairs(draft, [18_300, 300, 23_700, 2100], 18);
  stairs(draft, [18_300, 2300, 23_700, 4100], 18);
  draft
    .box('A-STRS', [24_300, 3000, 26_700, 5600])
    .line('A-STRS', 24_300, 3000, 26_700, 5600)
    .line('A-STRS', 24_300, 5600, 26_700, 3000);
  for (const x of [900, 3000, 6900, 9900, 27_300]) glazing(draft, openings, [x, -OUTER / 2, x + 1800, OUTER / 2], 900);
}

export function groundFloor(): Draft {
  const draft = framed(new Draft(100));
  const solid: Box[] = [];
  const openings: Box[] = [];
  landSide(draft, solid, openings);
  for (let x = 600; x < 29_000; x += 4800)
    glazing(draft, openings, [x, 30_000 - OUTER / 2, x + 4200, 30_000 + OUTER / 2]);
  door(draft, openings, 0, 21_000, 'e', { width: 1800, double: true });
  door(draft, openings, 30_000, 21_000, 'e', { width: 1800, double: true });
  door(draft, openings, 30_000, 16_500, 'e', { width: 1800, double: true });
  for (const x of [9000, 21_000]) door(draft, openings, x, 12_000, 'n', { width: 1800, thick: INNER, double: true });
  door(draft, openings, 0, 10_500, 'e', { width: 1200 });
  // The covered deck, glazed towards the water.
  const deck: Box[] = [];
  for (let x = 30_600; x < 53_000; x += 6000) glazing(draft, deck, [x, 29_900, x + 4800, 30_100]);
  for (let y = 12_600; y < 29_000; y += 6000) glazing(draft, deck, [53_900, y, 54_100, y + 4800]);
  drawWalls(draft, { solid, openings });
  columns(draft);
  draft.box('A-OVHD', [29_000, 11_000, 55_000, 31_000]);
  // Ticket counters and seats.
  for (let i = 0; i < 4; i++) {
    draft.box('A-FURN', [3000 + i * 2600, 27_200, 5000 + i * 2600, 27_900]);
    draft.circle('A-FURN', 4000 + i * 2600, 28_500, 260);
  }
  draft.box('A-FURN', [2400, 27_000, 13_600, 27_100]);
  for (let row = 0; row < 3; row++) for (const x of [17_000, 22_500]) bench(draft, x, 16_000 + row * 3200, 7);
  for (let row = 0; row < 4; row++) for (const x of [33_000, 39_000, 45_000]) bench(draft, x, 14_000 + row * 4000, 7);
  for (const [x, y] of [
    [4000, 15_000],
    [7000, 16_500],
    [4200, 18_600],
    [7400, 20_000],
  ] as const)
    table(draft, x, y);
  for (let i = 0; i < 2; i++)
    draft.box('A-FURN', [900 + i * 2400, 2400, 2700 + i * 2400, 3200]).circle('A-FURN', 1800 + i * 2400, 3600, 260);
  for (let i = 0; i < 2; i++)
    draft.box('A-FURN', [6700 + i * 2400, 2400, 8500 + i * 2400, 3200]).circle('A-FURN', 7600 + i * 2400, 3600, 260);
  // Finishes: tiles in the hall, boards on the deck.
  draft
    .hatch('A-FLOR-PATT', [150, 12_100, 29_850, 29_850], 0, 1200)
    .hatch('A-FLOR-PATT', [150, 12_100, 29_850, 29_850], 90, 1200);
  draft.hatch('A-FLOR-PATT', [30_150, 12_000, 53_900, 29_900], 0, 300);
  // Ceiling: panels and lights of the hall.
  draft.hatch('A-CLNG', [150, 12_100, 29_850, 29_850], 90, 600).hatch('A-CLNG', [150, 12_100, 29_850, 29_850], 0, 2400);
  for (let x = 2100; x < 29_000; x += 3000)
    for (let y = 13_800; y < 29_000; y += 2400)
      draft.circle('A-CLNG-LITE', x, y, 150).line('A-CLNG-LITE', x - 220, y, x + 220, y);
  draft.room('Office', '0.01', [150, 150, 5925, 8925]).room('Ticket office', '0.02', [6075, 150, 11_925, 8925]);
  draft.room('Women', '0.03', [12_075, 150, 14_925, 7125]).room('Men', '0.04', [15_075, 150, 17_925, 7125]);
  draft.room('Stair', '0.05', [18_075, 150, 23_925, 8925]).room('Lift', '0.06', [24_075, 150, 26_925, 8925]);
  draft.room('Store', '0.07', [27_075, 150, 29_850, 8925]).room('Corridor', '0.08', [150, 9075, 29_850, 11_925]);
  draft
    .room('Ticket hall', '0.09', [150, 12_075, 29_850, 29_850])
    .room('Waiting deck', '0.10', [30_150, 12_000, 53_900, 29_900]);
  draft.level('+4.20', 26_000, 13_400).level('+4.15', 50_200, 12_900);
  return draft;
}

export function upperDeck(): Draft {
  const draft = framed(new Draft(100));
  const solid: Box[] = [];
  const openings: Box[] = [];
  landSide(draft, solid, openings);
  for (let x = 600; x < 29_000; x += 3600)
    glazing(draft, openings, [x, 30_000 - OUTER / 2, x + 3000, 30_000 + OUTER / 2], 1000);
  for (let y = 12_600; y < 29_000; y += 3600) glazing(draft, openings, [-OUTER / 2, y, OUTER / 2, y + 3000], 1000);
  solid.push(
    wall(12_000, 12_000, 12_000, 30_000, INNER),
    wall(12_000, 21_000, 30_000, 21_000, INNER),
    wall(21_000, 21_000, 21_000, 30_000, INNER),
  );
  door(draft, openings, 12_000, 14_000, 'w', { width: 1800, thick: INNER, double: true });
  door(draft, openings, 15_000, 21_000, 'n', { thick: INNER });
  door(draft, openings, 27_000, 21_000, 'n', { thick: INNER });
  door(draft, openings, 30_000, 16_500, 'e', { width: 1800, double: true });
  for (const x of [9000, 21_000]) door(draft, openings, x, 12_000, 'n', { width: 1800, thick: INNER, double: true });
  drawWalls(draft, { solid, openings });
  columns(draft);
  draft.box('A-WALL', [30_150, 11_900, 54_100, 30_100]);
  draft.hatch('A-FLOR-PATT', [30_150, 12_000, 54_000, 30_000], 90, 500);
  // A balustrade, and the void over the hall.
  draft.box('A-GLAZ', [30_250, 12_050, 53_950, 29_950]);
  draft.line('A-OVHD', 12_150, 12_150, 29_850, 20_850).line('A-OVHD', 12_150, 20_850, 29_850, 12_150);
  for (let row = 0; row < 3; row++) for (let x = 2200; x < 11_000; x += 2600) table(draft, x, 15_000 + row * 4600);
  for (let i = 0; i < 5; i++) bench(draft, 33_000 + (i % 3) * 6500, 15_000 + Math.floor(i / 3) * 8000, 7);
  draft.room('Office', '1.01', [150, 150, 5925, 8925]).room('Meeting', '1.02', [6075, 150, 11_925, 8925]);
  draft.room('Women', '1.03', [12_075, 150, 14_925, 7125]).room('Men', '1.04', [15_075, 150, 17_925, 7125]);
  draft.room('Stair', '1.05', [18_075, 150, 23_925, 8925]).room('Lift', '1.06', [24_075, 150, 26_925, 8925]);
  draft.room('Store', '1.07', [27_075, 150, 29_850, 8925]).room('Gallery', '1.08', [150, 9075, 29_850, 11_925]);
  draft.room('Café', '1.09', [150, 12_075, 11_925, 29_850]).room('Kitchen', '1.10', [12_075, 21_075, 20_925, 29_850]);
  draft
    .room('Harbour office', '1.11', [21_075, 21_075, 29_850, 29_850])
    .room('Upper deck', '1.12', [30_150, 12_000, 53_900, 29_900]);
  draft.level('+8.40', 26_000, 10_200).level('+8.35', 50_200, 12_900);
  return draft;
}

export function roof(): Draft {
  const draft = framed(new Draft(100));
  draft.box('A-ROOF', [-600, -600, 30_600, 30_600]).box('A-ROOF', [-300, -300, 30_300, 30_300]);
  draft.box('A-ROOF', [30_600, 11_000, 55_000, 31_000]).line('A-ROOF', 30_600, 21_000, 55_000, 21_000);
  draft.hatch('A-FLOR-PATT', [30_600, 11_000, 55_000, 31_000], 90, 500);
  // Falls to the gutters.
  draft
    .line('A-ROOF', -300, -300, 15_000, 15_000, 30_300, -300)
    .line('A-ROOF', -300, 30_300, 15_000, 15_000, 30_300, 30_300);
  for (let i = 0; i < 6; i++) {
    const [x, y] = [4500 + (i % 3) * 9000, 6500 + Math.floor(i / 3) * 16_000];
    draft
      .box('A-GLAZ', [x, y, x + 3000, y + 1500])
      .line('A-GLAZ', x, y, x + 3000, y + 1500)
      .line('A-GLAZ', x, y + 1500, x + 3000, y);
    draft.text('A-ANNO-NOTE', 'Rooflight', x + 1500, y - 400, { height: 1.8 });
  }
  for (const [x, y, turn] of [
    [2500, 15_000, 0],
    [27_500, 15_000, 180],
    [42_000, 16_000, 90],
    [42_000, 26_000, 270],
  ] as const) {
    const radians = (turn * Math.PI) / 180;
    const [dx, dy] = [Math.cos(radians), Math.sin(radians)];
    draft.line(
      'A-ANNO-NOTE',
      x - 1500 * dx,
      y - 1500 * dy,
      x + 1500 * dx,
      y + 1500 * dy,
      x + 1000 * dx - 250 * dy,
      y + 1000 * dy + 250 * dx,
    );
    draft.text('A-ANNO-NOTE', '2 %', x, y + 350, { height: 2 });
  }
  for (const [x, y] of [
    [0, 0],
    [30_000, 0],
    [0, 30_000],
    [30_000, 30_000],
  ] as const)
    draft.circle('A-ROOF', x, y, 120);
  draft.level('+13.10', 13_000, 24_000).level('+9.60', 46_000, 22_000);
  return draft;
}

export function quayLevel(): Draft {
  const draft = framed(new Draft(100));
  const solid: Box[] = [wall(-2000, 31_000, 56_000, 31_000, 900), wall(54_600, -1200, 54_600, 31_000, 900)];
  drawWalls(draft, { solid, openings: [] });
  draft.hatch('L-PVMT', [-1500, 0, 54_000, 30_400], 0, 2000).hatch('L-PVMT', [-1500, 0, 54_000, 30_400], 90, 2000);
  for (const x of [8000, 26_000, 44_000]) {
    draft.circle('C-SITE', x, 29_600, 260).circle('C-SITE', x, 29_600, 160);
    draft.text('A-ANNO-NOTE', 'Bollard', x, 28_600, { height: 1.8 });
  }
  // The gangway down to the pontoon.
  draft.box('C-SITE', [36_000, 31_500, 39_000, 34_800]).line('C-SITE', 37_500, 31_500, 37_500, 34_800);
  for (let y = 31_800; y < 34_800; y += 300) draft.line('A-FLOR-PATT', 36_000, y, 39_000, y);
  draft.note('Gangway, 1:12 at mean tide', 40_600, 33_600, 38_400, 33_000);
  for (let x = -3500; x < 57_500; x += 2600)
    draft.arc('C-WATR', x, 33_400, 800, 40, 140).arc('C-WATR', x + 1300, 34_300, 800, 40, 140);
  columns(draft, 0);
  for (const x of AXES_X) for (const y of AXES_Y) draft.box('S-FNDN', [x - 600, y - 600, x + 600, y + 600]);
  draft.level('+2.60', 20_000, 20_000);
  return draft;
}

export function plantLevel(): Draft {
  const draft = framed(new Draft(100));
  const solid: Box[] = [
    wall(0, 0, 30_000, 0, OUTER),
    wall(0, 0, 0, 12_000, OUTER),
    wall(0, 12_000, 30_000, 12_000, OUTER),
    wall(30_000, 0, 30_000, 12_000, OUTER),
  ];
  const openings: Box[] = [];
  for (const x of [12_000, 18_000, 24_000]) solid.push(wall(x, 0, x, 12_000, INNER));
  for (const [x, width] of [
    [6000, 1800],
    [15_000, 900],
    [27_000, 900],
  ] as const)
    door(draft, openings, x, 12_000, 'n', { width, double: width > 1000 });
  drawWalls(draft, { solid, openings });
  stairs(draft, [18_300, 300, 23_700, 2100], 18);
  for (let i = 0; i < 3; i++) {
    draft
      .box('A-FURN', [1200 + i * 3400, 3000, 3600 + i * 3400, 6400])
      .line('A-FURN', 1200 + i * 3400, 3000, 3600 + i * 3400, 6400);
    draft.text('A-ANNO-NOTE', `Air handling ${i + 1}`, 2400 + i * 3400, 7000, { height: 1.8 });
  }
  for (let i = 0; i < 2; i++) draft.circle('A-FURN', 14_000 + i * 2200, 4200, 800);
  draft.box('A-FURN', [24_800, 1000, 29_200, 1900]).box('A-FURN', [24_800, 2600, 29_200, 3200]);
  draft.box('A-OVHD', [30_300, 11_000, 55_000, 31_000]).box('A-OVHD', [0, 12_300, 30_000, 30_000]);
  draft.text('A-ANNO-NOTE', 'Hall below', 15_000, 21_000, { height: 3 });
  draft.room('Plant', '2.01', [150, 150, 11_925, 11_850]).room('Tanks', '2.02', [12_075, 150, 17_925, 11_850]);
  draft.room('Stair', '2.03', [18_075, 150, 23_925, 11_850]).room('Switchgear', '2.04', [24_075, 150, 29_850, 11_850]);
  draft.level('+11.20', 4000, 9600);
  return draft;
}

/** Foundations, the framing of the deck and that of the roof. */
export function framing(what: 'foundations' | 'deck' | 'roof'): Draft {
  const draft = framed(new Draft(100));
  const inner = what === 'deck' ? AXES_X : AXES_X.slice(0, what === 'roof' ? 10 : 10);
  for (const x of inner)
    for (const y of AXES_Y) {
      if (what === 'foundations') {
        draft.box('S-BEAM', [x - 900, y - 900, x + 900, y + 900]).box('S-COLS', [x - 200, y - 200, x + 200, y + 200]);
        draft.circle('S-FNDN', x - 450, y - 450, 250).circle('S-FNDN', x + 450, y + 450, 250);
        draft.text('A-ANNO-NOTE', 'PC2', x + 1400, y + 1000, { height: 1.8 });
      } else {
        draft
          .line('S-COLS', x - 150, y - 150, x + 150, y - 150)
          .line('S-COLS', x - 150, y + 150, x + 150, y + 150)
          .line('S-COLS', x, y - 150, x, y + 150);
      }
    }
  for (const y of AXES_Y) for (const dy of [-150, 150]) draft.line('S-BEAM', 0, y + dy, 54_000, y + dy);
  if (what === 'foundations')
    for (const x of AXES_X) for (const dx of [-200, 200]) draft.line('S-FNDN', x + dx, 0, x + dx, 30_000);
  else {
    const step = what === 'deck' ? 2000 : 3000;
    for (let x = 0; x <= 54_000; x += step) draft.line('S-FNDN', x, 150, x, 29_850);
    for (let i = 0; i + 1 < AXES_X.length; i += 2) {
      const [x0, x1] = [AXES_X[i] ?? 0, AXES_X[i + 1] ?? 0];
      if (what === 'roof') draft.line('S-BEAM', x0, 0, x1, 6000).line('S-BEAM', x0, 6000, x1, 0);
    }
    AXES_X.slice(0, -1).forEach((x, i) =>
      draft.text('A-ANNO-NOTE', what === 'deck' ? 'IPE 400' : 'HEA 260', x + 3000, (AXES_Y[i % 5] ?? 0) + 500, {
        height: 1.8,
      }),
    );
  }
  return draft;
}
