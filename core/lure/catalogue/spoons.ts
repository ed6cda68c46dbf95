import type { PatternSet } from '#core/lure/pattern'

/** Spoons: the blade is the body; a tint along the back; a dressed hook for a trailer. */
export const SPOONS: PatternSet = {
  'silver': { name: 'Silver', parts: { blade: 'silver', back: 'silver', trailer: 'white' } },
  'chrome-blue': {
    name: 'Chrome, blue back',
    parts: { blade: 'chrome', back: 'blue', trailer: 'white' },
    mimics: 'herring',
  },
  'silver-green': {
    name: 'Silver, green back',
    parts: { blade: 'silver', back: 'green', trailer: 'white' },
    mimics: 'pilchard',
  },
  'silver-chartreuse': {
    name: 'Silver, chartreuse stripe',
    parts: { blade: 'silver', back: 'chartreuse:fluorescent', trailer: 'chartreuse' },
  },
  'prism': {
    name: 'Silver prism',
    parts: { blade: 'silver:holographic', back: 'silver:holographic', trailer: 'white' },
  },
  'nickel': { name: 'Dull nickel', parts: { blade: 'nickel', back: 'slate', trailer: 'grey' } },
  'gold': { name: 'Gold', parts: { blade: 'gold', back: 'gold', trailer: 'white' } },
  'gold-chartreuse': {
    name: 'Gold, chartreuse tint',
    parts: { blade: 'gold', back: 'chartreuse:fluorescent', trailer: 'chartreuse' },
  },
  'gold-orange': { name: 'Gold, orange back', parts: { blade: 'gold', back: 'orange', trailer: 'orange' } },
  'gold-black': { name: 'Gold, black back', parts: { blade: 'gold', back: 'black', trailer: 'black' } },
  'brass': { name: 'Brass', parts: { blade: 'brass', back: 'brass', trailer: 'brown' } },
  'copper': { name: 'Copper', parts: { blade: 'copper', back: 'copper', trailer: 'orange' } },
  'white': { name: 'White', parts: { blade: 'white', back: 'white', trailer: 'white' } },
  'white-flash': {
    name: 'White, silver flake',
    parts: { blade: 'white+~silver*0.3', back: 'white', trailer: 'white' },
  },
  'pearl': { name: 'Pearl', parts: { blade: 'pearl', back: 'grey', trailer: 'white' } },
  'glow': { name: 'Glow', parts: { blade: 'glow', back: 'glow', trailer: 'white' } },
  'pink-silver': { name: 'Silver, pink back', parts: { blade: 'silver', back: 'pink', trailer: 'white' } },
  'bone': { name: 'Bone', parts: { blade: 'bone', back: 'bone', trailer: 'bone' } },
  'red-white': { name: 'White, red back', parts: { blade: 'white', back: 'red', trailer: 'white' } },
  'pink': { name: 'Pink', parts: { blade: 'pink:fluorescent', back: 'pink', trailer: 'pink' } },
  'chartreuse': {
    name: 'Chartreuse',
    parts: { blade: 'chartreuse:fluorescent', back: 'chartreuse', trailer: 'chartreuse' },
  },
  'black': { name: 'Black', parts: { blade: 'black', back: 'black', trailer: 'black' } },
  'purple-dark': { name: 'Dark purple', parts: { blade: 'plum', back: 'black', trailer: 'black' } },
}
