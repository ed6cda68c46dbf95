import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { gzipSync } from 'node:zlib'
import { LRUCache } from 'lru-cache'
import type { OpenShare } from './shares'

/** What the bundle of the pages gives (app/share/pages.ts, laid beside the server by tools/build/sharedPages.ts). */
interface Pages {
  STYLE: string
  sharedPage: (ask: OpenShare, url: string) => Promise<string>
  gonePage: () => string
}

function bundle(): string {
  for (let dir = dirname(fileURLToPath(import.meta.url)); ; dir = dirname(dir)) {
    const file = join(dir, 'workers/pages.mjs')
    if (existsSync(file)) return file
    if (dir === dirname(dir)) throw new Error('the shared pages were not built')
  }
}

let loaded: Promise<Pages> | null = null
const pages = () => (loaded ??= import(/* @vite-ignore */ pathToFileURL(bundle()).href) as Promise<Pages>)

/** What is frozen is drawn once, and packed once. */
const drawn = new LRUCache<string, Page>({ max: 200 })

/** A page as HTML, and the same packed by gzip. */
export interface Page {
  html: string
  packed: Buffer
}

/** The page of a link. */
export async function pageOf(id: string, share: OpenShare, url: string): Promise<Page> {
  const key = `${id} ${url} ${share.by ?? ''}`
  let page = drawn.get(key)
  if (!page) {
    const html = await (await pages()).sharedPage(share, url)
    drawn.set(key, (page = { html, packed: gzipSync(html) }))
  }
  return page
}

/** The page where a link shows nothing any more. */
export const goneOfShare = async (): Promise<string> => (await pages()).gonePage()

/** What a page may do: show its own style, fonts and icon, and nothing else. */
export async function pagePolicy(): Promise<string> {
  const style = createHash('sha256')
    .update((await pages()).STYLE)
    .digest('base64')
  return [
    "default-src 'none'",
    `style-src 'sha256-${style}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self'",
    "font-src 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; ')
}
