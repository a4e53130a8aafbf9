import type { IntakeReport } from '@mendrel/core';

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

interface TrueText {
  text: string;
  /** Index of its cell; null for what stands in a table. */
  cell: number | null;
  height: number;
}

/** What stands in an old drawing, as its maker knows it; mm on paper, origin at the sheet's lower-left corner, y up. */
export interface Truth {
  unitsPerPaperMm: number;
  rotation: number;
  sheet: { name: string; width: number; height: number };
  frame: Box;
  cells: Box[];
  captions: TrueText[];
  fields: (TrueText & { parameter: string })[];
  /** Words beside boxes; those that choose nothing known have no parameter. */
  options?: (TrueText & { parameter: string | null; ticked: boolean })[];
  emptyFields: { parameter: string; cell: number }[];
  tables: (Box & { kind: string; columns: string[] })[];
  unrelatedLayers: string[];
}

/** Each part from 0 to 1, and what went wrong in words. */
export interface Score {
  parts: Record<string, number>;
  total: number;
  faults: string[];
}

/** How far a cell may lie off, in mm relative to the frame. */
const NEAR = 0.5;
/** How far a standard height may lie from the old one. */
const HEIGHT = 0.15;

const KEYS = ['x', 'y', 'width', 'height'] as const;
const near = (a: Box, b: Box): boolean =>
  Math.abs(a.x - b.x) <= NEAR &&
  Math.abs(a.y - b.y) <= NEAR &&
  Math.abs(a.x + a.width - b.x - b.width) <= NEAR &&
  Math.abs(a.y + a.height - b.y - b.height) <= NEAR;
const share = (good: number, all: number): number => (all === 0 ? 1 : good / all);

/**
 * Scores what intake found against the truth: sheet, cells, kinds of text, parameters, heights, tables and layers that do
 * not belong count alike. A wrong parameter costs twice what an unresolved one costs.
 */
export function scoreReport(report: IntakeReport, truth: Truth): Score {
  const faults: string[] = [];
  const fault = (words: string): number => {
    faults.push(words);
    return 0;
  };
  const { source, sheet, frame } = report;
  const sheetParts = [
    Math.abs(source.unitsPerPaperMm / truth.unitsPerPaperMm - 1) < 1e-3
      ? 1
      : fault(`unit ${source.unitsPerPaperMm} for ${truth.unitsPerPaperMm}`),
    sheet.name === truth.sheet.name ? 1 : fault(`sheet ${sheet.name} for ${truth.sheet.name}`),
    near(frame, truth.frame) ? 1 : fault(`frame ${KEYS.map((key) => frame[key]).join(' ')}`),
    source.rotation === truth.rotation ? 1 : fault(`rotation ${source.rotation} for ${truth.rotation}`),
  ];

  const shift = { x: truth.frame.x - frame.x, y: truth.frame.y - frame.y };
  const shifted = report.cells.map((cell) => ({ ...cell, x: cell.x + shift.x, y: cell.y + shift.y }));
  const idOf = truth.cells.map((cell) => shifted.find((each) => near(each, cell))?.id);
  idOf.forEach((id, i) => {
    if (id === undefined) fault(`no cell ${KEYS.map((key) => truth.cells[i]?.[key].toFixed(1)).join(' ')}`);
  });
  const hits = idOf.filter((id) => id !== undefined).length;
  if (shifted.length > hits) fault(`${shifted.length - hits} cells too many`);
  const cells = (2 * hits) / Math.max(1, truth.cells.length + shifted.length);

  let [kinds, heights, found, parameters] = [0, 0, 0, 0];
  const open = [...report.texts];
  const take = (wanted: TrueText, kind: string): (typeof open)[number] | undefined => {
    const cell = wanted.cell === null ? null : idOf[wanted.cell];
    const same = open.filter((text) => text.text === wanted.text && (wanted.cell === null || text.cell === cell));
    const best = same.find((text) => text.kind === kind) ?? same[0];
    if (best) open.splice(open.indexOf(best), 1);
    return best;
  };
  for (const [kind, all] of [
    ['caption', truth.captions],
    ['field', truth.fields],
    ['option', truth.options ?? []],
  ] as const) {
    for (const wanted of all) {
      const text = take(wanted, kind);
      if (text?.kind === kind) kinds++;
      else fault(`“${wanted.text}” is ${text?.kind ?? 'missing'}, not ${kind}`);
      if (!text) continue;
      found++;
      if (Math.abs(text.height / wanted.height - 1) <= HEIGHT) heights++;
      else fault(`“${wanted.text}” is ${text.height} high, not ${wanted.height}`);
      if (!('parameter' in wanted)) continue;
      if (text.parameter === wanted.parameter) parameters++;
      else {
        fault(`“${wanted.text}” is ${text.parameter}, not ${String(wanted.parameter)}`);
        if (text.parameter !== null) parameters--;
      }
    }
  }
  for (const wanted of truth.emptyFields) {
    const there = report.texts.some(
      (text) => text.text === '' && text.parameter === wanted.parameter && text.cell === idOf[wanted.cell],
    );
    if (there) parameters++;
    else fault(`no empty field for ${wanted.parameter}`);
  }
  const tables = truth.tables.filter((wanted) =>
    report.tables.some(
      (each) => each.kind === wanted.kind && near(each, wanted) && each.columns.join('|') === wanted.columns.join('|'),
    ),
  ).length;
  if (tables < truth.tables.length || report.tables.length > tables) fault(`tables: ${JSON.stringify(report.tables)}`);
  const layers = truth.unrelatedLayers.filter((layer) => report.dropped.some((each) => each.layer === layer));
  for (const layer of truth.unrelatedLayers) if (!layers.includes(layer)) fault(`layer ${layer} was not dropped`);

  const options = truth.options?.length ?? 0;
  const parts = {
    sheet: share(
      sheetParts.reduce((sum, part) => sum + part, 0),
      sheetParts.length,
    ),
    cells,
    kinds: share(kinds, truth.captions.length + truth.fields.length + options),
    parameters: Math.max(0, share(parameters, truth.fields.length + options + truth.emptyFields.length)),
    heights: share(heights, found),
    tables: share(tables, Math.max(truth.tables.length, report.tables.length)),
    layers: share(layers.length, truth.unrelatedLayers.length),
  };
  const total = Object.values(parts).reduce((sum, part) => sum + part, 0) / Object.keys(parts).length;
  return { parts, total, faults };
}
