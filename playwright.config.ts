import { defineConfig } from '@playwright/test'

const PORT = Number(process.env.LINGUATOR_TEST_PORT ?? 8791)

export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'test-results',
  timeout: 45_000,
  // A bench with one comparison of captures to make may take its time on a busy machine.
  expect: { timeout: 15_000 },
  // One worker: the tests share one bench, and the machine has two cores.
  workers: 1,
  forbidOnly: true,
  reporter: process.env.PLAYWRIGHT_JUNIT_OUTPUT_FILE ? [['list'], ['junit']] : [['list']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'],
    },
  },
  webServer: {
    command: `tests/browser/serve ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/v1/verbs`,
    timeout: 60_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
  },
})
