import { defineConfig } from '@playwright/test'
import { BENCHES, benchOf, portOf } from './tests/browser/benches'

export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'test-results',
  // A whole journey takes half a minute on a quiet machine, four times as long on one whose processors are lent elsewhere.
  timeout: 180_000,
  // A bench with one comparison of captures to make may take its time on a busy machine.
  expect: { timeout: 15_000 },
  workers: BENCHES,
  forbidOnly: true,
  reporter: process.env.PLAYWRIGHT_JUNIT_OUTPUT_FILE ? [['list'], ['junit']] : [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    // Days and times as one region writes them, whatever the machine's own is.
    locale: 'en-GB',
    screenshot: 'only-on-failure',
    // What a test answers in the bench's place must reach the page; the worker has tests of its own.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'],
    },
  },
  webServer: Array.from({ length: BENCHES }, (_, worker) => ({
    command: `tests/browser/serve ${portOf(worker)}`,
    url: `${benchOf(worker)}/api/v1/verbs`,
    timeout: 60_000,
    gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5000 },
  })),
})
