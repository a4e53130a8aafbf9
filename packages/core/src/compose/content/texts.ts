import type { Item, TextItem } from '../../drawing';
import type { TextLayout } from '../../layout';
import { patternKeys } from '../../parameter';
import { markedItems } from './markedTexts';
import type { OfficeStandard } from '../../standard';
import { parametersOf, roleOf } from '../../standard';
import { colourOf, layerName } from '../layers';

/** What a line of data is called in exported files. */
type LineTag = (line: number) => NonNullable<TextItem['field']>;

/** How the data of a sheet is called in exported files, line by line; no two tags are the same. */
export interface SheetTags {
  /** A field, by its pattern and the name of its cell. */
  field: (pattern: string, cell: string) => LineTag;
  /** A row's part in a column of a table, rows from 0 on. */
  row: (table: string, row: number, column: string) => LineTag;
}

const knownTags = new Map<string, string>();

/** Words as a tag of letters, figures and underscores. The same headings are asked for with each row. */
function asTag(words: string): string {
  let tag = knownTags.get(words);
  if (tag === undefined) {
    tag = words
      .normalize('NFD')
      .replace(/\p{M}+/gu, '')
      .replace(/[^A-Za-z0-9]+/g, '_')
      .replace(/^_|_$/g, '')
      .toUpperCase();
    if (knownTags.size > 2000) knownTags.clear();
    knownTags.set(words, tag);
  }
  return tag;
}

/**
 * Gives each field of a sheet a tag of its own, made from its parameters: SHEET_NUMBER, PROJECT_NAME … Where two fields ask for the
 * same, the second is told apart by its cell, SHEET_TITLE_KEY_PLAN, and further lines of one by their number,
 * SHEET_TITLE_LINE_2. Data of tables is called by table, row and column: REVISIONS_1_DATE.
 */
export function sheetTags(standard: OfficeStandard): SheetTags {
  const used = new Set<string>();
  const next = new Map<string, number>();
  const parameters = parametersOf(standard);
  const tagged = (named: string, prompt: string, parameter: string): LineTag => {
    let tag = named;
    // Hundreds of cells may ask for the same: the numbers that are taken are not tried again.
    let n = next.get(named) ?? 2;
    while (used.has(tag)) tag = `${named}_${n++}`;
    next.set(named, n);
    used.add(tag);
    return (line) => {
      const own = line === 0 ? tag : `${tag}_LINE_${line + 1}`;
      used.add(own);
      return { tag: own, prompt: line === 0 ? prompt : `${prompt}, line ${line + 1}`, parameter };
    };
  };
  return {
    field: (pattern, cell) => {
      const keys = patternKeys(pattern);
      const parameter = keys[0] ?? '';
      const base = keys.map(asTag).join('_').slice(0, 60) || 'TEXT';
      const named = used.has(base) && asTag(cell) !== '' ? `${base}_${asTag(cell)}`.slice(0, 90) : base;
      return tagged(named, parameters.get(parameter)?.name ?? base, parameter);
    },
    row: (table, row, column) => {
      const named = `${asTag(table) || 'TABLE'}_${row + 1}_${asTag(column) || 'TEXT'}`.slice(0, 90);
      return tagged(named, `${table} ${row + 1}, ${column}`, '');
    },
  };
}

/** A text of the layout as one item a line; lines in which words stand out, as one a part, with the lines under words. */
export function textItems(text: TextLayout, standard: OfficeStandard, tags: SheetTags, cell: string): Item[] {
  return text.lines.some(({ segments }) => segments)
    ? markedItems(text, standard)
    : lineItems(text, standard, tags, cell);
}

function lineItems(text: TextLayout, standard: OfficeStandard, tags: SheetTags, cell: string): TextItem[] {
  const role = roleOf(standard, text.role);
  const tagOf = text.pattern === undefined ? undefined : tags.field(text.pattern, cell);
  return text.lines.map((line, i) => {
    const item: TextItem = {
      kind: 'text',
      text: line.text,
      at: { x: line.x, y: line.y },
      height: text.height,
      width: line.width,
      widthFactor: text.widthFactor,
      rotation: text.rotation,
      typeface: role?.typeface ?? '',
      role: text.role,
      ...colourOf(standard, role?.pen ?? ''),
      layer: layerName(standard, text.pattern === undefined ? 'captions' : 'values'),
      part: 'block',
      cell: text.cell,
    };
    if (text.horizontal !== 'left') item.align = text.horizontal;
    if (i > 0) item.follows = true;
    if (tagOf) item.field = tagOf(i);
    return item;
  });
}
