import type { Finding } from '../../check';
import type { SymbolContent, SymbolName } from '../../design';
import { SYMBOL_WORDS } from '../../design';
import type { Rect } from '../../geometry';
import { around } from '../../geometry';
import type { Values } from '../../parameter';
import type { OfficeStandard, OwnSymbol } from '../../standard';
import { parametersOf } from '../../standard';
import type { BoxKind, PlacedBox, Room } from './kind';
import { missingValues } from './missingValues';
import { tooLarge } from './tooLarge';
import { within } from './within';

/** Width of a symbol that ships as a part of its height. */
export const SYMBOL_PROPORTION: Readonly<Record<SymbolName, number>> = {
  north: 1,
  'first angle': 2.2,
  'third angle': 2.2,
};

export type SymbolLayout = PlacedBox<SymbolContent>;

/** The office's own symbol that a content shows. */
export const ownSymbolOf = (
  { symbol, own }: Pick<SymbolContent, 'symbol' | 'own'>,
  { symbols }: Pick<OfficeStandard, 'symbols'>,
): OwnSymbol | undefined => (symbol === 'own' ? symbols?.find(({ id }) => id === own) : undefined);

function proportionOf(content: SymbolContent, standard: OfficeStandard): number {
  if (content.symbol !== 'own') return SYMBOL_PROPORTION[content.symbol];
  const own = ownSymbolOf(content, standard);
  return own ? own.width / own.height : 1;
}

/** Degrees at the start of a value, such as `12°` or `-7,5`. */
const DEGREES = /^\s*([-−+]?\d+(?:[.,]\d+)?)/;

/** Degrees by which data turns a symbol clockwise, as on a compass; 0 without a value that says any. */
export function symbolTurn({ symbol, turnedBy }: SymbolContent, values: Values): number {
  const key = turnedBy ?? (symbol === 'north' ? 'project.northAngle' : undefined);
  const [, degrees] = DEGREES.exec(key === undefined ? '' : (values[key] ?? '')) ?? [];
  return degrees === undefined ? 0 : Number(degrees.replace('−', '-').replace(',', '.'));
}

/** Places that a symbol reaches to, in its own box; circles and arcs by the square around them. */
function placesOf({ linework }: OwnSymbol): (readonly [number, number])[] {
  const pairs = (list: readonly number[]): (readonly [number, number])[] =>
    Array.from({ length: Math.floor(list.length / 2) }, (_, i) => [list[2 * i] ?? 0, list[2 * i + 1] ?? 0]);
  return linework.flatMap((piece) => {
    if (piece.kind === 'stroke') return pairs(piece.points);
    if (piece.kind === 'fill') return piece.rings.flatMap(pairs);
    return CIRCLE.map(([x, y]) => [piece.centre[0] + x * piece.radius, piece.centre[1] + y * piece.radius] as const);
  });
}

/** Places on a circle, close enough that no turn of them misses a hundredth of its radius. */
const CIRCLE = Array.from(
  { length: 48 },
  (_, i) => [Math.cos((i * Math.PI) / 24), Math.sin((i * Math.PI) / 24)] as const,
);

/** The extent of a symbol that is turned about its base point, as it stands in its box. */
function turnedExtent(box: Rect, own: OwnSymbol, degrees: number): Rect {
  const turn = (-degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const { base, height } = own;
  const scale = box.height / height;
  const places = placesOf(own).map(([x, y]): Rect => {
    const [u, v] = [(x - base.x) * scale, (y - base.y) * scale];
    return {
      x: box.x + base.x * scale + c * u - s * v,
      y: box.y + base.y * scale + s * u + c * v,
      width: 0,
      height: 0,
    };
  });
  return around(places) ?? box;
}

/** How far something is moved so that it lies within, where it can. */
const inwards = (from: number, length: number, least: number, room: number): number =>
  length > room
    ? least + (room - length) / 2 - from
    : Math.max(0, least - from) + Math.min(0, least + room - from - length);

/** What is said of an own symbol that is gone, and of a value that turns nothing. */
function symbolFindings(content: SymbolContent, room: Room): Finding[] {
  const { cell, setting } = room;
  const where = { cell: cell.id, content: content.id };
  const findings: Finding[] = [];
  if (content.symbol === 'own' && !ownSymbolOf(content, setting.standard)) {
    findings.push({
      kind: 'unknown',
      weight: 'error',
      message: 'a symbol of the office is not in its standard any more',
      where,
      mend: 'choose another symbol, or add it to the office standard',
    });
  }
  const { turnedBy } = content;
  if (turnedBy === undefined) return findings;
  const value = setting.values[turnedBy] ?? '';
  const missing = { missing: value === '' ? [turnedBy] : [], spared: [] };
  findings.push(...missingValues(content.id, 'the symbol', missing, room));
  if (value !== '' && !DEGREES.test(value)) {
    const name = parametersOf(setting.standard).get(turnedBy)?.name ?? turnedBy;
    findings.push({
      kind: 'unknown',
      weight: 'gap',
      message: `${name} is “${value}”, and a symbol is turned by degrees`,
      where: { ...where, parameter: turnedBy },
      mend: 'enter degrees clockwise, such as 12°',
    });
  }
  return findings;
}

/** A symbol stands at its exact height; one of the office's own is turned about its base point, and moved into its cell where it then leaves it. */
export const symbols: BoxKind<SymbolContent, SymbolLayout> = {
  extent: (content, { length, setting }) => {
    const height = length(content.height);
    return { width: height * proportionOf(content, setting.standard), height };
  },
  lay: (content, room) => {
    const { cell, inner, setting } = room;
    const extent = symbols.extent(content, room);
    const box = within(inner, extent, content);
    const own = ownSymbolOf(content, setting.standard);
    // What data turns is where it is, however the symbol stands in its cell.
    const degrees = content.turnedBy === undefined ? 0 : symbolTurn(content, setting.values) + content.rotation;
    const turned = own && degrees !== 0 ? turnedExtent(box, own, degrees) : undefined;
    const words = own ? `the symbol ${own.name}` : `the ${SYMBOL_WORDS[content.symbol].toLowerCase()}`;
    return {
      placed: {
        cell: cell.id,
        content,
        ...box,
        x: box.x + (turned ? inwards(turned.x, turned.width, inner.x, inner.width) : 0),
        y: box.y + (turned ? inwards(turned.y, turned.height, inner.y, inner.height) : 0),
      },
      findings: [
        ...symbolFindings(content, room),
        ...tooLarge(
          turned ?? extent,
          inner,
          room,
          content.id,
          turned ? `${words}, turned by ${degrees}°,` : words,
          (by) => `make the symbol smaller, or the cell ${by} larger`,
        ),
      ],
    };
  },
  inOverlaps: ({ symbol }) => (symbol === 'own' ? 'a symbol' : `the ${symbol} symbol`),
};
