/** What is pinned as JSON has it, its numbers to so many figures: the last ones are the machine's. */
export const toFigures = (v: unknown, figures: number): unknown =>
  JSON.parse(JSON.stringify(v, (_, x: unknown) => (typeof x === 'number' ? Number(x.toPrecision(figures)) : x)))
