import { defineConfig } from '@playwright/test'
import { CHROMIUM_LAUNCH } from './scripts/lib/system.mjs'

export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'test-results',
  timeout: 150_000,
  expect: { timeout: 12_000 },
  workers: 2,
  fullyParallel: false,
  // A stalled machine gets a second try; the run says which tests needed it.
  retries: 1,
  forbidOnly: true,
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? '.cache/results/playwright.json' }],
  ],
  // A page that comes from the device would hide what the server says; specs of the device allow them.
  use: {
    browserName: 'chromium',
    launchOptions: CHROMIUM_LAUNCH,
    trace: 'off',
    actionTimeout: 30_000,
    serviceWorkers: 'block',
  },
  projects: [
    { name: 'desk', grepInvert: /@phone/, use: { viewport: { width: 1280, height: 800 } } },
    // What a test tagged so is about does not hang on the size of the screen.
    {
      name: 'phone',
      grepInvert: /@desk/,
      // Whole jobs, journeys and what is heard live: other specs go the same ways at this size.
      testIgnore: /(jobs|together|live|first-time|due|money)\.spec\.ts/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true },
    },
  ],
})
