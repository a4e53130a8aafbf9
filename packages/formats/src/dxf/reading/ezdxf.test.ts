import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Item, Segment } from '@mendrel/core';
import { distanceTo } from '@mendrel/core';
import { PYTHON, run } from '../../testing/programs';
import { readDxf, spacesOf } from '../index';
import { mtextLines, plainMtext } from './mtext';

// Reference: ezdxf (Debian's python3-ezdxf) writes files of every kind and says what it finds in them itself.
const SCRIPT = `
import ezdxf, json, math, sys
from ezdxf import path
folder, version, fmt = sys.argv[1:4]
doc = ezdxf.new(version, setup=True)
msp = doc.modelspace()
old = version == "R12"
doc.layers.new("Rahmen-Größe", dxfattribs={"color": 3})
doc.layers.new("aus").off()
frozen = doc.layers.new("frozen")
frozen.freeze()
block = doc.blocks.new("INNEN", base_point=(1, 2))
block.add_line((1, 2), (11, 2))
block.add_text("Maß", dxfattribs={"height": 2.5, "insert": (3, 3)})
outer = doc.blocks.new("AUSSEN")
outer.add_blockref("INNEN", (5, 5), dxfattribs={"xscale": 2, "yscale": 2, "rotation": 30})
msp.add_blockref("AUSSEN", (100, 50), dxfattribs={"rotation": 45, "layer": "Rahmen-Größe"})
msp.add_blockref("INNEN", (200, 50), dxfattribs={"xscale": -1, "yscale": 1})
msp.add_blockref("INNEN", (300, 50), dxfattribs={"column_count": 3, "row_count": 2, "column_spacing": 20, "row_spacing": 10})
msp.add_line((0, 0), (10, 5))
msp.add_circle((50, 50), 10)
msp.add_arc((80, 50), 10, 30, 200)
msp.add_arc((80, 80), 10, 30, 200, dxfattribs={"extrusion": (0, 0, -1)})
msp.add_polyline2d([(0, 0), (10, 0), (10, 10)])
msp.add_solid([(0, 0), (10, 0), (0, 10), (10, 10)])
msp.add_point((3, 3))
msp.add_text("äöü ß é ñ", dxfattribs={"height": 3.5, "insert": (7, 8), "layer": "Rahmen-Größe"})
msp.add_text("Mitte", dxfattribs={"height": 3.5}).set_pos((40, 40), align="MIDDLE_CENTER")
msp.add_line((0, 0), (1, 1), dxfattribs={"layer": "aus"})
msp.add_line((0, 0), (1, 1), dxfattribs={"layer": "FROZEN"})
if not old:
    msp.add_lwpolyline([(0, 0, 0, 0, 0.5), (10, 0, 0, 0, 0), (10, 10, 0, 0, -1)], close=True, format="xyseb")
    msp.add_lwpolyline([(0, 0), (10, 0), (10, 10)], dxfattribs={"extrusion": (0, 0, -1)})
    msp.add_ellipse((150, 150), (20, 5), 0.4)
    msp.add_ellipse((150, 150), (20, 5), 0.4, 0.5, 2.5)
    msp.add_open_spline([(0, 200), (10, 220), (30, 190), (50, 210), (60, 200)], degree=3)
    msp.add_mtext("{\\\\fArial|b1;Zeile 1}\\\\PZeile\\\\~2 \\\\S1/2; \\\\H2.5;x", dxfattribs={"insert": (5, 90), "char_height": 2.5})
    hatch = msp.add_hatch()
    edges = hatch.paths.add_edge_path()
    edges.add_arc((0, 0), 10, 0, 180)
    edges.add_line((-10, 0), (10, 0))
    page = doc.layout("Layout1")
    page.add_line((0, 0), (841, 594))
    second = doc.new_layout("Blatt 2")
    second.add_line((0, 0), (420, 297))
file = folder + "/" + version + fmt + ".dxf"
doc.saveas(file, fmt=fmt)

doc = ezdxf.readfile(file)
shown = []
def visit(entity, outer=None):
    if entity.dxftype() == "INSERT":
        for each in entity.multi_insert() if entity.mcount > 1 else [entity]:
            for inner in each.virtual_entities():
                visit(inner, entity)
        return
    layer = entity.dxf.layer
    if layer == "0" and outer is not None:
        layer = outer.dxf.layer
    if layer.lower() in ("aus", "frozen"):
        return
    kind = entity.dxftype()
    if kind == "TEXT":
        shown.append(["text", entity.plain_text(), entity.dxf.height])
    elif kind == "MTEXT":
        shown.append(["text", entity.plain_text(fast=False), entity.dxf.char_height])
    elif kind in ("SOLID", "POINT"):
        pass
    elif kind == "HATCH":
        pass
    else:
        points = [p for p in path.make_path(entity).flattening(0.001)]
        xs, ys = [p.x for p in points], [p.y for p in points]
        shown.append(["line", min(xs), min(ys), max(xs), max(ys)])
for entity in doc.modelspace():
    visit(entity)
print(json.dumps(dict(shown=shown, layouts=[name for name in doc.layout_names() if name != "Model" and len(doc.layout(name)) > 0])))
`;

