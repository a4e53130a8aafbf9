import { getPaperSizeInMillimetres } from '@cityssm/paper-sizes';
import fc from 'fast-check';
import { foldHeights, foldPanels, foldsOf } from './folding';
import { frameOf, frameRuleFor, FRAME_PRESETS, STARTING_FRAME_RULES, standardMargins } from './frameRule';
import { edgeRatio, nearestSize, sheetExtent, sheetSize, SHEET_SIZES } from './sheetSizes';
import { ISO_ZONES, zonesOf } from './zones';

describe('sheet sizes', () => {
  // Reference library: @cityssm/paper-sizes. It calls the ASME sizes by their older name, ANSI; it has no ASME F.
  test.each(SHEET_SIZES.filter((size) => size.name !== 'ASME F').map((size) => size.name))(
    '%s agrees with an independent table',
    (name) => {
      const reference = getPaperSizeInMillimetres(name.replace('ISO ', '').replace('ASME', 'ANSI') as 'A0');
      const { width, height } = sheetExtent(sheetSize(name), 'portrait');
      expect(width).toBeCloseTo(reference.width, 2);
      expect(height).toBeCloseTo(reference.height, 2);
    },
  );

  // ISO 216 (from memory): A0 is 1 m², each size halves the one before.
  test('the A series halves from one square metre', () => {
    const series = ['A0', 'A1', 'A2', 'A3', 'A4'].map((name) => sheetSize(`ISO ${name}`));
    expect((series[0]!.width * series[0]!.height) / 1e6).toBeCloseTo(1, 3);
    for (let i = 1; i < series.length; i++) {
      const [larger, smaller] = [sheetExtent(series[i - 1]!, 'landscape'), sheetExtent(series[i]!, 'landscape')];
      expect(smaller.width).toBe(larger.height);
      expect(Math.floor(larger.width / 2)).toBe(smaller.height);
    }
  });

  // ISO 5457 (from memory): trimmed size, drawing space, number of fields.
  test.each([
    ['ISO A0', 1189, 841, 1159, 821, 24, 16],
    ['ISO A1', 841, 594, 811, 574, 16, 12],
    ['ISO A2', 594, 420, 564, 400, 12, 8],
    ['ISO A3', 420, 297, 390, 277, 8, 6],
    ['ISO A4', 210, 297, 180, 277, 4, 6],
  ])('%s has the frame and the zones of ISO 5457', (name, width, height, frameWidth, frameHeight, columns, rows) => {
    const size = sheetSize(name);
    const frame = frameOf(size, standardMargins(size));
    const zones = zonesOf(size, frame);
    expect(size).toMatchObject({ width, height });
    expect(frame).toMatchObject({ x: 20, y: 10, width: frameWidth, height: frameHeight });
    expect([zones.columns.length, zones.rows.length]).toEqual([columns, rows]);
  });

  // ISO 5457 (from memory): 50 mm from the centre lines outwards, letters from the top without I and O.
  test.each(SHEET_SIZES.filter((size) => frameRuleFor(size).zones.shown).map((size) => [size.name, size] as const))(
    'zones of %s run from the centre lines',
    (_name, size) => {
      const frame = frameOf(size, standardMargins(size));
      const { columns, rows } = zonesOf(size, frame);
      expect(columns.some((field) => Math.abs(field.from - size.width / 2) < 1e-9)).toBe(true);
      expect(columns.slice(1, -1).every((field) => Math.abs(field.to - field.from - 50) < 1e-9)).toBe(true);
      expect(columns.map((field) => field.mark)).toEqual(columns.map((_, i) => String(i + 1)));
      expect(rows[0]!.mark).toBe('A');
      expect(rows[0]!.to).toBeCloseTo(frame.y + frame.height, 9);
      expect(rows.map((field) => field.mark).join('')).not.toMatch(/[IO]/);
    },
  );

  // ISO 216 (from memory): both series keep 1 : √2, and B sizes are the geometric mean of the A sizes about them.
  test('A and B keep the ratio of one to the root of two', () => {
    for (const series of ['A', 'B']) {
      for (let n = 0; n < 6; n++) {
        const [size, next] = [sheetSize(`ISO ${series}${n}`), sheetSize(`ISO ${series}${n + 1}`)];
        expect(edgeRatio(size)).toBeCloseTo(Math.SQRT2, 1.5);
        expect((size.width * size.height) / (next.width * next.height)).toBeCloseTo(2, 1);
      }
    }
    for (let n = 1; n < 6; n++) {
      const long = (name: string): number => sheetExtent(sheetSize(name), 'landscape').width;
      expect(long(`ISO B${n}`)).toBeCloseTo(Math.sqrt(long(`ISO A${n}`) * long(`ISO A${n - 1}`)), -0.5);
    }
  });

  test.each([
    [{ width: 900, height: 600 }, 'ARCH D'],
    [{ width: 712, height: 1016 }, 'ASME F'],
    [{ width: 300, height: 420 }, 'ISO A3'],
  ])('the shipped size nearest to %j is %s', (extent, name) => {
    expect(nearestSize(extent)?.name).toBe(name);
  });

  test('an unknown size lists the known ones', () => {
    expect(() => sheetSize('A99')).toThrow('there is no sheet size "A99"; there are ISO A0');
  });
});

