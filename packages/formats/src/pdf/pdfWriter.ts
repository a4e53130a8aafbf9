import type PDFDocument from 'pdfkit';
import type { Drawing, ImageItem, Item, Rect, TextItem } from '@mendrel/core';
import { beforeTurn, drawnTexts } from '@mendrel/core';
import { PictureError, plainPicture } from '../pictures';
import { FontFileError } from '../typeface';

/** Points in one millimetre: 72 to the inch of 25.4 mm. */
const POINTS = 72 / 25.4;

/** What a set of sheets is written with. */
export interface PdfOptions {
  /** Font files by typeface name; embedded as subsets. */
  fonts: ReadonlyMap<string, Uint8Array>;
  /** Size of the em of a typeface as a multiple of its capitals' height. */
  emPerCapital: (typeface: string) => number;
  title: string;
  author?: string;
}

/** The library's document; its types do not know that a picture can be read first and placed later. */
type Document = InstanceType<typeof PDFDocument> & { openImage: (bytes: Buffer) => PDFKit.Mixins.ImageSrc };
/** Pictures of a document that are ready to be placed, by their data: one that stands on every sheet is kept once. */
type Pictures = Map<string, PDFKit.Mixins.ImageSrc>;

/** What tells the files of images apart. */
const keyOf = ({ file }: ImageItem): string => ('data' in file ? file.data : file.asset);

/**
 * Makes the pictures of a page ready. The library unpacks some of them in a callback of its own, where an error ends the whole
 * program; what it is given here has been unpacked before.
 */
async function readyPictures(doc: Document, drawing: Drawing, pictures: Pictures): Promise<void> {
  for (const item of drawing.items) {
    if (item.kind !== 'image' || pictures.has(keyOf(item))) continue;
    try {
      if (!('data' in item.file)) throw new PictureError('its file is not there');
      const bytes = await plainPicture(item.type, Buffer.from(item.file.data, 'base64'));
      pictures.set(keyOf(item), doc.openImage(Buffer.from(bytes)));
    } catch (error) {
      throw new PictureError(
        `the picture ${item.name}: ${error instanceof PictureError ? error.message : 'it cannot be drawn; save it again as PNG'}`,
      );
    }
  }
}

function trace(doc: Document, points: readonly number[], closed: boolean, height: number): void {
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [x, y] = [(points[i] ?? 0) * POINTS, (height - (points[i + 1] ?? 0)) * POINTS];
    if (i === 0) doc.moveTo(x, y);
    else doc.lineTo(x, y);
  }
  if (closed) doc.closePath();
}

/** An arc as Bézier curves of at most a quarter turn each. */
function traceArc(doc: Document, item: Extract<Item, { kind: 'arc' }>, height: number): void {
  const { centre, radius, from, to } = item;
  const sweep = (((to - from) % 360) + 360) % 360 || 360;
  const pieces = Math.ceil(sweep / 90);
  const step = ((sweep / pieces) * Math.PI) / 180;
  const handle = (4 / 3) * Math.tan(step / 4) * radius;
  const px = (x: number): number => x * POINTS;
  const py = (y: number): number => (height - y) * POINTS;
  let angle = (from * Math.PI) / 180;
  let [x, y] = [centre.x + radius * Math.cos(angle), centre.y + radius * Math.sin(angle)];
  doc.moveTo(px(x), py(y));
  for (let i = 0; i < pieces; i++) {
    const next = angle + step;
    const [x1, y1] = [x - handle * Math.sin(angle), y + handle * Math.cos(angle)];
    const [x3, y3] = [centre.x + radius * Math.cos(next), centre.y + radius * Math.sin(next)];
    const [x2, y2] = [x3 + handle * Math.sin(next), y3 - handle * Math.cos(next)];
    doc.bezierCurveTo(px(x1), py(y1), px(x2), py(y2), px(x3), py(y3));
    [x, y, angle] = [x3, y3, next];
  }
  if (sweep === 360) doc.closePath();
}

function setTypeface(doc: Document, name: string, { fonts }: PdfOptions): void {
  if (!fonts.has(name)) return;
  try {
    doc.font(name);
  } catch (error) {
    throw new FontFileError(`the typeface ${name} cannot be embedded: ${(error as Error).message}`);
  }
}

function write(doc: Document, item: TextItem, height: number, options: PdfOptions): void {
  if (item.text.trim() === '') return;
  setTypeface(doc, item.typeface, options);
  doc.fillColor(item.colour ?? 'black').fontSize(item.height * options.emPerCapital(item.typeface) * POINTS);
  doc.save();
  doc.translate(item.at.x * POINTS, (height - item.at.y) * POINTS);
  if (item.rotation !== 0) doc.rotate(-item.rotation);
  if (item.widthFactor !== 1) doc.scale(item.widthFactor, 1);
  // A null baseline shift: y is the base line itself. Control characters have no glyph and would print as boxes.

  const words = item.text.replace(/[\u0000-\u001f]/g, ' ');
  try {
    doc.text(words, 0, 0, { lineBreak: false, baseline: 'alphabetic' });
  } catch (error) {
    throw new FontFileError(`"${words.slice(0, 40)}" cannot be set in ${item.typeface}: ${(error as Error).message}`);
  }
  doc.restore();
}

