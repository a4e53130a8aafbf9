import type { Cell, Design, OfficeStandard } from '@mendrel/core';
import {
  clearCell,
  copyTrack,
  fillCells,
  findCell,
  insertBeside,
  isText,
  joinNeighbours,
  lockPanel,
  mirrorPanel,
  moveTrack,
  nameTrack,
  trackDimensionName,
} from '@mendrel/core';
import { useCommands } from '../../../app/commands';
import { addNew } from '../content/addNew';
import { EDITED_KINDS, editedKind } from '../content/kinds';
import type { EditScope } from '../settingOutSlice';

interface Bench {
  design: Design;
  standard: OfficeStandard;
  selection: readonly string[];
  copied: Cell | undefined;
  scope: EditScope;
  edit: (change: (design: Design) => Design) => void;
  select: (ids: readonly string[]) => void;
  copy: (cell: Cell) => void;
  setScope: (scope: EditScope) => void;
}

/** The axis and the track in which a cell stands in the division above it. */
function trackOf(design: Design, id: string): { parent: Cell; axis: 'rows' | 'columns'; index: number } | undefined {
  const parent = findCell(design, id)?.above.at(-1);
  const child = parent?.division?.children.find((each) => each.cell.id === id);
  if (!parent?.division || !child) return undefined;
  const axis = parent.division.rows.length > 1 ? 'rows' : 'columns';
  return { parent, axis, index: axis === 'rows' ? child.row : child.column };
}

/** Ids of the cells with a text in the role of the selected cell's first text. */
function sameRole(design: Design, id: string): string[] {
  const role = findCell(design, id)?.cell.contents.find(isText)?.role;
  if (role === undefined) return [];
  const found: string[] = [];
  const walk = (cell: Cell): void => {
    if (cell.contents.some((content) => isText(content) && content.role === role)) found.push(cell.id);
    for (const child of cell.division?.children ?? []) walk(child.cell);
  };
  for (const panel of design.panels) walk(panel.root);
  // The selected one stays the one that is shown.
  return [...found.filter((each) => each !== id), id];
}

/** What can be done in setting-out from the keyboard, with its keys. */
export function useBenchCommands({
  design,
  standard,
  selection,
  copied,
  scope,
  edit,
  select,
  copy,
  setScope,
}: Bench): void {
  const selected = selection.at(-1);
  const place = selected === undefined ? undefined : findCell(design, selected);
  const cell = place?.cell;
  const onTrack = (change: (now: Design, id: string, axis: 'rows' | 'columns', index: number) => Design): void => {
    const at = selected === undefined ? undefined : trackOf(design, selected);
    if (at) edit((now) => change(now, at.parent.id, at.axis, at.index));
  };
  const adding = EDITED_KINDS.flatMap((kind) => {
    const { make, adding: named } = editedKind(kind);
    if (!make) return [];
    const run = (): void => {
      if (cell) edit((now) => addNew(now, cell.id, make, standard));
    };
    return [{ name: named.command, ...(named.key === undefined ? {} : { keys: named.key }), run }];
  });
  useCommands([
    { name: 'Divide the selected cell', keys: 'D', run: () => document.getElementById('divide-tracks')?.focus() },
    { name: 'Join the selected cells', keys: 'J', run: () => edit((now) => joinNeighbours(now, selection)) },
    {
      name: 'Select what the cell is a part of',
      keys: 'U',
      run: () => {
        const above = place?.above.at(-1);
        if (above) select([above.id]);
      },
    },
    {
      name: 'Select all cells with the same lettering role',
      keys: 'A',
      run: () => {
        if (selected !== undefined) select(sameRole(design, selected));
      },
    },
    { name: 'Select nothing: the sheet and the frame', keys: 'Escape', run: () => select([]) },
    ...adding,
    {
      name: 'Copy the selected cell',
      keys: 'Ctrl+C',
      run: () => {
        if (cell) copy(cell);
      },
    },
    {
      name: 'Fill the selected cells with the copied one',
      keys: 'Ctrl+V',
      run: () => {
        if (copied && selection.length > 0) edit((now) => fillCells(now, selection, copied));
      },
    },
    {
      name: 'Empty the selected cells',
      keys: 'Delete',
      run: () => {
        if (selection.length > 0) edit((now) => selection.reduce((at, id) => clearCell(at, id), now));
      },
    },
    {
      name: 'Insert a row or column after it',
      keys: 'I',
      run: () => onTrack((now, id, axis, index) => insertBeside(now, id, axis, index, 'after')),
    },
    {
      name: 'Insert a row or column before it',
      keys: 'Shift+I',
      run: () => onTrack((now, id, axis, index) => insertBeside(now, id, axis, index, 'before')),
    },
    {
      name: 'Copy its row or column',
      keys: 'Ctrl+D',
      run: () => onTrack((now, id, axis, index) => copyTrack(now, id, axis, index)),
    },
    {
      name: 'Move its row or column earlier',
      keys: '[',
      run: () => onTrack((now, id, axis, index) => moveTrack(now, id, axis, index, index - 1)),
    },
    {
      name: 'Move its row or column later',
      keys: ']',
      run: () => onTrack((now, id, axis, index) => moveTrack(now, id, axis, index, index + 1)),
    },
    {
      name: 'Make the typed length of its row or column a dimension',
      keys: 'N',
      run: () =>
        onTrack((now, id, axis, index) => nameTrack(now, id, axis, index, trackDimensionName(now, id, axis, index))),
    },
    {
      name: 'Mirror the panel to the other side',
      keys: 'M',
      run: () => {
        if (place) edit((now) => mirrorPanel(now, place.panel.id));
      },
    },
    {
      name: place?.panel.locked ? 'Unlock the panel' : 'Lock the panel',
      keys: 'L',
      run: () => {
        if (place) edit((now) => lockPanel(now, place.panel.id, !place.panel.locked));
      },
    },
    {
      name: scope === 'all' ? 'Apply lengths to this sheet size only' : 'Apply lengths to all sheet sizes',
      keys: 'O',
      run: () => setScope(scope === 'all' ? 'size' : 'all'),
    },
  ]);
}
