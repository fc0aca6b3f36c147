import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'e2e',
  testIgnore: ['planning/**', 'floor/**', 'own/**', 'nights/**', 'views/**', 'languages/**'],
  // One bakery for all: the tests play one morning, in order.
  workers: 1,
  fullyParallel: false,
  // Enough for a hang to be told from a slow machine: no test is about how fast it is.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  globalSetup: './e2e/support/set-up.ts',
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});
