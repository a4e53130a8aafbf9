import { useCallback, useEffect, useRef, useState } from 'react';
import { select } from 'd3-selection';
import { zoom, zoomIdentity } from 'd3-zoom';
import type { D3ZoomEvent, ZoomBehavior } from 'd3-zoom';
import type { Rect } from '@mendrel/core';
import type { Viewport } from './viewport';
import { viewportFor } from './viewport';

/** From where a paper is seen, and from where it is painted: while a hand moves or zooms it, it is moved as it was painted. */
export interface Seen {
  viewport: Viewport;
  painted: Viewport;
}

export interface PaperView {
  /** Goes on the element that takes the wheel and the drags. */
  surface: React.RefObject<HTMLDivElement | null>;
  size: { width: number; height: number };
  seen: Seen | undefined;
  show: (rect: Rect) => void;
  zoomBy: (factor: number) => void;
  panBy: (dx: number, dy: number) => void;
}

/**
 * Zoom and pan of one paper. It shows `target` to begin with and whenever that changes, until someone zooms by hand.
 * @param paper extent in mm
 */
export function usePaperView(paper: { width: number; height: number }, target: Rect): PaperView {
  const surface = useRef<HTMLDivElement>(null);
  const behaviour = useRef<ZoomBehavior<HTMLDivElement, unknown>>(undefined);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [seen, setSeen] = useState<Seen>();

  useEffect(() => {
    const element = surface.current;
    if (!element) return;
    let room = { width: 0, height: 0 };
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return;
      room = { width: entry.contentRect.width, height: entry.contentRect.height };
      setSize(room);
    });
    observer.observe(element);
    const made = zoom<HTMLDivElement, unknown>()
      .scaleExtent([0.05, 80])
      .filter((event: MouseEvent & { ctrlKey: boolean }) => {
        const onHandle = event.target instanceof Element && event.target.closest('[data-handle]') !== null;
        // With Shift a window is drawn.
        if (event.shiftKey && event.type !== 'wheel') return false;
        return !onHandle && (event.type === 'wheel' || event.button === 0 || event.button === 1);
      })
      .on('zoom', ({ transform: { k, x, y }, sourceEvent }: D3ZoomEvent<HTMLDivElement, unknown>) => {
        const viewport = { scale: k, x, y };
        const byHand = isByHand(sourceEvent);
        setSeen((before) => ({
          viewport,
          painted: before && byHand && shows(viewport, before.painted, room) ? before.painted : viewport,
        }));
      })
      .on('end', () =>
        setSeen((before) => (before && before.painted !== before.viewport ? paintedThere(before) : before)),
      );
    made(select(element));
    select(element).on('dblclick.zoom', null);
    behaviour.current = made;
    return () => observer.disconnect();
  }, []);

  const show = useCallback(
    (rect: Rect): void => {
      const element = surface.current;
      if (!element || !behaviour.current || size.width === 0) return;
      const { scale, x, y } = viewportFor(rect, paper.height, size);
      behaviour.current.transform(select(element), zoomIdentity.translate(x, y).scale(scale));
    },
    [paper.height, size],
  );

  // The window's size is known only after layout, and the target moves with the selection: both are outside of React.
  const showLatest = useRef(show);
  useEffect(() => {
    showLatest.current = show;
  });
  useEffect(() => {
    if (size.width > 0) showLatest.current({ x: target.x, y: target.y, width: target.width, height: target.height });
  }, [size.width, size.height, paper.width, paper.height, target.x, target.y, target.width, target.height]);

  const zoomBy = useCallback((factor: number): void => {
    if (surface.current && behaviour.current) behaviour.current.scaleBy(select(surface.current), factor);
  }, []);
  const panBy = (dx: number, dy: number): void => {
    if (surface.current && behaviour.current && seen) {
      const { scale } = seen.viewport;
      behaviour.current.translateBy(select(surface.current), dx / scale, dy / scale);
    }
  };
  return { surface, size, seen, show, zoomBy, panBy };
}

const paintedThere = ({ viewport }: Seen): Seen => ({ viewport, painted: viewport });

/** What a hand goes on doing until it lets go. */
const BY_HAND: ReadonlySet<string> = new Set(['mousemove', 'touchmove', 'wheel']);
const isByHand = (event: unknown): boolean => event instanceof Event && BY_HAND.has(event.type);

/** How far beyond what is seen the paper is painted, in px: with all of it, Chromium would paint large sheets anew with every step of the wheel. */
export const PAINTED_AROUND = 400;

/** Whether what is painted fills what is seen, and is legible enlarged for a moment. */
function shows({ x, y, scale }: Viewport, painted: Viewport, room: { width: number; height: number }): boolean {
  const factor = scale / painted.scale;
  const fills = (from: number, length: number): boolean =>
    from - factor * PAINTED_AROUND <= 0 && from + factor * (length + PAINTED_AROUND) >= length;
  return factor < 2 && fills(x - factor * painted.x, room.width) && fills(y - factor * painted.y, room.height);
}
