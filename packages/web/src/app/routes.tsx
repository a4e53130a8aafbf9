import { lazy } from 'react';
import { createBrowserRouter, Navigate } from 'react-router';
import { api } from './api';
import { PlaceBar, Shell } from './Shell';
import { Empty } from './states';
import type { Store } from './store';
import { preloadTypefaces } from './typefaces';

// Each place is loaded when it is first gone to; with it what only it needs, such as the data grid.
const Desk = lazy(() => import('../places/desk/Desk'));
const Standard = lazy(() => import('../places/standard/Standard'));
const DesignList = lazy(() => import('../places/designs/DesignList'));
const settingOut = () => import('../places/settingOut/SettingOut');
const SettingOut = lazy(settingOut);
const IntakeList = lazy(() => import('../places/intake/IntakeList'));
const SheetSet = lazy(() => import('../places/intake/set/SheetSet'));
const IntakeResult = lazy(() => import('../places/intake/result/IntakeResult'));
const ProjectList = lazy(() => import('../places/projects/ProjectList'));
const ProjectPlace = lazy(() => import('../places/projects/ProjectPlace'));
const Output = lazy(() => import('../places/output/Output'));

/**
 * Asks for all that setting-out needs at once: its code, its typefaces, the design, and the standard that the design keeps
 * to. Whoever needs it later finds it there; what goes wrong is told there as well.
 */
async function preloadDesign(store: Store, id: string): Promise<void> {
  void settingOut().catch(() => undefined);
  preloadTypefaces();
  const { data } = await store.dispatch(api.endpoints.design.initiate(id, { subscribe: false }));
  if (data) void store.dispatch(api.endpoints.standardAt.initiate(data.standard ?? null, { subscribe: false }));
}

/** The places of the application by their addresses. */
export const makeRouter = (store: Store) =>
  createBrowserRouter([
    {
      element: <Shell />,
      children: [
        { index: true, element: <Navigate to="/desk" replace /> },
        { path: 'desk', element: <Desk /> },
        { path: 'standard', element: <Navigate to="/standard/sheets" replace /> },
        { path: 'standard/:part', element: <Standard /> },
        { path: 'designs', element: <DesignList /> },
        {
          path: 'designs/:id',
          element: <SettingOut />,
          loader: ({ params }) => {
            void preloadDesign(store, params.id ?? '');
            return null;
          },
        },
        { path: 'intake', element: <IntakeList /> },
        { path: 'intake/sets/:id', element: <SheetSet /> },
        { path: 'intake/:id', element: <IntakeResult /> },
        { path: 'projects', element: <ProjectList /> },
        { path: 'projects/:id', element: <Navigate to="register" replace /> },
        { path: 'projects/:id/:tab', element: <ProjectPlace /> },
        { path: 'output', element: <Output /> },
        {
          path: '*',
          element: (
            <>
              <PlaceBar title="There is no such place" />
              <Empty title="Nothing here">The address may be mistyped, or what it led to has been deleted.</Empty>
            </>
          ),
        },
      ],
    },
  ]);
