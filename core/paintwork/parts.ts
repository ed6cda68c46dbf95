/** Everything a lure is made of that can have a colour of its own. */
export const PARTS = [
  'back',
  'flank',
  'belly',
  'chin',
  'head',
  'eye',
  'skirt',
  'blade',
  'trailer',
  'tail',
  'hook',
  'bill',
] as const
export type Part = (typeof PARTS)[number]
