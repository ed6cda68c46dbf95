import { FIRST_BANK, FIRST_DAY } from '../../app/day/fields'
import { READING, type ReadingField } from '../../app/reading/fields'

/** What the angler sets: what a first visit opens on, how a figure is written in the address, and its limits. */
export const readingOf = () => ({
  'the first day': { ...FIRST_DAY, bank: FIRST_BANK },
  ...Object.fromEntries(
    Object.entries(READING as Readonly<Record<string, ReadingField<unknown>>>).map(
      ([name, { key, to = 'not asked', first, limits, write, read }]) => {
        const written = limits ? [limits[0] + 1 / 7, 1e9, -1e9].map(v => write(read(String(v)))) : []
        return [name, [key, to, write(first), ...(limits ?? []), ...written].join(' | ')]
      },
    ),
  ),
})
