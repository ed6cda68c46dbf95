import { readFile, writeFile } from 'node:fs/promises'
import { type Page, expect, test } from '@playwright/test'
import { PRESSING, handOf } from './hands'
import { photoOf } from './photo'
import { SIZES, clean, inGoodOrder, visit, watchPosts } from './screen'

const POND = '?lat=34.87&lon=-84.3&zone=America/New_York&lure=jerkbait&vis=1.2&tint=green&temp=14.5&range=0.3'
const FINISHES = [
  'jerkbait.bone',
  'jerkbait.white',
  'jerkbait.matte-pearl',
  'jerkbait.black',
  'jerkbait.silver-shad',
  'spinnerbait.all-black',
  'spinnerbait.white-gold',
  'walking-topwater.bone',
]
async function openBox(page: Page, settings: Record<string, string> = {}): Promise<void> {
  await visit(page, `/box${POND}`, settings)
  await expect(page.getByText('The box is empty.')).toBeVisible()
}
/** Bring a box in from a file. */
async function bringIn(page: Page, name: string, text: string): Promise<void> {
  const path = test.info().outputPath(name)
  await writeFile(path, text)
  await page.getByRole('button', { name: 'Files' }).first().click()
  await page.locator('input[type=file]').setInputFiles(path)
}
const full = async (page: Page) => {
  await bringIn(page, 'box.csv', `finish\n${FINISHES.join('\n')}\n`)
  await expect(page.getByText('8 to add, 0 to change, 0 as they are. Nothing is written yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Take them in' }).click()
  await expect(page.getByText('8 added')).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()
}
const kit = (page: Page) => page.getByRole('region', { name: 'Kit and gaps' })
const kitDone = (page: Page) => expect(kit(page).getByText(/Proven: no kit/)).toBeVisible({ timeout: 90_000 })

for (const hand of PRESSING) {
  test.describe(`the box by ${hand}`, () => {
    test.use({ viewport: hand === 'touch' ? SIZES.phone : SIZES.desk, hasTouch: true, isMobile: hand === 'touch' })
    test('takes lures from the catalogue, gives one its own colours, retires it and takes that back', async ({
      page,
    }) => {
      await openBox(page)
      const { press } = await handOf(hand, page)
      await press(page.getByRole('button', { name: 'Add a lure' }).first())
      const catalogue = page.getByRole('list', { name: 'Catalogue' })
      await press(catalogue.getByRole('button', { name: 'Bone', exact: true }))
      await press(page.getByRole('button', { name: 'Add it', exact: true }))
      await expect(page.getByText('You have 1.')).toBeVisible()
      await press(page.getByRole('button', { name: 'Add it', exact: true }))
      await expect(page.getByText('You have 2.')).toBeVisible()
      await press(catalogue.getByRole('button', { name: 'Solid black', exact: true }))
      await press(page.getByRole('button', { name: 'Add it with colours of my own' }))
      await page.getByLabel('Colour of the flank').fill('#3a7d44')
      await expect(page.getByRole('button', { name: 'as made' })).toBeVisible()
      await page.getByLabel('Name', { exact: true }).fill('My green one')
      await page.keyboard.press('Tab')
      await press(page.getByRole('button', { name: 'Close' }))
      await expect(page.getByRole('button', { name: /^My green one/ })).toBeVisible()
      await expect(kit(page)).toContainText('2 lures')
      await press(page.getByRole('button', { name: /^My green one/ }))
      await press(page.getByRole('button', { name: 'Retire it' }))
      await press(page.getByRole('button', { name: 'Close' }))
      await expect(page.getByRole('button', { name: /^My green one/ })).toBeHidden()
      await press(page.getByRole('button', { name: 'Undo' }).first())
      await expect(page.getByRole('button', { name: /^My green one/ })).toBeVisible()
      await page.reload()
      await expect(page.getByRole('button', { name: /^Bone × 2/ })).toBeVisible()
    })
  })
}

test('is stopped at once, goes on to a proven kit, and says before buying what is the same', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await openBox(page)
  await full(page)
  const stop = kit(page).getByRole('button', { name: 'Stop' })
  await stop.click({ timeout: 20_000 })
  await expect(kit(page).getByText('Stopped.')).toBeVisible({ timeout: 200 })
  await kit(page).getByRole('button', { name: 'Go on' }).click()
  await kitDone(page)

  const shares = await kit(page)
    .getByRole('radio')
    .evaluateAll(all => all.map(e => Number(/covers (\d+)/.exec(e.ariaLabel!)![1])))
  expect(shares).toHaveLength(8)
  shares.slice(1).forEach((s, i) => expect(s).toBeGreaterThanOrEqual(shares[i]!))
  await kit(page).getByRole('radio', { name: /^3: / }).click()
  await expect(kit(page).getByRole('list', { name: 'The kit' }).getByRole('listitem')).toHaveCount(3)
  await kit(page).getByRole('listitem').filter({ hasText: '+' }).first().getByRole('button').click()
  await expect(page.getByRole('region', { name: 'Looked at' }).or(page.getByLabel('Looked at'))).toContainText(
    /in your (box|waters)|of your waters/,
    {
      timeout: 30_000,
    },
  )
  await page.getByRole('button', { name: 'Add it', exact: true }).click()
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(kit(page)).toContainText('9 lures')
})

