import { memo, useEffect, useRef, useState } from 'react';
import type { RefObject } from 'react';
import { styled } from '@mui/material/styles';
import type { OverlayView } from '../../../paper/Paper';
import { onScreen } from '../../../paper/viewport';
import type { Snapping, WorkedDivision } from './dividers';
import { increment, lengthWords, standsAt } from './dividers';
import { useOncePerFrame } from './useOncePerFrame';

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
  const taken = useRef(onType);
  useEffect(() => {
    taken.current = onType;
  });
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
  const leader = (px: number): string =>
    rows ? `M${edge + LABEL + 2} ${px}H${corner.x - 3}` : `M${px} ${edge + 26}V${corner.y - 3}`;
  const middles = lengths.map((_, i) => (at(limits[i] ?? 0) + at(limits[i + 1] ?? 0)) / 2);
  const labels = withRoom(middles, selectedTrack, rows ? 24 : LABEL + 4);
  return (
    <Edge>
      <svg aria-hidden width={size.width} height={size.height}>
        <path d={limits.map((limit) => leader(at(limit))).join('')} stroke="currentColor" opacity="0.7" />
      </svg>
      {lengths.map((length, i) => {
        const middle = middles[i] ?? 0;
        const shown = labels.has(i) && middle > 8 && middle < (rows ? size.height : size.width) - 8;
        return shown ? (
          <div
            key={i}
            className="size"
            data-handle
            style={placed(rows ? { x: edge, y: middle - 11 } : { x: middle - LABEL / 2, y: edge })}
          >
            <SizeInput
              index={i}
              name={`Size of ${rows ? 'row' : 'column'} ${i + 1}`}
              text={lengthWords(length, unit)}
              title={`Counts for ${countsFor(i)}`}
              selected={selectedTrack === i}
              taken={taken}
            />
          </div>
        ) : null;
      })}
      {limits.slice(1, -1).map((limit, i) => (
        <Handle
          key={i}
          rows={rows}
          name={`Divider after ${rows ? 'row' : 'column'} ${i + 1}`}
          at={rows ? { x: corner.x, y: at(limit) - 5 } : { x: at(limit) - 5, y: corner.y }}
          length={Math.max(20, rows ? far.x - corner.x : far.y - corner.y)}
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
        <div className="held" role="status" style={placed({ x: held.x + 16, y: held.y + 14 })}>
          <b>{lengthWords(lengths[held.index] ?? 0, unit)}</b> |{' '}
          <b>{lengthWords(lengths[held.index + 1] ?? 0, unit)}</b> {unit}
          <div>{standsAt(division, held.index) ?? `for ${countsFor(held.index)}`}</div>
        </div>
      ) : null}
    </Edge>
  );
}

/** A divider that is being dragged, and where the pointer is, in pixels of the paper's window. */
interface Held {
  index: number;
  x: number;
  y: number;
}

/** Moved by a transform, which costs no layout. */
const placed = ({ x, y }: { x: number; y: number }): React.CSSProperties => ({
  transform: `translate(${x}px, ${y}px)`,
});

// One styled element for all that is in it: what moves with every step of a drag are plain elements.
const Edge = styled('div')(({ theme }) => {
  const palette = theme.vars?.palette;
  return {
    position: 'absolute',
    inset: 0,
    pointerEvents: 'none',
    '& > svg': { position: 'absolute', inset: 0, color: palette?.text.secondary },
    '& > div': { position: 'absolute', left: 0, top: 0 },
    '& > .held': {
      zIndex: 4,
      padding: '4px 8px',
      borderRadius: 6,
      fontSize: '0.75rem',
      lineHeight: 1.4,
      whiteSpace: 'nowrap',
      fontVariantNumeric: 'tabular-nums',
      background: palette?.text.primary,
      color: palette?.background.paper,
    },
    '& > .size': { pointerEvents: 'auto' },
    '& input': {
      width: LABEL,
      height: 22,
      boxSizing: 'border-box',
      textAlign: 'center',
      font: 'inherit',
      fontSize: '0.75rem',
      fontVariantNumeric: 'tabular-nums',
      border: `1px solid ${palette?.divider}`,
      borderRadius: 5,
      background: palette?.background.paper,
      color: palette?.text.primary,
    },
    '& input[data-selected="true"]': {
      borderColor: palette?.primary.main,
      background: palette?.primary.main,
      color: palette?.primary.contrastText,
    },
    '& input[aria-invalid="true"]': { borderColor: palette?.error.main },
    '& input:focus': {
      outline: `2px solid ${palette?.primary.main}`,
      background: palette?.background.paper,
      color: palette?.text.primary,
    },
    '& .problem': {
      position: 'absolute',
      left: 0,
      top: 24,
      width: 220,
      padding: 6,
      zIndex: 3,
      background: palette?.background.paper,
      border: `1px solid ${palette?.error.main}`,
      color: palette?.error.main,
      borderRadius: 6,
      fontSize: '0.75rem',
    },
    '& > .divider': { pointerEvents: 'auto', touchAction: 'none', cursor: 'col-resize' },
    '& > .divider::after': {
      content: '""',
      position: 'absolute',
      left: '50%',
      top: '50%',
      width: 6,
      height: 34,
      transform: 'translate(-50%, -50%)',
      borderRadius: 3,
      background: palette?.primary.main,
      opacity: 0.55,
    },
    '& > .divider[aria-orientation="horizontal"]': { cursor: 'row-resize' },
    '& > .divider[aria-orientation="horizontal"]::after': { width: 34, height: 6 },
    '& > .divider:hover::after, & > .divider:focus-visible::after': { opacity: 1 },
    '& > .divider:focus-visible': { outline: `2px solid ${palette?.primary.main}` },
  };
});

