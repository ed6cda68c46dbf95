import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'unit', include: ['core/**/*.test.ts', 'shared/**/*.test.ts', 'app/**/*.test.ts', 'tools/**/*.test.ts', 'tests/{reference,architecture,cases}/**/*.test.ts'] } },
      { test: { name: 'api', include: ['tests/api/**/*.test.ts'], fileParallelism: false, testTimeout: 30_000, hookTimeout: 60_000 } },
    ],
  },
})
