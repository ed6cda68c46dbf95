import { type Page, expect, test } from '@playwright/test'
import { PRESSING, handOf } from './hands'
import { SIZES, cleanInEveryTheme, inGoodOrder, largeTargets, open, visit } from './screen'

const POND = '?lat=34.87&lon=-84.3&zone=America/New_York&lure=jerkbait&vis=1.2&tint=green&temp=14.5'
const begin = (page: Page) => page.getByRole('button', { name: /^Begin(?! the)/ })
const rods = (page: Page) => page.getByRole('button', { name: /^Change rod \d: / })
const onThem = async (page: Page) =>
  (await rods(page).evaluateAll(all => all.map(e => e.ariaLabel!.replace(/^Change rod \d: /, '')))).sort()

test('Water’s three rods lie on the rods just as they stood there, and nothing is written before it begins', async ({
  page,
}) => {
  await open(page, POND)
  const three = page.getByRole('list', { name: 'Three rods' }).getByRole('button')
  await expect(three).toHaveCount(3)
  const names = await three.evaluateAll(all =>
    all.map(e => e.querySelectorAll('span span span')[1]!.textContent!.trim()),
  )
  await page.getByRole('button', { name: 'Rig these' }).click()
  await expect(rods(page)).toHaveCount(3)
  expect(await onThem(page)).toEqual([...names].sort())
  // Another colour from the drawer, by the points it costs.
  await rods(page).first().click()
  const drawer = page.getByRole('region', { name: 'Not in it' })
  await expect(drawer.getByText('on it')).toBeVisible()
  await drawer.getByRole('button').nth(4).click()
  expect(await onThem(page)).not.toEqual([...names].sort())
  await page.reload()
  await expect(page.getByRole('region', { name: 'On the rods' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'The trip' })).toHaveCount(0)
})

