import type { Page } from '@playwright/test';
import { test as base } from '@playwright/test';
import { left, load } from './goTo';

export { expect } from '@playwright/test';
export { goTo } from './goTo';

/** Where the application of a worker is: what one test changes is seen by those after it, and by no other worker. */
function applicationOf({ parallelIndex }: { parallelIndex: number }): string {
  const url = process.env['MENDREL_URLS']?.split(' ')[parallelIndex];
  if (url === undefined) throw new Error('MENDREL_URLS names no application for this worker; run npm run test:e2e');
  return url;
}

/**
 * Tests in one page of the browser, one after another: a page of its own for each costs the browser as much work as loading the
 * application, and loads its scripts anew. Every test begins by going somewhere, with nothing of the one before.
 */
export const test = base.extend<object, { tab: Page }>({
  tab: [
    async ({ browser }, use, worker) => {
      const { contextOptions, viewport, acceptDownloads } = worker.project.use;
      const baseURL = applicationOf(worker);
      const context = await browser.newContext({ ...contextOptions, baseURL, viewport, acceptDownloads });
      await use(await context.newPage());
      await context.close();
    },
    { scope: 'worker' },
  ],
  // oxlint-disable-next-line no-empty-pattern -- Playwright reads the names of fixtures off the pattern
  baseURL: async ({}, use, worker) => use(applicationOf(worker)),
  page: async ({ tab }, use, test) => {
    await use(tab);
    await tab.unrouteAll();
    tab.removeAllListeners();
    // Of the same site, so that the browser keeps the process that it has for it.
    if (test.status !== test.expectedStatus || !(await left(tab))) await load(tab, '/api/office');
    await tab.emulateMedia({ colorScheme: null });
    if (test.project.use.viewport) await tab.setViewportSize(test.project.use.viewport);
  },
});
