import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { convertSpaces, STARTING_STANDARD } from '@mendrel/core';
import { readDxf, readTypefaces, spacesOf } from '@mendrel/formats';
import { shippedFontFiles } from '@mendrel/fonts/files';
import type { Score, Truth } from './score';
import { scoreReport } from './score';

const folder = mkdtempSync(join(tmpdir(), 'mendrel-old-'));
afterAll(() => rmSync(folder, { recursive: true }));
const on = { standard: STARTING_STANDARD, typefaces: readTypefaces(shippedFontFiles()) };

interface Converted extends Score {
  /** How far texts start from the old ones on average, in mm. */
  apart: number;
  /** Texts that do not fit where they stand. */
  spills: number;
}

function scored(place: string, name: string): Converted {
  const truth = JSON.parse(readFileSync(join(place, `${name}.truth.json`), 'utf8')) as Truth;
  const spaces = spacesOf(readDxf(new Uint8Array(readFileSync(join(place, `${name}.dxf`)))));
  const { report } = convertSpaces(spaces, name, on);
  return { ...scoreReport(report, truth), apart: report.textDeviation.mean, spills: report.solved.spills };
}

/** Scores drawings, and says each score that is not whole, and the mean, for whoever wants to see how intake stands. */
function scoresOf(place: string, names: readonly string[]) {
  const scores = names.map((name) => ({ name, ...scored(place, name) }));
  const mean = scores.reduce((sum, each) => sum + each.total, 0) / scores.length;
  const lines = scores
    .filter((each) => each.total < 0.9995)
    .map(({ name, total, faults }) => `${total.toFixed(3)}  ${name}: ${faults.slice(0, 3).join('; ')}\n`);
  process.stdout.write(`${lines.join('')}${mean.toFixed(4)}  mean of ${scores.length}\n`);
  const apart = scores.reduce((sum, each) => sum + each.apart, 0) / scores.length;
  const spills = scores.reduce((sum, each) => sum + each.spills, 0);
  return { mean, apart, spills, least: Math.min(...scores.map((each) => each.total)) };
}

// Reference: the truth files that were made together with the drawings.
test('the shipped drawings are recognised to 0.98 or better', () => {
  const names = ['corner-block-a1', 'rotated-text-a1', 'scaled-model-a3', 'strip-arch-d', 'dirty-arch-e1'];
  expect(scoresOf('demo/legacy', names).mean).toBeGreaterThanOrEqual(0.98);
});

/** Has python3-ezdxf draw old blocks into a folder of their own. */
function draw(program: string, ...args: readonly string[]): string {
  const into = mkdtempSync(join(folder, 'drawn-'));
  const made = spawnSync('/usr/bin/python3', ['-B', `legacy/${program}`, into, ...args], {
    encoding: 'utf8',
  });
  expect([made.status, made.stderr]).toEqual([0, '']);
  return into;
}

// Reference: python3-ezdxf draws blocks with one bad habit each, taken from practice, and says what is in them.
test('blocks with bad habits are recognised to 0.98 or better', () => {
  const into = draw('oddHabits.py');
  const names = readdirSync(into).flatMap((file) => (file.endsWith('.dxf') ? [file.replace('.dxf', '')] : []));
  expect(names.length).toBeGreaterThanOrEqual(18);
  const { mean, apart, spills } = scoresOf(into, names);
  expect(mean).toBeGreaterThanOrEqual(0.98);
  expect(apart).toBeLessThan(1.2);
  expect(spills).toBe(0);
});

// Reference: python3-ezdxf draws sheets of sizes in no list, plans with words of the drawing office, dividers that stop short.
test('sheets of no list and blocks that are hard to tell are recognised to 0.99 or better, none under 0.95', () => {
  const into = draw('unlikelySheets.py', '1', '4');
  const names = readdirSync(into).flatMap((file) => (file.endsWith('.dxf') ? [file.replace('.dxf', '')] : []));
  const { mean, least } = scoresOf(into, names);
  expect(names.length).toBeGreaterThanOrEqual(20);
  expect(mean).toBeGreaterThanOrEqual(0.99);
  expect(least).toBeGreaterThanOrEqual(0.95);
});

// Reference: python3-ezdxf draws boxes to tick, marks, titles in lines and captions of languages that few know.
test('boxes to tick, marks and captions of other languages are recognised to 0.99 or better, none under 0.95', () => {
  const into = draw('marksAndTongues.py', '1', '4');
  const names = readdirSync(into).flatMap((file) => (file.endsWith('.dxf') ? [file.replace('.dxf', '')] : []));
  const { mean, least, apart, spills } = scoresOf(into, names);
  expect(names.length).toBeGreaterThanOrEqual(20);
  expect(mean).toBeGreaterThanOrEqual(0.99);
  expect(least).toBeGreaterThanOrEqual(0.95);
  expect(apart).toBeLessThan(1);
  expect(spills).toBe(0);
});

// Reference: python3-ezdxf draws blocks that nobody has seen, with the dirt of years, and says what is in them.
test('a hundred drawings by seed are recognised to 0.95 or better', () => {
  const [first, count] = [7001, 100];
  const into = draw('oldBlocks.py', String(first), String(count));
  const names = Array.from({ length: count }, (_, i) => `old-${first + i}`);
  const { mean, apart, spills } = scoresOf(into, names);
  expect(mean).toBeGreaterThanOrEqual(0.95);
  expect(apart).toBeLessThan(1);
  expect(spills).toBe(0);
}, 240_000);
