import { parse, stringify, v7 as idOf } from 'uuid'
import { finishById, finishesOf } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import { uniformFrom } from '#core/numeric/uniform'
import type { Request } from '#core/request/request'
import { trialOrder } from '#core/trial/order'
import { MINUTE_MS } from '#core/units'
import type { LureRecord, PlanRecord, RecordKind, RecordOf, SpotRecord, TapRecord } from '#shared/schema/record'
import PLANS from './plans.json' with { type: 'json' }
import SEASON from './season.json' with { type: 'json' }

/**
 * The made-up angler: a box, three kept plans, a season of 24 trips and a fair test. The season was drawn from a stated
 * truth (`truth` in its file: one finish 1.7 times its fellows, one bar 2.5 times, low light twice, and a finish that
 * only ever lay in the best place and hour); the plans are what the engine made of three days. Nothing of it happened.
 */
export interface MadeUp {
  kind: RecordKind
  id: string
  at: string
  body: RecordOf[RecordKind]
}

/** Waters of the basin that the season's stand for. */
const WATERS: Readonly<Record<string, string>> = {
  w0: '018f0000-0000-4000-8000-000000000001',
  w1: '018f0000-0000-4000-8000-000000000002',
  w2: '018f0000-0000-4000-8000-000000000004',
}
const SPOTS: Readonly<Record<string, { name: string; background: SpotRecord['background'] }>> = {
  w0s0: { name: 'The bar', background: 'gravel' },
  w0s1: { name: 'Dam end', background: 'rock' },
  w0s2: { name: 'Far bank', background: 'rock' },
  w1s0: { name: 'Weed edge', background: 'green-weed' },
  w1s1: { name: 'Willow corner', background: 'wood' },
  w1s2: { name: 'Inlet', background: 'sand' },
  w2s0: { name: 'Outer bend', background: 'dark-mud' },
  w2s1: { name: 'Fallen trees', background: 'wood' },
  w2s2: { name: 'Cut', background: 'dark-mud' },
}
/** What the box holds beside what was fished. */
const BOX: readonly (readonly [LureId, number])[] = [
  ['shallow-crankbait', 4],
  ['casting-jig', 3],
  ['stick-worm', 4],
  ['walking-topwater', 3],
  ['lipless-crankbait', 2],
  ['popper', 2],
]
const TRIAL = { lure: 'lipless-crankbait', seed: 6, at: '2026-08-08T11:00:00Z', castMs: 45_000 } as const

/** An id made at a moment, the same each time: the n-th thing of the made-up angler. */
function idAt(ms: number, n: number): string {
  const even = uniformFrom(n + 1)
  const random = Uint8Array.from({ length: 16 }, () => Math.floor(256 * even()))
  return stringify(parse(idOf({ msecs: Math.max(0, Math.floor(ms)), random, seq: n })))
}

type Stint = (typeof SEASON.trips)[number]['stints'][number]
const lureOf = (finishId: string) => finishId.split('.')[0] as LureId
const rigOf = (finishId: string) => ({ lure: lureOf(finishId), finishId })

/** All records of the made-up angler, each as though it had been kept when it happened. */
export function madeUpRecords(): MadeUp[] {
  const out: MadeUp[] = []
  const add = <K extends RecordKind>(kind: K, ms: number, body: RecordOf[K]): string => {
    const id = idAt(ms, out.length)
    out.push({ kind, id, at: new Date(ms).toISOString(), body })
    return id
  }
  const winter = Date.parse('2026-02-01T12:00:00Z')
  const spots = new Map(
    Object.entries(SPOTS).map(([key, { name, background }]) => {
      const where = { latitude: null, longitude: null, depthM: null, canopy: 'open' as const, bank: null }
      const body = {
        waterId: WATERS[key.slice(0, 2)]!,
        name,
        background,
        cover: '',
        ...where,
        note: '',
        archived: false,
      }
      return [key, add('spot', winter, body)]
    }),
  )
  boxOf().forEach(body => add('lure', winter, body))
  PLANS.forEach(plan => add('plan', Date.parse(`${plan.asked.date}T09:30:00Z`), plan as unknown as PlanRecord))
  for (const trip of SEASON.trips) {
    const startMs = Date.parse(trip.startedAt)
    const taps = tapsOf(trip.stints as Stint[], spots)
    const first = [0, 1, 2].map(rod => (trip.stints as Stint[]).find(s => s[1] === rod)?.[2])
    const rods = first.map(finishId => rigOf((finishId ?? first.find(Boolean)) as string))
    const tripId = add('trip', startMs, {
      name: 'Made up',
      waterId: WATERS[trip.water]!,
      startedAt: new Date(startMs).toISOString(),
      endedAt: new Date(trip.endedAt).toISOString(),
      rods,
      asked: trip.asked as Request,
      trial: null,
      note: '',
    })
    for (const { min, ...body } of taps) {
      const ms = Math.round(startMs + min * MINUTE_MS)
      add('tap', ms, { tripId, at: new Date(ms).toISOString(), ...body })
    }
  }
  addTrial(add)
  return out
}

