import { defineConfig } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from './tools/chromium'

/**
 * Debian's Chromium against the production build; the server is started by tools/test.mjs, which names it in
 * PISCATOR_URL.
 */
export default defineConfig({
  testDir: 'tests/browser',
  timeout: 90_000,
  // Slack for a machine that does something else as well: what is waited for comes in a second or two on a quiet one.
  expect: { timeout: 20_000 },
  // A page that a busy machine kept from drawing is tried once more; what passes only then is listed as flaky.
  retries: 1,
  fullyParallel: true,
  workers: 2,
  // What mostly waits goes beside the others, and first, or everything would wait for it at the end.
  projects: [
    { name: 'sync', testMatch: 'sync.spec.ts' },
    { name: 'places', testIgnore: 'sync.spec.ts' },
  ],
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    // What a service worker answers cannot be stood in for; its own tests allow it.
    serviceWorkers: 'block',
    baseURL: process.env.PISCATOR_URL,
    launchOptions: {
      executablePath: CHROMIUM,
      args: CHROMIUM_ARGS,
    },
  },
})
