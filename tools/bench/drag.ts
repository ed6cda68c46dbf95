import { type CDPSession, type Page, chromium } from '@playwright/test'
import { startServer } from '../server'
import { CHROMIUM, CHROMIUM_ARGS } from '../chromium'
import { table } from './timing'

interface TraceEvent {
  name: string
  ph: string
  ts: number
  dur?: number
  tdur?: number
  tid: number
  pid: number
  args?: { name?: string }
}

const SECONDS = 3

/** Collect a trace of what the page does while `work` runs. */
async function traced(client: CDPSession, work: () => Promise<void>): Promise<TraceEvent[]> {
  const events: TraceEvent[] = []
  client.on('Tracing.dataCollected', e => events.push(...(e.value as unknown as TraceEvent[])))
  await client.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: { includedCategories: ['devtools.timeline', 'disabled-by-default-devtools.timeline', '__metadata'] },
  })
  await work()
  const done = new Promise(resolve => client.once('Tracing.tracingComplete', resolve))
  await client.send('Tracing.end')
  await done
  return events
}

/**
 * Work of the main thread in each frame, ms: its tasks summed between animation frames, by the processor time they
 * took (which the slow-down multiplies) and by the clock, which also counts waiting for a core that the driver or
 * another process has.
 */
function workPerFrame(events: TraceEvent[]): { cpu: number[]; clock: number[] } {
  const main = events.find(
    e =>
      e.name === 'thread_name' &&
      e.args?.name === 'CrRendererMain' &&
      events.some(x => x.name === 'FireAnimationFrame' && x.pid === e.pid && x.tid === e.tid),
  )!
  const mine = events.filter(e => e.pid === main.pid && e.tid === main.tid)
  // Callbacks of one frame run in one task: together they mark it once.
  const all = mine.filter(e => e.name === 'RunTask').sort((a, b) => a.ts - b.ts)
  // A task that was running when the trace began is not in it.
  const marks = mine
    .filter(e => e.name === 'FireAnimationFrame')
    .flatMap(e => all.filter(t => t.ts <= e.ts).at(-1)?.ts ?? [])
  const frames = [...new Set(marks)].sort((a, b) => a - b)
  // What the test driver itself runs in the page is no work of ours.
  const driver = mine.filter(e => e.name === 'EvaluateScript')
  const tasks = mine.filter(
    e =>
      e.name === 'RunTask' && e.dur && e.tdur !== undefined && !driver.some(d => d.ts >= e.ts && d.ts <= e.ts + e.dur!),
  )
  const sums = (of: (t: TraceEvent) => number) =>
    frames
      .slice(1)
      .map((end, i) => tasks.filter(t => t.ts >= frames[i]! && t.ts < end).reduce((s, t) => s + of(t) / 1000, 0))
      .sort((a, b) => a - b)
  return { cpu: sums(t => t.tdur!), clock: sums(t => t.dur!) }
}

async function dragFor(page: Page, x: number, y: number): Promise<void> {
  await page.mouse.move(x, y)
  await page.mouse.down()
  const end = Date.now() + SECONDS * 1000
  for (let i = 0; Date.now() < end; i++) await page.mouse.move(x, y - 45 + 45 * Math.cos(i / 14))
  await page.mouse.move(x, y - 30)
  await page.mouse.up()
}

/** Drag clarity and depth for three seconds each with the processor slowed four times, and look at the frames. */
export async function benchDrag(): Promise<void> {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  const server = await startServer()
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(server.url)
    await page.getByTestId('call').first().waitFor()
    // What is made ready in idle time is ready before anyone has a finger on it.
    await page.waitForTimeout(4000)
    const client = await page.context().newCDPSession(page)
    // An empty callback in every frame, so that the trace marks where frames begin.
    await page.evaluate('(function tick() { requestAnimationFrame(tick) })()')
    const rows: (string | number)[][] = []
    for (const [label, name] of [
      ['clarity', /disc vanishes/],
      ['depth', /Running depth/],
    ] as const) {
      const handle = page.getByRole('slider', { name })
      const { x, y, width, height } = (await handle.boundingBox())!
      await client.send('Emulation.setCPUThrottlingRate', { rate: 4 })
      const events = await traced(client, () => dragFor(page, x + width / 2, y + height / 2))
      await client.send('Emulation.setCPUThrottlingRate', { rate: 1 })
      const final = Number(await handle.getAttribute('aria-valuenow'))
      const { cpu, clock } = workPerFrame(events)
      const pick = (work: number[], p: number) => work[Math.min(work.length - 1, Math.floor(p * work.length))] ?? 0
      await page.waitForTimeout(1200)
      const asked = new URL(page.url()).searchParams.get(label === 'clarity' ? 'vis' : 'depth')
      rows.push([
        label,
        String(cpu.length),
        pick(cpu, 0.5),
        pick(cpu, 0.95),
        pick(cpu, 1),
        pick(clock, 0.5),
        pick(clock, 0.95),
        Math.abs(Number(asked) - final) < 0.011 ? 'kept' : 'LOST',
      ])
    }
    table(
      `Dragging for ${SECONDS} s at a quarter of the speed (target: 95th percentile under 50 ms, last state kept)`,
      ['', 'frames', 'median ms', '95th ms', 'worst ms', 'median by clock', '95th by clock', 'last state'],
      rows,
    )
  } finally {
    await browser.close()
    await server.kill()
  }
}
