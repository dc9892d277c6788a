import { defineConfig } from '@playwright/test';

/** What takes longest goes before the rest, so that nothing is waited for alone in the end. */
const LONG = ['axe*.spec.ts', 'face.spec.ts', 'huge-outline.spec.ts'];

// scripts/test.mjs starts the server, with its own database and a clock that stands, and says where it is.
export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  // Long enough for a slow machine: nothing here is measured, and what will not come is still said.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  // One more than there are processors: a browser waits for its server, and a server for its database.
  workers: 3,
  // What fails once and holds the second time is counted, and said by name at the end of the run: it is to be looked at.
  retries: 1,
  forbidOnly: true,
  reporter: [['list'], ['json']],
  // The journey takes the pictures, so it goes first, while the desk holds the demo's courses alone.
  projects: [
    { name: 'journey', testMatch: 'journey.spec.ts' },
    { name: 'long', testMatch: LONG, dependencies: ['journey'] },
    { name: 'rest', testIgnore: ['journey.spec.ts', ...LONG], dependencies: ['journey'] },
  ],
  use: {
    baseURL: process.env['E2E_URL'] ?? 'http://127.0.0.1:4600',
    // What is not there after this long will not come: the test says where it waited.
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/Lisbon',
    contextOptions: { reducedMotion: 'reduce' },
    // Keeping a trace of every step costs half as much again: E2E_TRACE=1 for a test that fails.
    trace: process.env['E2E_TRACE'] === '1' ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: process.env['CHROME_PATH'] ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--font-render-hinting=none',
      ],
    },
  },
});
