import { type BrowserContext, type Page, expect, test } from '@playwright/test'
import { SIZES, asReturning, clean, cleanInEveryTheme, visit } from './screen'

/** By its name: a passkey belongs to one. */
const BASE = (process.env.PISCATOR_URL ?? 'http://127.0.0.1:3000').replace('127.0.0.1', 'localhost')
let made = 0
const newName = () => `Wren ${Date.now().toString(36)}${made++}`

/** An authenticator of the browser's own, whose owner is always there. */
async function withAuthenticator(page: Page) {
  const client = await page.context().newCDPSession(page)
  await client.send('WebAuthn.enable')
  const { authenticatorId } = await client.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  })
  return { client, authenticatorId }
}

async function yours(context: BrowserContext, path = '/yours'): Promise<Page> {
  const page = await context.newPage()
  await asReturning(page)
  await page.goto(`${BASE}${path}`)
  await expect(page.getByRole('heading', { name: 'Yours' })).toBeVisible()
  return page
}
const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name })

test('a passkey is made, signs a second device in, is lost and let go', async ({ browser }) => {
  const name = newName()
  const first = await browser.newContext({ viewport: SIZES.desk })
  const page = await yours(first)
  await expect(heading(page, /^Kept on this computer only/)).toBeVisible()
  const { client, authenticatorId } = await withAuthenticator(page)
  await page.getByRole('button', { name: 'Make a passkey' }).click()
  await page.getByLabel(/A name your crew/).fill(name)
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(heading(page, name)).toBeVisible()
  // What is kept from now on is the account's, on whichever device.
  const second = await browser.newContext({ viewport: SIZES.phone })
  const other = await yours(second)
  const there = await withAuthenticator(other)
  const { credentials } = await client.send('WebAuthn.getCredentials', { authenticatorId })
  await there.client.send('WebAuthn.addCredential', {
    authenticatorId: there.authenticatorId,
    credential: credentials[0]!,
  })
  await other.getByRole('button', { name: 'I have one' }).click()
  await other.getByRole('button', { name: 'Sign in with a passkey' }).click()
  await expect(heading(other, name)).toBeVisible()
  await expect(other.getByRole('button', { name: /^A computer/ })).toBeVisible()
  // The first is lost: let go from the second, it is nobody's at once.
  await other.getByRole('button', { name: /^A computer/ }).click()
  await other.getByRole('button', { name: 'Let it go' }).click()
  await expect(other.getByRole('button', { name: /^A computer/ })).toHaveCount(0)
  await page.reload()
  await expect(heading(page, /^Kept on this computer only/)).toBeVisible()
  // A passkey that is nobody's any more says so.
  await other.getByText('Other ways in, name and password').click()
  await other.getByRole('button', { name: 'Take it away', exact: true }).click()
  await expect(other.getByRole('status').filter({ hasText: 'Nothing else would be left' })).toBeVisible()
  await other.getByRole('button', { name: /^A code on paper/ }).click()
  const code = await other.getByTestId('paper-code').textContent()
  await other.getByRole('button', { name: 'Take it away', exact: true }).first().click()
  await expect(other.getByText('A passkey made on')).toHaveCount(0)
  await page.getByRole('button', { name: 'I have one' }).click()
  await page.getByLabel('A code on paper').fill(code!)
  await page.getByRole('button', { name: 'Sign in with a code' }).click()
  await expect(heading(page, name)).toBeVisible()
  await first.close()
  await second.close()
})

/** A device with an account, by name and password. */
async function member(context: BrowserContext, name: string) {
  const page = await yours(context)
  await page.getByRole('button', { name: 'Name, password' }).click()
  await page.getByLabel(/A name your crew/).fill(name)
  await page.getByLabel(/^A password of/).fill('four slow carp under ice')
  await page.getByRole('button', { name: 'Keep everything under this name' }).click()
  await expect(heading(page, name)).toBeVisible()
  return page
}

