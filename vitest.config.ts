import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** The app's own folder, as Nuxt names it. */
const alias = { '~': fileURLToPath(new URL('./app', import.meta.url)) }
/** Far more than any test takes alone: a loaded machine is no fault of the code. */
const testTimeout = 120_000

export default defineConfig({
  test: {
    // Every core works: what is checked beside them mostly waits.
    maxWorkers: '100%',
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          setupFiles: ['tests/lightTable.ts'],
          // Files of one thread share what they import: a third of the time went into loading the same house again.
          // In whatever order: what a file stands in for or stores, it puts back.
          isolate: false,
          testTimeout,
          include: [
            '{core,shared,app,server,tools}/**/*.test.ts',
            'tests/{reference,architecture,cases,golden,advice}/**/*.test.ts',
          ],
          exclude: ['**/*.service.test.ts', '**/node_modules/**'],
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'service',
          setupFiles: ['tests/lightTable.ts'],
          testTimeout,
          hookTimeout: 60_000,
          fileParallelism: false,
          include: ['server/**/*.service.test.ts'],
        },
      },
      {
        test: {
          name: 'api',
          setupFiles: ['tests/lightTable.ts'],
          include: ['tests/api/**/*.test.ts'],
          fileParallelism: false,
          testTimeout,
          hookTimeout: 60_000,
        },
      },
    ],
  },
})
