/** NUL, and surrogates without their other half: no database and no file keeps them. */
const BROKEN = /\0|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/

/** Deeper than anything that is kept; what is nested further was refused by its shape. */
const DEEPEST = 40

/** Where in a value a text or a name stands that cannot be kept, or null where none does. */
export function brokenText(value: unknown, depth = 0): string[] | null {
  if (typeof value === 'string') return BROKEN.test(value) ? [] : null
  if (typeof value !== 'object' || value === null || depth > DEEPEST) return null
  for (const [key, inner] of Object.entries(value)) {
    const at = BROKEN.test(key) ? [] : brokenText(inner, depth + 1)
    if (at) return [key, ...at]
  }
  return null
}

/** A text cut to a length in UTF-16 units, never through the middle of a character. */
export function cutText(text: string, most: number): string {
  const cut = text.slice(0, most)
  return /[\uD800-\uDBFF]$/.test(cut) ? cut.slice(0, -1) : cut
}

/** A text as it can be kept: what is no character is left out, and what is too long is cut. */
export const keptText = (text: string, most: number): string => cutText(text.replace(new RegExp(BROKEN, 'g'), ''), most)
