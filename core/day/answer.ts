import { rounded } from '#core/numeric/rounded'
import { DAY_MIN } from '#core/units'
import { clockOf, endClockOf } from '#core/day/clock'
import { cautionText, cautionsOfDay } from '#core/day/cautions'
import { type DayPlan, type DayScores, type Lanes, planDay, rulesOf } from '#core/day/plan'
import type { DayRequest } from '#core/day/request'
import { type Day, type DayStep, whyThrough } from '#core/day/scores'
import type { Spell } from '#core/day/spells'
import type { LureId } from '#core/lure/types'
import type { COLOUR_MATTERS } from '#core/ranking/answer'
import { moonFraction, moonTimes } from '#core/sky/sun'
import type { SkyKind, Wind } from '#core/sky/weather'
import { say } from '#core/words/sentence'

type Clock = string

/** A lure in a step: what is tied on, and how it stands. */
export interface LureStep {
  lure: LureId
  finishId: string
  /** 0 ashore. */
  score: number
  best: string
  matters: (typeof COLOUR_MATTERS)[number] | null
  tossUp: boolean
  scores?: Readonly<Record<string, number>>
}

export interface DayAnswer {
  sun: Record<'firstLight' | 'sunrise' | 'noon' | 'sunset' | 'lastLight', Clock | null>
  moon: { rise: Clock | null; set: Clock | null; fraction: number }
  steps: {
    at: Clock
    sunElevationDeg: number
    sunBearingDeg: number
    sky: SkyKind
    shadeM: number | null
    ashore: boolean
    light: { lux: number | null; cloud: number; wind: Wind }
    lures: LureStep[]
  }[]
  spells: { lure: LureId; from: Clock; to: Clock; finishId: string; why: string; gain: number }[]
  pack: { finishId: string; lure: LureId; without: number }[]
  /** Score × hours: with everything, with the pack, with the best one of each lure. */
  worth: DayPlan['worth']
  cautions: { kind: string; from: Clock; to: Clock; text: string }[]
}

/** The finish tied on in each step of a lane. */
const tiedOn = (spells: readonly Spell[], steps: number): number[] => {
  const out = new Array<number>(steps).fill(0)
  for (const { from, to, finish } of spells) out.fill(finish, from, to)
  return out
}

/**
 * What a spell is worth over doing without its change: score × hours it earns beyond what the finish before would have
 * gone on to earn, less the change; for the first, beyond what the finish after it would have earned.
 */
function gainOf(worth: readonly (readonly number[])[], spells: readonly Spell[], i: number, cost: number) {
  const other = spells[i - 1] ?? spells[i + 1]
  if (!other) return 0
  const { from, to, finish } = spells[i]!
  let gain = -cost
  for (let t = from; t < to; t++) gain += worth[finish]![t]! - worth[other.finish]![t]!
  return gain
}

/** The steps of a spell that stand for its hours: two of its fished ones, or its only one. */
function tellingSteps(worth: readonly number[], { from, to }: Spell): number[] {
  const fished = worth.flatMap((w, t) => (t >= from && t < to && w > 0 ? [t] : []))
  if (fished.length < 3) return fished.slice(0, 1)
  return [fished[Math.floor(fished.length / 4)]!, fished[Math.floor((3 * fished.length) / 4)]!]
}

/** What is said of a spell of a lane: its finish, why it is tied on, and what its change wins back. */
export function spellSaid(
  r: DayRequest,
  day: Day,
  scores: DayScores,
  { lane: { worth }, ids }: Lanes,
  l: number,
  spells: readonly Spell[],
  i: number,
): { finishId: string; why: string; gain: number } {
  const finishId = ids[spells[i]!.finish]!
  const told = tellingSteps(worth[spells[i]!.finish]!, spells[i]!).filter(t => scores[l]![t])
  const steps = told.map(t => day.steps[t]!)
  return {
    finishId,
    why: steps.length ? say(whyThrough(r, day, steps, r.lures[l]!, finishId), r.units ?? 'metric') : '',
    gain: gainOf(worth, spells, i, i > 0 ? rulesOf(r).changeCost : 0),
  }
}

