import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** Rooms of the app whose stores keep records, and may be about to send them when their test is over. */
const KEEPING = 'app/{box,day,kept,log,records,waters,yours}/**/*.test.ts'

export default defineConfig({
  // The app's own folder, as Nuxt names it.
  resolve: { alias: { '~': fileURLToPath(new URL('./app', import.meta.url)) } },
  // Said here, it is not looked for in the files of a build that may be under way.
  esbuild: { tsconfigRaw: '{}' },
  test: {
    setupFiles: ['tests/lightTable.ts'],
    runner: './tests/runner.ts',
    // Far more than any test takes alone: a loaded machine is no fault of the code.
    testTimeout: 120_000,
    hookTimeout: 60_000,
    // Every core works: what is checked beside them mostly waits.
    maxWorkers: '100%',
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          // Numbers in, numbers out: files of one thread share what they import, or a third of the time would go into
          // loading the same house again.
          isolate: false,
          include: [
            '{app,core,shared,server,tools}/**/*.test.ts',
            'tests/{reference,architecture,cases,golden,advice}/**/*.test.ts',
          ],
          exclude: [KEEPING, '**/*.service.test.ts', '**/node_modules/**'],
        },
      },
      {
        extends: true,
        // What is about to be sent must not reach another file's server.
        test: { name: 'unit-keeping', include: [KEEPING] },
      },
      {
        extends: true,
        test: { name: 'service', fileParallelism: false, include: ['server/**/*.service.test.ts'] },
      },
      {
        extends: true,
        test: { name: 'api', fileParallelism: false, include: ['tests/api/**/*.test.ts'] },
      },
    ],
  },
})
