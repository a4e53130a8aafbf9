import { CERTAINTY } from './certainty';
import type { FoundCell } from './builtDesign';
import { normalCaption } from './lexicon';
import { isBeside, isUnder } from './neighbours';
import type { ReadText } from './readText';

/** Words for how far a sheet has come, in the lexicon's spelling (common practice). */
const STATUS =
  /\b(preliminary|tender|construction|approval|information|planning|permit|record|as built|issued|draft|final|bid|review|coordination|co ordination|vorabzug|entwurf|vorentwurf|ausfuhrung|genehmigung|ausschreibung|revision|bestand|avant projet|esquisse|execution|consultation|appel d offres|dce|apd|aps|anteproyecto|basico|ejecucion|licitacion)\b/;

const optionsIn = (cell: FoundCell): ReadText[] => cell.texts.filter((read) => read.kind === 'option');

/** Cells with one box each that stand beside or under one another. */
function rowsOfSingle(cells: readonly FoundCell[]): FoundCell[][] {
  const open = new Set(cells.filter((cell) => optionsIn(cell).length === 1));
  const rows: FoundCell[][] = [];
  for (const start of open) {
    open.delete(start);
    const row = [start];
    for (const from of row)
      for (const other of open) {
        const pairs = [
          [from.face, other.face],
          [other.face, from.face],
        ] as const;
        if (!pairs.some(([a, b]) => isBeside(a, b) || isUnder(a, b))) continue;
        open.delete(other);
        row.push(other);
      }
    rows.push(row);
  }
  return rows;
}

/** The caption in a cell over or before a row of cells. */
function captionOf(row: readonly FoundCell[], cells: readonly FoundCell[]): ReadText | undefined {
  const heads = cells.filter(
    (cell) =>
      !row.includes(cell) &&
      cell.texts.filter((read) => read.text.text !== '').every((read) => read.kind === 'caption') &&
      row.some(({ face }) => isBeside(cell.face, face) || standsOn(cell, row)),
  );
  return heads.flatMap(({ texts }) => texts).find((read) => read.kind === 'caption' && read.parameter !== undefined);
}

/** Whether a cell is as wide as a row and lies on it. */
function standsOn({ face }: FoundCell, row: readonly FoundCell[]): boolean {
  const left = Math.min(...row.map((cell) => cell.face.x));
  const right = Math.max(...row.map((cell) => cell.face.x + cell.face.width));
  return row.some((cell) => isUnder(face, { ...cell.face, x: left, width: right - left }));
}

/**
 * Says what options choose whose own cell does not: of boxes in cells of their own what stands over or before their row, else what
 * their words tell. A box by itself is a mark, and so is what chooses nothing known: its lines stay a picture.
 */
export function readChoices(cells: readonly FoundCell[]): void {
  for (const row of rowsOfSingle(cells)) {
    if (row.length === 1) {
      for (const cell of row) if (cell.texts.every((read) => read.parameter === undefined)) demote(cell);
      continue;
    }
    const caption = captionOf(row, cells);
    if (caption?.parameter === undefined) continue;
    for (const cell of row) choose(cell, caption.parameter, `stands beside a box by “${caption.text.text}”`);
    for (const cell of cells)
      if (cell.texts.includes(caption)) cell.texts = cell.texts.filter((read) => read.text.text !== '');
  }
  const open = cells.filter((cell) => optionsIn(cell).some((read) => read.parameter === undefined));
  const known = open.flatMap(optionsIn).filter((read) => STATUS.test(normalCaption(read.text.text)));
  for (const cell of open) {
    const headed = cell.texts.some((read) => read.kind === 'caption');
    if (!headed && known.length >= 2 && optionsIn(cell).some((read) => known.includes(read)))
      choose(cell, 'sheet.status', 'words beside boxes tell how far a sheet has come');
    else giveBack(cell);
  }
}

function choose(cell: FoundCell, parameter: string, why: string): void {
  cell.texts = cell.texts.map((read) =>
    read.kind === 'option' && read.parameter === undefined
      ? { ...read, parameter, confidence: CERTAINTY.neighbour, why }
      : read,
  );
}

/** Makes an option that is none fixed words again, with its box as linework. */
function demote(cell: FoundCell): void {
  giveBack(cell);
  cell.texts = cell.texts.map(({ box, ...read }) =>
    read.kind === 'option' && box
      ? { ...read, kind: 'note', confidence: CERTAINTY.noCaption, why: 'no caption says what it is' }
      : read,
  );
}

/** Gives a cell the lines of its boxes back, and the letters that tick them. */
function giveBack(cell: FoundCell): void {
  const boxes = optionsIn(cell).flatMap((read) => read.box ?? []);
  cell.linework.push(...boxes.flatMap(({ items }) => items));
  const why = 'ticks a box that chooses nothing known';
  const ticks = boxes.flatMap(({ letters, typed }) => (typed === undefined ? letters : []));
  cell.texts.push(...ticks.map((text): ReadText => ({ text, kind: 'note', confidence: CERTAINTY.noCaption, why })));
}

/** Texts of the old drawing that are boxes of a choice now, or their ticks: no text of the design stands for them. */
export const drawnAsBoxes = (cells: readonly FoundCell[]): Set<number> =>
  new Set(
    cells.flatMap(optionsIn).flatMap(({ parameter, box }) => (parameter && box ? box.letters.map(({ id }) => id) : [])),
  );
