import { type Page, expect } from '@playwright/test'
import axe, { type RunOptions } from 'axe-core'

export const SIZES = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } } as const
export const THEMES = ['noon', 'dusk', 'night'] as const
const LEARNT = ['sky', 'surface', 'disc', 'tint', 'lure', 'fish']

/**
 * Go to a page as a returning angler (no first-visit lines) who has set this before, unless the page has set it since;
 * fails on any error the page reports.
 */
export async function visit(page: Page, path: string, settings: Record<string, string> = {}): Promise<void> {
  page.on('pageerror', e => {
    throw e
  })
  await page.addInitScript(
    s => {
      for (const [k, v] of Object.entries(s)) if (localStorage.getItem(k) === null) localStorage.setItem(k, v)
    },
    { 'piscator.learnt': JSON.stringify(LEARNT), ...settings },
  )
  await page.goto(onOneMorning(path))
}

/** Somebody who was here before: the first minute's questions are not asked. */
export const asReturning = (page: Page) => page.addInitScript(() => localStorage.setItem('piscator.begun', 'true'))

/** A link that names its moment: opened without one it is opened now, and tests would change with the day. */
function onOneMorning(path: string): string {
  const [place, query = ''] = path.split('?')
  return /(^|&)at=/.test(query) ? path : `${place}?${query ? `${query}&` : ''}at=2026-04-11T14:40`
}

/** Open the main screen and wait for its calls. */
export async function open(page: Page, query = '', settings: Record<string, string> = {}): Promise<void> {
  await visit(page, `/${query}`, settings)
  await expect(page.getByTestId('call').first()).toBeVisible()
}

/** Count what is sent to workers from now on, and what cannot be sent to them. */
export async function watchPosts(page: Page): Promise<() => Promise<{ made: number; refused: string[] }>> {
  await page.addInitScript(() => {
    const posts = { made: 0, refused: [] as string[] }
    Object.assign(window, { posts })
    const post = Worker.prototype.postMessage
    Worker.prototype.postMessage = function (...args: unknown[]) {
      posts.made++
      try {
        return post.apply(this, args as Parameters<typeof post>)
      } catch (e) {
        posts.refused.push(String(e))
        throw e
      }
    }
  })
  return () => page.evaluate(() => (window as unknown as { posts: { made: number; refused: string[] } }).posts)
}

export const slider = (page: Page, name: RegExp | string) => page.getByRole('slider', { name })
export const firstCall = (page: Page) => page.getByTestId('call').first()
export const valueOf = async (page: Page, name: RegExp | string) =>
  Number(await slider(page, name).getAttribute('aria-valuenow'))

/** Take a lure out of the drawer. */
export async function takeLure(page: Page, lure: string): Promise<void> {
  await page.getByRole('button', { name: 'All 24' }).click()
  await page.locator(`[data-lure=${lure}]`).click()
}

/** Nothing to press is smaller than a fingertip, 44 px high. */
export async function largeTargets(page: Page): Promise<void> {
  const small = await page
    .locator('button, a, [role=slider], label, summary, input:not(.off):not(label *)')
    .evaluateAll(all =>
      all
        .filter(e => (e as HTMLElement).offsetParent && !e.closest('.off'))
        .map(e => ({ e, box: e.getBoundingClientRect() }))
        .filter(({ box }) => box.height < 43.5 || box.width < 35)
        .map(
          ({ e, box }) => `${e.textContent?.trim().slice(0, 30)} ${Math.round(box.width)}x${Math.round(box.height)}`,
        ),
    )
  expect(small).toEqual([])
}

/** Change to a theme as another tab of the app would: no sheet that is open stands in the way. */
async function wear(page: Page, theme: string): Promise<void> {
  await page.evaluate(newValue => {
    const stored = { key: 'piscator.theme', newValue, storageArea: localStorage }
    localStorage.setItem(stored.key, newValue)
    window.dispatchEvent(new StorageEvent('storage', stored))
  }, theme)
  await expect(page.locator('html')).toHaveAttribute('data-theme', theme)
}

/** No fault that axe finds, of any weight, on the page or within a part of it. */
export async function clean(page: Page, within = 'html', options: RunOptions = {}): Promise<void> {
  if (!(await page.evaluate('!!window.axe'))) await page.evaluate(axe.source)
  const faults = await page.evaluate(
    async ([within, options]) => {
      const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(within, options)
      return violations.map(
        v =>
          `${v.id}: ${v.nodes
            .slice(0, 3)
            .map(n => n.target.join(' '))
            .join(' | ')}`,
      )
    },
    [within, { ...options, resultTypes: ['violations'] }] satisfies [string, RunOptions],
  )
  expect(faults).toEqual([])
}

/** The same, and no word too pale in the themes that are not on. */
export async function cleanInEveryTheme(page: Page, within?: string): Promise<void> {
  await clean(page, within)
  const on = (await page.locator('html').getAttribute('data-theme')) ?? 'noon'
  for (const theme of THEMES.filter(t => t !== on)) {
    await wear(page, theme)
    await clean(page, within, { runOnly: ['color-contrast'] })
  }
  await wear(page, on)
}

/**
 * No two words of the picture or of the named figure in each other's way: their boxes, drawn tight round the letters,
 * keep apart.
 */
