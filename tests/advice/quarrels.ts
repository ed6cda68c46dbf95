import type { Advisory, Answer } from '#core/ranking/answer'
import { finishById } from '#core/lure/finish'
import { lureType } from '#core/lure/types'
import type { Request } from '#core/request/request'
import { clarityWord } from '#core/water/words'

/**
 * Sentences of one answer that quarrel with its conditions, its figures or with each other: a class a row, each told
 * what was asked and answered, and giving what of it a guide would shake the head at.
 */
type Quarrel = (r: Request, a: Answer) => string[]

/** Longest cast, m: nobody follows a lure farther. */
const CAST_M = 45
/** Nothing is measured nearer than this, m. */
const NEAREST_M = 0.05

const isNight = (r: Request) => r.light.sunElevationDeg! < -8
const isCold = (r: Request) => r.water.temperatureC! < 12
const word = (r: Request) => clarityWord(r.water.visibilityM)
const seesFar = (r: Request) => ['clear', 'gin'].includes(word(r))
const inWeed = (r: Request) => ['green-weed', 'brown-weed'].includes(r.background ?? 'open')
const pace = (r: Request) => lureType(r.lure).pace
const depthOf = (r: Request, a: Answer) => r.depthM ?? (a.assumed.find(x => x.path === 'depthM')!.value as number)
const codes = (a: Answer, kind: Advisory['kind']) => a.advisories.filter(x => x.kind === kind)
const withCode = (a: Answer, ...of: string[]) => a.advisories.filter(x => of.includes(x.code)).map(x => x.text)
const given = (holds: boolean, texts: string[]) => (holds ? texts : [])
const reasons = (a: Answer) =>
  a.ranked.flatMap(x => x.reasons.map(reason => ({ finish: finishById(x.finish.id)!, reason })))
const customs = (a: Answer, ...ids: string[]) =>
  reasons(a)
    .filter(({ reason }) => ids.includes(reason.custom?.id ?? ''))
    .map(({ finish, reason }) => ({ finish, text: reason.text }))
const shareOf = (a: Answer, kind: string) => {
  const food = a.assumed.find(x => x.path === 'forage')?.value as { kind: string; share: number }[] | undefined
  return food?.find(f => f.kind === kind)?.share ?? 0
}
const BAIT = ['shad', 'herring', 'shiner', 'mullet', 'menhaden', 'pilchard', 'golden-shiner', 'pinfish', 'glass-minnow']

