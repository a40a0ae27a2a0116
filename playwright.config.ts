import { defineConfig } from '@playwright/test';
import { BROWSER } from './scripts/browser.mjs';

const PORT = 5271;

export default defineConfig({
  testDir: 'e2e',
  outputDir: '.cache/browser',
  // Two slow cores run the server, two browsers and axe at once.
  timeout: 90_000,
  // In a slow hour a first visit has taken over fifteen seconds to read its shelf.
  expect: { timeout: 30_000 },
  fullyParallel: true,
  workers: 3,
  reporter: [['line'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // Each fresh profile would fetch the whole application ahead; one test does, and says so.
    serviceWorkers: 'block',
    launchOptions: BROWSER,
  },
  webServer: {
    command: 'node_modules/.bin/tsx server/main.ts',
    env: { PORT: String(PORT) },
    url: `http://127.0.0.1:${PORT}/`,
    reuseExistingServer: false,
  },
});
