import type { Item, TextItem } from '@mendrel/core';
import { rectPoints } from '@mendrel/core';
import type { Pairs } from './pairs';
import { dxfLineWeight, dxfName, dxfText, trueColour } from './pairs';

/** What entities need to know of the file they are written into. */
export interface Writing {
  /** Name of the text style of a text. */
  styleOf: (item: TextItem) => string;
  /** Name of the line type of a line with dashes. */
  lineTypeOf: (dashes: readonly number[]) => string;
  /** Line weights in mm by layer name; grows with the layers that items use. */
  widths: Map<string, number>;
  /** Drawing units of a millimetre. */
  perMm: number;
}

/** The head that all entities share. */
export function startEntity(
  out: Pairs,
  kind: string,
  owner: string,
  layer: string,
  on: Writing,
  look: { width?: number; colour?: string; dashes?: readonly number[] } = {},
): Pairs {
  const name = dxfName(layer);
  if (!on.widths.has(name)) on.widths.set(name, look.width ?? 0.25);
  out.add(0, kind).add(5, out.handle()).add(330, owner).add(100, 'AcDbEntity').add(8, name);
  if (look.dashes) out.add(6, on.lineTypeOf(look.dashes));
  if (look.width !== undefined) out.add(370, dxfLineWeight(look.width));
  const colour = trueColour(look.colour);
  return colour === undefined ? out : out.add(420, colour);
}

/** Writes an item; a field becomes the definition of an attribute. */
export function writeItem(out: Pairs, item: Item, owner: string, on: Writing): void {
  switch (item.kind) {
    case 'stroke': {
      startEntity(out, 'LWPOLYLINE', owner, item.layer, on, item).add(100, 'AcDbPolyline');
      out.add(90, item.points.length / 2).add(70, item.closed ? 1 : 0);
      if (item.width > WIDEST_LINE) out.add(43, item.width * on.perMm);
      for (let i = 0; i + 1 < item.points.length; i += 2) out.point(10, item.points[i] ?? 0, item.points[i + 1] ?? 0);
      return;
    }
    case 'arc': {
      if (item.width > WIDEST_LINE) {
        writeWideArc(out, item, owner, on);
        return;
      }
      const whole = Math.abs(item.to - item.from) >= 360 - 1e-9;
      startEntity(out, whole ? 'CIRCLE' : 'ARC', owner, item.layer, on, item).add(100, 'AcDbCircle');
      out.point(10, item.centre.x, item.centre.y, 0).add(40, item.radius);
      if (!whole) out.add(100, 'AcDbArc').add(50, item.from).add(51, item.to);
      return;
    }
    case 'fill':
      writeFill(out, item, owner, on);
      return;
    case 'image':
      writeImagePlace(out, item, owner, on);
      return;
    case 'text':
      if (item.field) writeAttribute(out, 'ATTDEF', item, owner, on);
      else if (item.text !== '') {
        startEntity(out, 'TEXT', owner, item.layer, on, textLook(item));
        textGroups(out, item, item.text, on).add(100, 'AcDbText');
        if (justificationOf(item) !== 0) out.add(73, 0);
      }
  }
}

/** The widest line weight that the format has, in mm; wider lines are polylines with a width of their own. */
const WIDEST_LINE = 2.11;

/** An arc wider than any line weight, as a polyline of arcs with a width. */
function writeWideArc(out: Pairs, item: Extract<Item, { kind: 'arc' }>, owner: string, on: Writing): void {
  const sweep = (((item.to - item.from) % 360) + 360) % 360 || 360;
  const pieces = Math.ceil(sweep / 120);
  const closed = sweep === 360;
  startEntity(out, 'LWPOLYLINE', owner, item.layer, on, item).add(100, 'AcDbPolyline');
  out
    .add(90, closed ? pieces : pieces + 1)
    .add(70, closed ? 1 : 0)
    .add(43, item.width * on.perMm);
  const step = sweep / pieces;
  for (let i = 0; i < pieces + (closed ? 0 : 1); i++) {
    const angle = ((item.from + i * step) * Math.PI) / 180;
    out.point(10, item.centre.x + item.radius * Math.cos(angle), item.centre.y + item.radius * Math.sin(angle));
    // The bulge of an arc is the tangent of a quarter of its angle.
    if (i < pieces) out.add(42, Math.tan((step * Math.PI) / 720));
  }
}

/**
 * The format refers to image files beside it and holds none: the place of the image is drawn, with words that say which image
 * belongs there.
 */
