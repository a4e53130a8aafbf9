import type { WorkingUnit } from '../quantity';
import type { Cell, Design, Division, Panel, Track } from '../design';
import { DESIGN_VERSION, NO_LINE } from '../design';
import type { Rect } from '../geometry';
import { around, contains } from '../geometry';
import { DEFAULT_PADDING } from '../layout';
import { formatLength, lengthAsFormula } from '../quantity';
import type { LetteringRole, OfficeStandard } from '../standard';
import { nearestHeight, roleFor, SHEET_SIZES, sheetExtent, standardMargins, USUAL_HEIGHTS } from '../standard';
import { patternFor } from '../table';
import type { BuiltDesign, FoundCell, GivenRole } from './builtDesign';
import type { ReadText } from './readText';
import { contentsOf } from './cellContents';
import type { Corrections } from './corrections';
import { SAME_HEIGHT } from './corrections';
import { dockOf, dockRank, panelName, remaining } from './docking';
import { oldPadding } from './oldPadding';
import type { LineUse } from './oldPens';
import type { Lengths } from './partition';
import { groupFaces, meant, partition, rectangles, tracksOf } from './partition';
import { withRepeatedLengths } from './repeatedLengths';
import type { FoundSheet } from './sheetSearch';
import { sameMargins } from './sheetSearch';
import type { FoundTable } from './tables';
import type { TextGroup, TextGroups } from './textGroups';
import { textGroups } from './textGroups';
import { ON_EDGE } from './tolerances';

/** Heights of roles that differ by less, in mm, are the same. */
const SAME_ROLE = 0.01;

/** The role for a text of a measured height: the height snaps to the office's series, the use decides among roles of it. */
export function roleOfHeight(
  kind: ReadText['kind'],
  height: number,
  system: FoundSheet['system'],
  standard: OfficeStandard,
): LetteringRole {
  const isInch = (role: LetteringRole): boolean => role.unit === 'in';
  const own = standard.roles.filter((role) => role.use !== 'zone' && isInch(role) === (system === 'inch'));
  const candidates = own.length > 0 ? own : standard.roles;
  const snapped = nearestHeight(
    height,
    candidates.map((role) => role.height),
  );
  const same = candidates.filter((role) => Math.abs(role.height - snapped) < SAME_ROLE);
  const order: LetteringRole['use'][] =
    kind === 'caption'
      ? ['caption', 'notes', 'value', 'title', 'number']
      : ['value', 'title', 'number', 'notes', 'caption'];
  same.sort((a, b) => order.indexOf(a.use) - order.indexOf(b.use));
  const role = same[0] ?? candidates[0];
  if (!role) throw new Error('the office standard has no lettering roles');
  return role;
}

/** The role that was set for texts of a height, where it is one of the office's; else the one that was found. */
function givenRole(
  found: LetteringRole,
  height: number,
  set: Corrections['roles'],
  { roles }: OfficeStandard,
): GivenRole {
  const to = set?.find((each) => each.from === found.id && Math.abs(each.height / height - 1) < SAME_HEIGHT)?.to;
  return { found, role: roles.find((each) => each.id === to) ?? found };
}

