import { useSnackbar } from 'notistack';
import type { Sheet } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { unmoved } from '@mendrel/core';
import { errorOf } from '../../../app/api';
import { newUuid } from '../../../app/newUuid';
import { sheetApi } from '../../../app/sheetApi';
import { UndoButton } from '../../../app/UndoButton';
import { useInTurn } from '../../../app/useInTurn';
import type { SheetEdit } from '../edits/sheetEdits';
import { onto, viewsEdit } from '../edits/sheetEdits';
import { useShownAtOnce } from '../edits/useShownAtOnce';
import type { WaitingView } from './waitingViews';

/** A change of views of sheets and of the tray, all of it or nothing. */
interface ViewsChange {
  sheets?: readonly SheetEdit[];
  /** Views that go into the tray, and those that leave it. */
  put?: readonly View[];
  take?: readonly View[];
}

/** What can become of a sheet's views: it is shown at once. What is refused is told, and stands as before. */
export function useViewChanges(projectId: string, sheet: Sheet) {
  const [changeSheets] = sheetApi.useChangeSheetsMutation();
  const { enqueueSnackbar } = useSnackbar();
  const { inTurn } = useInTurn();
  const shown = useShownAtOnce(projectId);
  /** Sends a change, with each sheet as it is by then. @returns what takes it back; undefined when it was refused */
  const sendNow = async (
    { sheets = [], put = [], take = [] }: ViewsChange,
    not: string,
  ): Promise<ViewsChange | undefined> => {
    const edits = sheets.map((edit) => onto(shown.lastKept(edit.sheet), edit));
    const changes = edits.map(({ sheet: { id, version }, change }) => ({ id, version, ...change }));
    const ids = take.map(({ id }) => id);
    const tray = put.length + take.length > 0 ? { tray: { put: [...put], take: ids } } : {};
    const { data, error } = await changeSheets({ projectId, changes, ...tray });
    if (!data) {
      enqueueSnackbar(`${not}: ${errorOf(error).message}`, { variant: 'error' });
      return undefined;
    }
    shown.answered(data.sheets);
    const back = edits.flatMap(({ sheet: { id, views } }) => {
      const now = data.sheets.find((each) => each.id === id);
      return now ? [viewsEdit(now, views)] : [];
    });
    return { sheets: back, put: take, take: put };
  };
  /** Makes a change after those that are under way. @param not what is said where it is refused */
  const send = (change: ViewsChange, not = 'Not saved'): Promise<ViewsChange | undefined> => {
    const hide = shown.show(change.sheets ?? []);
    return inTurn(() => sendNow(change, not).finally(hide));
  };
  /** The same, told with a way back. */
  const sendWithUndo = async (change: ViewsChange, words: string, warning = false, not?: string): Promise<void> => {
    const back = await send(change, not);
    if (!back) return;
    enqueueSnackbar(words, {
      ...(warning ? { variant: 'warning' as const } : {}),
      action: (message) => <UndoButton message={message} onUndo={() => void send(back, 'Not undone')} />,
    });
  };
  const here = (views: readonly View[]): SheetEdit[] => [viewsEdit(sheet, views)];

  return {
    /** All views of the sheet as they are to be. @returns whether they were kept */
    keep: async (views: readonly View[]): Promise<boolean> => (await send({ sheets: here(views) })) !== undefined,
    setView: async (view: View): Promise<boolean> =>
      (await send({ sheets: here(sheet.views.map((each) => (each.id === view.id ? view : each))) })) !== undefined,
    /** Several views at once, told with a way back. */
    keepWithUndo: (views: readonly View[], words: string, warning: boolean): Promise<void> =>
      sendWithUndo({ sheets: here(views) }, words, warning),
    /** Views of this sheet and of others, all or none, told with a way back. */
    keepChanges: (sheets: readonly SheetEdit[], words: string): Promise<void> => sendWithUndo({ sheets }, words),
    /** Brings a view that waits onto this sheet. @returns its id here; undefined when it was refused */
    bring: async ({ view, from }: WaitingView, module: string | null): Promise<string | undefined> => {
      const id = sheet.views.some((each) => each.id === view.id) ? newUuid() : view.id;
      const sheets = here([...sheet.views, { ...unmoved(view), id, module }]);
      const change = from ? { sheets: [viewsEdit(from, without(from, view)), ...sheets] } : { sheets, take: [view] };
      return (await send(change, 'Not moved')) && id;
    },
    /** Puts a view of this sheet into the tray of the project, told with a way back. */
    intoTray: (view: View): Promise<void> =>
      sendWithUndo(
        { sheets: here(without(sheet, view)), put: [view] },
        `${view.name} waits in the tray`,
        false,
        'Not moved',
      ),
    /** Puts new views into the tray, told with a way back. */
    putIntoTray: (put: readonly View[]): Promise<void> =>
      sendWithUndo(
        { put },
        put.length === 1 ? `${put[0]?.name} waits in the tray` : `${put.length} views wait in the tray`,
      ),
    /** Removes a view from the tray, told with a way back. */
    removeFromTray: (view: View): Promise<void> =>
      sendWithUndo({ take: [view] }, `${view.name} removed`, false, 'Not removed'),
  };
}

const without = ({ views }: Sheet, { id }: View): View[] => views.filter((each) => each.id !== id);