/** A lure in the box, brought in from a file. */
async function addLure(page: Page) {
  await page.getByRole('link', { name: 'Box', exact: true }).click()
  await page.getByRole('button', { name: 'Files' }).first().click()
  const csv = { name: 'box.csv', mimeType: 'text/csv', buffer: Buffer.from('finish\njerkbait.bone\n') }
  await page.locator('input[type=file]').setInputFiles(csv)
  await page.getByRole('button', { name: 'Take them in' }).click()
  await expect(page.getByText('1 added')).toBeVisible()
}

test('two of one crew see of each other what each shows, and nothing once they part', async ({ browser }) => {
  const [wren, odile] = [newName(), newName()]
  const first = await browser.newContext({ viewport: SIZES.desk })
  const second = await browser.newContext({ viewport: SIZES.desk })
  const page = await member(first, wren)
  await page.getByRole('button', { name: 'Ask someone along' }).click()
  const link = (await page.getByTestId('invitation').textContent())!
  const other = await member(second, odile)
  await other.goto(link)
  await expect(heading(other, `${wren} asks you along`)).toBeVisible()
  await other.getByRole('button', { name: 'Go along' }).click()
  await expect(other.getByRole('button', { name: `What ${wren} shows you: days` })).toBeVisible()
  // Good once.
  const third = await browser.newContext()
  const late = await yours(third, new URL(link).pathname + new URL(link).hash)
  await expect(late.getByText('was used, taken back or has run out')).toBeVisible()
  await page.reload()
  const slider = page.getByRole('slider', { name: `What ${odile} may see` })
  await expect(slider).toHaveAttribute('aria-valuetext', 'days')
  await slider.focus()
  await page.keyboard.press('ArrowRight')
  await expect(slider).toHaveAttribute('aria-valuetext', 'lures')
  await other.reload()
  await expect(other.getByRole('button', { name: `What ${wren} shows you: lures` })).toBeVisible()
  await other.getByRole('button', { name: `Part with ${wren}` }).click()
  await expect(other.getByText('Nobody yet')).toBeVisible()
  await page.reload()
  await expect(page.getByText('Nobody yet')).toBeVisible()
  for (const c of [first, second, third]) await c.close()
})

test('a friend aboard with a phone of their own taps into the same trip, and it stands in both logs', async ({
  browser,
}) => {
  const [maren, jo] = [newName(), newName()]
  const first = await browser.newContext({ viewport: SIZES.desk })
  const second = await browser.newContext({ viewport: SIZES.phone })
  const page = await member(first, maren)
  await page.getByRole('button', { name: 'Ask someone along' }).click()
  const link = (await page.getByTestId('invitation').textContent())!
  const other = await member(second, jo)
  await other.goto(link)
  await other.getByRole('button', { name: 'Go along' }).click()
  await expect(other.getByRole('button', { name: `What ${maren} shows you: days` })).toBeVisible()
  await page.getByRole('link', { name: 'Log', exact: true }).click()
  await page.getByRole('button', { name: /^Begin(?! the)/ }).click({ timeout: 30_000 })
  const bite = (p: Page) => p.getByRole('button', { name: /^Bite \d/ })
  await bite(page).click()
  await page.getByRole('button', { name: jo }).click()
  await expect(page.getByRole('button', { name: jo })).toHaveAttribute('aria-pressed', 'true')
  await cleanInEveryTheme(page)
  await other.getByRole('link', { name: 'Log', exact: true }).click()
  // Nobody reloads anything: what one writes the other hears.
  await expect(bite(other)).toHaveText(/1/)
  await bite(other).click()
  await expect(bite(other)).toHaveText(/2/)
  await expect(other.getByText('Every tap is on this device and sent.')).toBeVisible()
  await expect(bite(page)).toHaveText(/2/)
  await first.close()
  await second.close()
})

