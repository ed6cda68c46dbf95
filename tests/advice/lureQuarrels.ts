import { COVER_IDS, DENSITIES } from '#core/cover/cover'
import { LURES } from '#core/lure/types'
import { clarityWord } from '#core/water/words'
import type { LuresAnswer } from '#core/which-lure/answer'
import { luresIn } from '#core/which-lure/occasions'
import type { LuresRequest } from '#core/which-lure/request'
import { dice } from '../reference/dice'
import { requests } from './grid'

/** Questions drawn evenly: which lure here? In every kind of cover, as deep as it may be. */
export function lureQuestions(count: number, seed: number, lures = 24): LuresRequest[] {
  const { even } = dice(seed)
  const one = <T>(list: readonly T[]): T => list[Math.floor(even() * list.length)]!
  return requests(count, seed).map(({ lure: _l, limit: _n, background: _b, water, ...asked }) => {
    const of = luresIn(water.salinity ?? 'fresh')
    const cover = { kind: one(COVER_IDS), density: one(DENSITIES) }
    const some = [...new Set(Array.from({ length: lures }, () => one(of)))]
    const { depthM: _d, fishedThrough: _f, bitesRefused: _r, fishM: _m, ...plain } = asked
    return {
      ...plain,
      water: { ...water, cover, depthM: 0.4 + 8 * even() ** 2 },
      ...(lures < 24 ? { lures: some } : {}),
    }
  })
}

const SEES_FAR = ['clear', 'gin']

/** Sentences that quarrel with the conditions, with figures beside them or with each other; each with what was said. */
export function lureQuarrels({ units, water, light, season }: LuresRequest, answer: LuresAnswer): string[] {
  const out: string[] = []
  const quarrel = (name: string, said: string) => out.push(`${name}: ${said}`)
  const clarity = clarityWord(water.visibilityM)
  const all = [
    ...answer.here.flatMap(h => [h.why, h.but, h.senses]),
    ...answer.notHere.map(n => n.why),
    ...answer.pairs.map(p => p.why),
    ...answer.says,
  ].flatMap(s => s ?? [])
  for (const { text } of all) {
    if (/undefined|NaN|null|\[object|\s{2}|\.\.| ,/.test(text) || !/^[A-Z0-9].*\.$/.test(text)) quarrel('broken', text)
    if (/\ba [aeiou]\w/i.test(text.replace(/\ba (one|use|unit)/gi, ''))) quarrel('article', text)
    const other = units === 'us' ? /\d (m|cm|°C)\b/ : /\d (ft|in|°F)\b/
    if (other.test(text.replace(/\d+ °C \(\d+ °F\)|13 °C|\(\d+ °F\)|low twenties.*seventies °F/g, '')))
      quarrel('units', text)
  }
  for (const { lure, depthM, why, but, senses, seen, felt, through } of answer.here) {
    const { surface, runsM } = LURES[lure]
    const say = (name: string, said = why.text) => quarrel(`${name}, ${lure}`, said)
    if (through === 'hangs') say('hangs here')
    if (!surface && water.depthM !== undefined && depthM > water.depthM) say('under the bed')
    if (!surface && depthM < 0.5 * runsM[0]) say('above its depths')
    if (/dirty|mud\b/i.test(why.text) && SEES_FAR.includes(clarity)) say('dirty in clear water')
    if (/low light|while the light is low/i.test(why.text) && light.sky === 'clear' && light.sunElevationDeg! > 30)
      if (!light.canopy && !['mat', 'dock'].includes(water.cover!.kind)) say('low light in high sun')
    if (why.code === 'lure.bears-look' && /dirty|mud/.test(clarity)) say('long look in the dirt')
    if (why.code === 'lure.slow-cold' && (water.temperatureC ?? 20) > 14) say('cold in warm water')
    if (why.code === 'lure.over' && surface === false && depthM > (water.depthM ?? 99)) say('over')
    if (senses?.code === 'senses.felt-first' && felt.lowM <= seen.sightM) say('felt first', senses.text)
    if (senses?.code === 'senses.seen-first' && seen.sightM <= felt.highM) say('seen first', senses.text)
    if (but && but.text === why.text) say('said twice')
    if (/autumn/i.test(why.text) && season && season !== 'autumn') say('season')
  }
  for (const { wins, a, b, why } of answer.pairs) {
    const words = (side: string) => (side in LURES ? LURES[side as keyof typeof LURES].words : side)
    const winner = wins === 'a' ? words(a) : wins === 'b' ? words(b) : null
    if (winner && !why.text.toLowerCase().startsWith(winner)) quarrel('pair', why.text)
    const isIn = (lure: string) => answer.here.some(h => h.lure === lure)
    if (wins === 'neither' && (isIn(a) || isIn(b))) quarrel('neither', why.text)
  }
  return out
}
