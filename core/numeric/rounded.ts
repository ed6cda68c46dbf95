/** A number to so many decimals; four, as the contract gives figures, where nothing is said. */
export const rounded = (v: number, decimals = 4) => Math.round(v * 10 ** decimals) / 10 ** decimals