export const QUARRELS: Readonly<Record<string, Quarrel>> = {
  'braid before a long look': (r, a) =>
    given(
      pace(r) === 'slow' && seesFar(r) && r.water.pressure !== 'low' && !isNight(r) && !inWeed(r),
      codes(a, 'line').flatMap(x => {
        const { leaderM, ...braids } = x.params as Record<string, number>
        // Where the clear leader shows as far it is no better, and what shows from a hand's breadth is no matter.
        const nearest = Math.min(...Object.values(braids))
        return x.code === 'line.braid' && leaderM! < 0.8 * nearest && nearest > 0.3 ? [x.text] : []
      }),
    ),
  'a line measured in hairs': (_, a) =>
    codes(a, 'line').flatMap(x => (/\b[1-4] cm|\b1 in\b/.test(x.text) ? [x.text] : [])),
  'two braids come out equal': (_, a) =>
    codes(a, 'line').flatMap(x => {
      const { greenBraidM: g, yellowBraidM: y, redBraidM: d } = x.params as Record<string, number>
      return g && y && d && g > NEAREST_M && g === y && y === d ? [x.text] : []
    }),
  'farther than a cast': (_, a) =>
    reasons(a).flatMap(({ reason }) =>
      reason.code === 'angler.follows' && Number(/(\d+) (?:m|ft)/.exec(reason.text)?.[1]) > 3.28 * CAST_M
        ? [reason.text]
        : [],
    ),
  'a ratio of nothing': (_, a) =>
    [
      ...reasons(a).map(x => x.reason),
      ...a.disagreements.flatMap(d => [{ params: d.says.optics.params, text: d.optics }]),
    ]
      .filter(x => /\btimes\b|twice/.test(x.text))
      .flatMap(x => {
        const { sightM = 1, nearM = 1, farM = 1 } = (x as { params: Record<string, number> }).params
        return Math.min(sightM, nearM, farM) < NEAREST_M ? [x.text] : []
      }),
  'faster where it is cold, dark or deep': (r, a) =>
    given(isCold(r) || isNight(r) || r.lure === 'deep-crankbait', withCode(a, 'retrieve.faster')),
  'cover water with what is held still': (r, a) =>
    given(pace(r) === 'slow' || isCold(r) || r.lure === 'crappie-jig', withCode(a, 'retrieve.cover-water')),
  'bigger for a crappie or in the cold': (r, a) =>
    given(r.lure === 'crappie-jig' || (isCold(r) && pace(r) === 'slow'), withCode(a, 'size.bigger')),
  'quieter and thump': (_, a) =>
    a.advisories.some(x => /quieter/.test(x.text))
      ? a.advisories.filter(x => /thump|loud/i.test(x.text)).map(x => x.text)
      : [],
  'bigger and smaller': (_, a) =>
    /\bbigger\b/i.test(a.advisories.map(x => x.text).join()) &&
    /\bsmaller\b/i.test(a.advisories.map(x => x.text).join())
      ? withCode(a, 'size.bigger', 'size.smaller')
      : [],
  'faster and slower': (_, a) =>
    a.advisories.some(x => /^faster/i.test(x.text)) && a.advisories.some(x => /^slow|let it hang/i.test(x.text))
      ? codes(a, 'retrieve').map(x => x.text)
      : [],
  'a dress-up that passes the first pick': (_, a) => a.dressUps.filter(d => /passes/.test(d.text)).map(d => d.text),
  'watermelon in mud': (r, a) =>
    given(
      word(r) === 'mud' && !lureType(r.lure).surface,
      a.rotation.filter(x => x.role === 'odd' && x.finish.families[0] === 'olive').map(x => x.finish.name),
    ),
  'blades blackened where nothing is clear': (r, a) =>
    given(
      !seesFar(r),
      a.dressUps.filter(d => d.code === 'dress.blacken-blades').map(d => d.text),
    ),
  'likeness of a loud one': (_, a) =>
    reasons(a)
      .filter(({ finish, reason }) => /^match\.(more-)?like-prey$/.test(reason.code) && finish.traits.vivid)
      .map(({ finish, reason }) => `${finish.name}: ${reason.text}`),
  'likeness of another bait': (_, a) =>
    reasons(a)
      .filter(({ finish, reason }) => {
        const { prey } = reason.params as { prey?: string }
        return /^match\.(more-)?like-prey$/.test(reason.code) && finish.mimics && finish.mimics !== prey
      })
      .map(({ finish, reason }) => `${finish.name}: ${reason.text}`),
  'a food the lure cannot be': (r, a) =>
    reasons(a)
      .filter(({ reason }) => {
        const { prey } = reason.params as { prey?: string }
        return (
          /^match\.(more-)?like-prey$/.test(reason.code) && !(lureType(r.lure).imitates as string[]).includes(prey!)
        )
      })
      .map(({ reason }) => reason.text),
  'pale at the boat': (_, a) => {
    const { tone } = finishById(a.ranked[0]!.finish.id)!.traits
    return tone !== 'light' && /plain and pale/.test(a.boatSide?.text ?? '') ? [a.boatSide!.text] : []
  },
  'matte of what shines': (_, a) =>
    customs(a, 'jerk-matte-pearl', 'jerk-matte-dim').flatMap(({ finish, text }) =>
      finish.traits.matte || !/matte/.test(text) ? [] : [text],
    ),
  'grass where there is none': (r, a) =>
    given(
      !inWeed(r),
      reasons(a)
        .filter(({ reason }) => /in the grass/.test(reason.text))
        .map(x => x.reason.text),
    ),
  'tannin in other water': (r, a) =>
    given(
      r.water.tint !== 'tea',
      reasons(a)
        .filter(({ reason }) => /tannin/i.test(reason.text))
        .map(x => x.reason.text),
    ),
  'weed over wood': (r, a) =>
    given(
      !inWeed(r) && r.light.canopy !== 'mat',
      withCode(a, 'safety.drain').filter(t => /^weed/i.test(t)),
    ),
  'day at night': (r, a) =>
    given(
      isNight(r),
      reasons(a)
        .filter(
          ({ reason }) =>
            /\bday\b(?!-)/i.test(reason.text) && !/as by day|ends of the day|edges of the day/.test(reason.text),
        )
        .map(x => x.reason.text),
    ),
  'bait about where there is hardly any': (_, a) =>
    given(
      BAIT.reduce((s, k) => s + shareOf(a, k), 0) < 0.25,
      reasons(a)
        .filter(({ reason }) => /bait about|with bait/i.test(reason.text))
        .map(x => x.reason.text),
    ),
  'cloud in a clear sky': (r, a) =>
    given(
      r.light.sky === 'clear',
      [...reasons(a).map(x => x.reason.text), ...a.rotation.map(x => x.why)].filter(t =>
        /\bcloud(?!s)|overcast/i.test(t),
      ),
    ),
  'calm in a wind, clear under cloud': (r, a) =>
    a.advisories
      .map(x => x.text)
      .filter(
        t =>
          (/\bcalm\b/i.test(t) && ['chop', 'strong'].includes(r.light.wind ?? 'calm')) ||
          (/^clear and calm/i.test(t) && !seesFar(r)),
      ),
  'a rod for a reason the optics contradict': (_, a) =>
    a.ranked.flatMap(x =>
      x.reasons
        .filter(
          q =>
            q.effect > 0 &&
            q.custom?.optics === 'contradicts' &&
            a.rotation.some(rod => rod.finishId === x.finish.id && rod.why === q.text),
        )
        .map(q => q.text),
    ),
  'a lot where little is told': (r, a) =>
    given(a.colourMatters.level === 'much' && (r.light.canopy === 'mat' || depthOf(r, a) > 3.5 * r.water.visibilityM), [
      a.colourMatters.text,
    ]),
  'thump of what makes none': (r, a) =>
    given(
      !lureType(r.lure).powers.some(p => p === 'spins' || p === 'rattles'),
      /thump/.test(a.colourMatters.text) ? [a.colourMatters.text] : [],
    ),
  'brighter of what is dark': (_, a) =>
    [...a.disagreements.map(d => d.when), a.closeCall?.text ?? ''].filter(t =>
      /the brighter it is, the brighter/.test(t),
    ),
  'grammar': (_, a) =>
    [
      ...a.rotation.map(x => x.why),
      a.colourMatters.text,
      ...reasons(a).map(x => x.reason.text),
      a.closeCall?.text ?? '',
      ...a.dressUps.map(x => x.text),
    ].filter(t =>
      /Between light and dark than|can tell 1 apart|\blike (insect|frog)\b(?!s)|any of [^;.]+; [^;.]+ or /.test(t),
    ),
  'words of the house': (_, a) =>
    [...reasons(a).map(x => x.reason.text), a.boatSide?.text ?? ''].filter(t =>
      /middle of the box|small(er)? points|half lost at once/i.test(t),
    ),
  'odds that do not add up': (_, a) => {
    const food = a.assumed.find(x => x.path === 'forage')?.value as { share: number }[] | undefined
    const { rest = 0 } = (a.assumed.find(x => x.path === 'forage')?.params ?? {}) as { rest?: number }
    const sum = food?.reduce((s, f) => s + f.share, rest) ?? 1
    return Math.abs(sum - 1) > 0.006 ? [`${sum}`] : []
  },
  'flash under pressure on the coast': (r, a) =>
    given(
      lureType(r.lure).salt && r.water.pressure === 'high' && seesFar(r) && !isNight(r),
      a.ranked[0]!.finish.traits.flash === 'high' && finishById(a.ranked[0]!.finish.id)!.traits.vivid
        ? [a.ranked[0]!.finish.name]
        : [],
    ),
  'no word on the flats': (r, a) =>
    given(
      r.water.salinity !== 'fresh' &&
        ['sand', 'dark-mud', 'oyster'].includes(r.background ?? '') &&
        (r.depthM ?? lureType(r.lure).depthM) < 1.2,
      withCode(a, 'safety.wading').length ? [] : ['no stingrays, no soft ground'],
    ),
  'a fish kept without a word of rules': (r, a) =>
    given(
      !/th-bass|spotted/.test(r.species ?? 'largemouth-bass') && !lureType(r.lure).surface,
      withCode(a, 'safety.keeping').length ? [] : ['no limits, no advisories'],
    ),
}

/** Every quarrel in an answer: its class, and what was said. */
export const quarrelsOf = (r: Request, a: Answer): { quarrel: string; said: string }[] =>
  Object.entries(QUARRELS).flatMap(([quarrel, of]) => of(r, a).map(said => ({ quarrel, said })))
