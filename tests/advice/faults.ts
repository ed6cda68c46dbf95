import type { Answer, Reason } from '#core/ranking/answer'
import { type Finish, finishById } from '#core/lure/finish'
import { untrueOf } from '#core/rules/fitness'
import { livesIn } from '#core/prey/odds'
import type { Request } from '#core/request/request'
import { clarityWord } from '#core/water/words'

/** What an experienced guide would shake the head at, in one answer: each fault by a short name and what was said. */
export interface Fault {
  fault: string
  said: string
}

const NIGHT_DEG = -8

/** Everything said in an answer, with where it was said. */
export function sentencesOf(a: Answer): string[] {
  return [
    ...a.ranked.flatMap(r => r.reasons.map(x => x.text)),
    ...a.rotation.flatMap(r => [r.why, r.when]),
    ...a.disagreements.flatMap(d => [d.text, d.optics, d.when]),
    ...a.advisories.map(x => x.text),
    ...a.dressUps.map(x => x.text),
    a.colourMatters.text,
    ...(a.closeCall ? [a.closeCall.text] : []),
    ...(a.turning ? [a.turning.text] : []),
  ]
}

/** Said of another lure, or of fish. */
const OF_OTHERS =
  /^(red around|in dirty water a spinnerbait|whitecaps|schooling|clear and calm: a swim|a jerkbait needs)/i

const CLARITY_SAID: readonly [RegExp, readonly string[]][] = [
  [/\bgin\b/i, ['gin']],
  [/\bclear(er)?[- ](water|flats|shallow|and calm|and bright|sun)|\bin clear\b/i, ['clear', 'gin']],
  [/\bdirty[- ]water|\bdirty inshore/i, ['dirty', 'mud']],
  [/\bmud(dy)?:|\bin mud\b|muddy water/i, ['mud']],
  [/\bstain(ed)?\b/i, ['stained', 'slightly stained']],
]

export function faultsOf(r: Request, a: Answer): Fault[] {
  const out: Fault[] = []
  const fault = (name: string, said: string) => out.push({ fault: name, said })
  const texts = sentencesOf(a)
  const word = clarityWord(r.water.visibilityM)
  const salinity = r.water.salinity ?? 'fresh'
  const night = r.light.sunElevationDeg! < NIGHT_DEG
  for (const t of texts) {
    if (/undefined|NaN|null|\[object|\s{2}|\.\.| ,/.test(t)) fault('broken', t)
    if (/\ba [aeiou]\w/i.test(t.replace(/\ba (one|use|unit)/gi, ''))) fault('article', t)
    if (
      r.units === 'us'
        ? /\d (m|cm|°C)\b/.test(t.replace(/\d+ °C; |13 °C/g, ''))
        : /\d (ft|in|°F)\b/.test(t.replace(/\(\d+ °F\)/g, ''))
    )
      fault('units', t)
    if (!OF_OTHERS.test(t)) for (const missing of untrueOf(t, r.lure)) fault('part', `${missing} of ${r.lure}: ${t}`)
    for (const [said, words] of CLARITY_SAID)
      if (said.test(t) && !words.includes(word) && !OF_OTHERS.test(t))
        fault('clarity', `${word} ${r.water.visibilityM}: ${t}`)
    if (night && /\bsun(?!fish)|\bcloud/i.test(t)) fault('sun at night', t)
  }
  for (const { finish, reasons } of a.ranked) {
    for (const x of reasons) {
      const wrong = falsePraise(x, finish.id)
      if (wrong) fault('praise', `${x.custom!.id} on ${finish.name} ${finish.families.join('/')}: ${x.text}`)
    }
    const measures = reasons.map(x => x.text).filter(t => /first seen|only seen|shape shows|felt/i.test(t))
    if (measures.length > 1) fault('one measure twice', measures.join(' | '))
    if (reasons[0]?.custom?.optics === 'contradicts' && reasons.length > 1) fault('contradicted leads', reasons[0].text)
  }
  const first = finishById(a.ranked[0]!.finish.id)!
  if (first.mimics && !livesIn(first.mimics, salinity)) fault('lives elsewhere', `${salinity}: ${first.id}`)
  if (first.mimics && r.water.prey?.length && !r.water.prey.includes(first.mimics)) fault('not in this water', first.id)
  const groupOf = (id: string) => a.lookAlikes.findIndex(g => g.includes(id))
  const told = a.ranked.length - a.lookAlikes.reduce((s, g) => s + g.length - 1, 0)
  const ids = a.rotation.map(x => x.finishId)
  for (const [i, j] of [
    [0, 1],
    [0, 2],
    [1, 2],
  ] as const) {
    const g = groupOf(ids[i]!)
    if (g >= 0 && g === groupOf(ids[j]!) && told >= 3) fault('twin rods', `${ids[i]} ${ids[j]} (${told} told)`)
  }
  for (const d of a.disagreements) {
    const g = groupOf(d.picks[0])
    if (g >= 0 && g === groupOf(d.picks[1])) fault('quarrel of twins', d.text)
  }
  if (a.colourMatters.level === 'much' && told / a.ranked.length < 0.2) fault('much of little', a.colourMatters.text)
  return out
}

const COLOURS =
  `white pearl bone silver gold copper smoke grey black brown orange red pink purple blue chartreuse yellow
  green olive chrome crawfish crab amber`.split(/\s+/)
const KIN: Readonly<Record<string, readonly string[]>> = {
  chrome: ['silver'],
  crawfish: ['red', 'brown', 'orange', 'olive'],
  crab: ['olive', 'tan'],
  amber: ['orange'],
  green: ['olive', 'green', 'brown'],
  brown: ['brown', 'tan'],
}

const DARK = ['black', 'purple', 'blue', 'brown']
/** Dark and see-through finishes are what a sentence says that names them so. */
const isAsSaid = (text: string, f: Finish) =>
  (/\bdark\b/i.test(text) && (f.traits.tone === 'dark' || DARK.includes(f.families[0]!))) ||
  (/see-through/i.test(text) && f.traits.opacity === 'translucent')

/** Whether a custom's sentence names colours none of which the finish wears. */
function falsePraise(x: Reason, id: string): boolean {
  if (!x.custom || x.effect <= 0) return false
  const named = COLOURS.filter(c =>
    new RegExp(`\\b${c}s?\\b`, 'i').test(
      x.text.replace(/golden shiners?|green weed|green pumpkin/gi, m =>
        m.toLowerCase() === 'green pumpkin' ? 'olive' : '',
      ),
    ),
  )
  const f = finishById(id)!
  if (!named.length || isAsSaid(x.text, f)) return false
  const worn = new Set([...f.families, ...f.parts.map(p => p.coat.paint), f.mimics ?? ''])
  return !named.some(c => worn.has(c) || KIN[c]?.some(k => worn.has(k)) || [...worn].some(w => w.includes(c)))
}
