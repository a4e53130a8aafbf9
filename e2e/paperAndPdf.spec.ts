import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, goTo, test } from './test';
import type { APIRequestContext, Page } from '@playwright/test';
import type { Sharp } from 'sharp';
import sharp from 'sharp';
import { projectId } from './office';

// Reference: poppler's pictures of the PDF (pdftoppm of poppler-utils). The sheet on screen is the SVG of the same
// Drawing, shown within the page of the interface, so that whatever it would inherit from there shows.

const DOTS_PER_INCH = 50;
/** Poppler makes lines thinner than a dot a dot wide: its pictures are made finer and reduced. */
const FINER = 2;
/** Side of the squares whose darkness is compared, in dots: about 6 mm of paper. */
const SQUARE = 12;
/** How much darker or lighter one square may be, from 0 to 255: edges of letters are smoothed differently. */
const TOLERANCE = 40;

interface Greys {
  data: Buffer;
  width: number;
  height: number;
}

/** Grey dots of a picture, row by row. */
async function greys(image: Sharp): Promise<Greys> {
  const { data, info } = await image.raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

/** Grey dots of a picture as pdftoppm writes it: P5, width, height and most, then the dots. Reference: man page pgm of netpbm. */
function pgm(file: string): Sharp {
  const bytes = readFileSync(file);
  const [head = '', width, height] = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.toString('latin1', 0, 40)) ?? [];
  return sharp(bytes.subarray(head.length), { raw: { width: Number(width), height: Number(height), channels: 1 } });
}

/** The squares in which two pictures differ most: how much, and where in mm from the upper left corner. */
async function furthestSquare(screen: Buffer, pdf: string): Promise<{ by: number; x: number; y: number }> {
  const a = await greys(sharp(screen).flatten({ background: '#ffffff' }).greyscale());
  const b = await greys(pgm(pdf).resize(a.width, a.height, { fit: 'fill' }).greyscale());
  const mm = (dots: number): number => Math.round((dots * 25.4) / DOTS_PER_INCH);
  let worst = { by: 0, x: 0, y: 0 };
  for (let y = 0; y + SQUARE <= b.height; y += SQUARE) {
    for (let x = 0; x + SQUARE <= b.width; x += SQUARE) {
      let sum = 0;
      for (let row = y; row < y + SQUARE; row++)
        for (let i = row * b.width + x; i < row * b.width + x + SQUARE; i++) sum += (a.data[i] ?? 0) - (b.data[i] ?? 0);
      const by = Math.abs(sum) / SQUARE ** 2;
      if (by > worst.by) worst = { by, x: mm(x), y: mm(y) };
    }
  }
  return worst;
}

/** Shows the SVG of a sheet over the page of the interface, and takes its picture. */
async function pictureOf(page: Page, id: string): Promise<Buffer> {
  const clip = await page.evaluate(
    async ({ id, scale }) => {
      const svg = await (await fetch(`/api/sheets/${id}/sheet.svg`)).text();
      const sheet = document.getElementById('sheet-to-compare') ?? document.createElement('div');
      sheet.id = 'sheet-to-compare';
      sheet.dataset['ofTest'] = 'yes';
      sheet.style.cssText = 'position:absolute;left:0;top:0;z-index:99999;background:#fff';
      // The typefaces are the page's own; what the file carries along is left out.
      sheet.innerHTML = svg.slice(svg.indexOf('<svg')).replace(/<style>[^]*?<\/style>/, '');
      document.querySelector('main')?.append(sheet);
      const drawn = sheet.querySelector('svg')!;
      for (const side of ['width', 'height'] as const)
        drawn.setAttribute(side, `${Number.parseFloat(drawn.getAttribute(side) ?? '') * scale}px`);
      drawn.style.setProperty('display', 'block');
      const { x, y, width, height } = drawn.getBoundingClientRect();
      return { x, y, width, height };
    },
    { id, scale: DOTS_PER_INCH / 25.4 },
  );
  return page.screenshot({ clip });
}

async function setPictures(request: APIRequestContext, id: string, folder: string): Promise<string[]> {
  const pdf = join(folder, 'set.pdf');
  writeFileSync(pdf, await (await request.get(`/api/projects/${id}/set.pdf`)).body());
  execFileSync('pdftoppm', ['-gray', '-r', String(FINER * DOTS_PER_INCH), pdf, join(folder, 'page')]);
  return readdirSync(folder)
    .filter((name) => name.endsWith('.pgm'))
    .sort()
    .map((name) => join(folder, name));
}

for (const name of ['Brackenmouth Ferry Terminal', 'Tolliver Creek Field Station', 'Osier Lane Pump House']) {
  test(`every sheet of ${name} looks the same on screen and in the PDF`, async ({ page, request }) => {
    const id = await projectId(request, name);
    const folder = mkdtempSync(join(tmpdir(), 'mendrel-pictures-'));
    const pages = await setPictures(request, id, folder);
    const sheets = (await (await request.get(`/api/projects/${id}/sheets`)).json()) as { id: string; number: string }[];
    expect(pages).toHaveLength(sheets.length);
    await page.setViewportSize({ width: 2500, height: 1800 });
    // A place that has loaded the typefaces of the standard.
    await goTo(page, `/projects/${id}/arrange`);
    await expect(page.getByRole('application').locator('svg text')).not.toHaveCount(0);
    await page.evaluate(async () => {
      await document.fonts.ready;
      // What stands under the sheet would be painted again for every picture.
      for (const each of document.querySelectorAll<HTMLElement>('main > *')) each.style.display = 'none';
    });
    for (const [i, sheet] of sheets.entries()) {
      const { by, x, y } = await furthestSquare(await pictureOf(page, sheet.id), pages[i]!);
      if (process.env['MENDREL_TABLE']) console.log(sheet.number, by.toFixed(1), x, y);
      expect({ sheet: sheet.number, differsAt: by > TOLERANCE ? `${x}, ${y} by ${by.toFixed(0)}` : 'nowhere' }).toEqual(
        {
          sheet: sheet.number,
          differsAt: 'nowhere',
        },
      );
    }
    rmSync(folder, { recursive: true });
  });
}
