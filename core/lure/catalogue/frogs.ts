import type { PatternSet } from '#core/lure/pattern'

/** Hollow frogs: the fish sees belly and legs (the skirt), the angler sees the back. */
export const FROGS: PatternSet = {
  'white': { name: 'White', parts: { back: 'white', belly: 'white', skirt: 'white' } },
  'white-chartreuse-back': {
    name: 'White belly, chartreuse back',
    parts: { back: 'chartreuse:fluorescent', belly: 'white', skirt: 'white+chartreuse*0.3' },
  },
  'pearl-shad': {
    name: 'Pearl, grey back',
    parts: { back: 'grey', belly: 'pearl', skirt: 'pearl+grey*0.25' },
    mimics: 'shad',
  },
  'bone': { name: 'Bone', parts: { back: 'bone', belly: 'bone', skirt: 'bone' } },
  'black': { name: 'Black', parts: { back: 'black', belly: 'black', skirt: 'black' } },
  'black-yellow-back': { name: 'Black belly, yellow back', parts: { back: 'yellow', belly: 'black', skirt: 'black' } },
  'black-blue': { name: 'Black and blue', parts: { back: 'black', belly: 'dark-blue', skirt: 'black+blue*0.35' } },
  'green-white': {
    name: 'Green back, white belly',
    parts: { back: 'grass+black*0.2', belly: 'white', skirt: 'white+grass*0.3' },
    mimics: 'frog',
  },
  'green-yellow': {
    name: 'Green back, yellow belly',
    parts: { back: 'dark-green+black*0.2', belly: 'lemon', skirt: 'lemon+green*0.3' },
    mimics: 'frog',
  },
  'brown-cream': {
    name: 'Brown back, cream belly',
    parts: { back: 'brown+black*0.2', belly: 'cream', skirt: 'cream+brown*0.35' },
    mimics: 'frog',
  },
  'olive-dark': { name: 'Dark olive', parts: { back: 'moss', belly: 'olive', skirt: 'olive' }, mimics: 'frog' },
  'leopard': {
    name: 'Leopard frog',
    parts: { back: 'olive-gold+black*0.3', belly: 'cream+black*0.12', skirt: 'cream+olive*0.4' },
    mimics: 'frog',
  },
  'black-yellow': {
    name: 'Black and yellow',
    parts: { back: 'black+yellow*0.3', belly: 'black+yellow*0.35', skirt: 'black+yellow*0.3' },
  },
  'sunfish': {
    name: 'Sunfish, orange breast',
    parts: { back: 'moss+blue*0.15', belly: 'amber', skirt: 'olive+orange*0.25' },
    mimics: 'sunfish',
  },
  'orange-belly': {
    name: 'Black back, orange belly',
    parts: { back: 'black', belly: 'orange', skirt: 'black+orange*0.35' },
  },
  'chartreuse': {
    name: 'Chartreuse',
    parts: { back: 'chartreuse:fluorescent', belly: 'chartreuse', skirt: 'chartreuse:fluorescent' },
  },
  'tan-mouse': { name: 'Tan', parts: { back: 'tan', belly: 'sand', skirt: 'tan' } },
  'clear': { name: 'Clear', parts: { back: 'clear', belly: 'clear', skirt: 'clear+~silver*0.1' } },
}
