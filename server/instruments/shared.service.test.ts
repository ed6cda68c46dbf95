import { expect, it } from 'vitest'
import type { InstrumentBoard } from './board'
import { shareInstruments } from './shared'

const comes = async (so: () => boolean, tries = 200) => {
  for (let i = 0; i < tries && !so(); i++) await new Promise(r => setTimeout(r, 50))
  expect(so()).toBe(true)
}

it('one process listens to the instruments for all, then the next, and each where there is no database', async () => {
  const url = process.env.NUXT_DATABASE_URL!
  const boards: (InstrumentBoard | null)[] = []
  const processAt = (at: string, nth: number) =>
    shareInstruments(at, board => {
      boards[nth] = board
      board.take({ depthM: nth + 1 })
      return () => (boards[nth] = null)
    })
  const first = processAt(url, 0)
  const unlook = first.listen(() => {})
  await comes(() => first.leads())
  const second = processAt(url, 1)
  let heard = 0
  second.listen(() => heard++)
  // What the first hears is told the second, which does not listen itself.
  await comes(() => second.now().told.depthM?.value === 1)
  boards[0]!.take({ temperatureC: 14.5 })
  await comes(() => second.now().told.temperatureC?.value === 14.5)
  expect([second.leads(), boards[1], heard > 0]).toEqual([false, undefined, true])
  unlook()
  await first.close()
  await comes(() => second.leads())
  expect(second.now().told.depthM?.value).toBe(2)
  await second.close()
  // Without a database each listens for itself.
  const alone = processAt('postgres://nobody@127.0.0.1:9/none', 2)
  alone.listen(() => {})
  await comes(() => alone.now().told.depthM?.value === 3)
  expect(alone.leads()).toBe(false)
  await alone.close()
}, 30_000)
