import { useRef, useState } from 'react';
import Box from '@mui/material/Box';
import { styled } from '@mui/material/styles';
import type { OverlayView } from '../../../paper/Paper';
import { onScreen } from '../../../paper/viewport';
import type { Snapping, WorkedDivision } from './dividers';
import { increment, lengthWords, standsAt } from './dividers';

interface Props {
  division: WorkedDivision;
  view: OverlayView;
  unit: 'mm' | 'in';
  /** The selected track, when the selected cell is one of the division. */
  selectedTrack: number | undefined;
  /** What a change of a track counts for: all sizes, or one. */
  countsFor: (index: number) => string;
  onType: (index: number, text: string) => string | undefined;
  onDrag: (index: number, deltaMm: number, snapping: Snapping) => void;
  onDrop: () => void;
  onCancel: () => void;
}

/** Pixels within which a dragged divider goes to what it is near to. */
const REACH = 5;

const LABEL = 58;

/** Which labels can stand without covering each other; the selected track's own goes first. */
function withRoom(middles: readonly number[], selected: number | undefined, room: number): Set<number> {
  const order = middles.map((_, i) => i).sort((a, b) => Number(b === selected) - Number(a === selected) || a - b);
  const kept = new Set<number>();
  for (const i of order) {
    if ([...kept].every((other) => Math.abs((middles[other] ?? 0) - (middles[i] ?? 0)) >= room)) kept.add(i);
  }
  return kept;
}

/** The sizes of the tracks beside the paper, to click and type, and the dividers with handles to drag. */
export function TrackEdge({ division, view, unit, selectedTrack, countsFor, onType, onDrag, onDrop, onCancel }: Props) {
  const [held, setHeld] = useState<Held>();
  const { axis, limits, lengths, rect } = division;
  const rows = axis === 'rows';
  const { viewport, paperHeight, size } = view;
  const at = (mm: number): number =>
    rows ? onScreen(viewport, paperHeight, 0, mm).y : onScreen(viewport, paperHeight, mm, 0).x;
  const corner = onScreen(viewport, paperHeight, rect.x, rect.y + rect.height);
  const far = onScreen(viewport, paperHeight, rect.x + rect.width, rect.y);
  // Beside the cell where there is room, else inside its edge, always in the window.
  const edge = rows
    ? Math.max(6, Math.min(corner.x - LABEL - 22, size.width - LABEL - 6))
    : Math.max(4, Math.min(corner.y - 34, size.height - 120));
  const middles = lengths.map((_, i) => (at(limits[i] ?? 0) + at(limits[i + 1] ?? 0)) / 2);
  const labels = withRoom(middles, selectedTrack, rows ? 24 : LABEL + 4);
  return (
    <Box sx={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}>
      <Box
        component="svg"
        aria-hidden
        width={size.width}
        height={size.height}
        sx={{ position: 'absolute', inset: 0, color: 'text.secondary' }}
      >
        {limits.map((limit, i) => {
          const px = at(limit);
          return rows ? (
            <path key={i} d={`M${edge + LABEL + 2} ${px}H${corner.x - 3}`} stroke="currentColor" opacity="0.7" />
          ) : (
            <path key={i} d={`M${px} ${edge + 26}V${corner.y - 3}`} stroke="currentColor" opacity="0.7" />
          );
        })}
      </Box>
      {lengths.map((length, i) => {
        const middle = middles[i] ?? 0;
        const shown = labels.has(i) && middle > 8 && middle < (rows ? size.height : size.width) - 8;
        return shown ? (
          <SizeLabel
            key={i}
            name={`Size of ${rows ? 'row' : 'column'} ${i + 1}`}
            text={lengthWords(length, unit)}
            title={`Counts for ${countsFor(i)}`}
            selected={selectedTrack === i}
            onType={(text) => onType(i, text)}
            style={rows ? { left: edge, top: middle - 11 } : { left: middle - LABEL / 2, top: edge }}
          />
        ) : null;
      })}
      {limits.slice(1, -1).map((limit, i) => (
        <Handle
          key={i}
          rows={rows}
          name={`Divider after ${rows ? 'row' : 'column'} ${i + 1}`}
          style={
            rows
              ? { left: corner.x, top: at(limit) - 5, width: Math.max(20, far.x - corner.x), height: 10 }
              : { left: at(limit) - 5, top: corner.y, width: 10, height: Math.max(20, far.y - corner.y) }
          }
          value={lengths[i] ?? 0}
          step={increment(unit)}
          onDrag={(pixels, at, fine) => {
            setHeld({ index: i, ...at });
            onDrag(i, pixels / viewport.scale, { reach: fine ? 0 : REACH / viewport.scale, fine });
          }}
          onStep={(mm, fine) => {
            onDrag(i, mm, { reach: 0, fine });
            onDrop();
          }}
          onDrop={() => {
            setHeld(undefined);
            onDrop();
          }}
          onCancel={() => {
            setHeld(undefined);
            onCancel();
          }}
        />
      ))}
      {held ? (
        <HeldLabel role="status" style={{ left: held.x + 16, top: held.y + 14 }}>
          <b>{lengthWords(lengths[held.index] ?? 0, unit)}</b> |{' '}
          <b>{lengthWords(lengths[held.index + 1] ?? 0, unit)}</b> {unit}
          <div>{standsAt(division, held.index) ?? `for ${countsFor(held.index)}`}</div>
        </HeldLabel>
      ) : null}
    </Box>
  );
}

/** A divider that is being dragged, and where the pointer is, in pixels of the paper's window. */
interface Held {
  index: number;
  x: number;
  y: number;
}

