import { defineConfig } from '@playwright/test'

/**
 * Debian's Chromium against the production build; the server is started by tools/test.mjs, which names it in
 * PISCATOR_URL.
 */
export default defineConfig({
  testDir: 'tests/browser',
  timeout: 60_000,
  fullyParallel: true,
  workers: 2,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    baseURL: process.env.PISCATOR_URL,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--headless',
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
})
