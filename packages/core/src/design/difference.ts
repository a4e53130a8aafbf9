import { dequal } from 'dequal/lite';
import type { Cell, Track } from './cell';
import { kindOf, quoted } from './content';
import type { Loose } from './loose';
import type { Panel } from './panel';
import { moduleWords } from './modules';
import type { Design } from './schema';
import { trackInWords, writeTracks } from './tracks';
import { cellLabel, cellsOf } from './visit';

/** One change between two states of a design, in words, with the cell it concerns. */
export interface DesignDifference {
  words: string;
  cell?: string;
}

const looseWords = (loose: Loose): string =>
  loose.kind === 'stamp'
    ? `the stamp ${quoted(loose.pattern)}`
    : loose.kind === 'picture'
      ? `the picture ${quoted(loose.name)} on the sheet`
      : `a free ${loose.kind}`;

/** What differs between two states of a design, in plain words. */
export function designDifferences(before: Design, after: Design): DesignDifference[] {
  const found: DesignDifference[] = [];
  const say = (words: string, cell?: string): void => {
    found.push(cell === undefined ? { words } : { words, cell });
  };
  const changed = (what: string, was: string | undefined, is: string | undefined, cell?: string): void => {
    if (was === is) return;
    if (was === undefined) say(`${what}: ${is} is new`, cell);
    else if (is === undefined) say(`${what}: ${was} is gone`, cell);
    else say(`${what}: ${was} → ${is}`, cell);
  };
  changed('name', before.name, after.name);
  changed('unit', before.unit, after.unit);
  sizes(before, after, say);
  dimensions(before, after, changed);
  for (const key of ['margins', 'pen', 'trimLine', 'zones', 'centringMarks', 'trimmingMarks', 'foldMarks'] as const) {
    if (dequal(before.frame[key], after.frame[key])) continue;
    const inWords = (value: Design['frame'][typeof key]): string | undefined =>
      typeof value === 'object' ? Object.values(value).join(', ') : value === undefined ? undefined : String(value);
    changed(`frame, ${key}`, inWords(before.frame[key]), inWords(after.frame[key]));
  }
  if (!dequal(before.modules, after.modules)) {
    changed('module grid', moduleWords(before.modules), moduleWords(after.modules));
  }
  panels(before, after, say, changed);
  cells(before, after, say, changed);
  list(before.loose ?? [], after.loose ?? [], looseWords, (words) => say(words));
  return found;
}

type Say = (words: string, cell?: string) => void;
type Changed = (what: string, was: string | undefined, is: string | undefined, cell?: string) => void;

function sizes(before: Design, after: Design, say: Say): void {
  for (const each of after.sizes) {
    const was = before.sizes.find((other) => other.size === each.size);
    if (!was) say(`size ${each.size} is new`);
    else if (was.orientation !== each.orientation) say(`${each.size} is ${each.orientation} now`);
  }
  for (const each of before.sizes) {
    if (!after.sizes.some((other) => other.size === each.size)) say(`size ${each.size} is gone`);
  }
}

function dimensions(before: Design, after: Design, changed: Changed): void {
  const names = new Set([...before.dimensions, ...after.dimensions].map((each) => each.name));
  for (const name of names) {
    const was = before.dimensions.find((each) => each.name === name);
    const is = after.dimensions.find((each) => each.name === name);
    changed(`dimension ${name}`, was?.formula, is?.formula);
    if (!was || !is) continue;
    const own = new Set([...Object.keys(was.bySize ?? {}), ...Object.keys(is.bySize ?? {})]);
    for (const size of own) {
      changed(`${name} on ${size}`, was.bySize?.[size] ?? was.formula, is.bySize?.[size] ?? is.formula);
    }
  }
}

const keysOf = <K extends string>(of: Readonly<Record<K, unknown>>): K[] => Object.keys(of) as K[];

function panels(before: Design, after: Design, say: Say, changed: Changed): void {
  for (const panel of after.panels) {
    const was = before.panels.find((each) => each.id === panel.id);
    if (!was) {
      say(`panel ${panel.name} is new`, panel.root.id);
      continue;
    }
    for (const key of keysOf(PANEL_WORDS)) {
      const [before, now] = [was[key], panel[key]].map((value) => (typeof value === 'boolean' ? 'yes' : value));
      changed(`${panel.name}, ${PANEL_WORDS[key]}`, before, now, panel.root.id);
    }
    if (!dequal(was.edges, panel.edges)) say(`${panel.name}: its edges have other pens`, panel.root.id);
  }
  for (const panel of before.panels) {
    if (!after.panels.some((each) => each.id === panel.id)) say(`panel ${panel.name} is gone`);
  }
  const order = (design: Design, other: Design): string =>
    design.panels
      .filter((panel) => other.panels.some((each) => each.id === panel.id))
      .map((panel) => panel.id)
      .join();
  if (order(before, after) !== order(after, before)) say('the panels dock in another order');
}