interface SizeProps {
  index: number;
  name: string;
  text: string;
  title: string;
  selected: boolean;
  /** How a size that was typed is taken now. */
  taken: RefObject<(index: number, text: string) => string | undefined>;
}

// What is typed into stays as it is while it moves.
const SizeInput = memo(function SizeInput({ index, name, text, title, selected, taken }: SizeProps) {
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const finish = (): void => {
    if (typed !== undefined && typed.trim() !== text) {
      const wrong = taken.current(index, typed);
      setProblem(wrong);
      if (wrong !== undefined) return;
    }
    setTyped(undefined);
  };
  return (
    <>
      <input
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
      {problem ? (
        <div className="problem" role="alert">
          ▲ {problem}
        </div>
      ) : null}
    </>
  );
});

interface HandleProps {
  rows: boolean;
  name: string;
  /** Its upper left corner, and how long it is, in pixels of the paper's window. */
  at: { x: number; y: number };
  length: number;
  value: number;
  step: number;
  onDrag: (pixels: number, at: { x: number; y: number }, fine: boolean) => void;
  onStep: (mm: number, fine: boolean) => void;
  onDrop: () => void;
  onCancel: () => void;
}

const NOWHERE = { left: 0, top: 0 };

/** A divider that follows the pointer, and the arrow keys by one increment. */
function Handle({ rows, name, at, length, value, step, onDrag, onStep, onDrop, onCancel }: HandleProps) {
  // Where it was taken hold of, and where the paper's window begins: asked for once, since asking lays the page out.
  const start = useRef<{ at: number; left: number; top: number }>(undefined);
  const frame = useOncePerFrame();
  const letGo = (then: () => void): void => {
    start.current = undefined;
    then();
  };
  return (
    <div
      className="divider"
      data-handle
      role="separator"
      aria-orientation={rows ? 'horizontal' : 'vertical'}
      aria-label={name}
      aria-valuenow={Math.round(value * 100) / 100}
      tabIndex={0}
      style={{ ...placed(at), width: rows ? length : 10, height: rows ? 10 : length }}
      onClick={(event) => event.stopPropagation()}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        const { left, top } = event.currentTarget.closest('[role="application"]')?.getBoundingClientRect() ?? NOWHERE;
        start.current = { at: rows ? event.clientY : event.clientX, left, top };
      }}
      onPointerMove={({ clientX, clientY, altKey }) => {
        const from = start.current;
        if (from === undefined) return;
        const pointer = { x: clientX - from.left, y: clientY - from.top };
        frame.ask(() => onDrag((rows ? clientY : clientX) - from.at, pointer, altKey));
      }}
      onPointerUp={() => {
        frame.finish();
        if (start.current !== undefined) letGo(onDrop);
      }}
      onPointerCancel={() => {
        frame.forget();
        letGo(onCancel);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape' && start.current !== undefined) {
          // It gives up the drag and nothing else.
          event.stopPropagation();
          frame.forget();
          letGo(onCancel);
        }
        const direction = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1 }[event.key];
        if (direction === undefined) return;
        event.preventDefault();
        onStep(direction * (event.altKey ? 0.01 : step) * (event.shiftKey ? 10 : 1), event.altKey);
      }}
    />
  );
}
