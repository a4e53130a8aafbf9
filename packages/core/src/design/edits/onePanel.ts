import { namesIn } from '../dimensionUse';
import { formulasIn } from '../formulas';
import type { Panel } from '../panel';
import type { Design, Dimension } from '../schema';

/** A design of one panel only, with some dimensions. */
export function onlyPanel(panel: Panel, from: Design, dimensions: readonly Dimension[]): Design {
  const alone = { ...from, panels: [panel], dimensions: [...dimensions] };
  delete alone.loose;
  return { ...alone, frame: { ...from.frame, margins: 'standard' } };
}

/** The dimensions that a panel is measured by, and those that these are computed from, in the order in which they stand. */
export function dimensionsOfPanel(panel: Panel, from: Design): Dimension[] {
  const names = new Set<string>();
  const add = (text: string): void => {
    for (const name of namesIn(text)) {
      if (names.has(name)) continue;
      names.add(name);
      const dimension = from.dimensions.find((each) => each.name === name);
      if (dimension) for (const each of [dimension.formula, ...Object.values(dimension.bySize ?? {})]) add(each);
    }
  };
  for (const { text } of formulasIn(onlyPanel(panel, from, []))) add(text);
  return from.dimensions.filter(({ name }) => names.has(name));
}
