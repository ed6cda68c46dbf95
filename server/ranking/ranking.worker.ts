import { readFileSync } from 'node:fs'
import { constants, setPriority } from 'node:os'
import { possibleWaters } from '#core/evidence/possible'
import { createEngine } from '#core/index'
import { type DrawPicture, workerOf } from '#server/ranking/jobs'

// Linux counts a priority by thread: the thread that answers goes before those that rank, and a ranking before long
// work. Elsewhere it would slow the whole server down.
const isLong = process.argv.includes('long')
if (process.platform === 'linux') {
  const { PRIORITY_BELOW_NORMAL, PRIORITY_LOW } = constants.priority
  setPriority(isLong ? PRIORITY_LOW : PRIORITY_BELOW_NORMAL)
}

// The build lays the table beside this file.
const engine = createEngine(readFileSync(new URL('light.table', import.meta.url)))
// Which waters there may be takes half a second to work out: done before anybody asks.
if (isLong) possibleWaters(false)

/** What draws for a link (app/share/pages.ts), which the build lays beside this file too. */
interface Pages {
  previewSvg: (ask: { shared: Parameters<DrawPicture>[0] }) => Promise<string>
}
const draw: DrawPicture = async shared => {
  // Most threads never draw: what draws is loaded by the first that does.
  const [{ Resvg }, { previewSvg }] = await Promise.all([
    import('@resvg/resvg-js'),
    import(/* @vite-ignore */ new URL('pages.mjs', import.meta.url).href) as Promise<Pages>,
  ])
  // Nothing in it is text: no font is looked for.
  return new Resvg(await previewSvg({ shared }), { font: { loadSystemFonts: false } }).render().asPng()
}

/** A worker thread's work: the answer to a job as JSON text, or what is wrong with what was asked. */
export default workerOf(engine, draw)
