import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** The app's own folder, as Nuxt names it. */
const alias = { '~': fileURLToPath(new URL('./app', import.meta.url)) }
/** Far more than any test takes alone: a loaded machine is no fault of the code. */
const testTimeout = 120_000
const house = { setupFiles: ['tests/lightTable.ts'], runner: './tests/runner.ts', testTimeout }

export default defineConfig({
  test: {
    // Every core works: what is checked beside them mostly waits.
    maxWorkers: '100%',
    projects: [
      {
        resolve: { alias },
        test: {
          ...house,
          name: 'unit',
          // Numbers in, numbers out: files of one thread share what they import, or a third of the time would go into
          // loading the same house again.
          isolate: false,
          include: [
            '{core,shared,server,tools}/**/*.test.ts',
            'tests/{reference,architecture,cases,golden,advice}/**/*.test.ts',
          ],
          exclude: ['**/*.service.test.ts', '**/node_modules/**'],
        },
      },
      {
        resolve: { alias },
        test: {
          // What the app's stores keep, and are about to send, must not reach another file's.
          ...house,
          name: 'unit-app',
          include: ['app/**/*.test.ts'],
        },
      },
      {
        resolve: { alias },
        test: {
          ...house,
          name: 'service',
          hookTimeout: 60_000,
          fileParallelism: false,
          include: ['server/**/*.service.test.ts'],
        },
      },
      {
        test: {
          ...house,
          name: 'api',
          include: ['tests/api/**/*.test.ts'],
          fileParallelism: false,
          hookTimeout: 60_000,
        },
      },
    ],
  },
})
