import { type Page, expect, test } from '@playwright/test'
import { SIZES, asReturning, cleanInEveryTheme, open } from './screen'

const POND = '?lat=34.87&lon=-84.3&zone=America/New_York&lure=spinnerbait&vis=0.8&tint=tea&temp=17.5'
const bar = (page: Page) => page.getByRole('group', { name: 'Where and when' })
const scene = (page: Page) => page.evaluate(() => JSON.parse(localStorage.getItem('piscator.scene') ?? '{}'))

test.describe('a first visit', () => {
  test.use({ timezoneId: 'Australia/Sydney', geolocation: { latitude: -36.412, longitude: 148.6 } })
  test('opens now, somewhere by the clock, with a temperature that is said to be a guess; here is one tap', async ({
    page,
    context,
  }) => {
    await page.goto('/')
    await page.getByRole('button', { name: 'Skip this' }).click()
    await expect(page.getByTestId('call').first()).toBeVisible()
    await expect(bar(page)).toContainText(/About \d\d° S\s?, guessed by your clock/)
    await expect(bar(page)).toContainText('Today,')
    await expect(bar(page).getByRole('button', { name: /^Now/ })).toHaveCount(0)
    await expect(page.getByText(/about \d+ °F/)).toBeVisible()
    await bar(page).getByRole('button', { name: 'The day after' }).click()
    await bar(page).getByRole('button', { name: /^Now/ }).click()
    await expect(bar(page)).toContainText('Today,')
    await context.grantPermissions(['geolocation'])
    await bar(page).getByRole('button', { name: /^Here/ }).click()
    await expect(bar(page)).toContainText('36.4° S')
    await expect(bar(page).getByRole('button', { name: /^Here/ })).toHaveCount(0)
    await expect.poll(() => scene(page)).toMatchObject({ lat: '-36.412', zone: 'Australia/Sydney', guess: '0' })
  })
  test('says so where the device does not tell its place', async ({ page }) => {
    await page.goto('/')
    await bar(page).getByRole('button', { name: /^Here/ }).click()
    await expect(bar(page).getByRole('button', { name: /^Not told/ })).toBeVisible()
  })
})

test('a link stays in every place and after a reload; without one its water comes back, now', async ({
  page,
  context,
}) => {
  await open(page, POND)
  const firstCall = async () => (await page.getByTestId('call').first().innerText()).split('\n').slice(0, 2)
  const first = await firstCall()
  await page.getByRole('link', { name: 'Day' }).first().click()
  await page.reload()
  await page.getByRole('link', { name: 'Water' }).first().click()
  await expect.poll(firstCall).toEqual(first)
  const later = await context.newPage()
  await later.goto('/bench')
  await expect(bar(later)).toContainText('Today,')
  await later.getByRole('link', { name: 'Water' }).first().click()
  await expect.poll(() => scene(later)).toMatchObject({ lure: 'spinnerbait', vis: '0.8', tint: 'tea', temp: '17.5' })
})

test('two tabs show one reading', async ({ page, context }) => {
  await open(page, POND)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.getByTestId('call').first()).toBeVisible()
  await bar(page).getByRole('button', { name: 'The day after' }).click()
  await expect(bar(page)).toContainText('12 Apr')
  await expect(bar(other)).toContainText('12 Apr')
})

for (const place of ['day', 'box', 'bench', 'log'])
  test(`/${place}, opened by itself, starts from Water’s water and lure, by its name`, async ({ page }) => {
    await open(page, `${POND}&water=018f0000-0000-4000-8000-000000000002`)
    const name = await page.evaluate(async () => {
      const waters = (await (await fetch('/api/v1/waters')).json()) as { id: string; name: string }[]
      return waters.find(w => w.id.endsWith('2'))!.name
    })
    await expect(bar(page)).toContainText(name)
    await expect.poll(async () => (await scene(page)).water).toMatch(/-/)
    await page.goto(`/${place}`)
    await expect(bar(page).first()).toContainText(name)
    if (place === 'log') {
      await expect(page.getByRole('button', { name: /^Change rod 1: / })).toBeVisible()
      await expect(page.getByRole('button', { name: `Begin at ${name}` })).toBeVisible()
    }
    if (place === 'bench') await expect(page.getByText(/spinnerbait/i).first()).toBeVisible()
    if (place === 'day') await expect(page.getByText(/spinnerbait/i).first()).toBeVisible()
  })

test('a visit without a link or a memory is clean in every theme on a phone', async ({ page }) => {
  await page.setViewportSize(SIZES.phone)
  await asReturning(page)
  await page.goto('/')
  await expect(page.getByTestId('call').first()).toBeVisible()
  await cleanInEveryTheme(page)
})
