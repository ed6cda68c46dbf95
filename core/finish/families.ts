/** Colour families of the contract: what counts as "this colour has been shown". */
export const FAMILIES = [
  'white', 'pearl', 'bone', 'silver', 'gold', 'copper', 'clear', 'smoke', 'grey', 'black', 'brown', 'tan',
  'orange', 'red', 'pink', 'purple', 'blue', 'chartreuse', 'yellow', 'green', 'olive',
] as const
export type Family = typeof FAMILIES[number]
