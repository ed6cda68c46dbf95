import { existsSync } from 'node:fs'
import { type Browser, type BrowserContext, type Page, chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../chromium'
import { type Server, startServer } from '../server'
import { table } from './timing'

/** A slow phone on a slow line: as Lighthouse's mobile default has them. */
const SLOW = { rate: 4, latencyMs: 150, bitsPerS: 1.6e6 } as const
const PHONE = { width: 390, height: 844 } as const
const ROUNDS = 3

/** What is waited for in each place: the first that answers. */
const PLACES = {
  '/': '[data-testid=call]',
  '/day': 'li [aria-label*=" to "]',
  '/box': 'main h2',
  '/bench': 'main h2',
  '/log': 'main h2',
} as const

interface Visit {
  drawnMs: number
  answerMs: number
  shift: number
  bytes: number
}
const KEYS = ['drawnMs', 'answerMs', 'shift', 'bytes'] as const satisfies (keyof Visit)[]

async function slowly(page: Page) {
  const client = await page.context().newCDPSession(page)
  const bytes = { sum: 0 }
  await client.send('Network.enable')
  const throughput = SLOW.bitsPerS / 8
  await client.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: SLOW.latencyMs,
    downloadThroughput: throughput,
    uploadThroughput: throughput,
  })
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOW.rate })
  client.on('Network.loadingFinished', e => (bytes.sum += e.encodedDataLength))
  return bytes
}

/** One visit in a context: cold where it is new, warm where the service worker has the app already. */
async function visit(context: BrowserContext, url: string, place: keyof typeof PLACES): Promise<Visit> {
  const page = await context.newPage()
  await page.addInitScript(() => {
    localStorage.setItem('piscator.begun', 'true')
    const seen = { shift: 0 }
    Object.assign(window, { seen })
    new PerformanceObserver(list => {
      for (const e of list.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean })[])
        if (!e.hadRecentInput) seen.shift += e.value
    }).observe({ type: 'layout-shift', buffered: true })
  })
  const bytes = await slowly(page)
  const began = performance.now()
  await page.goto(`${url}${place}?at=2026-04-11T14:40`, { waitUntil: 'commit' })
  await page.locator(PLACES[place]).first().waitFor({ timeout: 60_000 })
  const answerMs = performance.now() - began
  const sum = bytes.sum
  // Letters that come late move what stands already.
  await page.waitForTimeout(1500)
  const { drawnMs, shift } = await page.evaluate(() => ({
    drawnMs: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
    shift: (window as unknown as { seen: { shift: number } }).seen.shift,
  }))
  await page.close()
  return { drawnMs, answerMs, shift, bytes: sum }
}

const median = (all: number[]) => all.sort((a, b) => a - b)[all.length >> 1]!
const medians = (all: Visit[]): Visit =>
  Object.fromEntries(KEYS.map(k => [k, median(all.map(v => v[k]))])) as unknown as Visit

async function visits(browser: Browser, url: string, place: keyof typeof PLACES) {
  const cold: Visit[] = []
  const warm: Visit[] = []
  for (let i = 0; i < ROUNDS; i++) {
    const context = await browser.newContext({ viewport: PHONE, hasTouch: true })
    cold.push(await visit(context, url, place))
    const page = await context.newPage()
    await page.goto(url)
    await page.evaluate(async () => void (await navigator.serviceWorker.ready))
    await page.close()
    warm.push(await visit(context, url, place))
    await context.close()
  }
  return { cold: medians(cold), warm: medians(warm) }
}

/**
 * A visit by a slow phone on a slow line, place by place: when something is drawn, when the first answer stands, how
 * much of it moves (CLS), and what was asked for until then. `PISCATOR_AGAINST` names the folder of another build,
 * visited in the same run.
 */
export async function benchVisit(): Promise<void> {
  const other = process.env.PISCATOR_AGAINST
  if (other && !existsSync(`${other}/.output/server/index.mjs`)) throw new Error('build the other one first')
  const servers: Server[] = [await startServer()]
  if (other) servers.push(await startServer(undefined, {}, other))
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    const rows: (string | number)[][] = []
    for (const place of Object.keys(PLACES) as (keyof typeof PLACES)[]) {
      const found: { cold: Visit; warm: Visit }[] = []
      for (const { url } of servers) found.push(await visits(browser, url, place))
      for (const how of ['cold', 'warm'] as const) {
        const of = (key: keyof Visit) => {
          const [mine, theirs] = found.map(f => f[how][key])
          return [mine!, ...(theirs === undefined ? [] : [theirs, theirs ? mine! / theirs : NaN])]
        }
        rows.push([`${place} ${how}`, ...of('drawnMs'), ...of('answerMs'), found[0]![how].shift, found[0]![how].bytes])
      }
    }
    const each = (name: string) => [name, ...(other ? ['before', 'ratio'] : [])]
    table(
      `A visit at ${SLOW.rate}x, ${SLOW.bitsPerS / 1e6} Mbit/s and ${SLOW.latencyMs} ms, median of ${ROUNDS}`,
      ['place', ...each('drawn, ms'), ...each('answered, ms'), 'CLS', 'bytes'],
      rows,
    )
  } finally {
    await browser.close()
    await Promise.all(servers.map(s => s.kill()))
  }
}