test('opened by itself it asks the water, and a plan’s change is tied on at its hour', async ({ page }) => {
  // Today where the pond lies, whatever day it is elsewhere.
  const today = new Intl.DateTimeFormat('en-CA', { timeZone: 'America/New_York' }).format()
  await visit(page, `/day${POND}&at=${today}T14:00`)
  await page.getByRole('button', { name: /^Pack these/ }).click({ timeout: 60_000 })
  await page.getByRole('link', { name: 'Rig these' }).click()
  await expect(page.getByRole('button', { name: /^Plan kept/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(rods(page).first()).toBeVisible()
  await begin(page).click()
  const next = page.getByRole('region', { name: 'The next change' })
  // Late in the day a plan may have nothing left to change.
  if (await next.isVisible()) {
    const before = await next.textContent()
    await next.getByRole('button', { name: 'Tied on' }).click()
    await expect(next.filter({ hasText: before! })).toHaveCount(0)
  }
})

for (const hand of PRESSING) {
  test.describe(`two aboard by ${hand}`, () => {
    const touch = hand === 'touch'
    test.use({ viewport: touch ? SIZES.phone : SIZES.desk, hasTouch: true, isMobile: touch })
    test('tap for themselves, give a tap to the other, and have all of it when it comes back', async ({ page }) => {
      await visit(page, `/log${POND}`)
      const { press } = await handOf(hand, page)
      await expect(rods(page)).toHaveCount(3)
      await press(page.getByRole('radio', { name: '2' }))
      await page.getByRole('textbox', { name: 'Name of angler 1' }).fill('Maren')
      await page.getByRole('textbox', { name: 'Name of angler 2' }).fill('Jo')
      await press(begin(page))
      const column = (who: string) => page.getByRole('region', { name: who, exact: true })
      const target = (who: string, what: string) => column(who).getByRole('button', { name: new RegExp(`^${what}, `) })
      await press(target('Maren', 'Bite'))
      await press(target('Jo', 'Bite'))
      await press(target('Jo', 'Landed'))
      await expect(target('Jo', 'Bite')).toHaveAccessibleName('Bite, Jo, 2 so far')
      await press(page.getByRole('button', { name: 'Not Jo: it was Maren' }))
      await expect(target('Maren', 'Bite')).toHaveAccessibleName('Bite, Maren, 2 so far')
      await expect(target('Jo', 'Landed')).toHaveAccessibleName('Landed, Jo, 0 so far')
      await page.reload()
      await expect(target('Maren', 'Landed')).toHaveAccessibleName('Landed, Maren, 1 so far')
      for (const name of ['Bite', 'Follow', 'Miss', 'Landed']) {
        const box = (await target('Maren', name).boundingBox())!
        expect(box.height).toBeGreaterThanOrEqual(88)
      }
      await press(page.getByRole('button', { name: 'Undo' }))
      await expect(target('Maren', 'Landed')).toHaveAccessibleName('Landed, Maren, 0 so far')
    })
  })
}

for (const hand of PRESSING) {
  test.describe(`a fair test of two by ${hand}`, () => {
    const touch = hand === 'touch'
    test.use({ viewport: touch ? SIZES.phone : SIZES.desk, hasTouch: true, isMobile: touch })
    test('has both wait for one another, swap, and counts a pair once both have fished both', async ({ page }) => {
      await visit(page, `/log${POND}`)
      const { press } = await handOf(hand, page)
      await press(page.getByRole('button', { name: 'Fair test' }))
      await press(page.getByRole('radio', { name: '2' }))
      await page.getByRole('textbox', { name: 'Name of angler 1' }).fill('Maren')
      await page.getByRole('textbox', { name: 'Name of angler 2' }).fill('Jo')
      await press(page.getByRole('button', { name: /^Casts in a spell/ }))
      await page.getByRole('textbox', { name: /Casts in a spell/ }).fill('2')
      await page.keyboard.press('Enter')
      await press(page.getByRole('button', { name: 'Begin the test' }))
      const cast = (who: string) => page.getByRole('button', { name: new RegExp(`^Cast, ${who}, `) })
      const onLine = async (who: string) => {
        const column = page.getByRole('region', { name: who, exact: true })
        return (await column.locator('p').first().textContent())!.replace(who, '').trim()
      }
      const turn = async () => {
        for (const who of ['Maren', 'Jo'])
          for (let i = 0; i < 2; i++) {
            await expect(cast(who)).toHaveAccessibleName(`Cast, ${who}, ${i} of 2`)
            await press(cast(who))
            await page.waitForTimeout(450)
          }
      }
      const first = [await onLine('Maren'), await onLine('Jo')]
      expect(first[0]).not.toBe(first[1])
      await press(cast('Maren'))
      await page.waitForTimeout(450)
      await press(cast('Maren'))
      await expect(cast('Maren')).toBeDisabled()
      await expect(page.getByText(/Maren waits: Jo has 2 casts left, then swap/)).toBeVisible()
      await page.reload()
      await expect(cast('Maren')).toBeDisabled()
      await press(cast('Jo'))
      await page.waitForTimeout(450)
      await press(cast('Jo'))
      await expect(cast('Jo')).toBeDisabled()
      await press(page.getByRole('button', { name: 'Swapped' }))
      expect([await onLine('Jo'), await onLine('Maren')]).toEqual(first)
      await press(page.getByRole('button', { name: /^Bite, Jo/ }))
      await turn()
      await expect(page.getByText('Too soon to call.').first()).toBeVisible()
      await expect(page.getByText(/pair 2 of 10/)).toBeVisible()
    })
  })
}

test('two hundred taps of two, offline, with corrections, the tab closed: all are there', async ({ page, context }) => {
  await visit(page, `/log${POND}`)
  await expect(rods(page)).toHaveCount(3)
  await page.getByRole('radio', { name: '2' }).click()
  await begin(page).click()
  const bites = page.getByRole('button', { name: /^Bite, Angler \d/ })
  await expect(bites).toHaveCount(2)
  await context.setOffline(true)
  await bites.evaluateAll(async all => {
    for (let i = 0; i < 200; i++) {
      ;(all[i % 3 === 0 ? 0 : 1] as HTMLElement).click()
      await new Promise(r => setTimeout(r, 5))
    }
  })
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: /^Not Angler/ }).click()
  const counts = async (of: Page) =>
    of
      .getByRole('button', { name: /^Bite, Angler \d/ })
      .evaluateAll(all => all.map(e => Number(/(\d+) so far/.exec(e.ariaLabel!)![1])))
  await expect.poll(async () => (await counts(page)).reduce((a, b) => a + b, 0)).toBe(197)
  const before = await counts(page)
  await context.setOffline(false)
  await page.close()
  const again = await context.newPage()
  await visit(again, `/log${POND}`)
  await expect(again.getByRole('button', { name: /^Bite, Angler 1/ })).toBeVisible()
  expect(await counts(again)).toEqual(before)
})

for (const [size, viewport] of Object.entries(SIZES))
  test(`another sky than was foretold plans the rest of the day anew on a ${size}`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await page.clock.install({ time: new Date('2026-04-11T13:00:00-04:00') })
    await visit(page, `/log${POND}&bottom=3&cloud=0.2`)
    await expect(rods(page)).toHaveCount(3)
    await begin(page).click()
    const rest = page.getByRole('region', { name: 'The rest of the day' })
    await rest.getByRole('button', { name: /^The sky is not as foretold/ }).click()
    await expect(rest.getByRole('status').filter({ hasText: 'What is left of the day asks for' })).toBeVisible()
    const before = await rest.getByRole('list').innerText()
    for (let i = 0; i < 8; i++) await rest.getByRole('button', { name: 'More cloud' }).click()
    await rest.getByRole('button', { name: 'More wind' }).click()
    await expect(rest.getByRole('button', { name: 'More cloud' })).toBeDisabled()
    await expect(rest.getByRole('list')).not.toHaveText(before, { timeout: 15_000 })
    await expect(page.getByText(/Conditions:.*overcast, (ripple|chop)/)).toBeVisible()
    await rest.getByRole('button', { name: 'Take these changes' }).click()
    const next = page.getByRole('region', { name: 'The next change' })
    await expect(next.getByText('the next change')).toBeVisible()
    // A plan's changes follow the sky by themselves from then on.
    await next.getByRole('button', { name: 'Tied on' }).click()
    const told = await rest.getByRole('list').innerText()
    for (let i = 0; i < 9; i++) await rest.getByRole('button', { name: 'Less cloud' }).click()
    await expect(rest.getByText(/as on the rods’ list/)).toBeVisible({ timeout: 15_000 })
    await expect(rest.getByRole('list')).not.toHaveText(told)
  })

