import { withLightTable } from './lightTable'

/** A function of the engine that is begun once the light table is there. */
export const withLight =
  <Args extends unknown[], Result>(work: (...args: Args) => Result) =>
  async (...args: Args): Promise<Awaited<Result>> => {
    await withLightTable()
    return await work(...args)
  }
