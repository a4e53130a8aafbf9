import { NO_LINE } from '../../design';
import type { Item, StrokeItem, TextItem } from '../../drawing';
import { rectPoints } from '../../drawing';
import type { PlacedOf } from '../../layout';
import { penFor, roleOf } from '../../standard';
import { tableKindOf } from '../../table';
import { colourOf, inkOf, layerName } from '../layers';
import type { DrawKind } from './kind';

type Table = PlacedOf<'table'>;

/** A table: the grounds of its rows, then its lines, then its words. */
export const tableItems: DrawKind<Table> = (at, { standard, tags }) => {
  const { content, cell } = at;
  const base = { part: 'block', cell } as const;
  const items: Item[] = [];
  const lines = layerName(standard, 'cells');
  const shown = at.rows.filter(({ kind }) => kind !== 'blank' || !content.onlyFilled);
  const across = ({ kind, block }: Table['rows'][number]): [number, number] =>
    kind === 'title' ? [at.x, at.x + at.width] : [at.x + block * at.blockWidth, at.x + (block + 1) * at.blockWidth];
  if (content.stripes) {
    const striped = shown.filter(({ kind }) => kind === 'row' || kind === 'blank').filter((_, i) => i % 2 === 1);
    for (const row of striped) {
      const [x, end] = across(row);
      const ring = rectPoints({ x, y: row.y, width: end - x, height: row.height });
      items.push({ ...base, kind: 'fill', rings: [ring], colour: content.stripes, layer: lines });
    }
  }
  const ownInk = inkOf(standard, content.pen ?? penFor(standard, 'divider').id);
  const stroke = (points: number[], closed = false, ink = ownInk): void => {
    const item: StrokeItem = { kind: 'stroke', points, closed, width: ink.width, layer: lines, part: 'block', cell };
    items.push(ink.colour === undefined ? item : { ...item, colour: ink.colour });
  };
  stroke(rectPoints(at), true);
  // Each line between rows once: the rows of one block share it, and neighbouring blocks meet in it.
  const drawn = new Set<string>();
  for (const row of shown) {
    const [x, end] = across(row);
    for (const y of [row.y, row.y + row.height]) {
      const onEdge = Math.abs(y - at.y) < 0.005 || Math.abs(y - at.y - at.height) < 0.005;
      const key = `${x.toFixed(2)} ${y.toFixed(2)}`;
      if (onEdge || drawn.has(key)) continue;
      drawn.add(key);
      stroke([x, y, end, y]);
    }
  }
  for (let block = 0; block < at.blocks; block++) {
    const rows = shown.filter((row) => row.block === block && row.kind !== 'title');
    const ruled = rows.filter(({ kind }) => kind !== 'more');
    if (block > 0) verticals([{ x: at.x + block * at.blockWidth }], rows);
    let x = at.x + block * at.blockWidth;
    const between = at.columns.slice(0, -1).map((width, i) => ({ x: (x += width), pen: content.columns[i]?.pen }));
    verticals(
      between.filter(({ pen }) => pen !== NO_LINE),
      ruled,
    );
  }
  /** Upright lines through rows, in one piece as far as they follow each other. */
  function verticals(
    between: readonly { x: number; pen?: string | undefined }[],
    rows: readonly Table['rows'][number][],
  ): void {
    const spans: [number, number][] = [];
    for (const { y, height } of [...rows].sort((a, b) => a.y - b.y)) {
      const last = spans[spans.length - 1];
      if (last && Math.abs(last[1] - y) < 0.005) last[1] = y + height;
      else spans.push([y, y + height]);
    }
    for (const { x, pen } of between) {
      const ink = pen === undefined ? ownInk : inkOf(standard, pen);
      for (const [from, to] of spans) stroke([x, from, x, to], false, ink);
    }
  }

  const [captions, values] = [layerName(standard, 'captions'), layerName(standard, 'values')];
  const { name } = tableKindOf(content.table);
  const looks = new Map<string, { typeface: string; colour?: string }>();
  const lookOf = (id: string): { typeface: string; colour?: string } => {
    let look = looks.get(id);
    if (!look) {
      const role = roleOf(standard, id);
      look = { typeface: role?.typeface ?? '', ...colourOf(standard, role?.pen ?? '') };
      looks.set(id, look);
    }
    return look;
  };
  // An index has thousands of texts: each is one object, made in one go.
  for (const text of at.texts) {
    const { data, lines: written, height, widthFactor, role, horizontal } = text;
    const heading = data ? content.columns[data.column]?.heading || String(data.column + 1) : '';
    const tagOf = data && tags.row(name, data.row, heading);
    const { typeface, colour } = lookOf(role);
    for (let i = 0; i < written.length; i++) {
      const { text: words, x, y, width } = written[i]!;
      const item: TextItem = {
        kind: 'text',
        text: words,
        at: { x, y },
        height,
        width,
        widthFactor,
        rotation: 0,
        typeface,
        role,
        layer: data ? values : captions,
        part: 'block',
        cell,
      };
      if (colour !== undefined) item.colour = colour;
      if (horizontal !== 'left') item.align = horizontal;
      if (i > 0) item.follows = true;
      if (tagOf) item.field = tagOf(i);
      items.push(item);
    }
  }
  return items;
};
