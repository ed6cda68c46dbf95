import { type Locator, type Page, expect, test } from '@playwright/test'
import { readFile } from 'node:fs/promises'
import { SIZES, firstCall, visit } from './screen'

/*
 * Every place keeps its word: what is set in one place is there after a visit to every other, after a reload, behind
 * the link, and in a second tab.
 */

const PLACES = ['Day', 'Box', 'Bench', 'Log'] as const
/** A reading of which nothing is as a first visit has it, by the keys of its link. */
const READING = {
  at: '2026-05-16T21:20',
  lat: '33.95',
  lon: '-83.41',
  vis: '0.9',
  tint: 'tea',
  temp: '21.5',
  cloud: '0.85',
  wind: 'chop',
  fish: 'smallmouth-bass',
  lure: 'jerkbait',
  school: 'contrast',
} as const
const LINK = `/?${new URLSearchParams(READING)}&zone=America/New_York`

const goTo = (page: Page, place: string) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place, exact: true }).click()
const chosenRow = (page: Page) => page.locator('[data-testid=call][aria-pressed=true]')

/** What Water shows now, a word for each row of the matrix. */
async function told(page: Page) {
  await expect(firstCall(page)).toBeVisible()
  // The address follows what is set after a moment.
  await expect.poll(() => new URL(page.url()).searchParams.get('lure')).toBe(READING.lure)
  const query = new URL(page.url()).searchParams
  const reading = Object.fromEntries(Object.keys(READING).map(k => [k, query.get(k)]))
  const rods = await page.getByRole('list', { name: 'Three rods' }).getByRole('button').allInnerTexts()
  return {
    ...reading,
    chosen: await chosenRow(page).first().getAttribute('data-finish'),
    rods: rods.map(r => r.split('\n').slice(0, 2).join()),
    kept: await page.getByRole('button', { name: /^Kept/ }).innerText(),
    listed: await page.getByTestId('call').evaluateAll(all => all.map(e => e.getAttribute('data-finish'))),
  }
}

/** Water as it is read, two lures of it in the box and nothing else to be listed, the second chosen and kept. */
async function setUp(page: Page): Promise<Awaited<ReturnType<typeof told>>> {
  await page.setViewportSize(SIZES.desk)
  await visit(page, LINK)
  await expect(firstCall(page)).toBeVisible()
  await goTo(page, 'Box')
  for (const name of ['Bone', 'Copper']) {
    await page.getByRole('button', { name: 'Add a lure' }).first().click()
    await page.getByRole('list', { name: 'Catalogue' }).getByRole('button', { name, exact: true }).click()
    await page.getByRole('button', { name: 'Add it', exact: true }).click()
    await page.getByRole('button', { name: 'Close', exact: true }).click()
  }
  await goTo(page, 'Water')
  await page.getByRole('button', { name: 'Only my box' }).click()
  await expect(page.getByTestId('call')).toHaveCount(2)
  await page.getByTestId('call').nth(1).click()
  await page.getByRole('button', { name: 'I tied this on' }).first().click()
  await expect(page.getByRole('button', { name: /^Kept/ })).toContainText('1')
  return told(page)
}

test('what Water is told outlives a visit to every place, a reload there, and is in a second tab', async ({
  page,
  context,
}) => {
  test.setTimeout(120_000)
  const before = await setUp(page)
  expect(before).toMatchObject(READING)
  for (const place of PLACES) {
    await goTo(page, place)
    await expect(page.getByRole('navigation', { name: 'Places' }).locator('[aria-current=page]')).toHaveText(place)
    await goTo(page, 'Water')
    expect(await told(page), `after ${place}`).toEqual(before)
  }
  for (const place of [...PLACES, 'Water']) {
    await goTo(page, place)
    await page.waitForTimeout(400)
    await page.reload()
    await goTo(page, 'Water')
    expect(await told(page), `after a reload of ${place}`).toEqual(before)
  }
  const tab = await context.newPage()
  await tab.setViewportSize(SIZES.desk)
  await tab.goto('/')
  // A new tab opens now, and chooses its own row.
  expect(await told(tab)).toMatchObject({ ...READING, at: expect.any(String), kept: before.kept })
})

test('the link brings the reading to somebody else, and nothing that is one’s own', async ({ page, browser }) => {
  const before = await setUp(page)
  const other = await browser.newContext({ viewport: SIZES.desk })
  const there = await other.newPage()
  await there.goto(page.url())
  await expect(firstCall(there)).toBeVisible()
  expect(await told(there)).toMatchObject(READING)
  // All of the catalogue, since nobody's box is in a link; and nothing kept.
  expect((await told(there)).listed.length).toBeGreaterThan(before.listed.length)
  await expect(there.getByRole('button', { name: /^Kept/ })).not.toContainText('1')
  await other.close()
})

/** What Day asks, from its own file. */
async function askedByDay(page: Page) {
  const button: Locator = page.getByRole('button', { name: 'Plan as JSON' })
  await expect(button).toBeEnabled({ timeout: 30_000 })
  const [file] = await Promise.all([page.waitForEvent('download'), button.click()])
  return (JSON.parse(await readFile((await file.path())!, 'utf8')) as { asked: Record<string, unknown> }).asked
}

test('Day plans for that water, sky, fish, date and school, with the lure fished, of what the box holds', async ({
  page,
}) => {
  await setUp(page)
  await goTo(page, 'Day')
  await expect(page.getByRole('button', { name: /^Pack these/ })).toBeVisible({ timeout: 30_000 })
  const asked = await askedByDay(page)
  expect(asked).toMatchObject({
    date: '2026-05-16',
    place: { latitude: 33.95, longitude: -83.41 },
    water: { visibilityM: 0.9, tint: 'tea', temperatureC: 21.5 },
    species: 'smallmouth-bass',
    school: 'contrast',
  })
  const [fished] = asked.lures as { lure: string; finishIds: string[] }[]
  expect(fished!.lure).toBe('jerkbait')
  expect([...fished!.finishIds].sort()).toEqual(['jerkbait.bone', 'jerkbait.copper'])
  expect((asked.hours as { cloud: number; wind: string }[])[16]).toMatchObject({ cloud: 0.85, wind: 'chop' })
})

test('a trip begins in that water and sky, for that fish, with that lure first', async ({ page }) => {
  await setUp(page)
  await page.getByRole('button', { name: 'Rig these' }).click()
  // What the box has not is replaced by what it has, once that is worked out.
  const onRods = page.getByRole('button', { name: /^Change rod \d: / })
  await expect(onRods).toHaveCount(3)
  const sent = page.waitForRequest(r => r.url().endsWith('/sync') && (r.postData() ?? '').includes('"kind":"trip"'))
  await page.getByRole('button', { name: /^Begin(?! the)/ }).click()
  const { events } = (await sent).postDataJSON() as { events: { kind: string; body: Record<string, unknown> }[] }
  const trip = events.find(e => e.kind === 'trip')!.body
  expect(trip.asked).toMatchObject({
    lure: 'jerkbait',
    species: 'smallmouth-bass',
    school: 'contrast',
    water: { visibilityM: 0.9, tint: 'tea', temperatureC: 21.5 },
    light: { cloud: 0.85, wind: 'chop' },
  })
  const onThem = (trip.rods as { finishId: string }[]).map(r => r.finishId)
  expect(onThem.every(id => ['jerkbait.bone', 'jerkbait.copper'].includes(id))).toBe(true)
  await goTo(page, 'Water')
  await goTo(page, 'Log')
  await expect(page.getByRole('button', { name: 'Bite' }).first()).toBeVisible()
})
