import { readFile, writeFile } from 'node:fs/promises'
import { type Page, expect, test } from '@playwright/test'
import { PRESSING, handOf } from './hands'
import { SIZES, clean, inGoodOrder, open } from './screen'

const POND = '?lat=34.87&lon=-84.3&zone=America/New_York&lure=jerkbait&vis=1.2&tint=green&temp=14.5&range=0.3'

/** What instruments tell, in the place of the server's stream: the test is the boat. */
async function asBoat(page: Page): Promise<(told: Record<string, number>, line?: string) => Promise<void>> {
  await page.addInitScript(() => {
    const listeners = new Set<{ onmessage: ((e: { data: string }) => void) | null }>()
    class Stream {
      static CLOSED = 2
      readyState = 1
      onmessage = null
      onerror = null
      constructor() {
        listeners.add(this)
      }
      close() {
        listeners.delete(this)
      }
    }
    Object.assign(window, {
      EventSource: Stream,
      tellBoard: (board: unknown) => listeners.forEach(l => l.onmessage?.({ data: JSON.stringify(board) })),
    })
  })
  return (told, line = 'here') =>
    page.evaluate(
      ([values, is]) => {
        const nowMs = Date.now()
        const all = Object.fromEntries(Object.entries(values).map(([k, value]) => [k, { value, atMs: nowMs - 2000 }]))
        const samples = [0.2, 0.6, 1, 1.5].map(depthM => ({ depthM, lux: 20000 * Math.exp(-1.3 * depthM) }))
        const board = { simulated: true, nowMs, line: is, gauge: 'here', told: all, cast: { samples, atMs: nowMs } }
        ;(window as unknown as { tellBoard: (b: unknown) => void }).tellBoard(board)
      },
      [told, line] as const,
    )
}

for (const hand of PRESSING) {
  test.describe(`waters by ${hand}`, () => {
    test.use({ viewport: hand === 'touch' ? SIZES.phone : SIZES.desk, hasTouch: true, isMobile: hand === 'touch' })
    test('are made, given a spot, fished, archived and listed again', async ({ page }) => {
      await open(page, POND)
      const { press, choose } = await handOf(hand, page)
      await press(page.getByRole('button', { name: 'Conditions' }).first())
      await press(page.getByRole('button', { name: 'Waters and spots of my own' }))
      await press(page.getByRole('button', { name: 'New water' }))
      const name = page.getByLabel('Name', { exact: true })
      await name.fill('Fern Pond')
      await name.press('Tab')
      await expect(page.getByRole('button', { name: /Fern Pond/ })).toBeVisible()
      await press(page.getByRole('button', { name: 'New spot' }))
      await page.getByLabel('Name of the spot').fill('Dam')
      await page.getByLabel('Name of the spot').press('Tab')
      await inGoodOrder(page, '[role=dialog]')
      await choose(page.getByRole('button', { name: /^Bottom:/ }), /Gravel/)
      await press(page.getByRole('button', { name: 'Say how deep' }))
      await press(page.getByRole('button', { name: 'Fish Dam' }))
      await expect(page).toHaveURL(/behind=gravel/)
      await expect(page).toHaveURL(/spot=/)
      await page.reload()
      await press(page.getByRole('button', { name: 'Conditions' }).first())
      await expect(page.getByRole('button', { name: 'Spot: Dam' })).toBeVisible()
      await press(page.getByRole('button', { name: 'Waters and spots of my own' }))
      await press(page.getByRole('button', { name: 'Archive it' }))
      await expect(page.getByRole('button', { name: /^Fern Pond Green/ })).toBeHidden()
      await press(page.getByText('Archived, 1'))
      await press(page.getByRole('button', { name: 'List it again : Fern Pond' }))
      await expect(page.getByRole('button', { name: /^Fern Pond Green/ })).toBeVisible()
    })
  })
}

test('a water of one’s own carries its readings, and a call made there is kept', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await open(page, POND)
  await page.keyboard.press('w')
  await page.getByRole('button', { name: /^Umber Creek/ }).click()
  await page.getByRole('button', { name: 'Make it mine' }).click()
  await page.getByRole('button', { name: 'Fish here' }).click()
  await expect(page).toHaveURL(/tint=tea/)
  await page.keyboard.press('r')
  await page.getByRole('button', { name: '+ Disc lost at' }).click()
  await page.getByRole('button', { name: 'Keep it with Umber Creek, mine' }).click({ timeout: 30_000 })
  await expect(page.getByRole('button', { name: 'Kept with Umber Creek, mine' })).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('w')
  const year = page.getByRole('region', { name: 'Readings through the year' })
  await expect(year.getByRole('listitem')).toHaveCount(1)
  await expect(year.locator('svg').first()).toBeVisible()
  await clean(page, '[role=dialog]')
  await page.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('t')
  await page.keyboard.press('h')
  await expect(page.getByTestId('kept')).toHaveCount(1)
  await expect(page.getByText('On this device only')).toBeHidden({ timeout: 20_000 })
  await expect(page.getByTestId('kept')).not.toContainText('not one of yours')
})

