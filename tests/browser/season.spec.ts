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
  await expect(taught).toContainText('bites of 408 came with another rod tried beside it, on 24 trips.')
  await expect(taught).toContainText('By bites an hour gold, orange belly leads')
  await expect(taught).toContainText('No reason to change the weights.')
  await expect(taught.getByRole('listitem').filter({ hasText: 'Fire-bright' })).toContainText('better')
  await expect(taught.getByRole('listitem').filter({ hasText: 'Gold, orange belly' })).toContainText('too few to say')
  await expect(taught.getByRole('rowheader')).toHaveCount(7)
  // Off until it is turned on; then Water leans, says so, and marks what was fished.
  await page.goto('/?lure=jerkbait&vis=1.5&tint=green&temp=16')
  await expect(page.getByTestId('call').first()).toBeVisible()
  await expect(page.getByText('With your log')).toBeHidden()
  await expect(page.getByRole('button', { name: /Your log here: [\d.]+ hours/ }).first()).toBeVisible()
  await page.goto('/log')
  await page
    .getByRole('button', { name: 'Season', exact: true })
    .or(page.getByRole('tab', { name: 'Season' }))
    .click()
  await page.getByRole('checkbox', { name: 'Lean on my log' }).check()
  await page.goto('/?lure=jerkbait&vis=1.5&tint=green&temp=16')
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
