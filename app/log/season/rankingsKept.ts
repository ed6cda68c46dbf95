import { type DBSchema, openDB } from 'idb'
import type { SeasonAnswer } from '#core/season-learning/season'
import type { Stands } from '#core/season-learning/stands'

interface Kept extends DBSchema {
  rankings: { key: string; value: Stands }
  answers: { key: string; value: SeasonAnswer }
}
/** Answers kept: one for each water that is looked at in turn. */
const MOST_ANSWERS = 8

/** Rankings of half-hours kept on the device: worked out once, they are read from then on. */
export interface RankingsKept {
  all: () => Promise<Map<string, Stands>>
  add: (rankings: ReadonlyMap<string, Stands>) => Promise<void>
  /** What the same log was answered before. */
  answer: (asked: string) => Promise<SeasonAnswer | undefined>
  keepAnswer: (asked: string, answer: SeasonAnswer) => Promise<void>
}

/** Kept in IndexedDB by what was asked, for one version of the engine: those of another are forgotten. */
export async function openRankings(engine: string): Promise<RankingsKept> {
  const db = await openDB<Kept>('piscator-rankings', 2, {
    upgrade(made, from) {
      if (from < 1) made.createObjectStore('rankings')
      made.createObjectStore('answers')
    },
  })
  const prefix = `${engine} `
  const mine = IDBKeyRange.bound(prefix, `${prefix}\uffff`)
  return {
    async all() {
      const tx = db.transaction('rankings', 'readwrite')
      const keys = await tx.store.getAllKeys()
      for (const key of keys) if (!key.startsWith(prefix)) await tx.store.delete(key)
      const [known, values] = await Promise.all([tx.store.getAllKeys(mine), tx.store.getAll(mine)])
      await tx.done
      return new Map(known.map((key, i) => [key.slice(prefix.length), values[i]!]))
    },
    answer: asked => db.get('answers', prefix + asked),
    async keepAnswer(asked, answer) {
      const tx = db.transaction('answers', 'readwrite')
      if ((await tx.store.count()) >= MOST_ANSWERS) await tx.store.clear()
      await tx.store.put(answer, prefix + asked)
      await tx.done
    },
    async add(rankings) {
      const tx = db.transaction('rankings', 'readwrite')
      for (const [key, stands] of rankings) void tx.store.put(stands, prefix + key)
      await tx.done
    },
  }
}

/** Where the device keeps nothing, rankings are worked out each time. */
export const NOTHING_KEPT: RankingsKept = {
  all: () => Promise.resolve(new Map()),
  add: () => Promise.resolve(),
  answer: () => Promise.resolve(undefined),
  keepAnswer: () => Promise.resolve(),
}
