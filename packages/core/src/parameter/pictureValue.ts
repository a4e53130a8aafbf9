/** An image file that a parameter's value refers to. */
export interface PictureValue {
  type: 'png' | 'jpeg';
  /** Dots across and up. */
  columns: number;
  rows: number;
  /** SHA-256 under which the file is kept. */
  asset: string;
}

const FORM = /^(png|jpeg) ([1-9]\d{0,4})x([1-9]\d{0,4}) ([0-9a-f]{64})$/;

/** The image that a value refers to; undefined for anything else. */
export function readPictureValue(text: string): PictureValue | undefined {
  const [, type, columns, rows, asset] = FORM.exec(text) ?? [];
  if (asset === undefined) return undefined;
  return { type: type as PictureValue['type'], columns: Number(columns), rows: Number(rows), asset };
}

/** The value that refers to an image: `png 1200x400` and its SHA-256. */
export const pictureValue = ({ type, columns, rows, asset }: PictureValue): string =>
  `${type} ${columns}x${rows} ${asset}`;
