import { type Component, createSSRApp, h } from 'vue'
import { renderToString } from 'vue/server-renderer'
import { ENGINE_VERSION } from '#core/ranking/version'
import type { Shared, SharedCall } from '#shared/share'
import { READING } from '~/reading/fields'
import SharedBox from './SharedBox.vue'
import SharedCallPage from './SharedCall.vue'
import SharedFigure from './SharedFigure.vue'
import SharedPlan from './SharedPlan.vue'
import SharedVerdict from './SharedVerdict.vue'
import { seenFigure } from './seenFigure'
import style from './style.css?inline'

/** What a page shows, and of whom. */
export interface PageAsk {
  shared: Shared
  title: string
  engine: string
  by: string | null
}

/** The one style of every page, to be written into it. */
export const STYLE: string = style

/** A component as text; what it names by ids is told apart by `id` from the others of a page. */
function text(component: Component, props: object, id = 'v'): Promise<string> {
  const app = createSSRApp({ render: () => h(component, props) })
  app.config.idPrefix = id
  return renderToString(app)
}

/** A drawing that stands alone is XML, which tells large letters from small. */
const alone = (svg: string) => svg.replaceAll('viewbox=', 'viewBox=')

/** A figure of a set breadth, to stand inside another drawing. */
const sized = (svg: string, width: number) =>
  svg.replace('<svg', `<svg overflow="visible" width="${width}" height="${Math.round((width * 104) / 240)}"`)

async function bodyOf({ shared }: PageAsk): Promise<string> {
  switch (shared.kind) {
    case 'call': {
      const [inWater, ...looks] = await Promise.all(
        [shared.inWater, ...shared.looks].map((look, i) => seenFigure(shared.lure, look, `look${i}`)),
      )
      return text(SharedCallPage, { call: shared, inWater: sized(inWater!, 96), looks })
    }
    case 'plan':
      return text(SharedPlan, { plan: shared })
    case 'box':
      return text(SharedBox, { box: shared })
    case 'verdict':
      return text(SharedVerdict, { test: shared })
  }
}

