import { expect, test } from '@playwright/test'
import type { SyncEvent } from '../../shared/schema/sync'

test.use({ serviceWorkers: 'block' })

test('a change that the server would not take is shown, survives a reload, and is taken once it is mended', async ({
  page,
}) => {
  let refuses = true
  await page.route('**/api/v1/sync', async route => {
    const { events } = route.request().postDataJSON() as { events: SyncEvent[] }
    if (!refuses || !events.length) return route.continue()
    const errors = [{ path: 'body.name', code: 'text', message: 'The name cannot be kept.' }]
    await route.fulfill({
      json: {
        angler: '0123456789abcdef',
        name: null,
        accepted: [],
        refused: events.map(({ id }, index) => ({ index, id, errors })),
        events: [],
        cursor: '0',
        more: false,
      },
    })
  })
  await page.goto('/box')
  await page.getByRole('button', { name: 'Add a lure' }).first().click()
  const bone = page.getByRole('list', { name: 'Catalogue' }).getByRole('button', { name: 'Bone', exact: true })
  await bone.click()
  await page.getByRole('button', { name: 'Add it', exact: true }).click()
  const banner = page.getByTestId('not-taken')
  await expect(banner).toContainText('One change was not taken: The name cannot be kept. It is still on this device.')
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await page.reload()
  await expect(banner).toBeVisible()
  await banner.getByRole('button', { name: 'Look at them' }).click()
  await expect(banner.getByRole('link', { name: 'Correct it in Box' })).toBeVisible()
  await expect(banner.getByRole('link', { name: 'Save as a file' })).toHaveAttribute('download', 'not-taken.json')
  await page.screenshot({ path: test.info().outputPath('not-taken.png') })
  refuses = false
  await page.reload()
  await expect(page.getByText('Bone').first()).toBeVisible()
  await expect(banner).toBeHidden()
})
