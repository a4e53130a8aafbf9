import fc from 'fast-check';
import { legacyBytes, LEGACY_FOLDER } from '../../testing/sheet';
import { PYTHON, run } from '../../testing/programs';
import { flattenDxf, readDxf } from '../index';
import { DxfError } from './tokens';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const pairs = (...values: (string | number)[]): string => `${values.join('\n')}\n`;
const entities = (...values: (string | number)[]): Uint8Array =>
  bytes(pairs(0, 'SECTION', 2, 'ENTITIES', ...values, 0, 'ENDSEC', 0, 'EOF'));
const LEGACY = ['corner-block-a1', 'rotated-text-a1', 'scaled-model-a3', 'strip-arch-d', 'dirty-arch-e1'];

// Reference: ezdxf (Debian's python3-ezdxf) counts the same entities of the same files.
test.each(LEGACY)('%s has the entities that ezdxf finds', (name) => {
  const script = `
import ezdxf, json, sys
from collections import Counter
d = ezdxf.readfile(sys.argv[1])
print(json.dumps(Counter(e.dxftype() for e in d.modelspace())))`;
  const counted = JSON.parse(run(PYTHON, ['-c', script, `${LEGACY_FOLDER}/${name}.dxf`])) as Record<string, number>;
  const { entities: read } = readDxf(legacyBytes(name));
  const kinds = {
    LINE: 'LINE',
    LWPOLYLINE: 'POLYLINE',
    POLYLINE: 'POLYLINE',
    CIRCLE: 'ARC',
    ARC: 'ARC',
    TEXT: 'TEXT',
    MTEXT: 'TEXT',
    INSERT: 'INSERT',
    HATCH: 'FILL',
  };
  for (const kind of new Set(Object.values(kinds))) {
    const wanted = Object.entries(kinds).reduce(
      (sum, [theirs, ours]) => sum + (ours === kind ? (counted[theirs] ?? 0) : 0),
      0,
    );
    expect([kind, read.filter((each) => each.type === kind).length]).toEqual([kind, wanted]);
  }
});

