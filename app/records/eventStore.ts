import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { SyncEvent } from '#shared/schema/sync'

/** How far an event has come: it waits, the server has it, or the server would not take it. */
const [WAITS, SENT, REFUSED] = [0, 1, 2] as const
type Sent = typeof WAITS | typeof SENT | typeof REFUSED

/** A change the server would not take, and why, in words. */
export interface RefusedEvent {
  event: SyncEvent
  why: string
}

type Stored = SyncEvent & { sent: Sent; why?: string }
interface EventSchema extends DBSchema {
  events: { key: string; value: Stored; indexes: { sent: Sent } }
  places: { key: string; value: string }
}

/** Whose the events are: the mark the server gave, and the account's name where it is one. */
export interface Owner {
  angler: string
  name: string | null
}

/** Where events stand on the device: in IndexedDB, or where there is none in memory until the page goes. */
export interface EventStore {
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
  /** Forget how far was read, and by whom: what is told next is told from the beginning. */
  beginAnew: () => Promise<void>
  /** Whose these events are, as the server said last. */
  owner: () => Promise<Owner | null>
  own: (owner: Owner) => Promise<void>
  /** Let everything wait to be sent once more: whoever had it is nobody any more. */
  sendAnew: () => Promise<void>
  /** Forget everything of somebody's, or but for what is not sent. */
  forget: (but?: 'unsent') => Promise<void>
  /** Set aside what the server would not take: it stays, and is not sent again by itself. */
  setAside: (refused: readonly RefusedEvent[]) => Promise<void>
  refused: () => Promise<RefusedEvent[]>
  /** Let all that was set aside wait to be sent once more. */
  tryRefused: () => Promise<void>
  /** Take events off the event store for good. */
  drop: (ids: readonly string[]) => Promise<void>
}

const NAME = 'piscator'
const VERSION = 1

async function lasting(): Promise<EventStore> {
  const db: IDBPDatabase<EventSchema> = await openDB<EventSchema>(NAME, VERSION, {
    upgrade(made) {
      made.createObjectStore('events', { keyPath: 'id' }).createIndex('sent', 'sent')
      made.createObjectStore('places')
    },
  })
  const plain = ({ sent: _, why: _why, ...event }: Stored): SyncEvent => event
  /** Change some of what stands in a state, all or nothing. */
  async function changeAll(from: Sent, to: (e: Stored) => Stored): Promise<void> {
    const change = db.transaction('events', 'readwrite')
    const all = await change.store.index('sent').getAll(from)
    await Promise.all([...all.map(e => change.store.put(to(e))), change.done])
  }
  async function beginAnew(): Promise<void> {
    await db.delete('places', 'cursor')
    await db.delete('places', 'owner')
  }
  return {
    lasting: true,
    all: async () => (await db.getAll('events')).map(plain),
    unsent: async most => (await db.getAllFromIndex('events', 'sent', WAITS, most)).map(plain),
    unsentCount: () => db.countFromIndex('events', 'sent', WAITS),
    async add(events) {
      const change = db.transaction('events', 'readwrite', { durability: 'strict' })
      const puts = events.map(e => change.store.put({ ...e, sent: WAITS }))
      // Sent off whole at once: a page that is killed now has left nothing half done.
      change.commit()
      await Promise.all([...puts, change.done])
    },
    async settle(sent, told, cursor) {
      const change = db.transaction(['events', 'places'], 'readwrite')
      const events = change.objectStore('events')
      for (const id of sent) {
        const event = await events.get(id)
        if (event) await events.put({ ...plain(event), sent: SENT })
      }
      for (const event of told) await events.put({ ...event, sent: SENT })
      await change.objectStore('places').put(cursor, 'cursor')
      await change.done
    },
    cursor: async () => (await db.get('places', 'cursor')) ?? null,
    beginAnew,
    async owner() {
      const kept = await db.get('places', 'owner')
      return kept ? (JSON.parse(kept) as Owner) : null
    },
    async own(owner) {
      await db.put('places', JSON.stringify(owner), 'owner')
    },
    async sendAnew() {
      await beginAnew()
      await changeAll(SENT, e => ({ ...plain(e), sent: WAITS }))
    },
    async forget(but) {
      const change = db.transaction(['events', 'places'], 'readwrite')
      const events = change.objectStore('events')
      if (but) for (const key of await events.index('sent').getAllKeys(SENT)) await events.delete(key)
      else await Promise.all([events.clear(), change.objectStore('places').delete('owner')])
      await change.objectStore('places').delete('cursor')
      await change.done
    },
    async setAside(refused) {
      const change = db.transaction('events', 'readwrite')
      const puts = refused.map(({ event, why }) => change.store.put({ ...event, sent: REFUSED, why }))
      await Promise.all([...puts, change.done])
    },
    refused: async () =>
      (await db.getAllFromIndex('events', 'sent', REFUSED)).map(e => ({ event: plain(e), why: e.why ?? '' })),
    tryRefused: () => changeAll(REFUSED, e => ({ ...plain(e), sent: WAITS })),
    async drop(ids) {
      const change = db.transaction('events', 'readwrite')
      await Promise.all([...ids.map(id => change.store.delete(id)), change.done])
    },
  }
}

function inMemory(): EventStore {
  const events = new Map<string, SyncEvent>()
  const unsent = new Set<string>()
  const aside = new Map<string, RefusedEvent>()
  let place: string | null = null
  let owner: Owner | null = null
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
      place = owner = null
    },
    owner: async () => owner,
    own: async now => {
      owner = now
    },
    async sendAnew() {
      place = owner = null
      for (const id of events.keys()) if (!aside.has(id)) unsent.add(id)
    },
    async forget(but) {
      for (const id of events.keys()) if (!but || (!unsent.has(id) && !aside.has(id))) events.delete(id)
      if (!but) {
        unsent.clear()
        aside.clear()
        owner = null
      }
      place = null
    },
    async setAside(refused) {
      for (const r of refused) {
        unsent.delete(r.event.id)
        aside.set(r.event.id, r)
      }
    },
    refused: async () => [...aside.values()],
    async tryRefused() {
      for (const id of aside.keys()) unsent.add(id)
      aside.clear()
    },
    async drop(ids) {
      for (const id of ids) {
        events.delete(id)
        aside.delete(id)
      }
    },
  }
}

/** The device's store; where the browser refuses one, what is kept lasts as long as the page. */
export async function openEventStore(): Promise<EventStore> {
  try {
    return await lasting()
  } catch {
    return inMemory()
  }
}
