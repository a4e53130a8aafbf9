import { z } from 'zod';
import type { Linework } from '../linework';
import { lineworkSchema } from '../linework';

/** An image file that a parameter's value refers to. */
export interface ImageValue {
  type: 'png' | 'jpeg';
  /** Dots across and up. */
  columns: number;
  rows: number;
  /** SHA-256 under which the file is kept. */
  asset: string;
}

/** Linework that is a parameter's value itself, in a box of so many mm. */
export interface LineworkValue {
  type: 'linework';
  width: number;
  height: number;
  linework: Linework[];
}

export type PictureValue = ImageValue | LineworkValue;

/** Characters of linework that is a value: it goes along with the other values wherever they go. */
export const MOST_PICTURE_CHARACTERS = 60_000;

const IMAGE = /^(png|jpeg) ([1-9]\d{0,4})x([1-9]\d{0,4}) ([0-9a-f]{64})$/;
const LINEWORK = /^linework (\d{1,4}(?:\.\d{1,3})?)x(\d{1,4}(?:\.\d{1,3})?) (?=\[)/;
const lineworkValueSchema = z.array(lineworkSchema).min(1).max(2000);

/** Linework is read once, and found again for every sheet that it stands on. */
const MOST_READ = 50;
const read = new Map<string, LineworkValue | undefined>();

function readLinework(text: string): LineworkValue | undefined {
  if (text.length > MOST_PICTURE_CHARACTERS) return undefined;
  const [head, width, height] = LINEWORK.exec(text) ?? [];
  if (head === undefined || !(Number(width) > 0) || !(Number(height) > 0)) return undefined;
  if (read.has(text)) return read.get(text);
  let linework: Linework[] | undefined;
  try {
    linework = lineworkValueSchema.safeParse(JSON.parse(text.slice(head.length))).data;
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
  }
  const found = linework && { type: 'linework' as const, width: Number(width), height: Number(height), linework };
  if (read.size >= MOST_READ) read.clear();
  read.set(text, found);
  return found;
}

/** The picture that a value is or refers to; undefined for anything else. */
export function readPictureValue(text: string): PictureValue | undefined {
  if (text.startsWith('linework ')) return readLinework(text);
  const [, type, columns, rows, asset] = IMAGE.exec(text) ?? [];
  if (asset === undefined) return undefined;
  return { type: type as ImageValue['type'], columns: Number(columns), rows: Number(rows), asset };
}

/** Lengths in hundredths of a millimetre: finer than any plotter. */
const hundredths = (value: number): number => Math.round(value * 100) / 100;

/**
 * The value for a picture: `png 1200x400` and its SHA-256, or `linework 60x20` in mm and its pieces as JSON.
 * Whether linework is small enough for one, `readPictureValue` says.
 */
export function pictureValue(picture: PictureValue): string {
  if (picture.type !== 'linework') return `${picture.type} ${picture.columns}x${picture.rows} ${picture.asset}`;
  const pieces = JSON.stringify(picture.linework, (key, value: unknown) => {
    if (typeof value !== 'number' || key === 'from' || key === 'to') return value;
    // Nothing that has a width or a radius loses it.
    return key === 'width' || key === 'radius' ? Math.max(0.01, hundredths(value)) : hundredths(value);
  });
  return `linework ${hundredths(picture.width)}x${hundredths(picture.height)} ${pieces}`;
}
