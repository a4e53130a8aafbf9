import type { Point } from '../geometry';
import { contains } from '../geometry';
import type { Corrections } from './corrections';
import type { IntakeReport, ReportText } from './report';

/** How far the same text may stand from its place on another sheet, in mm: values are as long as they are. */
const SAME_TEXT = 4;
/** Cells lie in the same place within this, in mm. */
const SAME_CELL = 1;

type Sheet = Pick<IntakeReport, 'source' | 'sheet' | 'frame' | 'cells' | 'texts'>;

/** Blocks keep to edges of the frame: on a sheet of another size a place is as far from the edges that it is nearest to. */
function moveOf({ x, y }: Point, { frame: from }: Sheet, { frame: to }: Sheet): Point {
  const along = (at: number, low: number, length: number, other: number, otherLength: number): number =>
    at < low + length / 2 ? other - low : other + otherLength - low - length;
  return { x: along(x, from.x, from.width, to.x, to.width), y: along(y, from.y, from.height, to.y, to.height) };
}

/** The text of another sheet that stands where one stands in its cell. */
function counterpart(text: ReportText, from: Sheet, to: Sheet): ReportText | undefined {
  const cell = from.cells.find(({ id }) => id === text.cell);
  const move = moveOf(cell ? { x: cell.x + cell.width / 2, y: cell.y + cell.height / 2 } : text, from, to);
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
  const moved = (point: Point): Point => {
    const { origin, unitsPerPaperMm } = from.source;
    const at = { x: (point.x - origin.x) / unitsPerPaperMm, y: (point.y - origin.y) / unitsPerPaperMm };
    const move = moveOf(at, from, to);
    const there = to.source;
    return {
      x: there.origin.x + (at.x + move.x) * there.unitsPerPaperMm,
      y: there.origin.y + (at.y + move.y) * there.unitsPerPaperMm,
    };
  };
  const set = Object.entries(texts ?? {}).flatMap(([id, correction]) => {
    const text = from.texts.find((each) => String(each.id) === id);
    const other = text && counterpart(text, from, to);
    return other ? [[String(other.id), correction] as const] : [];
  });
  const same: Corrections = { layers, roles, reach, asDrawn, pictures, symbols };
  return {
    ...(Object.fromEntries(Object.entries(same).filter(([, value]) => value !== undefined)) as Corrections),
    ...(set.length > 0 ? { texts: Object.fromEntries(set) } : {}),
    ...(joined ? { joined: joined.map((points) => points.map(moved)) } : {}),
  };
}