/** The box: what was fished, and of some lures the first few of the catalogue. */
function boxOf(): LureRecord[] {
  const fished = SEASON.truth.finish.map(f => f.id)
  const others = BOX.flatMap(([lure, n]) =>
    finishesOf(lure)
      .slice(0, n)
      .map(f => f.id),
  )
  return [...fished, ...others].map((finishId, i) => ({
    lure: lureOf(finishId),
    finishId,
    name: finishById(finishId)!.name,
    count: 1 + (i % 2),
    wear: i < fished.length ? 'used' : 'new',
    keptIn: i % 3 ? 'Boat' : 'Bank bag',
    note: '',
    retired: false,
  }))
}

type At = { min: number } & Omit<TapRecord, 'tripId' | 'at'>
/** A little apart, so that what changes together has an order, minutes. */
const APART_MIN = 0.0005

/** What was tapped for stretches of a trip: spot, conditions and rig as they changed, the rod taken, and each bite. */
function tapsOf(stints: Stint[], spots: ReadonlyMap<string, string>): At[] {
  const out: At[] = []
  const rigs = new Map<number, string>()
  let [inHand, spot, asked] = [0, '', -1]
  for (const [, rod, finishId, at, fromMin, , bites, moment] of stints as unknown as Row[]) {
    let n = 0
    const tap = (body: Omit<At, 'min'>) => out.push({ min: fromMin + n++ * APART_MIN, ...body })
    if (at !== spot) tap({ what: 'spot', rod: inHand, spotId: spots.get((spot = at))! })
    if (moment !== asked) tap({ what: 'conditions', rod: inHand, asked: SEASON.moments[(asked = moment)] as Request })
    if ((rigs.get(rod) ?? finishId) !== finishId) tap({ what: 'rig', rod, rig: rigOf(finishId) })
    rigs.set(rod, finishId)
    if (rod !== inHand) tap({ what: 'rod', rod: (inHand = rod) })
    for (const min of bites) out.push({ min, what: 'bite', rod })
  }
  return out
}
type Row = [number, number, string, string, number, number, number[], number]

/** The fair test, cast by cast: of two finishes of a lure that was fished in it alone. */
function addTrial(add: <K extends RecordKind>(kind: K, ms: number, body: RecordOf[K]) => string): void {
  const { lure, seed, at, castMs } = TRIAL
  const startMs = Date.parse(at)
  const [a, b] = finishesOf(lure)
  const { casts } = SEASON.truth.trial
  const order = trialOrder(SEASON.trial.length, seed)
  const tripId = add('trip', startMs, {
    name: 'Made up',
    waterId: WATERS.w1!,
    startedAt: new Date(startMs).toISOString(),
    endedAt: new Date(startMs + (order.length * casts + 1) * castMs).toISOString(),
    rods: [rigOf(a!.id), rigOf(b!.id)],
    asked: { ...(SEASON.trips.find(t => t.water === 'w1')!.asked as Request), lure },
    trial: {
      differs: 'finish',
      castsPerSpell: casts,
      blocks: SEASON.trial.length,
      seed,
      leaveOut: ['broken', 'moved'],
    },
    note: '',
    castsCounted: true,
  })
  let ms = startMs
  for (const { block, side } of order) {
    const rod = Number(side === 'b')
    const tap = (what: TapRecord['what'], rest: Partial<TapRecord> = {}) =>
      add('tap', (ms += 1000), { tripId, at: new Date(ms).toISOString(), what, rod, ...rest })
    tap('rod', { drawn: true })
    const { bites } = SEASON.trial[block - 1]![side]
    for (let c = 0; c < casts; c++) {
      ms += castMs - 3000
      tap('cast')
      // As many casts had a bite as are said: spread evenly over the spell.
      if (Math.floor(((c + 1) * bites) / casts) > Math.floor((c * bites) / casts)) tap('bite')
    }
  }
}
