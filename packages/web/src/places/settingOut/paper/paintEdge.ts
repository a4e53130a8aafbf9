import type { EdgePlaces } from './edgePlaces';
import { handleMiddle, LABEL, leader } from './edgePlaces';

/** The colours of labels, leaders, handles and of what stands beside the pointer. */
export interface EdgeColours {
  leader: string;
  ground: string;
  line: string;
  text: string;
  accent: string;
  onAccent: string;
}

/** A division as it is shown beside the paper. */
export interface PaintedEdge {
  places: EdgePlaces;
  /** The size of each track in words. */
  sizes: readonly string[];
  selectedTrack: number | undefined;
  /** The divider that is held, by the track before it. */
  held: number | undefined;
}

const REGULAR = '400 12px "Public Sans"';
const STRONG = '600 12px "Public Sans"';

const HANDLE = { length: 34, width: 6 };

/** Paints sizes, leaders and handles as the elements show them that can be typed into and dragged. */
export function paintEdge(
  context: CanvasRenderingContext2D,
  { places, sizes, selectedTrack, held }: PaintedEdge,
  colours: EdgeColours,
): void {
  context.save();
  context.globalAlpha = 0.7;
  context.strokeStyle = colours.leader;
  context.lineWidth = 1;
  context.beginPath();
  for (const px of places.limits) {
    const [x0, y0, x1, y1] = leader(places, px);
    context.moveTo(x0, y0);
    context.lineTo(x1, y1);
  }
  context.stroke();
  context.fillStyle = colours.accent;
  places.limits.slice(1, -1).forEach((px, i) => {
    const { x, y } = handleMiddle(places, px);
    const [across, down] = places.rows ? [HANDLE.length, HANDLE.width] : [HANDLE.width, HANDLE.length];
    context.globalAlpha = i === held ? 1 : 0.55;
    context.beginPath();
    context.roundRect(x - across / 2, y - down / 2, across, down, 3);
    context.fill();
  });
  context.globalAlpha = 1;
  context.font = REGULAR;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  places.labels.forEach((at, i) => {
    if (!at) return;
    const selected = i === selectedTrack;
    context.beginPath();
    context.roundRect(at.x + 0.5, at.y + 0.5, LABEL.width - 1, LABEL.height - 1, 4.5);
    context.fillStyle = selected ? colours.accent : colours.ground;
    context.fill();
    context.strokeStyle = selected ? colours.accent : colours.line;
    context.stroke();
    context.fillStyle = selected ? colours.onAccent : colours.text;
    context.fillText(sizes[i] ?? '', at.x + LABEL.width / 2, at.y + LABEL.height / 2 + 0.5);
  });
  context.restore();
}

/** What is said beside the pointer: strong and plain words in lines below each other. */
export type BesideLines = readonly (readonly { words: string; strong?: boolean }[])[];

const LINE = 17;
const BESIDE = { across: 16, down: 14 };

/** Paints words on a dark ground beside the pointer: below it and to its right, or where there is room for them. */
export function paintBeside(
  context: CanvasRenderingContext2D,
  pointer: { x: number; y: number },
  window: { width: number; height: number },
  lines: BesideLines,
  { text: ground, ground: ink }: EdgeColours,
): void {
  context.save();
  context.textBaseline = 'middle';
  const set = lines.map((line) => {
    let end = 0;
    return line.map(({ words, strong }) => {
      context.font = strong ? STRONG : REGULAR;
      const start = end;
      end += context.measureText(words).width;
      return { words, font: context.font, start, end };
    });
  });
  const width = Math.max(...set.map((line) => line.at(-1)?.end ?? 0)) + 16;
  const height = lines.length * LINE + 8;
  const x = beside(pointer.x, BESIDE.across, width, window.width);
  const y = beside(pointer.y, BESIDE.down, height, window.height);
  context.fillStyle = ground;
  context.beginPath();
  context.roundRect(x, y, width, height, 6);
  context.fill();
  context.fillStyle = ink;
  set.forEach((line, i) => {
    for (const { words, font, start } of line) {
      context.font = font;
      context.fillText(words, x + 8 + start, y + 4 + (i + 0.5) * LINE);
    }
  });
  context.restore();
}

/** Where something of a length begins that stands beside a point: after it, or before it at the end of the window. */
const beside = (point: number, distance: number, length: number, end: number): number =>
  point + distance + length <= end ? point + distance : Math.max(0, point - distance - length);
