import { defineConfig } from '@playwright/test'

const port = process.env.YEW_E2E_PORT ?? '4199'

/** Drives the application that npm start brings up, on data of its own. */
export default defineConfig({
  testDir: process.env.YEW_E2E_DIR ?? 'journeys',
  outputDir: '../test-results',
  // Wide enough for a slow, shared machine: a journey waits for what it needs, never for a clock.
  timeout: 180_000,
  expect: { timeout: 20_000 },
  // Side by side: every test has a guest of its own, so none sees another’s.
  fullyParallel: true,
  workers: 2,
  retries: 0,
  reporter: process.env.YEW_E2E_REPORT
    ? [['list'], ['json', { outputFile: process.env.YEW_E2E_REPORT }]]
    : [['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    // Moving water drawn without a graphics card keeps a core busy in every page; what is about motion asks for it.
    contextOptions: { reducedMotion: 'reduce' },
    // What is routed away in a test must not be answered by the page's own worker.
    serviceWorkers: 'block',
    // A trace photographs every step, which a slow machine pays for in every test.
    trace: process.env.YEW_E2E_TRACE ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: process.env.YEW_E2E_BROWSER ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node ../tools/start.mjs',
    url: `http://127.0.0.1:${port}`,
    timeout: 180_000,
    reuseExistingServer: false,
    stdout: 'ignore',
    stderr: 'pipe',
    gracefulShutdown: { signal: 'SIGTERM', timeout: 15_000 },
    env: {
      YEW_PORT: port,
      YEW_DATA_DIR: process.env.YEW_E2E_DATA ?? '',
      YEW_THROWAWAY: '1',
    },
  },
})