describe('zones', () => {
  const sheet = { width: 841, height: 594 };
  const frame = frameOf(sheet, FRAME_PRESETS['ISO 5457'].margins);

  // ISO 5457 (from memory): fields of 50 mm from the centre lines, what remains goes to the corners, on any sheet.
  test('have fields of one length but in the corners, which are half a field or more, on any sheet', () => {
    const sheets = fc.record({
      width: fc.integer({ min: 200, max: 3000 }),
      height: fc.integer({ min: 200, max: 3000 }),
    });
    fc.assert(
      fc.property(sheets, fc.integer({ min: 20, max: 120 }), (any, field) => {
        const room = frameOf(any, { left: 20, right: 10, top: 10, bottom: 10 });
        const { columns } = zonesOf(any, room, { ...ISO_ZONES, field });
        expect(columns[0]!.from).toBeCloseTo(20, 9);
        expect(columns.at(-1)!.to).toBeCloseTo(any.width - 10, 9);
        for (const each of columns.slice(1, -1)) expect(each.to - each.from).toBeCloseTo(field, 9);
        expect(columns.some((each) => Math.abs(each.from - any.width / 2) < 1e-9)).toBe(true);
        for (let i = 1; i < columns.length; i++) expect(columns[i]!.from).toBe(columns[i - 1]!.to);
      }),
    );
  });

  // ASME Y14.1 (from memory) counts from the lower right corner.
  test('may count from the right and from below', () => {
    const { columns, rows } = zonesOf(sheet, frame, { ...ISO_ZONES, numbersFrom: 'right', lettersFrom: 'bottom' });
    expect(columns.map((each) => each.mark).slice(0, 2)).toEqual(['16', '15']);
    expect(rows.at(-1)).toMatchObject({ mark: 'A', from: frame.y });
  });

  test('leave out the characters they are told to, and go on with two letters', () => {
    const long = { width: 420, height: 2000 };
    const { rows } = zonesOf(long, frameOf(long, FRAME_PRESETS.Plain.margins), { ...ISO_ZONES, omit: 'ABIO' });
    expect(rows.map((each) => each.mark).slice(0, 3)).toEqual(['C', 'D', 'E']);
    expect(rows[22]!.mark).toBe('CC');
  });
});

describe('frame rules', () => {
  test.each([
    ['ISO A1', 'iso'],
    ['ISO A4', 'iso-a4'],
    ['ISO B2', 'iso'],
    ['ISO A6', 'small'],
    ['ARCH D', 'inch'],
    ['ARCH B', 'inch-small'],
  ])('%s falls under %s', (name, rule) => {
    expect(frameRuleFor(sheetSize(name)).id).toBe(rule);
  });

  test('leave room on every size that ships', () => {
    for (const size of SHEET_SIZES) {
      const frame = frameOf(size, standardMargins(size));
      expect(Math.min(frame.width, frame.height)).toBeGreaterThan(15);
    }
  });

  test('a size that no rule names or groups takes the last', () => {
    const rules = STARTING_FRAME_RULES.filter((rule) => rule.id !== 'office');
    expect(frameRuleFor({ name: 'Own', series: 'Office' }, rules).id).toBe('inch-small');
  });
});

test('an own size takes the frame rule of the size it was made from, unless a rule names it', () => {
  const own = (model: string, rules = STARTING_FRAME_RULES) =>
    frameRuleFor({ name: 'Board', series: 'Office', model }, rules).id;
  expect([own('ASME D'), own('ASME B'), own('ISO A4'), own('ISO A1')]).toEqual(['inch', 'inch-small', 'iso-a4', 'iso']);
  expect(frameRuleFor({ name: 'Board', series: 'Office' }).id).toBe('office');
  const named = STARTING_FRAME_RULES.map((rule) => (rule.id === 'small' ? { ...rule, sizes: ['Board'] } : rule));
  expect(own('ASME D', named)).toBe('small');
});

describe('folding to A4', () => {
  // DIN 824 form A (from memory), mm, from the left and from the foot.
  test.each([
    ['ISO A0', [210, 109.5, 109.5, 190, 190, 190, 190], [297, 297, 247]],
    ['ISO A1', [210, 125.5, 125.5, 190, 190], [297, 297]],
    ['ISO A2', [210, 192, 192], [297, 123]],
    ['ISO A3', [125, 105, 190], [297]],
  ])('%s', (name, across, up) => {
    const { width, height } = sheetSize(name);
    expect(foldPanels(width)).toEqual(across);
    expect(foldHeights(height)).toEqual(up);
  });

  test('panels add up to the sheet and none is wider than A4, whatever the sheet', () => {
    fc.assert(
      fc.property(fc.double({ min: 30, max: 5000, noNaN: true }), (width) => {
        const panels = foldPanels(width);
        expect(panels.reduce((sum, each) => sum + each, 0)).toBeCloseTo(width, 6);
        expect(Math.max(...panels)).toBeLessThanOrEqual(210 + 1e-6);
        expect(Math.min(...panels)).toBeGreaterThan(0);
      }),
    );
  });

  test('a sheet no larger than A4 is not folded', () => {
    expect(foldsOf({ width: 210, height: 297 })).toEqual({ x: [], y: [] });
  });
});
