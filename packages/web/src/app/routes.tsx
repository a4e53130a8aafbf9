import type { ComponentType } from 'react';
import type { LoaderFunctionArgs } from 'react-router';
import { createBrowserRouter, Navigate } from 'react-router';
import { CODE_OF, loadTab } from './ahead';
import { api, FIRST_PROJECTS } from './api';
import { sheetApi } from './sheetApi';
import { PlaceBar, Shell } from './Shell';
import { Empty, Failed, Loading } from './states';
import type { Store } from './store';
import { loadedTypefaces } from './typefaces';

/** Shown when the code of a place cannot be fetched. */
const NotLoaded = () => <Failed error={undefined} retry={() => window.location.reload()} />;

/**
 * A place whose code is loaded when it is first gone to, and with it what only it needs, such as the data grid. It is built
 * when that is there: React builds a place that has to wait while it is built no sooner than 300 ms after that.
 */
const place = (load: () => Promise<{ default: ComponentType }>) => ({
  lazy: {
    Component: () =>
      load().then(
        (module) => module.default,
        () => NotLoaded,
      ),
  },
  hydrateFallbackElement: <Loading what="this place" />,
});

/** Loads the typefaces for a place that draws sheets. */
const loadTypefaces = (): Promise<null> =>
  loadedTypefaces().then(
    () => null,
    () => null,
  );

/**
 * Loads what setting-out needs besides its code: its typefaces, the design, and the standard that the design keeps to.
 * Whoever needs it later finds it there. What goes wrong is told there as well, by whoever asks again.
 */
async function loadDesign(store: Store, id: string): Promise<null> {
  const typefaces = loadTypefaces();
  const { data } = await store.dispatch(api.endpoints.design.initiate(id, { subscribe: false }));
  if (data) await store.dispatch(api.endpoints.standardAt.initiate(data.standard ?? null, { subscribe: false }));
  return typefaces;
}

/** Begins to ask for what a place shows, while its code is still on its way; whoever shows it finds the answers there. */
const PREPARED = { subscribe: false } as const;

/** The Desk as it is now, whenever somebody comes to it. */
function prepareDesk(store: Store): null {
  void store.dispatch(api.endpoints.desk.initiate(0, { ...PREPARED, forceRefetch: true }));
  return null;
}

function prepareProjects(store: Store): null {
  void store.dispatch(api.endpoints.projectPage.initiate(FIRST_PROJECTS, PREPARED));
  return null;
}

/** The standard that a project's sheets are drawn with: it is known when the project is. */
async function prepareStandard(store: Store, id: string): Promise<void> {
  const { data: project } = await store.dispatch(api.endpoints.project.initiate(id, PREPARED));
  if (project) await store.dispatch(api.endpoints.standardAt.initiate(project.standard, PREPARED));
}

/**
 * How long a project waits for what it shows before it says that it is loading, in ms: built once, it stands sooner. Whoever comes
 * from another place stays there meanwhile; who opens its address sees that it is loading anyway.
 */
const WAITED = { within: 250, first: 2000 } as const;

/** Only what is drawn large waits for the typefaces: the register stands before its pictures and its findings do. */
async function prepareProject(store: Store, id: string, tab: string | undefined, most: number): Promise<null> {
  loadTab(tab);
  const answers = Promise.all([
    prepareStandard(store, id),
    store.dispatch(api.endpoints.projectDesigns.initiate(id, PREPARED)),
    store.dispatch(api.endpoints.projectTables.initiate(id, PREPARED)),
    store.dispatch(api.endpoints.office.initiate(undefined, PREPARED)),
    store.dispatch(sheetApi.endpoints.sheets.initiate(id, PREPARED)),
  ]);
  // What went wrong is told by whoever asks again.
  await Promise.race([answers.catch(() => undefined), new Promise((resolve) => setTimeout(resolve, most))]);
  return tab === 'arrange' || tab === 'issues' ? loadTypefaces() : null;
}

/** The places of the application by their addresses. */
export function makeRouter(store: Store): ReturnType<typeof createBrowserRouter> {
  // The router begins to load before it is there.
  let router: ReturnType<typeof createBrowserRouter> | undefined = undefined;
  const loadProject = ({ params }: LoaderFunctionArgs): Promise<null> =>
    prepareProject(store, params.id ?? '', params.tab, router?.state.initialized ? WAITED.within : WAITED.first);
  router = createBrowserRouter([
    {
      element: <Shell />,
      children: [
        { index: true, element: <Navigate to="/desk" replace /> },
        { path: 'desk', ...place(CODE_OF.desk), loader: () => prepareDesk(store) },
        { path: 'standard', element: <Navigate to="/standard/sheets" replace /> },
        { path: 'standard/:part', ...place(() => import('../places/standard/Standard')), loader: loadTypefaces },
        { path: 'designs', ...place(() => import('../places/designs/DesignList')), loader: loadTypefaces },
        { path: 'designs/adoption', ...place(() => import('../places/designs/adoption/Adoption')) },
        { path: 'designs/text-heights', ...place(() => import('../places/designs/textHeights/TextHeights')) },
        {
          path: 'designs/:id',
          ...place(() => import('../places/settingOut/SettingOut')),
          loader: ({ params }) => loadDesign(store, params.id ?? ''),
        },
        { path: 'intake', ...place(() => import('../places/intake/IntakeList')) },
        { path: 'intake/sets/:id', ...place(() => import('../places/intake/set/SheetSet')), loader: loadTypefaces },
        { path: 'intake/:id', ...place(() => import('../places/intake/result/IntakeResult')), loader: loadTypefaces },
        {
          path: 'projects',
          ...place(CODE_OF.projects),
          loader: () => prepareProjects(store),
        },
        { path: 'projects/:id', element: <Navigate to="register" replace /> },
        { path: 'projects/:id/:tab', ...place(CODE_OF.project), loader: loadProject },
        // One of the things that a part of a project holds.
        { path: 'projects/:id/:tab/:part', ...place(CODE_OF.project), loader: loadProject },
        { path: 'bin', ...place(() => import('../places/bin/Bin')) },
        { path: 'output', ...place(() => import('../places/output/Output')) },
        {
          path: '*',
          element: (
            <>
              <PlaceBar title="Page not found" />
              <Empty title="Nothing here">The address may be mistyped, or what it led to has been deleted.</Empty>
            </>
          ),
        },
      ],
    },
  ]);
  return router;
}
