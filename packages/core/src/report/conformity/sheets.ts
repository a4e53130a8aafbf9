import { cellsOf } from '../../design';
import type { SheetLayout } from '../../layout';
import { formatLength } from '../../quantity';
import { ISO_HEIGHTS, LINE_WIDTHS, penOf, roleOf } from '../../standard';
import type { ConformityLine, Inspected } from './line';
import { CLOSE, verdictOf } from './line';

/** Margins of ISO 5457 in mm (from memory): the binding edge on the left, the others. */
const [BINDING, MARGIN] = [20, 10];
/** Width of the frame's line in ISO 5457 in mm (from memory). */
const FRAME_LINE = 0.7;
/** Width of a title block in ISO 7200 in mm (from memory). */
const BLOCK_WIDTH = 180;
/** Widths of the space for text in ISO 9431 in mm (from memory). */
const TEXT_SPACE = { least: 100, most: 170 };
/** Least height of lettering in the US National CAD Standard in mm: 3/32 in (from memory). */
const LEAST_HEIGHT = (3 / 32) * 25.4;

const isIso = ({ sheet }: SheetLayout): boolean => /^ISO A\d/.test(sheet.name);
/** Names of the sizes on which something does not hold. */
const sizesOf = (layouts: readonly SheetLayout[]): string => layouts.map(({ sheet }) => sheet.name).join(', ');

/** What holds on every size, or the sizes on which it does not; nothing applies without a size. */
function onSizes(
  layouts: readonly SheetLayout[],
  holds: (layout: SheetLayout) => boolean,
): { verdict: ConformityLine['verdict']; found: string } {
  if (layouts.length === 0) return { verdict: 'does not apply', found: 'no sheets of these sizes' };
  const wrong = layouts.filter((layout) => !holds(layout));
  return {
    verdict: verdictOf(wrong.length === 0),
    found: wrong.length === 0 ? 'on every size' : `not on ${sizesOf(wrong)}`,
  };
}

/** ISO 5457 (from memory): margins, frame, marks, and where the title block stands. */
export function frameLines({ design, standard, layouts }: Inspected): ConformityLine[] {
  const iso = layouts.filter(isIso);
  const line = (
    rule: string,
    needed: string,
    holds: (layout: SheetLayout) => boolean,
    cells: readonly string[] = [],
  ): ConformityLine => ({ standard: 'ISO 5457', rule, needed, cells, ...onSizes(iso, holds) });
  const close = (a: number, b: number): boolean => Math.abs(a - b) < CLOSE;
  const numbered = [...cellsOf(design)].find(({ cell }) =>
    cell.contents.some((content) => content.kind === 'field' && content.pattern.includes('{sheet.number')),
  );
  return [
    line(
      'margins',
      `${BINDING} mm on the left, ${MARGIN} mm on the other edges`,
      ({ margins: { left, right, top, bottom } }) =>
        close(left, BINDING) && [right, top, bottom].every((each) => close(each, MARGIN)),
    ),
    line('line of the frame', `${FRAME_LINE} mm`, () =>
      close(penOf(standard, design.frame.pen)?.width ?? 0, FRAME_LINE),
    ),
    line('zones', 'a grid of letters and numbers', ({ zones }) => zones !== undefined),
    line(
      'place of the title block',
      'at the lower right of the drawing space',
      ({ panels, frame }) => {
        const panel = panels.find(({ id }) => id === numbered?.panel.id);
        return panel !== undefined && close(panel.x + panel.width, frame.x + frame.width) && close(panel.y, frame.y);
      },
      numbered ? [numbered.cell.id] : [],
    ),
  ];
}

