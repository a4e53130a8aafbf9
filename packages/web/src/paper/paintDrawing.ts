import type { ArcItem, Drawing, FillItem, ImageItem, Item, PieceItem, StrokeItem, TextItem } from '@mendrel/core';
import { beforeTurn, drawnTexts } from '@mendrel/core';
import { fontFamily } from '@mendrel/formats/svg';
import type { Viewport } from './viewport';

/** How a drawing is painted on a canvas. */
export interface Painting {
  /** Where the paper lies, in pixels of the page. */
  viewport: Viewport;
  ink: string;
  /** The thinnest line, in pixels. */
  least: number;
  /** Size of the em by the height of capitals, for texts that are written out; without it they are bars. */
  emPerCapital?: (typeface: string) => number;
  /** Images that are unpacked by now; the place of any other is a grey area. */
  image?: (item: ImageItem | PieceItem) => CanvasImageSource | undefined;
}

/** Bars for texts lower than this, in pixels, are left out. */
const LEAST_BAR = 1.2;

/**
 * Gives a canvas a size in pixels of the page and clears it.
 * @returns what to paint with, in those pixels; nothing where there are no canvases
 */
export function clearedCanvas(
  canvas: HTMLCanvasElement,
  width: number,
  height: number,
): CanvasRenderingContext2D | undefined {
  const context = canvas.getContext('2d');
  if (!context) return undefined;
  const dots = window.devicePixelRatio || 1;
  const [across, down] = [Math.max(1, Math.round(width * dots)), Math.max(1, Math.round(height * dots))];
  // Setting the size clears the canvas too, but has the page around it laid out anew.
  if (canvas.width !== across || canvas.height !== down) {
    canvas.width = across;
    canvas.height = down;
  } else {
    context.resetTransform();
    context.clearRect(0, 0, across, down);
  }
  context.scale(dots, dots);
  return context;
}

/**
 * Paints a drawing: areas, then lines, then the rest in its order. It shows what the SVG writer writes and is for pictures
 * that are drawn again and again, where elements would have to be made, placed and painted by the page each time.
 */
export function paintDrawing(context: CanvasRenderingContext2D, drawing: Drawing, painting: Painting): void {
  const { viewport } = painting;
  context.save();
  context.translate(viewport.x, viewport.y);
  context.scale(viewport.scale, viewport.scale);
  context.miterLimit = 4;
  // Without it letters stand on whole pixels, not where their widths put them.
  context.textRendering = 'geometricPrecision';
  // What lies under the drawing comes first, all of it.
  const over = drawing.items.findIndex(({ under }) => !under);
  if (over > 0) paintItems(context, { ...drawing, items: drawing.items.slice(0, over) }, painting);
  paintItems(context, over > 0 ? { ...drawing, items: drawing.items.slice(over) } : drawing, painting);
  context.restore();
}

function paintItems(context: CanvasRenderingContext2D, drawing: Drawing, painting: Painting): void {
  const { viewport, ink, least } = painting;
  const { fills, pens, rest } = sorted(drawing.items);
  for (const fill of fills) {
    context.fillStyle = fill.colour ?? ink;
    context.globalAlpha = fill.opacity ?? 1;
    context.beginPath();
    for (const ring of fill.rings) trace(context, ring, true, drawing.height);
    context.fill('evenodd');
  }
  for (const lines of pens) {
    const [{ width, colour, dashes, opacity }] = lines;
    context.strokeStyle = colour ?? ink;
    context.globalAlpha = opacity ?? 1;
    context.lineWidth = Math.max(width, least / viewport.scale);
    context.setLineDash(dashes ?? []);
    context.beginPath();
    for (const line of lines) {
      if (line.kind === 'arc') traceArc(context, line, drawing.height);
      else trace(context, line.points, line.closed, drawing.height);
    }
    context.stroke();
  }
  const seen = seenOf(context, viewport);
  for (const item of rest) {
    // Close up, most zone labels lie outside: setting letters that nobody sees takes as long as those that are seen.
    if (item.kind === 'text' && !mayBeSeen(item, drawing.height, seen)) continue;
    context.globalAlpha = item.opacity ?? 1;
    if (item.kind === 'image' || item.kind === 'piece')
      paintImage(context, item, drawing.height, painting.image?.(item));
    else if (painting.emPerCapital) paintWords(context, item, drawing.height, painting, painting.emPerCapital);
    else if (item.height * viewport.scale > LEAST_BAR) paintBar(context, item, drawing.height, ink);
  }
  context.globalAlpha = 1;
}

