import { expect, test } from '@playwright/test'
import { PLACES } from '../../app/places'
import { SIZES, asReturning, open } from './screen'

test.use({ viewport: SIZES.desk })
test.beforeEach(({ page }) => asReturning(page))

test('every place says which it is, and whoever goes there by keyboard stands at its beginning', async ({ page }) => {
  await open(page)
  await expect(page).toHaveTitle('Water · Piscator')
  for (const { words } of PLACES.slice(1)) {
    await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: words }).press('Enter')
    await expect(page).toHaveTitle(`${words} · Piscator`)
    await expect(page.locator('main')).toBeFocused()
  }
  await page.goBack()
  await expect(page).toHaveTitle('Bench · Piscator')
})

test('Escape closes a sheet wherever the focus is, and gives it back', async ({ page }) => {
  await open(page)
  const opener = page.getByRole('button', { name: 'Conditions' }).first()
  await opener.focus()
  await page.keyboard.press('Enter')
  const sheet = page.getByRole('dialog')
  await expect(sheet).toBeVisible()
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await page.keyboard.press('Escape')
  await expect(sheet).toHaveCount(0)
  await expect(opener).toBeFocused()
})

test('single keys can be turned off, and on again', async ({ page }) => {
  await open(page)
  await page.keyboard.press('?')
  await page.getByRole('checkbox', { name: 'Single keys do something' }).uncheck()
  await page.keyboard.press('Escape')
  await page.keyboard.press('g')
  await page.keyboard.press('c')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'noon')
  await page.reload()
  await page.keyboard.press('g')
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'noon')
})

test('while the scripts are on their way the frame stands, in the chosen light, until a place is there', async ({
  page,
}) => {
  await page.addInitScript(() => localStorage.setItem('piscator.theme', 'night'))
  let letThrough = () => {}
  const held = new Promise<void>(resolve => (letThrough = resolve))
  await page.route('**/_nuxt/*.js', async route => {
    await held
    await route.continue()
  })
  await page.goto('/box', { waitUntil: 'commit' })
  const frame = page.locator('#__nuxt-loader')
  await expect(frame.getByText('Reading the water.')).toBeVisible()
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor)).toBe('rgb(0, 0, 0)')
  letThrough()
  await expect(page.getByRole('heading', { level: 1 })).toBeAttached()
  await expect(frame).toHaveCount(0)
})

test('in colours of the reader’s own, bars, silhouettes and what is chosen still stand out', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active', colorScheme: 'dark' })
  await open(page)
  const seen = await page.evaluate(() => {
    const { color, backgroundColor } = getComputedStyle(document.documentElement)
    const backs = [...document.querySelectorAll('main *')].map(e => getComputedStyle(e).backgroundColor)
    const chosen = getComputedStyle(document.querySelector('.chosen')!)
    const pictures = [...document.querySelectorAll('img')].map(e => decodeURIComponent(e.src))
    return {
      apart: color !== backgroundColor && chosen.backgroundColor === color && chosen.color === backgroundColor,
      bars: backs.filter(back => back === color).length,
      silhouettes: pictures.filter(src => src.includes(`color:${color}`)).length,
    }
  })
  expect(seen.apart).toBe(true)
  expect(seen.bars).toBeGreaterThan(3)
  expect(seen.silhouettes).toBeGreaterThan(3)
})
