import { dequal } from 'dequal/lite';
import { renameInFormula } from '../../formula';
import { mapFormulas } from '../formulas';
import { MOST_PANELS } from '../panel';
import type { Design, Dimension } from '../schema';
import { withoutSize } from './designEdits';
import { assertUnlocked, copyOf, EditError, idMaker } from './editing';
import { dimensionsOfPanel, onlyPanel } from './onePanel';

/**
 * Adds a panel of another design, with the dimensions that it is measured by. A dimension that is there under the same name and says the
 * same is taken; one that says something else keeps its name, and the panel's own comes under another.
 * @throws EditError where the design is locked or full, or the panel is gone
 */
export function takePanel(design: Design, from: Design, id: string): Design {
  assertUnlocked(design);
  const panel = from.panels.find((each) => each.id === id);
  if (!panel) throw new EditError('that panel is no longer in the other design');
  if (design.panels.length >= MOST_PANELS) throw new EditError(`a design has at most ${MOST_PANELS} panels`);
  const needed = withoutSize(dimensionsOfPanel(panel, from), (name) => design.sizes.some(({ size }) => size === name));
  const taken = new Set([...design.dimensions, ...needed].map(({ name }) => name));
  const renamed = new Map<string, string>();
  const added: Dimension[] = [];
  for (const dimension of needed) {
    const there = design.dimensions.find(({ name }) => name === dimension.name);
    if (there && dequal(there, dimension)) continue;
    added.push(dimension);
    if (!there) continue;
    const name = freeName(dimension.name, taken);
    taken.add(name);
    renamed.set(dimension.name, name);
  }
  const written = mapFormulas(onlyPanel(panel, from, added), (text) =>
    [...renamed].reduce((now, [before, after]) => renameInFormula(now, before, after), text),
  );
  const [copied] = written.panels;
  if (!copied) return design;
  const make = idMaker(design);
  const dimensions = written.dimensions.map((each) => ({ ...each, name: renamed.get(each.name) ?? each.name }));
  return {
    ...design,
    dimensions: [...design.dimensions, ...dimensions],
    panels: [...design.panels, { ...copied, id: make('panel'), root: copyOf(copied.root, make) }],
  };
}

function freeName(name: string, taken: ReadonlySet<string>): string {
  for (let n = 2; ; n++) if (!taken.has(`${name}${n}`)) return `${name}${n}`;
}
