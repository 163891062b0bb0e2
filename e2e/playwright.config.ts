import { defineConfig } from '@playwright/test';
import { hasPostgres } from '../testing/postgres.ts';

export default defineConfig({
  testDir: '.',
  // Without PostgreSQL there is nothing that several servers could share.
  testIgnore: hasPostgres() ? [] : ['processes.spec.ts'],
  globalSetup: './startOnce.ts',
  // Each file has a server and a folder of its own; while one waits for its page, two others work.
  workers: 3,
  // No test is timed: only one that hangs is ended.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  outputDir: '../test-results',
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // Nothing glides: what is pressed stands where it will stay.
    contextOptions: { reducedMotion: 'reduce' },
    // What is kept for a site without a network is tried by a file of its own.
    serviceWorkers: 'block',
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
        // A page lives for seconds: what compiles it best would not pay.
        '--js-flags=--single-threaded-gc,--min-semi-space-size=16,--always-sparkplug,--no-turbofan',
      ],
    },
  },
});
