import type { TextItem } from '../../drawing';
import type { TextLayout } from '../../layout';
import { patternKeys } from '../../parameter';
import type { OfficeStandard } from '../../standard';
import { parametersOf, roleOf } from '../../standard';
import { colourOf, layerName } from '../layers';

/** Gives each field of a sheet a tag of its own, made from its parameters: SHEET_NUMBER, PROJECT_NAME … */
export function fieldTags(
  standard: OfficeStandard,
): (pattern: string) => { tag: string; prompt: string; parameter: string } {
  const used = new Set<string>();
  const next = new Map<string, number>();
  const parameters = parametersOf(standard);
  return (pattern) => {
    const keys = patternKeys(pattern);
    const parameter = keys[0] ?? '';
    const base =
      keys
        .map((key) => key.replace(/[^A-Za-z0-9]+/g, '_').toUpperCase())
        .join('_')
        .slice(0, 60) || 'TEXT';
    let tag = base;
    for (let n = next.get(base) ?? 2; used.has(tag); n++) {
      tag = `${base}_${n}`;
      next.set(base, n + 1);
    }
    used.add(tag);
    return { tag, prompt: parameters.get(parameter)?.name ?? base, parameter };
  };
}

/** A text of the layout as one item a line. */
export function textItems(
  text: TextLayout,
  standard: OfficeStandard,
  tagFor: ReturnType<typeof fieldTags>,
): TextItem[] {
  const role = roleOf(standard, text.role);
  const field = text.kind === 'field' ? text.pattern : undefined;
  return text.lines.map((line) => {
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
      layer: layerName(standard, text.kind === 'field' ? 'values' : 'captions'),
      part: 'block',
      cell: text.cell,
    };
    if (field !== undefined) item.field = tagFor(field);
    return item;
  });
}
