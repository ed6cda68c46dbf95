import type { Request } from '#core/request/request'
import { SKIES, WINDS } from '#core/sky/weather'
import type { UnitSystem } from '#core/units'
import { lengthWords, temperatureWords } from '#core/words/quantities'
import { tintWord } from '#core/words/wording'

/** Below these a change is the instrument's own unrest, or nothing a fish would mind. */
const NOTED = { temperatureC: 0.5, visibilityShare: 0.15, cloud: 0.25 } as const
const far = (a: number | undefined, b: number | undefined, least: number) =>
  a === undefined || b === undefined ? a !== b : Math.abs(a - b) >= least

/** What of the conditions stands otherwise than before, each in words as it is now; nothing where nothing moved. */
export function changedWords(before: Request, now: Request, units: UnitSystem): string[] {
  const [w, v] = [before.water, now.water]
  const [l, m] = [before.light, now.light]
  const clarity = Math.abs(Math.log(v.visibilityM / w.visibilityM)) >= Math.log1p(NOTED.visibilityShare)
  return [
    ...(clarity ? [`disc lost at ${lengthWords(v.visibilityM, units)}`] : []),
    ...(v.tint === w.tint ? [] : [`${tintWord(v.tint)} water`]),
    ...(far(w.temperatureC, v.temperatureC, NOTED.temperatureC) && v.temperatureC !== undefined
      ? [`water ${temperatureWords(v.temperatureC, units)}`]
      : []),
    ...(m.sky !== l.sky || far(l.cloud, m.cloud, NOTED.cloud) ? [SKIES[m.sky].words] : []),
    ...((m.wind ?? 'calm') === (l.wind ?? 'calm') ? [] : [`wind: ${WINDS[m.wind ?? 'calm'].words}`]),
    ...(v.tide === w.tide || !v.tide ? [] : [`tide ${v.tide}`]),
  ]
}

/** Conditions in few words. */
export function conditionsWords({ water, light }: Request, units: UnitSystem): string {
  return [
    `${tintWord(water.tint)} water`,
    `disc lost at ${lengthWords(water.visibilityM, units)}`,
    ...(water.temperatureC === undefined ? [] : [temperatureWords(water.temperatureC, units)]),
    SKIES[light.sky].words,
    WINDS[light.wind ?? 'calm'].words,
  ].join(', ')
}
