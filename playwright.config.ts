import { defineConfig } from '@playwright/test'
import { CHROMIUM_FLAGS, JOURNEY_BROWSER, PORT, sampleChosen } from './e2e/support/place.ts'

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.e2e.ts',
  outputDir: 'test-results',
  fullyParallel: true,
  workers: 2,
  forbidOnly: true,
  retries: 0,
  // A busy machine may be five times as slow: a test that passes takes no longer for it.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json', { outputFile: '.build/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    storageState: sampleChosen(`http://127.0.0.1:${PORT}`),
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/Lisbon',
    reducedMotion: 'reduce',
    trace: 'off',
    // Each test has a fresh browser profile: installing the offline copy every time would only cost time.
    serviceWorkers: 'block',
    launchOptions: { executablePath: JOURNEY_BROWSER, args: CHROMIUM_FLAGS },
  },
  webServer: {
    command: 'node scripts/start.mjs',
    url: `http://127.0.0.1:${PORT}`,
    env: { PORT: String(PORT) },
    reuseExistingServer: false,
    timeout: 180_000,
  },
})
