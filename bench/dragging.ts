import type { Design } from '@mendrel/core';
import { composeSheet, convertLegacy, setPanel, solveDesign, STARTING_STANDARD, tryOnValues } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { flattenDxf, readDxf } from '@mendrel/formats/dxf';
import { svgMarkup } from '@mendrel/formats/svg';
import { readTypefaces } from '@mendrel/formats/typeface';
import { readFileSync } from 'node:fs';
import { FRAME_MS, inTurns, report, wait } from './measure';

/** What each movement of a dragged divider costs: every size solved and drawn anew, and the shown one written for the screen. */
export function benchDragging(): void {
  const typefaces = readTypefaces(shippedFontFiles());
  const on = { standard: STARTING_STANDARD, typefaces };
  const bytes = new Uint8Array(readFileSync('demo/legacy/rotated-text-a1.dxf'));
  const { design } = convertLegacy(flattenDxf(readDxf(bytes)), 'bench', on);
  const values = tryOnValues('typical');
  const panel = design.panels[0]?.id ?? '';
  let width = 60;
  const move = (): void => {
    width = width >= 90 ? 60 : width + 0.5;
    const moved: Design = setPanel(design, panel, { width: `${width} mm` });
    for (const { size } of moved.sizes) {
      const layout = solveDesign(moved, { size, values, ...on });
      const drawing = composeSheet(moved, layout, on);
      svgMarkup(drawing.items, drawing.height, { emPerCapital: () => 1.43 });
    }
  };
  report(
    `One step of a dragged divider, ${design.sizes.length} sizes solved, drawn and written`,
    'one frame at 60 a second',
    inTurns(move, () => wait(FRAME_MS), 100),
  );
}