function alongArc({ centre, radius, from, to }: Extract<Item, { kind: 'arc' }>): number[] {
  const steps = Array.from({ length: 721 }, (_, i) => ((from + ((to - from) * i) / 720) * Math.PI) / 180);
  return steps.flatMap((turn) => [centre.x + radius * Math.cos(turn), centre.y + radius * Math.sin(turn)]);
}

const folder = mkdtempSync(join(tmpdir(), 'mendrel-ezdxf-'));
afterAll(() => rmSync(folder, { recursive: true }));

const KINDS = ['R12', 'R2000', 'R2004', 'R2007', 'R2010', 'R2013', 'R2018'].map((version) => [version, 'asc'] as const);

test.each([...KINDS, ['R12', 'bin'] as const, ['R2000', 'bin'] as const, ['R2018', 'bin'] as const])(
  '%s (%s) says what ezdxf says',
  (version, fmt) => {
    const { shown, layouts } = JSON.parse(run(PYTHON, ['-c', SCRIPT, folder, version, fmt])) as {
      shown: (string | number)[][];
      layouts: string[];
    };
    const [model, ...pages] = spacesOf(readDxf(new Uint8Array(readFileSync(join(folder, `${version}${fmt}.dxf`)))));
    const items = model?.drawing.items ?? [];
    const rounded = (values: readonly number[]): string =>
      values.map((value) => (Math.round(value * 4) / 4 + 0).toFixed(2)).join(' ');
    const box = (item: Item): string => {
      const points = item.kind === 'arc' ? alongArc(item) : item.kind === 'stroke' ? item.points : [];
      const xs = points.filter((_, i) => i % 2 === 0);
      const ys = points.filter((_, i) => i % 2 === 1);
      return rounded([Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)]);
    };

    // Each line of an MTEXT is a text of ours; where it stands, widths of letters decide, which no file holds.
    const theirTexts = shown.filter(([kind]) => kind === 'text').flatMap(([, text]) => String(text).split('\n'));
    const texts = items.flatMap((item) => (item.kind === 'text' ? [item.text] : []));
    expect([...texts].sort()).toEqual(theirTexts.map((text) => text.trim()).sort());

    const theirLines = shown.filter(([kind]) => kind === 'line').map(([, ...at]) => rounded(at as number[]));
    const lines = items.filter((item) => item.kind === 'stroke' || item.kind === 'arc').map(box);
    expect([...lines].sort()).toEqual([...theirLines].sort());
    expect(pages.map((page) => page.name).sort()).toEqual([...layouts].sort());
    expect(items.filter((item) => item.kind === 'fill')).toHaveLength(version === 'R12' ? 1 : 2);
    expect(model?.drawing.dropped.map((each) => each.layer.toLowerCase())).toEqual(
      expect.arrayContaining(['aus', 'frozen']),
    );
  },
);