interface Seen {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The part of the paper that the canvas shows, in mm from its upper-left corner. */
function seenOf({ canvas }: CanvasRenderingContext2D, { scale, x, y }: Painting['viewport']): Seen {
  const dots = window.devicePixelRatio || 1;
  return {
    left: -x / scale,
    top: -y / scale,
    right: (canvas.width / dots - x) / scale,
    bottom: (canvas.height / dots - y) / scale,
  };
}

/** Whether any letter of a text may be in view, however it is turned. */
function mayBeSeen({ at, width, height: capitals }: TextItem, height: number, seen: Seen): boolean {
  const reach = width + 2 * capitals;
  const [x, y] = [at.x, height - at.y];
  return x + reach > seen.left && x - reach < seen.right && y + reach > seen.top && y - reach < seen.bottom;
}

type Line = StrokeItem | ArcItem;

/** The fills, the lines by what they are drawn with, and texts and images. */
function sorted(items: readonly Item[]): {
  fills: FillItem[];
  pens: [Line, ...Line[]][];
  rest: (TextItem | ImageItem | PieceItem)[];
} {
  const fills: FillItem[] = [];
  const pens = new Map<string, [Line, ...Line[]]>();
  const rest: (TextItem | ImageItem | PieceItem)[] = [];
  for (const item of items) {
    if (item.kind === 'fill') fills.push(item);
    else if (item.kind === 'text') rest.push(...drawnTexts(item));
    else if (item.kind === 'image' || item.kind === 'piece') rest.push(item);
    else {
      const key = `${item.width} ${item.colour ?? ''} ${item.dashes?.join() ?? ''} ${item.opacity ?? 1}`;
      const same = pens.get(key);
      if (same) same.push(item);
      else pens.set(key, [item]);
    }
  }
  return { fills, pens: [...pens.values()], rest };
}

function trace(context: CanvasRenderingContext2D, points: readonly number[], closed: boolean, height: number): void {
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [x, y] = [points[i] ?? 0, height - (points[i + 1] ?? 0)];
    if (i === 0) context.moveTo(x, y);
    else context.lineTo(x, y);
  }
  if (closed) context.closePath();
}

function traceArc(context: CanvasRenderingContext2D, { centre, radius, from, to }: ArcItem, height: number): void {
  const radians = (degrees: number): number => (-degrees * Math.PI) / 180;
  const sweep = (((to - from) % 360) + 360) % 360 || 360;
  const [x, y] = [centre.x, height - centre.y];
  context.moveTo(x + radius * Math.cos(radians(from)), y + radius * Math.sin(radians(from)));
  // y points down here, so counter-clockwise on paper is the other way round.
  context.arc(x, y, radius, radians(from), radians(from + sweep), true);
}

/** Goes to where a text begins, along its base line. */
function goTo(context: CanvasRenderingContext2D, { at, rotation }: TextItem, height: number): void {
  context.translate(at.x, height - at.y);
  if (rotation !== 0) context.rotate((-rotation * Math.PI) / 180);
}

function paintWords(
  context: CanvasRenderingContext2D,
  item: TextItem,
  height: number,
  { viewport, ink }: Painting,
  emPerCapital: (typeface: string) => number,
): void {
  const { family, weight } = fontFamily(item.typeface);
  context.save();
  goTo(context, item, height);
  // Set in pixels: letters of a few millimetres, enlarged afterwards, would be those of a tiny font.
  context.scale(item.widthFactor / viewport.scale, 1 / viewport.scale);
  context.font = `${weight} ${item.height * emPerCapital(item.typeface) * viewport.scale}px ${JSON.stringify(family)}`;
  context.fillStyle = item.colour ?? ink;
  context.fillText(item.text, 0, 0);
  context.restore();
}

/** A text as a bar of its width and two thirds of its height, which is what the eye makes of it when it is small. */
function paintBar(context: CanvasRenderingContext2D, item: TextItem, height: number, ink: string): void {
  context.save();
  goTo(context, item, height);
  context.fillStyle = item.colour ?? ink;
  context.globalAlpha *= 0.75;
  context.fillRect(0, -item.height * 0.8, item.width, item.height * 0.65);
  context.restore();
}

function paintImage(
  context: CanvasRenderingContext2D,
  item: ImageItem | PieceItem,
  height: number,
  image: CanvasImageSource | undefined,
): void {
  if (item.kind === 'piece') {
    // A view that is still on its way is left empty: it is larger than all else on the sheet.
    if (image) context.drawImage(image, item.x, height - item.y - item.height, item.width, item.height);
    return;
  }
  const clip = item.clip ?? item;
  context.save();
  if (image) {
    context.beginPath();
    context.rect(clip.x, height - clip.y - clip.height, clip.width, clip.height);
    context.clip();
    if (item.outline) {
      context.beginPath();
      for (let i = 0; i + 1 < item.outline.length; i += 2)
        context.lineTo(item.outline[i] ?? 0, height - (item.outline[i + 1] ?? 0));
      context.clip('evenodd');
    }
    const own = beforeTurn(item);
    context.translate(own.x + own.width / 2, height - own.y - own.height / 2);
    if (item.turn !== undefined) context.rotate((-item.turn * Math.PI) / 180);
    context.drawImage(image, -own.width / 2, -own.height / 2, own.width, own.height);
  } else {
    context.globalAlpha *= 0.25;
    context.fillRect(clip.x, height - clip.y - clip.height, clip.width, clip.height);
  }
  context.restore();
}
