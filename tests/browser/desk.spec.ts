import { expect, test } from '@playwright/test'
import { PRESSING, handOf } from './hands'
import { SIZES, clean, firstCall, nothingClipped, open, valueOf } from './screen'
import { photoOf } from './photo'

for (const hand of PRESSING) {
  test.describe(`the reading desk by ${hand}`, () => {
    test.use({ viewport: hand === 'touch' ? SIZES.phone : SIZES.desk, hasTouch: true, isMobile: hand === 'touch' })

    test('weighs readings, says what to read next and hands its water to the picture', async ({ page }) => {
      await open(page)
      const { press } = await handOf(hand, page)
      await press(page.getByRole('button', { name: 'Conditions', exact: true }))
      await press(page.getByRole('button', { name: /^Not sure/ }))
      const told = page.getByRole('region', { name: 'Which water it is' })
      await expect(told).toContainText('Nothing read yet')
      await press(page.getByRole('button', { name: '+ Disc lost at' }))
      await press(page.getByRole('button', { name: '+ Looks like' }))
      await expect(told).toContainText('nine times in ten', { timeout: 30_000 })
      await expect(told).toContainText('of 100', { timeout: 30_000 })
      await expect(told).toContainText('Read next')
      await press(page.getByRole('button', { name: /^Depth of reading 1/ }))
      const field = page.getByRole('textbox', { name: /Depth of reading 1/ })
      await field.fill('6 ft')
      await field.press('Enter')
      await expect(told).toContainText(/disc to (5|6)/, { timeout: 30_000 })
      await clean(page, '[role=dialog]')
      await nothingClipped(page)
      await press(page.getByRole('button', { name: 'Use this water' }))
      await expect.poll(() => valueOf(page, /disc vanishes/)).toBeGreaterThan(1.4)
      await expect.poll(() => page.url()).toContain('tint=green')
    })
  })
}

test('readings stay on the desk over a reload, and one that no water explains is named', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  const readings = [
    { kind: 'disc', depthM: 4 },
    { kind: 'turbidity', fnu: 80 },
  ]
  await open(page, '', { 'piscator.desk': JSON.stringify(readings) })
  await page.keyboard.press('r')
  await expect(page.getByTestId('reading')).toHaveCount(2)
  await expect(page.getByText(/No one water explains/)).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Take reading 2 away' }).click()
  await expect(page.getByText(/No one water explains/)).toBeHidden({ timeout: 30_000 })
  await page.reload()
  await expect(firstCall(page)).toBeVisible()
  await page.keyboard.press('r')
  await expect(page.getByTestId('reading')).toHaveCount(1)
})

test('a photo of a jar is picked on the device and never sent', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  // What the page sends as it opens, to ask for news, is answered before anything is counted.
  const news = page.waitForResponse('**/api/v1/sync')
  await open(page, '', {
    'piscator.desk': JSON.stringify([{ kind: 'jar', water: '#c9b26a', paper: '#f1efe8', pathM: 0.08 }]),
  })
  await news
  const sent: string[] = []
  page.on('request', r => r.method() !== 'GET' && sent.push(r.url()))
  await page.keyboard.press('r')
  // Left half the brown of tea, right half paper.
  await page.locator('input[type=file]').setInputFiles(await photoOf(page, ['#a06a20', '#f0f0ee']))
  const photo = page.getByRole('application', { name: /Photo of the jar/ })
  await photo.click({ position: { x: 40, y: 40 } })
  await photo.focus()
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  const kept = () => page.evaluate(() => JSON.parse(localStorage.getItem('piscator.desk')!) as { water: string }[])
  await expect.poll(async () => (await kept())[0]).toMatchObject({ water: '#a06a20', paper: '#f0f0ee' })
  await expect(page.getByRole('region', { name: 'Which water it is' })).toContainText('Tea', { timeout: 30_000 })
  expect(sent).toEqual([])
})
