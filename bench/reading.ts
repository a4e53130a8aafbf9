import DxfParser from 'dxf-parser';
import { readDxf } from '@mendrel/formats/dxf';
import { inTurns, report } from './measure';

const MEGABYTES = 20;

/** A drawing of lines, polylines and texts, made anew each time from the same numbers. */
function bigDxf(): Uint8Array {
  let state = 7;
  const next = (): string => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return ((state / 4294967296) * 100_000).toFixed(6);
  };
  const parts = ['  0\nSECTION\n  2\nENTITIES\n'];
  let size = 0;
  while (size < MEGABYTES * 1024 * 1024) {
    const line = `  0\nLINE\n  8\nWALLS\n 10\n${next()}\n 20\n${next()}\n 30\n0.0\n 11\n${next()}\n 21\n${next()}\n 31\n0.0\n`;
    const text = `  0\nTEXT\n  8\nNOTES\n 10\n${next()}\n 20\n${next()}\n 30\n0.0\n 40\n2.5\n  1\nRoom ${next()}\n`;
    const points = [1, 2, 3, 4].map(() => ` 10\n${next()}\n 20\n${next()}\n`).join('');
    const polyline = `  0\nLWPOLYLINE\n  8\nSLABS\n 90\n4\n 70\n1\n${points}`;
    const block = line + line + text + polyline;
    parts.push(block);
    size += block.length;
  }
  parts.push('  0\nENDSEC\n  0\nEOF\n');
  return new TextEncoder().encode(parts.join(''));
}

export function benchReading(): void {
  const bytes = bigDxf();
  report(
    `Reading a DXF file of ${MEGABYTES} MB from its bytes`,
    'dxf-parser',
    inTurns(
      () => void readDxf(bytes),
      () => void new DxfParser().parseSync(new TextDecoder().decode(bytes)),
      5,
    ),
  );
}
