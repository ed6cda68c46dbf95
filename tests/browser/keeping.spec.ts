import { expect, test } from '@playwright/test'
import { SIZES, clean, firstCall, open, takeLure } from './screen'

const kept = (page: Parameters<typeof open>[0]) => page.getByTestId('kept')
const tie = (page: Parameters<typeof open>[0]) => page.getByRole('button', { name: 'I tied this on' }).first().click()

test('kept calls survive a server that refuses them, a reload and a day', async ({ page, context }) => {
  await page.clock.install()
  await page.setViewportSize(SIZES.desk)
  // Every status is tried on the outbox itself: these two stand for what one call waits for, and what all wait for.
  let first = ''
  await context.route('**/api/v1/calls/*', r => {
    first ||= r.request().url()
    return r.fulfill({ status: r.request().url() === first ? 413 : 429, json: { errors: [] } })
  })
  await open(page)
  await tie(page)
  await page.clock.runFor(20_000)
  await tie(page)
  await page.clock.runFor(20_000)
  await page.reload()
  await expect(firstCall(page)).toBeVisible()
  await page.clock.fastForward('24:00:00')
  await page.keyboard.press('h')
  await expect(kept(page)).toContainText(['On this device only', 'On this device only'])
  await context.unroute('**/api/v1/calls/*')
  await page.clock.fastForward('00:02:00')
  await expect(kept(page).filter({ hasText: 'On this device only' })).toHaveCount(0)
  await expect(kept(page)).toHaveCount(2)
})

test('what is kept is the pick with the question it answered, also in the moment after the lure was changed', async ({
  page,
}) => {
  await page.setViewportSize(SIZES.desk)
  await open(page)
  const seen = await firstCall(page).getAttribute('data-finish')
  const sent = page.waitForRequest(r => r.method() === 'PUT' && r.url().includes('/calls/'))
  await page.evaluate(() => {
    document.querySelector<HTMLInputElement>('input[name=lure][value=spinnerbait]')!.click()
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 't', bubbles: true }))
  })
  const body = (await sent).postDataJSON() as { asked: { lure: string }; tiedOn: string }
  expect(body.tiedOn).toBe(seen)
  expect(body.tiedOn.startsWith(`${body.asked.lure}.`)).toBe(true)
})

test('a call whose water is refused says so, stays, and can be kept without it', async ({ page, context }) => {
  await page.setViewportSize(SIZES.desk)
  const faults = [{ path: 'waterId', code: 'unknown', message: 'That water is not one of yours.' }]
  await context.route('**/api/v1/calls/*', r => r.fulfill({ status: 422, json: { errors: faults } }))
  await open(page)
  await tie(page)
  await expect(page.getByText('The server would not keep')).toBeVisible()
  await context.unroute('**/api/v1/calls/*')
  await page.keyboard.press('h')
  await expect(kept(page)).toContainText('That water is not one of yours. It is still on this device.')
  await clean(page, '[role=dialog]')
  await page.getByRole('button', { name: /Keep it without its water/ }).click()
  await expect(kept(page)).not.toContainText('still on this device')
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByText('The server would not keep')).toBeHidden()
})

test('a code written down brings the calls to another device', async ({ page, browser }) => {
  await page.setViewportSize(SIZES.phone)
  await open(page)
  await tie(page)
  await page.getByRole('button', { name: /^Kept/ }).click()
  await expect(kept(page)).not.toContainText('On this device only')
  await page.getByRole('button', { name: 'Make a code to write down' }).click()
  const code = await page.getByTestId('recovery-code').innerText()
  const other = await browser.newContext({ viewport: SIZES.desk })
  const there = await other.newPage()
  await open(there)
  await there.keyboard.press('h')
  await expect(there.getByText('Nothing kept yet')).toBeVisible()
  await there.getByLabel('A code from another device').fill('ABCDE')
  await there.getByRole('button', { name: 'Bring them here' }).click()
  await expect(there.getByText('The code has twenty letters and figures')).toBeVisible()
  await there.getByLabel('A code from another device').fill(code.toLowerCase())
  await there.getByRole('button', { name: 'Bring them here' }).click()
  await expect(kept(there)).toHaveCount(1)
  await other.close()
})

test.describe('a worker that fails', () => {
  test('where workers are refused the page works it out', async ({ page }) => {
    await page.addInitScript(() => {
      ;(window as unknown as { Worker: unknown }).Worker = function Refused() {
        throw new DOMException('refused', 'SecurityError')
      }
    })
    await page.setViewportSize(SIZES.desk)
    await open(page)
    await expect(firstCall(page)).toBeVisible()
  })
  test('where it cannot be loaded the page works it out', async ({ page, context }) => {
    await context.route(/engine\.worker/, r => r.abort())
    await page.setViewportSize(SIZES.desk)
    await open(page)
    const before = await firstCall(page).getAttribute('data-finish')
    await takeLure(page, 'popper')
    await expect.poll(() => firstCall(page).getAttribute('data-finish')).not.toBe(before)
  })
  test('where nothing can be loaded it is said in words, and mended by itself', async ({ page, context, baseURL }) => {
    // The page comes whole, and only then is there nothing more to be had: its worker is asked for before.
    let away = false
    await context.route(/engine\.worker/, async r => {
      await page.getByRole('slider').first().waitFor()
      away = true
      return r.abort()
    })
    await context.route(`${baseURL}/_nuxt/**`, (route, request) =>
      away && request.resourceType() === 'script' ? route.abort() : route.fallback(),
    )
    await page.setViewportSize(SIZES.desk)
    await page.goto('/')
    await expect(page.getByText('The ranking cannot be worked out just now')).toBeVisible({ timeout: 15_000 })
    await context.unrouteAll()
    await page.reload()
    await expect(firstCall(page)).toBeVisible({ timeout: 15_000 })
  })
})
