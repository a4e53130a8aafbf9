import type { TextItem } from '../../drawing';
import type { TextLayout } from '../../layout';
import { patternKeys } from '../../parameter';
import type { OfficeStandard } from '../../standard';
import { parametersOf, roleOf } from '../../standard';
import { colourOf, layerName } from '../layers';

/** How a field is called in exported files, line by line. */
export type FieldTags = (pattern: string, cell: string) => (line: number) => NonNullable<TextItem['field']>;

const asTag = (words: string): string =>
  words
    .normalize('NFD')
    .replace(/\p{M}+/gu, '')
    .replace(/[^A-Za-z0-9]+/g, '_')
    .replace(/^_|_$/g, '')
    .toUpperCase();

/**
 * Gives each field of a sheet a tag of its own, made from its parameters: SHEET_NUMBER, PROJECT_NAME … Where two fields ask for the
 * same, the second is told apart by its cell, SHEET_TITLE_KEY_PLAN, and further lines of one by their number,
 * SHEET_TITLE_LINE_2.
 */
export function fieldTags(standard: OfficeStandard): FieldTags {
  const used = new Set<string>();
  const next = new Map<string, number>();
  const parameters = parametersOf(standard);
  return (pattern, cell) => {
    const keys = patternKeys(pattern);
    const parameter = keys[0] ?? '';
    const base = keys.map(asTag).join('_').slice(0, 60) || 'TEXT';
    const named = used.has(base) && asTag(cell) !== '' ? `${base}_${asTag(cell)}`.slice(0, 90) : base;
    let tag = named;
    // Hundreds of cells may ask for the same: the numbers that are taken are not tried again.
    let n = next.get(named) ?? 2;
    while (used.has(tag)) tag = `${named}_${n++}`;
    next.set(named, n);
    used.add(tag);
    const prompt = parameters.get(parameter)?.name ?? base;
    return (line) => {
      const own = line === 0 ? tag : `${tag}_LINE_${line + 1}`;
      used.add(own);
      return { tag: own, prompt: line === 0 ? prompt : `${prompt}, line ${line + 1}`, parameter };
    };
  };
}

/** A text of the layout as one item a line. */
export function textItems(text: TextLayout, standard: OfficeStandard, tags: FieldTags, cell: string): TextItem[] {
  const role = roleOf(standard, text.role);
  const tagOf = text.pattern === undefined ? undefined : tags(text.pattern, cell);
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
