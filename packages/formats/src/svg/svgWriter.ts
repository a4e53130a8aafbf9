import type { Drawing, ImageItem, Item, PieceItem, Point, Rect, TextItem } from '@mendrel/core';
import { beforeTurn, drawnTexts } from '@mendrel/core';
import { shortNumber as n } from './shortNumber';

/** How a drawing is written as SVG. */
export interface SvgOptions {
  /** Size of the em of a typeface as a multiple of its capitals' height. */
  emPerCapital: (typeface: string) => number;
  /** Colour of lines, fills and texts that have none of their own; `currentColor` on screen. */
  ink?: string;
  /** Where an image that is kept beside the drawing is fetched from; files hold theirs inside. */
  assetAddress?: (asset: string) => string;
  /** Where the picture of a piece of a view's drawing is fetched from. */
  pieceAddress?: (piece: PieceItem) => string;
  /** Adds data-cell and data-layer attributes for hit testing. */
  marked?: boolean;
  /** The point on paper that the coordinates are measured from; the upper left corner of the sheet when left out. */
  origin?: Point;
}

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };

/** Escapes text for XML; characters XML cannot hold are left out. */
export const escapeXml = (text: string): string =>
  text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '').replace(/[&<>"']/g, (c) => ESCAPES[c] ?? c);

export function pathData(points: readonly number[], closed: boolean, from: Point): string {
  let [data, beforeX, beforeY] = ['', '', ''];
  for (let i = 0; i + 1 < points.length; i += 2) {
    const x = n((points[i] ?? 0) - from.x);
    const y = n(from.y - (points[i + 1] ?? 0));
    // Most lines of plans and title blocks are level or upright, and half as much is to be written of them, and read again.
    if (i === 0) data += `M${x} ${y}`;
    else if (y === beforeY) data += `H${x}`;
    else if (x === beforeX) data += `V${y}`;
    else data += `L${x} ${y}`;
    beforeX = x;
    beforeY = y;
  }
  return closed ? `${data}Z` : data;
}

export function arcData(item: Extract<Item, { kind: 'arc' }>, origin: Point): string {
  const { centre, radius, from, to } = item;
  const at = (degrees: number): string => {
    const turn = (degrees * Math.PI) / 180;
    return `${n(centre.x - origin.x + radius * Math.cos(turn))} ${n(origin.y - centre.y - radius * Math.sin(turn))}`;
  };
  const sweep = (((to - from) % 360) + 360) % 360 || 360;
  if (sweep === 360) {
    return `M${at(0)}A${n(radius)} ${n(radius)} 0 1 0 ${at(180)}A${n(radius)} ${n(radius)} 0 1 0 ${at(0)}Z`;
  }
  // y points down in SVG, so a counter-clockwise arc has sweep flag 0.
  return `M${at(from)}A${n(radius)} ${n(radius)} 0 ${sweep > 180 ? 1 : 0} 0 ${at(to)}`;
}

function textMarkup(item: TextItem, origin: Point, options: SvgOptions, ink: string, mark: string): string {
  if (item.text === '') return '';
  const [x, y] = [n(item.at.x - origin.x), n(origin.y - item.at.y)];
  const turn = item.rotation === 0 ? '' : ` rotate(${n(-item.rotation)})`;
  const stretch = Math.abs(item.widthFactor - 1) < 1e-6 ? '' : ` scale(${n(item.widthFactor)} 1)`;
  const size = item.height * options.emPerCapital(item.typeface);
  const { family, weight } = fontFamily(item.typeface);
  return `<text transform="translate(${x} ${y})${turn}${stretch}" font-family="${escapeXml(plain(family) ? family : cssString(family))}" font-weight="${weight}" font-size="${n(size)}" fill="${ink}"${mark} xml:space="preserve">${escapeXml(item.text)}</text>`;
}

/** The family and weight under which a typeface's name is known to style sheets. */
export function fontFamily(typeface: string): { family: string; weight: number } {
  const strong = / SemiBold$/.test(typeface);
  return { family: typeface.replace(/ SemiBold$/, ''), weight: strong ? 600 : 400 };
}

/** The elements of a drawing, one a line, in an SVG coordinate system of mm with y down. */
export function svgMarkup(items: readonly Item[], height: number, options: SvgOptions): string {
  const ink = escapeXml(options.ink ?? '#000000');
  const origin = options.origin ?? { x: 0, y: height };
  const lines = items.map((item) => {
    const own = item.colour ?? ink;
    const cell = options.marked && item.cell ? ` data-cell="${escapeXml(item.cell)}"` : '';
    const mark = item.opacity === undefined ? cell : `${cell} opacity="${n(item.opacity)}"`;
    switch (item.kind) {
      case 'stroke':
        return strokeMarkup(
          pathData(item.points, item.closed, origin),
          item,
          own,
          ` stroke-width="${n(item.width)}"`,
          mark,
        );
      case 'arc':
        return strokeMarkup(arcData(item, origin), item, own, ` stroke-width="${n(item.width)}"`, mark);
      case 'fill':
        return `<path d="${item.rings.map((ring) => pathData(ring, true, origin)).join('')}" fill="${own}" fill-rule="evenodd"${mark}/>`;
      case 'text':
        return drawnTexts(item)
          .map((each) => textMarkup(each, origin, options, own, mark))
          .join('');
      case 'image':
        return imageMarkup(item, origin, mark, options);
      case 'piece': {
        // Files have its items in its place; on screen it is a picture that is fetched.
        const address = options.pieceAddress?.(item);
        const at = `x="${n(item.x - origin.x)}" y="${n(origin.y - item.y - item.height)}"`;
        return address === undefined
          ? ''
          : `<image ${at} width="${n(item.width)}" height="${n(item.height)}" preserveAspectRatio="none" href="${escapeXml(address)}"${mark}/>`;
      }
    }
  });
  return lines.filter((line) => line !== '').join('\n');
}

/** An image with its file inside; one that is cut stands in a view of its own that ends at the cut. */
function imageMarkup(item: ImageItem, origin: Point, mark: string, { assetAddress }: SvgOptions): string {
  const box = (rect: Rect): string =>
    `x="${n(rect.x - origin.x)}" y="${n(origin.y - rect.y - rect.height)}" width="${n(rect.width)}" height="${n(rect.height)}"`;
  const { file, type } = item;
  const address = 'data' in file ? `data:image/${type};base64,${file.data}` : (assetAddress?.(file.asset) ?? '');
  const own = beforeTurn(item);
  const middle = `${n(own.x + own.width / 2 - origin.x)} ${n(origin.y - own.y - own.height / 2)}`;
  const turn = item.turn === undefined ? '' : ` transform="rotate(${-item.turn} ${middle})"`;
  const plain = `<image ${box(own)}${turn} preserveAspectRatio="none" href="${escapeXml(address)}"${mark}/>`;
  const image = item.outline ? withinOutline(plain, item.outline, origin) : plain;
  if (!item.clip) return image;
  const { x, y, width, height: tall } = item.clip;
  const view = `${n(x - origin.x)} ${n(origin.y - y - tall)} ${n(width)} ${n(tall)}`;
  return `<svg ${box(item.clip)} viewBox="${view}">${image}</svg>`;
}

/** Markup of which only what lies within an outline is shown. Outlines of one name are the same, whatever else is on the page. */
function withinOutline(markup: string, outline: readonly number[], origin: Point): string {
  const points = outline.map((each, i) => n(i % 2 === 0 ? each - origin.x : origin.y - each)).join(' ');
  const id = `within${nameOfPoints(points)}`;
  const path = `<polygon points="${points}" clip-rule="evenodd"/>`;
  return `<clipPath id="${id}">${path}</clipPath><g clip-path="url(#${id})">${markup}</g>`;
}

/** A short name of points: FNV-1a. */
function nameOfPoints(points: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < points.length; i++) hash = Math.imul(hash ^ points.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(36);
}

function strokeMarkup(data: string, look: StrokeLook, ink: string, plainWidth = '', mark = ''): string {
  return `<path d="${data}"${strokeLook(look, ink, plainWidth)}${mark}/>`;
}

/** How a line looks, in mm. */
type StrokeLook = { width: number; dashes?: number[] };

/** The attributes of a line, or of several that look the same. */
export function strokeLook({ width, dashes }: StrokeLook, ink: string, plainWidth = ''): string {
  const pattern = dashes ? ` stroke-dasharray="${dashes.map(n).join(' ')}"` : '';
  return ` fill="none" stroke="${ink}"${plainWidth}${pattern} style="stroke-width:max(${n(width)}px,var(--least-line,0px))"`;
}

/**
 * A name as a string of a style sheet that stands within XML: whatever could end the string, the sheet or the element is
 * written by its code (CSS Syntax Level 3, escapes).
 */
const cssString = (text: string): string =>
  `"${text.replace(/[^\w \u00a0-\uffff-]/g, (c) => `\\${c.charCodeAt(0).toString(16)} `)}"`;

const plain = (family: string): boolean => /^[\w -]+$/.test(family);

/**
 * A whole SVG file at true size.
 * @param fonts font files to carry along by typeface name, so that the lettering shows wherever the file is opened
 */
export function writeSvg(drawing: Drawing, options: SvgOptions, fonts?: ReadonlyMap<string, string>): string {
  const used = new Set(
    drawing.items.flatMap((item) => (item.kind === 'text' ? drawnTexts(item).map(({ typeface }) => typeface) : [])),
  );
  const faces = new Map([...(fonts ?? [])].filter(([name]) => used.has(name)));
  return svgFile(drawing, svgMarkup(drawing.items, drawing.height, options), faces);
}

/**
 * Elements as a whole SVG file at true size.
 * @param fonts files of the typefaces that they are lettered in, as base64
 */
export function svgFile(
  { width, height }: Pick<Drawing, 'width' | 'height'>,
  markup: string,
  fonts: ReadonlyMap<string, string>,
): string {
  const faces = [...fonts].map(([name, base64]) => {
    const { family, weight } = fontFamily(name);
    return `@font-face{font-family:${cssString(family)};font-weight:${weight};src:url(data:font/ttf;base64,${base64}) format("truetype")}`;
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="0 0 ${n(width)} ${n(height)}">`,
    ...(faces.length > 0 ? [`<style>${faces.join('')}</style>`] : []),
    '<g stroke-linecap="butt" stroke-linejoin="miter">',
    markup,
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}
