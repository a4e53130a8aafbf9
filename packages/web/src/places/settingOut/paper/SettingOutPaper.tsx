import { useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import type { Design, Rect } from '@mendrel/core';
import { contains, findCell, moduleGrid } from '@mendrel/core';
import { ModuleGridLines } from '../../../paper/ModuleGridLines';
import type { OverlayView } from '../../../paper/Paper';
import { Paper } from '../../../paper/Paper';
import { unpackImages } from '../../../paper/unpackedImages';
import type { Good } from '../../../paper/useSolved';
import type { WorkedDivision } from './dividers';
import { trackOf } from './dividers';
import { Locator } from './Locator';
import { marksOf, selectedOf, spillGrounds } from './marks';
import { PaperMarks } from './PaperMarks';
import type { DividerMove } from './TrackEdge';
import { TrackEdge } from './TrackEdge';

interface Props {
  design: Design;
  solved: Good;
  selection: readonly string[];
  divisions: readonly WorkedDivision[];
  /** What stands for the sheet while a divider is dragged. */
  dragged: ((view: OverlayView) => ReactNode) | undefined;
  onPick: (cell: string | undefined, add: boolean) => void;
  onWindow: (cells: string[]) => void;
  countsFor: (division: WorkedDivision, index: number) => string;
  onType: (division: WorkedDivision, index: number, text: string) => string | undefined;
  onDrag: (division: WorkedDivision, index: number, by: DividerMove) => void;
  onDrop: () => void;
  onCancel: () => void;
}

const viewsOf = (
  panel: Rect | undefined,
  block: Rect | undefined,
  cell: Rect | undefined,
): { name: string; rect: Rect }[] => [
  ...(panel ? [{ name: 'Panel', rect: wholly(panel) }] : []),
  ...(block ? [{ name: 'Around', rect: block }] : []),
  ...(cell ? [{ name: 'Cell', rect: grown(cell) }] : []),
];

/** The close-up is at least this wide and high on paper, in mm, so that small cells keep their surroundings. */
const LEAST_CLOSE_UP = 60;

function grown(rect: Rect): Rect {
  const width = Math.max(rect.width * 1.25, LEAST_CLOSE_UP);
  const height = Math.max(rect.height * 1.2, LEAST_CLOSE_UP);
  return { x: rect.x + rect.width / 2 - width / 2, y: rect.y + rect.height / 2 - height / 2, width, height };
}

/** Room at the left of a panel that fills the window across, as a share of its width: there the sizes of its rows stand. */
const SIZES = 0.14;

/** A whole panel with a little of what is around it. */
function wholly({ x, y, width, height }: Rect): Rect {
  const around = Math.max(width, height) * 0.03;
  const left = around + SIZES * width;
  return { x: x - left, y: y - around, width: width + left + around, height: height + 2 * around };
}

/** The paper of setting-out: cells to pick, the selected ones marked, sizes and dividers of the division worked on. */
export function SettingOutPaper({
  design,
  solved,
  selection,
  divisions,
  dragged,
  onPick,
  onWindow,
  countsFor,
  onType,
  onDrag,
  onDrop,
  onCancel,
}: Props) {
  const { layout, drawing } = solved;
  const [span, setSpan] = useState<'sheet' | 'around' | 'cell'>('around');
  const selected = selection.at(-1);
  const cell = selectedOf(layout, selection).find((each) => each.id === selected);
  const place = selected ? findCell(design, selected) : undefined;
  const panel = layout.panels.find((each) => each.id === place?.panel.id);
  const sheet = { x: 0, y: 0, width: drawing.width, height: drawing.height };
  const block = panel && blockRect(panel, cell, divisions[0]?.rect);
  const wanted = span === 'sheet' || !cell ? sheet : span === 'cell' ? grown(cell) : (block ?? sheet);
  // The paper stays where it is while cells grow and shrink; it moves for another cell, another size, another span. While
  // several are being selected it stays too, so that the next one is where it was seen.
  const key = `${selection.length > 1 ? 'several' : selected}|${solved.size}|${span}`;
  const panels = design.panels.length;
  const [kept, setKept] = useState({ key, target: wanted, panels });
  if (kept.key !== key) {
    // Where a new panel came to stand shows on the sheet, not on the panel alone.
    const target = selection.length > 1 ? kept.target : panels > kept.panels ? sheet : wanted;
    setKept({ key, target, panels });
  } else if (kept.panels !== panels) setKept({ ...kept, panels });
  const { target } = kept;
  const views = viewsOf(panel, block, cell);
  const marks = marksOf(layout, design.unit, selection);
  useEffect(() => unpackImages(drawing), [drawing]);

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
      views={views}
      covered={dragged !== undefined}
      onPick={pick}
      onWindow={(window) => onWindow(within(window))}
      onKeyDown={(event) => {
        if (event.target !== event.currentTarget || (event.key !== ' ' && event.key !== 'z') || event.ctrlKey) return;
        event.preventDefault();
        setSpan(span === 'sheet' ? 'around' : span === 'around' ? 'cell' : 'sheet');
      }}
      under={
        dragged ? null : (
          <>
            {selection.length === 0 ? (
              <ModuleGridLines
                grid={moduleGrid(layout.drawingArea, design.modules, layout.claimed, layout.sheet.name)}
                paperHeight={drawing.height}
              />
            ) : null}
            <PaperMarks marks={spillGrounds(marks, 'var(--mui-palette-office-sheet)')} paperHeight={drawing.height} />
          </>
        )
      }
      over={() => <PaperMarks marks={marks} paperHeight={drawing.height} />}
      overlay={(view) => (
        <>
          <Locator drawing={drawing} view={view} />
          {dragged?.(view)}
          {divisions.map((division) => (
            <TrackEdge
              key={division.axis}
              division={division}
              view={view}
              unit={design.unit}
              selectedTrack={cell ? trackOf(division, cell) : undefined}
              covered={dragged !== undefined}
              countsFor={(index) => countsFor(division, index)}
              onType={(index, text) => onType(division, index, text)}
              onDrag={(index, by) => onDrag(division, index, by)}
              onDrop={onDrop}
              onCancel={onCancel}
            />
          ))}
        </>
      )}
    />
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
