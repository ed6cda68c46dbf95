import { type Page, chromium } from '@playwright/test'
import { v7 as newId } from 'uuid'
import { TAP_OF, TRIP_OF } from '../../tests/reference/log'
import type { SyncEvent } from '#shared/schema/sync'
import { startServer } from '../server'
import { CHROMIUM, CHROMIUM_ARGS } from '../chromium'
import { table } from './timing'

const TAPS = 2000
const TAPPED = 60

/** A trip under way with as many taps as a season's longest day, as a device holds it. */
function longTrip(): SyncEvent[] {
  const tripId = newId()
  const event = (kind: SyncEvent['kind'], recordId: string, body: SyncEvent['body']): SyncEvent => ({
    id: newId(),
    kind,
    recordId,
    at: new Date().toISOString(),
    body,
  })
  const kinds = ['cast', 'cast', 'cast', 'bite', 'follow', 'landed', 'miss'] as const
  const startedAt = new Date(Date.now() - 10 * 3_600_000).toISOString()
  return [
    event('trip', tripId, TRIP_OF({ startedAt, endedAt: null })),
    ...Array.from({ length: TAPS }, (_, i) => {
      const { body } = TAP_OF(0, kinds[i % kinds.length]!, { tripId })
      const at = new Date(Date.parse(startedAt) + i * 15_000).toISOString()
      return event('tap', newId(), { ...body, at })
    }),
  ]
}
const put = (page: Page, events: SyncEvent[]) =>
  page.evaluate(
    all =>
      new Promise<void>(resolve => {
        const asked = indexedDB.open('piscator')
        asked.onsuccess = () => {
          const change = asked.result.transaction('events', 'readwrite')
          for (const e of all) change.objectStore('events').put({ ...e, sent: 1 })
          change.oncomplete = () => {
            asked.result.close()
            resolve()
          }
        }
      }),
    events,
  )
/** Time of each tap until what it changed was on the screen, ms, as the browser measures an interaction. */
const WATCH = `(() => {
  globalThis.taps = []
  const heed = l => globalThis.taps.push(...l.getEntries().filter(e => e.name === 'click').map(e => e.duration))
  new PerformanceObserver(heed)
    .observe({ type: 'event', durationThreshold: 16 })
})()`

/** How soon a trip of two thousand taps opens, and how soon a tap on it is answered at a quarter of the speed. */
export async function benchLog(): Promise<void> {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  const server = await startServer()
  try {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } })
    const target = page.getByRole('button', { name: /^Landed \d/ })
    await page.goto(`${server.url}/log`)
    await page.getByRole('button', { name: /^Begin(?! the)/ }).waitFor()
    await put(page, longTrip())
    const opens: number[] = []
    for (let i = 0; i < 5; i++) {
      await page.goto('about:blank')
      await page.goto(`${server.url}/log`, { waitUntil: 'commit' })
      await target.waitFor()
      opens.push(await page.evaluate(() => performance.now()))
    }
    const client = await page.context().newCDPSession(page)
    await page.waitForTimeout(1500)
    await client.send('Emulation.setCPUThrottlingRate', { rate: 4 })
    await page.evaluate(WATCH)
    // A finger alone: what a test driver runs in the page to find its target is no work of ours.
    const box = (await page.getByRole('button', { name: /^Bite \d/ }).boundingBox())!
    for (let i = 0; i < TAPPED; i++) {
      await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2)
      // Sooner, the same target counts once.
      await page.waitForTimeout(420)
    }
    await page.waitForTimeout(500)
    await client.send('Emulation.setCPUThrottlingRate', { rate: 1 })
    // Those faster than the browser measures at all are not told of: they count as its least.
    const told = await page.evaluate(() => (globalThis as unknown as { taps: number[] }).taps)
    const waits = [...told, ...Array.from({ length: Math.max(0, TAPPED - told.length) }, () => 16)].sort(
      (a, b) => a - b,
    )
    opens.sort((a, b) => a - b)
    table(
      `A trip of ${TAPS} taps`,
      ['', 'median ms', '95th ms', 'worst ms', 'target'],
      [
        ['opens', opens[2]!, opens[4]!, opens[4]!, '1000'],
        [
          'answers a tap, 4x slowed',
          waits[waits.length >> 1]!,
          waits[Math.floor(0.95 * waits.length)]!,
          waits.at(-1)!,
          '100',
        ],
      ],
    )
  } finally {
    await browser.close()
    await server.kill()
  }
}
