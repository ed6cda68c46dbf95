import { LURES, type LureId } from '#core/lure/types'
import { PHASE_WORDS } from '#core/season/phase'
import type { None, Speech } from '#core/words/wording'

const LOCAL = 'Check local rules.'

/** What goes with colour, and cautions. Temperatures in °C, lengths in m. */
export const ADVISORY_WORDS = {
  'window.whitecaps': (_: None) => 'Whitecaps bury a surface lure: a spinnerbait or bladed jig suits better.',
  'window.popping-frog-chop': (_: None) => 'A light chop is the most a popping frog wants.',
  'window.walking-frog-chop': (_: None) => 'In a chop a popping frog is heard where a walking frog is lost.',
  'window.frog-cold': ({ temperatureC }: { temperatureC: number }, say: Speech) =>
    `Frogs want warm water; at ${say.temperature(temperatureC)} fish a jig or a jerkbait.`,
  'window.topwater-cold': ({ temperatureC }: { temperatureC: number }, say: Speech) =>
    `Few fish come up in ${say.temperature(temperatureC)} water: a jerkbait does better.`,
  'window.swim-jig-beds': (_: None) => 'While fish sit on beds a bottom lure beats any horizontal one.',
  'window.swim-jig-warm': (_: None) =>
    'The swim jig is at its best before the water passes the low twenties (°C; mid seventies °F).',
  'window.swim-jig-dirty': (_: None) => "In dirty water a spinnerbait's blades call better than a swim jig.",
  'window.swim-jig-shad': (_: None) => 'Schooling shad in autumn favour a spinnerbait.',
  'window.spinnerbait-clear': (_: None) => 'Clear and calm: a swim jig is quieter than a spinnerbait.',
  'window.spinnerbait-grass': (_: None) => 'In thick grass a swim jig comes through cleaner.',
  'window.spoon-warm': (_: None) =>
    'Vertical spoons come into their own once the water is mixed and under about 13 °C (55 °F).',
  'window.jerkbait-dirty': (_: None) =>
    'A jerkbait needs to be seen: in dirty water a crankbait or bladed jig covers more.',
  'window.cold-for-spawn': ({ temperatureC }: { temperatureC: number }, say: Speech) =>
    `${say.temperature(temperatureC)} is cold for the ${PHASE_WORDS.spawn}; the season you set is kept.`,
  'window.warm-for-winter': ({ temperatureC }: { temperatureC: number }, say: Speech) =>
    `${say.temperature(temperatureC)} is warm for winter; the season you set is kept.`,
  'window.depth': (p: { lure: LureId; fromM: number; toM: number; depthM: number }, say: Speech) =>
    `A ${LURES[p.lure].words} runs ${say.length(p.fromM)} to ${say.length(p.toM)}; you set ${say.length(p.depthM)}.`,
  'window.inshore-in-fresh': (_: None) => 'An inshore lure in fresh water: set the salinity if this is the coast.',
  'window.say-the-bottom': (_: None) => 'Say what the bottom is: it is what the fish sees behind this lure.',

  'sound.silent': (_: None) => 'Clear and calm: the silent version.',
  'sound.loud': (_: None) => 'Little to see by: a loud rattle brings them near, colour only finishes it.',
  'sound.thump': (_: None) => 'Little to see by: thump brings them near, colour only finishes it.',
  'sound.knock': (_: None) => 'Pressured fish: one deep knock, or silent when everyone else is loud.',
  'sound.tight': (_: None) => 'Warm, active fish: a tight, high rattle.',

  'size.bigger': (_: None) => 'Bigger profile: they see little of it.',
  'size.smaller': (_: None) => 'Smaller profile: they see far and are wary.',

  'line.leader': (p: LineRanges, say: Speech) =>
    `Where they inspect, tie a clear leader: a level fish sees it from ${say.length(p.leaderM)}, ${braids(p, say)}.`,
  'line.braid': (p: LineRanges, say: Speech) =>
    `Braid straight through will do: a level fish sees ${braids(p, say)}, a clear leader from ` +
    `${say.length(p.leaderM)}.`,
  'line.cover': (p: LineRanges, say: Speech) =>
    `Cover wants braid straight through: a level fish sees ${braids(p, say)}.`,

  'retrieve.frog': (_: None) =>
    'A few twitches and a long pause, longer in open pockets; answer a miss within seconds with a slow-falling soft ' +
    'bait.',
  'retrieve.topwater': (_: None) =>
    'Answer a boil or a miss within seconds with a slow-falling soft bait on the second rod.',
  'retrieve.swim-jig': (_: None) => 'Steady, just in sight.',
  'retrieve.faster': (_: None) => 'Faster where they see far, so they cannot inspect it.',
  'retrieve.cover-water': (_: None) => 'Cover water first; slow down only once fish are found.',
  'retrieve.pause': (_: None) => 'Let it hang between twitches: longer the colder the water.',
  'retrieve.fall': (_: None) => 'Watch the line as it falls: most take it on the drop or at the first move.',
  'retrieve.lift': (_: None) => 'Lift and let it drop on a line just tight; they take it on the drop.',
  'retrieve.slow-steady': (_: None) => 'Slow and steady, with a stop where a follower would decide.',
  'retrieve.shadow-line': (_: None) =>
    'Dock lights: work the shadow line; pale or see-through in the light, dark where it comes out of the shadow.',
  'retrieve.tide': (_: None) => 'Cast up-tide and bring it down with the current, as bait comes.',

  'safety.storm': (_: None) => 'Building storm or lightning: get off the water.',
  'safety.cold': ({ temperatureC }: { temperatureC: number }, say: Speech) =>
    `Water at ${say.temperature(temperatureC)}: cold shock. Wear a life jacket and do not go alone.`,
  'safety.night': (_: None) => `Night: lights, life jacket, and someone told of the plan. ${LOCAL}`,
  'safety.wading': (_: None) => 'Wading a flat: mind tide and soft mud, and shuffle your feet for stingrays.',
  'safety.nests': (_: None) => `Fish on nests are closed or release-only in places. ${LOCAL}`,
  'safety.tide': (_: None) => 'The tide is moving: know the way off soft mud before you wade.',
  'safety.warm-release': ({ temperatureC }: { temperatureC: number }, say: Speech) =>
    `Fish released from ${say.temperature(temperatureC)} water die easily: land them fast, keep them wet. ${LOCAL}`,
  'safety.cold-stun': ({ temperatureC }: { temperatureC: number }, say: Speech) =>
    `At ${say.temperature(temperatureC)} these fish are stunned by cold; keeping them is closed in places. ${LOCAL}`,
  'safety.trebles': (_: None) => 'Treble hooks: pliers at hand, and nobody behind the cast.',
  'safety.lead': (_: None) => `Lead: wash before you eat; banned for some tackle in places. ${LOCAL}`,
  'safety.drain': (_: None) => 'Weed travels: clean, drain and dry before the next water.',
  'safety.glare': (_: None) => 'Sun and glare: polarised glasses, which also stop hooks.',
} as const

/** From how far each line shows beside the lure to a level fish, m. */
interface LineRanges {
  greenBraidM: number
  yellowBraidM: number
  redBraidM: number
  leaderM: number
}

const braids = (p: LineRanges, say: Speech) =>
  `green braid from ${say.length(p.greenBraidM)}, yellow from ${say.length(p.yellowBraidM)}, ` +
  `red from ${say.length(p.redBraidM)}`
