import type { ProjectAreas, ProjectAreasChange, SourceAreas } from '@mendrel/contract';
import type { AreaSettings } from '@mendrel/core';
import { api } from '../../../app/api';

/** Areas of a project, measured from its drawings. */
export const areaApi = api.injectEndpoints({
  endpoints: (build) => ({
    areas: build.query<ProjectAreas, string>({
      query: (id) => `/projects/${id}/areas`,
      providesTags: ['Project', 'Drawing'],
    }),
    /** What areas would be measured, before it is saved. */
    measuredAreas: build.query<SourceAreas[], { id: string; sources: AreaSettings['sources'] }>({
      query: ({ id, sources }) => ({
        url: `/projects/${id}/areas/measure`,
        method: 'POST',
        body: { settings: { sources, groups: [], groupOf: {}, unit: 'm²', decimals: 2 } },
      }),
      providesTags: ['Drawing'],
    }),
    saveAreas: build.mutation<ProjectAreas, ProjectAreasChange & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/projects/${id}/areas`, method: 'PUT', body }),
      invalidatesTags: ['Project', 'Findings'],
    }),
  }),
});
