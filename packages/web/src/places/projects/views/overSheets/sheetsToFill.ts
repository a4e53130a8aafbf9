import { dequal } from 'dequal/lite';
import type { NewSheet, Project, Sheet, SheetsChange, SheetsWish } from '@mendrel/contract';
import type { Arrangement, ModuleGrid, SheetKind, SheetToFill, View, ViewToArrange } from '@mendrel/core';
import { nextByScheme, nextSheetNumber } from '@mendrel/core';
import { newUuid } from '../../../../app/newUuid';

/** What becomes of sheets and the tray when views are arranged. */
export type SheetsArranged = Pick<SheetsChange, 'changes' | 'added' | 'tray'>;

/** A sheet of the project with its module grid. */
export interface GridSheet {
  sheet: Sheet;
  grid: ModuleGrid;
}

/** Views of which each begins on a sheet of its own where they are kept together. */
export const TOGETHER = ['drawing', 'scale', 'sheet'] as const;
export type Together = (typeof TOGETHER)[number];

export const TOGETHER_WORDS: Readonly<Record<Together, string>> = {
  drawing: 'views of one drawing',
  scale: 'views of one scale',
  sheet: 'views of one sheet, as they stand now',
};

/** What views of one group have in common. */
const GROUP_OF: Readonly<Record<Together, (view: View, sheet: string) => string>> = {
  drawing: ({ drawing }) => drawing?.name ?? '',
  scale: ({ scale }) => scale ?? '',
  sheet: (_view, sheet) => sheet,
};

/** The sheets as they are filled: views that are locked stay. */
export const sheetsToFill = (sheets: readonly GridSheet[]): SheetToFill[] =>
  sheets.map(({ sheet, grid }) => ({ id: sheet.id, grid, fixed: sheet.views.filter(({ locked }) => locked) }));

/** A view that may be stood elsewhere, with the sheet where it is now. */
export interface LooseView extends ViewToArrange {
  /** '' for the tray of the project. */
  sheet: string;
  was: View;
}

/** What stands for a sheet where a view waits in the tray of the project. */
const TRAY = '';

/**
 * The views of sheets that may be stood elsewhere, in the order of the register, and those of the tray after them. Each has an id that
 * no other of them has.
 */
export function looseViews(
  sheets: readonly Pick<GridSheet, 'sheet'>[],
  tray: readonly View[],
  together: Together,
  scale?: string,
): LooseView[] {
  const known = new Set<string>();
  return [...sheets.map(({ sheet }) => sheet), { id: TRAY, views: tray }].flatMap((sheet) =>
    sheet.views
      .filter(({ locked }) => !locked)
      .map((each) => {
        const id = known.has(each.id) ? `${sheet.id} ${each.id}`.slice(0, 64) : each.id;
        known.add(id);
        const view = { ...each, id, ...(scale === undefined ? {} : { scale }) };
        return { view, group: GROUP_OF[together](each, sheet.id), sheet: sheet.id, was: each };
      }),
  );
}

/** Views with ids that none of the others on a sheet have. */
function withOwnIds(views: readonly View[], others: readonly View[]): View[] {
  const known = new Set(others.map(({ id }) => id));
  return views.map((view) => {
    const one = known.has(view.id) ? { ...view, id: newUuid() } : view;
    known.add(one.id);
    return one;
  });
}

/**
 * What becomes of sheets by an arrangement: their views, and sheets that are added like one of them. What finds no room stays on the
 * sheet where it was, or in the tray.
 * @param all sheets of the project, for the numbers of added ones
 */
export function changeFor(
  { sheets: arranged, left }: Arrangement,
  loose: readonly LooseView[],
  chosen: readonly Pick<GridSheet, 'sheet'>[],
  like: Sheet,
  all: readonly Sheet[],
  { numbering }: Pick<Project, 'numbering'>,
  kinds: readonly SheetKind[],
): SheetsArranged {
  const waiting = new Set(left.map(({ id }) => id));
  const known: { number: string; kind: string }[] = [...all];
  const added = arranged
    .filter(({ id }) => id === null)
    .flatMap(({ views }): NewSheet[] => {
      const { kind, size, design, title } = like;
      const number = numbering ? nextByScheme(numbering, known, kind, kinds) : nextSheetNumber(known, kind, kinds);
      if (number === '') {
        // No number is left for such a sheet: its views stay on their own.
        for (const { id } of views) waiting.add(id);
        return [];
      }
      known.push({ number, kind });
      return [{ id: newUuid(), number, title, kind, size, design, values: {}, views: withOwnIds(views, []) }];
    });
  const changes = chosen.flatMap(({ sheet }) => {
    const fixed = sheet.views.filter(({ locked }) => locked);
    const standing = arranged.find(({ id }) => id === sheet.id)?.views ?? [];
    const stay = loose
      .filter((each) => each.sheet === sheet.id && waiting.has(each.view.id))
      .map(({ was }): View => ({ ...was, module: null }));
    const views = [...fixed, ...withOwnIds([...standing, ...stay], fixed)];
    return dequal(views, sheet.views) ? [] : [{ id: sheet.id, version: sheet.version, views }];
  });
  const take = loose.flatMap(({ sheet, view, was }) => (sheet === TRAY && !waiting.has(view.id) ? [was.id] : []));
  return { changes, added, tray: { put: [], take } };
}

/** What takes a change back: the views as they were on the sheets as they are now and in the tray, and added sheets gone. */
export function takenBack(
  { changes, added, tray: { take } }: SheetsArranged,
  before: readonly Sheet[],
  tray: readonly View[],
  now: readonly Sheet[],
): SheetsWish {
  const versions = new Map(now.map(({ id, version }) => [id, version]));
  return {
    changes: changes.flatMap(({ id }) => {
      const was = before.find((each) => each.id === id);
      const version = versions.get(id);
      return was && version !== undefined ? [{ id, version, views: was.views }] : [];
    }),
    deleted: added.map(({ id }) => id),
    tray: { put: tray.filter(({ id }) => take.includes(id)) },
  };
}
