import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Item } from '@mendrel/core';
import { PYTHON, run } from '../../testing/programs';
import { readDxf, spacesOf } from '../index';
import { hatchStrokes } from './hatchLines';

// Reference: ezdxf (Debian's python3-ezdxf) writes the hatch and says which lines it would draw for it.
const SCRIPT = `
import ezdxf, json, sys
from ezdxf.render import hatching
doc = ezdxf.new("R2010")
msp = doc.modelspace()
doc.layers.new("Walls", dxfattribs={"lineweight": 35})
doc.layers.new("Plain")
doc.linetypes.new("CUT", dxfattribs={"description": "", "pattern": [9.0, 6.0, -3.0]})
doc.header["$LTSCALE"] = 50
msp.add_line((0, 0), (100, 0), dxfattribs={"layer": "Walls"})
msp.add_line((0, 10), (100, 10), dxfattribs={"layer": "Plain", "linetype": "CUT"})
hatch = msp.add_hatch(dxfattribs={"layer": "Walls"})
hatch.set_pattern_fill(sys.argv[2], scale=float(sys.argv[3]), angle=float(sys.argv[4]))
hatch.paths.add_polyline_path([(0, 0), (200, 10), (190, 120), (30, 140)], is_closed=True)
hatch.paths.add_polyline_path([(60, 40), (120, 40), (120, 90), (60, 90)], is_closed=True, flags=16)
doc.saveas(sys.argv[1])
print(json.dumps([[a.x, a.y, b.x, b.y] for a, b in hatching.hatch_entity(hatch)]))
`;

const folder = mkdtempSync(join(tmpdir(), 'mendrel-hatch-'));
afterAll(() => rmSync(folder, { recursive: true }));

const lengthOf = (lines: readonly (readonly number[])[]): number =>
  lines.reduce((sum, [x0 = 0, y0 = 0, x1 = 0, y1 = 0]) => sum + Math.hypot(x1 - x0, y1 - y0), 0);

/** The middle of all lines, which tells whether they stand in the same places. */
function middleOf(lines: readonly (readonly number[])[]): [number, number] {
  let [x, y] = [0, 0];
  for (const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] of lines) {
    const length = Math.hypot(x1 - x0, y1 - y0);
    x += ((x0 + x1) / 2) * length;
    y += ((y0 + y1) / 2) * length;
  }
  const whole = lengthOf(lines);
  return [x / whole, y / whole];
}

function read(pattern: string, scale: number, angle: number): { theirs: number[][]; items: Item[]; intake: Item[] } {
  const file = join(folder, `${pattern}.dxf`);
  const theirs = JSON.parse(run(PYTHON, ['-c', SCRIPT, file, pattern, String(scale), String(angle)])) as number[][];
  const document = readDxf(new Uint8Array(readFileSync(file)));
  return {
    theirs,
    items: spacesOf(document, 'views')[0]?.drawing.items ?? [],
    intake: spacesOf(document)[0]?.drawing.items ?? [],
  };
}

test.each([
  ['ANSI31', 2, 0],
  ['ANSI31', 2, 30],
  ['ANSI37', 3, 0],
  ['ANSI33', 4, 0],
  ['AR-BRSTD', 0.1, 0],
])('the hatch %s at scale %d, turned by %d, is drawn with the lines of ezdxf', (pattern, scale, angle) => {
  const { theirs, items } = read(pattern, scale, angle);
  const ours = items
    .flatMap((item) => (item.kind === 'stroke' && item.points.length === 4 ? [item.points] : []))
    .slice(2);
  expect(ours.length).toBeGreaterThan(10);
  expect(Math.abs(lengthOf(ours) / lengthOf(theirs) - 1)).toBeLessThan(0.002);
  const [[x, y], [theirX, theirY]] = [middleOf(ours), middleOf(theirs)];
  expect(Math.hypot(x - theirX, y - theirY)).toBeLessThan(0.2);
});

test('views take the weight of the layer, or leave it to the office, and dashes as long as their pattern', () => {
  const { items, intake } = read('ANSI31', 2, 0);
  expect(items.slice(0, 2)).toMatchObject([
    { layer: 'Walls', width: 0.35 },
    { layer: 'Plain', width: 0, dashes: [6, 3] },
  ]);
  // Intake asks for what was drawn: an area, and dashes in drawing units.
  expect(intake[1]).toMatchObject({ dashes: [300, 150] });
  expect(intake.filter(({ kind }) => kind === 'fill')).toHaveLength(1);
});

test('a pattern far too fine for its area is left out', () => {
  const square = [0, 0, 1000, 0, 1000, 1000, 0, 1000];
  const fine = { angle: 0, base: [0, 0], step: [0, 0.001], dashes: [] } as const;
  expect(hatchStrokes([square], [{ ...fine, base: [0, 0], step: [0, 0.001], dashes: [] }], [1, 0, 0, 1, 0, 0])).toEqual(
    [],
  );
  const worked = hatchStrokes([square], [{ angle: 0, base: [0, 0], step: [0, 100], dashes: [] }], [1, 0, 0, 1, 0, 0]);
  // A line each 100 from 0 to 900: those on the lower edge count, those on the upper one do not.
  expect(lengthOf(worked)).toBe(10 * 1000);
});
