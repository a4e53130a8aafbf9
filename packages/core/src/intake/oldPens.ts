import type { Drawing, OldPen, Segment } from '../drawing';
import type { Rect } from '../geometry';
import { around, contains } from '../geometry';
import type { OfficeStandard } from '../standard';
import { penFor } from '../standard';
import { piecesOf } from './linework';
import { TOLERANCE } from './tolerances';

/** What lines of a title block are drawn for. */
export type LineUse = 'frame' | 'outline' | 'divider';

/** A pen of the old drawing, and the pen of the office that its lines are drawn with now. */
export interface ReportPen {
  /** What the old drawing says of it: "0.35 mm", "0.70 mm wide", "colour 3", "unsaid"; ", dashed" behind it. */
  sign: string;
  /** Length of the lines of the title block that were drawn with it, in mm on paper. */
  length: number;
  uses: LineUse[];
  /** The office's pen that its lines are drawn with now; null where it depends on what each line is for. */
  pen: string | null;
}

export interface FoundPens {
  pens: Record<LineUse, string>;
  report: ReportPen[];
}

const UNSAID = 'unsaid';
/** What is added to the sign of a pen that draws dashed lines; designs draw their lines through. */
const DASHED = ', dashed';

/** How a report calls the pen that a line was drawn with. */
export function signOf(pen: OldPen | undefined, unitsPerPaperMm: number): string {
  if (pen?.drawnWidth) return `${(pen.drawnWidth / unitsPerPaperMm).toFixed(2)} mm wide`;
  if (pen?.weight !== undefined) return `${pen.weight.toFixed(2)} mm`;
  return pen?.colour === undefined ? UNSAID : `colour ${pen.colour}`;
}

const widthOf = (sign: string): number | undefined => {
  const width = /^(\d+\.\d+) mm/.exec(sign)?.[1];
  return width === undefined ? undefined : Number(width);
};

/**
 * Finds which of the office's pens the lines of an old title block are meant for: by what the office has taught, by their
 * width, else by what they are drawn for. Colours alone say nothing until the office says what they stand for.
 * @param taught the office's pens by the signs of old ones
 */
export function pensOf(
  legacy: Drawing,
  unitsPerPaperMm: number,
  frame: Rect,
  cells: readonly Rect[],
  blocks: readonly Rect[],
  standard: OfficeStandard,
  taught: Readonly<Record<string, string>>,
): FoundPens {
  const lengths = new Map<string, Record<LineUse, number>>();
  const reach = around([...cells, ...blocks]);
  for (const item of legacy.items) {
    if (item.kind !== 'stroke') continue;
    const sign = signOf(item.oldPen, unitsPerPaperMm) + (item.dashes ? DASHED : '');
    for (const piece of piecesOf(item, TOLERANCE)) {
      const near = reach && meets(piece, reach);
      const use = onEdge(piece, frame) ? 'frame' : near ? lineUseOf(piece, frame, cells, blocks) : undefined;
      if (!use) continue;
      const own = lengths.get(sign) ?? { frame: 0, outline: 0, divider: 0 };
      own[use] += Math.hypot(piece.x1 - piece.x0, piece.y1 - piece.y0);
      lengths.set(sign, own);
    }
  }
  const uses = ['frame', 'outline', 'divider'] as const;
  const leading = Object.fromEntries(
    uses.map((use) => [use, [...lengths].sort((a, b) => b[1][use] - a[1][use]).find(([, own]) => own[use] > 0)?.[0]]),
  ) as Record<LineUse, string | undefined>;
  // One pen for everything says nothing of what is meant by it.
  const plain = uses.every((use) => leading[use] === leading.frame);
  const penOf = (sign: string | undefined, use: LineUse): string => {
    const known = sign === undefined ? undefined : taught[sign];
    if (known !== undefined && standard.pens.some((pen) => pen.id === known)) return known;
    const width = sign === undefined || plain ? undefined : widthOf(sign);
    return width === undefined ? penFor(standard, use).id : nearestPen(width, standard);
  };
  return {
    pens: {
      frame: penOf(leading.frame, 'frame'),
      outline: penOf(leading.outline, 'outline'),
      divider: penOf(leading.divider, 'divider'),
    },
    report: [...lengths]
      .map(([sign, own]) => {
        const of = uses.filter((use) => own[use] > SOME_PART * (own.frame + own.outline + own.divider));
        const main = uses.find((use) => leading[use] === sign) ?? of[0] ?? 'divider';
        return {
          sign,
          length: Math.round(own.frame + own.outline + own.divider),
          uses: of,
          pen: plain && taught[sign] === undefined ? null : penOf(sign, main),
        };
      })
      .sort((a, b) => b.length - a.length),
  };
}

/** A pen is used for what makes at least this part of its length. */
const SOME_PART = 0.02;
/** Lines within this distance of where they belong are there, in mm. */
const NEAR = 0.5;

function lineUseOf(s: Segment, frame: Rect, cells: readonly Rect[], blocks: readonly Rect[]): LineUse | undefined {
  const middle = { x: (s.x0 + s.x1) / 2, y: (s.y0 + s.y1) / 2 };
  if (blocks.some((block) => onEdge(s, block))) return 'outline';
  return cells.some((cell) => onEdge(s, cell) && contains(frame, middle)) ? 'divider' : undefined;
}

/** Whether a piece comes near to a rectangle at all: most of a plan does not come near to the title block. */
function meets(s: Segment, { x, y, width, height }: Rect): boolean {
  return (
    Math.min(s.x0, s.x1) <= x + width + NEAR &&
    Math.max(s.x0, s.x1) >= x - NEAR &&
    Math.min(s.y0, s.y1) <= y + height + NEAR &&
    Math.max(s.y0, s.y1) >= y - NEAR
  );
}

/** Whether a piece runs along an edge of a rectangle. */
function onEdge(s: Segment, { x, y, width, height }: Rect): boolean {
  const level = Math.abs(s.y1 - s.y0) < Math.abs(s.x1 - s.x0);
  const at = level ? (s.y0 + s.y1) / 2 : (s.x0 + s.x1) / 2;
  const middle = level ? (s.x0 + s.x1) / 2 : (s.y0 + s.y1) / 2;
  const [low, high] = level ? [x, x + width] : [y, y + height];
  return (
    (level ? [y, y + height] : [x, x + width]).some((edge) => Math.abs(edge - at) < NEAR) &&
    // A line may be longer than the cell whose edge it is.
    Math.max(low, level ? Math.min(s.x0, s.x1) : Math.min(s.y0, s.y1)) <
      Math.min(high, level ? Math.max(s.x0, s.x1) : Math.max(s.y0, s.y1)) &&
    Number.isFinite(middle)
  );
}

/** The pen of the nearest width; lettering has one of its own. */
function nearestPen(width: number, standard: OfficeStandard): string {
  const lettering = penFor(standard, 'text');
  const lines = standard.pens.filter((pen) => pen !== lettering);
  const sorted = (lines.length > 0 ? lines : standard.pens).toSorted(
    (a, b) => Math.abs(a.width - width) - Math.abs(b.width - width),
  );
  return sorted[0]?.id ?? lettering.id;
}
