import { drawSheet, SHEET_SIZES, sheetSources, starterDesign, STARTING_STANDARD } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypefaces } from '@mendrel/formats/typeface';
import { inTurns, report, wait } from './measure';

/** What the index of a large set may take to be read, solved and drawn, in ms. */
const ALLOWED = 50;

/** A cover that lists a thousand sheets: their values, the rows of the index, the sheet solved and drawn. */
export function benchIndex(): void {
  const count = 1000;
  const size = SHEET_SIZES.find(({ name }) => name === 'ISO A0')!;
  const cover = starterDesign('cover-sheet', 'Cover', 'mm', [size], STARTING_STANDARD);
  const typefaces = readTypefaces(shippedFontFiles());
  const sheets = Array.from({ length: count }, (_, i) => ({
    number: `A-${1000 + i}`,
    title: `Ground floor plan, part ${i}`,
    kind: 'plan' as const,
    size: size.name,
    values: {},
    views: [],
  }));
  // Room for all of them: eight blocks of low rows.
  const root = cover.panels[0]!.root;
  const children = root.division!.children.map((child) => ({
    ...child,
    cell: {
      ...child.cell,
      contents: child.cell.contents.map((each) =>
        each.kind === 'table' && each.table === 'index' ? { ...each, rowHeight: '2.6 mm', beside: 8 } : each,
      ),
    },
  }));
  const panel = { ...cover.panels[0]!, root: { ...root, division: { ...root.division!, children } } };
  const of = {
    design: { ...cover, panels: [panel] },
    standard: STARTING_STANDARD,
    office: {},
    project: { 'project.name': 'Ferry Terminal' },
    tables: {},
  };
  report(
    `A cover with an index of ${count} sheets, from their data to its drawing`,
    `the ${ALLOWED} ms it may take`,
    inTurns(
      () => void drawSheet(sheetSources(of, sheets)[0]!, typefaces),
      () => wait(ALLOWED),
      20,
    ),
  );
}
