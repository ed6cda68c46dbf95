import { readFile } from 'node:fs/promises'
import { type Page, expect, test } from '@playwright/test'
import { HANDS, handOf } from './hands'
import { SIZES, clean, inGoodOrder, slider, valueOf, visit } from './screen'

const POND = '?lat=34.87&lon=-84.3&zone=America/New_York&vis=1.8&tint=green&temp=14.5&at=2026-04-11T14:40&bottom=3.75'
/** Open the day and wait for its plan. */
async function openDay(page: Page, settings: Record<string, string> = {}): Promise<void> {
  await visit(page, `/day${POND}`, settings)
  await planned(page)
}
/** Changes cost next to nothing, and one rod is fished. */
const CHANGING = {
  lanes: [{ lure: 'spinnerbait', place: 'open', depthM: null }],
  packMost: 4,
  changeMin: 0.5,
  minSpellMin: 60,
}
const panel = (page: Page) => page.getByRole('region', { name: 'What to pack' })
const planned = (page: Page) => expect(panel(page)).toContainText('of 100', { timeout: 30_000 })
const settled = async (page: Page) => {
  await page.waitForTimeout(300)
  await expect(page.getByRole('progressbar')).toBeHidden({ timeout: 30_000 })
}
const packed = async (page: Page) => (await panel(page).locator('ol li b').allTextContents()).map(s => s.trim())

for (const hand of HANDS) {
  test.describe(`the day by ${hand}`, () => {
    test.use({ viewport: hand === 'touch' ? SIZES.phone : SIZES.desk, hasTouch: true, isMobile: hand === 'touch' })
    test('holds a change, pulls the sky, changes the rod, keeps the plan and opens the hour in Water', async ({
      page,
    }) => {
      // A dark morning, a bright day and a dark evening: changes worth a while.
      await openDay(page, { 'piscator.day': JSON.stringify(CHANGING) })
      await settled(page)
      const { press, pull, choose } = await handOf(hand, page)
      const edge = page.getByRole('slider', { name: /^Change from/ }).first()
      const name = (await edge.getAttribute('aria-label'))!
      const at = Number(await edge.getAttribute('aria-valuenow'))
      await pull(edge, { dx: hand === 'touch' ? 12 : 30, keys: ['ArrowRight'] })
      const held = page.getByRole('slider', { name: `${name}, held by you` })
      await expect(held).toBeVisible()
      await settled(page)
      expect(Number(await held.getAttribute('aria-valuenow'))).toBeGreaterThan(at)
      await press(page.getByRole('button', { name: /held by you: let go/ }))
      await settled(page)
      await expect(held).toBeHidden()
      await expect.poll(() => valueOf(page, name)).toBe(at)

      const cloud = await valueOf(page, 'Cloud at this hour')
      await pull(slider(page, 'Cloud at this hour'), { dy: 20, keys: ['PageUp'] })
      await expect.poll(() => valueOf(page, 'Cloud at this hour')).toBeGreaterThan(cloud + 0.1)
      await pull(slider(page, /^Hour of the day$/), { dx: 60, keys: ['PageUp', 'PageUp'] })
      const hour = await valueOf(page, /^Hour of the day$/)
      expect(hour).toBeGreaterThan(11 * 60)
      await press(page.getByRole('button', { name: 'Rods and banks' }))
      await choose(page.getByRole('button', { name: /^Rod 1:/ }), /Bladed jig/)
      await press(page.getByRole('button', { name: 'Say how the banks stand' }))
      if (hand === 'keyboard') await clean(page, '[role=dialog]')
      await press(page.getByRole('button', { name: 'Close' }))
      await settled(page)
      await expect(page.getByRole('button', { name: /^Bladed jig/ })).toBeVisible()
      await expect(page.getByRole('button', { name: 'Change the banks' })).toBeVisible()
      await press(page.getByRole('button', { name: /^Pack these/ }).last())
      await expect(page.getByRole('button', { name: /^Kept/ }).last()).toBeVisible()
      await press(page.getByRole('button', { name: 'Kept plans' }))
      await expect(page.getByText('2026-04-11', { exact: true })).toBeVisible()
      await press(page.getByRole('button', { name: 'Close' }))
      await press(page.getByRole('link', { name: /in Water/ }))
      await expect(page.getByTestId('call').first()).toBeVisible()
      await expect.poll(() => valueOf(page, 'Time of day')).toBe(hour)
    })
  })
}

