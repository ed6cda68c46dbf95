import type { Answer } from '#core/ranking/answer'
import type { Request } from '#core/request/request'

/** What the field says leads, as a question and a look at the finishes in the first place. */
export interface Claim {
  says: string
  asks: Request
  /** The names of which one must stand in the first place; or what the answer must show. */
  leads?: RegExp
  shows?: (a: Answer) => boolean
}

type Light = Request['light']
const light = (sky: Light['sky'], sunElevationDeg: number, more: Partial<Light> = {}): Light => ({
  sky,
  sunElevationDeg,
  ...more,
})
const water = (
  visibilityM: number,
  tint: Request['water']['tint'],
  temperatureC: number,
  more: Partial<Request['water']> = {},
): Request['water'] => ({ visibilityM, tint, temperatureC, ...more })
const salt = { salinity: 'salt' } as const
const says = (a: Answer, words: RegExp) => a.advisories.some(x => words.test(x.text))

/** The field's claims, in the order of the table of docs/science/ranking.md. */
export const CLAIMS: readonly Claim[] = [
  {
    says: 'A matte pearl jerkbait at about 0.6 m, dim and cool, before the spawn',
    asks: { lure: 'jerkbait', water: water(0.6, 'green', 12), light: light('overcast', 30), season: 'prespawn' },
    leads: /^Matte pearl$/,
  },
  {
    says: 'and again in autumn',
    asks: { lure: 'jerkbait', water: water(0.65, 'mixed', 15), light: light('overcast', 30), season: 'autumn' },
    leads: /^Matte pearl$/,
  },
  {
    says: 'Gold on the lipless bait when stained and overcast',
    asks: { lure: 'lipless-crankbait', water: water(0.8, 'green', 16), light: light('overcast', 40) },
    leads: /^Gold/,
  },
  {
    says: 'Gold too in stained autumn water without sun',
    asks: {
      lure: 'lipless-crankbait',
      water: water(0.7, 'tea', 20),
      light: light('overcast', 40),
      season: 'autumn',
    },
    leads: /^Gold/,
  },
  {
    says: 'The lipless bait is crawfish in a light stain before the spawn',
    asks: { lure: 'lipless-crankbait', water: water(1.1, 'mixed', 12), light: light('partly', 40), season: 'prespawn' },
    leads: /craw|red/i,
  },
  {
    says: 'chrome or bone as it clears',
    asks: {
      lure: 'lipless-crankbait',
      water: water(3, 'green', 20),
      light: light('clear', 50),
      forage: [{ kind: 'shad', share: 1 }],
    },
    leads: /chrome|bone|silver|prism/i,
  },
  {
    says: 'fire-bright in mud',
    asks: { lure: 'lipless-crankbait', water: water(0.2, 'brown', 20), light: light('partly', 50) },
    leads: /^Fire-bright$/,
  },
  {
    says: 'A see-through deep crankbait with a blue sheen at 4 to 8 m',
    asks: { lure: 'deep-crankbait', water: water(5, 'blue-clear', 24), light: light('clear', 50), season: 'summer' },
    leads: /blue sheen/,
  },
  {
    says: 'One reaction chartreuse-blue for the ledges',
    asks: {
      lure: 'deep-crankbait',
      school: 'reaction',
      water: water(1.5, 'green', 27),
      light: light('clear', 60),
      season: 'summer',
    },
    leads: /^Chartreuse, blue back$/,
  },
  {
    says: 'The deep winter spoon is white with some flash',
    asks: { lure: 'jigging-spoon', water: water(2, 'green', 9), light: light('overcast', 30), season: 'winter' },
    leads: /^White, silver flake$/,
  },
  {
    says: 'a gold or chartreuse tint on a second rod in clear sun',
    asks: { lure: 'jigging-spoon', water: water(4, 'blue-clear', 9), light: light('clear', 35), season: 'winter' },
    shows: a => a.rotation.some(r => r.finish.families.includes('gold') || r.finish.families.includes('chartreuse')),
  },
  {
    says: 'Bone is the plug under cloud',
    asks: { lure: 'walking-topwater', water: water(1.5, 'green', 22), light: light('overcast', 40) },
    leads: /^Bone/,
  },
  {
    says: 'Bone or silver with a bright throat at noon',
    asks: { lure: 'walking-topwater', water: water(2, 'green', 24), light: light('clear', 60) },
    leads: /^(Bone|Chrome), orange chin$/,
  },
  {
    says: 'Gold in tea water in calm sun',
    asks: { lure: 'popper', water: water(0.9, 'tea', 24), light: light('clear', 45) },
    leads: /^Gold/,
  },
  {
    says: 'Red head and white when bait is thick',
    asks: {
      lure: 'popper',
      water: water(1.5, 'green', 24),
      light: light('partly', 40),
      forage: [{ kind: 'shad', share: 1 }],
    },
    leads: /red head/,
  },
  {
    says: 'on the coast too',
    asks: {
      lure: 'walking-topwater',
      species: 'snook',
      water: water(1.5, 'green', 26, salt),
      light: light('partly', 40),
      forage: [{ kind: 'mullet', share: 1 }],
    },
    leads: /red head/,
  },
  {
    says: 'Black and blue first on a dirty-water jig',
    asks: { lure: 'casting-jig', water: water(0.3, 'brown', 20), light: light('partly', 45), background: 'wood' },
    leads: /^Black and blue$/,
  },
  {
    says: 'and on the bladed jig',
    asks: { lure: 'bladed-jig', water: water(0.3, 'brown', 18), light: light('overcast', 45) },
    leads: /^Black and blue/,
  },
  {
    says: 'White or chartreuse-white spinnerbaits with painted or gold blades under cloud',
    asks: { lure: 'spinnerbait', water: water(0.9, 'green', 18), light: light('overcast', 45) },
    leads: /^(White|Chartreuse and white), (gold|painted)/,
  },
  {
    says: 'A dirty-water spinnerbait in chartreuse and orange',
    asks: { lure: 'spinnerbait', water: water(0.35, 'brown', 18), light: light('partly', 40) },
    leads: /^Chartreuse and (orange|white, painted orange)/,
  },
  {
    says: 'All white or all black buzzbaits in dirty water',
    asks: { lure: 'buzzbait', water: water(0.35, 'brown', 22), light: light('overcast', 30) },
    leads: /^All (white|black)$/,
  },
  {
    says: 'A gold spoon for red drum',
    asks: {
      lure: 'inshore-spoon',
      species: 'red-drum',
      water: water(1, 'green', 22, salt),
      light: light('partly', 45),
    },
    leads: /^Gold/,
  },
  {
    says: 'also where it is clear',
    asks: {
      lure: 'inshore-spoon',
      species: 'red-drum',
      water: water(2.5, 'green', 22, salt),
      light: light('clear', 55),
    },
    leads: /^Gold/,
  },
  {
    says: 'Dark purple at night inshore',
    asks: {
      lure: 'inshore-twitchbait',
      species: 'snook',
      water: water(1.5, 'green', 26, salt),
      light: light('clear', -30, { lamps: true }),
    },
    leads: /^Dark purple$/,
  },
  {
    says: 'A see-through jerkbait in very clear calm water',
    asks: { lure: 'jerkbait', water: water(6, 'blue-clear', 14), light: light('clear', 50) },
    leads: /^See-through/,
  },
  {
    says: 'White frogs under cloud where the few colours rule',
    asks: {
      lure: 'walking-frog',
      school: 'few-colours',
      water: water(2.5, 'green', 26),
      light: light('overcast', 45),
      background: 'green-weed',
    },
    leads: /^White/,
  },
  {
    says: 'black ones under sun in dirtier water',
    asks: {
      lure: 'walking-frog',
      school: 'few-colours',
      water: water(0.5, 'green', 26),
      light: light('clear', 55),
      background: 'green-weed',
    },
    leads: /^Black/,
  },
  {
    says: 'Black with blue or red under mats in dull dirty water',
    asks: {
      lure: 'craw',
      water: water(0.6, 'green', 26),
      light: light('overcast', 45, { canopy: 'mat' }),
      background: 'green-weed',
    },
    leads: /^Black/,
  },
  {
    says: 'Bottom jigs stay natural in autumn, shad or not',
    asks: {
      lure: 'casting-jig',
      water: water(0.9, 'green', 18, { prey: ['shad', 'crawfish', 'sunfish'] }),
      light: light('partly', 40),
      season: 'autumn',
      background: 'rock',
    },
    leads: /brown|green pumpkin|craw|sunfish|black/i,
  },
  {
    says: 'so do tubes',
    asks: {
      lure: 'tube',
      water: water(0.9, 'green', 18, { prey: ['shad', 'crawfish', 'sunfish'] }),
      light: light('partly', 40),
      season: 'autumn',
      background: 'rock',
    },
    leads: /brown|green pumpkin|craw|black/i,
  },
  {
    says: 'Crawfish reds and browns from winter into pre-spawn',
    asks: {
      lure: 'shallow-crankbait',
      water: water(1, 'green', 12),
      light: light('partly', 40),
      season: 'prespawn',
    },
    leads: /craw|red/i,
  },
  {
    says: 'Sunfish colours from the spawn to early summer',
    asks: {
      lure: 'shallow-crankbait',
      water: water(1.5, 'green', 19),
      light: light('partly', 50),
      season: 'spawn',
    },
    leads: /sunfish/i,
  },
  {
    says: 'Clear-water crappie on see-through, sky blue, salt and pepper',
    asks: { lure: 'crappie-jig', species: 'crappie', water: water(4, 'green', 16), light: light('clear', 50) },
    leads: /Sky blue|Smoke|Salt|Clear/,
  },
  {
    says: 'off-colour crappie on pink, white, red or purple with chartreuse',
    asks: { lure: 'crappie-jig', species: 'crappie', water: water(0.7, 'green', 16), light: light('partly', 50) },
    leads: /^(Pink|White|Red|Purple)/,
  },
  {
    says: 'dirty-water crappie on orange, lime or gold with chartreuse',
    asks: { lure: 'crappie-jig', species: 'crappie', water: water(0.35, 'brown', 16), light: light('partly', 50) },
    leads: /^(Orange|Lime|Gold), chartreuse tail$/,
  },
  {
    says: 'Orange with chartreuse is the provoker in gin water',
    asks: {
      lure: 'shallow-crankbait',
      water: water(6, 'blue-clear', 16),
      light: light('clear', 50),
      bitesRefused: true,
    },
    leads: /^Orange and chartreuse$/,
  },
  {
    says: 'A pond without perch shows no perch, one without herring no herring',
    asks: {
      lure: 'shallow-crankbait',
      water: water(2.5, 'green', 20, { prey: ['sunfish', 'frog', 'crawfish'] }),
      light: light('clear', 50),
    },
    shows: a =>
      a.ranked.slice(0, 3).every(r => !/perch|herring|chrome, blue/i.test(r.finish.name)) &&
      a.ranked.some(r => r.reasons.some(x => x.code === 'prey.absent')),
  },
  {
    says: 'Weed and wood want braid, whatever the clarity, and nothing else is said of line',
    asks: {
      lure: 'stick-worm',
      water: water(3, 'green', 22, { pressure: 'high' }),
      light: light('clear', 50),
      background: 'green-weed',
    },
    shows: a => a.advisories.filter(x => x.kind === 'line').length === 1 && says(a, /^Cover wants braid/),
  },
  {
    says: 'Dock lights have two sides of their shadow line',
    asks: {
      lure: 'inshore-paddletail',
      species: 'seatrout',
      water: water(1.5, 'green', 24, salt),
      light: light('clear', -30, { lamps: true }),
    },
    shows: a => says(a, /shadow line; pale or see-through in the light, dark/),
  },
  {
    says: 'A moving tide is fished down-current and minded on soft mud',
    asks: {
      lure: 'inshore-paddletail',
      species: 'red-drum',
      water: water(0.6, 'mixed', 24, { ...salt, tide: 'falling' }),
      light: light('partly', 40),
    },
    shows: a => says(a, /Cast up-tide/) && says(a, /soft mud before you wade/),
  },
  {
    says: 'Cold-stunned fish and fish in hot water are minded',
    asks: {
      lure: 'inshore-paddletail',
      species: 'snook',
      water: water(1, 'green', 11, salt),
      light: light('clear', 40),
    },
    shows: a => says(a, /stunned by cold/) && !says(a, /die easily/),
  },
  {
    says: 'Surface lures have two watchers: a back the angler can follow is told of and costs nothing',
    asks: { lure: 'walking-frog', water: water(1.2, 'green', 26), light: light('clear', 1), background: 'green-weed' },
    shows: a =>
      a.ranked.every(r => r.anglerSightM !== null) &&
      a.ranked.some(r => r.reasons.some(x => x.code === 'angler.follows')),
  },
  {
    says: 'At night the dark shape rules from below',
    asks: { lure: 'walking-topwater', water: water(2, 'green', 24), light: light('clear', -30, { moon: 0.8 }) },
    leads: /black|dark/i,
  },
  {
    says: 'Slow lures in clear, pressured water get a clear leader, also at 3 to 5 m',
    asks: {
      lure: 'worm',
      water: water(4, 'green', 20, { pressure: 'high' }),
      light: light('clear', 45),
      background: 'gravel',
    },
    shows: a => says(a, /tie a clear leader/),
  },
  {
    says: 'In the cold nothing is hurried',
    asks: { lure: 'shallow-crankbait', water: water(3, 'green', 8), light: light('clear', 40) },
    shows: a => says(a, /will not chase/) && !says(a, /^Faster/),
  },
  {
    says: 'nor at night',
    asks: { lure: 'lipless-crankbait', water: water(3, 'green', 22), light: light('clear', -30) },
    shows: a => !says(a, /^Faster/),
  },
  {
    says: 'A crappie jig is held still, and never made bigger',
    asks: { lure: 'crappie-jig', species: 'crappie', water: water(0.35, 'brown', 15), light: light('partly', 40) },
    shows: a => says(a, /Hold it still/) && !says(a, /Bigger/),
  },
  {
    says: 'A fall in temperature asks for smaller and slower, and one deep knock or silence',
    asks: {
      lure: 'lipless-crankbait',
      water: water(1.5, 'green', 15, { trend: 'falling' }),
      light: light('clear', 40),
    },
    shows: a => says(a, /smaller, and slower/) && says(a, /one deep knock, or silent/),
  },
  {
    says: 'On beds the angler watches the lure',
    asks: { lure: 'tube', water: water(2.5, 'green', 18), light: light('clear', 50), season: 'spawn' },
    shows: a => says(a, /where you can watch it/),
  },
  {
    says: 'The first pick stays first: no dress-up passes it',
    asks: { lure: 'shallow-crankbait', water: water(0.6, 'brown', 18), light: light('partly', 40) },
    shows: a => a.dressUps.every(d => !/passes/.test(d.text)),
  },
  {
    says: 'Mud gets no quiet green on the third rod',
    asks: { lure: 'craw', water: water(0.15, 'brown', 20), light: light('partly', 40) },
    shows: a => a.rotation[2]!.finish.families[0] !== 'olive',
  },
  {
    says: 'A listed goby is half and more of what smallmouth eat',
    asks: {
      lure: 'tube',
      species: 'smallmouth-bass',
      water: water(4, 'blue-clear', 18, { prey: ['goby', 'crawfish', 'yellow-perch'] }),
      light: light('clear', 45),
    },
    shows: a =>
      (a.assumed.find(x => x.path === 'forage')!.value as { kind: string; share: number }[])[0]!.kind === 'goby' &&
      (a.assumed.find(x => x.path === 'forage')!.value as { share: number }[])[0]!.share >= 0.5,
  },
  {
    says: 'Fry seen at 19 °C end the spawn',
    asks: {
      lure: 'swimbait',
      water: water(1.5, 'green', 19, { trend: 'rising' }),
      light: light('clear', 45),
      clues: ['fry'],
    },
    shows: a =>
      a.assumed.find(x => x.path === 'season')!.value === 'postspawn' ||
      a.assumed.some(x => x.path === 'forage' && (x.value as { kind: string }[])[0]!.kind === 'fry'),
  },
  {
    says: 'Bladed jigs in warming tea know the craw',
    asks: {
      lure: 'bladed-jig',
      water: water(0.9, 'tea', 14, { trend: 'rising' }),
      light: light('partly', 40),
      season: 'prespawn',
      limit: 60,
    },
    shows: a => a.ranked.some(r => r.reasons.some(x => x.custom?.id === 'bladed-craw-tea')),
  },
  {
    says: 'Inshore picks get quieter under pressure',
    asks: {
      lure: 'inshore-paddletail',
      species: 'seatrout',
      water: water(2.5, 'blue-clear', 22, { ...salt, pressure: 'high' }),
      light: light('clear', 50),
    },
    shows: a => a.ranked.slice(0, 3).every(r => r.finish.traits.flash !== 'high'),
  },
  {
    says: 'Topwater at noon in the open is sent to the shade',
    asks: { lure: 'walking-topwater', water: water(2, 'green', 27), light: light('clear', 60) },
    shows: a => says(a, /High sun in the open/),
  },
  {
    says: 'and under the shade it is not',
    asks: {
      lure: 'walking-topwater',
      water: water(2, 'green', 27),
      light: light('clear', 60, { canopy: 'trees-or-dock' }),
    },
    shows: a => !says(a, /High sun in the open/),
  },
  {
    says: 'Under a mat nobody gets a long look at a colour',
    asks: {
      lure: 'casting-jig',
      water: water(2.5, 'green', 24, { pressure: 'high' }),
      light: light('clear', 60, { canopy: 'mat' }),
      background: 'green-weed',
    },
    shows: a => a.colourMatters.level !== 'much' && says(a, /clean, drain and dry/),
  },
  {
    says: 'A fish that is kept has its limits',
    asks: { lure: 'inshore-spoon', species: 'red-drum', water: water(1, 'green', 22, salt), light: light('clear', 40) },
    shows: a => says(a, /size, bag and season limits/) && says(a, /stingrays/),
  },
  {
    says: 'A dark spoon is among the rods of winter',
    asks: { lure: 'jigging-spoon', water: water(3, 'green', 8), light: light('clear', 30), season: 'winter' },
    shows: a => a.rotation.some(x => x.finish.traits.tone === 'dark'),
  },
]
