import type { PatternSet } from '#core/lure/pattern'

/** Soft plastics: the body is the flank; some have a tail dipped in another colour. */
export const SOFTS: PatternSet = {
  'green-pumpkin': { name: 'Green pumpkin', parts: { flank: 'olive', tail: 'olive' } },
  'green-pumpkin-black': {
    name: 'Green pumpkin, black flake',
    parts: { flank: 'olive+black*0.12', tail: 'olive+black*0.12' },
  },
  'green-pumpkin-purple': {
    name: 'Green pumpkin, purple flake',
    parts: { flank: 'olive+~purple*0.1', tail: 'olive+~purple*0.1' },
  },
  'green-pumpkin-blue': {
    name: 'Green pumpkin, blue flake',
    parts: { flank: 'olive+~blue*0.12', tail: 'olive' },
    mimics: 'sunfish',
  },
  'green-pumpkin-orange': {
    name: 'Green pumpkin, orange tips',
    parts: { flank: 'olive+black*0.06', tail: 'orange' },
    mimics: 'crawfish',
  },
  'green-pumpkin-chartreuse': {
    name: 'Green pumpkin, chartreuse tail',
    parts: { flank: 'olive+black*0.06', tail: 'chartreuse:fluorescent' },
  },
  'watermelon': { name: 'Watermelon', parts: { flank: 'watermelon:translucent', tail: 'watermelon:translucent' } },
  'watermelon-red': {
    name: 'Watermelon, red flake',
    parts: { flank: 'watermelon:translucent+~red*0.1', tail: 'watermelon:translucent' },
  },
  'watermelon-black': {
    name: 'Watermelon, black flake',
    parts: { flank: 'watermelon:translucent+black*0.1', tail: 'watermelon:translucent' },
  },
  'moss': { name: 'Moss green', parts: { flank: 'moss', tail: 'moss' } },
  'olive-gold': {
    name: 'Amber green, see-through',
    parts: { flank: 'olive-gold:translucent', tail: 'olive-gold:translucent' },
  },
  'grass': { name: 'Grass green', parts: { flank: 'grass:translucent+black*0.05', tail: 'grass' } },
  'black': { name: 'Black', parts: { flank: 'black', tail: 'black' } },
  'black-blue': { name: 'Black, blue flake', parts: { flank: 'black+~blue*0.14', tail: 'black+~blue*0.14' } },
  'black-blue-tips': { name: 'Black, blue tips', parts: { flank: 'black', tail: 'blue' } },
  'black-red': { name: 'Black, red flake', parts: { flank: 'black+~red*0.12', tail: 'black' } },
  'dark-blue': { name: 'Dark blue', parts: { flank: 'dark-blue', tail: 'dark-blue' } },
  'plum-green': { name: 'Plum, green flake', parts: { flank: 'plum+~green*0.1', tail: 'plum' } },
  'purple': { name: 'Purple', parts: { flank: 'purple', tail: 'purple' } },
  'red-craw': { name: 'Red craw', parts: { flank: 'dark-red+black*0.12', tail: 'red' }, mimics: 'crawfish' },
  'orange-craw': {
    name: 'Brown craw, orange tips',
    parts: { flank: 'brown+black*0.1', tail: 'orange' },
    mimics: 'crawfish',
  },
  'cinnamon': {
    name: 'Cinnamon, black flake',
    parts: { flank: 'cinnamon+black*0.1', tail: 'cinnamon' },
    mimics: 'crawfish',
  },
  'root-brown': {
    name: 'Root brown, green flake',
    parts: { flank: 'brown:translucent+~green*0.1', tail: 'brown:translucent' },
  },
  'brown-purple': {
    name: 'Brown and purple',
    parts: { flank: 'brown+~purple*0.14', tail: 'brown' },
    mimics: 'crawfish',
  },
  'sand': { name: 'Sand', parts: { flank: 'sand+black*0.05', tail: 'sand' } },
  'tan-craw': { name: 'Tan craw', parts: { flank: 'tan+brown*0.2', tail: 'tan' }, mimics: 'crawfish' },
  'smoke-silver': {
    name: 'Smoke, silver flake',
    parts: { flank: 'smoke+~silver*0.14', tail: 'smoke' },
    mimics: 'shad',
  },
  'smoke-purple': { name: 'Smoke, purple flake', parts: { flank: 'smoke+~purple*0.14', tail: 'smoke' } },
  'two-tone': {
    name: 'Green pumpkin over pearl, two-tone',
    parts: { flank: 'olive+pearl*0.45', tail: 'olive+pearl*0.45' },
  },
  'goby': {
    name: 'Goby brown',
    parts: { flank: 'tan+brown*0.45', tail: 'brown' },
    mimics: 'goby',
  },
  'clear-silver': { name: 'Clear, silver flake', parts: { flank: 'clear+~silver*0.1', tail: 'clear' }, mimics: 'shad' },
  'blue-smoke': {
    name: 'Blue smoke',
    parts: { flank: 'sky-blue:translucent+~silver*0.08', tail: 'sky-blue:translucent' },
    mimics: 'herring',
  },
  'white': { name: 'White', parts: { flank: 'white', tail: 'white' } },
  'white-chartreuse': { name: 'White, chartreuse tail', parts: { flank: 'white', tail: 'chartreuse:fluorescent' } },
  'pearl': { name: 'Pearl', parts: { flank: 'pearl', tail: 'pearl' }, mimics: 'shad' },
  'pearl-silver': {
    name: 'Pearl, silver flake',
    parts: { flank: 'pearl+~silver*0.12', tail: 'pearl' },
    mimics: 'shad',
  },
  'chartreuse': { name: 'Chartreuse', parts: { flank: 'chartreuse:fluorescent', tail: 'chartreuse:fluorescent' } },
  'chartreuse-black': {
    name: 'Chartreuse, black flake',
    parts: { flank: 'chartreuse:fluorescent+black*0.1', tail: 'chartreuse:fluorescent' },
  },
  'yellow': { name: 'Yellow', parts: { flank: 'yellow', tail: 'yellow' } },
  'pink': { name: 'Pink', parts: { flank: 'pink:fluorescent', tail: 'pink:fluorescent' } },
  'orange': { name: 'Orange', parts: { flank: 'orange:fluorescent', tail: 'orange:fluorescent' } },
}