for (const [size, viewport] of Object.entries(SIZES))
  test(`rig and crew are clean in every theme on a ${size}`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await visit(page, `/log${POND}`)
    await expect(rods(page)).toHaveCount(3)
    await page.getByRole('radio', { name: '3' }).click()
    await rods(page).first().click()
    await cleanInEveryTheme(page)
    await largeTargets(page)
    await begin(page).click()
    await expect(page.getByRole('button', { name: /^Bite, Angler 3/ })).toBeVisible()
    await cleanInEveryTheme(page)
    await largeTargets(page)
    await inGoodOrder(page)
  })

for (const [size, viewport] of Object.entries(SIZES))
  test(`a fair test of two, and the sky by steps, are clean in every theme on a ${size}`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await visit(page, `/log${POND}`)
    await page.getByRole('button', { name: 'Fair test' }).click()
    await page.getByRole('radio', { name: '2' }).click()
    await page.getByRole('button', { name: 'Begin the test' }).click()
    await page.getByRole('button', { name: /^Cast, Angler 1/ }).click()
    await cleanInEveryTheme(page)
    await page.getByRole('button', { name: 'Stop, keep the count' }).click()
    await page.getByRole('button', { name: 'Today' }).click()
    await expect(rods(page)).toHaveCount(3)
    await begin(page).click()
    await page.getByRole('button', { name: /^The sky is not as foretold/ }).click()
    await expect(page.getByRole('status').filter({ hasText: /What is (left|on)/ })).toBeVisible()
    await cleanInEveryTheme(page)
  })
