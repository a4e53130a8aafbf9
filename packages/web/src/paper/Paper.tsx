import { memo, useMemo } from 'react';
import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import { styled } from '@mui/material/styles';
import type { Drawing, Rect, WorkingUnit } from '@mendrel/core';
import { formatLength } from '@mendrel/core';
import { COARSE } from './heavyPictures';
import { Linework } from './Linework';
import { PaperFoot } from './PaperFoot';
import { Ruler } from './Ruler';
import { useAtRest } from './useAtRest';
import { PAINTED_AROUND, usePaperView } from './usePaperView';
import type { Seen } from './usePaperView';
import type { Viewport } from './viewport';
import { onPaper } from './viewport';
import { useWindowDrag, WindowOutline } from './WindowSelection';

/** What an overlay needs to know to stand in the right place. */
export interface OverlayView {
  viewport: Viewport;
  paperHeight: number;
  size: { width: number; height: number };
}

interface Props {
  drawing: Drawing;
  unit: WorkingUnit;
  label: string;
  /** The part shown to begin with; the whole sheet when left out. */
  target?: Rect;
  /** Named parts to go to, the whole sheet first. */
  views?: { name: string; rect: Rect }[];
  /** SVG under the linework and over it, in mm with y down from the paper's upper edge; `pixel` is the size of one of the screen in mm. */
  under?: ReactNode;
  over?: (pixel: number) => ReactNode;
  /** HTML over the paper, in pixels. */
  overlay?: (view: OverlayView) => ReactNode;
  /** Hides the drawing's own linework, or thins it, by opacity. */
  opacity?: number;
  /** Hides linework and marks while an overlay shows them. */
  covered?: boolean;
  /** The colour of the drawing's own linework; the ink of the sheet when left out. */
  ink?: string;
  /** Lets what lies under the linework show through it, as inks do on one another. */
  overprint?: boolean;
  /** `add` when Shift or Ctrl was held down. */
  onPick?: (point: { x: number; y: number }, add: boolean) => void;
  /** Something from elsewhere on the page is dragged over the paper: whether it may be let go there, and what becomes of it. */
  drop?: {
    takes: (data: DataTransfer) => boolean;
    onDrop: (data: DataTransfer, point: { x: number; y: number }) => void;
  };
  /** A window drawn with Shift held down, in mm on paper. */
  onWindow?: (rect: Rect) => void;
  onKeyDown?: (event: React.KeyboardEvent) => void;
}

// Styled once: the paper is rendered with every step of a drag.
const Around = styled('div')(({ theme }) => ({
  flex: 1,
  minWidth: 0,
  minHeight: 0,
  display: 'flex',
  flexDirection: 'column',
  position: 'relative',
  backgroundColor: theme.vars?.palette.background.default,
}));

const Surface = styled('div')(({ theme }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'hidden',
  position: 'relative',
  // What changes on the paper leaves the page around it where it is.
  contain: 'strict',
  cursor: 'default',
  touchAction: 'none',
  '&:focus-visible': { outline: `2px solid ${theme.vars?.palette.primary.main}`, outlineOffset: -2 },
}));

/** What is painted of the paper. What is out of sight may come into sight while the paper is moved. */
const Painted = styled('div')({
  transformOrigin: '0 0',
  '& > svg': { display: 'block', overflow: 'clip', overflowClipMargin: PAINTED_AROUND },
});

/** Moves and enlarges what is painted without painting it anew. */
function moved({ viewport, painted }: Seen): React.CSSProperties {
  if (viewport === painted) return {};
  const factor = viewport.scale / painted.scale;
  const [x, y] = [viewport.x - factor * painted.x, viewport.y - factor * painted.y];
  return { willChange: 'transform', transform: `translate(${x}px, ${y}px) scale(${factor})` };
}

const MM_PER_PIXEL = 25.4 / 96;
const NO_VIEWS: NonNullable<Props['views']> = [];

interface SheetProps extends Pick<Props, 'drawing' | 'under' | 'over'> {
  /** From where it is painted. */
  at: Viewport;
  size: { width: number; height: number };
  opacity: number;
  covered: boolean;
  ink: string;
  overprint: boolean;
  atRest: boolean;
}

/** The sheet with what lies under its linework and over it. It stays as it is while the paper is dragged. */
const PaintedSheet = memo(function PaintedSheet({
  drawing,
  at: { x, y, scale },
  size,
  under,
  over,
  opacity,
  covered,
  ink,
  overprint,
  atRest,
}: SheetProps) {
  return (
    <svg width={size.width} height={size.height} style={{ ['--least-line' as string]: `${1 / scale}px` }}>
      <g transform={`translate(${x} ${y}) scale(${scale})`}>
        {/* A shadow without a blur: a filter would be computed anew with every change on the paper. */}
        <rect
          width={drawing.width}
          height={drawing.height + 2 / scale}
          fill="rgba(0,0,0,0.16)"
          stroke="rgba(0,0,0,0.12)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
        <rect width={drawing.width} height={drawing.height} fill="var(--mui-palette-office-sheet)" />
        {under}
        <g
          color={ink}
          opacity={opacity}
          visibility={covered ? 'hidden' : undefined}
          style={overprint ? { mixBlendMode: 'multiply' } : undefined}
        >
          <Linework drawing={drawing} close={atRest && scale * devicePixelRatio > COARSE} />
        </g>
        {covered ? null : over?.(1 / scale)}
      </g>
    </svg>
  );
});

