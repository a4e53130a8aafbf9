import { useSnackbar } from 'notistack';
import type { DesignSwap, DesignSwapImpact, Project, SheetsChange } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { sheetApi } from '../../../app/sheetApi';
import { UndoButton } from '../../../app/UndoButton';
import { kindChanges } from '../../../app/kindChanges';
import type { ProjectSheet } from '../sheetDrawings';
import { SwapDialog } from './SwapDialog';

interface Props {
  project: Project;
  /** For all sheets of the project or of a kind. */
  swap: Omit<DesignSwap, 'sheets'>;
  words: string;
  sources: readonly ProjectSheet[];
  onClose: () => void;
}

/** Another design for the sheets of a project or of a kind: for all of them, or as one of their own for chosen ones. */
export function ProjectSwap({ project, swap, words, sources, onClose }: Props) {
  const [change] = api.useChangeProjectMutation();
  const [changeSheets] = sheetApi.useChangeSheetsMutation();
  const { enqueueSnackbar } = useSnackbar();
  const { id, version, designId, designRevision, kinds } = project;
  const notUndone = (error: Parameters<typeof errorOf>[0]): void =>
    void enqueueSnackbar(`Not undone: ${errorOf(error).message}`, { variant: 'error' });
  const tell = (count: number, undo: () => void): void =>
    void enqueueSnackbar(`${counted(count, 'sheet')} drawn anew`, {
      action: (message) => <UndoButton message={message} onUndo={undo} />,
    });

  const applyToAll = async (impact: DesignSwapImpact): Promise<string | undefined> => {
    const result = await change({ id, version, ...swap });
    if (result.error) return errorOf(result.error).message;
    const back = { ...(designId === null ? {} : { designId, designRevision }), kinds: kindChanges(kinds) };
    const now = result.data.version;
    tell(
      impact.sheets,
      () => void change({ id, version: now, ...back }).then(({ error }) => (error ? notUndone(error) : undefined)),
    );
    return undefined;
  };

  const applyTo = async (told: DesignSwapImpact['told']): Promise<string | undefined> => {
    const sheets = new Map(sources.map(({ sheet }) => [sheet.id, sheet]));
    const changes: SheetsChange['changes'] = told.flatMap(({ id: sheetId, design }) => {
      const sheet = sheets.get(sheetId);
      return sheet ? [{ id: sheetId, version: sheet.version, design }] : [];
    });
    const result = await changeSheets({ projectId: id, changes, added: [], deleted: [] });
    if (result.error) return errorOf(result.error).message;
    const back: SheetsChange['changes'] = result.data.sheets.map((sheet) => ({
      id: sheet.id,
      version: sheet.version,
      design: sheets.get(sheet.id)?.design ?? null,
    }));
    tell(
      changes.length,
      () =>
        void changeSheets({ projectId: id, changes: back, added: [], deleted: [] }).then(({ error }) =>
          error ? notUndone(error) : undefined,
        ),
    );
    return undefined;
  };
  // A module grid is a kind's; no sheet has one of its own.
  const ofDesigns = swap.designId !== undefined || swap.designRevision !== undefined || kindsOtherwise(project, swap);
  return (
    <SwapDialog
      project={project}
      swap={swap}
      words={words}
      sources={sources}
      onApply={applyToAll}
      {...(ofDesigns ? { onApplyTo: applyTo } : {})}
      onClose={onClose}
    />
  );
}

/** Whether a kind would have another design, or another revision of it. */
function kindsOtherwise({ kinds }: Project, swap: DesignSwap): boolean {
  const keyOf = (kind: { kind: string; designId: string | null; designRevision?: number | null | undefined }): string =>
    `${kind.kind} ${kind.designId} ${kind.designId === null ? null : kind.designRevision}`;
  const now = new Set(kinds.filter((each) => each.designId !== null).map(keyOf));
  const then = (swap.kinds ?? []).filter((each) => each.designId !== null).map(keyOf);
  return swap.kinds !== undefined && (then.length !== now.size || then.some((key) => !now.has(key)));
}
