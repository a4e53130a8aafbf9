import type { OfficeStandard } from '@mendrel/core';
import { composeSheet, frameOf, solveDesign, STARTING_STANDARD } from '@mendrel/core';
import { typefaces } from '../../testing/fonts';
import { PYTHON, run, withFile } from '../../testing/programs';
import { convertedDesign } from '../../testing/sheet';
import type { StarterBlock } from './starterDrawing';
import { writeStarterDrawing } from './starterDrawing';

// Reference: ezdxf (Debian's python3-ezdxf) reads the starter drawing, audits it and tells what it carries.
const LOOK = `
import ezdxf, json, sys
d = ezdxf.readfile(sys.argv[1])
audit = d.audit()
def look(b):
    frames = [list(e.get_points('xy')) for e in b.query('LWPOLYLINE') if e.closed]
    return {
      'tags': [a.dxf.tag for a in b.query('ATTDEF')],
      'prompts': [a.dxf.prompt for a in b.query('ATTDEF')],
      'styles': sorted(set(t.dxf.style for t in b.query('TEXT ATTDEF'))),
      'frames': [[min(p[0] for p in f), min(p[1] for p in f), max(p[0] for p in f), max(p[1] for p in f)] for f in frames],
    }
print(json.dumps({
  'errors': [str(e.message) for e in audit.errors], 'fixes': len(audit.fixes), 'units': d.units,
  'measurement': d.header.get('$MEASUREMENT'), 'psltscale': d.header.get('$PSLTSCALE'),
  'layers': {l.dxf.name: [l.dxf.lineweight, l.dxf.linetype, l.rgb] for l in d.layers},
  'lineTypes': {t.dxf.name: [tag.value for tag in t.pattern_tags.tags if tag.code == 49] for t in d.linetypes},
  'styles': {s.dxf.name: [s.dxf.height, s.dxf.width, s.dxf.font] for s in d.styles},
  'dimensions': {s.dxf.name: [s.dxf.dimtxt, s.dxf.dimtsz, s.dxf.dimexe, s.dxf.dimexo, s.dxf.dimgap, s.dxf.dimtxsty, s.dxf.dimtad] for s in d.dimstyles},
  'blocks': {b.name: look(b) for b in d.blocks if not b.name.startswith('*')},
  'model': len(d.modelspace()),
  'pages': {l.name: {
    'inserts': [i.dxf.name for i in l.query('INSERT')], 'tags': sum(len(i.attribs) for i in l.query('INSERT')),
    'paper': [l.dxf_layout.dxf.paper_width, l.dxf_layout.dxf.paper_height],
    'limits': [list(l.dxf_layout.dxf.limmin), list(l.dxf_layout.dxf.limmax)],
    'views': len(l.query('VIEWPORT')),
  } for l in d.layouts if l.name != 'Model'},
  'current': [d.header.get('$TEXTSTYLE'), d.header.get('$DIMSTYLE')],
  'figures': {s.dxf.name: [s.dxf.dimscale, s.dxf.dimlunit, s.dxf.dimdec, s.dxf.dimzin, s.dxf.dimfrac, s.dxf.dimatfit, s.dxf.dimtol, s.dxf.dimlim] for s in d.dimstyles},
}))`;

interface Seen {
  errors: string[];
  fixes: number;
  units: number;
  measurement: number;
  psltscale: number;
  layers: Record<string, [number, string, [number, number, number] | null]>;
  lineTypes: Record<string, number[]>;
  styles: Record<string, [number, number, string]>;
  dimensions: Record<string, number[]>;
  blocks: Record<string, { tags: string[]; prompts: string[]; styles: string[]; frames: number[][] }>;
  model: number;
  pages: Record<string, { inserts: string[]; tags: number; paper: number[]; limits: number[][]; views: number }>;
  current: [string, string];
  figures: Record<string, number[]>;
}

const { design } = convertedDesign('rotated-text-a1');

