import { type Page, expect, test } from '@playwright/test'
import { HANDS, handOf } from './hands'
import { SIZES, cleanInEveryTheme, inGoodOrder, largeTargets, visit } from './screen'

const CREEK = '?lat=33.95&lon=-83.41&zone=America/New_York&lure=shallow-crankbait&vis=0.9&tint=tea&temp=17&depth=0.9'

async function openBench(page: Page): Promise<void> {
  await visit(page, `/bench${CREEK}`)
  await expect(page.getByTestId('hung')).toHaveCount(9)
}
const tab = async (page: Page, name: string, touch: boolean) =>
  touch && page.getByRole('navigation', { name: 'Parts of the bench' }).getByRole('button', { name }).tap()

for (const hand of HANDS) {
  test.describe(`the bench by ${hand}`, () => {
    const touch = hand === 'touch'
    test.use({ viewport: touch ? SIZES.phone : SIZES.desk, hasTouch: true, isMobile: touch })
    test('guesses an order, backs off, sees why, and answers a question that outlives the page', async ({ page }) => {
      await openBench(page)
      const { press, pull } = await handOf(hand, page)
      for (const lure of await page.getByTestId('hung').all()) await press(lure)
      await expect(page.getByText('Now back off, and watch them go.')).toBeVisible()
      const off = page.getByRole('slider', { name: 'Back off' })
      const box = (await off.boundingBox())!
      const far = page.viewportSize()!.width
      await pull(off, { dx: far - box.x - 20, keys: ['End'] })
      await expect(page.getByText(/^9 gone for the bass, \d where you put it\./)).toBeVisible()
      await expect(page.getByText(/than you said, at|give or take a place/)).toBeVisible()
      await expect(page.getByRole('button', { name: /: gone at / })).toHaveCount(9)
      await expect(page.getByRole('list', { name: 'Diver' }).locator('img')).toHaveCount(9)
      await press(page.getByRole('button', { name: 'Order them anew' }))
      await expect(page.getByRole('list', { name: 'You', exact: true }).locator('img')).toHaveCount(0)

      await tab(page, 'Drills', touch)
      const drills = page.getByRole('region', { name: 'Drills' })
      await press(drills.getByTestId('option').first())
      await expect(drills.getByText(/^(Right|No: .*)\./)).toBeVisible()
      await expect(drills.getByText('1 of 1').or(drills.getByText('0 of 1'))).toBeVisible()
      await press(drills.getByRole('button', { name: 'Next question' }))
      await expect(drills.getByRole('button', { name: 'Next question' })).toBeHidden()
      await page.reload()
      await tab(page, 'Drills', touch)
      await expect(drills.getByText('1 of 1').or(drills.getByText('0 of 1'))).toBeVisible()
    })
  })
}

test('jars darken with a drop, and what was lost beside the boat goes to the reading desk', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await openBench(page)
  const jars = page.getByRole('list', { name: 'Five jars' })
  await expect(jars.getByRole('listitem')).toHaveCount(5)
  const first = jars.getByRole('listitem').first()
  await expect(first).toContainText('disc 13 ft')
  await page.getByRole('button', { name: 'A drop of tint' }).click()
  await expect(first).toContainText('disc 11 ft')
  await page.getByRole('radio', { name: 'Brown (silt)' }).check({ force: true })
  await expect(page.getByRole('radio', { name: 'Brown (silt)' })).toBeChecked()
  await page.getByRole('button', { name: 'Hold them against the sun' }).click()
  await expect(page.getByText(/what stays black is solid/)).toHaveCount(2)

  const boat = page.getByRole('region', { name: 'Beside the boat' })
  await boat.getByRole('button', { name: /^I lost it at/ }).click()
  await page.getByRole('textbox', { name: /I lost it at/ }).fill('1')
  await page.keyboard.press('Enter')
  await expect(boat).toContainText('the water is darker than it was taken for')
  await boat.getByRole('button', { name: 'Take it to the reading desk' }).click()
  await page.getByRole('link', { name: 'Water' }).click()
  await expect(page.getByTestId('call').first()).toBeVisible()
  await page.keyboard.press('r')
  await expect(page.getByTestId('reading')).toHaveCount(1)
})

for (const [size, viewport] of Object.entries(SIZES))
  test(`the bench is clean in every theme on a ${size}`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await openBench(page)
    await inGoodOrder(page)
    if (size === 'desk') return
    for (const part of ['Jars', 'Drills']) {
      await page.getByRole('navigation', { name: 'Parts of the bench' }).getByRole('button', { name: part }).click()
      await cleanInEveryTheme(page)
      await largeTargets(page)
    }
  })
