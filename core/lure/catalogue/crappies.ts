import type { PatternSet } from '#core/lure/pattern'

/** Small jigs of hair or soft plastic: head, body (flank) and tail. */
export const CRAPPIES: PatternSet = {
  'clear-chartreuse': {
    name: 'Clear, chartreuse tail',
    parts: { head: 'chartreuse', flank: 'clear+~silver*0.08', tail: 'chartreuse:fluorescent' },
  },
  'sky-blue': {
    name: 'Sky blue',
    parts: { head: 'nickel', flank: 'sky-blue:translucent', tail: 'sky-blue:translucent' },
    mimics: 'shad',
  },
  'salt-pepper': {
    name: 'Salt and pepper',
    parts: { head: 'nickel', flank: 'smoke+black*0.1+~silver*0.12', tail: 'smoke' },
    mimics: 'shad',
  },
  'smoke': { name: 'Smoke', parts: { head: 'slate', flank: 'smoke', tail: 'smoke' }, mimics: 'shad' },
  'pearl': { name: 'Pearl', parts: { head: 'pearl', flank: 'pearl', tail: 'pearl' }, mimics: 'shad' },
  'blue-white': {
    name: 'White, blue back',
    parts: { head: 'blue', flank: 'white+sky-blue*0.25', tail: 'white' },
    mimics: 'herring',
  },
  'grey': { name: 'Grey', parts: { head: 'grey', flank: 'grey', tail: 'grey' }, mimics: 'fry' },
  'white': { name: 'White', parts: { head: 'white', flank: 'white', tail: 'white' } },
  'white-chartreuse': {
    name: 'White, chartreuse tail',
    parts: { head: 'white', flank: 'white', tail: 'chartreuse:fluorescent' },
  },
  'pink': { name: 'Pink', parts: { head: 'pink', flank: 'pink:fluorescent', tail: 'pink' } },
  'pink-white': { name: 'White, pink head', parts: { head: 'pink', flank: 'white', tail: 'white' } },
  'pink-chartreuse': {
    name: 'Pink, chartreuse tail',
    parts: { head: 'pink', flank: 'pink:fluorescent', tail: 'chartreuse:fluorescent' },
  },
  'red-chartreuse': {
    name: 'Red, chartreuse tail',
    parts: { head: 'red', flank: 'red', tail: 'chartreuse:fluorescent' },
  },
  'red-white': { name: 'White, red head', parts: { head: 'red', flank: 'white', tail: 'white' } },
  'purple-chartreuse': {
    name: 'Purple, chartreuse tail',
    parts: { head: 'purple', flank: 'purple', tail: 'chartreuse:fluorescent' },
  },
  'black-chartreuse': {
    name: 'Black, chartreuse tail',
    parts: { head: 'black', flank: 'black', tail: 'chartreuse:fluorescent' },
  },
  'black-pink': {
    name: 'Black, pink tail',
    parts: { head: 'black', flank: 'black', tail: 'pink:fluorescent' },
  },
  'blue-chartreuse': {
    name: 'Blue, chartreuse tail',
    parts: { head: 'blue', flank: 'blue', tail: 'chartreuse:fluorescent' },
  },
  'orange-chartreuse': {
    name: 'Orange, chartreuse tail',
    parts: { head: 'orange', flank: 'orange:fluorescent', tail: 'chartreuse:fluorescent' },
  },
  'lime-chartreuse': {
    name: 'Lime, chartreuse tail',
    parts: { head: 'lime', flank: 'lime:fluorescent', tail: 'chartreuse:fluorescent' },
  },
  'gold-chartreuse': {
    name: 'Gold, chartreuse tail',
    parts: { head: 'gold', flank: 'gold', tail: 'chartreuse:fluorescent' },
  },
  'chartreuse': {
    name: 'Chartreuse',
    parts: { head: 'chartreuse', flank: 'chartreuse:fluorescent', tail: 'chartreuse:fluorescent' },
  },
  'yellow': { name: 'Yellow', parts: { head: 'yellow', flank: 'yellow', tail: 'yellow' } },
  'olive': { name: 'Olive hair', parts: { head: 'black', flank: 'moss', tail: 'moss' }, mimics: 'insect' },
  'brown': { name: 'Brown hair', parts: { head: 'black', flank: 'brown', tail: 'brown' }, mimics: 'insect' },
  'black': { name: 'Black', parts: { head: 'black', flank: 'black', tail: 'black' } },
}
