import type { WorkingUnit } from '../quantity';
import type { Finding } from '../check';
import type { NamedRect, Rect } from '../geometry';
import { overlapOf } from '../geometry';
import { amountInWords } from '../quantity';
import { EDGES, ZONE_BAND } from '../standard';
import { boxKindOf, onPaper } from './content';
import type { PanelLayout, SheetLayout, TextLayout } from './sheetLayout';

/** Less than this many mm of overlap is a line's width, not a finding. */
const TOLERANCE = 0.05;

/** Panels that stand on each other on one sheet size. What lies over the sheet on purpose is left out. */
export function panelOverlaps({ panels, unit, sheet }: SheetLayout): Finding[] {
  const standing = panels.filter(({ panel }) => !panel.overlay);
  return pairs(standing).flatMap(([a, b]) => {
    const by = overlapOf(a, b);
    return by > TOLERANCE ? [panelOverlap(a, b, unit, sheet.name, by)] : [];
  });
}

function panelOverlap(a: PanelLayout, b: PanelLayout, unit: WorkingUnit, size: string, by: number): Finding {
  return {
    kind: 'overlap',
    weight: 'error',
    message: `${a.name} and ${b.name} overlap by ${amountInWords(by, unit)} on ${size}`,
    where: { panel: b.id },
    by,
    mend: `make one of them smaller on ${size}, move it, or let one lie over the sheet without claiming room`,
  };
}

/** Texts and symbols of one cell that are compared with one another; a title block has far fewer, a hostile drawing thousands. */
const MOST_COMPARED = 60;

/** Texts and symbols that run into each other within one cell. */
export function contentOverlaps(layout: SheetLayout): Finding[] {
  const named = new Map(layout.cells.map((cell) => [cell.id, cell.name]));
  const marks = new Map<string, NamedRect[]>();
  const add = (cell: string, mark: NamedRect): void => {
    const there = marks.get(cell);
    if (there) there.push(mark);
    else marks.set(cell, [mark]);
  };
  for (const text of layout.texts) if (text.text !== '') add(text.cell, { ...boxOf(text), name: quoted(text.text) });
  for (const placed of layout.placed) {
    const { cell, content } = placed;
    const name = boxKindOf(content).inOverlaps?.(content);
    if (name !== undefined) add(cell, { ...onPaper(placed), name });
  }
  return [...marks].flatMap(([cell, inCell]) =>
    pairs(inCell.slice(0, MOST_COMPARED)).flatMap(([a, b]) => {
      const by = overlapOf(a, b);
      if (by <= TOLERANCE) return [];
      const name = named.get(cell) ?? cell;
      return [
        {
          kind: 'overlap' as const,
          weight: 'error' as const,
          message: `${a.name} and ${b.name} overlap by ${amountInWords(by, layout.unit)} in ${name}`,
          where: { cell },
          by,
          mend: `make ${name} ${amountInWords(by, layout.unit)} larger, let one of them wrap, or place it elsewhere`,
        },
      ];
    }),
  );
}

/** Zone marks that run off the sheet, because the margin is narrower than their band. */
export function marksOff({ zones, margins, rule, sheet, unit }: SheetLayout): Finding[] {
  if (!zones) return [];
  const edges = EDGES.filter((edge) => rule.zones.edges[edge] && margins[edge] < ZONE_BAND - TOLERANCE);
  const [worst] = [...edges].sort((a, b) => margins[a] - margins[b]);
  if (!worst) return [];
  const words = (amount: number): string => amountInWords(amount, unit);
  return [
    {
      kind: 'overlap',
      weight: 'error',
      message: `the zone marks run off ${sheet.name} at the ${edges.join(' and ')}`,
      where: { size: sheet.name },
      measured: `margin of ${words(margins[worst])}`,
      limit: `at least ${words(ZONE_BAND)}`,
      by: ZONE_BAND - margins[worst],
      mend: `widen the margin to ${words(ZONE_BAND)}, or leave the zones out`,
    },
  ];
}

/** The rectangle around a text on paper, from its capitals to its last base line. */
function boxOf({ lines, height, rotation }: TextLayout): Rect {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const line of lines) {
    // A line's text runs along (dx, dy) from its start; its capitals rise at a right angle to that.
    const [dx, dy] = rotation === 0 ? [1, 0] : rotation === 90 ? [0, 1] : rotation === 180 ? [-1, 0] : [0, -1];
    const ends = [line.x + dx * line.width - dy * height, line.y + dy * line.width + dx * height] as const;
    x0 = Math.min(x0, line.x, ends[0]);
    x1 = Math.max(x1, line.x, ends[0]);
    y0 = Math.min(y0, line.y, ends[1]);
    y1 = Math.max(y1, line.y, ends[1]);
  }
  return { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
}

const quoted = (text: string): string => `“${text.length > 30 ? `${text.slice(0, 28)}…` : text}”`;

function pairs<Each>(all: readonly Each[]): [Each, Each][] {
  return all.flatMap((a, i) => all.slice(i + 1).map((b): [Each, Each] => [a, b]));
}
