import { type Page, chromium } from '@playwright/test'

/** `npm run shots`: one current picture of each main view, from the running demo (PISCATOR_URL, or port 3000). */
const BASE = process.env.PISCATOR_URL ?? 'http://127.0.0.1:3000'
const ARGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]
const POND = 'water=018f0000-0000-4000-8000-000000000002&lat=34.87&lon=-84.3'
const DAY = [
  `?${POND}&lure=shallow-crankbait&vis=1.8&tint=green&temp=14.5&at=2026-04-11T14:40&cloud=0.3`,
  'depth=1.2&behind=rock&range=0.3',
].join('&')
const DUSK = [
  '?lure=spinnerbait&vis=0.8&tint=tea&temp=18&at=2026-10-10T22:20&cloud=0.2&depth=0.6&behind=wood&range=0.25',
  'wind=ripple&lat=33.95&lon=-83.41&water=018f0000-0000-4000-8000-000000000003',
].join('&')
const NIGHT = [
  '?lure=walking-topwater&fish=snook&salt=salt&vis=2&tint=green&temp=27&at=2026-06-14T06:30&lamps=1&depth=auto',
  'side=below&range=0.5&lat=32.1&lon=-81.2&water=018f0000-0000-4000-8000-000000000005&behind=open',
].join('&')

/** A desk with readings that agree, weighed to the end. */
async function desk(page: Page): Promise<void> {
  const readings = [
    { kind: 'disc', depthM: 1.1 },
    { kind: 'target', target: 'black', depthM: 0.45 },
    { kind: 'turbidity', fnu: 6 },
    { kind: 'look', tint: 'green' },
  ]
  await page.evaluate(r => localStorage.setItem('piscator.desk', JSON.stringify(r)), readings)
  await page.reload()
  await page.getByTestId('call').first().waitFor()
  await page.keyboard.press('r')
  await page.getByText('of 100', { exact: false }).first().waitFor({ timeout: 60_000 })
  await page.getByRole('progressbar').waitFor({ state: 'hidden', timeout: 60_000 })
}

interface Shot {
  name: string
  query: string
  theme: 'noon' | 'dusk' | 'night'
  size: [number, number]
  then?: (page: Page) => Promise<unknown>
}
const DESK: [number, number] = [1280, 800]
const PHONE: [number, number] = [390, 844]
const SHOTS: Shot[] = [
  { name: 'main', query: DAY, theme: 'noon', size: DESK },
  { name: 'dusk', query: DUSK, theme: 'dusk', size: DESK },
  { name: 'night', query: NIGHT, theme: 'night', size: DESK },
  { name: 'phone', query: DAY, theme: 'noon', size: PHONE },
  { name: 'phone-plate', query: DAY, theme: 'noon', size: PHONE, then: p => p.getByTestId('call').first().click() },
  { name: 'conditions', query: DAY, theme: 'noon', size: DESK, then: p => p.keyboard.press('c') },
  {
    name: 'lures',
    query: DAY,
    theme: 'noon',
    size: DESK,
    then: p => p.getByRole('button', { name: 'All 24' }).click(),
  },
  { name: 'readings', query: DAY, theme: 'noon', size: DESK, then: desk },
  { name: 'phone-readings', query: DAY, theme: 'dusk', size: PHONE, then: desk },
  { name: 'food', query: `${DAY}&clues=red-throats`, theme: 'noon', size: DESK, then: p => p.keyboard.press('f') },
  {
    name: 'kept',
    query: DAY,
    theme: 'noon',
    size: DESK,
    then: async p => {
      await p.keyboard.press('t')
      await p.keyboard.press('n')
      await p.waitForTimeout(300)
      await p.keyboard.press('t')
      await p.waitForTimeout(900)
      await p.keyboard.press('h')
    },
  },
]

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS })
for (const shot of SHOTS) {
  const context = await browser.newContext({ viewport: { width: shot.size[0], height: shot.size[1] } })
  const page = await context.newPage()
  await page.addInitScript(
    ([theme, learnt]) => {
      localStorage.setItem('piscator.theme', theme!)
      localStorage.setItem('piscator.learnt', learnt!)
    },
    [shot.theme, JSON.stringify(['sky', 'surface', 'disc', 'tint', 'lure', 'fish'])],
  )
  await page.goto(BASE + '/' + shot.query)
  await page.getByTestId('call').first().waitFor()
  await page.waitForTimeout(900)
  await shot.then?.(page)
  await page.waitForTimeout(700)
  await page.screenshot({ path: `docs/screenshots/${shot.name}.png` })
  await context.close()
}
await browser.close()
