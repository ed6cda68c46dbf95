import { rank, rankedOut, restOfAnswer } from '#core/ranking/recommend'
import type { DayAnswer } from '#core/day/answer'
import type { DayRequest } from '#core/day/request'
import { finishById } from '#core/lure/finish'
import { painter, waterColumn } from '#core/picture/underWater'
import type { Request } from '#core/request/request'
import { BITE_M } from '#core/sight/view'
import { sunElevationDeg } from '#core/sky/sun'
import { hex } from '#core/spectrum/colour'
import type { Verdict } from '#core/trial/verdict'
import type { Shared, SharedBox, SharedCall, SharedLook, SharedPlan, SharedVerdict } from '#shared/share'
import type { LureRecord } from '#shared/schema/record'

/**
 * What a link shows is frozen: the question, the answer and what is drawn of it. A clock beside the sun's height gives
 * the latitude, and sunrise gives both: the sun is kept to five degrees and without its clock, a plan's place to two.
 */
const SUN_DEG = 5
const PLACE_DEG = 2

const roundTo = (v: number, step: number) => Math.round(v / step) * step
const MS_A_DEGREE = 240_000

/** The day at a place, by its own sun: enough for a date, and nothing of a clock. */
const dayAt = (timeMs: number, longitudeDeg: number) =>
  new Date(timeMs + longitudeDeg * MS_A_DEGREE).toISOString().slice(0, 10)

/** A question without its place and clock: the sun's height to five degrees, the season as it was judged. */
export function frozenRequest(asked: Request): { asked: Request; date: string | null } {
  const { conditions } = rank(asked).moment
  const { at, ...light } = asked.light
  const timeMs = at ? Date.parse(at.time) : 0
  const sun = at
    ? sunElevationDeg({ timeMs, latitudeDeg: at.latitude, longitudeDeg: at.longitude })
    : conditions.sunElevationDeg
  return {
    asked: {
      ...asked,
      light: { ...light, sunElevationDeg: Math.max(-90, Math.min(90, roundTo(sun, SUN_DEG))) },
      // Fish that keep no nests have spring where others have three phases: pre-spawn stands for it in a request.
      season: conditions.phase === 'spring' ? 'prespawn' : conditions.phase,
    },
    date: at ? dayAt(timeMs, at.longitude) : null,
  }
}

/** A plan's question with its place to two degrees. */
export const frozenDay = (asked: DayRequest): DayRequest => ({
  ...asked,
  place: {
    ...asked.place,
    latitude: Math.max(-90, Math.min(90, roundTo(asked.place.latitude, PLACE_DEG))),
    longitude: Math.max(-180, Math.min(180, roundTo(asked.place.longitude, PLACE_DEG))),
  },
})

/** Depths the water's colour is kept for, as shares of what is shown of it; looks, as shares of how far it is seen. */
const COLUMN = [0, 0.25, 0.5, 0.75, 1] as const
const LOOKS = [0, 0.25, 0.5, 0.75, 1] as const
/** Reasons that are shown. */
const MOST_REASONS = 4

