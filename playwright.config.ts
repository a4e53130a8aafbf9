import { defineConfig } from '@playwright/test';

// scripts/test-e2e.mjs starts an application for each worker; e2e/test.ts gives each worker its own.
export default defineConfig({
  testDir: 'e2e',
  // Only a failure takes as long: what is waited for comes, however long a machine that is shared stands still.
  timeout: 240_000,
  expect: { timeout: 45_000 },
  fullyParallel: false,
  workers: 2,
  retries: 0,
  reporter: process.env['CI'] ? [['list']] : [['line']],
  outputDir: process.env['MENDREL_E2E_OUTPUT'] ?? 'test-results',
  use: {
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
