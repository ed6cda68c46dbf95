import { expect, test } from '@playwright/test'
import { madeUpLog } from '../season/madeUpLog'
import { cleanInEveryTheme } from './screen'

test('what the log has taught is said of a made-up season, and is not fooled by it', async ({ page }) => {
  await page.goto('/log')
  await page
    .getByRole('button', { name: 'Season', exact: true })
    .or(page.getByRole('tab', { name: 'Season' }))
    .click()
  const taught = page.getByRole('region', { name: 'What the log has taught' })
  await expect(taught).toContainText('Nothing yet.')
  const file = { name: 'log.json', mimeType: 'application/json', buffer: Buffer.from(madeUpLog()) }
  await page.locator('input[type=file]').setInputFiles(file)
  await page.getByRole('button', { name: 'Take them in' }).click()
  await expect(taught).toContainText('bites of 408 came with another rod tried beside it, on 24 trips.')
  await expect(taught).toContainText('By bites an hour gold, orange belly leads')
  await expect(taught).toContainText('No reason to change the weights.')
  await expect(taught.getByRole('listitem').filter({ hasText: /Fire-bright.* bites/ })).toContainText('better')
  // The list of Water's first five names it as well.
  const trap = taught.getByRole('listitem').filter({ hasText: /Gold, orange belly.* bites/ })
  await expect(trap).toContainText('too few to say')
  await expect(taught.getByRole('rowheader')).toHaveCount(7)
  // Off until it is turned on; then Water leans, says so, and marks what was fished.
  await page.goto('/?lure=jerkbait&vis=1.5&tint=green&temp=16&at=2026-04-11T14:40')
  await expect(page.getByTestId('call').first()).toBeVisible()
  await expect(page.getByText('With your log')).toBeHidden()
  await expect(page.getByRole('button', { name: /Your log here: [\d.]+ hours/ }).first()).toBeVisible()
  await page.goto('/log')
  await page
    .getByRole('button', { name: 'Season', exact: true })
    .or(page.getByRole('tab', { name: 'Season' }))
    .click()
  await page.getByRole('checkbox', { name: 'Lean on my log' }).check()
  await page.goto('/?lure=jerkbait&vis=1.5&tint=green&temp=16&at=2026-04-11T14:40')
  await expect(page.getByText(/With your log, let in \d+ % of the way/)).toBeVisible()
  await page.goto('/log')
  await page
    .getByRole('button', { name: 'Season', exact: true })
    .or(page.getByRole('tab', { name: 'Season' }))
    .click()
  await expect(taught.getByRole('rowheader')).toHaveCount(7)
  await page.setViewportSize({ width: 390, height: 844 })
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
  expect(wide).toBeLessThanOrEqual(0)
  await cleanInEveryTheme(page)
})

test('a made-up angler’s things can be looked through, are never sent, and are taken away in one tap', async ({
  page,
}) => {
  const sent: string[] = []
  page.on('request', r => {
    if (r.method() !== 'GET' && /sync|calls/.test(r.url())) sent.push(r.postData() ?? '')
  })
  await page.goto('/log')
  const season = page.getByRole('button', { name: 'Season', exact: true })
  await season.click()
  await page.getByRole('button', { name: 'Look through a made-up angler’s things' }).click()
  const taught = page.getByRole('region', { name: 'What the log has taught' })
  await expect(taught).toContainText('By bites an hour gold, orange belly leads', { timeout: 30_000 })
  await expect(taught.getByRole('listitem').filter({ hasText: /Fire-bright.* bites/ })).toContainText('better')
  await expect(taught.getByRole('listitem').filter({ hasText: 'The bar' })).toContainText('better')
  // Its fair test is read as any kept one is.
  await page.getByRole('button', { name: /a test of two/ }).click()
  await expect(page.getByText(/looking early did not fool you/)).toBeVisible()
  await page.reload()
  await expect(page.getByText('Made up', { exact: true }).first()).toBeVisible()
  await expect(page.getByRole('button', { name: /^Begin(?! the)/ })).toBeDisabled()
  await page.getByRole('link', { name: 'Box' }).first().click()
  await expect(page.getByText('The box is empty.')).toBeHidden()
  await expect(page.getByText('Made up', { exact: true }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Take it away' }).click()
  await expect(page.getByText('The box is empty.')).toBeVisible()
  await page.reload()
  await expect(page.getByText('The box is empty.')).toBeVisible()
  expect(sent.join()).not.toContain('Made up')
  expect(sent.join()).not.toContain('Boat')
})
