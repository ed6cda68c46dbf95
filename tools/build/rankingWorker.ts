import { copyFile } from 'node:fs/promises'
import { join } from 'node:path'
import { build } from 'esbuild'

/**
 * Bundle the server's ranking worker into a folder, its light table beside it: a thread is started from a file of its
 * own, which the server's bundle has no place for.
 */
export async function buildRankingWorker(root: string, folder: string): Promise<void> {
  await build({
    absWorkingDir: root,
    entryPoints: ['server/ranking/ranking.worker.ts'],
    outfile: join(folder, 'workers/ranking.mjs'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    // Native: found among the server's packages.
    external: ['@resvg/resvg-js'],
    // Joi asks for some of Node's own modules as CommonJS does.
    banner: { js: "import { createRequire } from 'node:module'\nconst require = createRequire(import.meta.url)" },
    logLevel: 'warning',
  })
  await copyFile(join(root, 'core/data/light.table'), join(folder, 'workers/light.table'))
}