function writeImagePlace(out: Pairs, item: Extract<Item, { kind: 'image' }>, owner: string, on: Writing): void {
  const box = item.clip ?? item;
  const { layer, part } = item;
  writeItem(out, { kind: 'stroke', points: rectPoints(box), closed: true, width: 0.18, layer, part }, owner, on);
  const words = `Image: ${item.name || item.type.toUpperCase()}`;
  // Letters are about two thirds as wide as high; the words stay inside the box.
  const height = Math.min(2.5 * on.perMm, box.height / 3, box.width / (words.length * 0.7));
  const at = { x: box.x + box.width * 0.05, y: box.y + (box.height - height) / 2 };
  startEntity(out, 'TEXT', owner, layer, on);
  out.add(100, 'AcDbText').point(10, at.x, at.y, 0).add(40, height).add(1, dxfText(words)).add(7, 'Standard');
  out.add(100, 'AcDbText');
}

function writeFill(out: Pairs, item: Extract<Item, { kind: 'fill' }>, owner: string, on: Writing): void {
  startEntity(out, 'HATCH', owner, item.layer, on, item.colour ? { colour: item.colour } : {});
  out.add(100, 'AcDbHatch').point(10, 0, 0, 0);
  out.add(210, '0.0').add(220, '0.0').add(230, '1.0').add(2, 'SOLID').add(70, 1).add(71, 0).add(91, item.rings.length);
  for (const ring of item.rings) {
    out
      .add(92, 3)
      .add(72, 0)
      .add(73, 1)
      .add(93, ring.length / 2);
    for (let i = 0; i + 1 < ring.length; i += 2) out.point(10, ring[i] ?? 0, ring[i + 1] ?? 0);
    out.add(97, 0);
  }
  out.add(75, 0).add(76, 1).add(98, 0);
}

/** A text takes its layer's line weight; only its colour is its own. */
const textLook = (item: TextItem): { colour?: string } => (item.colour ? { colour: item.colour } : {});

function textGroups(out: Pairs, item: TextItem, words: string, on: Writing): Pairs {
  out.add(100, 'AcDbText').point(10, item.at.x, item.at.y, 0).add(40, item.height).add(1, dxfText(words));
  if (item.rotation !== 0) out.add(50, item.rotation);
  if (item.widthFactor !== 1) out.add(41, item.widthFactor);
  out.add(7, on.styleOf(item));
  const justification = justificationOf(item);
  if (justification === 0) return out;
  // The point a text is aligned to lies on its base line: in its middle, or at its end.
  const along = (item.width * justification) / 2;
  const turn = (item.rotation * Math.PI) / 180;
  return out
    .add(72, justification)
    .point(11, item.at.x + along * Math.cos(turn), item.at.y + along * Math.sin(turn), 0);
}

/** How the format numbers alignment along the base line. */
const justificationOf = ({ align }: TextItem): 0 | 1 | 2 => (align === 'centre' ? 1 : align === 'right' ? 2 : 0);

/** A field as the definition in the block, or as the attribute that holds the value on the sheet. */
function writeAttribute(out: Pairs, kind: 'ATTDEF' | 'ATTRIB', item: TextItem, owner: string, on: Writing): void {
  const { tag = '', prompt = '' } = item.field ?? {};
  startEntity(out, kind, owner, item.layer, on, textLook(item));
  textGroups(out, item, kind === 'ATTRIB' ? item.text : '', on);
  out.add(100, kind === 'ATTRIB' ? 'AcDbAttribute' : 'AcDbAttributeDefinition');
  if (kind === 'ATTDEF') out.add(3, dxfText(prompt));
  out.add(2, dxfText(tag)).add(70, 0);
  if (justificationOf(item) !== 0) out.add(74, 0);
}

/** A reference to a block, with the values of its fields. */
export function writeInsert(out: Pairs, block: string, items: readonly Item[], owner: string, on: Writing): void {
  const fields = items.filter((item): item is TextItem => item.kind === 'text' && item.field !== undefined);
  startEntity(out, 'INSERT', owner, '0', on).add(100, 'AcDbBlockReference');
  if (fields.length > 0) out.add(66, 1);
  out.add(2, block).point(10, 0, 0, 0);
  if (fields.length === 0) return;
  for (const field of fields) writeAttribute(out, 'ATTRIB', field, owner, on);
  out.add(0, 'SEQEND').add(5, out.handle()).add(330, owner).add(100, 'AcDbEntity').add(8, '0');
}
