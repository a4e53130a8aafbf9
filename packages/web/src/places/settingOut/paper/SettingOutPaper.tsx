import { useState } from 'react';
import type { Design, Rect, SheetLayout } from '@mendrel/core';
import { contains, findCell } from '@mendrel/core';
import { Paper } from '../../../paper/Paper';
import type { Good } from '../useSolved';
import type { Snapping, WorkedDivision } from './dividers';
import { Locator } from './Locator';
import { Spills } from './Spills';
import { TrackEdge } from './TrackEdge';

interface Props {
  design: Design;
  solved: Good;
  /** Whether this is how the design stands, not a drag in progress. */
  settled: boolean;
  selection: readonly string[];
  divisions: readonly WorkedDivision[];
  onPick: (cell: string | undefined, add: boolean) => void;
  onWindow: (cells: string[]) => void;
  countsFor: (division: WorkedDivision, index: number) => string;
  onType: (division: WorkedDivision, index: number, text: string) => string | undefined;
  onDrag: (division: WorkedDivision, index: number, deltaMm: number, snapping: Snapping) => void;
  onDrop: () => void;
  onCancel: () => void;
}

const viewsOf = (block: Rect | undefined, cell: Rect | undefined): { name: string; rect: Rect }[] => [
  ...(block ? [{ name: 'Panel', rect: block }] : []),
  ...(cell ? [{ name: 'Cell', rect: grown(cell) }] : []),
];

/** The close-up is at least this wide and high on paper, in mm, so that small cells keep their surroundings. */
const LEAST_CLOSE_UP = 60;

function grown(rect: Rect): Rect {
  const width = Math.max(rect.width * 1.25, LEAST_CLOSE_UP);
  const height = Math.max(rect.height * 1.2, LEAST_CLOSE_UP);
  return { x: rect.x + rect.width / 2 - width / 2, y: rect.y + rect.height / 2 - height / 2, width, height };
}

/** The paper of setting-out: cells to pick, the selected ones marked, sizes and dividers of the division worked on. */
export function SettingOutPaper({
  design,
  solved,
  settled,
  selection,
  divisions,
  onPick,
  onWindow,
  countsFor,
  onType,
  onDrag,
  onDrop,
  onCancel,
}: Props) {
  const { layout, drawing } = solved;
  const [span, setSpan] = useState<'sheet' | 'panel' | 'cell'>('panel');
  const selected = selection.at(-1);
  const cells = layout.cells.filter((each) => selection.includes(each.id) && !layout.hidden.has(each.id));
  const cell = cells.find((each) => each.id === selected);
  const place = selected ? findCell(design, selected) : undefined;
  const panel = layout.panels.find((each) => each.id === place?.panel.id);
  const sheet = { x: 0, y: 0, width: drawing.width, height: drawing.height };
  const block = panel && blockRect(panel, cell, divisions[0]?.rect);
  const wanted = span === 'sheet' || !cell ? sheet : span === 'cell' ? grown(cell) : (block ?? sheet);
  // The paper stays where it is while cells grow and shrink; it moves for another cell, another size, another span. While
  // several are being selected it stays too, so that the next one is where it was seen.
  const key = `${selection.length > 1 ? 'several' : selected}|${solved.size}|${span}`;
  const [kept, setKept] = useState({ key, target: wanted });
  if (kept.key !== key) setKept({ key, target: selection.length > 1 ? kept.target : wanted });
  const { target } = kept;
  // The locator's picture and the parts to go to wait for the drop.
  const [calm, setCalm] = useState({ drawing, selected, views: viewsOf(block, cell) });
  if (settled && (calm.drawing !== drawing || calm.selected !== selected))
    setCalm({ drawing, selected, views: viewsOf(block, cell) });

  const shown = layout.cells.filter((each) => !layout.hidden.has(each.id));
  const pick = (point: { x: number; y: number }, add: boolean): void => {
    const deepest = shown
      .filter((each) => contains(each, point))
      .reduce<(typeof shown)[number] | undefined>(
        (best, each) => (!best || each.depth > best.depth ? each : best),
        undefined,
      );
    if (deepest || !add) onPick(deepest?.id, add);
  };
  const within = (window: Rect): string[] =>
    shown
      .filter(
        (each) =>
          !each.divided &&
          each.x >= window.x &&
          each.y >= window.y &&
          each.x + each.width <= window.x + window.width &&
          each.y + each.height <= window.y + window.height,
      )
      .map((each) => each.id);

  return (
    <Paper
      drawing={drawing}
      unit={design.unit}
      label={`${design.name} on ${layout.sheet.name}`}
      target={target}
      views={calm.views}
      onPick={pick}
      onWindow={(window) => onWindow(within(window))}
      onKeyDown={(event) => {
        if (event.target !== event.currentTarget || (event.key !== ' ' && event.key !== 'z') || event.ctrlKey) return;
        event.preventDefault();
        setSpan(span === 'sheet' ? 'panel' : span === 'panel' ? 'cell' : 'sheet');
      }}
      over={() => (
        <>
          <AreaNote layout={layout} paperHeight={drawing.height} unit={design.unit} />
          {cells.map((each) => (
            <rect
              key={each.id}
              x={each.x}
              y={drawing.height - each.y - each.height}
              width={each.width}
              height={each.height}
              fill="#0f6f67"
              fillOpacity={0.1}
              stroke="#0f6f67"
              strokeWidth={2}
              vectorEffect="non-scaling-stroke"
              pointerEvents="none"
            />
          ))}
          <Spills layout={layout} paperHeight={drawing.height} />
        </>
      )}
      overlay={(view) => (
        <>
          <Locator drawing={calm.drawing} view={view} />
          {divisions.map((division) => (
            <TrackEdge
              key={division.axis}
              division={division}
              view={view}
              unit={design.unit}
              selectedTrack={cell ? trackOf(division, cell) : undefined}
              countsFor={(index) => countsFor(division, index)}
              onType={(index, text) => onType(division, index, text)}
              onDrag={(index, delta, snapping) => onDrag(division, index, delta, snapping)}
              onDrop={onDrop}
              onCancel={onCancel}
            />
          ))}
        </>
      )}
    />
  );
}

