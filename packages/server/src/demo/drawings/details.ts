import type { Box } from './drafting';
import { Draft } from './drafting';

/** How far apart details stand in their drawing, in mm. */
export const DETAIL_STEP = 1500;

/** The details of the terminal in the order in which they stand, four in a row. */
export const DETAILS = [
  'Eaves',
  'Sill',
  'Mullion',
  'Transom',
  'Gutter',
  'Canopy fixing',
  'Balustrade',
  'Quay edge',
  'Threshold',
  'Nosing',
  'Bearing',
  'Totem',
  'Paving edge',
  'Node 1',
  'Node 2',
] as const;

export type DetailName = (typeof DETAILS)[number];

/** Where a detail stands in its drawing: its lower left corner. */
export function placeOf(name: DetailName): { x: number; y: number } {
  const i = DETAILS.indexOf(name);
  return { x: (i % 4) * DETAIL_STEP, y: Math.floor(i / 4) * DETAIL_STEP };
}

/** Insulation: a row of loops between two lines. */
function insulation(draft: Draft, [x0, y0, x1, y1]: Box): void {
  draft.box('A-DETL', [x0, y0, x1, y1]);
  const upright = y1 - y0 > x1 - x0;
  const [from, to, low, high] = upright ? [y0, y1, x0, x1] : [x0, x1, y0, y1];
  const points: number[] = [];
  const step = (high - low) * 0.4;
  for (let at = from, k = 0; at <= to; at += step, k++) {
    const off = k % 2 === 0 ? low + 4 : high - 4;
    points.push(...(upright ? [off, at] : [at, off]));
  }
  draft.line('A-DETL-PATT', ...points);
}

const solid = (draft: Draft, box: Box, angle: 45 | 135 = 45, step = 12): Draft =>
  draft.box('A-DETL', box).hatch('A-DETL-PATT', box, angle, step);

/** Concrete: its hatch and a scatter of stones. */
function concrete(draft: Draft, box: Box): void {
  const [x0, y0, x1, y1] = box;
  solid(draft, box, 45, 40);
  for (let k = 0; k < ((x1 - x0) * (y1 - y0)) / 2200; k++)
    draft.circle(
      'A-DETL-PATT',
      x0 + 8 + ((k * 53.7) % Math.max(1, x1 - x0 - 16)),
      y0 + 8 + ((k * 31.3) % Math.max(1, y1 - y0 - 16)),
      3 + (k % 3) * 1.5,
    );
}

/** A wall in layers from the outside in, standing between two heights. */
function layeredWall(draft: Draft, x: number, y0: number, y1: number): void {
  for (let y = y0; y < y1; y += 32) draft.box('A-DETL', [x, y, x + 22, Math.min(y1, y + 30)]);
  draft.box('A-DETL', [x + 22, y0, x + 62, y1]);
  insulation(draft, [x + 62, y0, x + 222, y1]);
  concrete(draft, [x + 222, y0, x + 422, y1]);
  draft.box('A-DETL', [x + 422, y0, x + 437, y1]);
}

