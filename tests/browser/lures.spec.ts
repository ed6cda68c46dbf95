import { expect, test } from '@playwright/test'
import { SIZES, cleanInEveryTheme, largeTargets, open, slider, valueOf } from './screen'

const GRASS = '?cover=grass&dense=scattered&top=0.9&bottom=1.8&behind=green-weed&temp=14.5'

test('which lure here: told by keyboard, turned by cover, asked what if, and fished', async ({ page }) => {
  await open(page, GRASS)
  await page.keyboard.press('k')
  const sheet = page.getByRole('dialog', { name: 'Which lure here?' })
  const rows = sheet.getByRole('radio')
  await expect(rows).toHaveCount(8)
  const depths = await rows.evaluateAll(all =>
    all.map(e => Number(/runs at ([\d.]+)/.exec(e.ariaLabel ?? '')?.[1] ?? 0)),
  )
  expect(depths).toEqual([...depths].sort((a, b) => a - b))
  await expect(sheet.getByRole('region', { name: 'Not here' })).toContainText('Deep crankbait')

  // What if, along a line: the water is not touched.
  const diamond = slider(page, 'What if, between Spinnerbait and Swim jig')
  await expect(diamond).toHaveAttribute('aria-valuetext', 'scattered grass, now')
  await diamond.press('ArrowRight')
  await expect(diamond).toHaveAttribute('aria-valuetext', 'thick grass')
  await expect(sheet.getByText('What if:')).toBeVisible()
  await expect(sheet.getByRole('button', { name: 'Cover: Grass' })).toBeVisible()
  await sheet.getByRole('button', { name: 'Back to now' }).click()

  // Thick cover shuts out what hangs in it, and says so.
  await sheet.getByRole('button', { name: 'How dense the cover is: Scattered' }).click()
  await page.getByRole('option', { name: 'Thick' }).click()
  await expect(sheet.getByRole('region', { name: 'Not here' })).toContainText('It hangs in grass.')
  await expect(sheet.locator('[data-lure=spinnerbait]')).toHaveCount(0)

  await rows.first().focus()
  await page.keyboard.press('ArrowDown')
  const chosen = sheet.getByRole('radio', { checked: true })
  const lure = (await chosen.getAttribute('data-lure'))!
  await sheet.getByRole('button', { name: 'Fish it' }).click()
  await expect(sheet).toBeHidden()
  await expect(page.locator(`input[name=lure][value=${lure}]`)).toBeChecked()
  await expect(page).toHaveURL(new RegExp(`lure=${lure}`))
})

test('cover is drawn where it stands and dragged to its height; a spot keeps it', async ({ page }) => {
  await open(page, GRASS)
  const top = slider(page, 'Top of the grass')
  const before = await valueOf(page, 'Top of the grass')
  expect(before).toBeCloseTo(0.9, 2)
  const box = (await top.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 60, { steps: 4 })
  await page.mouse.up()
  expect(await valueOf(page, 'Top of the grass')).toBeLessThan(before)
  await expect(page).toHaveURL(/top=0\.[0-8]/)
  await page.keyboard.press('c')
  await page.getByRole('button', { name: 'Cover: Grass' }).click()
  await page.getByRole('option', { name: 'Mat' }).click()
  await expect(page).toHaveURL(/cover=mat/)
  await expect(page).toHaveURL(/canopy=mat/)
})

for (const [size, viewport] of Object.entries(SIZES)) {
  test(`axe finds nothing in which lure here in any theme and all can be touched, ${size}`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await open(page, GRASS)
    await page.getByRole('button', { name: 'Which lure here?' }).click()
    await expect(page.getByRole('radio').nth(7)).toBeAttached()
    if (size === 'phone') {
      await page.getByRole('tab', { name: 'Pairs' }).click()
      await expect(slider(page, /What if/).first()).toBeVisible()
      await page.getByRole('tab', { name: 'By depth' }).click()
    } else await expect(slider(page, /What if/).first()).toBeVisible()
    await cleanInEveryTheme(page)
    await largeTargets(page)
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    expect(wide).toBeLessThanOrEqual(0)
  })
}
