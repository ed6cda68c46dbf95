import { execFileSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { type BrowserContext, type Page, expect, test } from '@playwright/test'
import pg from 'pg'
import { type Server, freePort, startServer } from '../../tools/server'
import { testDatabase } from '../../tools/testDatabase'
import { killCluster } from '../../tools/torture/database'
import { dice } from '../reference/dice'
import { visit } from './screen'

/**
 * Two devices of one angler in the worst of days: offline, with a clock three days behind, a tab killed in mid-tap, the
 * server and its database killed in mid-sync, sends lost, doubled and turned about.
 */
const STATE = 'test-results/sync-state'
const TAPS = 250
let env: Record<string, string> = {}
let server: Server
let port: number

test.beforeAll(async () => {
  rmSync(STATE, { recursive: true, force: true })
  env = testDatabase('start', '.', STATE)
  execFileSync('node_modules/.bin/tsx', ['tools/db/migrate.ts'], { env: { ...process.env, ...env } })
  execFileSync('node_modules/.bin/tsx', ['tools/db/demoData.ts'], { env: { ...process.env, ...env } })
  port = await freePort()
  server = await startServer(port, env)
})
test.afterAll(async () => {
  await server?.kill()
  testDatabase('stop', '.', STATE)
})

/** A line that loses answers, sends twice, and turns the events of a request about. */
async function badLine(context: BrowserContext, seed: number): Promise<void> {
  const { even } = dice(seed)
  await context.route('**/api/v1/sync', async route => {
    const asked = route.request().postDataJSON() as { events: unknown[] }
    const luck = even()
    const postData = luck < 0.5 ? { ...asked, events: [...asked.events].reverse() } : asked
    try {
      const response = await route.fetch({ postData })
      if (luck < 0.2) return await route.abort()
      await route.fulfill({ response: luck > 0.8 ? await route.fetch({ postData }) : response })
    } catch {
      await route.abort().catch(() => {})
    }
  })
}
const POND = '?lat=34.87&lon=-84.3&zone=America/New_York&lure=jerkbait&vis=1.2&tint=green&temp=14.5'
const openLog = (page: Page) => visit(page, `${server.url}/log${POND}`)
const bite = (page: Page) => page.getByRole('button', { name: /^Bite \d/ })
const counted = async (page: Page) => Number(/\d+/.exec((await bite(page).textContent())!)![0])
/** Tap as fast as a thumb never could. */
const tapTimes = (page: Page, times: number) =>
  bite(page).evaluate(async (button, n) => {
    for (let i = 0; i < n; i++) {
      ;(button as HTMLElement).click()
      await new Promise(r => setTimeout(r, 4))
    }
  }, times)
/** What the database holds: rows, and records among them. */
async function rows(): Promise<{ events: number; taps: string[] }> {
  const client = new pg.Client({ connectionString: env.NUXT_DATABASE_OWNER_URL })
  await client.connect()
  const { rows: found } = await client.query<{ record_id: string }>(`select record_id from events where kind = 'tap'`)
  await client.end()
  return { events: found.length, taps: [...new Set(found.map(r => r.record_id))].sort() }
}
const onShelf = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string[]>(resolve => {
        const asked = indexedDB.open('piscator')
        asked.onsuccess = () => {
          const all = asked.result.transaction('events').objectStore('events').getAll()
          all.onsuccess = () =>
            resolve(
              (all.result as { kind: string; recordId: string }[]).filter(e => e.kind === 'tap').map(e => e.recordId),
            )
        }
      }),
  )

test('five hundred taps of two devices end as the same five hundred rows', async ({ browser }) => {
  test.setTimeout(240_000)
  const [one, other] = [await browser.newContext(), await browser.newContext()]
  const first = await one.newPage()
  await openLog(first)
  const sent = first.waitForResponse(r => r.url().endsWith('/sync') && !!r.request().postData()?.includes('"trip"'))
  await first.getByRole('button', { name: /^Begin(?! the)/ }).click()
  await sent
  // As by a recovery code: both are the same angler.
  await other.addCookies(await one.cookies())
  let second = await other.newPage()
  await second.clock.setSystemTime(Date.now() - 3 * 86_400_000)
  await openLog(second)
  await expect(bite(second)).toBeVisible()
  await badLine(one, 4)
  await badLine(other, 5)

  // Both tap while the line is bad; the first device loses it altogether for a while.
  await Promise.all([tapTimes(first, 60), tapTimes(second, 60)])
  await one.setOffline(true)
  await Promise.all([tapTimes(first, 60), tapTimes(second, 40)])

  // The second device's tab is killed in mid-tap: what was counted on the screen is there when it is opened again. It
  // hears nothing meanwhile: what the other device tells comes again by itself.
  await other.unrouteAll({ behavior: 'wait' })
  await other.setOffline(true)
  await second.waitForTimeout(1000)
  await tapTimes(second, 1)
  await expect(second.getByText(/not sent yet/)).toBeVisible()
  const killer = await other.newCDPSession(second)
  const tapping = tapTimes(second, 1000).catch(() => {})
  const before = await counted(second)
  await expect.poll(() => counted(second)).toBeGreaterThan(before + 30)
  const shown = await counted(second)
  const dead = second.waitForEvent('crash')
  killer.send('Page.crash').catch(() => {})
  await dead
  await second.close().catch(() => {})
  await tapping
  await other.setOffline(false)
  await badLine(other, 6)
  second = await other.newPage()
  await openLog(second)
  await expect(bite(second)).toBeVisible()
  expect(await counted(second)).toBeGreaterThanOrEqual(shown)

  // The server is killed in mid-sync, then the database under a new one.
  await one.setOffline(false)
  const taps = Promise.all([tapTimes(first, 60), tapTimes(second, 20)])
  await server.kill('SIGKILL')
  await taps
  server = await startServer(port, env)
  const more = Promise.all([tapTimes(first, 70), tapTimes(second, 20)])
  await killCluster(env.NUXT_DATABASE_URL!)
  await more
  await server.kill('SIGKILL')
  env = testDatabase('start', '.', STATE)
  server = await startServer(port, env)

  // The line is good at last. As many as are wanted in all, whatever the killed tab had come to.
  for (const context of [one, other]) await context.unrouteAll({ behavior: 'ignoreErrors' })
  await first.reload()
  await second.reload()
  const clear = async (page: Page) => {
    await expect(bite(page)).toBeVisible()
    await expect(page.getByText(/not sent yet/)).toBeHidden({ timeout: 90_000 })
  }
  await Promise.all([clear(first), clear(second)])
  const so = (await rows()).taps.length
  expect(so).toBeGreaterThan(TAPS)
  expect(so).toBeLessThan(2 * TAPS)
  await tapTimes(second, 2 * TAPS - so)
  await clear(second)
  await first.reload()
  await clear(first)

  const { events, taps: kept } = await rows()
  expect([events, kept.length]).toEqual([2 * TAPS, 2 * TAPS])
  for (const page of [first, second]) {
    await expect(bite(page)).toHaveText(new RegExp(String(2 * TAPS)))
    expect((await onShelf(page)).sort()).toEqual(kept)
  }
})
