import { expect, test } from '@playwright/test'

test('where the browser refuses to store, the app says so and works', async ({ page }) => {
  const errors: string[] = []
  page.on('pageerror', e => errors.push(e.message))
  await page.addInitScript(() => {
    for (const name of ['localStorage', 'sessionStorage', 'indexedDB'])
      Object.defineProperty(window, name, {
        get() {
          throw new DOMException('refused', 'SecurityError')
        },
      })
  })
  await page.goto('/?vis=1.2&tint=green&lure=jerkbait&temp=16&at=2026-04-11T14:40')
  await expect(page.getByTestId('call').first()).toBeVisible()
  await page.getByRole('link', { name: 'Log' }).first().click()
  await page.getByRole('button', { name: /^Begin(?! the)/ }).click()
  await page.getByRole('button', { name: /^Bite \d/ }).click()
  await expect(page.getByRole('button', { name: /^Bite \d/ })).toHaveText(/1/)
  await expect(page.getByText('This browser keeps nothing').first()).toBeVisible()
  expect(errors).toEqual([])
})