for (const [size, viewport] of Object.entries(SIZES))
  test(`axe finds nothing in the day in any theme and nothing is cut off, ${size}`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await openDay(page)
    await settled(page)
    await expect(page.getByRole('list', { name: 'Rods through the day' }).getByRole('listitem')).toHaveCount(4)
    await inGoodOrder(page)
  })

test('the light follows the cloud at once, a storm stops the fishing, and changing costs what is said', async ({
  page,
}) => {
  await page.setViewportSize(SIZES.desk)
  await openDay(page)
  await settled(page)
  const colours = () => page.locator('canvas').evaluate(c => (c as HTMLCanvasElement).toDataURL())
  const before = await colours()
  await slider(page, 'Cloud at this hour').focus()
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowDown')
  await expect.poll(colours, { timeout: 5000 }).not.toBe(before)
  await settled(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => valueOf(page, 'Cloud at this hour')).toBeLessThan(0.9)

  await page.getByRole('button', { name: 'Storm?' }).click()
  await settled(page)
  await expect(panel(page)).toContainText('Lightning')
  await expect(page.getByText('off the water').first()).toBeVisible()
  const spells = () => page.locator('[aria-pressed][aria-label*=" to "]').count()
  const many = await spells()
  await page.getByRole('button', { name: 'Rods and banks' }).click()
  await page.getByRole('button', { name: /^What a change must win back/ }).click()
  await page.getByRole('textbox', { name: /What a change must win back/ }).fill('120')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Close' }).click()
  await settled(page)
  expect(await spells()).toBeLessThanOrEqual(many)
  await expect(page.getByText('win back 120 minutes')).toBeVisible()
})

test('goes out as a calendar, as JSON and on paper', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await page.addInitScript(() => {
    window.print = () => {
      document.documentElement.dataset.printed = 'yes'
    }
  })
  await openDay(page)
  await settled(page)
  const names = await packed(page)
  const file = async (button: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button }).click(),
    ])
    return readFile(await download.path(), 'utf8')
  }
  const ics = (await file('Calendar file')).replace(/\r\n[ \t]/g, '')
  expect(ics).toMatch(/^BEGIN:VCALENDAR/)
  expect(ics.match(/BEGIN:VALARM/g)!.length).toBe(ics.match(/^SUMMARY:\w[^\r\n]*: /gm)!.length)
  const json = JSON.parse(await file('Plan as JSON')) as { changes: { finish: string; from: string }[] }
  expect([...new Set(json.changes.map(c => c.finish))].sort()).toEqual([...names].sort())
  // The first change of the day is when the calendar's first event begins, whatever the clock.
  const first = new Date(json.changes[0]!.from).toISOString().replace(/[-:]|\.000/g, '')
  expect(ics).toContain(`DTSTART:${first}`)
  await page.getByRole('button', { name: 'Print the day' }).click()
  await expect(page.locator('html[data-printed=yes]')).toBeAttached()
  await page.emulateMedia({ media: 'print' })
  for (const name of names) await expect(page.locator('.print-only').getByText(name).first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Print the day' })).toBeHidden()
})

test('keeps plans through a lost server and a reload, and opens them again', async ({ page, context }) => {
  await page.setViewportSize(SIZES.desk)
  await openDay(page)
  await settled(page)
  await context.route('**/api/v1/sync', r => r.abort())
  await page.getByRole('button', { name: /^Pack these/ }).click()
  await expect(page.getByRole('button', { name: /^Kept\./ })).toBeVisible()
  await page.reload()
  await planned(page)
  await page.getByRole('button', { name: 'Kept plans' }).click()
  await expect(page.getByText(/not sent yet; kept on this device/)).toBeVisible()
  await context.unroute('**/api/v1/sync')
  await expect(page.getByText(/not sent yet/)).toBeHidden({ timeout: 70_000 })
  await page.getByRole('button', { name: 'Close' }).click()
  await page.getByRole('button', { name: 'The day after' }).click()
  await page.getByRole('button', { name: 'Kept plans' }).click()
  await page.getByRole('button', { name: 'Open', exact: true }).click()
  await expect(page.getByText('11 Apr')).toBeVisible()
})