const DRAWN: Readonly<Record<DetailName, (draft: Draft) => void>> = {
  Eaves(draft) {
    layeredWall(draft, 120, 40, 400);
    concrete(draft, [342, 400, 720, 520]);
    insulation(draft, [182, 520, 720, 640]);
    draft.line('A-ELEV-OTLN', 60, 500, 60, 660, 720, 660).line('A-DETL', 60, 500, 90, 500, 90, 640);
    draft
      .note('Standing seam roof', 420, 690, 500, 660)
      .note('Mineral wool 120', 470, 570, 420, 580)
      .note('Timber cladding', 20, 250, 130, 250);
  },
  Sill(draft) {
    layeredWall(draft, 120, 40, 330);
    draft.box('A-DETL', [250, 350, 330, 430]).box('A-DETL', [262, 430, 318, 470]);
    draft.line('A-GLAZ', 282, 470, 282, 700).line('A-GLAZ', 298, 470, 298, 700);
    draft.line('A-ELEV-OTLN', 90, 318, 100, 336, 250, 352).line('A-DETL', 330, 350, 600, 350, 600, 330, 340, 330);
    draft
      .note('Triple glazing', 360, 620, 298, 600)
      .note('Aluminium sill', 20, 400, 150, 342)
      .note('Oak board', 480, 390, 520, 350);
  },
  Mullion(draft) {
    draft.box('A-DETL', [345, 200, 405, 440]).box('A-DETL', [350, 205, 400, 435]);
    for (const x of [60, 420])
      draft
        .line('A-GLAZ', x, 470, x + 270, 470)
        .line('A-GLAZ', x, 478, x + 270, 478)
        .line('A-GLAZ', x, 500, x + 270, 500)
        .line('A-GLAZ', x, 508, x + 270, 508);
    draft.box('A-DETL', [335, 510, 415, 530]).box('A-DETL', [360, 530, 390, 560]);
    draft.note('Pressure plate and cap', 450, 610, 390, 550).note('Mullion 60 × 240', 450, 300, 405, 300);
    draft.dimensions('x', [345, 405], 150);
  },
  Transom(draft) {
    draft.box('A-DETL', [80, 140, 200, 190]).box('A-DETL', [84, 144, 196, 186]);
    for (const x of [215, 219, 230, 234]) draft.line('A-GLAZ', x, 20, x, 140).line('A-GLAZ', x, 190, x, 320);
    draft.box('A-DETL', [236, 145, 246, 185]).box('A-DETL', [246, 152, 262, 178]);
    draft.note('Transom 50 × 120', 90, 240, 130, 190).dimensions('y', [140, 190], 40);
  },
  Gutter(draft) {
    concrete(draft, [300, 200, 720, 340]);
    insulation(draft, [300, 340, 720, 480]);
    draft.line('A-ELEV-OTLN', 720, 500, 300, 485, 280, 380, 120, 380, 110, 500, 90, 500);
    draft.line('A-DETL', 60, 200, 60, 520, 110, 520).box('A-DETL', [180, 200, 230, 378]);
    draft.note('Gutter, stainless steel', 320, 600, 200, 384).note('Downpipe 100', 20, 130, 200, 240);
  },
  'Canopy fixing'(draft) {
    concrete(draft, [60, 60, 260, 680]);
    draft.box('A-DETL', [260, 280, 280, 480]).box('A-DETL', [280, 340, 700, 350]).box('A-DETL', [280, 410, 700, 420]);
    draft.box('A-DETL', [280, 350, 300, 410]).line('A-DETL', 300, 360, 700, 360).line('A-DETL', 300, 400, 700, 400);
    for (const y of [310, 450])
      draft
        .line('A-DETL', 120, y, 300, y)
        .circle('A-DETL', 290, y, 12)
        .line('A-DETL', 140, y - 8, 140, y + 8);
    draft.note('IPE 80', 500, 480, 460, 420).note('Anchor M16', 320, 220, 230, 310);
  },
  Balustrade(draft) {
    concrete(draft, [120, 60, 720, 220]);
    solid(draft, [120, 220, 720, 250], 135, 20);
    draft.box('A-DETL', [60, 90, 120, 230]).box('A-DETL', [80, 230, 100, 660]).box('A-DETL', [60, 660, 120, 690]);
    for (const y of [130, 200]) draft.line('A-DETL', 70, y, 220, y).circle('A-DETL', 78, y, 9);
    draft
      .note('Oak handrail', 220, 680, 120, 676)
      .note('Laminated glass', 220, 500, 100, 480)
      .note('Deck boards', 420, 300, 480, 250);
  },
  'Quay edge'(draft) {
    concrete(draft, [60, 60, 300, 520]);
    concrete(draft, [40, 520, 420, 640]);
    draft.line('A-ELEV-OTLN', 310, 60, 310, 510, 430, 510, 430, 640);
    for (let k = 0; k < 26; k++)
      draft.circle('A-DETL-PATT', 350 + ((k * 67) % 340), 90 + ((k * 43) % 400), 12 + (k % 4) * 5);
    for (let x = 430; x < 720; x += 100) draft.box('A-DETL', [x, 560, x + 94, 640]);
    draft.note('Capping', 120, 690, 200, 630).note('Drainage layer', 460, 480, 330, 400);
  },
  Threshold(draft) {
    concrete(draft, [60, 60, 720, 200]);
    insulation(draft, [380, 200, 720, 290]);
    solid(draft, [380, 290, 720, 350], 135, 18);
    draft.box('A-DETL', [380, 350, 720, 366]).box('A-DETL', [300, 330, 380, 362]).box('A-DETL', [316, 370, 366, 690]);
    for (let x = 60; x < 290; x += 46) draft.box('A-DETL', [x, 300, x + 40, 340]);
    draft.note('Drained channel', 60, 430, 200, 340).note('Level threshold', 420, 420, 340, 362);
  },
  Nosing(draft) {
    draft.line('A-DETL', 40, 80, 340, 80, 340, 250, 620, 250, 620, 420, 720, 420);
    draft.line('A-DETL', 40, 40, 380, 40, 380, 210, 660, 210, 660, 380, 720, 380);
    for (const [x, y] of [
      [300, 80],
      [580, 250],
    ] as const)
      draft.box('A-DETL', [x, y - 8, x + 44, y + 4]).hatch('A-DETL-PATT', [x, y - 8, x + 44, y + 4], 90, 6);
    draft.note('Ribbed insert', 60, 330, 310, 86).dimensions('x', [340, 620], 500).dimensions('y', [80, 250], 200);
  },
  Bearing(draft) {
    concrete(draft, [60, 60, 700, 320]);
    draft
      .box('A-DETL', [260, 320, 520, 350])
      .box('A-DETL', [280, 350, 500, 410])
      .box('A-DETL', [240, 410, 940, 430])
      .box('A-DETL', [240, 690, 940, 710]);
    draft.box('A-DETL', [370, 430, 390, 690]).hatch('A-DETL-PATT', [280, 350, 500, 410], 0, 8);
    draft.line('A-DETL', 300, 140, 300, 360).line('A-DETL', 480, 140, 480, 360);
    draft.note('Elastomer bearing', 600, 520, 490, 380).note('Gangway girder', 600, 780, 560, 710);
  },
  Totem(draft) {
    draft.box('A-DETL', [300, 180, 600, 1120]).box('A-DETL', [310, 190, 590, 1110]).line('A-DETL', 310, 900, 590, 900);
    draft
      .text('A-ANNO-NOTE', 'A', 450, 960, { height: 9 })
      .line('A-ELEV', 360, 820, 540, 820)
      .line('A-ELEV', 360, 760, 540, 760)
      .line('A-ELEV', 360, 700, 500, 700);
    concrete(draft, [240, 20, 660, 180]);
    draft.note('Base plate', 680, 240, 600, 186);
  },
  'Paving edge'(draft) {
    concrete(draft, [300, 120, 420, 480]);
    for (let x = 425; x < 720; x += 105) draft.box('A-DETL', [x, 420, x + 98, 500]);
    solid(draft, [425, 370, 720, 418], 135, 14);
    for (let k = 0; k < 34; k++)
      draft.circle('A-DETL-PATT', 440 + ((k * 71) % 270), 140 + ((k * 37) % 215), 7 + (k % 3) * 4);
    draft.line('A-ELEV-OTLN', 40, 430, 120, 445, 200, 432, 300, 440);
    for (let x = 60; x < 300; x += 26) draft.line('L-PLNT', x, 440, x - 6, 500).line('L-PLNT', x, 440, x + 8, 480);
    draft.note('Setts 100 × 100 × 80', 450, 560, 520, 500).note('Kerb', 330, 640, 360, 480);
  },
  'Node 1'(draft) {
    draft
      .box('A-DETL', [330, 40, 342, 700])
      .box('A-DETL', [458, 40, 470, 700])
      .line('A-DETL', 394, 40, 394, 700)
      .line('A-DETL', 406, 40, 406, 700);
    draft.box('A-DETL', [470, 420, 720, 434]).box('A-DETL', [470, 226, 720, 240]).box('A-DETL', [470, 200, 488, 460]);
    for (const y of [260, 300, 360, 400])
      draft.line('A-DETL', 440, y, 520, y).box('A-DETL', [488, y - 12, 504, y + 12]);
    draft
      .note('End plate 18, 8 M20', 520, 520, 488, 440)
      .note('HEA 260', 60, 640, 330, 600)
      .note('IPE 240', 560, 150, 600, 226);
  },
  'Node 2'(draft) {
    concrete(draft, [120, 40, 640, 300]);
    draft.box('A-DETL', [200, 330, 560, 352]).hatch('A-DETL-PATT', [200, 300, 560, 330], 135, 8);
    draft
      .box('A-DETL', [290, 352, 302, 700])
      .box('A-DETL', [458, 352, 470, 700])
      .line('A-DETL', 374, 352, 374, 700)
      .line('A-DETL', 386, 352, 386, 700);
    for (const x of [240, 520])
      draft
        .line('A-DETL', x, 100, x, 390)
        .box('A-DETL', [x - 14, 352, x + 14, 370])
        .line('A-DETL', x - 24, 100, x + 24, 100);
    draft.note('Grout 30', 580, 420, 560, 316).note('4 M24 anchors', 40, 470, 240, 380);
  },
};

/** All details in one drawing. */
export function details(): Draft {
  const whole = new Draft(10);
  for (const name of DETAILS) {
    const draft = new Draft(name === 'Transom' ? 5 : 10);
    DRAWN[name](draft);
    const { x, y } = placeOf(name);
    whole.take(draft, x, y);
  }
  return whole;
}
