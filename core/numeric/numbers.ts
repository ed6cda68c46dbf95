const TEMPLATES = new Map<number, number[][]>()

/**
 * So many numbers, each of the same value, in a plain array. A few dozen of them are made several times faster than a
 * typed array; it holds fractions from the start, where one filled with whole numbers is made anew at the first
 * fraction.
 */
export function numbers(count: number, value: number): number[] {
  let known = TEMPLATES.get(value)
  if (!known) TEMPLATES.set(value, (known = []))
  let template = known[count]
  if (!template) {
    template = []
    for (let i = 0; i < count; i++) template.push(0.5)
    known[count] = template.fill(value)
  }
  return template.slice()
}
