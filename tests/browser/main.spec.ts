import { type Page, expect, test } from '@playwright/test'
import { HANDS, handOf } from './hands'
import {
  SIZES,
  THEMES,
  clean,
  cleanInEveryTheme,
  firstCall,
  largeTargets,
  nothingClipped,
  nothingOverlaps,
  open,
  slider,
  takeLure,
  valueOf,
  wordsStandClear,
} from './screen'

for (const [size, viewport] of Object.entries(SIZES)) {
  test.describe(`on a ${size}`, () => {
    test.use({ viewport, hasTouch: true, isMobile: size === 'phone' })

    // Each hand in another theme on each size: three of each see them all.
    for (const [i, hand] of HANDS.entries()) {
      const theme = THEMES[(i + (size === 'phone' ? 1 : 0)) % THEMES.length]!
      test(`the whole job by ${hand} alone, ${theme}`, async ({ page }) => {
        await open(page, '', { 'piscator.theme': theme })
        const { press, pick, choose, pull } = await handOf(hand, page)
        const button = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' })
        const read: [RegExp | string, { dx?: number; dy?: number; keys: string[] }][] = [
          ['Time of day', { dx: 30, keys: ['PageUp'] }],
          ['Cloud cover', { dx: -30, keys: ['ArrowLeft', 'ArrowLeft'] }],
          ['Wind on the water', { dy: -24, keys: ['ArrowUp'] }],
          [/Distance of the/, { dx: 25, keys: ['ArrowRight', 'ArrowRight'] }],
          [/Running depth/, { dy: -30, keys: ['ArrowUp', 'ArrowUp'] }],
          [/disc vanishes/, { dy: -35, keys: Array<string>(8).fill('ArrowUp') }],
        ]
        for (const [name, by] of read) {
          const before = await valueOf(page, name)
          await pull(slider(page, name), by)
          expect(await valueOf(page, name), String(name)).not.toBe(before)
        }
        await press(button('Conditions'))
        await choose(button(/^Tint:/), /^tea/i)
        await choose(button(/^Wind/), /^calm/i)
        await press(button('Close'))
        expect(await valueOf(page, 'Wind on the water')).toBe(0)
        await press(button('Undo'))
        expect(await valueOf(page, 'Wind on the water')).toBe(2)
        await pick(page.getByRole('radio', { name: 'Spinnerbait', exact: true }))
        await expect(firstCall(page)).toHaveAttribute('data-finish', /^spinnerbait/)

        // Rows change places until the ranking has come to rest.
        await page.waitForTimeout(400)
        const second = page.getByTestId('call').nth(1)
        const chosen = (await second.getAttribute('data-finish'))!
        await press(second)
        await expect(
          page.getByRole(size === 'phone' ? 'dialog' : 'region', size === 'phone' ? {} : { name: 'Plate' }),
        ).toContainText('Where the schools stand')
        if (size === 'phone') {
          if (hand === 'keyboard') await clean(page)
          await press(button('Close'))
        }
        await expect(page.locator(`[data-finish="${chosen}"]`)).toHaveAttribute('aria-pressed', 'true')
        await press(button('I tied this on'))
        await expect(page.getByRole('status').filter({ hasText: 'Kept' }).first()).toBeVisible()

        const readings = () => Promise.all(read.map(([name]) => valueOf(page, name)))
        const left = await readings()
        await expect.poll(() => page.url()).toContain('lure=spinnerbait')
        await page.reload()
        await expect(firstCall(page)).toHaveAttribute('data-finish', /^spinnerbait/)
        // A link carries hundredths.
        for (const [i, v] of (await readings()).entries()) expect(v, String(read[i]![0])).toBeCloseTo(left[i]!, 1)
        expect(page.url()).toContain('tint=tea')
        await press(button(/^Kept/))
        await expect(page.getByTestId('kept')).toHaveCount(1)
        await expect(page.getByTestId('kept')).not.toContainText('On this device only')
        await press(button(/^Take back/))
        await expect(page.getByText('Nothing kept yet.')).toBeVisible()
      })
    }

    test('single keys do what their map says, and axe finds nothing, in any theme', async ({ page }) => {
      await open(page)
      await page.waitForTimeout(300)
      await cleanInEveryTheme(page)
      await nothingClipped(page)
      for (const key of ['c', 'f', 'h', '?']) {
        await page.keyboard.press(key)
        const close = page.getByRole('dialog').getByRole('button', { name: 'Close' })
        await expect(close).toBeVisible()
        await cleanInEveryTheme(page, '[role=dialog]')
        await page.keyboard.press('Escape')
        await expect(close).toBeHidden()
      }

      const before = await valueOf(page, /disc vanishes/)
      await slider(page, /disc vanishes/).focus()
      for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowUp')
      expect(await valueOf(page, /disc vanishes/)).toBeCloseTo(before - 0.4, 1)
      await slider(page, /Distance of the/).focus()
      await page.keyboard.press('ArrowDown')
      await expect(slider(page, /Distance of the/)).toHaveAttribute('aria-valuetext', /below/)
      const cloud = await valueOf(page, 'Cloud cover')
      await slider(page, 'Cloud cover').focus()
      await page.keyboard.press('Home')
      expect(await valueOf(page, 'Cloud cover')).toBe(0)
      await page.keyboard.press('z')
      expect(await valueOf(page, 'Cloud cover')).toBe(cloud)
      const chosen = page.locator('[data-testid=call][aria-pressed=true]')
      // The list may still be on its way to the cloud that came back: then it is the next of another list.
      await expect(async () => {
        const first = await chosen.getAttribute('data-finish')
        await page.keyboard.press('n')
        await expect(chosen).not.toHaveAttribute('data-finish', first!, { timeout: 3000 })
      }).toPass()
      await expect(chosen).toHaveCount(1)
      await page.keyboard.press('t')
      await expect(page.getByRole('status').filter({ hasText: 'Kept' }).first()).toBeVisible()
      await page.getByRole('button', { name: 'Take back' }).first().click()
      await page.keyboard.press('h')
      await expect(page.getByText('Nothing kept yet.')).toBeVisible()
    })
  })
}

