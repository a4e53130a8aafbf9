import type { Item, Point, TextItem } from '@mendrel/core';
import type { Pairs } from './pairs';
import type { Writing } from './startEntity';
import { lookOf, startEntity } from './startEntity';
import { lineSpacing, paragraphText, piecesOf } from './texts';

/** Parts stand apart by a space where there is so much between them, as a part of the height of letters. */
const APART = 0.1;

/**
 * A text in which words stand out as one, with the codes that the format has for it: typefaces, lines under words, and lists whose
 * lines hang behind their labels. It breaks where the sheet breaks it.
 */
export function writeMarkedText(out: Pairs, items: readonly Item[], owner: string, on: Writing): void {
  const parts = items.filter((item): item is TextItem => item.kind === 'text');
  const [first] = parts;
  if (!first) return;
  const turn = (first.rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const along = ({ x, y }: Point): number => x * c + y * s;
  const up = ({ x, y }: Point): number => y * c - x * s;
  const left = Math.min(...parts.map(({ at }) => along(at)));
  const right = Math.max(...parts.map(({ at, width }) => along(at) + width));
  const lines = new Map<number, TextItem[]>();
  for (const part of parts) {
    const line = part.within?.line ?? 0;
    lines.set(line, [...(lines.get(line) ?? []), part]);
  }
  const plain = parts.find(({ within }) => !within?.label) ?? first;
  let before = '';
  const words = [...lines.values()].map((line) => {
    const at = hanging(line, left, along);
    const code = at === before ? '' : `\\p${at};`;
    before = at;
    return code + lineText(line, plain, along);
  });
  const [start, next] = [...lines.values()].map(([part]) => part?.at);
  const from = along(first.at) - left;
  const corner = { x: first.at.x - from * c - first.height * s, y: first.at.y - from * s + first.height * c };
  startEntity(out, 'MTEXT', owner, plain.layer, on, lookOf(plain)).add(100, 'AcDbMText');
  out
    .point(10, corner.x, corner.y, 0)
    .add(40, first.height)
    .add(41, (right - left) * 1.1)
    .add(71, 1)
    .add(72, 1);
  const all = words.join('\\P');
  const pieces = piecesOf(plain.widthFactor === 1 ? all : `\\W${plain.widthFactor};${all}`);
  pieces.forEach((piece, i) => out.add(i === pieces.length - 1 ? 1 : 3, piece));
  out.add(7, on.styleOf(plain));
  if (first.rotation !== 0) out.add(50, first.rotation);
  if (start && next) lineSpacing(out, up(start) - up(next), first.height);
}

/** Whether a part of a line stands at a tab: behind the label of a list, or as a column. */
const atTab = (part: TextItem, before: TextItem | undefined): boolean =>
  part.within?.tab === true || before?.within?.label === true;

/**
 * How a line hangs, as the format says it: in heights of letters, the first line of a paragraph from the others, and the places of
 * its tabs. Where a line stands under another one's column, it is moved in as far.
 */
function hanging(line: readonly TextItem[], left: number, along: (at: Point) => number): string {
  const [first] = line;
  if (!first) return '';
  const from = (part: TextItem): number => Number(((along(part.at) - left) / part.height).toFixed(4));
  const tabs = line.filter((part, i) => atTab(part, line[i - 1])).map(from);
  const by = tabs.at(-1) ?? from(first);
  return tabs.length > 0 ? `i${-by},l${by},t${tabs.join()}` : `i0,l${by}`;
}

/** The parts of a line, each with the codes of its look. */
function lineText(line: readonly TextItem[], plain: TextItem, along: (at: Point) => number): string {
  return line
    .map((part, i) => {
      const before = line[i - 1];
      const gap = before ? along(part.at) - along(before.at) - before.width : 0;
      const tab = atTab(part, before) ? '^I' : '';
      const space = before && tab === '' && gap > APART * part.height ? ' ' : '';
      const text = paragraphText(part.text);
      const under = part.within?.underlined ? `\\L${text}\\l` : text;
      const lettered = part.typeface === plain.typeface ? under : `{\\f${part.typeface}|b0|i0|c0|p0;${under}}`;
      return part.within?.label ? text : tab + space + lettered;
    })
    .join('');
}