test('looks merge as the fish backs off, and the map shows what is missing', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await openBox(page)
  await full(page)
  const looks = async () => Number(/, (\d+) look/.exec((await kit(page).locator('h2').textContent())!)![1])
  const distance = page.getByRole('slider', { name: 'Distance of the fish' })
  await distance.fill('0')
  await expect.poll(looks, { timeout: 20_000 }).toBeGreaterThan(4)
  const near = await looks()
  await distance.fill('160')
  await expect.poll(looks, { timeout: 20_000 }).toBeLessThan(near)
  await expect(page.getByText(/^Same /).first()).toBeVisible()
  await distance.fill('40')
  await page.getByRole('button', { name: /^Sorted/ }).click()
  await page.getByRole('option', { name: /map/ }).click()
  await expect(page.getByRole('region', { name: 'The map' })).toContainText(/stress 0\.\d\d/, { timeout: 20_000 })
  await clean(page)
})

test('goes out and comes in as a file, once, and a colour is picked off a photo that stays here', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await openBox(page)
  await full(page)
  await page.getByRole('button', { name: 'Files' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ])
  const text = await readFile(await download.path(), 'utf8')
  expect(text.split('\r\n')).toHaveLength(9)
  await page.getByRole('button', { name: 'Close' }).click()
  await bringIn(page, 'again.csv', text)
  await expect(page.getByText('0 added, 0 changed, 8 as they were.')).toBeVisible()
  await page.locator('input[type=file]').setInputFiles({
    name: 'bad.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('finish,count\njerkbait.bone,-3\nnothing,1\n'),
  })
  await expect(page.getByText('Line 2, count.')).toBeVisible()
  await expect(page.getByText('Line 3, finish.')).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()

  const sent: string[] = []
  page.on('request', r => r.method() !== 'GET' && sent.push(r.postData() ?? ''))
  await page
    .getByRole('button', { name: /^Bone\. Change/ })
    .first()
    .click()
  await page.locator('input[type=file]').setInputFiles(await photoOf(page, ['#b4432a']))
  await page.getByRole('application', { name: /Photo of the lure/ }).click()
  await expect(page.getByLabel('Colour of the back')).toHaveValue('#b4432a')
  await page.waitForTimeout(500)
  for (const body of sent) expect(body.length).toBeLessThan(5000)
})

for (const [size, viewport] of Object.entries(SIZES))
  test(`axe finds nothing in the box in any theme and nothing is cut off, ${size}`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await openBox(page)
    await full(page)
    await kitDone(page)
    await inGoodOrder(page)
  })

test('a lure in colours of one’s own is ranked in Water and planned in Day, all of it by workers', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  const sent = await watchPosts(page)
  await openBox(page)
  await bringIn(page, 'box.csv', 'finish,name,coats\njerkbait.white,My green one,flank=#3a7d44:matte\n')
  await page.getByRole('button', { name: 'Take them in' }).click()
  await expect(page.getByText('1 added')).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()
  await kitDone(page)
  await page.getByRole('link', { name: 'Water' }).click()
  await page.getByRole('button', { name: 'Only my box' }).click()
  const calls = page.getByTestId('call')
  await expect(calls).toHaveCount(1)
  await expect(calls).toHaveAccessibleName(/^1\. My green one, your own\./)
  await expect(page.getByRole('region', { name: 'Plate' })).toContainText('own grass green')
  await expect(page.getByRole('button', { name: 'I tied this on' })).toBeDisabled()
  await expect(page.getByText(/^Kept calls hold finishes of the catalogue/).filter({ visible: true })).toHaveCount(1)
  await page.getByRole('button', { name: 'Only my box' }).click()
  await calls.first().click()
  await expect(page.getByRole('button', { name: 'I tied this on' })).toBeEnabled()
  await page.getByRole('button', { name: 'Only my box' }).click()
  await page.getByRole('link', { name: 'Day' }).click()
  await expect(page.locator('main')).toContainText('My green one')
  await expect(page.getByRole('region', { name: 'What to pack' })).toContainText('of 100', { timeout: 30_000 })
  await page.getByRole('link', { name: 'Bench' }).click()
  await expect(page.locator('main')).toContainText('The hung bar')
  // What is asked of workers can be sent to them: the page works nothing out itself.
  const { made, refused } = await sent()
  expect(made).toBeGreaterThan(20)
  expect(refused).toEqual([])
})

test('a thousand lures are scrolled through with few of them drawn', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await openBox(page)
  const many = Array.from({ length: 1000 }, (_, i) => `${FINISHES[i % FINISHES.length]},Lure ${i}`)
  await bringIn(page, 'many.csv', `finish,name\n${many.join('\n')}\n`)
  await page.getByRole('button', { name: 'Take them in' }).click()
  await expect(page.getByText('1000 added')).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(kit(page)).toContainText('1000 lures')
  const tray = page.getByRole('region', { name: 'The tray' })
  expect(await tray.getByRole('button').count()).toBeLessThan(80)
  await tray.evaluate(e => e.scrollTo(0, e.scrollHeight))
  await expect(tray.getByRole('button').last()).toBeInViewport()
})
