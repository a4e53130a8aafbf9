import { original } from '@reduxjs/toolkit';
import type { BinEntry, HistoryEntry, Project, Sheet, SheetCreate, SheetsChanged, SheetsWish } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { inHandOrder, inSheetOrder } from '@mendrel/core';
import { api, STATE, whole } from './api';

/** How the sheets of a project are put in order after a change: where they stand by hand, new ones come last. */
function orderOf(projectId: string, state: unknown): (sheets: Sheet[]) => Sheet[] {
  const root = state as Parameters<ReturnType<typeof api.endpoints.project.select>>[0];
  const project = api.endpoints.project.select(projectId)(root).data;
  return (sheets) => (project?.byHand ? sheets : inSheetOrder(sheets, project?.numbering));
}

/** The sheets of projects and what was deleted, as the interface knows them. */
export const sheetApi = api.injectEndpoints({
  endpoints: (build) => ({
    sheets: build.query<Sheet[], string>({
      query: (projectId) => `/projects/${projectId}/sheets`,
      transformResponse: whole<Sheet>,
      providesTags: (_result, _error, id) => [{ type: 'Sheet', id }],
    }),
    nextNumber: build.query<{ number: string }, { projectId: string; kind: string }>({
      query: ({ projectId, kind }) => `/projects/${projectId}/next-number?kind=${encodeURIComponent(kind)}`,
      // Asked for anew each time: it follows from all numbers there are.
      keepUnusedDataFor: 0,
    }),
    addSheet: build.mutation<Sheet, SheetCreate & { projectId: string }>({
      query: ({ projectId, ...body }) => ({ url: `/projects/${projectId}/sheets`, method: 'POST', body }),
      invalidatesTags: (_result, _error, { projectId }) => [{ type: 'Sheet', id: projectId }, 'Project', 'Findings'],
    }),
    /** Views of a project that stand on no sheet. */
    tray: build.query<View[], string>({
      query: (projectId) => `/projects/${projectId}/tray`,
      transformResponse: whole<View>,
      providesTags: (_result, _error, id) => [{ type: 'Tray', id }],
    }),
    /** Changes several sheets and the tray, adds and deletes others: all of it or nothing. */
    changeSheets: build.mutation<SheetsChanged, SheetsWish & { projectId: string }>({
      query: ({ projectId, ...body }) => ({ url: `/projects/${projectId}/sheet-changes`, method: 'POST', body }),
      async onQueryStarted({ projectId, changes = [], added = [], deleted }, of) {
        const { dispatch } = of;
        const answer = await of.queryFulfilled.catch(() => undefined);
        if (!answer) return;
        const now = new Map(answer.data.sheets.map((sheet) => [sheet.id, sheet]));
        const [came, gone] = [added.flatMap(({ id }) => now.get(id) ?? []), new Set(deleted)];
        const ordered = orderOf(projectId, of.getState());
        dispatch(
          sheetApi.util.updateQueryData('sheets', projectId, (draft) => {
            const sheets = (original(draft) ?? [])
              .filter(({ id }) => !gone.has(id))
              .map((each) => now.get(each.id) ?? each);
            const moved = came.length > 0 || changes.some(({ number }) => number !== undefined);
            return moved ? ordered([...sheets, ...came]) : sheets;
          }),
        );
      },
      invalidatesTags: (_result, error, { projectId, changes = [], added = [], deleted = [], keepViews, tray }) => {
        const views = tray || keepViews ? [{ type: 'Tray' as const, id: projectId }] : [];
        if (error) return [{ type: 'Sheet', id: projectId }, ...views];
        if (changes.some(({ design }) => design !== undefined)) return ['Findings', 'SheetDesigns', 'Design', ...views];
        // Lists of projects tell how many sheets there are; sets close up.
        return added.length + deleted.length > 0
          ? ['Findings', 'Project', 'Set', 'Bin', ...views]
          : ['Findings', ...views];
      },
    }),
    /** What became another on a sheet, the newest first; before an entry where one is named. */
    sheetHistory: build.query<HistoryEntry[], { id: string; before: string | null }>({
      query: ({ id, before }) => `/sheets/${id}/history${before === null ? '' : `?before=${before}`}`,
      keepUnusedDataFor: 0,
    }),
    /** Puts the sheets of a project into an order by hand, or into that of their numbers again. */
    orderSheets: build.mutation<Project, { id: string; version: number; sheetOrder: string[] | null }>({
      query: ({ id, ...body }) => ({ url: `/projects/${id}`, method: 'PATCH', body }),
      async onQueryStarted({ id, sheetOrder }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => undefined);
        if (!answer) return;
        dispatch(
          sheetApi.util.updateQueryData('sheets', id, (draft) => {
            const sheets = inSheetOrder(original(draft) ?? [], answer.data.numbering);
            return sheetOrder ? inHandOrder(sheets, sheetOrder) : sheets;
          }),
        );
        // After the sheets: from then on the register shows them as they stand.
        dispatch(api.util.updateQueryData('project', id, () => answer.data));
      },
      invalidatesTags: ['Project', 'Findings'],
    }),
    bin: build.query<BinEntry[], void>({ query: () => '/bin', providesTags: ['Bin'] }),
    restore: build.mutation<BinEntry, string>({
      query: (id) => ({ url: `/bin/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Bin', ...STATE],
    }),
    deleteForGood: build.mutation<unknown, string>({
      query: (id) => ({ url: `/bin/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Bin'],
    }),
  }),
});
