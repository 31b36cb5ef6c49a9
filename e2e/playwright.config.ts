import { defineConfig } from '@playwright/test';

const port = Number(process.env['E2E_PORT'] ?? 3100);
const database = process.env['GEWINDE_E2E_DATABASE_URL'] ?? '';

export default defineConfig({
  testDir: 'tests',
  outputDir: 'out',
  timeout: 60_000,
  expect: { timeout: 15_000 },
  workers: 1,
  // what needs a second try has a fault that is to be found
  retries: 0,
  forbidOnly: !!process.env['CI'],
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC',
    screenshot: 'only-on-failure',
    // what slides and fades takes its time, and shows a test nothing
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--in-process-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node ../server/dist/main.js',
    url: `http://127.0.0.1:${port}/api/health`,
    env: {
      GEWINDE_PORT: String(port),
      GEWINDE_DATABASE_URL: database,
      GEWINDE_WEB_ROOT: new URL('../web/dist/web/browser', import.meta.url).pathname,
      GEWINDE_DEMO: 'reset',
    },
    reuseExistingServer: false,
    timeout: 120_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 3000 },
  },
});
