import { expect, test } from '@playwright/test'
import type { CallRecord } from '../../shared/schema/record'
import { SIZES, asReturning, clean, firstCall, open, takeLure, visit } from './screen'

const kept = (page: Parameters<typeof open>[0]) => page.getByTestId('kept')
const tie = (page: Parameters<typeof open>[0]) => page.getByRole('button', { name: 'I tied this on' }).first().click()

test('kept calls survive a server that does not take them, a reload and a day', async ({ page, context }) => {
  await page.clock.install()
  await page.setViewportSize(SIZES.desk)
  await context.route('**/api/v1/sync', r => r.fulfill({ status: 429, json: { errors: [] } }))
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
  await context.unroute('**/api/v1/sync')
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
  const sent = page.waitForRequest(r => r.url().endsWith('/sync') && (r.postData() ?? '').includes('"call"'))
  await page.evaluate(() => {
    document.querySelector<HTMLInputElement>('input[name=lure][value=spinnerbait]')!.click()
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 't', bubbles: true }))
  })
  const { events } = (await sent).postDataJSON() as { events: { body: CallRecord }[] }
  const { body } = events[0]!
  expect(body.tiedOn).toBe(seen)
  expect(body.tiedOn.startsWith(`${body.asked.lure}.`)).toBe(true)
})

test('a call that is refused says so, stays, and can be taken back', async ({ page, context }) => {
  await page.setViewportSize(SIZES.desk)
  await context.route('**/api/v1/sync', async route => {
    const { events } = route.request().postDataJSON() as { events: { id: string }[] }
    const errors = [{ path: 'body.tiedOn', code: 'pattern', message: 'That lure cannot be kept.' }]
    const refused = events.map(({ id }, index) => ({ index, id, errors }))
    const who = { angler: '0123456789abcdef', name: null }
    await route.fulfill({ json: { ...who, accepted: [], refused, events: [], cursor: '0', more: false } })
  })
  await open(page)
  await tie(page)
  await expect(page.getByTestId('not-taken')).toContainText('One change was not taken: That lure cannot be kept.')
  await context.unroute('**/api/v1/sync')
  await page.keyboard.press('h')
  await expect(kept(page)).toContainText('That lure cannot be kept. It is still on this device.')
  await clean(page, '[role=dialog]')
  await kept(page)
    .getByRole('button', { name: /^Take back/ })
    .click()
  await expect(kept(page)).toHaveCount(0)
  await page.getByRole('button', { name: 'Close', exact: true }).first().click()
  await expect(page.getByTestId('not-taken')).toBeHidden()
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
    await asReturning(page)
    await page.goto('/')
    await expect(page.getByText('The ranking cannot be worked out just now')).toBeVisible({ timeout: 15_000 })
    await context.unrouteAll()
    await page.reload()
    await expect(firstCall(page)).toBeVisible({ timeout: 15_000 })
  })
})

test('a place whose script cannot be had says so, where one is and where one comes in', async ({ browser }) => {
  const context = await browser.newContext({ viewport: SIZES.desk, serviceWorkers: 'block' })
  const page = await context.newPage()
  await open(page)
  let away = true
  await context.route(/_nuxt\/.*\.js/, route => (away ? route.abort() : route.fallback()))
  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  const told = page.getByRole('alert').filter({ hasText: 'That place cannot be opened just now' })
  await expect(told).toBeVisible()
  await expect(page.getByTestId('call').first()).toBeVisible()
  away = false
  await told.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('link', { name: 'Bench', exact: true })).toHaveAttribute('aria-current', 'page')
  await expect(told).toHaveCount(0)
  await context.close()
})

test('a cookie cleared in mid-trip loses nothing: the trip follows the device, and can be read back', async ({
  page,
  context,
}) => {
  await visit(page, '/log?lat=34.87&lon=-84.3&zone=America/New_York&lure=jerkbait&vis=1.2&tint=green&temp=14.5')
  await page.getByRole('button', { name: /^Begin(?! the)/ }).click({ timeout: 30_000 })
  const bite = page.getByRole('button', { name: /^Bite \d/ })
  await bite.click()
  await expect(page.getByText('Every tap is on this device and sent.')).toBeVisible()
  await context.clearCookies()
  await bite.click()
  await page.reload()
  await bite.click()
  await expect(page.getByText('Every tap is on this device and sent.')).toBeVisible()
  // By the cookie it has now, whoever asks reads all of it.
  const kept = await page.request.post('/api/v1/sync', { data: { cursor: null, events: [] } })
  const { events } = (await kept.json()) as { events: { kind: string; body: { what?: string } }[] }
  expect(events.filter(e => e.kind === 'trip')).toHaveLength(1)
  expect(events.filter(e => e.body?.what === 'bite')).toHaveLength(3)
})