/** The drawing area with its size, where it is large enough on screen to be read. */
function AreaNote({ layout, paperHeight, unit }: { layout: SheetLayout; paperHeight: number; unit: 'mm' | 'in' }) {
  const { x, y, width, height } = layout.drawingArea;
  const inUnit = (mm: number): string => (unit === 'mm' ? String(Math.round(mm * 100) / 100) : (mm / 25.4).toFixed(3));
  const size = Math.min(width, height) / 26;
  return (
    <text
      x={x + width / 2}
      y={paperHeight - y - size}
      fontSize={size}
      textAnchor="middle"
      fill="#7c8886"
      fontFamily="Public Sans"
      pointerEvents="none"
    >
      Drawing area {inUnit(width)} × {inUnit(height)} {unit}
    </text>
  );
}

/** What to show of a panel: all of a block, but of a long strip only the part around the division worked on. */
function blockRect(panel: Rect, cell: Rect | undefined, worked: Rect | undefined): Rect {
  const aspect = panel.height / panel.width;
  const focus = worked ?? cell ?? panel;
  if (aspect > 2.2 && cell) {
    const height = Math.min(panel.height * 1.04, Math.max(panel.width * 1.9, cell.height * 1.3));
    const middle = Math.max(
      panel.y + height / 2 - panel.width * 0.08,
      Math.min(panel.y + panel.height - height / 2, cell.y + cell.height / 2),
    );
    return { x: panel.x - panel.width * 0.25, y: middle - height / 2, width: panel.width * 1.4, height };
  }
  if (aspect < 0.3 && cell) {
    const width = Math.min(panel.width * 1.04, Math.max(panel.height * 4, cell.width * 1.3));
    const middle = Math.max(
      panel.x + width / 2,
      Math.min(panel.x + panel.width - width / 2, focus.x + focus.width / 2),
    );
    return { x: middle - width / 2, y: panel.y - panel.height * 0.4, width, height: panel.height * 1.8 };
  }
  return {
    x: panel.x - panel.width * 0.12,
    y: panel.y - panel.height * 0.1,
    width: panel.width * 1.2,
    height: panel.height * 1.25,
  };
}

/** Which track of a division a cell stands in. */
function trackOf(division: WorkedDivision, cell: Rect): number | undefined {
  const middle = division.axis === 'rows' ? cell.y + cell.height / 2 : cell.x + cell.width / 2;
  const index = division.limits.findIndex((limit, i) => {
    const next = division.limits[i + 1];
    return next !== undefined && (middle - limit) * (middle - next) < 0;
  });
  const same = division.cell.division?.children.some(
    (child) => (division.axis === 'rows' ? child.row : child.column) === index,
  );
  return index >= 0 && same && cell !== division.rect ? index : undefined;
}
