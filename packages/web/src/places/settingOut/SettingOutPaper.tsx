import { useState } from 'react';
import Box from '@mui/material/Box';
import type { Design, Rect, SheetLayout } from '@mendrel/core';
import { contains, findCell } from '@mendrel/core';
import { Paper } from '../../paper/Paper';
import { useAppSelector } from '../../app/store';
import type { WorkedDivision } from './dividers';
import { Locator } from './Locator';
import { TrackEdge } from './TrackEdge';
import type { Solved } from './useSolved';

interface Props {
  design: Design;
  solved: Extract<Solved, { problem?: undefined }>;
  selected: string | undefined;
  division: WorkedDivision | undefined;
  onSelect: (cell: string) => void;
  onType: (index: number, text: string) => string | undefined;
  onDrag: (index: number, deltaMm: number) => void;
  onDrop: (moved: Design | undefined) => void;
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

/** The paper of setting-out: cells to pick, the selected one marked, sizes and dividers of the division worked on. */
export function SettingOutPaper({
  design,
  solved,
  selected,
  division,
  onSelect,
  onType,
  onDrag,
  onDrop,
  onCancel,
}: Props) {
  const { layout, drawing } = solved;
  const { preview } = useAppSelector((root) => root.settingOut);
  const [span, setSpan] = useState<'sheet' | 'panel' | 'cell'>('panel');
  const cell = layout.cells.find((each) => each.id === selected);
  const place = selected ? findCell(design, selected) : undefined;
  const panel = layout.panels.find((each) => each.id === place?.panel.id);
  const sheet = { x: 0, y: 0, width: drawing.width, height: drawing.height };
  const block = panel && blockRect(panel, cell, division?.rect);
  const wanted = span === 'sheet' || !cell ? sheet : span === 'cell' ? grown(cell) : (block ?? sheet);
  // The paper stays where it is while cells grow and shrink; it moves for another cell, another size, another span.
  const key = `${selected}|${solved.size}|${span}`;
  const [kept, setKept] = useState({ key, target: wanted });
  if (kept.key !== key) setKept({ key, target: wanted });
  const { target } = kept;
  // The locator's picture and the parts to go to wait for the drop.
  const [settled, setSettled] = useState({ drawing, selected, views: viewsOf(block, cell) });
  if (!preview && (settled.drawing !== drawing || settled.selected !== selected))
    setSettled({ drawing, selected, views: viewsOf(block, cell) });

  const pick = (point: { x: number; y: number }): void => {
    const inside = layout.cells.filter((each) => contains(each, point));
    const deepest = inside.reduce<(typeof inside)[number] | undefined>(
      (best, each) => (!best || each.depth > best.depth ? each : best),
      undefined,
    );
    if (deepest) onSelect(deepest.id);
  };
  const selectedTrack = division && cell ? trackOf(division, cell) : undefined;

  return (
    <Paper
      drawing={drawing}
      unit={design.unit}
      label={`${design.name} on ${layout.sheet.name}`}
      target={target}
      views={settled.views}
      onPick={pick}
      onKeyDown={(event) => {
        if (event.target !== event.currentTarget || (event.key !== ' ' && event.key !== 'z') || event.ctrlKey) return;
        event.preventDefault();
        setSpan(span === 'sheet' ? 'panel' : span === 'panel' ? 'cell' : 'sheet');
      }}
      over={() => (
        <>
          {cell ? (
            <Box
              component="rect"
              x={cell.x}
              y={drawing.height - cell.y - cell.height}
              width={cell.width}
              height={cell.height}
              sx={{
                fill: '#0f6f67',
                fillOpacity: 0.1,
                stroke: '#0f6f67',
                strokeWidth: 2,
                vectorEffect: 'non-scaling-stroke',
                pointerEvents: 'none',
              }}
            />
          ) : null}
          <Spills layout={layout} paperHeight={drawing.height} />
        </>
      )}
      overlay={(view) => (
        <>
          <Locator drawing={settled.drawing} view={view} />
          {division ? (
            <TrackEdge
              division={division}
              view={view}
              unit={design.unit}
              selectedTrack={selectedTrack}
              onType={onType}
              onDrag={onDrag}
              onDrop={() => onDrop(preview)}
              onCancel={onCancel}
            />
          ) : null}
        </>
      )}
    />
  );
}

/** Marks texts that spill: an outline in the colour of conflicts, a triangle, and by how much. */
function Spills({ layout, paperHeight }: { layout: SheetLayout; paperHeight: number }) {
  return layout.texts
    .filter((text) => text.fit === 'spills')
    .map((text) => {
      const first = text.lines[0] ?? text;
      const upright = text.rotation % 180 === 0;
      const block = Math.abs(upright ? first.y - text.y : first.x - text.x) + text.height;
      const turn = `rotate(${-text.rotation} ${text.x} ${paperHeight - text.y})`;
      return (
        <g key={text.content} transform={turn} pointerEvents="none">
          <rect
            x={text.x - 0.6}
            y={paperHeight - text.y - block - 0.6}
            width={text.width + 1.2}
            height={block + 1.2 + text.height * 0.3}
            fill="#b3402a"
            fillOpacity="0.08"
            stroke="#b3402a"
            strokeDasharray="5 3"
            strokeWidth="1.5"
            vectorEffect="non-scaling-stroke"
          />
          <text
            x={text.x + text.width + 1.4}
            y={paperHeight - text.y}
            fontSize="3"
            fill="#b3402a"
            fontFamily="Public Sans"
          >
            ▲ {text.by.toFixed(1)} mm
          </text>
        </g>
      );
    });
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
