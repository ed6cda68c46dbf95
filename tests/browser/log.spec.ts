import { readFile, writeFile } from 'node:fs/promises'
import { type Page, expect, test } from '@playwright/test'
import { PRESSING, handOf } from './hands'
import { SIZES, clean, cleanInEveryTheme, inGoodOrder, largeTargets, nothingClipped, visit } from './screen'

/** A touch of the same target sooner than this is the same one. */
const NO_BOUNCE_MS = 450
const POND = '?lat=34.87&lon=-84.3&zone=America/New_York&lure=jerkbait&vis=1.2&tint=green&temp=14.5'
async function openLog(page: Page): Promise<void> {
  await visit(page, `/log${POND}`)
  await expect(page.getByRole('button', { name: /^Begin(?! the)/ })).toBeVisible()
}
const target = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name} \\d`) })
const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Parts of the log' }).getByRole('button', { name })

for (const hand of PRESSING) {
  test.describe(`the log by ${hand}`, () => {
    const touch = hand === 'touch'
    test.use({ viewport: touch ? SIZES.phone : SIZES.desk, hasTouch: true, isMobile: touch })
    test('counts taps by rod, has them all when it comes back, and tests one thing, fairly', async ({ page }) => {
      await openLog(page)
      const { press, choose } = await handOf(hand, page)
      await press(page.getByRole('button', { name: /^Begin(?! the)/ }))
      await press(target(page, 'Bite'))
      await page.waitForTimeout(NO_BOUNCE_MS)
      await press(target(page, 'Bite'))
      await press(target(page, 'Follow'))
      await expect(target(page, 'Bite')).toHaveText(/2/)
      await press(page.getByRole('button', { name: 'Undo' }))
      await expect(target(page, 'Follow')).toHaveText(/0/)
      await press(page.getByRole('button', { name: /^Switch rod/ }))
      await press(target(page, 'Landed'))
      await expect(target(page, 'Landed')).toHaveText(/1/)
      await expect(target(page, 'Bite')).toHaveText(/1/)
      await press(page.getByRole('button', { name: 'Let go' }))
      await expect(page.getByText('check local rules')).toBeVisible()
      await page.reload()
      await expect(target(page, 'Landed')).toHaveText(/1/)
      await press(page.getByRole('button', { name: 'End the trip' }))
      await press(part(page, 'Season'))
      await expect(page.getByText(/3 bites, 1 landed/)).toBeVisible()

      await press(part(page, 'Fair test'))
      await choose(page.getByRole('button', { name: /^What differs/ }), /^Line/)
      const begin = page.getByRole('button', { name: 'Begin the test' })
      await expect(begin).toBeDisabled()
      await expect(page.getByText('One thing must differ: write the line of each.')).toBeVisible()
      await page.getByRole('textbox', { name: 'Line of lure a' }).fill('8 lb mono')
      await page.getByRole('textbox', { name: 'Line of lure b' }).fill('10 lb braid')
      await press(begin)
      await expect(page.getByText(/on the line now/)).toBeVisible()
      await press(page.getByRole('button', { name: /^Cast \d/ }))
      await press(page.getByRole('button', { name: 'Another spot' }))
      await expect(page.getByText(/its pair will be left out/)).toBeVisible()
      await expect(page.getByText(/8 lb mono/).first()).toBeVisible()

      // Another, to the end of its first whole pair.
      await press(page.getByRole('button', { name: 'Stop, keep the count' }))
      await press(page.getByRole('button', { name: /^Casts in a spell/ }))
      await page.getByRole('textbox', { name: /Casts in a spell/ }).fill('1')
      await page.keyboard.press('Enter')
      await press(page.getByRole('button', { name: 'Begin the test' }))
      await expect(page.getByText('Nothing to look at before the first whole pair.').first()).toBeVisible()
      const cast = page.getByRole('button', { name: /^Cast \d/ })
      await press(cast)
      await press(target(page, 'Bite'))
      // At the number it takes no more: the other is tied on first.
      await expect(page.getByRole('button', { name: /^Wait 1/ })).toBeDisabled()
      await press(page.getByRole('button', { name: 'Tied on' }))
      await press(cast)
      await expect(page.getByText('Too soon to call.').first()).toBeVisible()
      await expect(page.getByText(/pair 2 of 10/)).toBeVisible()
      await press(page.getByRole('button', { name: 'Stop, keep the count' }))
      await expect(page.getByRole('button', { name: 'Begin the test' })).toBeVisible()
    })
  })
}

test('a trip goes out as GPX, and coming back adds nothing', async ({ page }) => {
  await openLog(page)
  await page.getByRole('button', { name: /^Begin(?! the)/ }).click()
  await target(page, 'Bite').click()
  await page.getByRole('button', { name: 'End the trip' }).click()
  await part(page, 'Season').click()
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Trips as GPX' }).click()
  const text = await readFile(await (await coming).path(), 'utf8')
  expect(text).toMatch(/<wpt lat="34.87" lon="-84.3">/)
  const path = test.info().outputPath('trips.gpx')
  await writeFile(path, text)
  await page.locator('input[type=file]').setInputFiles(path)
  await page.getByRole('button', { name: 'Take them in' }).click()
  await expect(page.getByText(/0 added, 1 changed, 0 as they were/)).toBeVisible()
  await page.locator('input[type=file]').setInputFiles(path)
  await expect(page.getByText(/0 added, 0 changed, 1 as they were/)).toBeVisible()
})

/** How far things moved by themselves while a page was opened, as browsers count it: 0.1 is called good. */
const moved = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>(resolve => {
        let sum = 0
        new PerformanceObserver(l => {
          for (const e of l.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean })[])
            if (!e.hadRecentInput) sum += e.value
        }).observe({ type: 'layout-shift', buffered: true })
        setTimeout(() => resolve(sum), 1500)
      }),
  )
for (const place of ['', 'day', 'box', 'bench', 'log'])
  test(`nothing moves by itself as /${place} is opened`, async ({ page }) => {
    for (const size of Object.values(SIZES)) {
      await page.setViewportSize(size)
      await visit(page, `/${place}${POND}`)
      await expect(page.getByRole('link', { name: 'Log' }).first()).toBeVisible()
      expect(await moved(page)).toBeLessThan(0.05)
    }
  })

test.describe('without signal', () => {
  test.use({ serviceWorkers: 'allow', viewport: SIZES.phone })
  test('can be put on the home screen, says when a newer version is ready, and leaves it be', async ({ page }) => {
    await openLog(page)
    const client = await page.context().newCDPSession(page)
    const { installabilityErrors } = await client.send('Page.getInstallabilityErrors')
    // A private window, as tests have, can never be installed from; nothing else may stand in the way.
    expect(installabilityErrors.map(e => e.errorId).filter(id => id !== 'in-incognito')).toEqual([])
    await page.evaluate(() => {
      const root = document.querySelector('#__nuxt') as unknown as {
        __vue_app__: { $nuxt: { $pwa: { needRefresh: boolean } } }
      }
      root.__vue_app__.$nuxt.$pwa.needRefresh = true
    })
    await expect(page.getByText('A newer Piscator is ready.')).toBeVisible()
    await clean(page)
    await page.getByRole('button', { name: 'Later' }).click()
    await expect(page.getByText('A newer Piscator is ready.')).toBeHidden()
  })
  test('every place opens and ranks after one visit, and what was tapped is sent once there is signal', async ({
    page,
    context,
  }) => {
    await openLog(page)
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => true))
    await page.reload()
    await context.setOffline(true)
    await page.getByRole('button', { name: /^Begin(?! the)/ }).click()
    for (let i = 0; i < 5; i++) {
      await target(page, 'Bite').click()
      await page.waitForTimeout(NO_BOUNCE_MS)
    }
    await expect(page.getByText(/\d+ not sent yet; kept on this device/)).toBeVisible()
    await page.goto('/')
    await expect(page.getByTestId('call').first()).toBeVisible()
    await page.goto('/log')
    await expect(target(page, 'Bite')).toHaveText(/5/)
    await context.setOffline(false)
    await page.reload()
    await expect(page.getByText(/not sent yet/)).toBeHidden()
    await expect(target(page, 'Bite')).toHaveText(/5/)
  })
})

for (const [size, viewport] of Object.entries(SIZES))
  test(`the log is clean in every theme on a ${size}`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await openLog(page)
    await cleanInEveryTheme(page)
    await largeTargets(page)
    await page.getByRole('button', { name: /^Begin(?! the)/ }).click()
    await target(page, 'Landed').click()
    await expect(page.getByRole('button', { name: 'Let go' })).toBeVisible()
    await inGoodOrder(page)
    await part(page, 'Season').click()
    await cleanInEveryTheme(page)
    await nothingClipped(page)
  })
