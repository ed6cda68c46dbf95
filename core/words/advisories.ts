import { type CoverId, coverKind } from '#core/cover/cover'
import { PASSAGE, PASSAGE_REASONS } from '#core/lure/passage'
import { LURES, type LureId } from '#core/lure/types'
import { PHASE_WORDS } from '#core/season/phase'
import { FELT_M } from '#core/sight/view'
import { type None, type Speech, cap, withArticle } from '#core/words/wording'

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
  'window.topwater-noon': (_: None) =>
    'High sun in the open: keep it to shade, docks and mats or broken water, or fish below the surface till evening.',
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
  'window.too-shallow': (p: { lure: LureId; fromM: number; waterM: number }, say: Speech) =>
    `${cap(withArticle(LURES[p.lure].words))} runs ${say.length(p.fromM)} down and deeper; the water is ` +
    `${say.length(p.waterM)}.`,
  'window.too-deep': (p: { lure: LureId; toM: number; waterM: number }, say: Speech) =>
    `${cap(withArticle(LURES[p.lure].words))} is felt along the bed to ${say.length(p.toM)}; the water is ` +
    `${say.length(p.waterM)}.`,
  'window.above-fish': (p: { lure: LureId; toM: number; fishM: number }, say: Speech) =>
    `${cap(withArticle(LURES[p.lure].words))} runs to ${say.length(p.toM)}; the fish lie at ${say.length(p.fishM)}.`,
  'window.hangs': ({ lure, cover }: { lure: LureId; cover: CoverId }) =>
    `It hangs in ${coverKind(cover).words}. ${PASSAGE_REASONS[PASSAGE[lure].because]}`,
  'window.frog-open': (_: None) => 'High sun and nothing over them: a frog wants cover to crawl across.',
  'window.on-beds': (_: None) => 'Fish sit on beds: what stays in the bed beats what swims past.',
  'window.inshore-in-fresh': (_: None) => 'An inshore lure in fresh water: set the salinity if this is the coast.',
  'window.say-the-bottom': (_: None) => 'Say what the bottom is: it is what the fish sees behind this lure.',

  'sound.silent': (_: None) => 'Clear and calm: the silent version.',
  'sound.loud': (_: None) =>
    'Little to see by: one that knocks and shakes water; close by it is felt, colour only finishes it.',
  'sound.thump': (_: None) => 'Little to see by: the thump of the blade is felt close by, colour only finishes it.',
  'sound.knock': (_: None) => 'Pressured fish: one deep knock, or silent when everyone else is loud.',
  'sound.front': (_: None) => 'After a fall in temperature: one deep knock, or silent.',
  'sound.drums': (_: None) => 'Drum and trout hear higher and farther than bass: a rattle counts for more.',

  'size.bigger': (_: None) => 'Bigger profile: they see little of it.',
  'size.smaller-falling': (_: None) => 'After a fall in temperature: smaller, and slower.',
  'size.smaller': (_: None) => 'Smaller profile: they see far and are wary.',

  'line.leader': (p: LineRanges, say: Speech) =>
    `Where they inspect, tie a clear leader, and tie it anew when it is nicked: a level fish sees it ` +
    `${from(p.leaderM, say)}, ${braids(p, say)}.`,
  'line.braid': (p: LineRanges, say: Speech) =>
    `Braid straight through will do: a level fish sees ${braids(p, say)}, a clear leader ` + `${from(p.leaderM, say)}.`,
  'line.hidden': (_: None) => 'Braid straight through will do: no fish sees any line here before it has the lure.',
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
  'retrieve.beds': (_: None) =>
    'Fish on beds: put it where you can watch it, wear what you can see, and leave it there.',
  'retrieve.hold': (_: None) => 'Hold it still just above them: they look up, and seldom go down for it.',
  'retrieve.knock-along': (_: None) => 'Dig it down to the bottom, knock along it, and stop after each hit.',
  'retrieve.slower': (_: None) => 'Slower than you like, with stops: they will not chase.',
  'retrieve.night': (_: None) => 'Slow and even, so that they can find it in the dark.',
  'retrieve.tide': (_: None) => 'Cast up-tide and bring it down with the current, as bait comes.',

  'safety.storm': (_: None) => 'Building storm or lightning: get off the water.',
  'safety.cold': ({ temperatureC }: { temperatureC: number }, say: Speech) =>
    `Water at ${say.temperature(temperatureC)}: cold shock. Wear a life jacket and do not go alone.`,
  'safety.night': (_: None) => `Night: lights, life jacket, and someone told of the plan. ${LOCAL}`,
  'safety.wading': (_: None) => 'If you wade: mind tide and soft ground, and shuffle your feet for stingrays.',
  'safety.nests': (_: None) => `Fish on nests are closed or release-only in places. ${LOCAL}`,
  'safety.tide': (_: None) => 'The tide is moving: know the way off soft mud before you wade.',
  'safety.warm-release': ({ temperatureC }: { temperatureC: number }, say: Speech) =>
    `Fish released from ${say.temperature(temperatureC)} water die easily: land them fast, keep them wet. ${LOCAL}`,
  'safety.cold-stun': ({ temperatureC }: { temperatureC: number }, say: Speech) =>
    `At ${say.temperature(temperatureC)} these fish are stunned by cold; keeping them is closed in places. ${LOCAL}`,
  'safety.trebles': (_: None) => 'Treble hooks: pliers at hand, and nobody behind the cast.',
  'safety.lead': (_: None) => `Lead: wash before you eat; banned for some tackle in places. ${LOCAL}`,
  'safety.keeping': (_: None) =>
    'If you keep one: size, bag and season limits, and advisories on eating. Check local rules.',
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

/** Nothing is measured nearer than a hand's breadth. */
const from = (m: number, say: Speech) => (m < FELT_M ? 'only when it is upon it' : `from ${say.length(m)}`)
const braids = (p: LineRanges, say: Speech) =>
  `green braid ${from(p.greenBraidM, say)}, yellow ${from(p.yellowBraidM, say)}, ` + `red ${from(p.redBraidM, say)}`
