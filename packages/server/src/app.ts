import express from 'express';
import type { Express } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { binRoutes } from './bin/binRoutes';
import { areaRoutes } from './areas/areaRoutes';
import { assetRoutes } from './assets/assetRoutes';
import { drawingRoutes } from './drawings/drawingRoutes';
import { designFileRoutes } from './designs/designFileRoutes';
import { designRoutes } from './designs/designRoutes';
import { revisionRoutes } from './designs/revisionRoutes';
import type { Dependencies } from './http/dependencies';
import { findingsRoutes } from './findings/findingsRoutes';
import { errorHandler, noSuchRoute } from './http/errorHandler';
import { Failure } from './http/failure';
import { knownHosts, ownOrigin } from './http/knownHosts';
import { intakeRoutes } from './intake/intakeRoutes';
import { lessonRoutes } from './intake/lessonRoutes';
import { setRoutes } from './intake/setRoutes';
import { officeRoutes } from './office/officeRoutes';
import { outputRoutes } from './output/outputRoutes';
import { projectRoutes } from './projects/projectRoutes';
import { projectTableRoutes } from './projects/projectTableRoutes';
import { projectRevisionRoutes } from './revisions/projectRevisionRoutes';
import { projectIssueRoutes } from './issues/projectIssueRoutes';
import { projectSetRoutes } from './sets/projectSetRoutes';
import { sheetRoutes } from './sheets/sheetRoutes';
import { trayRoutes } from './tray/trayRoutes';
import { standardRoutes } from './standard/standardRoutes';
import { typefaceRoutes } from './typefaces/typefaceRoutes';

/** How long the database may take to say that it is there, in ms. */
const HEALTH_TIME = 3000;

/** The application: the API under /api and, where it was built, the interface beside it. */
export function createApp(dependencies: Dependencies, webFolder?: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          // The interface's styles are written into the page as it runs; scripts come from here only.
          'style-src': ["'self'", "'unsafe-inline'"],
          'script-src': ["'self'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'font-src': ["'self'", 'data:'],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
      // Chromium keeps no compiled code for pages that ask for a process of their own, so each visit compiled all of it anew.
      originAgentCluster: false,
    }),
  );

  app.use(knownHosts(dependencies.hosts));

  const api = express.Router();
  api.use(ownOrigin);
  api.use(express.json({ limit: '12mb' }));
  api.get('/health', async (_request, response) => {
    // Without the database nothing can be opened or saved, whatever the server itself says.
    await dependencies.database.raw('select 1').timeout(HEALTH_TIME);
    response.json({ ok: true });
  });
  api.use((request, response, next) => {
    if (request.method !== 'GET')
      response.once('finish', () => {
        if (response.statusCode < 400) dependencies.changed();
      });
    next();
  });
  for (const routes of [
    officeRoutes,
    standardRoutes,
    typefaceRoutes,
    assetRoutes,
    designRoutes,
    designFileRoutes,
    revisionRoutes,
    projectRevisionRoutes,
    projectSetRoutes,
    projectIssueRoutes,
    projectRoutes,
    binRoutes,
    projectTableRoutes,
    sheetRoutes,
    trayRoutes,
    drawingRoutes,
    areaRoutes,
    lessonRoutes,
    setRoutes,
    intakeRoutes,
    outputRoutes,
    findingsRoutes,
  ]) {
    api.use(routes(dependencies));
  }
  api.use(noSuchRoute);
  app.use('/api', api);

  if (webFolder && existsSync(join(webFolder, 'index.html'))) {
    // Their names say what they hold: under one of them there is never anything else.
    app.use('/assets', express.static(join(webFolder, 'assets'), { index: false, maxAge: '1y', immutable: true }));
    app.use(express.static(webFolder, { index: false, maxAge: '1h' }));
    // Every other address is a place of the interface, which finds its way by itself; files that are not there are not.
    app.get('/{*place}', (request, response) => {
      if (/\.\w+$/.test(request.path)) throw new Failure('not-found', `there is no file ${request.path}`);
      response.sendFile(join(webFolder, 'index.html'), { maxAge: 0 });
    });
  }
  app.use(errorHandler(dependencies.log));
  return app;
}
