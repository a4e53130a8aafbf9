import express from 'express';
import type { Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { designRoutes } from './designs/designRoutes';
import { revisionRoutes } from './designs/revisionRoutes';
import type { Dependencies } from './http/dependencies';
import { errorHandler, noSuchRoute } from './http/errorHandler';
import { Failure } from './http/failure';
import { intakeRoutes } from './intake/intakeRoutes';
import { lessonRoutes } from './intake/lessonRoutes';
import { setRoutes } from './intake/setRoutes';
import { officeRoutes } from './office/officeRoutes';
import { outputRoutes } from './output/outputRoutes';
import { projectRoutes } from './projects/projectRoutes';
import { sheetRoutes } from './sheets/sheetRoutes';
import { standardRoutes } from './standard/standardRoutes';
import { typefaceRoutes } from './typefaces/typefaceRoutes';

/** The application: the API under /api and, where it was built, the interface beside it. */
export function createApp(dependencies: Dependencies, webFolder?: string): Express {
  const app = express();
  app.disable('x-powered-by');
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
    }),
  );

  const api = express.Router();
  // Pages of other origins must not change anything here through their visitor's browser.
  api.use((request, _response, next) => {
    const { origin, host } = request.headers;
    if (
      request.method !== 'GET' &&
      origin !== undefined &&
      origin !== `http://${host}` &&
      origin !== `https://${host}`
    ) {
      throw new Failure('forbidden', 'this request comes from another web page');
    }
    next();
  });
  api.use(
    rateLimit({
      windowMs: 60_000,
      limit: 3000,
      legacyHeaders: false,
      handler: () => {
        throw new Failure('too-many', 'too many requests; wait a minute and try again');
      },
    }),
  );
  api.use(express.json({ limit: '12mb' }));
  api.get('/health', (_request, response) => {
    response.json({ ok: true });
  });
  for (const routes of [
    officeRoutes,
    standardRoutes,
    typefaceRoutes,
    designRoutes,
    revisionRoutes,
    projectRoutes,
    sheetRoutes,
    lessonRoutes,
    setRoutes,
    intakeRoutes,
    outputRoutes,
  ]) {
    api.use(routes(dependencies));
  }
  api.use(noSuchRoute);
  app.use('/api', api);

  if (webFolder && existsSync(join(webFolder, 'index.html'))) {
    app.use(express.static(webFolder, { index: false, maxAge: '1h' }));
    // Every other address is a place of the interface, which finds its way by itself.
    app.get('/{*place}', (_request, response) => {
      response.sendFile(join(webFolder, 'index.html'), { maxAge: 0 });
    });
  }
  app.use(errorHandler(dependencies.log));
  return app;
}