const HeldLabel = styled('div')(({ theme }) => ({
  position: 'absolute',
  zIndex: 4,
  padding: '4px 8px',
  borderRadius: 6,
  fontSize: '0.75rem',
  lineHeight: 1.4,
  whiteSpace: 'nowrap',
  fontVariantNumeric: 'tabular-nums',
  background: theme.vars?.palette.text.primary,
  color: theme.vars?.palette.background.paper,
}));

// Styled once, not at every step of a drag.
const LabelInput = styled('input')(({ theme }) => ({
  width: LABEL,
  height: 22,
  boxSizing: 'border-box',
  textAlign: 'center',
  font: 'inherit',
  fontSize: '0.75rem',
  fontVariantNumeric: 'tabular-nums',
  border: `1px solid ${theme.vars?.palette.divider}`,
  borderRadius: 5,
  background: theme.vars?.palette.background.paper,
  color: theme.vars?.palette.text.primary,
  '&[data-selected="true"]': {
    borderColor: theme.vars?.palette.primary.main,
    background: theme.vars?.palette.primary.main,
    color: theme.vars?.palette.primary.contrastText,
  },
  '&[aria-invalid="true"]': { borderColor: theme.vars?.palette.error.main },
  '&:focus': {
    outline: `2px solid ${theme.vars?.palette.primary.main}`,
    background: theme.vars?.palette.background.paper,
    color: theme.vars?.palette.text.primary,
  },
}));

const LabelPlace = styled('div')({ position: 'absolute', pointerEvents: 'auto' });

const Problem = styled('div')(({ theme }) => ({
  position: 'absolute',
  left: 0,
  top: 24,
  width: 220,
  padding: 6,
  zIndex: 3,
  background: theme.vars?.palette.background.paper,
  border: `1px solid ${theme.vars?.palette.error.main}`,
  color: theme.vars?.palette.error.main,
  borderRadius: 6,
  fontSize: '0.75rem',
}));

interface SizeLabelProps {
  name: string;
  text: string;
  title: string;
  selected: boolean;
  onType: (text: string) => string | undefined;
  style: React.CSSProperties;
}

function SizeLabel({ name, text, title, selected, onType, style }: SizeLabelProps) {
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const finish = (): void => {
    if (typed !== undefined && typed.trim() !== text) {
      const wrong = onType(typed);
      setProblem(wrong);
      if (wrong !== undefined) return;
    }
    setTyped(undefined);
  };
  return (
    <LabelPlace data-handle style={style}>
      <LabelInput
        aria-label={name}
        aria-invalid={problem !== undefined}
        data-selected={selected}
        title={problem ?? title}
        value={typed ?? text}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => {
          setTyped(event.target.value);
          setProblem(undefined);
        }}
        onBlur={finish}
        onClick={(event) => event.stopPropagation()}
        onKeyDown={(event) => {
          if (event.key === 'Enter') finish();
          else if (event.key === 'Escape') {
            setTyped(undefined);
            setProblem(undefined);
          }
        }}
      />
      {problem ? <Problem role="alert">▲ {problem}</Problem> : null}
    </LabelPlace>
  );
}

const Bar = styled('div')(({ theme }) => ({
  position: 'absolute',
  pointerEvents: 'auto',
  touchAction: 'none',
  cursor: 'col-resize',
  '&::after': {
    content: '""',
    position: 'absolute',
    left: '50%',
    top: '50%',
    width: 6,
    height: 34,
    transform: 'translate(-50%, -50%)',
    borderRadius: 3,
    background: theme.vars?.palette.primary.main,
    opacity: 0.55,
  },
  '&[aria-orientation="horizontal"]': { cursor: 'row-resize' },
  '&[aria-orientation="horizontal"]::after': { width: 34, height: 6 },
  '&:hover::after, &:focus-visible::after': { opacity: 1 },
  '&:focus-visible': { outline: `2px solid ${theme.vars?.palette.primary.main}` },
}));

interface HandleProps {
  rows: boolean;
  name: string;
  style: React.CSSProperties;
  value: number;
  step: number;
  onDrag: (pixels: number, at: { x: number; y: number }, fine: boolean) => void;
  onStep: (mm: number, fine: boolean) => void;
  onDrop: () => void;
  onCancel: () => void;
}

/** A divider that follows the pointer, and the arrow keys by one increment. */
function Handle({ rows, name, style, value, step, onDrag, onStep, onDrop, onCancel }: HandleProps) {
  const start = useRef<number>(undefined);
  return (
    <Bar
      data-handle
      role="separator"
      aria-orientation={rows ? 'horizontal' : 'vertical'}
      aria-label={name}
      aria-valuenow={Math.round(value * 100) / 100}
      tabIndex={0}
      style={style}
      onClick={(event) => event.stopPropagation()}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        start.current = rows ? event.clientY : event.clientX;
      }}
      onPointerMove={(event) => {
        if (start.current === undefined) return;
        const surface = event.currentTarget.closest('[role="application"]')?.getBoundingClientRect();
        const at = { x: event.clientX - (surface?.left ?? 0), y: event.clientY - (surface?.top ?? 0) };
        onDrag((rows ? event.clientY : event.clientX) - start.current, at, event.altKey);
      }}
      onPointerUp={() => {
        if (start.current !== undefined) onDrop();
        start.current = undefined;
      }}
      onPointerCancel={() => {
        start.current = undefined;
        onCancel();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape' && start.current !== undefined) {
          // It gives up the drag and nothing else.
          event.stopPropagation();
          start.current = undefined;
          onCancel();
        }
        const direction = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1 }[event.key];
        if (direction === undefined) return;
        event.preventDefault();
        onStep(direction * (event.altKey ? 0.01 : step) * (event.shiftKey ? 10 : 1), event.altKey);
      }}
    />
  );
}
