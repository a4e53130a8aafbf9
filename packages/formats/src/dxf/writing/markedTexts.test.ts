import type { Design, Notes } from '@mendrel/core';
import { composeSheet, DESIGN_VERSION, readMarks, solveDesign, STARTING_STANDARD } from '@mendrel/core';
import { typefaces } from '../../testing/fonts';
import { PYTHON, run, withFile } from '../../testing/programs';
import { flattenDxf, readDxf } from '../index';
import { writeDxf } from './index';

const notes = (typed: string, rotation: Notes['rotation'] = 0): Notes => ({
  id: 'n',
  kind: 'notes',
  horizontal: 'left',
  vertical: 'top',
  rotation,
  role: 'notes',
  strong: 'title',
  ...readMarks(typed),
});

function dxfOf(content: Notes): string {
  const design: Design = {
    format: 'mendrel-design',
    version: DESIGN_VERSION,
    name: 'Notes',
    unit: 'mm',
    sizes: [{ size: 'ISO A3', orientation: 'landscape' }],
    dimensions: [],
    frame: { margins: 'standard', pen: 'frame', trimLine: false, zones: false, centringMarks: false },
    panels: [
      {
        id: 'p',
        name: 'Panel',
        dock: 'lower-left',
        width: '62 mm',
        height: '80 mm',
        outlinePen: 'outline',
        dividerPen: 'divider',
        root: { id: 'root', name: 'Notes', padding: '1 mm', contents: [content] },
      },
    ],
    modules: { columns: 1, rows: 1 },
  };
  const on = { standard: STARTING_STANDARD, typefaces };
  const layout = solveDesign(design, { size: 'ISO A3', values: {}, ...on });
  const layers = [{ name: 'A', width: 0.25, colour: '#000000', pattern: undefined }];
  return writeDxf(composeSheet(design, layout, on), { blockName: 'N', layers, fontFile: () => 'Barlow.ttf' });
}

// Reference: ezdxf (Debian's python3-ezdxf) reads the codes of the text.
const READ = `
import ezdxf, json, sys
from ezdxf.tools.text import MTextParser, MTextContext, TokenType
d = ezdxf.readfile(sys.argv[1])
block = d.blocks[d.modelspace().query('INSERT')[0].dxf.name]
m, = block.query('MTEXT')
context = MTextContext()
context.cap_height = m.dxf.char_height
words = [[t.data, t.ctx.underline, t.ctx.font_face.family, round(t.ctx.paragraph.left, 3), round(t.ctx.paragraph.indent, 3), [round(tab, 3) for tab in t.ctx.paragraph.tab_stops]]
  for t in MTextParser(m.text, context) if t.type == TokenType.WORD]
print(json.dumps({'errors': len(d.audit().errors), 'plain': m.plain_text(), 'words': words, 'rotation': m.get_rotation(),
  'insert': [round(m.dxf.insert.x, 3), round(m.dxf.insert.y, 3)], 'texts': len(block.query('TEXT')),
  'lines': len([e for e in block.query('LWPOLYLINE') if not e.closed])}))`;

interface Seen {
  errors: number;
  plain: string;
  words: [string, boolean, string, number, number, number[]][];
  rotation: number;
  insert: [number, number];
  texts: number;
  lines: number;
}
const seenIn = (content: Notes): Seen =>
  withFile('notes.dxf', dxfOf(content), (file) => JSON.parse(run(PYTHON, ['-c', READ, file])) as Seen);

test('notes in which words stand out are one text, with the codes of the format', () => {
  const seen = seenIn(notes('_Notes {general}_\n1. Do *not* scale from this drawing but check all sizes on site\nEnd'));
  expect(seen).toMatchObject({ errors: 0, texts: 0, lines: 0, rotation: 0 });
  expect(seen.plain.replace(/\t/g, ' ').split('\n')).toEqual([
    'Notes {general}',
    '1. Do not scale from this drawing but',
    'check all sizes on site',
    'End',
  ]);
  const of = (word: string) => seen.words.find(([data]) => data === word)!;
  expect(of('Notes').slice(1)).toEqual([true, expect.anything(), 0, 0, []]);
  expect(of('not')[2]).toBe('Barlow Semi Condensed SemiBold');
  expect(of('not')[1]).toBe(false);
  expect(of('scale')[2]).not.toBe('Barlow Semi Condensed SemiBold');
  // The lines of the list hang in as far as on the sheet, its label that much before them.
  const [, , , left, indent] = of('1.');
  expect(left).toBeGreaterThan(1);
  expect(indent).toBe(-left);
  expect(of('sizes').slice(3, 5)).toEqual([left, 0]);
  expect(of('End').slice(3, 5)).toEqual([0, 0]);
});

test('columns of notes stand at the tabs of one text', () => {
  const seen = seenIn(notes('FFL | m | finished floor level, of the floor as it is walked on\nCL | *centre* line'));
  expect(seen).toMatchObject({ errors: 0, texts: 0 });
  expect(seen.plain.split('\n')).toEqual([
    'FFL\tm\tfinished floor level, of the floor',
    'as it is walked on',
    'CL\tcentre line',
  ]);
  const of = (word: string) => seen.words.find(([data]) => data === word)!;
  const [first = 0, last = 0] = of('FFL')[5];
  expect(last).toBeGreaterThan(first);
  expect(of('FFL').slice(3)).toEqual([last, -last, [first, last]]);
  expect(of('floor').slice(3, 5)).toEqual([last, -last]);
  expect(of('walked').slice(3, 5)).toEqual([last, 0]);
  expect(of('centre').slice(3)).toEqual([first, -first, [first]]);
});

test('turned notes stand where they stand on the sheet', () => {
  const [level, up] = [seenIn(notes('*One*\ntwo')), seenIn(notes('*One*\ntwo', 90))];
  expect(up).toMatchObject({ errors: 0, rotation: 90, plain: level.plain });
  // From the upper left corner of the cell to its lower left one; both stand 1 mm from it.
  expect(level.insert[0] - 20).toBeCloseTo(1, 2);
  expect(up.insert[0] - 20).toBeCloseTo(1, 2);
  expect(up.insert[1] - 10).toBeCloseTo(1, 2);
});

test('they are read back line by line', () => {
  const { items } = flattenDxf(readDxf(new TextEncoder().encode(dxfOf(notes('- a *b* c\n_d_')))));
  expect(items.flatMap((item) => (item.kind === 'text' ? [item.text] : []))).toEqual(['- a b c', 'd']);
});
