import type { Lean } from '#core/ranking/judge'
import { type OwnLure, ownFinishes } from '#core/box/own'
import { DAY_MIN, HOUR_MIN } from '#core/units'
import { hex } from '#core/spectrum/colour'
import { spellSaid } from '#core/day/answer'
import { cautionText, cautionsOfDay } from '#core/day/cautions'
import { type DayScores, planDay } from '#core/day/plan'
import type { Pin } from '#core/day/pins'
import type { DayRequest } from '#core/day/request'
import { type StepScores, dayOf, scoreStep } from '#core/day/scores'
import { acrossFrom, shadeM } from '#core/day/shade'
import type { Spell } from '#core/day/spells'
import { dayWater } from '#core/day/water'
import { usualDepthM } from '#core/request/resolve'
import { moonElevationDeg, moonFraction, moonTimes, sunElevationDeg } from '#core/sky/sun'
import { withLight } from '~/common/withLight'

/** What a step of the day shows before any lure is ranked. */
export interface StepShown {
  atMin: number
  endMin: number
  sunDeg: number
  lightning: boolean
  rain: boolean
  cloud: number
  colours: string[]
  redM: number
  greenM: number
  /** Shade of the bank and of the one across, m. */
  shadeM: number | null
  acrossShadeM: number | null
}
/** The day as it is before any lure is ranked: light, sun, moon, shade. */
export interface DayShown {
  fromMin: number
  toMin: number
  steps: StepShown[]
  sun: { firstLight: number | null; sunrise: number | null; sunset: number | null; lastLight: number | null }
  /** Heights through the day, degrees, every few minutes. */
  paths: { min: number; sunDeg: number; moonDeg: number }[]
  moon: { fraction: number; riseMin: number | null; setMin: number | null }
  /** Depth each lane runs at, m. */
  depthsM: number[]
}

/** A spell as a lane shows it. */
export interface SpellShown {
  from: number
  to: number
  finishId: string
  why: string
  gain: number
}
export interface PackShown {
  finishId: string
  lane: number
  /** What the day loses without it, of 100. */
  lost: number
  hours: number
  spells: number
}
export interface PlanShown {
  lanes: SpellShown[][]
  pack: PackShown[]
  /** Of 100, beside carrying everything. */
  packed: number
  oneEach: number
  finishes: number
  cautions: { kind: string; fromMin: number; toMin: number; text: string }[]
}

export interface LightAsk {
  request: DayRequest
  depthsM: number[]
  acrossHeightM: number | null
}
interface RodsAsk {
  request: DayRequest
  own: readonly OwnLure[]
  lean: Lean
}
export type ScoresAsk = RodsAsk & { lane: number; from: number; to: number }
export type PlanAsk = RodsAsk & { scores: DayScores; pins: readonly Pin[] }

const PATH_MIN = 10

function light({ request: r, depthsM, acrossHeightM }: LightAsk): DayShown {
  const day = dayOf(r)
  const { clock } = day
  const place = { latitudeDeg: r.place.latitude, longitudeDeg: r.place.longitude }
  const at = (min: number) => ({ timeMs: clock.msAt(min), ...place })
  const water = dayWater(r, day, depthsM)
  const min = (ms: number | null) => (ms === null ? null : clock.minutesAt(ms))
  const moon = moonTimes(at(0))
  const across = r.bank && acrossHeightM !== null ? acrossFrom(r.bank, acrossHeightM) : null
  const { firstLight, sunrise, sunset, lastLight } = clock.sun
  return {
    fromMin: clock.fromMin,
    toMin: clock.toMin,
    steps: day.steps.map((s, i) => ({
      atMin: s.atMin,
      endMin: s.endMin,
      sunDeg: s.sunElevationDeg,
      lightning: s.weather.lightning,
      rain: s.weather.rain,
      cloud: s.weather.cloud,
      colours: water[i]!.colours.map(hex),
      redM: water[i]!.redM,
      greenM: water[i]!.greenM,
      shadeM: s.shadeM,
      acrossShadeM: across ? shadeM(across, s.sunElevationDeg, s.sunBearingDeg) : null,
    })),
    sun: { firstLight: min(firstLight), sunrise: min(sunrise), sunset: min(sunset), lastLight: min(lastLight) },
    paths: Array.from({ length: Math.ceil((clock.toMin - clock.fromMin) / PATH_MIN) + 1 }, (_, i) => {
      const m = Math.min(clock.toMin, clock.fromMin + i * PATH_MIN)
      return { min: m, sunDeg: sunElevationDeg(at(m)), moonDeg: moonElevationDeg(at(m)) }
    }),
    moon: { fraction: moonFraction(clock.msAt(DAY_MIN / 2)), riseMin: min(moon.rise), setMin: min(moon.set) },
    depthsM: r.lures.map(l => l.depthM ?? usualDepthM(l.lure, r.water.depthM ?? null, r.water.visibilityM)),
  }
}

function scores({ request: r, own, lean, lane, from, to }: ScoresAsk): (StepScores | null)[] {
  const day = dayOf(r, ownFinishes(own), lean)
  return day.steps.slice(from, to).map(step => scoreStep(r, day, step, r.lures[lane]!))
}

const of100 = (v: number, whole: number) => (whole > 0 ? Math.round((1000 * v) / whole) / 10 : 0)

function plan({ request: r, own, lean, scores: told, pins }: PlanAsk): PlanShown {
  const day = dayOf(r, ownFinishes(own), lean)
  const units = r.units ?? 'metric'
  const planned = planDay(r, day, told, pins, true)
  const shown = (l: number, spells: readonly Spell[]) =>
    spells.map((spell, i): SpellShown => ({
      from: spell.from,
      to: spell.to,
      ...spellSaid(r, day, told, planned.lanes[l]!, l, spells, i),
    }))
  const lanes = planned.packed.map((p, l) => (p ? shown(l, p.spells) : []))
  const fished = (spell: SpellShown) =>
    day.steps
      .slice(spell.from, spell.to)
      .reduce((s, step) => s + (step.weather.lightning ? 0 : step.endMin - step.atMin), 0) / HOUR_MIN
  const { all, pack, oneEach } = planned.worth
  return {
    lanes,
    pack: planned.pack.map(({ laneIndex, finishId, lost }) => {
      const mine = lanes[laneIndex]!.filter(s => s.finishId === finishId)
      return {
        finishId,
        lane: laneIndex,
        lost: of100(lost, all),
        hours: mine.reduce((s, spell) => s + fished(spell), 0),
        spells: mine.length,
      }
    }),
    packed: of100(pack, all),
    oneEach: of100(oneEach, all),
    finishes: planned.lanes.reduce((s, l) => s + l.ids.length, 0),
    cautions: cautionsOfDay(
      day,
      told,
      r.lures.map(l => l.lure),
    ).map(caution => {
      const { kind, fromMin, toMin } = caution
      return { kind, fromMin, toMin, text: cautionText(caution, units) }
    }),
  }
}

/** What the day's worker offers: its light, the scores of a rod step by step, and the plan they come to. */
export const dayApi = { light: withLight(light), scores: withLight(scores), plan: withLight(plan) }
