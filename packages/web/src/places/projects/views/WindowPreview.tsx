import { useState } from 'react';
import Box from '@mui/material/Box';
import { wholePiece } from '@mendrel/contract';
import type { LetteringOfViews } from '@mendrel/core';
import { counted, outlineRing } from '@mendrel/core';
import { pieceAddress } from '../../../app/assetAddress';
import { INKS } from '../../../app/inks';
import type { WindowDrag } from '../../../paper/WindowSelection';
import { windowRect } from '../../../paper/WindowSelection';
import type { Chosen } from './chosenWindow';
import { shapeOf, squareOf, withCorners, withWindow } from './windowShape';

/** A drag that is shorter is a click. */
const LEAST_DRAG = 5;
/** A click that is nearer to the first corner is on it, in pixels. */
const CLOSES = 8;

interface Props {
  chosen: Chosen;
  lettering: LetteringOfViews;
  onChange: (chosen: Chosen) => void;
}

/** A part of a drawing with the window that a view shows of it; a new window is drawn with the pointer. */
export function WindowPreview({ chosen, lettering, onChange }: Props) {
  const [drag, setDrag] = useState<WindowDrag>();
  // Corners that have been clicked since the first; they enclose something from the third on.
  const [corners, setCorners] = useState<readonly number[]>([]);
  const { space, hidden, window } = chosen;
  const shape = shapeOf(chosen);
  // Other corners, typed or of another shape, are not gone on with.
  if (corners.length > 0 && shape !== 'corners') setCorners([]);
  const look = wholePiece(space, lettering, hidden);
  const { width, height, perUnit: scale } = look;
  const box = { ...look.from, width: width / scale, height: height / scale };
  const shown = drag
    ? windowRect(drag)
    : {
        x: (window.x - box.x) * scale,
        y: (box.y + box.height - window.y - window.height) * scale,
        width: window.width * scale,
        height: window.height * scale,
      };
  const across = (x: number): number => (x - box.x) * scale;
  const down = (y: number): number => (box.y + box.height - y) * scale;
  const dragged = `M${shown.x} ${shown.y}v${shown.height}h${shown.width}v${-shown.height}Z`;
  const ring = drag || chosen.outline === undefined ? undefined : outlineRing(window, chosen.outline);
  const inner = ring
    ? `M${pairsOf(ring)
        .map(([x, y]) => `${across(x).toFixed(1)} ${down(y).toFixed(1)}`)
        .join('L')}Z`
    : dragged;
  const at = (event: React.PointerEvent): { x: number; y: number } => {
    const around = event.currentTarget.getBoundingClientRect();
    return {
      x: Math.min(width, Math.max(0, event.clientX - around.left)),
      y: Math.min(height, Math.max(0, event.clientY - around.top)),
    };
  };
  const finish = (): void => {
    if (!drag) return;
    const rect = windowRect(drag);
    setDrag(undefined);
    if (Math.min(rect.width, rect.height) < LEAST_DRAG) return;
    const drawn = {
      x: box.x + rect.x / scale,
      y: box.y + box.height - (rect.y + rect.height) / scale,
      width: rect.width / scale,
      height: rect.height / scale,
    };
    onChange(withWindow(chosen, shape === 'circle' ? squareOf(drawn) : drawn));
  };
  return (
    <Box
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.preventDefault();
        if (shape === 'corners') {
          const point = at(event);
          const [firstX, firstY] = corners;
          const onFirst =
            firstX !== undefined &&
            firstY !== undefined &&
            Math.hypot(across(firstX) - point.x, down(firstY) - point.y) < CLOSES;
          // A click on the first corner closes the outline; the next one begins another.
          if (onFirst) {
            setCorners([]);
            return;
          }
          const next = [...corners, box.x + point.x / scale, box.y + box.height - point.y / scale];
          setCorners(next);
          const cornered = withCorners(chosen, next);
          if (cornered) onChange(cornered);
          return;
        }
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ from: at(event), to: at(event) });
      }}
      onPointerMove={(event) => {
        if (drag) setDrag({ ...drag, to: at(event) });
      }}
      onPointerUp={finish}
      onPointerCancel={() => setDrag(undefined)}
      style={{ width, height }}
      sx={{
        position: 'relative',
        flex: 'none',
        bgcolor: 'office.sheet',
        boxShadow: '0 0 0 1px rgba(0,0,0,0.18)',
        cursor: 'crosshair',
        touchAction: 'none',
      }}
    >
      <Box
        component="img"
        alt={`${nameWords(chosen)}, ${counted(space.items, 'piece')}`}
        src={pieceAddress({ ...look, linework: space.linework })}
        draggable={false}
        sx={{ display: 'block', width: 1, height: 1, pointerEvents: 'none' }}
      />
      <svg width={width} height={height} style={{ position: 'absolute', inset: 0 }} aria-hidden>
        <path
          d={`M0 0H${width}V${height}H0Z${inner}`}
          fillRule="evenodd"
          fill="var(--mui-palette-office-sheet)"
          fillOpacity={0.72}
        />
        <path d={inner} fill="none" stroke={INKS.selected} strokeWidth={1.5} />
        {pairsOf(corners).map(([x, y], i) => (
          <circle key={i} cx={across(x)} cy={down(y)} r={3} fill={INKS.selected} />
        ))}
      </svg>
    </Box>
  );
}

const pairsOf = (ring: readonly number[]): [number, number][] =>
  Array.from({ length: Math.floor(ring.length / 2) }, (_, i) => [ring[2 * i] ?? 0, ring[2 * i + 1] ?? 0]);

const nameWords = ({ drawing, space }: Chosen): string => `${drawing.name}, ${space.name}`;
