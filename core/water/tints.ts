/** What colours the water, per unit of a recipe: algae as chlorophyll (mg/m³), tannin as a440 (1/m), silt (g/m³). */
export interface Constituents { chlorophyll: number, tannin: number, silt: number }

export interface Tint {
  id: string
  name: string
  /** How an angler knows it. */
  sign: string
  /** Proportions; a visibility reading fixes how much of it there is. */
  recipe: Constituents
}

/**
 * The tints as records. Proportions are ours, chosen inside the spread of lake and estuary surveys so that
 * Kd(550) Z and c(550) Z of every tint stay within the published ranges (0.7-2.6 and 3-13).
 */
export const TINTS = {
  'blue-clear': { id: 'blue-clear', name: 'blue-clear', sign: 'a white object stays white, deep water looks blue', recipe: { chlorophyll: 0.5, tannin: 0.04, silt: 0.3 } },
  'green': { id: 'green', name: 'green (algae)', sign: 'a white object turns green; the jar settles to a green film', recipe: { chlorophyll: 15, tannin: 0.5, silt: 1.6 } },
  'tea': { id: 'tea', name: 'tea (tannin)', sign: 'a jar of it is clear but brown, like tea', recipe: { chlorophyll: 0.8, tannin: 5, silt: 1.6 } },
  'brown': { id: 'brown', name: 'brown (silt)', sign: 'a jar of it is cloudy and settles to mud', recipe: { chlorophyll: 2, tannin: 0.7, silt: 20 } },
  'mixed': { id: 'mixed', name: 'mixed', sign: 'green or brown and cloudy: algae, tannin and silt together', recipe: { chlorophyll: 9, tannin: 1.6, silt: 5 } },
} as const satisfies Record<string, Tint>
export type TintId = keyof typeof TINTS

/** The darkest natural blackwaters absorb about this much at 440 nm, per metre; darker readings come from silt. */
const TANNIN_CEILING = 25
/** Silt thins more slowly than what is dissolved: even the clearest lake keeps some in suspension. */
const SILT_POWER = 0.5

/** A recipe in a given amount (1 = as listed). Grows with the amount in every constituent. */
export function scaled(recipe: Constituents, amount: number): Constituents {
  const tannin = recipe.tannin * amount
  return {
    chlorophyll: recipe.chlorophyll * amount,
    tannin: tannin / (1 + tannin / TANNIN_CEILING),
    silt: recipe.silt * amount ** SILT_POWER,
  }
}
