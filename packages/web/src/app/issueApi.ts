import type {
  Issue,
  IssueChange,
  IssueCheck,
  IssueComparison,
  IssueCreate,
  IssuedSheet,
  IssueWish,
  SheetSet,
  SheetSetChange,
  SheetSetCreate,
} from '@mendrel/contract';
import type { Drawing } from '@mendrel/core';
import { api } from './api';

/** Sets of a project and its issues, as the interface knows them. */
export const issueApi = api.injectEndpoints({
  endpoints: (build) => ({
    projectSets: build.query<SheetSet[], string>({
      query: (id) => `/projects/${id}/sets`,
      // A sheet that is deleted leaves its sets.
      providesTags: (_result, _error, id) => ['Set', { type: 'Sheet', id }],
    }),
    createSet: build.mutation<SheetSet, SheetSetCreate & { projectId: string }>({
      query: ({ projectId, ...body }) => ({ url: `/projects/${projectId}/sets`, method: 'POST', body }),
      invalidatesTags: ['Set', 'Standard'],
    }),
    changeSet: build.mutation<SheetSet, SheetSetChange & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/sets/${id}`, method: 'PATCH', body }),
      invalidatesTags: ['Set', 'Standard'],
    }),
    deleteSet: build.mutation<unknown, string>({
      query: (id) => ({ url: `/sets/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Set', 'Standard'],
    }),
    projectIssues: build.query<Issue[], string>({
      query: (id) => `/projects/${id}/issues`,
      providesTags: ['Issue'],
    }),
    /** What would go out, as it is now; asked for anew each time. */
    checkIssue: build.query<IssueCheck, IssueWish & { projectId: string }>({
      query: ({ projectId, ...body }) => ({ url: `/projects/${projectId}/issue-check`, method: 'POST', body }),
      keepUnusedDataFor: 0,
      providesTags: ['Office'],
    }),
    makeIssue: build.mutation<Issue, IssueCreate & { projectId: string }>({
      query: ({ projectId, ...body }) => ({ url: `/projects/${projectId}/issues`, method: 'POST', body }),
      invalidatesTags: (_result, error, { projectId }) =>
        error ? [] : ['Issue', { type: 'Sheet', id: projectId }, 'Findings'],
    }),
    changeIssue: build.mutation<Issue, IssueChange & { id: string; projectId: string }>({
      query: ({ id, projectId: _projectId, ...body }) => ({ url: `/issues/${id}`, method: 'PATCH', body }),
      invalidatesTags: (_result, _error, { projectId }) => ['Issue', { type: 'Sheet', id: projectId }, 'Findings'],
    }),
    // What went out does not change.
    issuedSheets: build.query<IssuedSheet[], string>({ query: (id) => `/issues/${id}/sheets` }),
    issuedSheet: build.query<IssuedSheet & { drawing: Drawing }, { id: string; position: number }>({
      query: ({ id, position }) => `/issues/${id}/sheets/${position}`,
      keepUnusedDataFor: 30,
    }),
    compareIssues: build.query<IssueComparison, { id: string; before: string }>({
      query: ({ id, before }) => `/issues/${id}/compare/${before}`,
    }),
  }),
});