export async function nothingOverlaps(page: Page): Promise<void> {
  const meeting = await page
    .locator('[aria-label="The water"], [aria-label="The chosen finish"] figure')
    .evaluateAll(pictures =>
      pictures.flatMap(picture => {
        const found: { words: string; box: DOMRect }[] = []
        const walk = document.createTreeWalker(picture, NodeFilter.SHOW_TEXT)
        while (walk.nextNode()) {
          const node = walk.currentNode
          const range = document.createRange()
          range.selectNodeContents(node)
          if (node.textContent!.trim() && !node.parentElement!.closest('.off, [role=listbox]'))
            for (const box of range.getClientRects()) found.push({ words: node.textContent!.trim(), box })
        }
        // A line box is taller than its letters: a fifth of it, above and below, is air.
        const tight = (b: DOMRect) => ({
          l: b.left,
          r: b.right,
          t: b.top + b.height * 0.2,
          b: b.bottom - b.height * 0.2,
        })
        return found.flatMap((a, i) =>
          found.slice(i + 1).flatMap(b => {
            const [p, q] = [tight(a.box), tight(b.box)]
            return p.l < q.r - 1 && q.l < p.r - 1 && p.t < q.b - 1 && q.t < p.b - 1 ? [`${a.words} / ${b.words}`] : []
          }),
        )
      }),
    )
  expect(meeting).toEqual([])
}

/**
 * No word of the picture over a line or an edge of a drawing: at points across each word's box nothing is stroked, and
 * no shape other than the ground it stands on begins. Words with a ground of their own stand on that.
 */
export async function wordsStandClear(page: Page): Promise<void> {
  const crossed = await page.locator('[aria-label="The water"]').evaluate(picture => {
    const out = new Set<string>()
    const drawn = [...picture.querySelectorAll<SVGGeometryElement>('svg path, svg ellipse, svg circle, svg line')]
      .map(shape => ({ shape, style: getComputedStyle(shape), box: shape.getBoundingClientRect() }))
      .filter(
        ({ shape, style }) =>
          !shape.closest('defs, clipPath') && style.stroke !== 'none' && style.strokeOpacity !== '0',
      )
    const walk = document.createTreeWalker(picture, NodeFilter.SHOW_TEXT)
    while (walk.nextNode()) {
      const node = walk.currentNode
      const words = node.textContent!.trim()
      const parent = node.parentElement!
      if (!words || parent.closest('.off, [role=listbox]')) continue
      const grounded = (e: Element | null): boolean =>
        !!e &&
        e !== picture &&
        (/gradient|rgb\(/.test(getComputedStyle(e).background.replace('rgba(0, 0, 0, 0)', '')) ||
          (e.tagName !== 'svg' && grounded(e.parentElement)))
      if (parent.tagName !== 'text' && grounded(parent)) continue
      const range = document.createRange()
      range.selectNodeContents(node)
      for (const b of range.getClientRects())
        for (const { shape, box } of drawn) {
          if (
            shape.closest('button, [role=slider]') === parent.closest('button, [role=slider]') &&
            shape.closest('button, [role=slider]')
          )
            continue
          if (box.right < b.left || box.left > b.right || box.bottom < b.top || box.top > b.bottom) continue
          const at = shape.getScreenCTM()!.inverse()
          const hit = Array.from({ length: 60 }, (_, i) => [(i % 12) / 11, Math.floor(i / 12) / 4] as const).some(
            ([u, v]) => {
              const p = new DOMPoint(b.left + u * b.width, b.top + b.height * (0.25 + 0.5 * v)).matrixTransform(at)
              return shape.isPointInStroke(p)
            },
          )
          if (hit) out.add(`${words} / ${shape.getAttribute('d')?.slice(0, 30) ?? shape.tagName}`)
        }
    }
    return [...out]
  })
  expect(crossed).toEqual([])
}

/** Nothing wider than the window, and no label cut off by its own box. */
export async function nothingClipped(page: Page): Promise<void> {
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0)
  const cut = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('button, label, h1, h2, h3, p, li, dt, dd')]
      .filter(
        e =>
          e.offsetParent &&
          getComputedStyle(e).overflowX === 'visible' &&
          !e.closest('.off') &&
          !e.classList.contains('off') &&
          !e.querySelector('svg, .off, ul'),
      )
      .filter(e => e.scrollWidth > e.clientWidth + 2 && e.clientWidth > 0 && getComputedStyle(e).display !== 'inline')
      .map(e => `${e.tagName} ${e.textContent?.trim().slice(0, 40)}`),
  )
  expect(cut).toEqual([])
  // Words cut short by lines end in an ellipsis; a single word broader than its column would just lose its end.
  const halved = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('[class*=line-clamp]')]
      .filter(e => e.clientWidth > 0 && e.scrollWidth > e.clientWidth + 1)
      .map(e => e.textContent?.trim()),
  )
  expect(halved).toEqual([])
  // The reason of a row is whole: it ends above the row's line.
  const over = await page.getByTestId('call').evaluateAll(rows =>
    rows
      .map(r => ['[data-whole]', '.ranges'].map(q => r.querySelector(q)!))
      .filter(([reason, line]) => reason!.getBoundingClientRect().bottom > line!.getBoundingClientRect().top + 4)
      .map(([reason]) => reason!.textContent?.trim()),
  )
  expect(over).toEqual([])
}

/** Clean in every theme, with nothing cut off and nothing too small to press. */
export async function inGoodOrder(page: Page, within?: string): Promise<void> {
  await cleanInEveryTheme(page, within)
  await nothingClipped(page)
  await largeTargets(page)
}
