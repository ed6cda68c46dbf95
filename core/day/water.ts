import type { DayLane, DayRequest } from '#core/day/request'
import { type Day, type DayStep, requestAt } from '#core/day/scores'
import { COLUMN } from '#core/light-field/table'
import { exposedTogether, waterTones } from '#core/picture/underWater'
import { resolve } from '#core/request/resolve'
import { type Scene, buildScene } from '#core/sight/scene'
import { type Srgb, luminanceOfQuanta } from '#core/spectrum/colour'
import { BANDS, bandAt } from '#core/spectrum/grid'

/** The water at one moment of a day: its colours down the column, and how deep red and green light reach. */
export interface WaterMoment {
  colours: Srgb[]
  /** Depth at which a tenth of it is left or cones fail, whichever is shallower, m. */
  redM: number
  greenM: number
  /** Lux above the water. */
  lux: number
}

/** Red and green light by their bands, nm, and the share at which one is used up. */
const RED_NM = 640
const GREEN_NM = 550
const USED_UP = 0.1
/** Luminance looking level at which cones give out, cd/m² (the end of mesopic vision is near it). */
const CONES_FAIL = 0.3
/** Just under the surface, and the deepest looked for, m; and how finely the depth is found. */
const TOP_M = 0.02
const DEEPEST_M = 60
const HALVINGS = 16
/** The day is shown under one exposure, so that dawn is dark: brightness as this power of the light. */
const POWER = 0.34

/** The greatest depth at which something still holds that only fails deeper; 0 where it never does. */
function deepest(holds: (depthM: number) => boolean): number {
  if (!holds(TOP_M)) return 0
  let [from, to] = [TOP_M, DEEPEST_M]
  for (let i = 0; i < HALVINGS; i++) {
    const mid = Math.sqrt(from * to)
    if (holds(mid)) from = mid
    else to = mid
  }
  return from
}

const sceneAt = (r: DayRequest, day: Day, step: DayStep, lane: DayLane): Scene => {
  const { place: _, ...open } = lane
  return buildScene(resolve(requestAt(r, day, step, open)).scene)
}

/** The water of every step of a day at some depths, in the open, all under one exposure. */
export function dayWater(r: DayRequest, day: Day, depthsM: readonly number[]): WaterMoment[] {
  const lane = r.lures[0]!
  const moments = day.steps.map(step => {
    const scene = sceneAt(r, day, step, lane)
    const { column, sky } = scene
    const level = new Float64Array(BANDS)
    const reaches = (nm: number) => {
      const band = bandAt(nm)
      const top = column.value(band, TOP_M, COLUMN.ed)
      return deepest(m => {
        if (column.value(band, m, COLUMN.ed) < USED_UP * top) return false
        column.spectrum(m, COLUMN.lh, level)
        return luminanceOfQuanta(level) >= CONES_FAIL
      })
    }
    return { tones: waterTones(scene, depthsM), redM: reaches(RED_NM), greenM: reaches(GREEN_NM), lux: sky.lux }
  })
  const brightest = Math.max(...moments.flatMap(m => m.tones.map(t => t.luminance)))
  return moments.map(({ tones, ...rest }) => ({
    ...rest,
    colours: tones.map(t => exposedTogether(t, brightest, POWER)),
  }))
}
