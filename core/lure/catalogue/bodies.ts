import type { PatternSet } from '#core/lure/pattern'

/**
 * Painted and moulded bodies: crankbaits, minnow plugs, surface plugs, swimbaits and inshore bodies.
 * Names are plain descriptions in our own words. Coats in the shorthand of core/finish/coat.ts.
 */
export const BODIES: PatternSet = {
  'chrome-blue': {
    name: 'Chrome, blue back',
    parts: { back: 'blue', flank: 'chrome', belly: 'white', tail: 'blue' },
    mimics: 'herring',
  },
  'chrome-black': {
    name: 'Chrome, black back',
    parts: { back: 'black', flank: 'chrome', belly: 'white', tail: 'black' },
  },
  'chrome-chin': {
    name: 'Chrome, orange chin',
    parts: { back: 'slate', flank: 'chrome', belly: 'white', chin: 'orange', tail: 'white' },
  },
  'silver-shad': {
    name: 'Silver shad',
    parts: { back: 'slate', flank: 'silver', belly: 'pearl', tail: 'grey' },
    mark: 'dot',
    mimics: 'shad',
  },
  'holo-shad': {
    name: 'Prism shad',
    parts: { back: 'grey', flank: 'silver:holographic', belly: 'white', tail: 'grey' },
    mimics: 'shad',
  },
  'pearl-shad': {
    name: 'Pearl shad, grey back',
    parts: { back: 'grey', flank: 'pearl', belly: 'white', tail: 'pearl' },
    mark: 'dot',
    mimics: 'shad',
  },
  'matte-pearl': {
    name: 'Matte pearl',
    parts: { back: 'pearl:matte', flank: 'pearl:matte', belly: 'pearl:matte', tail: 'pearl:matte' },
  },
  'bone': { name: 'Bone', parts: { back: 'bone', flank: 'bone', belly: 'bone', tail: 'bone' } },
  'bone-chin': {
    name: 'Bone, orange chin',
    parts: { back: 'bone', flank: 'bone', belly: 'bone', chin: 'orange', tail: 'bone' },
  },
  'bone-silver': {
    name: 'Bone, silver sides',
    parts: { back: 'bone', flank: 'silver:holographic+bone*0.4', belly: 'bone', tail: 'bone' },
    mimics: 'mullet',
  },
  'white': { name: 'Solid white', parts: { back: 'white', flank: 'white', belly: 'white', tail: 'white' } },
  'white-black-back': {
    name: 'White, black back',
    parts: { back: 'black', flank: 'white', belly: 'white', tail: 'white' },
  },
  'white-chartreuse': {
    name: 'White, chartreuse back',
    parts: { back: 'chartreuse', flank: 'white', belly: 'white', tail: 'chartreuse' },
  },
  'red-head': {
    name: 'White, red head',
    parts: { back: 'white', flank: 'white', belly: 'white', head: 'red', tail: 'white' },
  },
  'ghost-shad': {
    name: 'See-through shad',
    parts: { back: 'smoke', flank: 'clear+~silver*0.06', belly: 'clear', tail: 'clear' },
    mimics: 'shad',
  },
  'ghost-blue': {
    name: 'See-through, blue sheen',
    parts: { back: 'sky-blue:translucent', flank: 'clear+~silver*0.05', belly: 'pearl:translucent', tail: 'clear' },
    mimics: 'shad',
  },
  'ghost-olive': {
    name: 'See-through, olive back',
    parts: { back: 'olive:translucent', flank: 'clear+~silver*0.05', belly: 'clear', tail: 'clear' },
    mimics: 'shiner',
  },
  'smoke-shad': {
    name: 'Smoke, silver flake',
    parts: { back: 'smoke', flank: 'smoke+~silver*0.15', belly: 'clear', tail: 'smoke' },
    mimics: 'shad',
  },
  'blue-herring': {
    name: 'Blue-back herring',
    parts: { back: 'blue', flank: 'silver+white*0.35', belly: 'white', tail: 'sky-blue' },
    mimics: 'herring',
  },
  'chartreuse-blue': {
    name: 'Chartreuse, blue back',
    parts: { back: 'blue', flank: 'chartreuse:fluorescent', belly: 'chartreuse', tail: 'chartreuse' },
  },
  'chartreuse-black': {
    name: 'Chartreuse, black back',
    parts: { back: 'black', flank: 'chartreuse:fluorescent', belly: 'chartreuse', chin: 'orange', tail: 'chartreuse' },
    mark: 'bars',
  },
  'chartreuse': {
    name: 'Solid chartreuse',
    parts: { back: 'chartreuse', flank: 'chartreuse:fluorescent', belly: 'chartreuse', tail: 'chartreuse' },
  },
  'pearl-chartreuse-stripe': {
    name: 'Pearl, chartreuse stripe',
    parts: { back: 'pearl', flank: 'pearl+chartreuse*0.25', belly: 'pearl', tail: 'pearl' },
  },
  'chartreuse-brown': {
    name: 'Chartreuse, brown back',
    parts: { back: 'dark-brown', flank: 'chartreuse:fluorescent+brown*0.1', belly: 'chartreuse', tail: 'chartreuse' },
  },
  'metal-red': {
    name: 'Metallic red',
    parts: { back: 'black', flank: 'red:metallic+black*0.1', belly: 'orange', tail: 'red' },
    mimics: 'crawfish',
  },
  'ghost-purple': {
    name: 'See-through, purple back',
    parts: { back: 'violet:translucent', flank: 'clear+~silver*0.06', belly: 'clear', tail: 'clear' },
    mimics: 'herring',
  },
  'goby-brown': {
    name: 'Goby brown',
    parts: { back: 'dark-brown', flank: 'tan+brown*0.45', belly: 'cream', tail: 'brown' },
    mark: 'dot',
    mimics: 'goby',
  },
  'pink-silver': {
    name: 'Silver, pink back',
    parts: { back: 'pink', flank: 'silver', belly: 'white', tail: 'pale-pink' },
  },
  'spotted-trout': {
    name: 'Spotted trout',
    parts: { back: 'grass', flank: 'silver+pale-pink*0.2+black*0.08', belly: 'white', tail: 'lemon' },
    mark: 'dot',
    mimics: 'croaker',
  },
  'glass-minnow': {
    name: 'Glass minnow',
    parts: { back: 'smoke', flank: 'clear+~silver*0.25', belly: 'clear', tail: 'clear' },
    mimics: 'glass-minnow',
  },
  'sand-eel': {
    name: 'Sand eel',
    parts: { back: 'olive', flank: 'silver+olive*0.2', belly: 'white', tail: 'olive' },
    mimics: 'sand-eel',
  },
  'root-beer-chartreuse': {
    name: 'Root beer, chartreuse tail',
    parts: { back: 'brown', flank: 'brown:translucent+~copper*0.1', belly: 'brown', tail: 'chartreuse:fluorescent' },
  },
  'plum-chartreuse': {
    name: 'Plum, chartreuse tail',
    parts: { back: 'plum', flank: 'plum', belly: 'plum', tail: 'chartreuse:fluorescent' },
  },
  'smoke-pearl': {
    name: 'Smoke over pearl, two-tone',
    parts: { back: 'smoke', flank: 'pearl+smoke*0.4', belly: 'pearl', tail: 'smoke' },
  },
  'lemon-shad': {
    name: 'Lemon shad',
    parts: { back: 'slate', flank: 'lemon:pearl', belly: 'white', tail: 'lemon' },
    mimics: 'shad',
  },
  'gold-black': {
    name: 'Gold, black back',
    parts: { back: 'black', flank: 'gold', belly: 'gold', tail: 'gold' },
  },
  'gold-shiner': {
    name: 'Golden shiner',
    parts: { back: 'olive-gold', flank: 'gold', belly: 'cream', tail: 'olive-gold' },
    mark: 'scale',
    mimics: 'golden-shiner',
  },
  'gold-orange': {
    name: 'Gold, orange belly',
    parts: { back: 'black', flank: 'gold', belly: 'orange', tail: 'gold' },
  },
  'copper': {
    name: 'Copper',
    parts: { back: 'bronze', flank: 'copper', belly: 'amber', tail: 'copper' },
    mark: 'scale',
  },
  'red-craw': {
    name: 'Red craw',
    parts: { back: 'dark-red+black*0.3', flank: 'red+black*0.15', belly: 'orange', tail: 'red' },
    mark: 'craw',
    mimics: 'crawfish',
  },
  'dark-red-craw': {
    name: 'Dark red craw',
    parts: { back: 'black', flank: 'dark-red+black*0.2', belly: 'red', tail: 'dark-red' },
    mark: 'craw',
    mimics: 'crawfish',
  },
  'rust-craw': {
    name: 'Rust craw',
    parts: { back: 'brown', flank: 'rust+black*0.15', belly: 'orange', tail: 'rust' },
    mark: 'craw',
    mimics: 'crawfish',
  },
  'brown-craw': {
    name: 'Brown craw, cream belly',
    parts: { back: 'dark-brown', flank: 'brown+black*0.15', belly: 'cream', tail: 'brown' },
    mark: 'craw',
    mimics: 'crawfish',
  },
  'olive-craw': {
    name: 'Green craw, orange belly',
    parts: { back: 'moss', flank: 'olive+brown*0.25', belly: 'amber', tail: 'olive' },
    mark: 'craw',
    mimics: 'crawfish',
  },
  'fire-bright': {
    name: 'Fire-bright',
    parts: { back: 'green+black*0.3', flank: 'chartreuse:fluorescent+black*0.15', belly: 'orange', tail: 'orange' },
    mark: 'bars',
  },
  'orange-chartreuse': {
    name: 'Orange and chartreuse',
    parts: { back: 'orange', flank: 'chartreuse:fluorescent', belly: 'orange', tail: 'orange' },
  },
  'sunfish': {
    name: 'Sunfish, orange breast',
    parts: { back: 'moss', flank: 'olive-gold+blue*0.12+black*0.12', belly: 'amber', chin: 'orange', tail: 'moss' },
    mark: 'bars',
    mimics: 'sunfish',
  },
  'dark-sunfish': {
    name: 'Dark sunfish',
    parts: { back: 'dark-green', flank: 'olive+purple*0.15+black*0.1', belly: 'orange', tail: 'dark-green' },
    mark: 'bars',
    mimics: 'sunfish',
  },
  'pale-sunfish': {
    name: 'Pale sunfish',
    parts: { back: 'watermelon', flank: 'olive-gold+sky-blue*0.15', belly: 'cream', tail: 'watermelon' },
    mark: 'bars',
    mimics: 'sunfish',
  },
  'perch': {
    name: 'Yellow perch',
    parts: {
      back: 'dark-green',
      flank: 'olive-gold+yellow*0.3+black*0.2',
      belly: 'cream',
      chin: 'orange',
      tail: 'olive-gold',
    },
    mark: 'bars',
    mimics: 'yellow-perch',
  },
  'fry-green': {
    name: 'Young bass',
    parts: { back: 'moss', flank: 'olive-gold+black*0.12', belly: 'white', tail: 'moss' },
    mark: 'dot',
    mimics: 'fry',
  },
  'black': { name: 'Solid black', parts: { back: 'black', flank: 'black', belly: 'black', tail: 'black' } },
  'black-silver': {
    name: 'Black, silver flake',
    parts: { back: 'black', flank: 'black+~silver*0.1', belly: 'black', tail: 'black' },
  },
  'dark-brown': {
    name: 'Dark brown',
    parts: { back: 'dark-brown', flank: 'dark-brown', belly: 'dark-brown', tail: 'dark-brown' },
  },
  'black-orange': {
    name: 'Black, orange belly',
    parts: { back: 'black', flank: 'black', belly: 'orange', chin: 'orange', tail: 'black' },
  },
  'black-gold-hot': {
    name: 'Orange, yellow and black',
    parts: { back: 'black', flank: 'yellow:fluorescent+black*0.2', belly: 'orange', tail: 'orange' },
    mark: 'bars',
  },
  'dark-purple': { name: 'Dark purple', parts: { back: 'black', flank: 'plum', belly: 'purple', tail: 'plum' } },
  'hot-pink': { name: 'Pink', parts: { back: 'pink', flank: 'pink:fluorescent', belly: 'pale-pink', tail: 'pink' } },
  'pink-chartreuse': {
    name: 'Chartreuse, pink back',
    parts: { back: 'pink', flank: 'chartreuse:fluorescent', belly: 'chartreuse', tail: 'pink' },
  },
  'blue-back-white': {
    name: 'White, blue back',
    parts: { back: 'blue', flank: 'white', belly: 'white', tail: 'white' },
  },
  'mullet': {
    name: 'Mullet',
    parts: { back: 'slate', flank: 'silver+grey*0.25', belly: 'white', tail: 'grey' },
    mark: 'scale',
    mimics: 'mullet',
  },
  'pilchard': {
    name: 'Green-back pilchard',
    parts: { back: 'grass', flank: 'silver', belly: 'white', tail: 'lemon' },
    mimics: 'pilchard',
  },
  'menhaden': {
    name: 'Menhaden',
    parts: { back: 'slate', flank: 'silver+~gold*0.35', belly: 'white', tail: 'lemon' },
    mark: 'dot',
    mimics: 'menhaden',
  },
  'pinfish': {
    name: 'Pinfish',
    parts: { back: 'olive', flank: 'silver+yellow*0.25+sky-blue*0.1', belly: 'white', tail: 'olive' },
    mark: 'bars',
    mimics: 'pinfish',
  },
  'shrimp-amber': {
    name: 'Amber shrimp',
    parts: {
      back: 'amber:translucent',
      flank: 'amber:translucent+~gold*0.08',
      belly: 'clear',
      tail: 'amber:translucent',
    },
    mimics: 'shrimp',
  },
  'shrimp-pale': {
    name: 'Pale shrimp',
    parts: { back: 'smoke', flank: 'clear+sand*0.2', belly: 'clear', tail: 'sand:translucent' },
    mimics: 'shrimp',
  },
  'olive-white': {
    name: 'Olive back, white belly',
    parts: { back: 'olive', flank: 'white', belly: 'white', tail: 'white' },
  },
  'pearl-chartreuse-tail': {
    name: 'Pearl, chartreuse tail',
    parts: { back: 'pearl', flank: 'pearl', belly: 'white', tail: 'chartreuse:fluorescent' },
  },
  'olive-chartreuse-tail': {
    name: 'Green pumpkin, chartreuse tail',
    parts: { back: 'olive', flank: 'olive+black*0.08', belly: 'olive', tail: 'chartreuse:fluorescent' },
  },
  'red-gold-tail': {
    name: 'Root brown, gold flake',
    parts: { back: 'brown', flank: 'brown:translucent+~gold*0.15', belly: 'brown:translucent', tail: 'brown' },
    mimics: 'shrimp',
  },
  'crab-olive': {
    name: 'Crab olive',
    parts: { back: 'moss', flank: 'olive-gold+sky-blue*0.1', belly: 'cream', tail: 'moss' },
    mimics: 'crab',
  },
  'frog-green': {
    name: 'Frog green, pale belly',
    parts: { back: 'grass', flank: 'lime:matte+black*0.15', belly: 'white', tail: 'grass' },
    mark: 'dot',
    mimics: 'frog',
  },
  'clear': { name: 'Clear plastic', parts: { back: 'clear', flank: 'clear', belly: 'clear', tail: 'clear' } },
}
