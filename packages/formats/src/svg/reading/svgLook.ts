import { dashesOf, MOST_DASHES } from '../../geometry/dashes';
import type { XmlNode } from './xmlTree';

/** The properties of a drawing that a title block needs to know; everything else is left alone. */
export interface Look {
  fill: string;
  stroke: string;
  /** How much its areas cover of what is below, 0 to 1. */
  fillOpacity: number;
  /** How much its lines cover of it. */
  strokeOpacity: number;
  /** For both of them besides: that of the element by those of all groups over it. */
  opacity: number;
  /** In the file's units. */
  strokeWidth: number;
  /** Dash, gap … in the file's units; none for a continuous line. */
  dashes: readonly number[];
  fontSize: number;
  fontFamily: string;
  anchor: 'left' | 'centre' | 'right';
  shown: boolean;
}

export const FIRST_LOOK: Look = {
  fill: 'black',
  stroke: 'none',
  fillOpacity: 1,
  strokeOpacity: 1,
  opacity: 1,
  strokeWidth: 1,
  dashes: [],
  fontSize: 16,
  fontFamily: '',
  anchor: 'left',
  shown: true,
};

type Rules = ReadonlyMap<string, Readonly<Record<string, string>>>;

const MOST_RULES = 5000;

/** Properties of a style attribute or of the inside of a rule. */
function declarations(text: string): Record<string, string> {
  const found: Record<string, string> = {};
  for (const part of text.split(';')) {
    const colon = part.indexOf(':');
    if (colon > 0) {
      const value = part
        .slice(colon + 1)
        .replace(/!important/, '')
        .trim();
      found[part.slice(0, colon).trim().toLowerCase()] = value;
    }
  }
  return found;
}

/** The rules of style sheets for single classes, elements and ids, which is what drawing programs write. */
export function rulesOf(sheets: readonly string[]): Rules {
  const rules = new Map<string, Record<string, string>>();
  for (const sheet of sheets) {
    for (const [, selectors = '', inside = ''] of sheet
      .replace(/\/\*[^]*?\*\//g, '')
      .matchAll(/([^{}@]{1,400})\{([^{}]{0,4000})\}/g)) {
      for (const selector of selectors.split(',').map((each) => each.trim())) {
        if (!/^[.#]?[\w-]+$/.test(selector) || rules.size >= MOST_RULES) continue;
        rules.set(selector, { ...rules.get(selector), ...declarations(inside) });
      }
    }
  }
  return rules;
}

const ANCHORS: Readonly<Record<string, Look['anchor']>> = { start: 'left', middle: 'centre', end: 'right' };
const UNITS: Readonly<Record<string, number>> = {
  px: 1,
  '': 1,
  pt: 96 / 72,
  mm: 96 / 25.4,
  cm: 96 / 2.54,
  in: 96,
  pc: 16,
};

/** A length of a style in the file's units; pixels where it has a unit of its own. */
function lengthOf(text: string | undefined, em: number): number | undefined {
  const found = /^([-+]?\d*\.?\d+(?:e[-+]?\d+)?)\s*([a-z%]*)$/i.exec(text?.trim() ?? '');
  if (!found) return undefined;
  const unit = (found[2] ?? '').toLowerCase();
  if (unit === 'em') return Number(found[1]) * em;
  const per = UNITS[unit];
  return per === undefined ? undefined : Number(found[1]) * per;
}

/** A pattern of dashes; undefined for what is inherited. */
function patternOf(text: string | undefined, em: number): readonly number[] | undefined {
  if (text === undefined || text === 'inherit') return undefined;
  const lengths = text.split(/[\s,]+/).slice(0, MOST_DASHES);
  return dashesOf(lengths.map((each) => lengthOf(each, em) ?? NaN));
}

/** How much covers what is below, as a number or in per cent; undefined for what is inherited. */
function opacityOf(text: string | undefined): number | undefined {
  const found = /^(\d*\.?\d+)(%?)$/.exec(text?.trim() ?? '');
  return found ? Math.min(1, Number(found[1]) / (found[2] === '%' ? 100 : 1)) : undefined;
}

/** Classes of one element that are looked up. */
const MOST_CLASSES = 100;

/** What the classes of an element say, the last one counting most. */
function classesOf(names: string | undefined, rules: Rules): Record<string, string> {
  const found: Record<string, string> = {};
  for (const name of (names ?? '').split(/\s+/, MOST_CLASSES)) Object.assign(found, rules.get(`.${name}`));
  return found;
}

/** How an element looks: by its own style before its classes, these before its attributes, and these before its parent. */
export function lookOf({ name, attributes }: XmlNode, parent: Look, rules: Rules): Look {
  const own = {
    ...attributes,
    ...rules.get(name),
    ...classesOf(attributes.class, rules),
    ...(attributes.id ? rules.get(`#${attributes.id}`) : undefined),
    ...declarations(attributes.style ?? ''),
  } as Record<string, string | undefined>;
  const inherited = (value: string | undefined): string | undefined => (value === 'inherit' ? undefined : value);
  const hidden = own.display === 'none' || /^(hidden|collapse)$/.test(own.visibility ?? '');
  return {
    fill: inherited(own.fill) ?? parent.fill,
    stroke: inherited(own.stroke) ?? parent.stroke,
    fillOpacity: opacityOf(own['fill-opacity']) ?? parent.fillOpacity,
    strokeOpacity: opacityOf(own['stroke-opacity']) ?? parent.strokeOpacity,
    opacity: parent.opacity * (opacityOf(own.opacity) ?? 1),
    strokeWidth: lengthOf(own['stroke-width'], parent.fontSize) ?? parent.strokeWidth,
    dashes: patternOf(own['stroke-dasharray'], parent.fontSize) ?? parent.dashes,
    fontSize: lengthOf(own['font-size'], parent.fontSize) ?? parent.fontSize,
    fontFamily: inherited(own['font-family']) ?? parent.fontFamily,
    anchor: ANCHORS[own['text-anchor'] ?? ''] ?? parent.anchor,
    shown: parent.shown && !hidden,
  };
}

/** Whether a paint leaves a mark on paper. */
export const isInk = (paint: string): boolean =>
  !/^(none|transparent|#fff|#ffffff|white|rgb\(255, ?255, ?255\))$/i.test(paint);
