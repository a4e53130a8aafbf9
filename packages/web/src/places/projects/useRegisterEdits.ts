import { useRef } from 'react';
import type { Project, Sheet, SheetChange } from '@mendrel/contract';
import { api, errorOf } from '../../app/api';
import { MOST_STEPS } from '../../app/history';

type Change = Omit<SheetChange, 'version'>;

/** What is to change on one sheet. */
export interface SheetEdit {
  sheet: Sheet;
  change: Change;
}

/** What became of some edits. */
export interface Edited {
  changed: Sheet[];
  refused: { sheet: Sheet; message: string }[];
}

export interface RegisterEdits {
  apply: (edits: readonly SheetEdit[]) => Promise<Edited>;
  /** Takes the latest edits back; undefined where there are none. */
  undo: () => Promise<Edited | undefined>;
}

/** The fields of a sheet that a change replaces, as they were. */
const fieldsBefore = (sheet: Sheet, change: Change): Change =>
  Object.fromEntries(Object.keys(change).map((key) => [key, sheet[key as keyof Change]]));

/** Edits of a register, several sheets at a time, which can be taken back in the order in which they were made. */
export function useRegisterEdits(project: Project, sheets: readonly Sheet[]): RegisterEdits {
  const [change] = api.useChangeSheetMutation();
  const steps = useRef<SheetEdit[][]>([]);

  const send = async (edits: readonly SheetEdit[]): Promise<Edited> => {
    const done: Edited = { changed: [], refused: [] };
    for (const { sheet, change: what } of edits) {
      const result = await change({ id: sheet.id, projectId: project.id, version: sheet.version, ...what });
      if (result.data) done.changed.push(result.data);
      else done.refused.push({ sheet, message: errorOf(result.error).message });
    }
    return done;
  };
  return {
    async apply(edits) {
      const done = await send(edits);
      const back = done.changed.flatMap((sheet): SheetEdit[] => {
        const edit = edits.find((each) => each.sheet.id === sheet.id);
        return edit ? [{ sheet, change: fieldsBefore(edit.sheet, edit.change) }] : [];
      });
      if (back.length > 0) steps.current = [...steps.current, back].slice(-MOST_STEPS);
      return done;
    },
    async undo() {
      const step = steps.current.pop();
      if (!step) return undefined;
      // A sheet may have been changed again since, and that taken back: the version it has now is the one to change.
      const done = await send(
        step.map(({ sheet, change: what }) => ({
          sheet: sheets.find((each) => each.id === sheet.id && each.version > sheet.version) ?? sheet,
          change: what,
        })),
      );
      // What could not be taken back now, because the server was away, can be later.
      const left = step.filter(({ sheet }) => done.refused.some((each) => each.sheet.id === sheet.id));
      if (left.length > 0) steps.current.push(left);
      return done;
    },
  };
}
