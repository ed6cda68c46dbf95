import { type ChildProcess, spawn, spawnSync } from 'node:child_process'
import { chmodSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { once } from 'node:events'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from 'playwright'
import { CHROMIUM, CHROMIUM_ARGS } from './chromium'

/**
 * Whether `./run dev` serves the app from its sources: the ranking is drawn, and a component that is edited is drawn
 * anew without a reload. Everything it starts lies in a folder of its own, and is ended.
 */
const [FIRST_MS, EDIT_MS] = [180_000, 30_000] as const
const EDITED = 'app/shell/TopBar.vue'
const MARK = 'data-edited'

const freePort = () =>
  new Promise<number>(resolve => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const { port } = s.address() as { port: number }
      s.close(() => resolve(port))
    })
  })

async function answers(url: string, dev: ChildProcess): Promise<void> {
  const until = Date.now() + FIRST_MS
  while (Date.now() < until && dev.exitCode === null) {
    const ok = await fetch(url).then(
      r => r.ok,
      () => false,
    )
    if (ok) return
    await new Promise(r => setTimeout(r, 500))
  }
  throw new Error('the development server did not answer')
}

/** An edit is drawn on the page that is open: a mark of its own, which a reload would take away, stays. */
async function drawsEdits(page: Page): Promise<void> {
  const before = readFileSync(EDITED, 'utf8')
  await page.evaluate(() => Object.assign(window, { stillOpen: true }))
  try {
    writeFileSync(EDITED, before.replace(/(<template>\s*<\w+)/, `$1 ${MARK}`))
    await page.locator(`[${MARK}]`).first().waitFor({ state: 'attached', timeout: EDIT_MS })
    if (!(await page.evaluate(() => 'stillOpen' in window))) throw new Error('the edit was drawn by a reload')
  } finally {
    writeFileSync(EDITED, before)
  }
}

const state = mkdtempSync(join(tmpdir(), 'piscator-dev-'))
// The database's own user must reach what lies in it.
chmodSync(state, 0o755)
const port = await freePort()
const env = { ...process.env, PORT: String(port), PISCATOR_STATE: state }
const dev = spawn('./run', ['dev'], { env, stdio: ['ignore', 'inherit', 'inherit'] })
let failed: unknown = null
try {
  await answers(`http://127.0.0.1:${port}/api/v1/health`, dev)
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.addInitScript(() => localStorage.setItem('piscator.begun', 'true'))
    await page.goto(`http://127.0.0.1:${port}/`, { timeout: FIRST_MS })
    await page.getByTestId('call').first().waitFor({ timeout: FIRST_MS })
    await drawsEdits(page)
  } finally {
    await browser.close()
  }
} catch (e) {
  failed = e
} finally {
  dev.kill()
  if (dev.exitCode === null) await once(dev, 'exit')
  spawnSync('./run', ['stop'], { env, stdio: 'inherit' })
  rmSync(state, { recursive: true, force: true })
}
if (failed) console.error(failed)
process.exit(failed ? 1 : 0)
