import { join } from 'node:path'
import { build } from 'esbuild'

/**
 * Bundle the server's ranking worker into a folder: a thread is started from a file of its own, which the server's
 * bundle has no place for.
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
    logLevel: 'warning',
  })
}
