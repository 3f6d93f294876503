import { defineConfig } from '@playwright/test';

const port = 4199;

// One browser context serves a worker's tests, emptied between them (storage, cookies, routes): the application's files are
// compiled once, not for every test, which takes a quarter off the whole run.
process.env.PW_TEST_REUSE_CONTEXT ??= '1';

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/whole',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  workers: 2,
  fullyParallel: false,
  // Once in some forty scans headless Chromium stops drawing frames and the page waits for ever; a second try tells that
  // from a fault of ours, and is told as flaky.
  retries: 1,
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    acceptDownloads: true,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-background-networking'],
    },
  },
  webServer: {
    command: 'node apps/server/dist/main.js --demo',
    url: `http://127.0.0.1:${port}/api/builds`,
    env: {
      LARCHWOOD_PORT: String(port),
      LARCHWOOD_DATABASE: `test-results/whole-${Date.now()}.sqlite`,
      LARCHWOOD_CUTTING_DAY: '1',
    },
    reuseExistingServer: false,
  },
});
