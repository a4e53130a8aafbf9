import { useRef } from 'react';
import type { NewSheet, Project, Sheet } from '@mendrel/contract';
import { errorOf } from '../../../app/api';
import { sheetApi } from '../../../app/sheetApi';
import { MOST_STEPS } from '../../../app/history';
import { useInTurn } from '../../../app/useInTurn';
import type { SheetEdit } from '../edits/sheetEdits';
import { fieldsBefore, onto } from '../edits/sheetEdits';
import { useShownAtOnce } from '../edits/useShownAtOnce';

/** What is done to a register in one step. */
export interface RegisterStep {
  changes: readonly SheetEdit[];
  /** Sheets that come. */
  added?: readonly NewSheet[];
  /** Ids of sheets that go. */
  deleted?: readonly string[];
  /** Whether views of sheets that go wait in the tray of the project from then on. */
  keepViews?: boolean;
  /** Ids of all sheets as they are to stand; null for the order of their numbers. Nothing else changes with it. */
  order?: readonly string[] | null;
}

/** What became of a step: all of it was done, or nothing. */
export interface Edited {
  changed: Sheet[];
  /** How many sheets came back, or went. */
  restored: boolean;
  deleted: number;
  /** Whether sheets stand in another order. */
  ordered?: boolean;
  /** Why nothing was done. */
  refused?: string;
}

export interface RegisterEdits {
  /** Does a step after those that are under way. */
  apply: (step: RegisterStep) => Promise<Edited>;
  /**
   * As `apply`, but what it changes is shown before the server has answered; if that refuses it, sheets are shown as they were.
   * @param seen whether it is on screen already
   */
  applyAtOnce: (step: RegisterStep, seen?: boolean) => Promise<Edited>;
  /** Resolves once no step is under way: what is read of a sheet then is what the server keeps. */
  settled: () => Promise<void>;
  /** Takes the latest step back; undefined where there is none. */
  undo: () => Promise<Edited | undefined>;
  /** Does again what was taken back last; undefined where there is nothing. */
  redo: () => Promise<Edited | undefined>;
}

/** A step that is kept to be done: sheets that come may lie in the bin. */
type KeptStep = RegisterStep & { bin?: string };

const NOTHING = { changed: [], restored: false, deleted: 0 };

/** Each step waits for its answer by itself: a register of thousands is not shown anew because a request begins or ends. */
const UNWATCHED = { selectFromResult: () => NOTHING };

/** Steps of a register, of several sheets each, which can be taken back in the order in which they were done, and done again. */
export function useRegisterEdits(project: Project, sheets: readonly Sheet[]): RegisterEdits {
  const [change] = sheetApi.useChangeSheetsMutation(UNWATCHED);
  const [restore] = sheetApi.useRestoreMutation(UNWATCHED);
  const [orderSheets] = sheetApi.useOrderSheetsMutation(UNWATCHED);
  const past = useRef<KeptStep[]>([]);
  const future = useRef<KeptStep[]>([]);
  const { inTurn, settled } = useInTurn();
  const shown = useShownAtOnce(project.id);

  /** @returns what became of it, and the step that would take it back */
  const send = async (step: KeptStep): Promise<Edited & { back?: KeptStep }> => {
    const { changes, added = [], deleted = [], keepViews = false, bin, order } = step;
    if (order !== undefined) {
      const result = await orderSheets({ id: project.id, version: project.version, sheetOrder: order && [...order] });
      if (result.error) return { ...NOTHING, refused: errorOf(result.error).message };
      const before = project.byHand ? sheets.map(({ id }) => id) : null;
      return { ...NOTHING, ordered: true, back: { changes: [], order: before } };
    }
    if (bin !== undefined) {
      const result = await restore(bin);
      if (result.error) return { ...NOTHING, refused: errorOf(result.error).message };
      return { ...NOTHING, restored: true, back: { changes: [], deleted: added.map(({ id }) => id), keepViews } };
    }
    if (changes.length + added.length + deleted.length === 0) return NOTHING;
    const result = await change({
      projectId: project.id,
      changes: changes.map(({ sheet, change: what }) => ({ id: sheet.id, version: sheet.version, ...what })),
      added: [...added],
      deleted: [...deleted],
      ...(keepViews ? { keepViews } : {}),
    });
    if (!result.data) return { ...NOTHING, refused: errorOf(result.error).message };
    const was = new Map(changes.map((edit) => [edit.sheet.id, edit]));
    const back: SheetEdit[] = result.data.sheets.flatMap((sheet) => {
      const edit = was.get(sheet.id);
      return edit ? [{ sheet, change: fieldsBefore(edit.sheet, edit.change) }] : [];
    });
    const gone = sheets.filter(({ id }) => deleted.includes(id));
    return {
      changed: result.data.sheets,
      restored: false,
      deleted: deleted.length,
      back:
        result.data.bin === null
          ? { changes: back, deleted: added.map(({ id }) => id) }
          : { changes: back, added: gone.map(asNew), keepViews, bin: result.data.bin },
    };
  };
  /** Sends a step with each sheet as it is by then. */
  const sendNow = async (step: KeptStep): Promise<Edited & { back?: KeptStep }> => {
    const result = await send({ ...step, changes: step.changes.map((edit) => onto(shown.lastKept(edit.sheet), edit)) });
    shown.answered(result.changed);
    return result;
  };
  const keepBack = ({ back, ...done }: Edited & { back?: KeptStep }): Edited => {
    if (back) {
      past.current = [...past.current, back].slice(-MOST_STEPS);
      future.current = [];
    }
    return done;
  };
  const sendShown = async (step: KeptStep, hide: () => void): Promise<Edited & { back?: KeptStep }> => {
    try {
      return await sendNow(step);
    } finally {
      hide();
    }
  };
  /** Does the last step of one list and keeps what takes it back in the other. */
  const go = (from: React.RefObject<KeptStep[]>, to: React.RefObject<KeptStep[]>): Promise<Edited | undefined> =>
    inTurn(async () => {
      const step = from.current.pop();
      if (!step) return undefined;
      // A sheet may have been changed again since, and that taken back: the version it has now is the one to change.
      const changes = step.changes.map((edit) =>
        onto(
          sheets.find(({ id, version }) => id === edit.sheet.id && version > edit.sheet.version) ?? edit.sheet,
          edit,
        ),
      );
      const { back, ...done } = await sendShown({ ...step, changes }, shown.show(changes));
      // What cannot be done now, because the server is away, can be later.
      if (done.refused !== undefined) from.current.push(step);
      else if (back) to.current.push(back);
      return done;
    });
  return {
    apply: (step) => inTurn(async () => keepBack(await sendNow(step))),
    applyAtOnce: (step, seen) => {
      const hide = shown.show(step.changes, seen);
      return inTurn(async () => keepBack(await sendShown(step, hide)));
    },
    settled,
    undo: () => go(past, future),
    redo: () => go(future, past),
  };
}

/** A sheet as one that comes: what is made of it stays behind. */
export const asNew = ({ id, number, title, kind, size, design, values, views }: Sheet): NewSheet => ({
  id,
  number,
  title,
  kind,
  size,
  design,
  values,
  views,
});