/** Turns what was found into a design whose solution for the same sheet is the old title block. */
export function buildDesign(
  name: string,
  sheet: FoundSheet,
  cells: readonly FoundCell[],
  tables: readonly FoundTable[],
  zones: boolean,
  pens: Readonly<Record<LineUse, string>>,
  standard: OfficeStandard,
  corrections: Pick<Corrections, 'roles' | 'asDrawn' | 'symbols'> = {},
): BuiltDesign {
  const unit = sheet.system === 'metric' ? 'mm' : 'in';
  const lengths: Lengths = { unit, asDrawn: corrections.asDrawn === true };
  const written = (measured: number): string => lengthAsFormula(meant(measured, lengths), unit);
  const built: Omit<BuiltDesign, 'design'> = { cellIds: new Map(), contentIds: new Map(), roles: new Map(), cut: [] };
  const counters = { cell: 0, content: 0, group: 0, table: 0 };
  const roleOf = (kind: ReadText['kind'], height: number): GivenRole =>
    givenRole(roleOfHeight(kind, height, sheet.system, standard), height, corrections.roles, standard);
  const how = { pen: pens.divider, asSymbols: corrections.symbols === true };
  const byFace = new Map(cells.map((cell) => [cell.face, cell]));
  const holding = (found: FoundCell): Cell => {
    const cell: Cell = { id: `cell-${++counters.cell}`, name: '', contents: [] };
    if (found.ground) cell.fill = found.ground;
    // A picture fills its cell: what stands beside it stays in one cell with it.
    const groups = found.linework.length === 0 ? textGroups(found.texts, found.face, DEFAULT_PADDING) : undefined;
    if (!groups) {
      cell.contents = contentsOf(found, sheet, roleOf, how, built, () => `content-${++counters.content}`);
      const padding = oldPadding(found, unit);
      if (padding !== undefined) cell.padding = written(padding);
    } else cell.division = withoutLines(groups, lengths, (part) => holding({ ...part, linework: [] }));
    return cell;
  };
  const byTable = new Map<Rect, FoundTable>(tables.map((table) => [table, table]));
  const make = (face: Rect): Cell => {
    const table = byTable.get(face);
    if (table) return tableCell(table, `table-cell-${++counters.table}`, unit, written, standard);
    const cell = holding(byFace.get(face) ?? { face, texts: [], linework: [] });
    built.cellIds.set(face, cell.id);
    return cell;
  };
  const nextId = (): string => `group-${++counters.group}`;

  // A table that fills up a block is one of its cells: a strip with a grid of revisions in it stays one strip.
  const blocks = groupFaces([...cells.map((cell) => cell.face), ...tables]).flatMap((group) => rectangles(group));
  const dimensions: Design['dimensions'] = [];
  const panels: Panel[] = [];
  let area = { ...sheet.frame };
  const placedBlocks = blocks
    .map((faces) => {
      const [only] = faces;
      return {
        faces,
        bounds: around(faces) ?? area,
        table: faces.length === 1 && only ? byTable.get(only) : undefined,
      };
    })
    .sort(
      (a, b) => dockRank(a.bounds, sheet.frame) - dockRank(b.bounds, sheet.frame) || size(b.bounds) - size(a.bounds),
    );

  for (const { bounds, faces, table } of placedBlocks) {
    const dock = dockOf(bounds, area);
    const number = panels.length + 1;
    const length = (key: 'width' | 'height'): string => written(bounds[key]);
    const needsWidth = dock !== 'top' && dock !== 'bottom';
    const needsHeight = dock !== 'left' && dock !== 'right';
    // The first panel's extents are dimensions, so that they can be changed, and set by size, in one place.
    const named = number === 1;
    const dimension = (key: 'width' | 'height', own: string): string => {
      if (!named) return length(key);
      dimensions.push({ name: own, formula: length(key) });
      return own;
    };
    const panel: Panel = {
      id: `panel-${number}`,
      name: panelName(dock, table),
      dock,
      outlinePen: pens.outline,
      dividerPen: pens.divider,
      root: partition(faces, make, nextId, lengths),
    };
    if (needsWidth) panel.width = dimension('width', needsHeight ? 'blockWidth' : 'strip');
    if (needsHeight) panel.height = dimension('height', needsWidth ? 'blockHeight' : 'strip');
    if (dock === 'floating') {
      panel.x = written(bounds.x - sheet.frame.x);
      panel.y = written(bounds.y - sheet.frame.y);
    }
    panels.push(panel);
    area = remaining(area, bounds, dock);
  }

  const margins = sheet.margins;
  const asStandard = sameMargins(margins, standardMargins(sheet.size, standard.frameRules));
  const edge = (key: keyof typeof margins): string => written(margins[key]);
  const design: Design = {
    format: 'mendrel-design',
    version: DESIGN_VERSION,
    name: name.slice(0, 120) || 'Converted title block',
    unit,
    sizes: sizesFor(sheet),
    dimensions,
    frame: {
      margins: asStandard
        ? 'standard'
        : { left: edge('left'), right: edge('right'), top: edge('top'), bottom: edge('bottom') },
      pen: pens.frame,
      trimLine: sheet.edgeDrawn,
      zones,
      centringMarks: false,
    },
    panels,
    modules: { columns: 4, rows: 3 },
  };
  return { design: withRepeatedLengths(design), ...built };
}

