/** Clarity words by the depth at which a white 20 cm disc vanishes; `fromM` is the lower edge in metres. */
export const CLARITY_WORDS = [
  { fromM: 4, word: 'gin' },
  { fromM: 2, word: 'clear' },
  { fromM: 1, word: 'slightly stained' },
  { fromM: 0.5, word: 'stained' },
  { fromM: 0.25, word: 'dirty' },
  { fromM: 0, word: 'mud' },
] as const
export type ClarityWord = (typeof CLARITY_WORDS)[number]['word']

/** The word for a visibility reading in metres. */
export function clarityWord(visibilityM: number): ClarityWord {
  return CLARITY_WORDS.find(c => visibilityM >= c.fromM)!.word
}