/** The contract's answer to a day whose lures are scored. */
export function dayAnswer(r: DayRequest, day: Day, scores: DayScores, plan = planDay(r, day, scores)): DayAnswer {
  const { clock, steps } = day
  const { latitude: latitudeDeg, longitude: longitudeDeg } = r.place
  const units = r.units ?? 'metric'
  const at = (ms: number | null) => (ms === null ? null : clockOf(clock.minutesAt(ms)))
  const moon = moonTimes({ timeMs: clock.msAt(0), latitudeDeg, longitudeDeg })
  const tied = plan.free.map(p => tiedOn(p.spells, steps.length))
  const lureStep = (l: number, t: number): LureStep => {
    const told = scores[l]![t] ?? null
    const finishId = plan.lanes[l]!.ids[tied[l]![t]!]!
    return {
      lure: r.lures[l]!.lure,
      finishId,
      score: told?.scores[finishId] ?? 0,
      best: told ? bestAmong(plan.lanes[l]!.ids, told.scores) : finishId,
      matters: told?.matters ?? null,
      tossUp: told?.tossUp ?? false,
      ...(r.detail ? { scores: among(plan.lanes[l]!.ids, told?.scores) } : {}),
    }
  }
  const stepOut = (step: DayStep, t: number): DayAnswer['steps'][number] => ({
    at: clockOf(step.atMin),
    sunElevationDeg: rounded(step.sunElevationDeg, 2),
    sunBearingDeg: rounded(step.sunBearingDeg, 2),
    sky: step.weather.sky,
    shadeM: step.shadeM === null ? null : rounded(step.shadeM, 2),
    ashore: step.weather.lightning,
    light: {
      lux: scores.map(lane => lane[t]).find(told => told)?.lux ?? null,
      cloud: rounded(step.weather.cloud),
      wind: step.weather.wind,
    },
    lures: r.lures.map((_, l) => lureStep(l, t)),
  })
  const { firstLight, sunrise, noon, sunset, lastLight } = clock.sun
  return {
    sun: {
      firstLight: at(firstLight),
      sunrise: at(sunrise),
      noon: at(noon),
      sunset: at(sunset),
      lastLight: at(lastLight),
    },
    moon: { rise: at(moon.rise), set: at(moon.set), fraction: rounded(moonFraction(clock.msAt(DAY_MIN / 2))) },
    steps: steps.map(stepOut),
    spells: plan.free.flatMap(({ spells }, l) =>
      spells.map((spell, i) => {
        const { finishId, why, gain } = spellSaid(r, day, scores, plan.lanes[l]!, l, spells, i)
        return {
          lure: r.lures[l]!.lure,
          from: clockOf(steps[spell.from]!.atMin),
          to: endClockOf(steps[spell.to - 1]!.endMin),
          finishId,
          why,
          gain: rounded(gain),
        }
      }),
    ),
    pack: plan.pack.map(({ laneIndex, finishId, lost }) => ({
      finishId,
      lure: r.lures[laneIndex]!.lure,
      without: plan.worth.all > 0 ? rounded(lost / plan.worth.all) : 0,
    })),
    worth: { all: rounded(plan.worth.all), pack: rounded(plan.worth.pack), oneEach: rounded(plan.worth.oneEach) },
    cautions: cautionsOfDay(
      day,
      scores,
      r.lures.map(l => l.lure),
    ).map(caution => ({
      kind: caution.kind,
      from: clockOf(caution.fromMin),
      to: endClockOf(caution.toMin),
      text: cautionText(caution, units),
    })),
  }
}

/** The scores of the finishes a lane may use; 0 ashore. */
const among = (ids: readonly string[], scores: Readonly<Record<string, number>> | undefined) =>
  Object.fromEntries(ids.map(id => [id, scores?.[id] ?? 0]))
const bestAmong = (ids: readonly string[], scores: Readonly<Record<string, number>>): string =>
  ids.reduce((a, b) => (scores[b]! > scores[a]! ? b : a))
