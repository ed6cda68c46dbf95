import { parseCoat } from '#core/paintwork/coat'
import { buildFinish } from '#core/lure/finish'
import { type LureId, lureType } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import { look } from '#core/sight/look'
import { flashOf } from '#core/sight/flash'
import { type SceneInput, buildScene } from '#core/sight/scene'

/** A clear noon over open water, to be changed one thing at a time. */
export const NOON: SceneInput = {
  lure: 'swimbait',
  species: 'largemouth-bass',
  visibilityM: 1,
  tint: 'green',
  salt: false,
  depthM: 0.8,
  waterM: null,
  facing: 'any',
  background: 'open',
  fishM: 1,
  sky: {
    sunElevationDeg: 55,
    cloud: 0.05,
    rain: false,
    wind: 'calm',
    canopy: 'open',
    moonFraction: 0,
    moonElevationDeg: 0,
    lamps: false,
  },
}
export const OVERCAST = { ...NOON.sky, cloud: 1 }
export const FULL_MOON = { ...NOON.sky, sunElevationDeg: -30, moonFraction: 1, moonElevationDeg: 45 }

/** A finish of one coat on the part that faces the eye: flank, skirt or blade, or the belly of a surface lure. */
export function plain(coat: string, lure: LureId = 'swimbait') {
  const c = parseCoat(coat)
  const parts: Part[] = lureType(lure).surface ? ['belly'] : ['flank', 'skirt', 'blade']
  const finish = buildFinish(lure, coat, coat, Object.fromEntries(parts.map(p => [p, c])))
  return { ...finish, parts: finish.parts.filter(p => p.part !== 'hook') }
}

/** What a plain coat looks like in a scene that differs from noon. */
export function seen(coat: string, change: Partial<SceneInput>) {
  const input = { ...NOON, ...change }
  const scene = buildScene(input)
  const finish = plain(coat, input.lure)
  const { level, below, above, headings } = look(finish, scene.stage)
  const flash = flashOf(finish, scene.glitter, scene.eye, scene.stage.headings)
  return { level, below, above, headings, flash, scene }
}
