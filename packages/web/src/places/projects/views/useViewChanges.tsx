import { useSnackbar } from 'notistack';
import type { Sheet, SheetsChange, SheetsWish } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { unmoved } from '@mendrel/core';
import { errorOf } from '../../../app/api';
import { newUuid } from '../../../app/newUuid';
import { sheetApi } from '../../../app/sheetApi';
import { UndoButton } from '../../../app/UndoButton';
import type { WaitingView } from './waitingViews';

/** What can become of a sheet's views; what is refused is told. */
export function useViewChanges(projectId: string, sheet: Sheet) {
  const [change] = sheetApi.useChangeSheetMutation();
  const [changeSheets] = sheetApi.useChangeSheetsMutation();
  const { enqueueSnackbar } = useSnackbar();
  const tell = (what: string, error: unknown): void =>
    void enqueueSnackbar(`${what}: ${errorOf(error).message}`, { variant: 'error' });

  const tellWithUndo = (words: string, warning: boolean, undo: () => Promise<{ error?: unknown }>): void => {
    const takeBack = async (): Promise<void> => {
      const { error } = await undo();
      if (error) tell('Not undone', error);
    };
    enqueueSnackbar(words, {
      ...(warning ? { variant: 'warning' as const } : {}),
      action: (message) => <UndoButton message={message} onUndo={() => void takeBack()} />,
    });
  };

  /** All views of the sheet as they are to be. @returns whether they were kept */
  const keep = async (views: View[]): Promise<boolean> => {
    const result = await change({ id: sheet.id, projectId, version: sheet.version, views });
    if (result.error) tell('Not saved', result.error);
    return !result.error;
  };
  const setView = (view: View): Promise<boolean> =>
    keep(sheet.views.map((each) => (each.id === view.id ? view : each)));

  /** Several views at once, told with a way back. */
  const keepWithUndo = async (views: View[], words: string, warning: boolean): Promise<void> => {
    const { id, version, views: before } = sheet;
    const { data, error } = await change({ id, projectId, version, views });
    if (!data) {
      tell('Not saved', error);
      return;
    }
    tellWithUndo(words, warning, () => change({ id, projectId, version: data.version, views: before }));
  };

  /** Brings a view that waits onto this sheet. @returns its id here; undefined when it was refused */
  const bring = async ({ view, from }: WaitingView, module: string | null): Promise<string | undefined> => {
    const { id } = view;
    const own = sheet.views.some((each) => each.id === id) ? newUuid() : id;
    const here = {
      id: sheet.id,
      version: sheet.version,
      views: [...sheet.views, { ...unmoved(view), id: own, module }],
    };
    const wish: SheetsWish = from
      ? { changes: [{ id: from.id, version: from.version, views: without(from, id) }, here] }
      : { changes: [here], tray: { take: [id] } };
    const { error } = await changeSheets({ projectId, ...wish });
    if (!error) return own;
    tell('Not moved', error);
    return undefined;
  };
  /** Puts a view of this sheet into the tray of the project, told with a way back. */
  const intoTray = async (view: View): Promise<void> => {
    const { data, error } = await changeSheets({
      projectId,
      changes: [{ id: sheet.id, version: sheet.version, views: without(sheet, view.id) }],
      tray: { put: [view] },
    });
    const [now] = data?.sheets ?? [];
    if (!now) {
      tell('Not moved', error);
      return;
    }
    tellWithUndo(`${view.name} waits in the tray`, false, () =>
      changeSheets({
        projectId,
        changes: [{ id: now.id, version: now.version, views: sheet.views }],
        tray: { take: [view.id] },
      }),
    );
  };
  /** Puts new views into the tray, told with a way back. */
  const putIntoTray = async (views: readonly View[]): Promise<void> => {
    const { error } = await changeSheets({ projectId, tray: { put: [...views] } });
    if (error) tell('Not kept', error);
    else
      tellWithUndo(
        views.length === 1 ? `${views[0]?.name} waits in the tray` : `${views.length} views wait in the tray`,
        false,
        () => changeSheets({ projectId, tray: { take: views.map(({ id }) => id) } }),
      );
  };
  /** Removes a view from the tray, told with a way back. */
  const removeFromTray = async (view: View): Promise<void> => {
    const { error } = await changeSheets({ projectId, tray: { take: [view.id] } });
    if (error) tell('Not removed', error);
    else tellWithUndo(`${view.name} removed`, false, () => changeSheets({ projectId, tray: { put: [view] } }));
  };

  /**
   * Changes of views of this sheet and of others, all or none, told with a way back.
   * @param sheets as they are before it, those that change among them
   */
  const keepChanges = async (
    changes: SheetsChange['changes'],
    words: string,
    sheets: readonly Sheet[],
  ): Promise<void> => {
    const { data, error } = await changeSheets({ projectId, changes, added: [], deleted: [] });
    if (!data) {
      tell('Not saved', error);
      return;
    }
    const back = data.sheets.flatMap(({ id, version }) => {
      const before = sheets.find((each) => each.id === id);
      return before ? [{ id, version, views: before.views }] : [];
    });
    tellWithUndo(words, false, () => changeSheets({ projectId, changes: back, added: [], deleted: [] }));
  };

  return { keep, setView, keepWithUndo, keepChanges, bring, intoTray, putIntoTray, removeFromTray };
}

const without = ({ views }: Sheet, id: string): View[] => views.filter((each) => each.id !== id);
