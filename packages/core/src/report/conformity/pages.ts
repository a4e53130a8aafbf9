import type { Drawing, Item, TextItem } from '../../drawing';
import type { Typeface, Typefaces } from '../../lettering';
import { breakLines, measureOf } from '../../lettering';
import { LETTERING_TYPEFACE, LETTERING_TYPEFACE_STRONG } from '../../standard';
import type { ConformityLine } from './line';

/** A4 upright, in mm. */
const PAGE = { width: 210, height: 297, margin: 15 } as const;
const TEXT = 1.9;
const PITCH = 3.2;
/** Room over and under the words of a row. */
const OVER = 1.3;
const COLUMNS: readonly { name: string; width: number; of: (line: ConformityLine) => string }[] = [
  { name: 'Standard', width: 33, of: ({ standard }) => standard },
  { name: 'Rule', width: 45, of: ({ rule }) => rule },
  { name: 'Needed', width: 40, of: ({ needed }) => needed },
  { name: 'Found', width: 42, of: ({ found }) => found },
  { name: 'Verdict', width: 20, of: ({ verdict }) => verdict },
];
const GAP = 2;

/**
 * The report on a design as pages of paper, like any other drawing.
 * @param about the first line of each page: the design, its revision, the date
 * @param typefaces with those that ship
 */
export function conformityPages(lines: readonly ConformityLine[], about: string, typefaces: Typefaces): Drawing[] {
  const [plain, strong] = [typefaces.get(LETTERING_TYPEFACE), typefaces.get(LETTERING_TYPEFACE_STRONG)];
  if (!plain || !strong) return [];
  const rows = lines.map((line) =>
    rowOf(
      COLUMNS.map((column) => column.of(line)),
      plain,
    ),
  );
  const head = rowOf(
    COLUMNS.map(({ name }) => name),
    strong,
  );
  const top = PAGE.height - PAGE.margin - 12;
  const pages: Row[][] = [[]];
  let left = top - PAGE.margin - head.height;
  for (const row of rows) {
    if (row.height > left) {
      pages.push([]);
      left = top - PAGE.margin - head.height;
    }
    pages.at(-1)?.push(row);
    left -= row.height;
  }
  return pages.map((page, i) => {
    const items: Item[] = [
      words(`Conformity of ${about}`, PAGE.margin, PAGE.height - PAGE.margin - 3, strong, 2.8),
      words(
        `The values of the standards are from memory. Page ${i + 1} of ${pages.length}`,
        PAGE.margin,
        PAGE.height - PAGE.margin - 8,
        plain,
        TEXT,
      ),
    ];
    let y = top;
    for (const row of [head, ...page]) {
      items.push(...drawnRow(row, y));
      y -= row.height;
    }
    return { width: PAGE.width, height: PAGE.height, items };
  });
}

/** A row of the table: the lines of each column, and how high it is. */
interface Row {
  cells: string[][];
  height: number;
  typeface: Typeface;
}

function rowOf(texts: readonly string[], typeface: Typeface): Row {
  const measure = measureOf(typeface, TEXT, 1);
  const cells = texts.map((text, i) => breakLines(text, (COLUMNS[i]?.width ?? 0) - GAP, measure));
  const most = Math.max(1, ...cells.map((lines) => lines.length));
  return { cells, height: 2 * OVER + TEXT + (most - 1) * PITCH, typeface };
}

function drawnRow({ cells, height, typeface }: Row, top: number): Item[] {
  let x: number = PAGE.margin;
  const texts = cells.flatMap((lines, i) => {
    const from = x;
    x += COLUMNS[i]?.width ?? 0;
    return lines.map((line, n) => words(line, from, top - OVER - TEXT - n * PITCH, typeface, TEXT));
  });
  const points = [PAGE.margin, top - height, PAGE.width - PAGE.margin, top - height];
  return [...texts, { kind: 'stroke', points, closed: false, width: 0.13, layer: 'REPORT', part: 'frame' }];
}

const words = (text: string, x: number, y: number, typeface: Typeface, height: number): TextItem => ({
  kind: 'text',
  text,
  at: { x, y },
  height,
  width: measureOf(typeface, height, 1)(text),
  widthFactor: 1,
  rotation: 0,
  typeface: typeface.name,
  role: 'report',
  layer: 'REPORT',
  part: 'frame',
});
