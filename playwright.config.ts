import { defineConfig } from '@playwright/test'
import { chromiumProgram } from './scripts/lib/setup.mjs'

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.e2e.ts',
  // Beside what the other tests tell of themselves.
  outputDir: 'test-results/browser',
  globalSetup: './e2e/support/globalSetup.mjs',
  // One world, whose story the tests tell one after the other.
  workers: 1,
  fullyParallel: false,
  // Nothing waits for a fixed time; a machine busy with something else may take three times as long.
  timeout: 120_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    trace: 'off',
    testIdAttribute: 'data-test',
    screenshot: 'only-on-failure',
    launchOptions: { executablePath: chromiumProgram },
  },
})
