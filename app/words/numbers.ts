const WORDS = 'one two three four five six seven eight nine ten eleven twelve'.split(' ')

/** A small number as the beginning of a sentence, larger ones in figures; `none` is said for nought. */
export function numberWord(n: number, none: string): string {
  const word = n === 0 ? none : (WORDS[n - 1] ?? String(n))
  return word.charAt(0).toUpperCase() + word.slice(1)
}

/** "1 bite", "2 bites". */
export const counted = (n: number, thing: string): string => `${n} ${thing}${n === 1 ? '' : 's'}`
