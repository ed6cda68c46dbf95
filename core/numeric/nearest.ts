/** The one of them whose number is nearest to `value`, the first of two as near; undefined where there is none. */
export function nearest<T>(all: readonly T[], value: number, of: (each: T) => number): T | undefined {
  let [best, offBest] = [all[0], Infinity]
  for (const each of all) {
    const off = Math.abs(of(each) - value)
    if (off < offBest) [best, offBest] = [each, off]
  }
  return best
}
