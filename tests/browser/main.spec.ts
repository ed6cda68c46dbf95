import { expect, test } from '@playwright/test'
import { SIZES, clean, firstCall, nothingClipped, open, slider, valueOf } from './screen'

for (const [name, viewport] of Object.entries(SIZES)) {
  test.describe(`the whole job on a ${name}`, () => {
    test.use({ viewport, hasTouch: name === 'phone' })

    test('by keyboard alone: read the water, choose, keep, reload and find it kept', async ({ page }) => {
      await open(page)
      const before = await valueOf(page, /disc vanishes/)
      await slider(page, /disc vanishes/).focus()
      for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowUp')
      expect(await valueOf(page, /disc vanishes/)).toBeCloseTo(before - 0.4, 1)
      await slider(page, 'Cloud cover').focus()
      await page.keyboard.press('Home')
      expect(await valueOf(page, 'Cloud cover')).toBe(0)
      await slider(page, 'Time of day').focus()
      await page.keyboard.press('PageUp')
      await slider(page, /Distance of the/).focus()
      await page.keyboard.press('ArrowDown')
      await expect(slider(page, /Distance of the/)).toHaveAttribute('aria-valuetext', /below/)
      await page.keyboard.press('n')
      const chosen = page.locator('[data-testid=call][aria-pressed=true]')
      await expect(chosen).toHaveCount(1)
      await page.keyboard.press('t')
      await expect(page.getByRole('status').filter({ hasText: 'Kept' }).first()).toBeVisible()
      await page.waitForTimeout(600)
      await page.reload()
      await expect(firstCall(page)).toBeVisible()
      expect(await valueOf(page, /disc vanishes/)).toBeCloseTo(before - 0.4, 1)
      expect(await valueOf(page, 'Cloud cover')).toBe(0)
      await page.keyboard.press('h')
      await expect(page.getByTestId('kept')).toHaveCount(1)
      await expect(page.getByTestId('kept')).not.toContainText('On this device only')
    })

    test('by pointer: drag disc, lure and fish, undo, tie on and take back', async ({ page }) => {
      await open(page)
      const drag = async (handle: RegExp | string, dx: number, dy: number) => {
        const b = (await slider(page, handle).boundingBox())!
        await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2)
        await page.mouse.down()
        await page.mouse.move(b.x + b.width / 2 + dx, b.y + b.height / 2 + dy, { steps: 6 })
        await page.mouse.up()
      }
      for (const [handle, dx, dy] of [[/disc vanishes/, 0, -40], [/Running depth/, 0, -30], [/Distance of the/, 30, 0], ['Time of day', 30, 0], ['Cloud cover', -40, 0]] as const) {
        const before = await valueOf(page, handle)
        await drag(handle, dx, dy)
        expect(await valueOf(page, handle), String(handle)).not.toBe(before)
      }
      const cloud = await valueOf(page, 'Cloud cover')
      await page.keyboard.press('z')
      expect(await valueOf(page, 'Cloud cover')).not.toBe(cloud)
      await page.getByRole('button', { name: 'I tied this on' }).first().click()
      await page.getByRole('button', { name: 'Take back' }).first().click()
      await page.keyboard.press('h')
      await expect(page.getByText('Nothing kept yet.')).toBeVisible()
    })

    for (const theme of ['noon', 'dusk', 'night']) {
      test(`axe finds nothing and nothing is cut off, ${theme}`, async ({ page }) => {
        await open(page, '', { 'piscator.theme': theme })
        await page.waitForTimeout(300)
        await clean(page)
        await nothingClipped(page)
        for (const key of ['c', 'f', 'h', '?']) {
          await page.keyboard.press(key)
          const close = page.getByRole('dialog').getByRole('button', { name: 'Close' })
          await expect(close).toBeVisible()
          await clean(page)
          await page.keyboard.press('Escape')
          await expect(close).toBeHidden()
        }
      })
    }
  })
}

test('touch drags the disc', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ viewport: SIZES.phone, hasTouch: true, isMobile: true, baseURL })
  const page = await context.newPage()
  await open(page)
  const before = await valueOf(page, /disc vanishes/)
  const b = (await slider(page, /disc vanishes/).boundingBox())!
  const client = await context.newCDPSession(page)
  const at = (dy: number) => [{ x: b.x + b.width / 2, y: b.y + b.height / 2 + dy }]
  await client.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0) })
  for (const dy of [-10, -25, -40]) await client.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(dy) })
  await client.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
  expect(await valueOf(page, /disc vanishes/)).toBeLessThan(before)
  // Rows change places while the ranking follows the drag: tap when they have settled.
  await page.waitForTimeout(600)
  await page.getByTestId('call').first().tap()
  await expect(page.getByRole('dialog')).toContainText('Why')
  await context.close()
})

for (const width of [360, 420, 760, 1024, 1180, 1440, 1920]) {
  test(`nothing overflows at ${width} wide`, async ({ page }) => {
    await page.setViewportSize({ width, height: 800 })
    await open(page)
    await page.waitForTimeout(200)
    await nothingClipped(page)
  })
}

