import { useRef } from 'react';
import { useSnackbar } from 'notistack';
import type { Sheet } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { unmoved } from '@mendrel/core';
import { errorOf } from '../../../app/api';
import { newUuid } from '../../../app/newUuid';
import { sheetApi } from '../../../app/sheetApi';
import { UndoButton } from '../../../app/UndoButton';
import { useInTurn } from '../../../app/useInTurn';
import type { ViewsOf } from './mergedViews';
import { mergedViews } from './mergedViews';
import type { WaitingView } from './waitingViews';

/** A change of views of sheets and of the tray, all of it or nothing. */
interface ViewsChange {
  sheets?: readonly ViewsOf[];
  /** Views that go into the tray, and those that leave it. */
  put?: readonly View[];
  take?: readonly View[];
}

/** What can become of a sheet's views; what is refused is told. */
export function useViewChanges(projectId: string, sheet: Sheet) {
  const [changeSheets] = sheetApi.useChangeSheetsMutation();
  const { enqueueSnackbar } = useSnackbar();
  const { inTurn } = useInTurn();
  /** Sheets as the server kept them last. */
  const answered = useRef(new Map<string, Sheet>());
  const byNow = (seen: Sheet): Sheet => {
    const known = answered.current.get(seen.id);
    return known && known.version > seen.version ? known : seen;
  };
  /**
   * Makes a change after those that are under way.
   * @param not what is said where it is refused
   * @returns what takes it back; undefined when it was refused
   */
  const send = ({ sheets = [], put = [], take = [] }: ViewsChange, not = 'Not saved') =>
    inTurn(async (): Promise<ViewsChange | undefined> => {
      const before = sheets.map(({ seen }) => byNow(seen));
      const changes = sheets.map(({ seen, views }, i) => {
        const { id, version, views: now } = before[i] ?? seen;
        return { id, version, views: mergedViews(now, seen.views, views) };
      });
      const ids = take.map(({ id }) => id);
      const tray = put.length + take.length > 0 ? { tray: { put: [...put], take: ids } } : {};
      const { data, error } = await changeSheets({ projectId, changes, ...tray });
      if (!data) {
        enqueueSnackbar(`${not}: ${errorOf(error).message}`, { variant: 'error' });
        return undefined;
      }
      for (const each of data.sheets) answered.current.set(each.id, each);
      const back = before.flatMap(({ id, views }) => {
        const seen = data.sheets.find((each) => each.id === id);
        return seen ? [{ seen, views }] : [];
      });
      return { sheets: back, put: take, take: put };
    });
  /** The same, told with a way back. */
  const sendWithUndo = async (change: ViewsChange, words: string, warning = false, not?: string): Promise<void> => {
    const back = await send(change, not);
    if (!back) return;
    enqueueSnackbar(words, {
      ...(warning ? { variant: 'warning' as const } : {}),
      action: (message) => <UndoButton message={message} onUndo={() => void send(back, 'Not undone')} />,
    });
  };
  const here = (views: readonly View[]): ViewsOf[] => [{ seen: sheet, views }];

  return {
    /** All views of the sheet as they are to be. @returns whether they were kept */
    keep: async (views: readonly View[]): Promise<boolean> => (await send({ sheets: here(views) })) !== undefined,
    setView: async (view: View): Promise<boolean> =>
      (await send({ sheets: here(sheet.views.map((each) => (each.id === view.id ? view : each))) })) !== undefined,
    /** Several views at once, told with a way back. */
    keepWithUndo: (views: readonly View[], words: string, warning: boolean): Promise<void> =>
      sendWithUndo({ sheets: here(views) }, words, warning),
    /** Views of this sheet and of others, all or none, told with a way back. */
    keepChanges: (sheets: readonly ViewsOf[], words: string): Promise<void> => sendWithUndo({ sheets }, words),
    /** Brings a view that waits onto this sheet. @returns its id here; undefined when it was refused */
    bring: async ({ view, from }: WaitingView, module: string | null): Promise<string | undefined> => {
      const id = sheet.views.some((each) => each.id === view.id) ? newUuid() : view.id;
      const sheets = here([...sheet.views, { ...unmoved(view), id, module }]);
      const change = from
        ? { sheets: [{ seen: from, views: without(from, view) }, ...sheets] }
        : { sheets, take: [view] };
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