/** The disc high over the lure, low under it, by a distant fish: where words could meet. */
const SCENES = [
  '?vis=0.4&depth=0.2&range=0.3&cloud=1&wind=chop',
  '?vis=3&depth=1&range=1&side=below',
  '?vis=0.5&depth=2&side=above&range=0.6',
]
/** No room for the food beside lure, fish and disc: on a phone it is not drawn there. */
const CROWDED = '?vis=1.8&depth=1.5&bottom=3.75'
const WIDTHS = [360, 420, 760, 1024, 1180, 1440, 1920]
/** The picture has its new measures, and its answer. */
async function widened(page: Page, width: number): Promise<void> {
  await page.setViewportSize({ width, height: 800 })
  await expect(firstCall(page)).toBeVisible()
  await page.waitForTimeout(200)
}

test('nothing is cut off or overlaps at any width', async ({ page }) => {
  await open(page)
  for (const width of WIDTHS) {
    await widened(page, width)
    await nothingClipped(page)
    await nothingOverlaps(page)
    await wordsStandClear(page)
    await largeTargets(page)
  }
})

for (const scene of [...SCENES, CROWDED])
  test(`no word of the picture is in another's way at any width, ${scene}`, async ({ page }) => {
    await open(page, scene)
    for (const width of WIDTHS.filter(w => scene !== CROWDED || w >= 760)) {
      await widened(page, width)
      await nothingOverlaps(page)
      await wordsStandClear(page)
    }
  })

test('starts as new where its settings were something else, teaches once, and never again when dismissed', async ({
  page,
}) => {
  await page.setViewportSize(SIZES.desk)
  const junk = { 'learnt': 'true', 'rack': '{}', 'theme': '7', 'unfolded': 'null', 'only-owned': '[]' }
  const settings = Object.fromEntries(Object.entries(junk).map(([k, v]) => [`piscator.${k}`, v]))
  await open(page, '', settings)
  const hints = page.getByRole('complementary', { name: 'How to take the readings' })
  await expect(hints).toBeVisible()
  await page.getByRole('button', { name: /Got it/ }).click()
  await expect(hints).toContainText('Wind')
  await page.getByRole('button', { name: 'Skip all' }).click()
  await expect(hints).toBeHidden()
  await page.reload()
  await expect(firstCall(page)).toBeVisible()
  await expect(hints).toBeHidden()
})

