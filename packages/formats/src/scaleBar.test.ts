import type { Design } from '@mendrel/core';
import { composeSheet, solveDesign, STARTING_STANDARD } from '@mendrel/core';
import { writeDxf } from './dxf';
import { writeSvg } from './svg';
import { typefaces } from './testing/fonts';
import { PYTHON, run, withFile } from './testing/programs';
import { convertedDesign } from './testing/sheet';

/** A sheet at 1:200 with a scale bar of at most 90 mm in a panel of its own. */
function sheetWithBar(unit: Design['unit']) {
  const { design } = convertedDesign('rotated-text-a1');
  const bar = {
    id: 'bar',
    kind: 'scaleBar' as const,
    horizontal: 'left' as const,
    vertical: 'bottom' as const,
    rotation: 0 as const,
    parameter: 'sheet.scale',
    length: '90 mm',
    height: '2 mm',
    role: 'caption',
  };
  const panel = { ...design.panels[0]!, id: 'only', dock: 'bottom' as const, height: '30 mm' };
  delete panel.width;
  const only: Design = { ...design, unit, panels: [{ ...panel, root: { id: 'root', name: 'Bar', contents: [bar] } }] };
  const on = { standard: STARTING_STANDARD, typefaces, values: { 'sheet.scale': '1:200' } };
  return composeSheet(only, solveDesign(only, { size: 'ISO A1', ...on }), on);
}
/** Four fields of 2.5 m at 1:200; four of 5 m would be 100 mm long. */
const LENGTH = (4 * 2500) / 200;

// Reference: ezdxf's own bounding boxes of what lies on the layer of pictures.
test.each([
  ['mm', 1],
  ['in', 25.4],
] as const)('the bar measures its real length at the scale in a DXF in %s', (unit, mm) => {
  const drawing = sheetWithBar(unit);
  const file = writeDxf(drawing, { blockName: 'Bar', layers: [], fontFile: () => 'x.ttf', unit });
  const look = `
import ezdxf, sys
from ezdxf import bbox
d = ezdxf.readfile(sys.argv[1])
parts = [e for b in d.blocks for e in b if e.dxf.layer == 'BLOCK-PICTURES']
print(bbox.extents(parts).size.x)`;
  const width = withFile('bar.dxf', file, (path) => Number(run(PYTHON, ['-B', '-c', look, path])));
  expect(width * mm).toBeCloseTo(LENGTH, 3);
});

// Filled are only the two dark fields of the bar, the first of four and the third.
test('and in an SVG, whose unit is the millimetre', () => {
  const svg = writeSvg(sheetWithBar('mm'), { emPerCapital: () => 1.4 });
  expect(svg).toMatch(/width="841mm"/);
  const fields = svg.split('\n').filter((line) => line.includes('fill-rule'));
  const xs = fields.flatMap((line) => [...line.matchAll(/[MLH](-?[\d.]+)/g)].map(([, x]) => Number(x)));
  expect(fields).toHaveLength(2);
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo((3 / 4) * LENGTH, 3);
});
