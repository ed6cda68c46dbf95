import { randomUUID } from 'node:crypto'
import { dice } from '../tests/reference/dice'
import { type Page, chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from './chromium'

/** `npm run shots`: one current picture of each main view, from the running demo (PISCATOR_URL, or port 3000). */
const BASE = process.env.PISCATOR_URL ?? 'http://127.0.0.1:3000'
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

const CREEK = [
  '?lure=shallow-crankbait&vis=0.9&tint=tea&temp=17&depth=0.9&at=2026-06-20T14:40&cloud=0.3&lat=33.95&lon=-83.41',
  'water=018f0000-0000-4000-8000-000000000003',
].join('&')

/** Nine hung, an order guessed, half of them gone. */
async function hungUp(page: Page): Promise<void> {
  await page.getByTestId('hung').first().waitFor()
  for (const lure of await page.getByTestId('hung').all()) await lure.click()
  const off = page.getByRole('slider', { name: 'Back off' })
  await off.focus()
  for (let i = 0; i < 19; i++) await page.keyboard.press('ArrowRight')
  await page.getByRole('list', { name: 'Five jars' }).or(page.getByText('Beside the boat')).first().waitFor()
}
/** Two fish a fair test; bites by the throw of a fixed die. */
async function tested(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Fair test' }).click()
  await page.getByRole('radio', { name: '2' }).click()
  await page.getByRole('textbox', { name: 'Name of angler 1' }).fill('Maren')
  await page.getByRole('textbox', { name: 'Name of angler 2' }).fill('Jo')
  await page.getByRole('button', { name: 'Begin the test' }).click()
  const { even } = dice(7)
  const press = (name: RegExp) => page.getByRole('button', { name }).press('Enter')
  for (let i = 0; i < 128; i++) {
    const go = page.getByRole('button', { name: /^(Swapped|Ends changed, go on)$/ })
    if (await go.count()) await go.press('Enter')
    for (const who of ['Maren', 'Jo']) {
      await press(new RegExp(`^Cast, ${who}`))
      if (even() < 0.09) await press(new RegExp(`^Bite, ${who}`))
    }
  }
  await page.getByRole('region', { name: 'The log' }).evaluate(e => e.scrollTo(0, 0))
}

/** An hour of the day's sky. */
const sky = (cloud: number, wind: string, storm = false) => ({ cloud, wind, rain: storm, lightning: storm })
/** A day that clouds over, storms and clears. */
const HOURS = Array.from({ length: 24 }, (_, h) =>
  h < 9
    ? sky(0.15, 'calm')
    : h < 13
      ? sky(0.2 + 0.05 * (h - 9), 'ripple')
      : h < 17
        ? sky(0.4 + 0.15 * (h - 13), 'chop')
        : h === 17
          ? sky(1, 'chop', true)
          : sky(Math.max(0.3, 0.9 - 0.2 * (h - 18)), h < 20 ? 'ripple' : 'calm'),
)
const rods = (...lures: string[]) =>
  lures.map(lure => ({ lure, place: lure === 'walking-topwater' ? 'shade' : 'open', depthM: null }))
const DAY_SET = {
  lanes: rods('walking-topwater', 'spinnerbait', 'jerkbait', 'stick-worm'),
  hours: HOURS,
  tide: null,
  bank: { facingDeg: 90, heightM: 11, acrossHeightM: 14, acrossM: 46 },
  packMost: 7,
  changeMin: 8,
  minSpellMin: 60,
}
const SOUND_SET = {
  ...DAY_SET,
  lanes: rods('popper', 'inshore-paddletail', 'inshore-twitchbait'),
  bank: null,
  hours: null,
}
const SOUND = [
  '?water=018f0000-0000-4000-8000-000000000005&lat=32.1&lon=-81.2&salt=salt&fish=red-drum&vis=1.4&tint=green',
  'temp=26&at=2026-06-14T14:40&bottom=2.4&behind=sand&lure=popper',
].join('&')

async function planned(page: Page): Promise<void> {
  await page.getByText('of 100.', { exact: false }).first().waitFor({ timeout: 60_000 })
  await page.getByRole('progressbar').waitFor({ state: 'hidden', timeout: 60_000 })
}
/** The sound's day by the station's forecast and tide. */
async function tide(page: Page): Promise<void> {
  await planned(page)
  await page.getByRole('button', { name: 'Rods and banks' }).click()
  await page.getByRole('button', { name: 'Take the forecast' }).click()
  await page.getByText('Taken from').waitFor()
  await page.getByRole('button', { name: 'Close' }).click()
  await page.waitForTimeout(600)
  await planned(page)
}

/** What the box of the pictures holds. */
const BOX = [
  ['shallow-crankbait', 'chartreuse-black red-craw bone lemon-shad silver-shad chrome-blue white pearl-shad'],
  ['jerkbait', 'silver-shad ghost-shad perch matte-pearl'],
  ['walking-topwater', 'bone black frog-green'],
  ['spinnerbait', 'white-gold all-black chartreuse-white-painted'],
  ['casting-jig', 'black-blue brown-orange green-pumpkin'],
  ['stick-worm', 'green-pumpkin-orange black-blue-tips moss'],
].flatMap(([lure, ids]) => ids!.split(' ').map(id => `${lure}.${id}`))
async function filled(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Files' }).first().click()
  await page.locator('input[type=file]').setInputFiles({
    name: 'box.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`finish\n${BOX.join('\n')}\n`),
  })
  await page.getByRole('button', { name: 'Take them in' }).click()
  await page.getByText(/\d+ added/).waitFor()
  await page.getByRole('button', { name: 'Close' }).click()
  await page.getByText(/Proven: no kit/).waitFor({ timeout: 90_000 })
}

/** The made-up angler's season. */
async function taught(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Season', exact: true }).click()
  await page.getByRole('button', { name: 'Look through a made-up angler’s things' }).click()
  await page.getByText(/Which way of thinking/).waitFor({ timeout: 60_000 })
}

const GRASS = `${DAY}&cover=grass&dense=scattered&top=0.9&bottom=1.8&behind=green-weed`
/** Which lure here, with where the pairs turn. */
async function whichLure(page: Page): Promise<void> {
  await page.keyboard.press('k')
  await page.getByRole('radio').nth(7).waitFor()
  await page.waitForTimeout(1500)
}
/** Water's rods with two aboard, a drawer open. */
async function rigged(page: Page): Promise<void> {
  await page.getByRole('radio', { name: '2' }).click()
  await page.getByRole('textbox', { name: 'Name of angler 1' }).fill('Maren')
  await page.getByRole('textbox', { name: 'Name of angler 2' }).fill('Jo')
  await page.getByRole('button', { name: /^Change rod 2/ }).click()
  await page.waitForTimeout(1200)
}
/** Two aboard with some bites. */
async function crewStarted(page: Page): Promise<void> {
  await rigged(page)
  await page.getByRole('button', { name: /^Begin(?! the)/ }).click()
  for (const target of ['Bite, Maren', 'Follow, Jo', 'Landed, Jo'])
    await page.getByRole('button', { name: new RegExp(`^${target}`) }).press('Enter')
}
/** An April afternoon with two aboard, after two hours of it. */
async function fished(page: Page): Promise<void> {
  await page.clock.install({ time: new Date('2026-04-11T13:05:00-04:00') })
  await page.reload()
  await rigged(page)
  await page.getByRole('button', { name: /^Begin(?! the)/ }).click()
  for (let i = 0; i < 9; i++) {
    await page.clock.fastForward('00:14:00')
    const target = i % 4 === 3 ? 'Landed, Jo' : i % 2 ? 'Bite, Jo' : 'Bite, Maren'
    await page.getByRole('button', { name: new RegExp(`^${target}`) }).press('Enter')
  }
  await page.getByRole('region', { name: 'The next change' }).waitFor()
  await page.getByRole('region', { name: 'The log' }).evaluate(e => e.scrollTo(0, 0))
}

interface Shot {
  name: string
  /** Where it is looked at: the water where none is named. */
  place?: 'day' | 'box' | 'bench' | 'log' | 'yours'
  set?: Record<string, unknown>
  query: string
  theme: 'noon' | 'dusk' | 'night'
  size: [number, number]
  then?: (page: Page) => Promise<unknown>
}
const DESK: [number, number] = [1280, 800]
const PHONE: [number, number] = [390, 844]
/** Somebody who was never here, without a link, on a spring morning. */
const NEWCOMER = ''
const MORNING = '2026-04-11T14:40:00Z'
async function firstMinute(page: Page): Promise<void> {
  await page.getByRole('radio', { name: /^Tea/ }).check({ force: true })
  await page.getByRole('button', { name: /half the rod/ }).click()
  await page.getByRole('radio', { name: 'Spinnerbait' }).check({ force: true })
  await page.getByTestId('first-answer').waitFor()
}
/** Ask the server as the page does; by the cookie of another device where one is given. */
async function told(page: Page, method: string, path: string, data?: object): Promise<Record<string, never>> {
  const answer = await page.request.fetch(`${BASE}/api/v1${path}`, { method, data })
  const text = await answer.text()
  return (text ? JSON.parse(text) : {}) as Record<string, never>
}
const PASSWORD = 'four slow carp under ice'
/** An account by this name, and no other way: one that an earlier picture made is taken as it is. */
async function account(page: Page, name: string): Promise<void> {
  const made = await page.request.fetch(`${BASE}/api/v1/account/password`, {
    method: 'PUT',
    data: { name, password: PASSWORD },
  })
  if (!made.ok()) await told(page, 'POST', '/account/sign-in/password', { name, password: PASSWORD })
}
const SHARED_ASKED = {
  lure: 'lipless-crankbait',
  units: 'us',
  water: { visibilityM: 1.8, tint: 'green', temperatureC: 14.4, depthM: 2.4, cover: { kind: 'grass' } },
  light: {
    sky: 'partly',
    cloud: 0.3,
    wind: 'ripple',
    at: { time: '2026-04-11T14:40:00Z', latitude: 34.87, longitude: -84.3 },
  },
  depthM: 1,
}
const SHARED_CALL = { kind: 'call', asked: SHARED_ASKED, finishId: 'lipless-crankbait.red-craw' }
/** An account with a day in its log, a crew of three, and links. */
async function joined(page: Page): Promise<void> {
  await account(page, 'Maren')
  const crew = [
    ['Jo', 'spots'],
    ['Tove', 'lures'],
    ['Sil', 'days'],
  ] as const
  for (const [name, may] of crew) {
    const context = await page.context().browser()!.newContext()
    const other = await context.newPage()
    await account(other, name)
    const { token } = await told(page, 'POST', '/crew/invites')
    await told(other, 'POST', '/crew/join', { token })
    await context.close()
    const { people } = (await told(page, 'GET', '/crew')) as unknown as { people: { id: string; name: string }[] }
    await told(page, 'PUT', `/crew/${people.find(p => p.name === name)!.id}`, { may })
  }
  const blocks = [{ a: { casts: 20, bites: 1 }, b: { casts: 20, bites: 1 } }]
  await told(page, 'POST', '/shares', SHARED_CALL)
  const finishIds = ['spinnerbait.white', 'spinnerbait.chartreuse']
  await told(page, 'POST', '/shares', { kind: 'verdict', finishIds, blocks, days: null })
  const tripId = randomUUID()
  const record = (kind: string, recordId: string, body: object) => ({
    id: randomUUID(),
    kind,
    recordId,
    at: '2026-04-11T18:00:00Z',
    body,
  })
  const trip = {
    name: 'Tallow Pond',
    waterId: null,
    startedAt: '2026-04-11T11:00:00Z',
    endedAt: '2026-04-11T17:00:00Z',
    rods: [{ lure: 'lipless-crankbait', finishId: 'lipless-crankbait.red-craw' }],
    asked: SHARED_ASKED,
    trial: null,
    note: '',
  }
  const tap = (hour: number, what: string) =>
    record('tap', randomUUID(), { tripId, at: `2026-04-11T${hour}:30:00Z`, what, rod: 0 })
  const taps = [tap(12, 'bite'), tap(13, 'miss'), tap(14, 'bite'), tap(16, 'landed')]
  await told(page, 'POST', '/sync', { cursor: null, events: [record('trip', tripId, trip), ...taps] })
  await page.reload()
  await page.getByRole('heading', { name: 'Maren' }).waitFor()
  await page.getByRole('slider').nth(2).waitFor()
}
/** A call as whoever has its link sees it. */
async function sharedCall(page: Page): Promise<void> {
  const { id } = (await told(page, 'POST', '/shares', SHARED_CALL)) as unknown as { id: string }
  await page.goto(`${BASE}/s/${id}`)
}

const SHOTS: Shot[] = [
  { name: 'main', query: DAY, theme: 'noon', size: DESK },
  { name: 'dusk', query: DUSK, theme: 'dusk', size: DESK },
  { name: 'night', query: NIGHT, theme: 'night', size: DESK },
  { name: 'phone', query: DAY, theme: 'noon', size: PHONE },
  { name: 'which-lure', query: GRASS, theme: 'noon', size: DESK, then: whichLure },
  { name: 'day', place: 'day', set: { day: DAY_SET }, query: DAY, theme: 'noon', size: DESK, then: planned },
  { name: 'first', query: NEWCOMER, theme: 'noon', size: DESK, then: firstMinute },
  { name: 'day-tide', place: 'day', set: { day: SOUND_SET }, query: SOUND, theme: 'dusk', size: DESK, then: tide },
  { name: 'phone-day', place: 'day', set: { day: DAY_SET }, query: DAY, theme: 'noon', size: PHONE, then: planned },
  { name: 'box', place: 'box', query: DAY, theme: 'noon', size: DESK, then: filled },
  {
    name: 'box-map',
    place: 'box',
    query: DAY,
    theme: 'dusk',
    size: DESK,
    then: async p => {
      await filled(p)
      await p.getByRole('button', { name: /^Sorted/ }).click()
      await p.getByRole('option', { name: /map/ }).click()
      await p.getByRole('button', { name: /^Lure:/ }).click()
      await p.getByRole('option', { name: 'Shallow crankbait' }).click()
      await p.getByText(/stress/).waitFor()
      await p.waitForTimeout(800)
    },
  },
  { name: 'bench', place: 'bench', query: CREEK, theme: 'noon', size: DESK, then: hungUp },
  { name: 'rig', place: 'log', query: DAY, theme: 'noon', size: DESK, then: rigged },
  { name: 'phone-log', place: 'log', query: DAY, theme: 'night', size: PHONE, then: crewStarted },
  { name: 'today', place: 'log', query: DAY, theme: 'noon', size: DESK, then: fished },
  { name: 'trial', place: 'log', query: DAY, theme: 'noon', size: DESK, then: tested },
  { name: 'yours', place: 'yours', query: DAY, theme: 'noon', size: DESK, then: joined },
  { name: 'shared', query: DAY, theme: 'noon', size: PHONE, then: sharedCall },
  { name: 'season', place: 'log', query: DAY, theme: 'noon', size: DESK, then: taught },
]
const wanted = process.argv.slice(2)

const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
for (const shot of SHOTS.filter(s => !wanted.length || wanted.includes(s.name))) {
  const context = await browser.newContext({
    viewport: { width: shot.size[0], height: shot.size[1] },
    timezoneId: 'America/New_York',
  })
  const page = await context.newPage()
  await page.addInitScript(
    ([theme, learnt, set]) => {
      localStorage.setItem('piscator.theme', theme!)
      localStorage.setItem('piscator.learnt', learnt!)
      for (const [key, value] of Object.entries(JSON.parse(set!) as object))
        if (!localStorage.getItem(`piscator.${key}`)) localStorage.setItem(`piscator.${key}`, JSON.stringify(value))
    },
    [shot.theme, JSON.stringify(['sky', 'surface', 'disc', 'tint', 'lure', 'fish']), JSON.stringify(shot.set ?? {})],
  )
  if (shot.query === NEWCOMER) await page.clock.setFixedTime(MORNING)
  await page.goto(`${BASE}/${shot.place ?? ''}${shot.query}`)
  if (shot.query === NEWCOMER) await page.getByRole('heading', { name: 'What colour is your water?' }).waitFor()
  else if (shot.place) await page.getByRole('link', { name: 'Water', exact: true }).waitFor()
  else await page.getByTestId('call').first().waitFor()
  await page.waitForTimeout(900)
  await shot.then?.(page)
  await page.waitForTimeout(700)
  await page.screenshot({ path: `docs/screenshots/${shot.name}.png` })
  await context.close()
}
await browser.close()
