import type { Item, TextItem } from '@mendrel/core';
import type { Pairs } from './pairs';
import { dxfText } from './pairs';
import type { Writing } from './startEntity';
import { lookOf, startEntity } from './startEntity';

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

/** A text of one line. */
export function writeLine(out: Pairs, item: TextItem, owner: string, on: Writing): void {
  startEntity(out, 'TEXT', owner, item.layer, on, lookOf(item));
  textGroups(out, item, item.text, on).add(100, 'AcDbText');
  if (justificationOf(item) !== 0) out.add(73, 0);
}

/**
 * A text of several lines as one, which can be edited as a whole: it hangs from the capitals of its first line, breaks where
 * the sheet breaks it, and has a tenth more width than its widest line, so that a program with other letters breaks no
 * line again.
 */
export function writeParagraph(out: Pairs, lines: readonly TextItem[], owner: string, on: Writing): void {
  const [first, second] = lines;
  if (!first || !second) return;
  const turn = (first.rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const justification = justificationOf(first);
  const along = (first.width * justification) / 2;
  // Lines of one text are apart at right angles to their base line, whatever side they are aligned to.
  const down = Math.abs((second.at.y - first.at.y) * c - (second.at.x - first.at.x) * s);
  startEntity(out, 'MTEXT', owner, first.layer, on, lookOf(first)).add(100, 'AcDbMText');
  out.point(10, first.at.x + along * c - first.height * s, first.at.y + along * s + first.height * c, 0);
  out.add(40, first.height).add(41, Math.max(...lines.map((line) => line.width)) * 1.1);
  out.add(71, 1 + justification).add(72, 1);
  const words = lines.map((line) => paragraphText(line.text)).join('\\P');
  const pieces = piecesOf(first.widthFactor === 1 ? words : `\\W${first.widthFactor};${words}`);
  pieces.forEach((piece, i) => out.add(i === pieces.length - 1 ? 1 : 3, piece));
  out.add(7, on.styleOf(first));
  if (first.rotation !== 0) out.add(50, first.rotation);
  lineSpacing(out, down, first.height);
}

/** Lines exactly as far apart as on the sheet; the format counts in lines of five thirds of the height. */
export function lineSpacing(out: Pairs, down: number, height: number): void {
  out.add(73, 2).add(44, Math.min(4, Math.max(0.25, down / ((5 / 3) * height))));
}

/** Signs that have a meaning in a text of several lines are written with a backslash before them. */
export const paragraphText = (line: string): string => dxfText(line.replace(/[\\{}]/g, '\\$&').replace(/\^/g, '^ '));

/** The format holds at most 250 characters of such a text in one group. */
export function piecesOf(words: string): string[] {
  const pieces: string[] = [];
  for (let at = 0; at < words.length; at += 250) pieces.push(words.slice(at, at + 250));
  return pieces;
}

/** A field as the definition in the block, or as the attribute that holds the value on the sheet. */
export function writeAttribute(
  out: Pairs,
  kind: 'ATTDEF' | 'ATTRIB',
  item: TextItem,
  owner: string,
  on: Writing,
): void {
  const { tag = '', prompt = '' } = item.field ?? {};
  startEntity(out, kind, owner, item.layer, on, lookOf(item));
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
