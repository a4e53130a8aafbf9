import { readFileSync } from 'node:fs';
import { convertSpaces, IntakeError, STARTING_STANDARD } from '@mendrel/core';
import { DxfError, readDxf, readTypefaces, spacesOf } from '@mendrel/formats';
import { shippedFontFiles } from '@mendrel/fonts/files';
import fc from 'fast-check';

const on = { standard: STARTING_STANDARD, typefaces: readTypefaces(shippedFontFiles()) };
const files = ['corner-block-a1', 'strip-arch-d', 'dirty-arch-e1'].map((name) =>
  readFileSync(`demo/legacy/${name}.dxf`, 'latin1').split('\n'),
);
const VALUES = ['1e300', '-1', '0', '99999999999', 'x', '', '-1e-300', '2147483647', 'nan'];

type Damage = { at: number; with: number; kind: 'out' | 'value' | 'again' | 'swap' };
const damage = fc.record<Damage>({
  at: fc.nat(1_000_000),
  with: fc.nat(1_000_000),
  kind: fc.constantFrom('out', 'value', 'again', 'swap'),
});

function damaged(lines: readonly string[], all: readonly Damage[]): Uint8Array {
  const out = [...lines];
  for (const { at, with: other, kind } of all) {
    const [i, j] = [at % out.length, other % out.length];
    if (kind === 'out') out.splice(i, 1 + (other % 3));
    else if (kind === 'value') out[i] = VALUES[other % VALUES.length] ?? '';
    else if (kind === 'again') out.splice(i, 0, ...out.slice(i, i + (other % 40)));
    else [out[i], out[j]] = [out[j] ?? '', out[i] ?? ''];
  }
  return new Uint8Array(Buffer.from(out.join('\n'), 'latin1'));
}

test('a damaged drawing ends in a result or in words, never in anything else', () => {
  fc.assert(
    fc.property(fc.nat(files.length - 1), fc.array(damage, { minLength: 1, maxLength: 6 }), (which, all) => {
      try {
        convertSpaces(spacesOf(readDxf(damaged(files[which] ?? [], all))), 'damaged', on);
      } catch (error) {
        if (!(error instanceof DxfError || error instanceof IntakeError)) throw error;
        expect(error.message).not.toBe('');
      }
    }),
    { numRuns: 1000, seed: 20261125 },
  );
}, 120_000);
