import type { Content, Design } from '@mendrel/core';
import { cellsOf, patternsOf, textAt } from '@mendrel/core';
import type { OpenedDesign } from './settingOutSlice';
import { designOpened } from './settingOutSlice';

/** A design opens on the cell that says which project it is, or else on its first panel. */
function firstSelected(design: Design): string[] {
  for (const { cell } of cellsOf(design)) {
    const says = (content: Content): boolean =>
      patternsOf(content).some((path) => textAt(content, path).includes('{project.name}'));
    if (cell.contents.some(says)) return [cell.id];
  }
  return design.panels.slice(0, 1).map((panel) => panel.root.id);
}

/** Opens a design. It stands apart from the state, which every place loads: what looks into designs comes with the first of them. */
export const opened = (design: Omit<OpenedDesign, 'selection'>): ReturnType<typeof designOpened> =>
  designOpened({ ...design, selection: firstSelected(design.design) });
