import { useRef } from 'react';
import type { Sheet } from '@mendrel/contract';
import { sheetApi } from '../../../app/sheetApi';
import { useAppDispatch } from '../../../app/store';
import type { SheetEdit } from './sheetEdits';
import { edited, onto } from './sheetEdits';

/** Sheets that are shown as they will be, before the server has said so. */
export interface ShownAtOnce {
  /**
   * Shows what edits change.
   * @param seen whether it is on screen already: then it only stays there, whatever becomes of edits before
   * @returns what ends it: from then on sheets are shown as the server keeps them
   */
  show: (edits: readonly SheetEdit[], seen?: boolean) => () => void;
  /** The server keeps these sheets so. */
  answered: (sheets: readonly Sheet[]) => void;
  /** A sheet as the server kept it last, as far as this register knows: what is shown of it may be more than that. */
  lastKept: (sheet: Sheet) => Sheet;
}

/** Shows edits of a project's sheets while they are under way. */
export function useShownAtOnce(projectId: string): ShownAtOnce {
  const dispatch = useAppDispatch();
  const underWay = useRef<SheetEdit[]>([]);
  /** Sheets as the server keeps them, of those that are edited here. */
  const keptSheets = useRef(new Map<string, Sheet>());

  const lastKept = (sheet: Sheet): Sheet => {
    const known = keptSheets.current.get(sheet.id);
    return known && known.version >= sheet.version ? known : sheet;
  };
  const put = (sheets: readonly Sheet[]): void => {
    const now = new Map(sheets.map((sheet) => [sheet.id, sheet]));
    const nowOf = (sheet: Sheet): Sheet => {
      const next = now.get(sheet.id);
      // Somebody else may have changed it meanwhile.
      return next && next.version >= sheet.version ? next : sheet;
    };
    dispatch((then, state) => {
      const shown = sheetApi.endpoints.sheets.select(projectId)(state()).data ?? [];
      if (shown.every((sheet) => nowOf(sheet) === sheet)) return;
      then(sheetApi.util.updateQueryData('sheets', projectId, () => shown.map(nowOf)));
    });
  };
  /** Shows a sheet as the server keeps it, with what is under way on top. */
  const withUnderWay = (id: string): Sheet | undefined => {
    const known = keptSheets.current.get(id);
    return (
      known &&
      underWay.current.filter(({ sheet }) => sheet.id === id).reduce((now, edit) => edited(onto(now, edit)), known)
    );
  };
  return {
    lastKept,
    show(edits, seen = false) {
      for (const { sheet } of edits) keptSheets.current.set(sheet.id, lastKept(sheet));
      underWay.current = [...underWay.current, ...edits];
      if (!seen) put(edits.map(edited));
      return () => {
        const ended = new Set(edits);
        underWay.current = underWay.current.filter((edit) => !ended.has(edit));
        put(edits.flatMap(({ sheet }) => withUnderWay(sheet.id) ?? []));
      };
    },
    answered(sheets) {
      for (const sheet of sheets) keptSheets.current.set(sheet.id, sheet);
    },
  };
}
