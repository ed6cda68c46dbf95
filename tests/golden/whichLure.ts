import { COVER_IDS } from '#core/cover/cover'
import { LURE_IDS } from '#core/lure/types'
import { candidateOf, luresHere } from '#core/which-lure/answer'
import { fishedHere } from '#core/which-lure/occasions'
import { pairLinesOf } from '#core/which-lure/pairLines'
import type { LuresRequest } from '#core/which-lure/request'
import { SCENES } from './scenes'

/** A scene in each cover, cold and warm, and some that the rules are pinned in. */
const POND: LuresRequest = {
  water: { visibilityM: 1.2, tint: 'green', temperatureC: 18, depthM: 2.5 },
  light: { sky: 'partly', sunElevationDeg: 45, wind: 'ripple' },
}
const inPond = (water: Partial<LuresRequest['water']>): LuresRequest => ({
  ...POND,
  water: { ...POND.water, ...water },
})
const IN: Readonly<Record<string, LuresRequest>> = {
  ...Object.fromEntries(COVER_IDS.map(kind => [`in ${kind}`, inPond({ cover: { kind, density: 'thick' } })])),
  ...Object.fromEntries([4, 8, 14, 26].map(t => [`at ${t} °C`, inPond({ temperatureC: t })])),
  ...Object.fromEntries(Object.entries(SCENES).filter((_, i) => i % 8 === 0)),
}

/** Which lures are fished in each scene, in what order, why, and what each is worth; and where the pairs turn. */
export function whichLureOf(): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(IN).map(([name, request]) => {
      const { here, notHere, pairs, says } = luresHere(request)
      const worth = LURE_IDS.map(lure => {
        const { claims, factors } = candidateOf(fishedHere(request, lure)).plain
        const figures = Object.entries({ ...claims, ...factors }).map(([k, v]) => `${k} ${Number(v).toFixed(3)}`)
        return `${lure}: ${figures.join(', ')}`
      })
      return [
        name,
        {
          here: here.map(h => `${h.place} ${h.lure} ${h.depthM.toFixed(2)} ${h.through} ${h.finish.id}: ${h.why.text}`),
          notHere: notHere.map(n => `${n.lure} ${n.gate}`),
          pairs: pairs.map(p => `${p.a} ${p.b}: ${p.wins}, ${p.why.text}`),
          lines: pairLinesOf(request).map(l => `${l.a} ${l.b}: ${l.steps.map(s => s.wins).join(' ')}, now ${l.now}`),
          says: says.map(s => s.text),
          worth,
        },
      ]
    }),
  )
}