test('at 200 % zoom the job still works', async ({ page }) => {
  // Twice the zoom is half the CSS pixels.
  await page.setViewportSize({ width: 640, height: 400 })
  await open(page)
  await nothingClipped(page)
  await page.getByRole('button', { name: 'I tied this on' }).first().click()
  await expect(page.getByRole('status').filter({ hasText: 'Kept' }).first()).toBeVisible()
})

test('good typed values are taken, bad ones stay to be mended; bottom and sun are set on the picture', async ({
  page,
}) => {
  await page.setViewportSize(SIZES.desk)
  await open(page, '?lure=jerkbait&vis=1&cloud=0')
  await page.getByRole('button', { name: /^Visibility:/ }).click()
  const field = page.getByRole('textbox', { name: /Visibility/ })
  await field.fill('murky')
  await field.press('Enter')
  await expect(page.getByRole('alert')).toContainText('Type a number')
  await expect(field).toHaveValue('murky')
  await field.fill('10')
  await field.press('Enter')
  expect(await valueOf(page, /disc vanishes/)).toBeCloseTo(3.048, 2)

  await page.getByRole('button', { name: 'Set the bottom' }).click()
  const bottom = slider(page, 'Depth of the water')
  await expect(bottom).toBeVisible()
  const first = await valueOf(page, 'Depth of the water')
  await bottom.focus()
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp')
  expect(await valueOf(page, 'Depth of the water')).toBeCloseTo(first - 0.3, 1)
  // No lure is run through the bottom.
  await slider(page, /Running depth/).focus()
  await page.keyboard.press('End')
  expect(await valueOf(page, /Running depth/)).toBeCloseTo(first - 0.3, 1)

  const plate = page.getByLabel('The chosen finish')
  await expect(plate).toContainText('with the sun in your face')
  const range = plate.getByRole('listitem').filter({ hasText: 'From the side' })
  const before = await range.textContent()
  const dial = page.getByRole('button', { name: /^Turn the fish/ })
  await dial.click()
  await expect.poll(() => page.url()).toContain('sun=sun-in-face')
  await dial.press('ArrowRight')
  await expect.poll(() => page.url()).toContain('sun=sun-at-back')
  await expect.poll(() => range.textContent()).not.toBe(before)
  await page.getByRole('button', { name: /forget the bottom/ }).click()
  await expect(page.getByRole('button', { name: 'Set the bottom' })).toBeVisible()
})

test("the ranking on screen is the API's for the same scene", async ({ page, request }) => {
  await page.setViewportSize(SIZES.desk)
  await open(
    page,
    '?vis=0.9&tint=tea&cloud=0.2&lure=spinnerbait&temp=16&at=2026-10-25T17:00&season=auto&behind=ope' +
      'n&range=0.3&depth=1&wind=calm',
  )
  await page.waitForTimeout(400)
  const shown = await page.getByTestId('call').evaluateAll(rows => rows.map(r => r.getAttribute('data-finish')))
  const response = await request.post('/api/v1/recommendations', {
    data: {
      lure: 'spinnerbait',
      water: { visibilityM: 0.9, tint: 'tea', temperatureC: 16, salinity: 'fresh', pressure: 'normal' },
      light: {
        sky: 'clear',
        cloud: 0.2,
        wind: 'calm',
        canopy: 'open',
        lamps: false,
        at: { time: '2026-10-25T17:00:00.000Z', latitude: 34.87, longitude: -84.3 },
      },
      depthM: 1,
      background: 'open',
      fishM: 0.3,
      species: 'largemouth-bass',
      limit: 60,
    },
  })
  const answer = (await response.json()) as { ranked: { finish: { id: string } }[]; lookAlikes: string[][] }
  // A row is a look: the best of those that are the same to the fish.
  const ids = answer.ranked.map(r => r.finish.id)
  const first = (look: string[]) => [...look].sort((a, b) => ids.indexOf(a) - ids.indexOf(b))[0]
  const looks = ids.filter(id => answer.lookAlikes.every(g => !g.includes(id) || first(g) === id))
  expect(shown.length).toBeGreaterThanOrEqual(3)
  expect(shown).toEqual(looks.slice(0, shown.length))
})

