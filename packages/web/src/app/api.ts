import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type {
  ApiError,
  ConversionRecord,
  DeskGroup,
  DeskRecord,
  DesignAt,
  DesignChange,
  DesignCheckpoint,
  DesignCreate,
  DesignMove,
  DesignRecord,
  DesignRevision,
  DesignStarter,
  DesignSummary,
  DesignSwap,
  DesignSwapImpact,
  PublishDesign,
  ImpactProgress,
  IntakeSet,
  IntakeSetRecord,
  Keep,
  KeepCheckpoint,
  AddedImage,
  KeptImage,
  LegacyRecord,
  Lesson,
  LongestValues,
  Office,
  OfficeChange,
  ProjectTables,
  Project,
  ProjectChange,
  ProjectCreate,
  ProjectDesignsRecord,
  ProjectPage,
  ProposedParameterChoice,
  ReadingRecord,
  PublishStandard,
  Revision,
  RevisionChange,
  RevisionCreate,
  ParameterUse,
  SheetFindings,
  StandardAdded,
  StandardAdditionRequest,
  StandardAt,
  StandardChangeRequest,
  StandardImpact,
  StandardState,
  TakeOver,
  TextHeightsRecord,
  TypefaceRecord,
} from '@mendrel/contract';
import type { Corrections, Design, Lessons } from '@mendrel/core';
import { fetchOrAsked } from './ahead';

/** Which projects a page of their list holds. */
export interface ProjectsMeant {
  /** From 0 on. */
  page: number;
  /** Parts of a name, a number or a client. */
  find: string;
  /** Those that are put away, in place of the others. */
  archived: boolean;
}

/** The page of projects that is shown first. */
export const FIRST_PROJECTS: ProjectsMeant = { page: 0, find: '', archived: false };

/** All that sheets are drawn from. */
export const STATE = ['Office', 'Design', 'Project', 'Sheet', 'Tray', 'Standard', 'Typeface', 'Findings'] as const;

/** All that is read from the server, by what changes together. */
export const TAGS = [
  'Office',
  'Design',
  'Project',
  'Sheet',
  'Tray',
  'Legacy',
  'Standard',
  'Typeface',
  'Checkpoint',
  'IntakeSet',
  'Lesson',
  'Conversion',
  'Findings',
  'Revision',
  'Set',
  'SheetDesigns',
  'Bin',
  'Issue',
  'Drawing',
] as const;

/** A long list, frozen as one: the store would freeze each of its entries by itself, which takes longer than reading them. */
export function whole<T>(list: T[]): T[] {
  Object.freeze(list);
  return list;
}

