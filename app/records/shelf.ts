import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { SyncEvent } from '#shared/schema/sync'

interface Shelves extends DBSchema {
  events: { key: string; value: SyncEvent & { sent: 0 | 1 }; indexes: { sent: 0 | 1 } }
  places: { key: string; value: string }
}

/** Where events stand on the device: in IndexedDB, or where there is none in memory until the page goes. */
export interface Shelf {
  /** Whether it outlives the page. */
  lasting: boolean
  all: () => Promise<SyncEvent[]>
  unsent: (most: number) => Promise<SyncEvent[]>
  unsentCount: () => Promise<number>
  /** Add what was done here. Rejects where there is no room. */
  add: (events: readonly SyncEvent[]) => Promise<void>
  /** Note what the server has acknowledged and told, and how far it was read: all or nothing. */
  settle: (sent: readonly string[], told: readonly SyncEvent[], cursor: string) => Promise<void>
  cursor: () => Promise<string | null>
  /** Forget how far was read. */
  beginAnew: () => Promise<void>
}

const NAME = 'piscator'
const VERSION = 1

async function lasting(): Promise<Shelf> {
  const db: IDBPDatabase<Shelves> = await openDB<Shelves>(NAME, VERSION, {
    upgrade(made) {
      made.createObjectStore('events', { keyPath: 'id' }).createIndex('sent', 'sent')
      made.createObjectStore('places')
    },
  })
  const plain = ({ sent: _, ...event }: SyncEvent & { sent: 0 | 1 }): SyncEvent => event
  return {
    lasting: true,
    all: async () => (await db.getAll('events')).map(plain),
    unsent: async most => (await db.getAllFromIndex('events', 'sent', 0, most)).map(plain),
    unsentCount: () => db.countFromIndex('events', 'sent', 0),
    async add(events) {
      const change = db.transaction('events', 'readwrite', { durability: 'strict' })
      const puts = events.map(e => change.store.put({ ...e, sent: 0 }))
      // Sent off whole at once: a page that is killed now has left nothing half done.
      change.commit()
      await Promise.all([...puts, change.done])
    },
    async settle(sent, told, cursor) {
      const change = db.transaction(['events', 'places'], 'readwrite')
      const events = change.objectStore('events')
      for (const id of sent) {
        const event = await events.get(id)
        if (event) await events.put({ ...event, sent: 1 })
      }
      for (const event of told) await events.put({ ...event, sent: 1 })
      await change.objectStore('places').put(cursor, 'cursor')
      await change.done
    },
    cursor: async () => (await db.get('places', 'cursor')) ?? null,
    beginAnew: () => db.delete('places', 'cursor'),
  }
}

function inMemory(): Shelf {
  const events = new Map<string, SyncEvent>()
  const unsent = new Set<string>()
  let place: string | null = null
  return {
    lasting: false,
    all: async () => [...events.values()],
    unsent: async most => [...unsent].slice(0, most).map(id => events.get(id)!),
    unsentCount: async () => unsent.size,
    async add(added) {
      for (const e of added) {
        events.set(e.id, e)
        unsent.add(e.id)
      }
    },
    async settle(sent, told, cursor) {
      for (const id of sent) unsent.delete(id)
      for (const e of told) events.set(e.id, e)
      place = cursor
    },
    cursor: async () => place,
    beginAnew: async () => {
      place = null
    },
  }
}

/** The device's shelf; where the browser refuses one, what is kept lasts as long as the page. */
export async function openShelf(): Promise<Shelf> {
  try {
    return await lasting()
  } catch {
    return inMemory()
  }
}