function seenBy(standard: OfficeStandard): Seen {
  const blocks = ['ISO A1', 'ISO A3'].map((size) => {
    const layout = solveDesign(design, { size, values: {}, standard, typefaces });
    return { design: design.name, size, drawing: composeSheet(design, layout, { standard, typefaces }) };
  });
  const drawing = writeStarterDrawing(standard, blocks, (typeface) => `${typeface.replace(/ /g, '')}.ttf`);
  return withFile('starter.dxf', drawing, (file) => JSON.parse(run(PYTHON, ['-c', LOOK, file])) as Seen);
}

describe('a starter drawing as ezdxf sees it', () => {
  const patterned: OfficeStandard = {
    ...STARTING_STANDARD,
    pens: STARTING_STANDARD.pens.map((pen) => (pen.id === 'fine' ? { ...pen, colour: '#b3402a' } : pen)),
    layers: STARTING_STANDARD.layers.map((layer) => (layer.id === 'views' ? { ...layer, pattern: 'dashed' } : layer)),
    dimensions: STARTING_STANDARD.dimensions.map((style, i) => (i === 0 ? { ...style, terminator: 'dot' } : style)),
  };
  const seen = seenBy(patterned);

  test('passes its audit without errors or mending, in mm, with empty model space', () => {
    expect(seen).toMatchObject({ errors: [], fixes: 0, units: 4, measurement: 1, psltscale: 1, model: 0 });
  });

  test('has the layers with their pens, patterns and colours', () => {
    expect(seen.layers['SHEET-FRAME']).toEqual([70, 'Continuous', null]);
    expect(seen.layers['BLOCK-LINES']).toEqual([35, 'Continuous', null]);
    expect(seen.layers['SHEET-VIEWS']).toEqual([18, 'Dashed 0.18', [0xb3, 0x40, 0x2a]]);
  });

  // ISO 128 (from memory): dashed 12d and 3d with d the line width.
  test('has every pattern in every pen, dashes on paper', () => {
    expect(seen.lineTypes['Dashed 0.35']).toEqual([4.2, -1.05].map((each) => expect.closeTo(each, 6)));
    expect(Object.keys(seen.lineTypes).filter((name) => name.startsWith('Long-dashed'))).toHaveLength(5);
  });

  test('has a text style a role, as high as on paper', () => {
    for (const role of STARTING_STANDARD.roles) {
      const name = role.name.replaceAll('/', '_');
      expect(seen.styles[name]).toEqual([
        expect.closeTo(role.height, 6),
        role.widthFactor,
        `${role.typeface.replace(/ /g, '')}.ttf`,
      ]);
    }
  });

  // Worked example 11 (common practice): lettering and ticks 3/32 in, extension 1/8 in, lettering 1/32 in off the line.
  test('has the dimension styles', () => {
    expect(seen.dimensions['Dimensions in inches']).toEqual([
      ...[(3 / 32) * 25.4, (3 / 32) * 25.4, 25.4 / 8, 25.4 / 16, 25.4 / 32].map((each) => expect.closeTo(each, 6)),
      'Dimensions in inches',
      1,
    ]);
    expect(seen.dimensions['Dimensions']?.[1]).toBe(0);
    expect(Object.keys(seen.blocks)).toContain('_DOT');
  });

  // Worked example 4 (reference heights in a drawing at real size): 3.5 mm at 1:100 is 350 mm, 1/8 in at 1/8" = 1'-0" is 12 in.
  test('has the text styles as high as drawings at the usual scales need them', () => {
    expect(seen.styles['Value 1_100']?.[0]).toBeCloseTo(350, 6);
    expect(seen.styles['Value 1_8 in 1_8in-1ft']?.[0]).toBeCloseTo(12 * 25.4, 6);
    expect(Object.keys(seen.styles).filter((name) => name.endsWith(' 1_1250'))).toEqual([]);
  });

  // Group codes of the format: DIMLUNIT 4 feet and inches, 2 decimals; DIMZIN 3 leaves out zero feet, 0 no zeros of decimals;
  // DIMATFIT 3 moves out what fits worst.
  test('has the figures of dimensions as the office writes them, without tolerances', () => {
    expect(seen.figures['Dimensions']).toEqual([1, 2, 0, 0, 0, 3, 0, 0]);
    expect(seen.figures['Dimensions in inches']).toEqual([1, 4, 4, 3, 0, 3, 0, 0]);
    expect(seen.figures['Dimensions 1_50']?.[0]).toBe(50);
    expect(seen.figures['Dimensions in inches 1_4in-1ft']?.[0]).toBeCloseTo(48, 9);
  });

  test('has a page a size at true size, with its block and the attributes on it', () => {
    expect(Object.keys(seen.pages)).toEqual(['ISO A1', 'ISO A3']);
    const page = seen.pages['ISO A1']!;
    expect(page).toMatchObject({ inserts: [`${design.name} ISO A1`], paper: [841, 594], views: 1 });
    expect(page.limits[1]!.slice(0, 2)).toEqual([841, 594]);
    expect(page.tags).toBe(seen.blocks[`${design.name} ISO A1`]!.tags.length);
    expect(seen.current).toEqual([STARTING_STANDARD.roles[0]!.name.replaceAll('/', '_'), 'Dimensions']);
  });

  test('has a block a size, with its frame and the attributes of its fields', () => {
    for (const size of ['ISO A1', 'ISO A3']) {
      const block = seen.blocks[`${design.name} ${size}`]!;
      expect(block.tags).toContain('SHEET_NUMBER');
      expect(block.prompts).toContain('Sheet number');
      expect(new Set(block.tags).size).toBe(block.tags.length);
      const names = STARTING_STANDARD.roles.map((role) => role.name.replaceAll('/', '_'));
      for (const style of block.styles) expect(names).toContain(style);
      const layout = solveDesign(design, { size, values: {}, standard: STARTING_STANDARD, typefaces });
      const { x, y, width, height } = frameOf(layout.sheet, layout.margins);
      expect(block.frames).toContainEqual([x, y, x + width, y + height].map((each) => expect.closeTo(each, 6)));
    }
  });
});

