import { Draft } from './drafting';

/** A tree as seen from above. */
function tree(draft: Draft, x: number, y: number, radius: number): void {
  draft.circle('L-PLNT', x, y, radius).circle('L-PLNT', x, y, radius * 0.12);
  for (let turn = 0; turn < 360; turn += 45) {
    const radians = ((turn + ((x / 1000) % 40)) * Math.PI) / 180;
    draft.line(
      'L-PLNT',
      x + radius * 0.35 * Math.cos(radians),
      y + radius * 0.35 * Math.sin(radians),
      x + radius * Math.cos(radians),
      y + radius * Math.sin(radians),
    );
  }
}

/** The terminal on its site: 320 by 210 m, the forecourt in it 120 by 90 m from its own corner on. */
export const FORECOURT = { x: 70_000, y: 25_000 };

export function site(): Draft {
  const draft = new Draft(200);
  const building = { x: 118_000, y: 84_000 };
  const { x, y } = building;
  // Quay line and water.
  draft.line(
    'C-SITE',
    0,
    128_000,
    104_000,
    124_000,
    182_000,
    124_000,
    182_000,
    96_000,
    226_000,
    92_000,
    320_000,
    104_000,
  );
  draft.line(
    'C-SITE',
    0,
    130_000,
    105_000,
    126_000,
    184_000,
    126_000,
    184_000,
    98_000,
    226_000,
    94_000,
    320_000,
    106_000,
  );
  for (let row = 0; row < 9; row++)
    for (let k = 0; k < 26; k++) {
      const [wx, wy] = [6000 + k * 12_400 + (row % 2) * 6000, 136_000 + row * 8200];
      draft.arc('C-WATR', wx, wy, 2600, 50, 130).arc('C-WATR', wx + 3300, wy, 2600, 50, 130);
    }
  for (let k = 0; k < 9; k++)
    draft
      .arc('C-WATR', 196_000 + k * 13_000, 116_000, 2600, 50, 130)
      .arc('C-WATR', 199_300 + k * 13_000, 116_000, 2600, 50, 130);
  // The building, with its roofs, the pontoon and the ferry.
  draft
    .box('A-ELEV-OTLN', [x, y, x + 30_000, y + 30_000])
    .box('A-ELEV-OTLN', [x + 30_000, y + 12_000, x + 54_000, y + 30_000]);
  draft
    .hatch('A-ROOF', [x, y, x + 30_000, y + 30_000], 45, 3000)
    .hatch('A-ROOF', [x + 30_000, y + 12_000, x + 54_000, y + 30_000], 90, 2000);
  draft
    .box('C-SITE', [x + 20_000, 134_000, x + 60_000, 141_000])
    .box('C-SITE', [x + 36_000, 126_000, x + 39_000, 134_000]);
  draft.ring(
    'A-ELEV',
    x + 14_000,
    144_000,
    x + 70_000,
    144_000,
    x + 84_000,
    149_000,
    x + 70_000,
    154_000,
    x + 14_000,
    154_000,
  );
  draft.box('A-ELEV', [x + 24_000, 146_000, x + 60_000, 152_000]);
  draft.text('A-ANNO-NOTE', 'Ferry berth', x + 42_000, 148_000, { height: 4 });
  // The road with its kerbs, and the forecourt.
  for (const [off, layer] of [
    [0, 'C-SITE'],
    [7000, 'C-SITE'],
    [3500, 'A-OVHD'],
  ] as const)
    draft.line(layer, 0, 14_000 + off, 120_000, 20_000 + off, 320_000, 12_000 + off);
  for (const off of [-2600, 9600]) draft.line('L-PVMT', 0, 14_000 + off, 120_000, 20_000 + off, 320_000, 12_000 + off);
  draft.box('L-PVMT', [78_000, 40_000, 186_000, 84_000]).hatch('L-PVMT', [78_000, 40_000, 186_000, 84_000], 45, 4000);
  draft.arc('C-SITE', 100_000, 60_000, 12_000, 0, 360).circle('C-SITE', 100_000, 60_000, 6000);
  for (let k = 0; k < 14; k++) draft.box('C-SITE', [126_000 + k * 2700, 42_000, 128_500 + k * 2700, 47_000]);
  for (let k = 0; k < 14; k++) draft.box('C-SITE', [126_000 + k * 2700, 54_000, 128_500 + k * 2700, 59_000]);
  for (let k = 0; k < 8; k++) tree(draft, 84_000 + k * 13_000, 35_500, 3600);
  for (let k = 0; k < 7; k++) tree(draft, 126_000 + k * 6400, 50_500, 2600);
  for (let k = 0; k < 22; k++)
    tree(
      draft,
      8000 + (k % 6) * 11_500 + (k % 3) * 1700,
      44_000 + Math.floor(k / 6) * 17_000 + (k % 4) * 2500,
      3600 + (k % 3) * 900,
    );
  for (let k = 0; k < 16; k++)
    tree(draft, 206_000 + (k % 6) * 17_500 + (k % 2) * 3000, 34_000 + Math.floor(k / 6) * 18_000, 4200 + (k % 3) * 700);
  for (let k = 0; k < 10; k++) {
    draft.box('L-PLNT', [80_000 + k * 10_000, 70_000, 87_000 + k * 10_000, 73_000]);
    for (let m = 0; m < 5; m++) draft.circle('L-PLNT', 81_000 + k * 10_000 + m * 1300, 71_500, 550);
  }
  // Contours and neighbours.
  for (let k = 0; k < 5; k++) {
    const points: number[] = [];
    for (let cx = 0; cx <= 320_000; cx += 8000)
      points.push(
        cx,
        30_000 + k * 16_000 + 2600 * Math.sin(cx / 21_000 + k) + (cx > 70_000 && cx < 200_000 ? -6000 : 0),
      );
    draft
      .line('C-TOPO', ...points)
      .text('C-TOPO', `${(2.5 + k * 0.5).toFixed(1)}`, 12_000 + k * 9000, 30_500 + k * 16_000, { height: 1.8 });
  }
  for (const [nx, ny, w, h] of [
    [10_000, 88_000, 26_000, 18_000],
    [44_000, 92_000, 22_000, 14_000],
    [232_000, 60_000, 30_000, 20_000],
    [276_000, 56_000, 24_000, 26_000],
    [30_000, -4000, 26_000, 12_000],
    [210_000, -6000, 44_000, 11_000],
  ] as const)
    draft
      .box('C-SITE', [nx, Math.max(ny, 500), nx + w, ny + h])
      .hatch('A-WALL-PATT', [nx, Math.max(ny, 500), nx + w, ny + h], 135, 2400);
  draft
    .text('A-ANNO-NOTE', 'SOUTH QUAY ROAD', 40_000, 19_400, { height: 3 })
    .text('A-ANNO-NOTE', 'FERRY TERMINAL', x + 15_000, y + 14_000, { height: 4 });
  draft
    .text('A-ANNO-NOTE', 'FORECOURT', 112_000, 64_500, { height: 3 })
    .text('A-ANNO-NOTE', 'BRACKENMOUTH HARBOUR', 70_000, 176_000, { height: 5 });
  return draft;
}