const escaped = (words: string) => words.replaceAll(/[&<>"']/g, c => `&#${c.charCodeAt(0)};`)

/** The way into Water with the water that was asked about; the front door where none was. */
function wayIn(shared: Shared): string {
  if (shared.kind !== 'call' && shared.kind !== 'plan') return '/'
  const { species, water } = shared.asked
  const { visibilityM, tint, temperatureC } = water
  const lure = shared.kind === 'call' ? shared.lure : shared.asked.lures[0]?.lure
  const told: [string, string | number | undefined][] = [
    [READING.visibilityM.key, visibilityM],
    [READING.tint.key, tint],
    [READING.temperatureC.key, temperatureC],
    [READING.species.key, species],
    [READING.lure.key, lure],
  ]
  const query = new URLSearchParams(told.flatMap(([k, v]) => (v === undefined ? [] : [[k, String(v)]])))
  return `/?${query}`
}

/** As style.css names them; asked for with the page, not after it. */
const FONTS = ['archivo-latin-wght-normal', 'atkinson-hyperlegible-next-latin-wght-normal'] as const

const page = (title: string, head: string, main: string) => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex, nofollow">
<meta name="referrer" content="no-referrer">
<title>${escaped(title)}</title>
<link rel="icon" type="image/svg+xml" href="/icon.svg">
${FONTS.map(f => `<link rel="preload" as="font" type="font/woff2" href="/fonts/${f}.woff2" crossorigin>`).join('\n')}
${head}
<style>${STYLE}</style>
</head>
<body><main>${main}</main></body>
</html>
`

/**
 * A page that shows one thing to whoever has its address; it needs no script.
 * @param url where it stands, whole, for those who show a picture of it
 */
export async function sharedPage(ask: PageAsk, url: string): Promise<string> {
  const words = descriptionOf(ask.shared)
  const meta = [
    ['og:type', 'article'],
    ['og:title', ask.title],
    ['og:description', words],
    ['og:url', url],
    ['og:image', `${url}/preview.png`],
    ['og:image:width', '1200'],
    ['og:image:height', '630'],
  ]
  const head = [
    `<meta name="description" content="${escaped(words)}">`,
    ...meta.map(([k, v]) => `<meta property="${k}" content="${escaped(v!)}">`),
    '<meta name="twitter:card" content="summary_large_image">',
  ].join('\n')
  const engine = `Worked out by an older engine, ${escaped(ask.engine)}; asked anew it may answer otherwise.`
  const old = ask.engine === ENGINE_VERSION ? '' : `<p class="part quiet">${engine}</p>`
  const by = ask.by ? `Shared by ${escaped(ask.by)}. ` : ''
  const main = [
    `<header><h1>Piscator</h1><span>${escaped(ask.title.replace(/^A/, 'a'))}</span></header>`,
    await bodyOf(ask),
    old,
    `<a class="action" href="${escaped(wayIn(ask.shared))}">Open it in Piscator${
      wayIn(ask.shared) === '/' ? '' : ' with this water'
    }</a>`,
    `<footer>${by}No place, no sign-in, nothing stored.</footer>`,
  ].join('\n')
  return page(`${ask.title} | Piscator`, head, main)
}

/** What stands where a link shows nothing any more. */
export const gonePage = (): string =>
  page(
    'Taken back | Piscator',
    '',
    '<header><h1>Piscator</h1></header><section class="part"><h2>This was taken back.</h2>' +
      '<p>The link shows nothing any more: it was taken back, or it has run out.</p></section>' +
      '<a class="action" href="/">Open Piscator</a>',
  )

function descriptionOf(shared: Shared): string {
  switch (shared.kind) {
    case 'call':
      return `${shared.finish.name}. ${shared.reasons[0] ?? ''}`.trim()
    case 'plan':
      return `Pack: ${shared.pack.map(p => p.name).join(', ')}.`
    case 'box':
      return `${shared.lures.flatMap(l => l.finishes).length} finishes of ${shared.lures.length} kinds of lure.`
    case 'verdict':
      return shared.finishes.map(f => f.name).join(' against ')
  }
}

/** What a message shows of a link, px (the size the networks crop to). */
const [WIDTH, HEIGHT] = [1200, 630] as const

/**
 * A picture of a link as a drawing: the water, and the lures that matter in it. No words: fonts differ where it is
 * made.
 */
export async function previewSvg({ shared }: Pick<PageAsk, 'shared'>): Promise<string> {
  const finishIds = figuresOf(shared).slice(0, 4)
  const figures = await Promise.all(finishIds.map((finishId, i) => text(SharedFigure, { finishId }, `figure${i}`)))
  const stops = shared.kind === 'call' ? gradient(shared) : [{ at: 0, colour: '#c6c6c5' }]
  const across = figures.length > 1 ? 2 : 1
  const size = across === 1 ? 900 : 520
  const drawn = figures.map((svg, i) => {
    const x = across === 1 ? (WIDTH - size) / 2 : 60 + (i % 2) * 560
    const y = across === 1 ? 130 : 60 + Math.floor(i / 2) * 280
    return `<g transform="translate(${x} ${y})">${sized(svg, size).replace('<svg', '<svg color="#111111"')}</g>`
  })
  const whole = `viewBox="0 0 ${WIDTH} ${HEIGHT}" width="${WIDTH}" height="${HEIGHT}"`
  return alone(`<svg xmlns="http://www.w3.org/2000/svg" ${whole}>
<defs><linearGradient id="w" x1="0" y1="0" x2="0" y2="1">${stops
    .map(s => `<stop offset="${s.at.toFixed(2)}" stop-color="${s.colour}"/>`)
    .join('')}</linearGradient></defs>
<rect width="${WIDTH}" height="${HEIGHT}" fill="url(#w)"/>
<rect x="0" y="0" width="${WIDTH}" height="70" fill="#d9d9d8"/>
<path d="M0 70${'q15 12 30 0t30 0'.repeat(21)}" fill="none" stroke="#111" stroke-width="6"/>
<rect x="90" y="120" width="1020" height="460" fill="#c6c6c5" fill-opacity="${shared.kind === 'call' ? 0.92 : 0}"/>
${drawn.join('\n')}
</svg>`)
}

const gradient = ({ column }: SharedCall) => {
  const deepest = column.at(-1)!.depthM
  return column.map(c => ({ at: c.depthM / deepest, colour: c.colour }))
}

function figuresOf(shared: Shared): string[] {
  switch (shared.kind) {
    case 'call':
      return [shared.finish.id]
    case 'plan':
      return shared.pack.map(p => p.finishId)
    case 'box':
      return shared.lures.flatMap(l => l.finishes.map(f => f.finishId))
    case 'verdict':
      return shared.finishes.map(f => f.id)
  }
}