test('a call is shared by a link that needs no script, and is taken back', async ({ browser, page }) => {
  await visit(page, '/?lure=jerkbait&vis=1.2&tint=green&temp=14.5&lat=34.87&lon=-84.3')
  await page.getByRole('button', { name: 'Share this call' }).click()
  const link = page.getByTestId('shared-link')
  await expect(link).toBeVisible({ timeout: 20_000 })
  const url = (await link.getAttribute('href'))!
  const reader = await browser.newContext({ viewport: SIZES.phone, javaScriptEnabled: false })
  const there = await reader.newPage()
  const answer = (await there.goto(url))!
  expect(answer.headers()).toMatchObject({ 'cache-control': 'no-store', 'x-robots-tag': 'noindex, nofollow' })
  const text = await answer.text()
  // Nothing of where or when it was: neither the place nor a clock.
  for (const word of ['34.8', '84.3', 'T14:', 'latitude', '<script']) expect(text).not.toContain(word)
  await expect(there.getByRole('link', { name: 'Open it in Piscator with this water' })).toHaveAttribute(
    'href',
    /vis=1\.2.*tint=green/,
  )
  const picture = await reader.request.get(`${url}/preview.png`)
  expect([picture.status(), picture.headers()['content-type']]).toEqual([200, 'image/png'])
  await page.goto('/yours')
  await expect(page.getByText('opened 1 time')).toBeVisible()
  await page.getByRole('button', { name: /^Take back/ }).click()
  await expect(page.getByText('the link shows nothing any more')).toBeVisible()
  expect((await there.goto(url))!.status()).toBe(404)
  await expect(there.getByRole('heading', { name: 'This was taken back.' })).toBeVisible()
  await reader.close()
})

test('everything goes out in a file, is taken away, brought back, taken away again, comes in again', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: SIZES.desk })
  const page = await member(context, newName())
  await addLure(page)
  await page.getByRole('link', { name: 'Yours' }).click()
  await expect(page.getByText(/, 1 lure$/)).toBeVisible()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the file' }).click(),
  ])
  const path = (await file.path())!
  const hold = page.getByRole('button', { name: /take it away/ })
  await hold.focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await expect(heading(page, 'Everything is taken away')).toBeVisible()
  await expect(page.getByText(/, 0 lures$/)).toBeVisible()
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(page.getByText(/, 1 lure$/)).toBeVisible()
  await expect(heading(page, 'Everything is taken away')).toHaveCount(0)
  // Held, as a finger does.
  await hold.hover()
  await page.mouse.down()
  await expect(heading(page, 'Everything is taken away')).toBeVisible()
  await page.mouse.up()
  await page.reload()
  await expect(page.getByText(/, 0 lures$/)).toBeVisible()
  for (const said of ['1 added, 0 were here', '0 added, 1 were here']) {
    await page.locator('input[type=file]').setInputFiles(path)
    await expect(page.getByText(said)).toBeVisible()
  }
  await expect(page.getByText(/, 1 lure$/)).toBeVisible()
  await context.close()
})

