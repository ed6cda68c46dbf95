import { createHash } from 'node:crypto'
import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

/** What the page is made of. */
const SOURCES = ['app', 'core', 'shared', 'public', 'nuxt.config.ts', 'package-lock.json'] as const

/** A hash of everything the page is made of: the same for every build of the same source. */
export function sourceHash(root = process.cwd(), sources: readonly string[] = SOURCES): string {
  const hash = createHash('sha256')
  for (const source of sources) {
    const files = source.includes('.')
      ? [source]
      : readdirSync(join(root, source), { recursive: true }).map(f => join(source, String(f)))
    for (const file of files.sort()) {
      try {
        hash.update(file).update(readFileSync(join(root, file)))
      } catch {
        // A folder.
      }
    }
  }
  return hash.digest('hex').slice(0, 16)
}

/** The same of all that a process runs. */
export const buildHash = (root?: string): string => sourceHash(root, [...SOURCES, 'server'])
