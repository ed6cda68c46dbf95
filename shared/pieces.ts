/** A list in pieces of a size; the last may be shorter. */
export function pieces<T>(items: readonly T[], size: number): (readonly T[])[] {
  return Array.from({ length: Math.ceil(items.length / size) }, (_, i) => items.slice(i * size, (i + 1) * size))
}