/** A division of a cell by its texts: there is no line between its parts. */
function withoutLines({ axis, parts }: TextGroups, lengths: Lengths, holding: (part: TextGroup) => Cell): Division {
  const along = axis === 'columns' ? 'width' : 'height';
  const tracks = tracksOf(
    parts.map((part) => part.face[along]),
    lengths,
  ).map((track, i): Track => (i < parts.length - 1 ? { ...track, line: NO_LINE } : track));
  const children = parts.map((part, i) => ({
    column: axis === 'columns' ? i : 0,
    row: axis === 'columns' ? 0 : i,
    columnSpan: 1,
    rowSpan: 1,
    cell: holding(part),
  }));
  return axis === 'columns'
    ? { columns: tracks, rows: [{ share: 1 }], children }
    : { columns: [{ share: 1 }], rows: tracks, children };
}

const size = (rect: Rect): number => rect.width * rect.height;

/** A block goes on sheets at least about half as wide as its own, and at least as wide as A3 in landscape is, nearly, in mm. */
const LEAST_SHARE = 0.49;
const LEAST_WIDTH = 380;

/** The sizes of the same series on which the sheet's kind of block has room: at least half as large each way. */
function sizesFor(sheet: FoundSheet): Design['sizes'] {
  const own = { size: sheet.size.name, orientation: sheet.orientation };
  // Of a size that no list has, those of the series of the one that it is nearest to.
  const series = SHEET_SIZES.find((each) => each.name === sheet.size.model)?.series ?? sheet.size.series;
  const others = SHEET_SIZES.filter((each) => {
    const extent = sheetExtent(each, sheet.orientation);
    return (
      each.series === series &&
      each !== sheet.size &&
      extent.width >= LEAST_SHARE * sheet.width &&
      extent.width >= LEAST_WIDTH
    );
  });
  return [own, ...others.map((each) => ({ size: each.name, orientation: sheet.orientation }))];
}

function tableCell(
  table: FoundTable,
  id: string,
  unit: WorkingUnit,
  written: (measured: number) => string,
  standard: OfficeStandard,
): Cell {
  return {
    id,
    name: '',
    contents: [
      {
        id: `${id}-content`,
        kind: 'table',
        horizontal: 'left',
        vertical: 'bottom',
        rotation: 0,
        table: table.kind,
        columns: table.columns.map(({ heading, width }) => ({
          heading,
          shows: patternFor(table.kind, heading),
          width: written(width),
        })),
        rowHeight: written(table.rowHeight),
        rows: table.rows,
        heading: table.heading,
        captionRole: roleFor(standard, 'caption', unit).id,
        // Rows are set as small as notes are.
        valueRole: roleFor(standard, 'value', unit, USUAL_HEIGHTS.notes).id,
      },
    ],
  };
}

/** The cell of a list that holds a point. */
export function cellAt<T extends { face: Rect }>(cells: readonly T[], point: { x: number; y: number }): T | undefined {
  return cells.find((cell) => contains(cell.face, point, ON_EDGE));
}

/** A length in words for a report, in the drawing's own system. */
export const inWords = (mm: number, system: FoundSheet['system']): string =>
  formatLength(mm, system === 'metric' ? 'mm' : 'in', true);
