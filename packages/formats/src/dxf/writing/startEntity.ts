import type { Item, TextItem } from '@mendrel/core';
import type { Pairs } from './pairs';
import { dxfLineWeight, dxfName, dxfText, trueColour } from './pairs';
import type { PlacedPicture } from './pictureFiles';

/** What entities need to know of the file they are written into. */
export interface Writing {
  /** Name of the text style of a text. */
  styleOf: (item: TextItem) => string;
  /** Name of the line type of a line with dashes. */
  lineTypeOf: (dashes: readonly number[]) => string;
  /** Line weights in mm by layer name; grows with the layers that items use. */
  widths: Map<string, number>;
  /** Pictures beside the file, by what items hold of them. */
  pictures: ReadonlyMap<string, PlacedPicture>;
  /** Drawing units of a millimetre. */
  perMm: number;
  /** The page that entities stand on; in the model when left out. */
  page?: string;
}

/** The head that all entities share. */
export function startEntity(
  out: Pairs,
  kind: string,
  owner: string,
  layer: string,
  on: Writing,
  look: { width?: number; colour?: string; dashes?: readonly number[]; opacity?: number } = {},
): Pairs {
  const name = dxfName(layer);
  if (!on.widths.has(name)) on.widths.set(name, look.width ?? 0.25);
  out.add(0, kind).add(5, out.handle()).add(330, owner).add(100, 'AcDbEntity');
  if (on.page !== undefined) out.add(67, 1).add(410, dxfText(on.page));
  out.add(8, name);
  if (look.dashes) out.add(6, on.lineTypeOf(look.dashes));
  if (look.width !== undefined) out.add(370, dxfLineWeight(look.width));
  const colour = trueColour(look.colour);
  if (colour !== undefined) out.add(420, colour);
  // How much it covers in 256 steps, with the sign that it is its own and not its layer's.
  return look.opacity === undefined ? out : out.add(440, 0x02000000 + Math.round(look.opacity * 255));
}

/** The look of texts and fills: they take the line weight of their layer. */
export const lookOf = ({ colour, opacity }: Item): Pick<Item, 'colour' | 'opacity'> => ({
  ...(colour ? { colour } : {}),
  ...(opacity === undefined ? {} : { opacity }),
});