/** Dashes and gaps in mm. A dash of nothing is a dot, which the library takes as a very short dash only. */
function setDashes(doc: Document, dashes: readonly number[]): void {
  const lengths = dashes.map((each) => Math.max(0.01, each * POINTS));
  // The library takes a list; its types know of a single length only.
  doc.dash(lengths as unknown as number, {});
}

function drawImage(doc: Document, item: ImageItem, height: number, pictures: Pictures): void {
  const y = (rect: Rect): number => (height - rect.y - rect.height) * POINTS;
  doc.save();
  if (item.clip) {
    const { x, width, height: tall } = item.clip;
    doc.rect(x * POINTS, y(item.clip), width * POINTS, tall * POINTS).clip();
  }
  if (item.outline) {
    const corners = Array.from({ length: item.outline.length / 2 }, (_, i): [number, number] => [
      (item.outline?.[2 * i] ?? 0) * POINTS,
      (height - (item.outline?.[2 * i + 1] ?? 0)) * POINTS,
    ]);
    doc.polygon(...corners).clip('even-odd');
  }
  const picture = pictures.get(keyOf(item));
  const own = beforeTurn(item);
  if (item.turn !== undefined) {
    const middle: [number, number] = [(own.x + own.width / 2) * POINTS, (height - own.y - own.height / 2) * POINTS];
    doc.rotate(-item.turn, { origin: middle });
  }
  if (picture !== undefined)
    doc.image(picture, own.x * POINTS, y(own), { width: own.width * POINTS, height: own.height * POINTS });
  doc.restore();
}

function page(doc: Document, drawing: Drawing, options: PdfOptions, pictures: Pictures): void {
  const { width, height } = drawing;
  doc.addPage({ size: [width * POINTS, height * POINTS], margin: 0 });
  doc.lineCap('butt').lineJoin('miter');
  for (const item of drawing.items) {
    // Whoever writes files has put its items in its place.
    if (item.kind === 'piece') continue;
    if (item.opacity !== undefined) doc.save().opacity(item.opacity);
    if (item.kind === 'text') for (const each of drawnTexts(item)) write(doc, each, height, options);
    else if (item.kind === 'image') drawImage(doc, item, height, pictures);
    else if (item.kind === 'fill') {
      for (const ring of item.rings) trace(doc, ring, true, height);
      doc.fill(item.colour ?? 'black', 'even-odd');
    } else {
      if (item.kind === 'arc') traceArc(doc, item, height);
      else trace(doc, item.points, item.closed, height);
      doc.lineWidth(item.width * POINTS);
      if (item.dashes) setDashes(doc, item.dashes);
      doc.stroke(item.colour ?? 'black');
      if (item.dashes) doc.undash();
    }
    if (item.opacity !== undefined) doc.restore();
  }
}

/**
 * Writes sheets as one PDF at true size, a page each, to `sink` as it grows; pages are asked for one at a time.
 * @returns when the last byte has been handed over
 * @throws PictureError for a picture that is damaged, FontFileError for a typeface that a text cannot be set in
 */
export async function streamPdf(
  pages: Iterable<Drawing> | AsyncIterable<Drawing>,
  options: PdfOptions,
  sink: (chunk: Uint8Array) => void,
): Promise<void> {
  // Read when the first sheet is written: a server or a command that writes none starts without it.
  const { default: Writer } = await import('pdfkit');
  const doc = new Writer({
    autoFirstPage: false,
    compress: true,
    pdfVersion: '1.7',
    lang: 'en',
    info: { Title: options.title, Author: options.author ?? '', Creator: 'Mendrel', Producer: 'Mendrel' },
  }) as Document;
  const ended = new Promise<void>((resolve, reject) => {
    doc.on('data', (chunk: Uint8Array) => sink(chunk));
    doc.on('end', () => resolve());
    doc.on('error', reject);
  });
  for (const [name, bytes] of options.fonts) doc.registerFont(name, bytes);
  const pictures: Pictures = new Map();
  for await (const drawing of pages) {
    await readyPictures(doc, drawing, pictures);
    page(doc, drawing, options, pictures);
  }
  try {
    // Typefaces are cut down to their letters now, which a damaged one may not live through.
    doc.end();
  } catch (error) {
    throw new FontFileError(`a typeface cannot be embedded: ${(error as Error).message}`);
  }
  await ended;
}

/** Writes sheets as one PDF in memory. */
export async function writePdf(pages: Iterable<Drawing>, options: PdfOptions): Promise<Uint8Array> {
  const chunks: Uint8Array[] = [];
  await streamPdf(pages, options, (chunk) => chunks.push(chunk));
  const whole = new Uint8Array(chunks.reduce((sum, chunk) => sum + chunk.length, 0));
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.length;
  }
  return whole;
}