/** The drawing on its paper, to scale, with a ruler, zoom and pan. */
export function Paper({
  drawing,
  unit,
  label,
  target,
  views = NO_VIEWS,
  under,
  over,
  overlay,
  opacity = 1,
  covered = false,
  ink = 'var(--mui-palette-office-sheetInk)',
  overprint = false,
  onPick,
  drop,
  onWindow,
  onKeyDown,
}: Props) {
  const sheet = useMemo(
    () => ({ x: 0, y: 0, width: drawing.width, height: drawing.height }),
    [drawing.width, drawing.height],
  );
  const { surface, seen, size, show, zoomBy, panBy } = usePaperView(drawing, target ?? sheet);
  const viewport = seen?.viewport;
  const { atRest, pointer } = useAtRest(drawing, viewport);
  const { drag, handlers } = useWindowDrag(
    viewport && onWindow
      ? (rect) => {
          const upper = onPaper(viewport, drawing.height, rect.x, rect.y);
          const lower = onPaper(viewport, drawing.height, rect.x + rect.width, rect.y + rect.height);
          onWindow({ x: upper.x, y: lower.y, width: lower.x - upper.x, height: upper.y - lower.y });
        }
      : undefined,
  );
  const view = useMemo(
    () => (viewport ? { viewport, paperHeight: drawing.height, size } : undefined),
    [viewport, drawing.height, size],
  );
  const extent = `${formatLength(drawing.width, unit)} × ${formatLength(drawing.height, unit)} ${unit}`;
  const pointOf = (event: React.MouseEvent): { x: number; y: number } | undefined => {
    if (!viewport) return undefined;
    const box = event.currentTarget.getBoundingClientRect();
    return onPaper(viewport, drawing.height, event.clientX - box.left, event.clientY - box.top);
  };
  const keys = (event: React.KeyboardEvent): void => {
    onKeyDown?.(event);
    if (
      event.defaultPrevented ||
      event.target !== event.currentTarget ||
      event.ctrlKey ||
      event.altKey ||
      event.metaKey
    )
      return;
    const pan: Record<string, [number, number]> = {
      ArrowLeft: [40, 0],
      ArrowRight: [-40, 0],
      ArrowUp: [0, 40],
      ArrowDown: [0, -40],
    };
    const by = pan[event.key];
    if (by) panBy(...by);
    else if (event.key === '+' || event.key === '=') zoomBy(1.25);
    else if (event.key === '-') zoomBy(0.8);
    else if (event.key === '0') show(sheet);
    else return;
    event.preventDefault();
  };
  return (
    <Around>
      {viewport ? (
        <Ruler viewport={viewport} length={size.width} unit={unit} extent={drawing.width} />
      ) : (
        <Box sx={{ height: 24, flex: 'none' }} />
      )}
      <Surface
        ref={surface}
        role="application"
        aria-roledescription="paper"
        aria-label={`${label}, ${extent}. Arrow keys pan, plus and minus zoom, 0 shows the whole sheet.`}
        tabIndex={0}
        onKeyDown={keys}
        onClick={(event) => {
          const point = pointOf(event);
          if (point) onPick?.(point, event.shiftKey || event.ctrlKey || event.metaKey);
        }}
        onDragOver={(event) => {
          if (drop?.takes(event.dataTransfer)) event.preventDefault();
        }}
        onDrop={(event) => {
          const point = pointOf(event);
          if (!drop?.takes(event.dataTransfer) || !point) return;
          event.preventDefault();
          drop.onDrop(event.dataTransfer, point);
        }}
        {...pointer}
        {...handlers}
      >
        {seen ? (
          <Painted style={moved(seen)}>
            <PaintedSheet
              at={seen.painted}
              {...{ drawing, size, under, over, opacity, covered, ink, overprint, atRest }}
            />
          </Painted>
        ) : null}
        {view ? overlay?.(view) : null}
        {drag ? <WindowOutline drag={drag} /> : null}
      </Surface>
      <PaperFoot
        extent={extent}
        percent={viewport ? Math.round(viewport.scale * MM_PER_PIXEL * 100) : 0}
        whole={sheet}
        views={views}
        show={show}
        zoomBy={zoomBy}
      />
    </Around>
  );
}