test('pages are told apart by their designs where several have one size, and without designs there is an empty one', () => {
  const block = (name: string, size: string): StarterBlock => ({
    design: name,
    size,
    drawing: { width: 420, height: 297, items: [] },
  });
  const pagesOf = (blocks: readonly StarterBlock[]): Seen['pages'] =>
    withFile(
      'starter.dxf',
      writeStarterDrawing(STARTING_STANDARD, blocks, () => 'a.ttf'),
      (file) => {
        const seen = JSON.parse(run(PYTHON, ['-c', LOOK, file])) as Seen;
        expect(seen).toMatchObject({ errors: [], fixes: 0 });
        return seen.pages;
      },
    );
  const pages = pagesOf([block('Quay', 'ISO A3'), block('Harbour', 'ISO A3'), block('Quay', 'ISO A2')]);
  expect(Object.keys(pages)).toEqual(['ISO A3 Quay', 'ISO A3 Harbour', 'ISO A2']);
  expect(pages['ISO A3 Harbour']?.inserts).toEqual(['Harbour ISO A3']);
  expect(Object.values(pagesOf([]))).toMatchObject([{ inserts: [] }]);
});

test('an office that works in inches gets a starter drawing in inches', () => {
  const seen = seenBy({ ...STARTING_STANDARD, unit: 'in' });
  expect(seen).toMatchObject({ errors: [], fixes: 0, units: 1, measurement: 0 });
  expect(seen.styles['Value 1_8 in']?.[0]).toBeCloseTo(1 / 8, 9);
  expect(seen.dimensions['Dimensions in inches']?.[2]).toBeCloseTo(1 / 8, 9);
  expect(seen.pages['ISO A1']).toMatchObject({ paper: [841, 594] });
  expect(seen.pages['ISO A1']!.limits[1]![0]).toBeCloseTo(841 / 25.4, 6);
  expect(seen.styles['Value 1_8 in 1_4in-1ft']?.[0]).toBeCloseTo(6, 6);
});
