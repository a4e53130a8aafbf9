import type { Item, LegacySpace } from '@mendrel/core';
import { PAGE_EDGE } from '@mendrel/core';
import type { Purpose } from '../dxf';
import { readDxf, spacesOf } from '../dxf';
import { ImageFileError, readImageHeader } from '../images';
import { readPdfPages } from '../pdf/reading/pdfPages';
import { readSvgDrawing } from '../svg/reading/svgDrawing';
import { LegacyFileError } from './legacyFileError';
import { withSoundImages } from './soundImages';
import { withStorableTexts } from './storableDrawing';
import { asUtf8 } from './utf16';

const PNG = [0x89, 0x50, 0x4e, 0x47];
const JPEG = [0xff, 0xd8, 0xff];

/** The first bytes of files that are often taken for drawings, and what they are. */
const NO_DRAWINGS: readonly [readonly number[], string][] = [
  [[0x50, 0x4b, 0x03, 0x04], 'this is a packed archive; unpack it and bring the drawings in it'],
  [[0x1f, 0x8b], 'this is a packed file; unpack it first'],
  [PNG, 'this is a PNG picture; a drawing has lines, a picture has only dots'],
  [JPEG, 'this is a JPEG picture; a drawing has lines, a picture has only dots'],
  [
    [0x41, 0x43, 0x31, 0x30],
    'this is a drawing in the closed format of its program; save it there as DXF, SVG or PDF, and bring that',
  ],
];

/**
 * Reads a legacy drawing, DXF, SVG or PDF, told apart by what is in it and not by its name.
 * @param tell takes the part of the file that was read, from 0 to 1, now and then
 * @returns what may hold a sheet: the model and the layouts of a DXF file, the pages of a PDF file
 * @throws DxfError with the line where a DXF file breaks off, LegacyFileError for what else cannot be read
 */
export async function readLegacyFile(file: Uint8Array, tell?: (part: number) => void): Promise<LegacySpace[]> {
  return readSpaces(file, 'intake', tell);
}

/**
 * Reads a drawing for views: the same kinds of files, and PNG and JPEG pictures, whose units are their dots.
 * @param tell takes the part of the file that was read, from 0 to 1, now and then
 * @throws DxfError, LegacyFileError like `readLegacyFile`
 */
export async function readSourceFile(file: Uint8Array, tell?: (part: number) => void): Promise<LegacySpace[]> {
  if (isPicture(file)) return [await pictureSpace(file)];
  const spaces = await readSpaces(file, 'views', tell);
  // The edge of a page helps to find a sheet; nobody drew it.
  return spaces.map(({ name, drawing }) => ({
    name,
    drawing: { ...drawing, items: drawing.items.filter(({ layer }) => layer !== PAGE_EDGE) },
  }));
}

const isPicture = (file: Uint8Array): boolean =>
  [PNG, JPEG].some((start) => start.every((byte, i) => file[i] === byte));

/** A picture as a drawing, a dot a unit. @throws LegacyFileError for one that is damaged or too large */
async function pictureSpace(file: Uint8Array): Promise<LegacySpace> {
  try {
    const { type, columns, rows } = readImageHeader(file);
    const data = Buffer.from(file).toString('base64');
    const items: Item[] = [
      {
        kind: 'image',
        layer: 'Picture',
        part: 'view',
        name: 'Picture',
        type,
        file: { data },
        x: 0,
        y: 0,
        width: columns,
        height: rows,
      },
    ];
    const spaces = [
      {
        name: 'Picture',
        drawing: { items, source: { format: type.toUpperCase(), version: '', entities: 1 }, dropped: [] },
      },
    ];
    const [sound] = await withSoundImages(spaces);
    if (!sound || sound.drawing.items.length === 0) throw new LegacyFileError('the picture is damaged or cut off');
    return sound;
  } catch (error) {
    if (error instanceof ImageFileError) throw new LegacyFileError(error.message);
    throw error;
  }
}

async function readSpaces(file: Uint8Array, purpose: Purpose, tell?: (part: number) => void): Promise<LegacySpace[]> {
  const bytes = asUtf8(file);
  for (const [start, words] of NO_DRAWINGS) {
    if (start.every((byte, i) => bytes[i] === byte)) throw new LegacyFileError(words);
  }
  return withSoundImages(withStorableTexts(await spacesIn(bytes, purpose, tell)));
}

async function spacesIn(bytes: Uint8Array, purpose: Purpose, tell?: (part: number) => void): Promise<LegacySpace[]> {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 1024));
  if (head.includes('%PDF-')) return readPdfPages(bytes, tell);
  // No line of a DXF file begins with an angle bracket before its first section.
  if (/^(\u00ef\u00bb\u00bf)?\s*</.test(head) || /<svg[\s>]/i.test(head)) {
    return [{ name: 'Drawing', drawing: readSvgDrawing(new TextDecoder().decode(bytes)) }];
  }
  return spacesOf(readDxf(bytes, tell), purpose);
}
