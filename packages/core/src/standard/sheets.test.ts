import { getPaperSizeInMillimetres } from '@cityssm/paper-sizes';
import { frameOf, standardMargins, zonesOf } from './frame';
import { sheetExtent, sheetSize, SHEET_SIZES } from './sheetSizes';

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
  test.each(SHEET_SIZES.map((size) => [size.name, size] as const))(
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

  test('an unknown size lists the known ones', () => {
    expect(() => sheetSize('A7')).toThrow('there is no sheet size "A7"; there are ISO A0');
  });
});