test('waypoints come in as spots, once, and everything goes out and comes back', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  await open(page, POND)
  await page.keyboard.press('w')
  await page.getByRole('button', { name: 'New water' }).click()
  await page.getByRole('button', { name: 'Files' }).click()
  const bring = async (name: string, text: string) => {
    const path = test.info().outputPath(name)
    await writeFile(path, text)
    await page.locator('input[type=file]').setInputFiles(path)
  }
  const point = (name: string, lat: string) => `<wpt lat="${lat}" lon="-84.3"><name>${name}</name></wpt>`
  const gpx = (points: string) =>
    `<?xml version="1.0"?><gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1">${points}</gpx>`
  const take = page.getByRole('button', { name: 'Take them in' })
  await bring('points.gpx', gpx(point('Brush', '34.9') + point('Ledge', '34.91')))
  await take.click()
  await expect(page.getByText('2 added, 0 changed, 0 as they were.')).toBeVisible()
  // Taken back, everything is as before; taken again it is there again.
  await page.getByRole('status').filter({ hasText: 'points.gpx' }).getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('taken back. Everything is as it was before.')).toBeVisible()
  await bring('points.gpx', gpx(point('Brush', '34.9') + point('Ledge', '34.91')))
  await expect(page.getByText('2 to add, 0 to change, 0 as they are. Nothing is written yet.')).toBeVisible()
  await take.click()
  await expect(page.getByText('2 added, 0 changed, 0 as they were.')).toBeVisible()
  await bring('points.gpx', gpx(point('Brush', '34.9') + point('Ledge', '34.91')))
  await expect(page.getByText('0 added, 0 changed, 2 as they were.')).toBeVisible()
  await bring('points.gpx', gpx(point('Brush', '34.9')).slice(0, -9))
  await expect(page.getByRole('status').getByText(/Line 1/)).toBeVisible()
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: 'All as GeoJSON' }).click()
  const { features } = JSON.parse(await readFile(await (await coming).path(), 'utf8')) as { features: unknown[] }
  expect(features).toHaveLength(3)
  await bring('all.geojson', JSON.stringify({ type: 'FeatureCollection', features }))
  await expect(page.getByText('0 added, 0 changed, 3 as they were.')).toBeVisible()
  await bring('w.csv', 'name,latitude,longitude,usualVisibilityM\nOne,34.9,-84.3,1.2\nTwo,134,-84.3,1.2\n')
  await expect(page.getByText('Line 3, latitude.')).toBeVisible()
  await page.getByRole('button', { name: 'Take the 1 that are right' }).click()
  await expect(page.getByText('1 added, 0 changed, 0 as they were.')).toBeVisible()
})

test('instruments are taken, followed, held, and never write over what was typed', async ({ page }) => {
  await page.setViewportSize(SIZES.desk)
  const tell = await asBoat(page)
  await open(page, POND)
  await page.keyboard.press('c')
  const group = page.locator('section', { hasText: 'Instruments' }).last()
  const typed = page.getByRole('dialog').getByRole('button', { name: /^Water temperature:/ })
  await tell({ temperatureC: 20, depthM: 3, windMps: 7, latitude: 35.2, longitude: -84.6 })
  await expect(group).toContainText('68 °F')
  await expect(group).toContainText('2 s ago')
  await clean(page, '[role=dialog]')
  await page.getByRole('button', { name: /^Take water: 68/ }).click()
  await expect(typed).toHaveAccessibleName(/68 °F/)
  await page.getByRole('button', { name: 'Follow water' }).click()
  await tell({ temperatureC: 24, depthM: 300 })
  await expect(typed).toHaveAccessibleName(/75 °F/)
  await expect(group).toContainText('which cannot be: not taken')
  await expect(page.getByRole('button', { name: /^Take depth/ })).toBeDisabled()
  await typed.click()
  await page.getByRole('textbox', { name: /Water temperature/ }).fill('61')
  await page.keyboard.press('Enter')
  await tell({ temperatureC: 26 })
  await expect(typed).toHaveAccessibleName(/61 °F/)
  await expect(page.getByRole('button', { name: 'Follow water' })).toHaveText('Follow')
  await tell({}, 'away')
  await expect(group).toContainText('Nothing is heard from the boat just now')
  await page.keyboard.press('Escape')
  await page.keyboard.press('r')
  await tell({ gaugeFnu: 12 })
  await page.getByRole('button', { name: /^\+ Light meter, 4 samples/ }).click()
  await page.getByRole('button', { name: '+ Gauge, 12.0 FNU' }).click()
  await expect(page.getByTestId('reading')).toHaveCount(2)
})
