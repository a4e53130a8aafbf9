import type { DrawingRecord, DrawingReplaced, ReadingRecord } from '@mendrel/contract';
import { api } from '../../../app/api';

/** A file as it is sent, with what its reading is asked for with. */
function formOf(file: File, reading: string): FormData {
  const body = new FormData();
  body.append('reading', reading);
  body.append('file', file);
  return body;
}

/** The drawings that a project's views may show. */
export const drawingApi = api.injectEndpoints({
  endpoints: (build) => ({
    drawings: build.query<DrawingRecord[], string>({
      query: (projectId) => `/projects/${projectId}/drawings`,
      providesTags: ['Drawing'],
    }),
    addDrawing: build.mutation<DrawingRecord, { projectId: string; file: File; reading: string }>({
      query: ({ projectId, file, reading }) => ({
        url: `/projects/${projectId}/drawings`,
        method: 'POST',
        body: formOf(file, reading),
      }),
      invalidatesTags: ['Drawing'],
    }),
    /** A new file in the place of a drawing: all views that showed the old one follow. */
    replaceDrawing: build.mutation<DrawingReplaced, { projectId: string; id: string; file: File; reading: string }>({
      query: ({ id, file, reading }) => ({ url: `/drawings/${id}/file`, method: 'PUT', body: formOf(file, reading) }),
      invalidatesTags: (_result, _error, { projectId: id }) => [
        'Drawing',
        { type: 'Sheet', id },
        { type: 'Tray', id },
        'Findings',
      ],
    }),
    deleteDrawing: build.mutation<DrawingRecord, string>({
      query: (id) => ({ url: `/drawings/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Drawing'],
    }),
    drawingReading: build.query<ReadingRecord, string>({
      query: (id) => `/drawing-readings/${id}`,
      keepUnusedDataFor: 0,
    }),
  }),
});
