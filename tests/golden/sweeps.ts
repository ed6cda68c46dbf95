import { LURE_IDS, type LureId, lureType } from '#core/lure/types'
import { gradesOf } from '#core/request/grades'
import type { Request } from '#core/request/request'
import { resolve } from '#core/request/resolve'
import { advisoriesOf } from '#core/rules/advisories'
import { holds } from '#core/rules/custom'
import { CUSTOMS } from '#core/rules/customs/all'
import type { Moment } from '#core/schools/school'
import { buildScene } from '#core/sight/scene'

type Step = Partial<Request['water'] & { sunElevationDeg: number; cloud: number }>
/** Readings swept one at a time from a mild day, so that the edges of what every custom asks for are pinned. */
const SWEEPS: Record<string, readonly Step[]> = {
  visibilityM: [0.1, 0.16, 0.25, 0.32, 0.4, 0.5, 0.63, 0.8, 1, 1.25, 1.6, 2, 2.5, 3.2, 4, 5, 6.5, 9].map(
    visibilityM => ({ visibilityM }),
  ),
  temperatureC: Array.from({ length: 17 }, (_, i) => ({ temperatureC: 2 + 2 * i })),
  sunElevationDeg: [-12, -4, 0, 4, 8, 14, 20, 30, 45, 65].map(sunElevationDeg => ({ sunElevationDeg })),
  cloud: [0, 0.2, 0.4, 0.6, 0.8, 1].map(cloud => ({ cloud })),
}

function momentOf(lure: LureId, change: Step): Moment {
  const { sunElevationDeg = 40, cloud = 0.2, ...water } = change
  const { salt } = lureType(lure)
  const conditions = resolve({
    lure,
    species: salt ? 'red-drum' : 'largemouth-bass',
    water: { visibilityM: 1.4, tint: 'green', temperatureC: 17, salinity: salt ? 'salt' : 'fresh', ...water },
    light: { sky: cloud > 0.8 ? 'overcast' : 'partly', cloud, sunElevationDeg },
  })
  const scene = buildScene(conditions.scene)
  return { conditions, scene, grades: gradesOf(conditions, scene.sky), field: null as never }
}

/** For each step of a sweep the customs that hold for any lure, with how strongly they then speak. */
export function sweepsOf(): Record<string, string> {
  return Object.fromEntries(
    Object.entries(SWEEPS).flatMap(([name, steps]) =>
      steps.map(step => {
        const moments = LURE_IDS.map(lure => momentOf(lure, step))
        const said = CUSTOMS.map(c => ({ c, k: Math.max(...moments.map(m => holds(c.when, m))) }))
        const text = said.filter(s => s.k > 0).map(({ c, k }) => `${c.id} ${(k * c.strength).toFixed(3)}`)
        return [`${name} ${Object.values(step)[0]}`, text.join(', ')]
      }),
    ),
  )
}

/** The same in small steps: what is advised has edges, and none of it fades. */
const STEPS: Record<string, readonly Step[]> = {
  visibilityM: Array.from({ length: 26 }, (_, i) => ({ visibilityM: 0.1 * 1.2 ** i })),
  temperatureC: Array.from({ length: 35 }, (_, i) => ({ temperatureC: i })),
  sunElevationDeg: Array.from({ length: 50 }, (_, i) => ({ sunElevationDeg: i - 14 })),
}
const SOME_LURES = LURE_IDS.filter((_, i) => i % 3 === 0)

/** Over each sweep, for how many lures of some each thing is advised, where that changes: "0: 0, 14: 21". */
export function advisedOf(): Record<string, Record<string, string>> {
  return Object.fromEntries(
    Object.entries(STEPS).map(([name, steps]) => {
      const codes = steps.map(step =>
        SOME_LURES.flatMap(lure => advisoriesOf(momentOf(lure, step)).map(({ sentence }) => sentence.code)),
      )
      const times = (code: string, i: number) => codes[i]?.filter(c => c === code).length ?? 0
      const turns = (code: string) =>
        steps.flatMap((_, i) => (i && times(code, i) === times(code, i - 1) ? [] : [`${i}: ${times(code, i)}`]))
      return [name, Object.fromEntries([...new Set(codes.flat())].sort().map(code => [code, turns(code).join(', ')]))]
    }),
  )
}
