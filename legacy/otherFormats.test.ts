import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Drawing, IntakeReport } from '@mendrel/core';
import { convertSpaces, emPerCapital, STARTING_STANDARD } from '@mendrel/core';
import { readDxf, readTypefaces, spacesOf, writeSvg } from '@mendrel/formats';
import { readLegacyFile } from '@mendrel/formats/legacy';
import { writePdf } from '@mendrel/formats/pdf';
import { shippedFontFiles } from '@mendrel/fonts/files';
import type { Truth } from './score';
import { scoreReport } from './score';

const folder = mkdtempSync(join(tmpdir(), 'mendrel-formats-'));
afterAll(() => rmSync(folder, { recursive: true }));
const fonts = shippedFontFiles();
const typefaces = readTypefaces(fonts);
const on = { standard: STARTING_STANDARD, typefaces };

/** Blocks that are read from PDF; all of their texts stand in cells. */
const FOR_PDF = [
  'bars-for-lines',
  'boxes-edge-to-edge',
  'marks-and-signs',
  'two-languages',
  'upright-sheet',
  'headings-over-values',
];

/** Old blocks with bad habits, as they lie on their paper, with what stands in them; drawn once for all tests. */
let drawn: Paper[] | undefined;
const papers = (): Paper[] => (drawn ??= drawPapers());

interface Paper {
  name: string;
  paper: Drawing;
  truth: Truth;
}

function drawPapers(): Paper[] {
  const made = spawnSync('/usr/bin/python3', ['-B', 'legacy/oddHabits.py', folder], { encoding: 'utf8' });
  expect([made.status, made.stderr]).toEqual([0, '']);
  return readdirSync(folder)
    .filter((file) => file.endsWith('.dxf') && file !== 'template-of-attributes.dxf')
    .map((file) => {
      const name = file.replace('.dxf', '');
      const { legacy } = convertSpaces(spacesOf(readDxf(new Uint8Array(readFileSync(join(folder, file))))), name, on);
      const items = legacy.items.map((item) =>
        item.kind === 'text' ? { ...item, typeface: 'Barlow Semi Condensed' } : item,
      );
      const truth = JSON.parse(readFileSync(join(folder, `${name}.truth.json`), 'utf8')) as Truth;
      return { name, paper: { ...legacy, items }, truth: { ...truth, unitsPerPaperMm: 1, unrelatedLayers: [] } };
    });
}

function meanOf(scores: readonly { name: string; total: number; faults: string[] }[]): number {
  for (const { name, total, faults } of scores)
    if (total < 0.9995) process.stdout.write(`${total.toFixed(3)}  ${name}: ${faults.slice(0, 3).join('; ')}\n`);
  return scores.reduce((sum, each) => sum + each.total, 0) / scores.length;
}

test('the same blocks as SVG are recognised as well as from DXF', async () => {
  const scores = [];
  for (const { name, paper, truth } of papers()) {
    const text = writeSvg(paper, { emPerCapital: emPerCapital(typefaces) });
    const { report } = convertSpaces(await readLegacyFile(new TextEncoder().encode(text)), name, on);
    scores.push({ name, ...scoreReport(report, truth) });
  }
  expect(meanOf(scores)).toBeGreaterThanOrEqual(0.98);
});

/** A PDF file of some pages, and what intake says of it. */
async function convertedPdf(pages: readonly Drawing[]): Promise<{ bytes: Uint8Array; report: IntakeReport }> {
  const bytes = await writePdf(pages, { title: 'Pages', fonts, emPerCapital: emPerCapital(typefaces) });
  // The library that reads PDF keeps what it is given.
  return { bytes, report: convertSpaces(await readLegacyFile(bytes.slice()), 'pages', on).report };
}

test('the same blocks as PDF are recognised as well as from DXF, with the texts that pdftotext reads', async () => {
  const scores = [];
  for (const { name, paper, truth } of papers().filter((each) => FOR_PDF.includes(each.name))) {
    const file = join(folder, `${name}.pdf`);
    const { bytes, report } = await convertedPdf([paper]);
    writeFileSync(file, bytes);
    scores.push({ name, ...scoreReport(report, truth) });

    // Reference: pdftotext of poppler-utils, word by word.
    const words = (text: string): string[] => text.split(/\s+/).filter(Boolean).sort();
    const reference = spawnSync('pdftotext', ['-raw', file, '-'], { encoding: 'utf8' });
    const read = report.texts.map(({ text }) => text).join(' ');
    expect({ name, words: words(read) }).toEqual({ name, words: words(reference.stdout) });

    // Typefaces are cut down to the letters of the page; their capitals are as high as they were drawn, to a hundredth.
    const drawn = paper.items.flatMap((item) => (item.kind === 'text' ? [item.height] : []));
    for (const { height } of report.lettering) {
      const off = Math.min(...drawn.map((each) => Math.abs(height / each - 1)));
      expect({ name, height, exact: off < 0.01 }).toEqual({ name, height, exact: true });
    }
  }
  expect(meanOf(scores)).toBeGreaterThanOrEqual(0.98);
});

test('pages of a PDF beyond the last that is read are counted', async () => {
  const { paper } = papers()[0] ?? {};
  if (!paper) throw new Error('there is no block to begin with');
  const empty = { ...paper, items: [] };
  const { report } = await convertedPdf([paper, ...Array.from({ length: 302 }, () => empty)]);
  expect(report.dropped).toContainEqual({ layer: '', entities: 3, why: 'pages after the 300th' });
});