describe('what stands in entities', () => {
  test('line types and polyline widths are read, by layer and own, in the lengths that they are drawn in', () => {
    const tables = [
      [0, 'SECTION', 2, 'HEADER', 9, '$LTSCALE', 40, 2, 0, 'ENDSEC'],
      [0, 'SECTION', 2, 'TABLES', 0, 'TABLE', 2, 'LTYPE', 0, 'LTYPE', 2, 'Gestrichelt', 73, 2, 49, 3, 49, -1.5],
      [0, 'LTYPE', 2, 'Continuous', 73, 0, 0, 'ENDTAB', 0, 'TABLE', 2, 'LAYER'],
      [0, 'LAYER', 2, 'Axes', 62, 1, 6, 'GESTRICHELT', 0, 'ENDTAB', 0, 'ENDSEC'],
      [0, 'SECTION', 2, 'ENTITIES', 0, 'LINE', 8, 'Axes', 10, 0, 20, 0, 11, 9, 21, 0],
      [0, 'LINE', 8, 'Axes', 6, 'Continuous', 10, 0, 20, 0, 11, 9, 21, 0],
      [0, 'LINE', 8, 'Other', 6, 'gestrichelt', 10, 0, 20, 0, 11, 9, 21, 0],
      [0, 'LWPOLYLINE', 8, 'Other', 43, 0.7, 10, 0, 20, 0, 10, 9, 20, 0, 0, 'ENDSEC', 0, 'EOF'],
    ].flat();
    const { items, emptyLayers } = flattenDxf(readDxf(bytes(pairs(...tables))));
    expect(items.map((item) => (item.kind === 'stroke' ? item.dashes : 'no line'))).toEqual([
      [6, 3],
      undefined,
      [6, 3],
      undefined,
    ]);
    expect(items.map((item) => (item.kind === 'stroke' ? item.oldPen : 'no line'))).toEqual([
      { colour: 1 },
      { colour: 1 },
      {},
      { drawnWidth: 0.7 },
    ]);
    expect(emptyLayers).toBeUndefined();
  });

  test('blocks are taken apart with their place, turn and size; layer 0 takes the layer of the insert', () => {
    const file = bytes(
      pairs(
        0,
        'SECTION',
        2,
        'BLOCKS',
        0,
        'BLOCK',
        2,
        'B',
        10,
        1,
        20,
        1,
        0,
        'LINE',
        8,
        '0',
        10,
        1,
        20,
        1,
        11,
        3,
        21,
        1,
        0,
        'ENDBLK',
        0,
        'ENDSEC',
        0,
        'SECTION',
        2,
        'ENTITIES',
        0,
        'INSERT',
        8,
        'TB',
        2,
        'b',
        10,
        100,
        20,
        50,
        41,
        2,
        42,
        2,
        50,
        90,
        0,
        'ENDSEC',
        0,
        'EOF',
      ),
    );
    const [item] = flattenDxf(readDxf(file)).items;
    expect(item).toMatchObject({ kind: 'stroke', layer: 'TB' });
    expect((item as { points: number[] }).points.map((each) => Math.round(each * 1e6) / 1e6)).toEqual([
      100, 50, 100, 54,
    ]);
  });

  test('attributes keep their values and tags', () => {
    const { items } = flattenDxf(readDxf(legacyBytes('strip-arch-d')));
    const attributes = items.flatMap((item) =>
      item.kind === 'text' && item.field ? [[item.field.tag, item.text]] : [],
    );
    expect(attributes).toContainEqual(['NAME', 'Tolliver Creek Field Station']);
  });

  test('formatting is taken out of texts', () => {
    const { items } = flattenDxf(
      readDxf(
        entities(
          0,
          'MTEXT',
          10,
          0,
          20,
          0,
          40,
          2.5,
          71,
          1,
          1,
          '{\\fArial|b1;Plan}\\P1\\S1^2; %%c',
          0,
          'TEXT',
          10,
          0,
          20,
          0,
          40,
          2,
          1,
          '45%%d \\U+00E9',
        ),
      ),
    );
    expect(items.map((item) => (item.kind === 'text' ? item.text : ''))).toEqual(['Plan', '11/2 ⌀', '45° é']);
  });

  test('texts aligned at their middle or right are brought back to their start', () => {
    const { items } = flattenDxf(
      readDxf(entities(0, 'TEXT', 10, 0, 20, 0, 11, 50, 21, 10, 40, 2, 72, 2, 73, 0, 1, 'ABC')),
    );
    const [text] = items;
    expect(text).toMatchObject({ kind: 'text', align: 'right', at: { y: 10 } });
    expect((text as { at: { x: number } }).at.x).toBeLessThan(50);
  });

  test('what lies on layers that are off is left out and counted', () => {
    const file = bytes(
      pairs(
        0,
        'SECTION',
        2,
        'TABLES',
        0,
        'TABLE',
        2,
        'LAYER',
        0,
        'LAYER',
        2,
        'OFF',
        70,
        0,
        62,
        -7,
        0,
        'ENDTAB',
        0,
        'ENDSEC',
        0,
        'SECTION',
        2,
        'ENTITIES',
        0,
        'LINE',
        8,
        'OFF',
        10,
        0,
        20,
        0,
        11,
        1,
        21,
        0,
        0,
        'WIPEOUT',
        8,
        'A',
        0,
        'ENDSEC',
        0,
        'EOF',
      ),
    );
    const { items, dropped } = flattenDxf(readDxf(file));
    expect(items).toEqual([]);
    expect(dropped).toEqual([
      { layer: 'OFF', entities: 1, why: 'the layer is off or frozen' },
      { layer: 'A', entities: 1, why: expect.stringContaining('WIPEOUT') },
    ]);
  });

  test('a bulge becomes an arc through the right point', () => {
    const [item] = flattenDxf(
      readDxf(entities(0, 'LWPOLYLINE', 90, 2, 70, 0, 10, 0, 20, 0, 42, 1, 10, 10, 20, 0)),
    ).items;
    const { points } = item as { points: number[] };
    for (let i = 0; i < points.length; i += 2) expect(Math.hypot(points[i]! - 5, points[i + 1]!)).toBeCloseTo(5, 9);
    expect(Math.min(...points)).toBeCloseTo(-5, 6);
  });
});

