import { useEffect, useState } from 'react';
import Box from '@mui/material/Box';
import type { Item, PlacedView, Point, Rect, WorkingUnit } from '@mendrel/core';
import { lighterAddress } from '../../../paper/heavyPictures';
import { onPaper } from './lengthWords';
import type { Settled } from './placing';
import { INKS } from '../../../app/inks';

/** How much a view is tinted that shows a drawing, and one that is extents only. */
const SELECTED_TINT = { drawn: 0.06, empty: 0.14 };
const OTHER_TINT = { drawn: 0, empty: 0.05 };
/** What lies under a view that is dragged is not painted anew with every step. */
const OWN_LAYER = { willChange: 'transform' } as const;
/** A drag that is shorter is a click, in pixels. */
const LEAST_DRAG = 4;

interface Props {
  placed: PlacedView;
  /** What it shows; undefined where it is extents only. */
  piece: Item | undefined;
  paperHeight: number;
  selected: boolean;
  /** Size of a screen pixel in mm, so that the name stays legible at every zoom. */
  pixel: number;
  /** What its size is told in. */
  unit: WorkingUnit;
  /** @param add to those that are chosen already */
  onSelect: (add: boolean) => void;
  /** Where it would stand if it were let go; undefined for one that is locked. @param free at the very place */
  settle: ((rect: Rect, free: boolean) => Settled) | undefined;
  /** It was dragged and let go. */
  onDrop: (settled: Settled) => void;
}

/** Where a view would stand, as four lines: with a rectangle, all that lies in it would be painted anew with every step. */
function Target({ rect: { x, y, width, height }, over, pixel }: { rect: Rect; over: boolean; pixel: number }) {
  const [right, lower] = [x + width, y + height];
  const lines = [
    [x, y, right, y],
    [right, y, right, lower],
    [x, lower, right, lower],
    [x, y, x, lower],
  ] as const;
  return lines.map(([x1, y1, x2, y2], i) => (
    <line
      key={i}
      {...{ x1, y1, x2, y2 }}
      stroke={INKS.selected}
      strokeWidth={(over ? 2 : 1) * pixel}
      strokeDasharray={over ? 'none' : `${6 * pixel} ${4 * pixel}`}
    />
  ));
}

/** A placed view: chosen by a click, moved by dragging it, which Escape gives up. One without a drawing has its name, scale and size on it. */
export function PlacedViewMark({ placed, piece, paperHeight, selected, pixel, unit, onSelect, settle, onDrop }: Props) {
  // From where it is dragged, in pixels, how far it has come, in mm, and whether it has ever been far enough to be no click.
  const [drag, setDrag] = useState<{ from: Point; by: Point; far: boolean; free: boolean }>();
  const dragging = drag !== undefined;
  useEffect(() => {
    if (!dragging) return undefined;
    // The pointer is held down: the focus may be anywhere.
    const giveUp = ({ key }: KeyboardEvent): void => {
      if (key === 'Escape') setDrag(undefined);
    };
    window.addEventListener('keydown', giveUp);
    return () => window.removeEventListener('keydown', giveUp);
  }, [dragging]);
  const { x, width, height } = placed;
  const top = paperHeight - placed.y - height;
  const size = 12 * pixel;
  // What a view shows is to be seen; its name stands under it already.
  const tint = placed.view.drawing ? 'drawn' : 'empty';
  const far = drag?.far ?? false;
  const target =
    drag && far && settle ? settle({ x: x + drag.by.x, y: placed.y - drag.by.y, width, height }, drag.free) : undefined;
  const finish = (): void => {
    if (target) onDrop(target);
    setDrag(undefined);
  };
  return (
    <g
      data-handle
      data-view={placed.view.id}
      style={{ cursor: !settle ? 'default' : far ? 'grabbing' : 'grab' }}
      onPointerDown={(event) => {
        // With Shift a window is drawn.
        if (event.button !== 0 || event.shiftKey || !settle) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ from: { x: event.clientX, y: event.clientY }, by: { x: 0, y: 0 }, far: false, free: false });
      }}
      onPointerMove={(event) => {
        if (!drag) return;
        const by = { x: (event.clientX - drag.from.x) * pixel, y: (event.clientY - drag.from.y) * pixel };
        // With Alt it stands wherever it is let go.
        setDrag({ ...drag, by, far: far || Math.hypot(by.x, by.y) >= LEAST_DRAG * pixel, free: event.altKey });
      }}
      onPointerUp={finish}
      onPointerCancel={() => setDrag(undefined)}
      onClick={(event) => {
        // A click on the paper itself moves the chosen view there.
        event.stopPropagation();
        onSelect(event.ctrlKey || event.metaKey);
      }}
    >
      <Box
        component="rect"
        x={x}
        y={top}
        width={width}
        height={height}
        sx={{
          fill: INKS.selected,
          fillOpacity: selected ? SELECTED_TINT[tint] : OTHER_TINT[tint],
          stroke: INKS.selected,
          strokeWidth: selected ? 2 : 1,
          vectorEffect: 'non-scaling-stroke',
        }}
      />
      {tint === 'drawn' ? null : (
        <>
          <text
            x={x + size * 0.7}
            y={top + height - size * 2.1}
            fontSize={size}
            fontWeight={600}
            fill={INKS.selectedWords}
            fontFamily="Public Sans"
          >
            {placed.view.name}
          </text>
          <text
            x={x + size * 0.7}
            y={top + height - size * 0.7}
            fontSize={size}
            fill={INKS.selectedWords}
            fontFamily="Public Sans"
          >
            {placed.view.scale ?? 'not to scale'}, {onPaper(width, unit)} × {onPaper(height, unit)} {unit}
          </text>
        </>
      )}
      {target ? (
        <g pointerEvents="none">
          <Target
            rect={{ x: target.rect.x, y: paperHeight - target.rect.y - height, width, height }}
            over={target.over !== undefined}
            pixel={pixel}
          />
          {target.over === undefined ? null : (
            <text
              x={target.rect.x}
              y={paperHeight - target.rect.y - height - size * 0.5}
              fontSize={size}
              fontWeight={600}
              fill={INKS.selectedWords}
              fontFamily="Public Sans"
            >
              over {target.over}
            </text>
          )}
        </g>
      ) : null}
      {drag && far ? (
        <g transform={`translate(${drag.by.x} ${drag.by.y})`} style={OWN_LAYER}>
          <Box
            component="rect"
            x={x}
            y={top}
            width={width}
            height={height}
            sx={{
              fill: 'var(--mui-palette-office-sheet)',
              // The ground alone lets what lies under it show through: the linework would be painted twice for that.
              fillOpacity: 0.85,
              stroke: INKS.selected,
            }}
            // A width of the screen's would have its layer painted anew whenever it moves.
            strokeWidth={2 * pixel}
          />
          {piece?.kind === 'piece' ? (
            <image
              x={x}
              y={top}
              width={width}
              height={height}
              preserveAspectRatio="none"
              href={lighterAddress(piece)}
            />
          ) : null}
        </g>
      ) : null}
    </g>
  );
}
