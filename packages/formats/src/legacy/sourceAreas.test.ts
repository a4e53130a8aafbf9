import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { measureAreas } from '@mendrel/core';
import { PYTHON, run } from '../testing/programs';
import { readSourceFile } from './legacyFile';

// Reference: ezdxf (Debian's python3-ezdxf) draws the outlines and computes their areas itself; its curves
// for circles and ellipses are three ten-thousandths too large.
const SCRIPT = `
import ezdxf, json, sys
from ezdxf import path
from ezdxf.math import area
doc = ezdxf.new("R2010")
msp = doc.modelspace()
attribs = {"layer": "AREA"}
msp.add_lwpolyline([(0, 0), (7000, 0), (7000, 4200), (2500, 4200), (2500, 6100), (0, 6100)], close=True, dxfattribs=attribs)
msp.add_lwpolyline([(9000, 0, 0, 0, 0), (14000, 0, 0, 0, 0.5), (14000, 4000, 0, 0, -0.3), (9000, 4000, 0, 0, 0)], format="xyseb", close=True, dxfattribs=attribs)
msp.add_circle((20000, 3000), 2500, dxfattribs=attribs)
msp.add_ellipse((28000, 3000), (3000, 0), 0.6, dxfattribs=attribs)
block = doc.blocks.new("ROOM")
block.add_lwpolyline([(0, 0), (100, 0), (100, 80), (0, 80)], close=True, dxfattribs=attribs)
msp.add_blockref("ROOM", (33000, 0), dxfattribs={"xscale": 40, "yscale": 50, "rotation": 30})
doc.saveas(sys.argv[1])
found = []
for entity in msp:
    parts = entity.virtual_entities() if entity.dxftype() == "INSERT" else [entity]
    for part in parts:
        found.append(abs(area(path.make_path(part).flattening(0.001, 256))) / 1e6)
print(json.dumps(sorted(found)))
`;

test('areas are those that ezdxf computes, with arcs, curves and blocks that are turned', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'mendrel-areas-'));
  const file = join(folder, 'areas.dxf');
  const theirs = JSON.parse(run(PYTHON, ['-c', SCRIPT, file])) as number[];
  const [space] = await readSourceFile(new Uint8Array(readFileSync(file)));
  rmSync(folder, { recursive: true });
  const { areas } = measureAreas(space!.drawing.items, { layers: ['AREA'], unit: 1 });
  const ours = areas.map(({ squareMetres }) => squareMetres).sort((a, b) => a - b);
  expect(ours).toHaveLength(theirs.length);
  ours.forEach((each, i) => expect(Math.abs(each / theirs[i]! - 1)).toBeLessThan(0.001));
});
