import type { Item, TextItem } from '@mendrel/core';
import type { Pairs } from './pairs';
import { writeMarkedText } from './markedTexts';
import { writeImage } from './pictures';
import type { Writing } from './startEntity';
import { lookOf, startEntity } from './startEntity';
import { writeAttribute, writeLine, writeParagraph } from './texts';

/** Writes items in order; the lines of a wrapped text become one text of several lines. */
export function writeItems(out: Pairs, items: readonly Item[], owner: string, on: Writing): void {
  for (let i = 0; i < items.length; i++) {
    const item = items[i] as Item;
    const whole = item.within?.text;
    if (whole !== undefined) {
      let end = i;
      while (items[end]?.within?.text === whole) end++;
      writeMarkedText(out, items.slice(i, end), owner, on);
      i = end - 1;
      continue;
    }
    const lines: TextItem[] = [];
    for (
      let line: Item | undefined = item;
      isWords(line) && (lines.length === 0 || line.follows);
      line = items[i + lines.length]
    ) {
      lines.push(line);
    }
    if (lines.length > 1) {
      writeParagraph(out, lines, owner, on);
      i += lines.length - 1;
    } else writeItem(out, item, owner, on);
  }
}

/** A text that is no field: fields keep a line each, for each of them is an attribute. */
const isWords = (item: Item | undefined): item is TextItem => item?.kind === 'text' && item.field === undefined;

/** Writes an item; a field becomes the definition of an attribute. */
function writeItem(out: Pairs, item: Item, owner: string, on: Writing): void {
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
      writeImage(out, item, owner, on, writeItem);
      return;
    case 'piece':
      // Whoever writes files has put its items in its place.
      return;
    case 'text':
      if (item.field) writeAttribute(out, 'ATTDEF', item, owner, on);
      else if (item.text !== '') writeLine(out, item, owner, on);
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

function writeFill(out: Pairs, item: Extract<Item, { kind: 'fill' }>, owner: string, on: Writing): void {
  startEntity(out, 'HATCH', owner, item.layer, on, lookOf(item));
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