test('at 200 % zoom the job still works', async ({ page }) => {
  // Twice the zoom is half the CSS pixels.
  await page.setViewportSize({ width: 640, height: 400 })
  await open(page)
  await nothingClipped(page)
  await page.getByRole('button', { name: 'I tied this on' }).first().click()
  await expect(page.getByRole('status').filter({ hasText: 'Kept' }).first()).toBeVisible()
})

test('typed values: good ones are taken, bad ones stay to be mended', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await open(page)
  await page.getByRole('button', { name: /^Visibility:/ }).click()
  const field = page.getByRole('textbox', { name: /Visibility/ })
  await field.fill('murky')
  await field.press('Enter')
  await expect(page.getByRole('alert')).toContainText('Type a number')
  await expect(field).toHaveValue('murky')
  await field.fill('3')
  await field.press('Enter')
  expect(await valueOf(page, /disc vanishes/)).toBeCloseTo(0.914, 2)
})

test('the ranking on screen is the API\'s for the same scene', async ({ page, request }) => {
  await page.setViewportSize(SIZES.desk)
  await open(page, '?vis=0.9&tint=tea&cloud=0.2&lure=spinnerbait&temp=16&at=2026-10-25T17:00&season=auto&behind=open&range=0.3&depth=1&wind=calm')
  await page.waitForTimeout(400)
  const shown = await page.getByTestId('call').evaluateAll(rows => rows.map(r => r.getAttribute('data-finish')))
  const response = await request.post('/api/v1/recommendations', { data: {
    lure: 'spinnerbait', water: { visibilityM: 0.9, tint: 'tea', temperatureC: 16, salinity: 'fresh', pressure: 'normal' },
    light: { sky: 'clear', cloud: 0.2, wind: 'calm', canopy: 'open', lamps: false, at: { time: '2026-10-25T17:00:00.000Z', latitude: 34.87, longitude: -84.3 } },
    depthM: 1, background: 'open', fishM: 0.3, species: 'largemouth-bass', limit: 60,
  } })
  const answer = await response.json() as { ranked: { finish: { id: string } }[] }
  expect(shown.length).toBeGreaterThanOrEqual(4)
  expect(shown).toEqual(answer.ranked.slice(0, shown.length).map(r => r.finish.id))
})

test('goes on without its server, keeps calls on the device and sends them later', async ({ page, context }) => {
  await page.setViewportSize(SIZES.desk)
  await open(page)
  await page.waitForTimeout(300)
  await context.route('**/api/**', r => r.abort())
  await page.getByRole('button', { name: 'I tied this on' }).first().click()
  await expect(page.getByText('Piscator\'s server does not answer')).toBeVisible()
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

test('says in plain words when the records are away', async ({ page, context }) => {
  await context.route('**/api/v1/health', r => r.fulfill({ status: 503, json: { status: 'database-away' } }))
  await context.route('**/api/v1/calls', r => r.fulfill({ status: 503, json: { errors: [] } }))
  await page.setViewportSize(SIZES.desk)
  await open(page)
  await expect(page.getByText('Your records cannot be reached just now')).toBeVisible()
  await expect(firstCall(page)).toBeVisible()
})

test('teaches once, and never again when dismissed', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await open(page, '', { 'piscator.learnt': '[]' })
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

test('every lure type answers and is drawn', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await open(page)
  const lures = await page.getByRole('group', { name: 'Lure type' }).getByRole('radio').evaluateAll(r => r.map(x => (x as HTMLInputElement).value))
  expect(lures).toHaveLength(24)
  for (const lure of lures) {
    await page.locator(`input[name=lure][value=${lure}]`).check({ force: true })
    await expect(firstCall(page)).toHaveAttribute('data-finish', new RegExp(`^${lure}\\.`))
    expect(await firstCall(page).locator('svg [data-part]').count(), lure).toBeGreaterThan(0)
  }
})

test('reaches out to nothing but its own server', async ({ page, baseURL }) => {
  const strangers: string[] = []
  page.on('request', (r) => { if (!r.url().startsWith(baseURL!) && !/^(data|blob):/.test(r.url())) strangers.push(r.url()) })
  await page.setViewportSize(SIZES.desk)
  await open(page)
  await page.getByText('Contrast against distance, with its rivals').click()
  await expect(page.getByRole('img', { name: /Contrast against distance/ })).toBeVisible()
  expect(strangers).toEqual([])
})

test('the first load is under 300 kB of script', async ({ page }) => {
  let bytes = 0
  const counted: Promise<void>[] = []
  page.on('response', (r) => {
    if (/\.js($|\?)/.test(r.url())) counted.push(r.request().sizes().then((s) => { bytes += s.responseBodySize }))
  })
  await open(page)
  await Promise.all(counted)
  expect(bytes).toBeGreaterThan(50_000)
  expect(bytes).toBeLessThan(300_000)
})