/** What is compared of a panel besides its cells and the pens of its edges. */
const PANEL_WORDS: Readonly<Record<Exclude<keyof Panel, 'id' | 'root' | 'edges' | 'locked'>, string>> = {
  name: 'name',
  dock: 'place',
  anchor: 'anchor',
  x: 'distance across',
  y: 'distance up',
  width: 'width',
  height: 'height',
  when: 'shown when',
  outlinePen: 'outline',
  distance: 'distance from the frame',
  overlay: 'takes no room from views',
  leaves: 'what it leaves to views',
  dividerPen: 'dividers',
};

function cells(before: Design, after: Design, say: Say, changed: Changed): void {
  const was = new Map([...cellsOf(before)].map(({ cell }) => [cell.id, cell]));
  const is = new Map([...cellsOf(after)].map(({ cell }) => [cell.id, cell]));
  const samePanel = (id: string, of: Map<string, Cell>): boolean => of.has(id);
  for (const [id, cell] of is) {
    const old = was.get(id);
    if (old === cell) continue;
    const label = cellLabel(cell);
    if (!old) {
      // The first cell of a new panel goes with the panel's own words.
      if (!after.panels.some((panel) => panel.root.id === id)) say(`cell ${label} is new`, id);
      continue;
    }
    if (old.name !== cell.name) changed('cell', quoted(old.name), quoted(cell.name), id);
    changed(`${label}, padding`, old.padding, cell.padding, id);
    changed(`${label}, shown when`, old.when, cell.when, id);
    changed(`${label}, ground`, old.fill, cell.fill, id);
    if (!dequal(old.edges, cell.edges)) say(`${label}: its edges have other pens`, id);
    list(
      old.contents,
      cell.contents,
      (each) => kindOf(each).inWords(each),
      (words) => say(`${label}: ${words}`, id),
    );
    divisions(label, old, cell, changed, say);
  }
  for (const [id, cell] of was) {
    if (samePanel(id, is) || before.panels.some((panel) => panel.root.id === id)) continue;
    say(`cell ${cellLabel(cell)} is gone`);
  }
}

function divisions(label: string, old: Cell, cell: Cell, changed: Changed, say: Say): void {
  if (!old.division && !cell.division) return;
  if (!old.division || !cell.division) {
    say(cell.division ? `${label} is divided` : `${label} is no longer divided`, cell.id);
    return;
  }
  for (const axis of ['rows', 'columns'] as const) {
    const [was, is] = [old.division[axis], cell.division[axis]];
    const [wasGap, isGap] = [old.division.gaps?.[axis], cell.division.gaps?.[axis]];
    if (wasGap !== isGap) changed(`${label}, gap between ${axis}`, wasGap ?? 'none', isGap ?? 'none', cell.id);
    if (was.length === is.length) {
      is.forEach((track, i) => {
        const before = was[i] as Track;
        const name = `${label}, ${axis === 'rows' ? 'row' : 'column'} ${i + 1}`;
        changed(name, trackInWords(before, 'mm'), trackInWords(track, 'mm'), cell.id);
        if (before.line !== track.line)
          changed(`${name}, line after it`, before.line ?? 'as the panel', track.line ?? 'as the panel', cell.id);
      });
    } else changed(`${label}, ${axis}`, writeTracks(was, 'mm'), writeTracks(is, 'mm'), cell.id);
  }
}

/** What is new, gone or different in a list of things with ids. */
function list<T extends { id: string }>(
  before: readonly T[],
  after: readonly T[],
  inWords: (each: T) => string,
  say: (words: string) => void,
): void {
  for (const each of after) {
    const was = before.find((other) => other.id === each.id);
    if (!was) say(`${inWords(each)} is new`);
    else if (!dequal(was, each)) {
      const keys = Object.keys({ ...was, ...each }).filter(
        (key) => !dequal((was as Record<string, unknown>)[key], (each as Record<string, unknown>)[key]),
      );
      say(`${inWords(was)} has another ${keys.join(', ')}`);
    }
  }
  for (const each of before) if (!after.some((other) => other.id === each.id)) say(`${inWords(each)} is gone`);
}