test('signed out, a device holds nothing of the account, and the next one on it sees nothing', async ({ browser }) => {
  const context = await browser.newContext({ viewport: SIZES.desk })
  const name = newName()
  const page = await member(context, name)
  await addLure(page)
  await page.getByRole('link', { name: 'Yours' }).click()
  await expect(page.getByText(/, 1 lure$/)).toBeVisible()
  await page.getByRole('button', { name: 'Sign out here' }).click()
  await expect(heading(page, /^Kept on this computer only/)).toBeVisible()
  await expect(page.getByText(/, 0 lures$/)).toBeVisible()
  const left = await page.evaluate(async () => {
    const databases = await indexedDB.databases()
    const events: unknown[] = []
    for (const { name } of databases) {
      const db = await new Promise<IDBDatabase>(resolve => {
        const open = indexedDB.open(name!)
        open.onsuccess = () => resolve(open.result)
      })
      if (!db.objectStoreNames.contains('events')) continue
      const all = db.transaction('events').objectStore('events').getAll()
      events.push(...(await new Promise<unknown[]>(resolve => (all.onsuccess = () => resolve(all.result)))))
    }
    const cached: string[] = []
    for (const key of await caches.keys())
      for (const request of await (await caches.open(key)).keys())
        if (/\/api\/|\/s\//.test(request.url)) cached.push(request.url)
    return { events, cached, stored: Object.keys(localStorage).filter(k => /ahead|scene|day/.test(k)) }
  })
  expect(left).toMatchObject({ events: [], cached: [] })
  await page.getByRole('button', { name: 'I have one' }).click()
  await page.getByLabel('Name', { exact: true }).fill(name)
  await page.getByLabel('Password', { exact: true }).fill('four slow carp under ice')
  await page.getByRole('button', { name: 'Sign in with a password' }).click()
  await expect(page.getByText(/, 1 lure$/)).toBeVisible()
  await context.close()
})

for (const size of ['desk', 'phone'] as const) {
  test(`yours is clean in every theme on a ${size}, signed out and in`, async ({ page, browser }) => {
    await page.setViewportSize(SIZES[size])
    await visit(page, '/yours')
    await page.getByRole('button', { name: 'Name, password' }).click()
    await cleanInEveryTheme(page)
    const context = await browser.newContext({ viewport: SIZES[size] })
    const mine = await member(context, newName())
    await mine.getByText('Other ways in, name and password').click()
    await mine.getByRole('button', { name: 'Ask someone along' }).click()
    await expect(mine.getByTestId('invitation')).toBeVisible()
    await cleanInEveryTheme(mine)
    await context.close()
  })
}

test('what a link shows is clean by day and by night, at both sizes', async ({ browser, page }) => {
  await visit(page, '/')
  const asked = {
    lure: 'jerkbait',
    units: 'us',
    water: { visibilityM: 1.2, tint: 'green', temperatureC: 14.5, depthM: 3 },
    light: { sky: 'partly', cloud: 0.4, at: { time: '2026-05-10T14:40:00Z', latitude: 34.87, longitude: -84.3 } },
  }
  const day = {
    date: '2026-05-10',
    place: { latitude: 34.87, longitude: -84.3, utcOffsetMin: -240 },
    from: '06:00',
    to: '12:00',
    water: asked.water,
    hours: [
      { at: '06:00', cloud: 0.2 },
      { at: '09:00', cloud: 0.9, lightning: true },
    ],
    lures: [{ lure: 'jerkbait' }, { lure: 'popper' }],
  }
  const blocks = [{ a: { casts: 10, bites: 2 }, b: { casts: 10, bites: 1 } }]
  const links: string[] = []
  for (const data of [
    { kind: 'call', asked, finishId: 'jerkbait.bone' },
    { kind: 'plan', asked: { ...day, water: { visibilityM: 1.2, tint: 'green' } } },
    { kind: 'verdict', finishIds: ['jerkbait.bone', 'jerkbait.white'], blocks },
  ]) {
    const made = await page.request.post('/api/v1/shares', { data })
    links.push(`/s/${((await made.json()) as { id: string }).id}`)
  }
  for (const size of ['desk', 'phone'] as const) {
    for (const colorScheme of ['light', 'dark'] as const) {
      // What looks for faults is a script, which the page itself lets in no more than any other.
      const context = await browser.newContext({ viewport: SIZES[size], colorScheme, bypassCSP: true })
      const there = await context.newPage()
      for (const link of [...links, '/s/AAAAAAAAAAAAAAAAAAAAAA']) {
        await there.goto(link)
        await clean(there)
        const wide = await there.evaluate(() => document.documentElement.scrollWidth - innerWidth)
        expect([link, wide]).toEqual([link, 0])
      }
      await context.close()
    }
  }
})