test('goes on without its server, keeps calls on the device and sends them later', async ({ page, context }) => {
  await page.setViewportSize(SIZES.desk)
  await open(page)
  await page.waitForTimeout(300)
  await context.route('**/api/**', r => r.abort())
  await page.getByRole('button', { name: 'I tied this on' }).first().click()
  await expect(page.getByText("Piscator's server does not answer")).toBeVisible()
  const before = await firstCall(page).getAttribute('data-finish')
  await page.getByRole('radio', { name: /tea/i }).check({ force: true })
  await slider(page, /disc vanishes/).focus()
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowUp')
  await expect.poll(() => firstCall(page).getAttribute('data-finish')).not.toBe(before)
  await context.unroute('**/api/**')
  await page.keyboard.press('h')
  await expect(page.getByTestId('kept')).toHaveCount(1)
  await expect(page.getByTestId('kept')).not.toContainText('On this device only', { timeout: 15_000 })
})

test('long work shows, can be stopped, and the next change starts afresh', async ({ page }) => {
  await page.addInitScript(() => {
    const [Plain, w] = [Worker, window as unknown as { delayMs: number; Worker: typeof Worker }]
    w.delayMs = 0
    w.Worker = class extends Plain {
      override postMessage(message: unknown) {
        setTimeout(() => super.postMessage(message), w.delayMs)
      }
    }
  })
  await page.setViewportSize(SIZES.desk)
  await open(page)
  const before = await firstCall(page).getAttribute('data-finish')
  await page.evaluate('delayMs = 60000')
  await takeLure(page, 'popper')
  await expect(page.getByRole('progressbar', { name: 'Working it out' })).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('progressbar')).toBeHidden()
  expect(await firstCall(page).getAttribute('data-finish')).toBe(before)
  await page.evaluate('delayMs = 0')
  await takeLure(page, 'jerkbait')
  await expect(firstCall(page)).toHaveAttribute('data-finish', /^jerkbait/)
})

test('says in plain words when the records are away', async ({ page, context }) => {
  await context.route('**/api/v1/health', r => r.fulfill({ status: 503, json: { status: 'database-away' } }))
  await context.route('**/api/v1/sync', r => r.fulfill({ status: 503, json: { errors: [] } }))
  await page.setViewportSize(SIZES.desk)
  await open(page)
  await expect(page.getByText('Your records cannot be reached just now')).toBeVisible()
  await expect(firstCall(page)).toBeVisible()
})

test('loads under 300 kB of script, reaches out to nobody else, and every lure type answers and is drawn', async ({
  page,
  baseURL,
}) => {
  await page.setViewportSize(SIZES.desk)
  const strangers: string[] = []
  page.on('request', r => {
    if (!r.url().startsWith(baseURL!) && !/^(data|blob):/.test(r.url())) strangers.push(r.url())
  })
  let bytes = 0
  const counted: Promise<void>[] = []
  page.on('response', r => {
    // What the page itself runs; the worker's own script is asked for ahead, as a file.
    if (/\.js($|\?)/.test(r.url()) && r.request().resourceType() === 'script')
      counted.push(
        r
          .request()
          .sizes()
          .then(s => {
            bytes += s.responseBodySize
          }),
      )
  })
  await open(page)
  await Promise.all(counted)
  expect(bytes).toBeGreaterThan(50_000)
  expect(bytes).toBeLessThan(300_000)

  await page.getByRole('button', { name: 'All 24' }).click()
  const lures = await page.locator('[data-lure]').evaluateAll(all => all.map(e => (e as HTMLElement).dataset.lure!))
  await page.keyboard.press('Escape')
  expect(lures).toHaveLength(24)
  for (const lure of lures) {
    await takeLure(page, lure)
    await expect(firstCall(page)).toHaveAttribute('data-finish', new RegExp(`^${lure}\\.`))
    expect(await firstCall(page).locator('svg [data-part]').count(), lure).toBeGreaterThan(0)
    // A picture that cannot be read has no width.
    const broken = () =>
      page.locator('img').evaluateAll(all => all.filter(i => (i as HTMLImageElement).naturalWidth === 0).length)
    await expect.poll(broken, { message: lure }).toBe(0)
  }
  await page.getByText('Contrast against distance, with its rivals').click()
  await expect(page.getByRole('img', { name: /Contrast against distance/ })).toBeVisible()
  expect(strangers).toEqual([])
})
