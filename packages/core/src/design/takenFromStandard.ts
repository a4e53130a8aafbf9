import { pensOf, rolesOf } from './content';
import type { Design } from './schema';
import { cellsOf } from './visit';

/** Ids of the lettering roles and pens, and names of the sheet sizes, that a design takes from the office standard. */
export function takenFromStandard(design: Design): Record<'roles' | 'pens' | 'sizes', Set<string>> {
  const roles = new Set<string>();
  for (const { cell } of cellsOf(design)) {
    for (const content of cell.contents) {
      for (const role of rolesOf(content)) roles.add(role);
    }
  }
  const pens = new Set([
    design.frame.pen,
    ...design.panels.flatMap(({ outlinePen, dividerPen, edges }) => [
      outlinePen,
      dividerPen,
      ...Object.values(edges ?? {}),
    ]),
    ...(design.loose ?? []).flatMap((each) => ('pen' in each ? [each.pen] : [])),
  ]);
  for (const { cell } of cellsOf(design)) {
    for (const content of cell.contents) for (const pen of pensOf(content)) pens.add(pen);
    for (const pen of Object.values(cell.edges ?? {})) pens.add(pen);
    for (const axis of ['rows', 'columns'] as const) {
      for (const { line } of cell.division?.[axis] ?? []) if (line !== undefined) pens.add(line);
    }
  }
  for (const each of design.loose ?? []) if (each.kind === 'stamp') roles.add(each.role);
  return { roles, pens, sizes: new Set(design.sizes.map((each) => each.size)) };
}