/** The server as the interface knows it; what is read is kept and asked for again after a change. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({
    baseUrl: '/api',
    fetchFn: (input, init) => (input instanceof Request ? fetchOrAsked(input) : fetch(input, init)),
  }),
  tagTypes: TAGS,
  endpoints: (build) => ({
    office: build.query<Office, void>({ query: () => '/office', providesTags: ['Office'] }),
    /** The longest value that each parameter has in any project; asked for anew with every design that is opened. */
    longestValues: build.query<LongestValues, void>({
      query: () => '/office/longest-values',
      keepUnusedDataFor: 0,
    }),
    changeOffice: build.mutation<Office, OfficeChange>({
      query: (body) => ({ url: '/office', method: 'PUT', body }),
      // Kinds under other names are so on sheets, in projects and in conditions of designs.
      invalidatesTags: (_result, _error, { renamedKinds }) =>
        renamedKinds ? ['Office', 'Project', 'Sheet', 'Design', 'SheetDesigns', 'Findings'] : ['Office'],
    }),
    standard: build.query<StandardState, void>({ query: () => '/standard', providesTags: ['Standard'] }),
    /** A published standard by its number, or the draft for null. */
    standardAt: build.query<StandardAt, number | null>({
      query: (number) => `/standard/revisions/${number ?? 'draft'}`,
      providesTags: ['Standard'],
    }),
    saveStandard: build.mutation<StandardState, StandardChangeRequest>({
      query: (body) => ({ url: '/standard', method: 'PUT', body }),
      // Parameters that were renamed have changed designs, projects and sheets as well.
      invalidatesTags: ['Standard', 'Office', 'Design', 'Project', 'Sheet'],
    }),
    /** Adds entries from where they are needed. The design that is to have them is read anew by whoever shows it. */
    addToStandard: build.mutation<StandardAdded, StandardAdditionRequest>({
      query: (body) => ({ url: '/standard/additions', method: 'POST', body }),
      invalidatesTags: ['Standard', 'Design'],
    }),
    standardImpact: build.mutation<StandardImpact, Pick<StandardChangeRequest, 'standard'> & { following: string }>({
      query: (body) => ({ url: '/standard/impact', method: 'POST', body }),
    }),
    impactProgress: build.query<{ progress: ImpactProgress | null }, string>({
      query: (following) => `/standard/impact/${following}`,
      keepUnusedDataFor: 0,
    }),
    textHeights: build.query<TextHeightsRecord, void>({
      query: () => '/designs/text-heights',
      providesTags: ['Design', 'Standard'],
    }),
    /** What needs doing in the whole office: a page of it, from 0 on. */
    desk: build.query<DeskRecord, number>({ query: (page) => `/desk?page=${page}`, providesTags: STATE }),
    /** One group of the Desk with all its projects. */
    deskGroup: build.query<DeskGroup, string>({
      query: (key) => `/desk/group?key=${encodeURIComponent(key)}`,
      providesTags: STATE,
    }),
    /** What has to be mended on each sheet of a project. */
    projectFindings: build.query<SheetFindings[], string>({
      query: (id) => `/projects/${id}/findings`,
      transformResponse: whole<SheetFindings>,
      providesTags: STATE,
    }),
    publishStandard: build.mutation<StandardState, PublishStandard>({
      query: (body) => ({ url: '/standard/revisions', method: 'POST', body }),
      invalidatesTags: ['Standard'],
    }),
    parameterUses: build.query<ParameterUse[], void>({
      query: () => '/standard/parameter-uses',
      providesTags: ['Standard', 'Design', 'Project', 'Sheet'],
    }),
    typefaces: build.query<TypefaceRecord[], void>({ query: () => '/typefaces', providesTags: ['Typeface'] }),
    addTypeface: build.mutation<TypefaceRecord, { file: File; licence: string }>({
      query: ({ file, licence }) => {
        const body = new FormData();
        body.append('licence', licence);
        body.append('file', file);
        return { url: '/typefaces', method: 'POST', body };
      },
      invalidatesTags: ['Typeface'],
    }),
    deleteTypeface: build.mutation<unknown, string>({
      query: (id) => ({ url: `/typefaces/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Typeface'],
    }),
    /** Keeps an image file, once for all who use it. */
    addImage: build.mutation<{ image: KeptImage; dotsPerInch: number | undefined }, File>({
      query: (file) => {
        const body = new FormData();
        body.append('file', file);
        return { url: '/assets', method: 'POST', body };
      },
      // What documents refer to has no more in it than they may hold.
      transformResponse: ({ dotsPerInch, ...image }: AddedImage) => ({ image, dotsPerInch }),
    }),
    designs: build.query<DesignSummary[], void>({ query: () => '/designs', providesTags: ['Design'] }),
    design: build.query<DesignRecord, string>({
      query: (id) => `/designs/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'Design', id }],
    }),
    createDesign: build.mutation<DesignRecord, DesignCreate>({
      query: (body) => ({ url: '/designs', method: 'POST', body }),
      invalidatesTags: ['Design'],
    }),
    saveDesign: build.mutation<DesignRecord, DesignChange & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/designs/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Design'],
    }),
    moveDesign: build.mutation<DesignRecord, DesignMove & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/designs/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Design'],
    }),
    /** A design as it was published, or its draft for null. */
    designAt: build.query<DesignAt, { id: string; number: number | null }>({
      query: ({ id, number }) => `/designs/${id}/revisions/${number ?? 'draft'}`,
      providesTags: (_result, _error, { id }) => [{ type: 'Design', id }],
    }),
    designRevisions: build.query<DesignRevision[], string>({
      query: (id) => `/designs/${id}/revisions`,
      providesTags: (_result, _error, id) => [{ type: 'Design', id }, 'Project'],
    }),
    publishDesign: build.mutation<DesignRevision[], PublishDesign & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/designs/${id}/revisions`, method: 'POST', body }),
      invalidatesTags: ['Design'],
    }),
    checkpoints: build.query<DesignCheckpoint[], string>({
      query: (id) => `/designs/${id}/checkpoints`,
      providesTags: ['Checkpoint'],
    }),
    checkpoint: build.query<DesignCheckpoint & { document: Design }, { id: string; checkpoint: string }>({
      query: ({ id, checkpoint }) => `/designs/${id}/checkpoints/${checkpoint}`,
    }),
    keepCheckpoint: build.mutation<DesignCheckpoint[], KeepCheckpoint & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/designs/${id}/checkpoints`, method: 'POST', body }),
      invalidatesTags: ['Checkpoint'],
    }),
    deleteCheckpoint: build.mutation<unknown, { id: string; checkpoint: string }>({
      query: ({ id, checkpoint }) => ({ url: `/designs/${id}/checkpoints/${checkpoint}`, method: 'DELETE' }),
      invalidatesTags: ['Checkpoint'],
    }),
    keepAsStarter: build.mutation<DesignStarter, DesignStarter & { id: string }>({
      query: ({ id, starter }) => ({ url: `/designs/${id}/starter`, method: 'PUT', body: { starter } }),
      invalidatesTags: ['Design'],
    }),
    deleteDesign: build.mutation<unknown, string>({
      query: (id) => ({ url: `/designs/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Design', 'Legacy', 'Standard', 'Typeface', 'Bin'],
    }),
    projects: build.query<Project[], void>({
      query: () => '/projects',
      transformResponse: whole<Project>,
      providesTags: ['Project'],
    }),
    /** A page of the list of projects, of those that are meant. */
    projectPage: build.query<ProjectPage, ProjectsMeant>({
      query: ({ page, find, archived }) =>
        `/projects/page?${new URLSearchParams({ page: String(page), find, archived: String(archived) }).toString()}`,
      providesTags: ['Project'],
    }),
    project: build.query<Project, string>({
      query: (id) => `/projects/${id}`,
      providesTags: ['Project'],
    }),
    createProject: build.mutation<Project, ProjectCreate>({
      query: (body) => ({ url: '/projects', method: 'POST', body }),
      invalidatesTags: ['Project', 'Design'],
    }),
    changeProject: build.mutation<Project, ProjectChange & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/projects/${id}`, method: 'PATCH', body }),
      invalidatesTags: ['Project', 'Design'],
    }),
    /** Rows of the tables that are entered for a project. */
    projectTables: build.query<ProjectTables, string>({
      query: (id) => `/projects/${id}/tables`,
      providesTags: ['Project'],
    }),
    changeProjectTables: build.mutation<ProjectTables, ProjectTables & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/projects/${id}/tables`, method: 'PUT', body }),
      invalidatesTags: ['Project', 'Findings'],
    }),
    /** The designs that its sheets are drawn with. */
    projectDesigns: build.query<ProjectDesignsRecord, string>({
      query: (id) => `/projects/${id}/designs`,
      providesTags: ['Project', 'Design', 'SheetDesigns'],
    }),
    /** What other designs would do to a project's sheets. */
    swapImpact: build.query<DesignSwapImpact, DesignSwap & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/projects/${id}/swap-impact`, method: 'POST', body }),
      keepUnusedDataFor: 0,
    }),
    projectRevisions: build.query<Revision[], string>({
      query: (id) => `/projects/${id}/revisions`,
      providesTags: ['Revision'],
    }),
    makeRevision: build.mutation<Revision, RevisionCreate & { projectId: string }>({
      query: ({ projectId, ...body }) => ({ url: `/projects/${projectId}/revisions`, method: 'POST', body }),
      invalidatesTags: (_result, _error, { projectId }) => ['Revision', { type: 'Sheet', id: projectId }, 'Findings'],
    }),
    changeRevision: build.mutation<Revision, RevisionChange & { id: string; projectId: string }>({
      query: ({ id, projectId: _projectId, ...body }) => ({ url: `/revisions/${id}`, method: 'PATCH', body }),
      invalidatesTags: (_result, _error, { projectId }) => ['Revision', { type: 'Sheet', id: projectId }, 'Findings'],
    }),
    deleteProject: build.mutation<unknown, string>({
      query: (id) => ({ url: `/projects/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Project', 'Design', 'Standard', 'Bin'],
    }),
    legacyDrawings: build.query<LegacyRecord[], void>({ query: () => '/intake', providesTags: ['Legacy'] }),
    correctIntake: build.mutation<ConversionRecord, { id: string; corrections: Corrections }>({
      query: ({ id, corrections }) => ({ url: `/intake/${id}/corrections`, method: 'PUT', body: corrections }),
      async onQueryStarted({ id }, { dispatch, queryFulfilled }) {
        // The answer is the new reading; asking for it once more would read the drawing twice. What fails is told elsewhere.
        const answer = await queryFulfilled.catch(() => undefined);
        if (answer) void dispatch(api.util.upsertQueryData('conversion', id, answer.data));
      },
    }),
    conversion: build.query<ConversionRecord, string>({
      query: (id) => `/intake/${id}/conversion`,
      providesTags: ['Conversion'],
      // Linework of a drawing can be large: kept for a short while only.
      keepUnusedDataFor: 30,
    }),
    addLegacy: build.mutation<LegacyRecord, { file: File; reading: string }>({
      query: ({ file, reading }) => {
        const body = new FormData();
        // Before the file, so that the server has it when the file has arrived.
        body.append('reading', reading);
        body.append('file', file);
        return { url: '/intake', method: 'POST', body };
      },
      invalidatesTags: ['Legacy', 'Standard', 'Typeface'],
    }),
    reading: build.query<ReadingRecord, string>({ query: (id) => `/intake/readings/${id}`, keepUnusedDataFor: 0 }),
    lessons: build.query<Lessons, void>({ query: () => '/intake/lessons', providesTags: ['Lesson'] }),
    teach: build.mutation<Lessons, Lesson>({
      query: (body) => ({ url: '/intake/lessons', method: 'PUT', body }),
      invalidatesTags: ['Lesson', 'Conversion'],
    }),
    wantParameter: build.mutation<ConversionRecord, ProposedParameterChoice & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/intake/${id}/parameters`, method: 'POST', body }),
      invalidatesTags: ['Lesson', 'Conversion', 'Standard'],
    }),
    intakeSets: build.query<IntakeSet[], void>({ query: () => '/intake/sets', providesTags: ['IntakeSet'] }),
    intakeSet: build.query<IntakeSetRecord, string>({
      query: (id) => `/intake/sets/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'IntakeSet', id }],
    }),
    createIntakeSet: build.mutation<IntakeSet, { name: string }>({
      query: (body) => ({ url: '/intake/sets', method: 'POST', body }),
    }),
    addToIntakeSet: build.mutation<IntakeSet, { id: string; file: File }>({
      query: ({ id, file }) => {
        const body = new FormData();
        body.append('file', file);
        return { url: `/intake/sets/${id}/drawings`, method: 'POST', body };
      },
    }),
    readIntakeSet: build.mutation<IntakeSet, { id: string; action: 'read' | 'stop' }>({
      query: ({ id, action }) => ({ url: `/intake/sets/${id}/${action}`, method: 'POST' }),
      invalidatesTags: ['IntakeSet'],
    }),
    /** Reads a set anew, as after something was taught. */
    readSetAgain: build.mutation<IntakeSet, string>({
      query: (id) => ({ url: `/intake/sets/${id}/again`, method: 'POST' }),
      invalidatesTags: ['IntakeSet'],
    }),
    /** What was set right on a drawing counts for all sheets of its group. */
    applyToSet: build.mutation<IntakeSet, { id: string; drawing: string }>({
      query: ({ id, drawing }) => ({ url: `/intake/sets/${id}/corrections`, method: 'POST', body: { drawing } }),
      invalidatesTags: ['IntakeSet'],
    }),
    takeOverSet: build.mutation<{ projectId: string; designId: string; sheets: number }, TakeOver & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/intake/sets/${id}/take-over`, method: 'POST', body }),
      invalidatesTags: ['IntakeSet', 'Project', 'Design', 'Sheet'],
    }),
    deleteIntakeSet: build.mutation<unknown, string>({
      query: (id) => ({ url: `/intake/sets/${id}`, method: 'DELETE' }),
      invalidatesTags: ['IntakeSet'],
    }),
    keepLegacy: build.mutation<DesignRecord, Keep & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/intake/${id}/keep`, method: 'POST', body }),
      invalidatesTags: ['Legacy', 'Design'],
    }),
    deleteLegacy: build.mutation<unknown, string>({
      query: (id) => ({ url: `/intake/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Legacy', 'Standard', 'Typeface'],
    }),
  }),
});

/** What went wrong with a request, in the words of the server or, without an answer, in our own. */
export function errorOf(error: unknown): ApiError {
  if (typeof error === 'object' && error !== null && 'data' in error) {
    const { data } = error;
    if (typeof data === 'object' && data !== null && 'code' in data && 'message' in data) return data as ApiError;
  }
  return {
    code: 'unavailable',
    message: 'The server does not answer. Check that Mendrel is still running, then try again.',
  };
}

/**
 * Why something cannot be shown. While server or database are away, what was read before stays where it is, and so does what
 * somebody is just typing into it.
 */
export function faultOf({ error, currentData }: { error?: unknown; currentData?: unknown }): unknown {
  return currentData !== undefined && errorOf(error).code === 'unavailable' ? undefined : error;
}
