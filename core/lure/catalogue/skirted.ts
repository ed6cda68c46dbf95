import type { PatternSet } from '#core/lure/pattern'

/**
 * Skirted lures: strands blend in the water into one half-transparent body, so a skirt is a base with shares of
 * others.
 */
export const SKIRTED: PatternSet = {
  'white': {
    name: 'White',
    blades: 'silver',
    bladeShape: 'leaf',
    parts: { skirt: 'white', blade: 'silver', head: 'white', trailer: 'white' },
  },
  'all-white': { name: 'All white', parts: { skirt: 'white', blade: 'white', head: 'white', trailer: 'white' } },
  'white-gold': {
    name: 'White',
    blades: 'gold',
    bladeShape: 'leaf',
    parts: { skirt: 'white', blade: 'gold', head: 'white', trailer: 'white' },
  },
  'white-chartreuse': {
    name: 'White and chartreuse',
    parts: { skirt: 'white+chartreuse*0.4', blade: 'silver', head: 'white', trailer: 'white' },
  },
  'chartreuse-white-gold': {
    name: 'Chartreuse and white',
    blades: 'gold',
    bladeShape: 'round',
    parts: { skirt: 'chartreuse:fluorescent+white*0.4', blade: 'gold', head: 'chartreuse', trailer: 'white' },
  },
  'chartreuse': {
    name: 'Chartreuse',
    parts: { skirt: 'chartreuse:fluorescent', blade: 'gold', head: 'chartreuse', trailer: 'chartreuse' },
  },
  'chartreuse-orange': {
    name: 'Chartreuse and orange',
    parts: { skirt: 'chartreuse:fluorescent+orange*0.3', blade: 'copper', head: 'orange', trailer: 'chartreuse' },
  },
  'chartreuse-blue': {
    name: 'Chartreuse and blue',
    parts: { skirt: 'chartreuse:fluorescent+blue*0.3', blade: 'chartreuse', head: 'blue', trailer: 'chartreuse' },
  },
  'fire-bright': {
    name: 'Fire-bright',
    parts: {
      skirt: 'chartreuse:fluorescent+orange*0.25+green*0.2',
      blade: 'orange',
      head: 'orange',
      trailer: 'chartreuse',
    },
  },
  'all-black': { name: 'All black', parts: { skirt: 'black', blade: 'black', head: 'black', trailer: 'black' } },
  'black-blue': {
    name: 'Black and blue',
    parts: { skirt: 'black+blue*0.35', blade: 'black', head: 'black', trailer: 'black+~blue*0.1' },
  },
  'black-blue-silver': {
    name: 'Black and blue',
    blades: 'silver',
    parts: { skirt: 'black+blue*0.35', blade: 'silver', head: 'black', trailer: 'dark-blue' },
  },
  'black-red': {
    name: 'Black and red',
    parts: { skirt: 'black+red*0.25', blade: 'black', head: 'black', trailer: 'black+~red*0.1' },
  },
  'black-purple': {
    name: 'Black and purple',
    parts: { skirt: 'black+purple*0.35', blade: 'black', head: 'black', trailer: 'plum' },
  },
  'black-chartreuse': {
    name: 'Black and chartreuse',
    parts: { skirt: 'black+chartreuse*0.25', blade: 'gold', head: 'black', trailer: 'black' },
  },
  'brown-purple': {
    name: 'Brown and purple',
    parts: { skirt: 'brown+purple*0.25', blade: 'bronze', head: 'brown', trailer: 'brown+~purple*0.1' },
    mimics: 'crawfish',
  },
  'brown-orange': {
    name: 'Brown and orange',
    parts: { skirt: 'brown+orange*0.2', blade: 'copper', head: 'brown', trailer: 'brown+orange*0.15' },
    mimics: 'crawfish',
  },
  'red-craw': {
    name: 'Red craw',
    parts: { skirt: 'dark-red+orange*0.25+black*0.15', blade: 'copper', head: 'dark-red', trailer: 'red' },
    mimics: 'crawfish',
  },
  'green-pumpkin': {
    name: 'Green pumpkin',
    parts: { skirt: 'olive', blade: 'black', head: 'olive', trailer: 'olive+black*0.08' },
    mimics: 'crawfish',
  },
  'green-pumpkin-orange': {
    name: 'Green pumpkin and orange',
    parts: { skirt: 'olive+orange*0.15', blade: 'bronze', head: 'olive', trailer: 'olive' },
    mimics: 'crawfish',
  },
  'watermelon-red': {
    name: 'Watermelon, red flake',
    parts: { skirt: 'watermelon+~red*0.06', blade: 'nickel', head: 'watermelon', trailer: 'watermelon+~red*0.08' },
  },
  'sunfish': {
    name: 'Sunfish',
    parts: { skirt: 'olive+blue*0.14+amber*0.18', blade: 'bronze', head: 'olive', trailer: 'olive+amber*0.15' },
    mimics: 'sunfish',
  },
  'green-sunfish': {
    name: 'Green pumpkin, blue and chartreuse strands',
    parts: { skirt: 'olive+sky-blue*0.12+chartreuse*0.12', blade: 'gold', head: 'olive', trailer: 'olive' },
    mimics: 'sunfish',
  },
  'perch': {
    name: 'Yellow perch',
    parts: {
      skirt: 'olive-gold+yellow*0.2+black*0.2+orange*0.1',
      blade: 'gold',
      head: 'olive-gold',
      trailer: 'olive-gold',
    },
    mimics: 'yellow-perch',
  },
  'pearl-grey': {
    name: 'Pearl and grey shad',
    parts: { skirt: 'pearl+grey*0.3', blade: 'silver', head: 'pearl', trailer: 'pearl' },
    mimics: 'shad',
  },
  'ghost-shad': {
    name: 'See-through shad',
    parts: { skirt: 'clear+grey*0.2+~silver*0.15', blade: 'nickel', head: 'pearl', trailer: 'smoke' },
    mimics: 'shad',
  },
  'blue-shad': {
    name: 'Blue-back shad',
    parts: { skirt: 'pearl+sky-blue*0.25+~silver*0.1', blade: 'silver', head: 'pearl', trailer: 'pearl' },
    mimics: 'herring',
  },
  'gold-shiner': {
    name: 'Golden shiner',
    parts: { skirt: 'olive-gold+yellow*0.2+~gold*0.2', blade: 'gold', head: 'olive-gold', trailer: 'olive-gold' },
    mimics: 'golden-shiner',
  },
  'copper-brown': {
    name: 'Copper and brown',
    parts: { skirt: 'bronze+~copper*0.25', blade: 'copper', head: 'brown', trailer: 'brown' },
  },
  'hot-pink': {
    name: 'Pink',
    parts: { skirt: 'pink:fluorescent', blade: 'silver', head: 'pink', trailer: 'pale-pink' },
  },
  'white-mixed': {
    name: 'White',
    blades: 'gold and silver',
    parts: { skirt: 'white', blade: 'gold+~silver*0.5', head: 'white', trailer: 'white' },
  },
  'chartreuse-white-painted': {
    name: 'Chartreuse and white',
    blades: 'painted orange',
    parts: { skirt: 'chartreuse:fluorescent+white*0.4', blade: 'orange', head: 'chartreuse', trailer: 'white' },
  },
  'sunfish-gold': {
    name: 'Sunfish',
    blades: 'gold',
    bladeShape: 'leaf',
    parts: {
      skirt: 'olive+orange*0.15+chartreuse*0.12+blue*0.08',
      blade: 'gold',
      head: 'olive',
      trailer: 'olive+orange*0.15',
    },
    mimics: 'sunfish',
  },
  'bone': { name: 'Bone', parts: { skirt: 'bone', blade: 'bone', head: 'bone', trailer: 'bone' } },
}