/** A call as its link shows it; null where the finish is not one of the lure. */
export function freezeCall({ asked: exact, finishId }: { asked: Request; finishId: string }): SharedCall | null {
  const { asked, date } = frozenRequest(exact)
  const worked = rank(asked)
  const i = worked.ranked.findIndex(j => j.finish.id === finishId)
  if (i < 0) return null
  const judged = worked.ranked[i]!
  const out = rankedOut(worked, i)
  const { scene, conditions } = worked.moment
  const paint = painter(scene, 'level', 'diver')
  const seenM = out.sightingRangeM.level
  const look = (m: number): SharedLook => {
    const seen = paint(judged.finish, Math.max(BITE_M / 3, m))
    return {
      distanceM: m,
      shape: m <= seenM,
      water: hex(seen.water),
      parts: Object.fromEntries(Object.entries(seen.parts).map(([p, c]) => [p, hex(c)])),
    }
  }
  const shownM = Math.max(asked.water.depthM ?? 0, asked.water.visibilityM * 1.15, conditions.depthM * 1.3)
  return {
    kind: 'call',
    units: asked.units ?? 'metric',
    date,
    asked,
    lure: asked.lure,
    finish: {
      id: out.finish.id,
      name: out.finish.name,
      parts: Object.entries(out.finish.parts).map(([part, p]) => ({ part, words: p.words })) as never,
    },
    place: out.place,
    depthM: conditions.depthM,
    seenM,
    colourM: out.colourRangeM.level,
    sunDeg: conditions.sunElevationDeg,
    reasons: out.reasons
      .filter(r => r.effect > 0 && r.code !== 'small-points')
      .slice(0, MOST_REASONS)
      .map(r => r.text),
    close: restOfAnswer(worked).closeCall?.text ?? null,
    column: waterColumn(
      scene,
      COLUMN.map(s => s * shownM),
    ).map(c => ({ depthM: c.depthM, colour: hex(c.colour) })),
    inWater: look(seenM / 3),
    looks: LOOKS.map(s => look(BITE_M / 3 + s * Math.max(0, seenM * 1.05 - BITE_M / 3))),
  }
}

const nameOf = (finishId: string) => finishById(finishId)?.name ?? finishId

/** A day's plan as its link shows it. */
export function freezePlan(asked: DayRequest, answer: DayAnswer): SharedPlan {
  const { worth } = answer
  return {
    kind: 'plan',
    units: asked.units ?? 'metric',
    asked,
    from: answer.steps[0]?.at ?? '00:00',
    to: answer.spells.reduce((last, s) => (s.to > last ? s.to : last), answer.steps.at(-1)?.at ?? '24:00'),
    steps: answer.steps.map(s => ({
      at: s.at,
      cloud: s.light.cloud,
      ashore: s.ashore,
      sunDeg: roundTo(s.sunElevationDeg, SUN_DEG),
    })),
    lanes: asked.lures.map(({ lure }) => ({
      lure,
      spells: answer.spells
        .filter(s => s.lure === lure)
        .map(({ from, to, finishId, why }) => ({ from, to, finishId, name: nameOf(finishId), why })),
    })),
    pack: answer.pack.map(({ finishId }) => ({ finishId, name: nameOf(finishId) })),
    oneOfEach: worth.pack > 0 ? Math.round((100 * worth.oneEach) / worth.pack) : 100,
    cautions: answer.cautions,
  }
}

/** A box as its link shows it: what is carried, by the catalogue's own names. */
export function freezeBox(records: readonly LureRecord[]): SharedBox {
  const lures: SharedBox['lures'] = []
  for (const r of records) {
    if (r.retired || r.count < 1) continue
    let row = lures.find(l => l.lure === r.lure)
    if (!row) lures.push((row = { lure: r.lure, finishes: [] }))
    const own = Object.keys(r.coats ?? {}).length > 0
    const same = row.finishes.find(f => f.finishId === r.finishId && f.own === own)
    if (same) same.count += r.count
    else row.finishes.push({ finishId: r.finishId, name: nameOf(r.finishId), count: r.count, own })
  }
  return { kind: 'box', lures }
}

/** What a fair test showed, as its link shows it; null where a finish is unknown. */
export function freezeVerdict(finishIds: readonly string[], verdict: Verdict, casts: number): SharedVerdict | null {
  const finishes = finishIds.map(id => finishById(id))
  if (finishes.some(f => !f)) return null
  return { kind: 'verdict', finishes: finishes.map(f => ({ id: f!.id, lure: f!.lure, name: f!.name })), verdict, casts }
}

const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' })
const dayWords = (date: string) => DATE.format(new Date(`${date}T00:00:00Z`))

/** What a link is called, in the list and where it is sent. */
export function titleOf(shared: Shared): string {
  switch (shared.kind) {
    case 'call':
      return shared.date ? `A call, ${dayWords(shared.date)}` : 'A call'
    case 'plan':
      return `A day plan, ${dayWords(shared.asked.date)}`
    case 'box':
      return 'A box'
    case 'verdict':
      return `A test: ${shared.finishes.map(f => f.name.toLowerCase()).join(' against ')}`
  }
}
