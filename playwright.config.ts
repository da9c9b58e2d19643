import { defineConfig } from '@playwright/test'

const chromium = {
  launchOptions: { executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] },
}

export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'test-results',
  timeout: 150_000,
  expect: { timeout: 12_000 },
  workers: 2,
  fullyParallel: false,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? '.cache/results/playwright.json' }]],
  use: { browserName: 'chromium', ...chromium, trace: 'off' },
  projects: [
    { name: 'desk', use: { viewport: { width: 1280, height: 800 } } },
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
  ],
})
