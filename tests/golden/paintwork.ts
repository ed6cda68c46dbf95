import { DIVER, SPECIES } from '#core/eye/species'
import { finishesOf } from '#core/lure/finish'
import { LURE_IDS, LURES } from '#core/lure/types'
import { coatOptics } from '#core/paintwork/coat'
import { PAINTS, type PaintId, paintReflectance } from '#core/paintwork/paints'
import { BACKGROUNDS, type BackgroundId, backgroundReflectance } from '#core/sight/backgrounds'
import { type Spectrum, bandAt } from '#core/spectrum/grid'

const BANDS_NM = [410, 440, 470, 500, 530, 560, 590, 620, 650, 690]
const curve = (s: Spectrum) => BANDS_NM.map(nm => s[bandAt(nm)]!.toFixed(3).slice(1)).join(' ')

/** Reflectance of every paint and bottom along the spectrum, and what each eye is. */
export function coloursOf(): Record<string, string> {
  return Object.fromEntries([
    ...(Object.keys(PAINTS) as PaintId[]).map(id => [`paint ${id}`, curve(paintReflectance(id))]),
    ...(Object.keys(BACKGROUNDS) as BackgroundId[])
      .filter(id => backgroundReflectance(id))
      .map(id => [`bottom ${id}`, curve(backgroundReflectance(id)!)]),
    ...Object.entries({ ...SPECIES, diver: DIVER }).map(([id, { source: _, words: __, ...eye }]) => [
      `eye ${id}`,
      JSON.stringify(eye),
    ]),
  ])
}

/** Every finish: what it counts as, and its parts with their glint and texture. */
export function catalogueOf(): Record<string, string> {
  return Object.fromEntries([
    ...LURE_IDS.map(id => {
      const { seen, runsM, depthM, lengthMm, action, pace, powers, imitates } = LURES[id]
      return [id, JSON.stringify({ seen, runsM, depthM, lengthMm, action, pace, powers, imitates })]
    }),
    ...LURE_IDS.flatMap(finishesOf).map(f => {
      const { opacity, flash, tone, vivid, matte } = f.traits
      const traits = [opacity, flash, tone, vivid ? 'vivid' : 'plain', matte ? 'matte' : 'sheen'].join(' ')
      const parts = f.parts.map(p => {
        const { glint } = coatOptics(p.coat)
        return `${p.part} ${p.share} ${(1e4 * p.areaM2).toFixed(2)} ${glint.toFixed(2)} ${p.texture.toFixed(2)}`
      })
      return [f.id, `${f.families.join('/')}; ${traits}; ${parts.join(', ')}`]
    }),
  ])
}
