import { type Locator, type Page, expect } from '@playwright/test'

/** One way of working the screen, and nothing but it. */
export interface Hand {
  /** Press a button. */
  press: (target: Locator) => Promise<void>
  /** Choose one of a group of radios. */
  pick: (radio: Locator) => Promise<void>
  /** Choose from a list that a button opens. */
  choose: (button: Locator, option: RegExp) => Promise<void>
  /** Move a handle of the picture: by so many px, or by these keys. */
  pull: (handle: Locator, by: { dx?: number; dy?: number; keys: string[] }) => Promise<void>
}
/** A finger that has lain still for so long, ms, lifts without a fling, however late its moves came through. */
const REST_MS = 150
export const HANDS = ['mouse', 'touch', 'keyboard'] as const
/** Where nothing is pulled: whatever has no hand of its own in these tests is pressed by a mouse. */
export const PRESSING = ['touch', 'keyboard'] as const

const middle = async (target: Locator) => {
  const b = (await target.boundingBox())!
  return { x: b.x + b.width / 2, y: b.y + b.height / 2 }
}
const optionOf = (page: Page, name: RegExp) => page.getByRole('option', { name })
const labelOf = (page: Page, radio: Locator) => page.locator('label').filter({ has: radio })

/** A hand that presses what it sees, in whichever way. */
function pointing(page: Page, press: Hand['press'], pull: Hand['pull']): Hand {
  return {
    press,
    pull,
    pick: r => press(labelOf(page, r)),
    async choose(button, option) {
      await press(button)
      await press(optionOf(page, option))
    },
  }
}

const mouse = (page: Page): Hand =>
  pointing(
    page,
    t => t.click(),
    async (handle, { dx = 0, dy = 0 }) => {
      const { x, y } = await middle(handle)
      await page.mouse.move(x, y)
      await page.mouse.down()
      await page.mouse.move(x + dx, y + dy, { steps: 6 })
      await page.mouse.up()
    },
  )

async function touch(page: Page): Promise<Hand> {
  const client = await page.context().newCDPSession(page)
  return pointing(
    page,
    t => t.tap(),
    async (handle, { dx = 0, dy = 0 }) => {
      const { x, y } = await middle(handle)
      const finger = (k: number) => [{ x: x + dx * k, y: y + dy * k }]
      await client.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: finger(0) })
      // The finger comes to rest before it lifts, as one that sets a reading does; lifted on the move it would fling,
      // and the next tap only stop that.
      for (const k of [0.25, 0.6, 0.9, 1, 1, 1])
        await client.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: finger(k) })
      await page.waitForTimeout(REST_MS)
      await client.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: finger(1) })
      await client.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
    },
  )
}

/** Tab until the focus is where it is wanted: everything has to be reachable. */
async function tabTo(
  page: Page,
  target: Locator,
  near: (e: Element) => boolean = e => e === document.activeElement,
): Promise<void> {
  const wanted = (await target.elementHandle())!
  for (let i = 0; i < 150; i++) {
    if (await wanted.evaluate(near)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`Tab never comes to ${String(target)}`)
}

function keyboard(page: Page): Hand {
  return {
    async press(t) {
      await tabTo(page, t)
      await page.keyboard.press('Enter')
    },
    async pick(r) {
      await tabTo(
        page,
        r,
        e => (document.activeElement as HTMLInputElement | null)?.name === (e as HTMLInputElement).name,
      )
      for (let i = 0; i < 30 && !(await r.isChecked()); i++) await page.keyboard.press('ArrowRight')
      await expect(r).toBeChecked()
    },
    async choose(button, option) {
      await tabTo(page, button)
      await page.keyboard.press('Enter')
      await expect(page.getByRole('listbox')).toBeVisible()
      const wanted = await optionOf(page, option).getAttribute('id')
      for (let i = 0; i < 30 && (await page.getByRole('listbox').getAttribute('aria-activedescendant')) !== wanted; i++)
        await page.keyboard.press(i ? 'ArrowDown' : 'Home')
      await page.keyboard.press('Enter')
    },
    async pull(handle, { keys }) {
      await tabTo(page, handle)
      for (const key of keys) await page.keyboard.press(key)
    },
  }
}

export async function handOf(name: (typeof HANDS)[number], page: Page): Promise<Hand> {
  return name === 'mouse' ? mouse(page) : name === 'touch' ? touch(page) : keyboard(page)
}