describe('bad files', () => {
  const sound = legacyBytes('corner-block-a1');
  test.each([
    ['empty', new Uint8Array(0), 'line 1: the file is empty'],
    ['no DXF', bytes('Dear all,\nplease find attached\n'), 'line 1: "Dear all," is not a group code'],
    [
      'binary DXF that is cut off',
      bytes('Program Binary DXF\r\n\u001a\u0000\u0000\u0000SECTION\u0000\u0002\u0000HEA'),
      'line 3: the binary file is cut off',
    ],
    ['a picture', new Uint8Array([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0]), 'line 1:'],
    ['100 MB of zeros', new Uint8Array(100 * 1024 * 1024), 'line 1:'],
    ['100 MB of the figure 0', new Uint8Array(100 * 1024 * 1024).fill(48), 'line 1:'],
    ['NaN', entities(0, 'LINE', 10, 'nan', 20, 0), 'line 8: "nan" is not a number (group code 10)'],
    ['infinite', entities(0, 'LINE', 10, '1e999', 20, 0), 'line 8: "1e999" is not a number'],
    ['no end mark', bytes(pairs(0, 'SECTION', 2, 'ENTITIES', 0, 'ENDSEC')), 'its end mark (EOF) is missing'],
    ['only an end', bytes(pairs(0, 'EOF')), 'has no sections'],
    ['a block in itself', blocks(3, (i) => (i + 1) % 3), 'blocks contain each other: B0 → B1 → B2 → B0'],
    ['a million nested blocks', blocks(1_000_000, (i) => i + 1), 'the file has over 200000 blocks'],
    ['a thousand nested blocks', blocks(1000, (i) => i + 1), 'nested more than 40 deep'],
    ['blocks that multiply', doubling(30), 'unfold'],
    ['an endless array', entities(0, 'INSERT', 2, 'X', 70, 1e9, 71, 1e9), undefined],
  ])('%s', (_name, file, message) => {
    const read = (): unknown => flattenDxf(readDxf(file));
    if (message === undefined) expect(read).not.toThrow();
    else {
      expect(read).toThrow(expect.objectContaining({ name: 'DxfError', message: expect.stringContaining(message) }));
    }
  });

  test('cut off anywhere, a file is refused with a line, never with a crash', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: sound.length - 6 }), (length) => {
        expect(() => readDxf(sound.subarray(0, length))).toThrow(DxfError);
      }),
      { numRuns: 200 },
    );
  });

  test('with bytes changed anywhere, a file is read or refused, never more', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(sound.length - 1), fc.integer({ min: 0, max: 255 })), { minLength: 1, maxLength: 20 }),
        (changes) => {
          const damaged = sound.slice();
          for (const [at, value] of changes) damaged[at] = value;
          try {
            flattenDxf(readDxf(damaged));
          } catch (error) {
            expect(error).toBeInstanceOf(DxfError);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});

/** A file of blocks that each place one other. */
function blocks(count: number, next: (i: number) => number): Uint8Array {
  const parts = [pairs(0, 'SECTION', 2, 'BLOCKS')];
  for (let i = 0; i < count; i++) parts.push(pairs(0, 'BLOCK', 2, `B${i}`, 0, 'INSERT', 2, `B${next(i)}`, 0, 'ENDBLK'));
  parts.push(pairs(0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES', 0, 'INSERT', 2, 'B0', 0, 'ENDSEC', 0, 'EOF'));
  return bytes(parts.join(''));
}

/** Blocks that each place the next one twice: 2 to the power of their number. */
function doubling(depth: number): Uint8Array {
  const parts = [pairs(0, 'SECTION', 2, 'BLOCKS')];
  for (let i = 0; i < depth; i++) {
    parts.push(pairs(0, 'BLOCK', 2, `B${i}`, 0, 'INSERT', 2, `B${i + 1}`, 0, 'INSERT', 2, `B${i + 1}`, 0, 'ENDBLK'));
  }
  parts.push(pairs(0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES', 0, 'INSERT', 2, 'B0', 0, 'ENDSEC', 0, 'EOF'));
  return bytes(parts.join(''));
}

test('it is told how far the reading of a large file is', () => {
  const line = pairs(0, 'LINE', 10, 0, 20, 0, 11, 1, 21, 1);
  const told: number[] = [];
  readDxf(entities(line.repeat(30_000).trimEnd()), (part) => told.push(Math.round(10 * part) / 10));
  expect(told).toEqual([0.3, 0.5, 0.8]);
});
