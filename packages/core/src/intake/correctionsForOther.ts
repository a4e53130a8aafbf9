import type { Point, Rect } from '../geometry';
import { contains } from '../geometry';
import type { Corrections } from './corrections';
import type { IntakeReport, ReportText } from './report';

/** How far the same text may stand from its place on another sheet, in mm: values are as long as they are. */
const SAME_TEXT = 4;
/** Cells lie in the same place within this, in mm. */
const SAME_CELL = 1;

type Sheet = Pick<IntakeReport, 'source' | 'sheet' | 'frame' | 'cells' | 'texts'>;

/** Blocks keep to the lower right corner of the frame, so that is what places are measured from on a sheet of another size. */
function moveBetween(from: Sheet, to: Sheet): Point {
  const right = (frame: Rect): number => frame.x + frame.width;
  return { x: right(to.frame) - right(from.frame), y: to.frame.y - from.frame.y };
}

/** The text of another sheet that stands where one stands in its cell. */
function counterpart(text: ReportText, from: Sheet, to: Sheet, move: Point): ReportText | undefined {
  const cell = from.cells.find(({ id }) => id === text.cell);
  const middle = cell && { x: cell.x + cell.width / 2 + move.x, y: cell.y + cell.height / 2 + move.y };
  const there = middle && to.cells.find((each) => contains(each, middle, SAME_CELL));
  if (!there) return undefined;
  let best: { text: ReportText; apart: number } | undefined;
  for (const each of to.texts) {
    if (each.cell !== there.id) continue;
    const words = each.text === text.text ? 0 : SAME_TEXT / 2;
    const off = Math.hypot(each.x - text.x - move.x, each.y - text.y - move.y);
    if (off <= SAME_TEXT && (!best || off + words < best.apart)) best = { text: each, apart: off + words };
  }
  return best?.text;
}

/**
 * What a person set right on one sheet, said of another sheet with the same title block. What a text is goes to the text in the same
 * place; the sheet, the space and the place in it are each drawing's own.
 */
export function correctionsForOther(corrections: Corrections, from: Sheet, to: Sheet): Corrections {
  const { texts, joined, layers, roles, reach, asDrawn, pictures, symbols } = corrections;
  const move = moveBetween(from, to);
  const moved = (point: Point): Point => {
    const { origin, unitsPerPaperMm } = from.source;
    const [x, y] = [(point.x - origin.x) / unitsPerPaperMm + move.x, (point.y - origin.y) / unitsPerPaperMm + move.y];
    return {
      x: to.source.origin.x + x * to.source.unitsPerPaperMm,
      y: to.source.origin.y + y * to.source.unitsPerPaperMm,
    };
  };
  const set = Object.entries(texts ?? {}).flatMap(([id, correction]) => {
    const text = from.texts.find((each) => String(each.id) === id);
    const other = text && counterpart(text, from, to, move);
    return other ? [[String(other.id), correction] as const] : [];
  });
  const same: Corrections = { layers, roles, reach, asDrawn, pictures, symbols };
  return {
    ...(Object.fromEntries(Object.entries(same).filter(([, value]) => value !== undefined)) as Corrections),
    ...(set.length > 0 ? { texts: Object.fromEntries(set) } : {}),
    ...(joined ? { joined: joined.map((points) => points.map(moved)) } : {}),
  };
}
