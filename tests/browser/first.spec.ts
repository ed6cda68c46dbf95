import { type Page, expect, test } from '@playwright/test'
import { SIZES, THEMES, clean, firstCall } from './screen'

const answer = (page: Page) => page.getByTestId('first-answer')
/** A visit by somebody who was never here, without a link. */
async function newcomer(page: Page): Promise<void> {
  page.on('pageerror', e => {
    throw e
  })
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'What colour is your water?' })).toBeVisible()
}
const TAPS = {
  colour: (page: Page) => page.getByRole('radio', { name: /^Tea/ }).check({ force: true }),
  depth: (page: Page) => page.getByRole('button', { name: /half the rod/ }).click(),
  lure: (page: Page) => page.getByRole('radio', { name: 'Spinnerbait' }).check({ force: true }),
}

for (const order of [
  ['colour', 'depth', 'lure'],
  ['lure', 'colour', 'depth'],
] as const)
  test(`three taps draw the first answer, ${order.join(', ')}`, async ({ page }) => {
    await page.setViewportSize(SIZES.desk)
    await newcomer(page)
    for (const tap of order) {
      await expect(answer(page)).toBeHidden()
      await TAPS[tap](page)
    }
    await expect(answer(page)).toBeVisible()
    await expect(page.getByText('Tea water, a white lure lost at 3.5 ft, a spinnerbait,')).toBeVisible()
    // It is the answer that the whole screen gives for the same water.
    const first = await answer(page).locator('b.figure').first().innerText()
    await page.getByRole('button', { name: 'See every colour' }).click()
    await expect(firstCall(page)).toContainText(first)
    await expect(page.getByRole('radio', { name: 'Spinnerbait' })).toBeFocused()
    await page.reload()
    await expect(firstCall(page)).toBeVisible()
    await page.goto('/')
    await expect(firstCall(page)).toBeVisible()
    await expect(page.getByText('What colour is your water?')).toBeHidden()
  })

test('where it is lost is set by keyboard too, what is told outlives a reload, and it is kept in one tap', async ({
  page,
}) => {
  await page.setViewportSize(SIZES.phone)
  await newcomer(page)
  await TAPS.colour(page)
  await TAPS.depth(page)
  const white = page.getByRole('slider', { name: 'Depth at which a white lure is lost' })
  await white.focus()
  const before = Number(await white.getAttribute('aria-valuenow'))
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowDown')
  await expect.poll(async () => Number(await white.getAttribute('aria-valuenow'))).toBeGreaterThan(before)
  await page.waitForTimeout(400)
  await page.reload()
  await TAPS.lure(page)
  await expect(answer(page)).toBeInViewport()
  await answer(page).getByRole('button', { name: 'I tied this on' }).click()
  await expect(page.getByText('Kept:')).toBeVisible()
  await expect(firstCall(page)).toBeVisible()
})

test('whoever wants none of it sees all of it', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await newcomer(page)
  await page.getByRole('button', { name: 'Skip this' }).click()
  await expect(firstCall(page)).toBeVisible()
})

for (const size of ['desk', 'phone'] as const)
  test(`the first minute is clean in every theme on a ${size}`, async ({ page }) => {
    await page.setViewportSize(SIZES[size])
    await newcomer(page)
    for (const tap of Object.values(TAPS)) await tap(page)
    await expect(answer(page)).toBeVisible()
    for (const theme of THEMES) {
      await page.evaluate(t => (document.documentElement.dataset.theme = t), theme)
      await clean(page)
    }
  })
