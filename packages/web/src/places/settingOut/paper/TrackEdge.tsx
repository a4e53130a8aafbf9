import type { WorkingUnit } from '@mendrel/core';
import { memo, useEffect, useRef, useState } from 'react';
import type { RefObject } from 'react';
import { styled } from '@mui/material/styles';
import type { OverlayView } from '../../../paper/Paper';
import type { Snapping, WorkedDivision } from './dividers';
import { increment, lengthWords } from './dividers';
import { edgePlaces, handleLength, LABEL, leader } from './edgePlaces';
import { useOncePerFrame } from './useOncePerFrame';
import { Sign } from '../../../app/FindingMark';

interface Props {
  division: WorkedDivision;
  view: OverlayView;
  unit: WorkingUnit;
  /** The selected track, when the selected cell is one of the division. */
  selectedTrack: number | undefined;
  /** While a divider is dragged, along this axis or the other, what is painted stands for all of it. */
  covered: boolean;
  /** What a change of a track counts for: all sizes, or one. */
  countsFor: (index: number) => string;
  onType: (index: number, text: string) => string | undefined;
  onDrag: (index: number, by: DividerMove) => void;
  onDrop: () => void;
  onCancel: () => void;
}

/** How far a divider is moved from where it stood. */
export interface DividerMove {
  mm: number;
  snapping: Snapping;
  /** Where the pointer is that drags it, in pixels of the paper's window. */
  pointer?: { x: number; y: number };
}

/** Pixels within which a dragged divider goes to what it is near to. */
const REACH = 5;

/** The sizes of the tracks beside the paper, to click and type, and the dividers with handles to drag. */
export function TrackEdge({
  division,
  view,
  unit,
  selectedTrack,
  covered,
  countsFor,
  onType,
  onDrag,
  onDrop,
  onCancel,
}: Props) {
  const taken = useRef(onType);
  useEffect(() => {
    taken.current = onType;
  });
  const { lengths } = division;
  const { viewport, size } = view;
  const places = edgePlaces(division, view, selectedTrack);
  const { rows, corner } = places;
  const leaders = places.limits.map((px) => {
    const [x0, y0, x1, y1] = leader(places, px);
    return `M${x0} ${y0}L${x1} ${y1}`;
  });
  return (
    <Edge data-covered={covered}>
      <svg aria-hidden width={size.width} height={size.height}>
        <path d={leaders.join('')} stroke="currentColor" opacity="0.7" />
      </svg>
      {lengths.map((length, i) => {
        const at = places.labels[i];
        return at ? (
          <div key={i} className="size" data-handle style={placed(at)}>
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
      {places.limits.slice(1, -1).map((px, i) => (
        <Handle
          key={i}
          rows={rows}
          name={`Divider after ${rows ? 'row' : 'column'} ${i + 1}`}
          at={rows ? { x: corner.x, y: px - 5 } : { x: px - 5, y: corner.y }}
          length={handleLength(places)}
          value={lengths[i] ?? 0}
          step={increment(unit)}
          onDrag={(pixels, pointer, fine) => {
            const snapping = { reach: fine ? 0 : REACH / viewport.scale, fine };
            onDrag(i, { mm: pixels / viewport.scale, snapping, pointer });
          }}
          onStep={(mm, fine) => {
            onDrag(i, { mm, snapping: { reach: 0, fine } });
            onDrop();
          }}
          onDrop={onDrop}
          onCancel={onCancel}
        />
      ))}
    </Edge>
  );
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
    // Not hidden: what is hidden lets go of the pointer and of the keys.
    '&[data-covered="true"]': { opacity: 0 },
    '& > .size': { pointerEvents: 'auto' },
    '& input': {
      ...LABEL,
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
          <Sign weight="error" /> {problem}
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