// Reference: ezdxf's own curve through the points. Where the ends are free it estimates directions for them, which are
// said by no standard: common practice, so that the first and the last span may differ by a hundredth.
test.each([
  ['with the directions of its ends', [1, 3], [2, -1], 0.05],
  ['with free ends', undefined, undefined, 3],
] as const)('a spline through points, %s, runs as that of ezdxf', (_name, begins, ends, apart) => {
  const through = [0, 0, 40, 60, 110, 20, 170, 90, 260, 40, 300, 110];
  const script = `
import ezdxf, json, sys
from ezdxf import path
through, begins, ends, file = json.loads(sys.argv[1])
doc = ezdxf.new()
pairs = [(through[i], through[i + 1]) for i in range(0, len(through), 2)]
spline = doc.modelspace().add_spline(pairs)
if begins:
    spline.dxf.start_tangent, spline.dxf.end_tangent = begins, ends
doc.saveas(file)
print(json.dumps([[p.x, p.y] for p in path.make_path(spline).flattening(0.001)]))`;
  const file = join(folder, 'spline.dxf');
  const asked = JSON.stringify([through, begins ?? null, ends ?? null, file]);
  const theirs = JSON.parse(run(PYTHON, ['-c', script, asked])) as [number, number][];
  const [ours] = spacesOf(readDxf(new Uint8Array(readFileSync(file))))[0]?.drawing.items ?? [];
  const points = ours?.kind === 'stroke' ? ours.points : [];
  const curve = theirs.slice(1).map(([x1, y1], i): Segment => {
    const [x0, y0] = theirs[i] ?? [x1, y1];
    return { x0, y0, x1, y1 };
  });
  const off = points.flatMap((x, i) =>
    i % 2 === 0 ? [Math.min(...curve.map((piece) => distanceTo(piece, x, points[i + 1] ?? 0)))] : [],
  );
  expect(off.length).toBeGreaterThan(through.length);
  expect(Math.max(...off)).toBeLessThan(apart);
});

// Reference: ezdxf's own plain text of the same codes.
test('formatting codes of MTEXT are taken out as ezdxf takes them out', () => {
  const samples = [
    'plain',
    '{\\fArial|b0|i0|c0|p34;bold} rest',
    'one\\Ptwo\\Pthree',
    '\\A1;\\H0.7x;\\W0.9;narrow',
    '\\LUnder\\l \\OOver\\o \\KStrike\\k',
    'a\\~b',
    '\\C1;red {\\C3;green} \\T2;wide',
    '\\\\ \\{ \\}',
    '90%%d %%p0.5 %%c12',
    '\\pxqc;centred',
    '\\Q15;slant',
  ];
  const script = `
import ezdxf, json, sys
doc = ezdxf.new()
print(json.dumps([doc.modelspace().add_mtext(text).plain_text(fast=False) for text in json.loads(sys.argv[1])]))`;
  const theirs = JSON.parse(run(PYTHON, ['-c', script, JSON.stringify(samples)])) as string[];
  const ours = samples.map((text) => plainMtext(text));
  expect(ours.map((text) => text.replace(/⌀/g, 'Ø'))).toEqual(
    theirs.map((text) => text.replace(/⌀|ø/gi, 'Ø').trimEnd()),
  );
});

test('lines of MTEXT are as high as their codes say', () => {
  expect(mtextLines('{\\H2.0;PROJECT}\\P{\\H5;Ferry {\\H0.5x;House}}\\P\\PBasin Road', 3.5)).toEqual({
    text: 'PROJECT\nFerry House\n\nBasin Road',
    heights: [2, 5, 3.5, 3.5],
  });
  expect(mtextLines('\\H1.4x;a\\Pb\\H0;c\\Hx;d', 2.5).heights).toEqual([3.5, 3.5]);
  expect(mtextLines('', 2.5)).toEqual({ text: '', heights: [2.5] });
});
