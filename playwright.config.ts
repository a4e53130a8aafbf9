import { defineConfig } from '@playwright/test';

// The application under test is started by scripts/test-e2e.mjs, which says where it is.
export default defineConfig({
  testDir: 'e2e',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  fullyParallel: false,
  workers: 1,
  retries: 0,
  reporter: process.env['CI'] ? [['list']] : [['line']],
  outputDir: process.env['MENDREL_E2E_OUTPUT'] ?? 'test-results',
  use: {
    baseURL: process.env['MENDREL_URL'] ?? 'http://127.0.0.1:4310',
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // Nothing that is tested lies in the motion itself, and every frame of it is painted without a graphics card.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