/** Widths: of a block in a corner by ISO 7200, of a strip at the right by ISO 9431 (both from memory). */
export function widthLines({ layouts, design }: Inspected): ConformityLine[] {
  const corner = design.panels.filter(({ dock }) => dock.startsWith('lower-') || dock.startsWith('upper-'));
  const right = design.panels.filter(({ dock }) => dock === 'right');
  const widest = (panels: typeof corner): { width: number; size: string } | undefined => {
    let most: { width: number; size: string } | undefined;
    for (const { panels: placed, sheet } of layouts) {
      for (const { id, width } of placed) {
        if (panels.some((each) => each.id === id) && (!most || width > most.width)) most = { width, size: sheet.name };
      }
    }
    return most;
  };
  const widths = (panels: typeof corner): number[] =>
    layouts.flatMap(({ panels: placed }) =>
      placed.filter(({ id }) => panels.some((each) => each.id === id)).map(({ width }) => width),
    );
  const block = widest(corner);
  const strip = widest(right);
  const inUnit = (mm: number): string => formatLength(mm, design.unit, true);
  return [
    {
      standard: 'ISO 7200',
      rule: 'width of the title block',
      found: block ? `${inUnit(block.width)} on ${block.size}` : 'no block in a corner',
      needed: `at most ${BLOCK_WIDTH} mm`,
      verdict: verdictOf(block && block.width <= BLOCK_WIDTH + CLOSE),
      cells: corner.map(({ root }) => root.id),
    },
    {
      standard: 'ISO 9431',
      rule: 'width of the space for text',
      found: strip ? `${inUnit(strip.width)} on ${strip.size}` : 'no strip at the right',
      needed: `${TEXT_SPACE.least} to ${TEXT_SPACE.most} mm, or as wide as the title block`,
      verdict: verdictOf(
        strip &&
          widths(right).every(
            (width) =>
              (width >= TEXT_SPACE.least - CLOSE && width <= TEXT_SPACE.most + CLOSE) ||
              Math.abs(width - (block?.width ?? BLOCK_WIDTH)) < CLOSE,
          ),
      ),
      cells: right.map(({ root }) => root.id),
    },
  ];
}

/** Heights of lettering by ISO 3098 and the US National CAD Standard, line widths by ISO 128 (all from memory). */
export function letteringLines({ design, standard, layouts }: Inspected): ConformityLine[] {
  const texts = layouts.flatMap(({ texts: placed, sheet }) => placed.map((text) => ({ ...text, size: sheet.name })));
  const nominal = (mm: number): boolean => ISO_HEIGHTS.some((each) => Math.abs(each - mm) < CLOSE);
  const metric = design.unit === 'mm' && texts.length > 0;
  const odd = metric ? texts.filter(({ height }) => !nominal(height)) : [];
  const oddHeights = [...new Set(odd.map(({ height }) => formatLength(height, 'mm', true)))];
  const inches = design.unit === 'in' && texts.length > 0;
  const small = inches ? texts.filter(({ height }) => height < LEAST_HEIGHT - 0.01) : [];
  const least = Math.min(...texts.map(({ height }) => height));
  const pens = [...new Set(design.panels.flatMap(({ outlinePen, dividerPen }) => [outlinePen, dividerPen]))];
  const widths = [...pens, design.frame.pen, ...texts.map(({ role }) => roleOf(standard, role)?.pen ?? '')]
    .map((pen) => penOf(standard, pen)?.width)
    .filter((width) => width !== undefined);
  const oddWidths = [...new Set(widths)].filter((width) => !LINE_WIDTHS.some((each) => Math.abs(each - width) < 0.005));
  const cellsOfTexts = (list: typeof texts): string[] => [...new Set(list.map(({ cell }) => cell))];
  return [
    {
      standard: 'ISO 3098',
      rule: 'heights of lettering',
      found: metric ? (odd.length === 0 ? 'nominal heights alone' : oddHeights.join(', ')) : 'lettering in inches',
      needed: `${ISO_HEIGHTS.join(', ')} mm`,
      verdict: verdictOf(metric ? odd.length === 0 : undefined),
      cells: cellsOfTexts(odd),
    },
    {
      standard: 'US National CAD Standard',
      rule: 'least height of lettering',
      found: inches ? formatLength(least, 'in', true) : 'a design in millimetres',
      needed: '3/32 in',
      verdict: verdictOf(inches ? small.length === 0 : undefined),
      cells: cellsOfTexts(small),
    },
    {
      standard: 'ISO 128',
      rule: 'widths of lines',
      found: oddWidths.length === 0 ? 'widths of the series alone' : oddWidths.map((width) => `${width} mm`).join(', '),
      needed: `${LINE_WIDTHS.join(', ')} mm`,
      verdict: verdictOf(oddWidths.length === 0),
      cells: [],
    },
  ];
}
