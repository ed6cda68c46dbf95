import { chromium } from '@playwright/test'
import { finishesOf } from '#core/lure/finish'
import { LURE_IDS } from '#core/lure/types'
import { CHROMIUM, CHROMIUM_ARGS } from '../chromium'
import { startServer } from '../server'
import { table } from './timing'

const LURES = 1000
const SECONDS = 3
const SCREENS = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } } as const
/** A fast wheel: so many px at a time, again as soon as the page has taken it. */
const WHEEL_PX = 120

/** A box of so many lures, of every type and finish in turn, as the box's own file. */
function boxFile(): string {
  const finishes = LURE_IDS.flatMap(finishesOf)
  const rows = Array.from({ length: LURES }, (_, i) => `${finishes[i % finishes.length]!.id},Lure ${i}`)
  return ['finish,name', ...rows].join('\n')
}

/** A thousand owned lures scrolled by a fast wheel, with no slow-down: how many frames come, and how far apart. */
export async function benchBox(): Promise<void> {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  const server = await startServer()
  const rows: (string | number)[][] = []
  try {
    for (const [name, viewport] of Object.entries(SCREENS)) {
      const page = await browser.newPage({ viewport })
      await page.goto(`${server.url}/box`)
      await page.getByRole('button', { name: 'Files' }).first().click()
      const file = { name: 'box.csv', mimeType: 'text/csv', buffer: Buffer.from(boxFile()) }
      await page.locator('input[type=file]').setInputFiles(file)
      await page.getByText(`${LURES} added`).waitFor()
      await page.getByRole('button', { name: 'Close' }).click()
      const tray = page.getByRole('region', { name: 'The tray' })
      await tray.waitFor()
      // All are looked at in today's water and their pictures drawn in idle time; then nothing else is under way.
      await page.waitForTimeout(20_000)
      await tray.hover()
      const gaps = page.evaluate(
        ms =>
          new Promise<number[]>(resolve => {
            const out: number[] = []
            let last = performance.now()
            const end = last + ms
            const tick = (now: number) => {
              out.push(now - last)
              last = now
              if (now < end) requestAnimationFrame(tick)
              else resolve(out.slice(1))
            }
            requestAnimationFrame(tick)
          }),
        SECONDS * 1000,
      )
      const end = Date.now() + SECONDS * 1000
      while (Date.now() < end) await page.mouse.wheel(0, WHEEL_PX)
      const ms = (await gaps).sort((a, b) => a - b)
      rows.push([name, ms.length, ms[Math.floor(ms.length / 2)]!, ms[Math.floor(0.95 * ms.length)]!, ms.at(-1)!])
      await page.close()
    }
    table(
      `A box of ${LURES} lures under a fast wheel for ${SECONDS} s (target: ${60 * SECONDS} frames)`,
      ['screen', 'frames', 'median ms apart', '95th', 'worst'],
      rows,
    )
  } finally {
    await browser.close()
    await server.kill()
  }
}
