import { useDebounceFn, useEventListener, useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { v7 as newId } from 'uuid'
import { computed, ref, shallowReactive, shallowRef } from 'vue'
import type { Fault } from '#shared/faults'
import type { RecordKind, RecordOf } from '#shared/schema/record'
import type { SyncAnswer, SyncEvent } from '#shared/schema/sync'
import { versionOf } from '#shared/recordVersion'
import { AT_ONCE } from '#shared/sync'
import { backoff } from '~/common/backoff'
import { forgetWritten, leftInLog, writeAhead } from './writeAheadLog'
import { SignedOutError, useDeviceStore } from './device'
import { drawn } from './drawn'
import { listenForNews } from './news'
import { type PresentRecord, standsOver, takeIn } from './merge'
import { parcelOf } from './parcel'
import { type EventStore, type Owner, type RefusedEvent, openEventStore } from './eventStore'
import { useDeviceStorage } from '~/settings/deviceStorage'

/** What is written is sent once nothing more has been for a moment, and at the latest after a while, ms. */
const TOGETHER_MS = { rest: 250, most: 1000 } as const
/** How long an answer of the server is waited for, ms. */
const ANSWER_MS = 20_000
/** How often other devices are asked after while the page is seen, ms; less where news are heard as they come. */
const HEEDED_MS = { asking: 30_000, hearing: 300_000 } as const

/** Answers that say that this device is signed in no more, and that it is somebody else. */
const [UNKNOWN, ANOTHER] = [401, 409] as const
/** What other tabs are told where everything on this device was forgotten. */
const FORGOTTEN = 'forgotten'
/** And that another device has written something. */
const NEWS = 'news'

/** Answers that say that what was sent is wrong as a whole, or too much at once. */
const REFUSED_WHOLE: readonly number[] = [413, 422]

/** A record as it stands. */
export interface Kept<K extends RecordKind> {
  id: string
  at: string
  body: RecordOf[K]
}

/** What a record becomes; nothing where it is taken away. */
export interface Entry extends Pick<SyncEvent, 'kind' | 'body'> {
  id: string
}

/**
 * What an angler keeps: every change is an event on the device first, sent when the server answers, merged
 * with what other devices did. Nothing is lost when the page is closed in between, and nothing doubled when it is sent
 * twice.
 */
export const useRecordsStore = defineStore('records', () => {
  const device = useDeviceStore()
  const standing: PresentRecord = new Map()
  /** The made-up angler's records while they are looked through, in the place of one's own: never kept or sent. */
  const madeUp = shallowRef<PresentRecord | null>(null)
  const lookingThrough = useDeviceStorage('piscator.made-up', false)
  /** Counts changes of what stands. */
  const changes = ref(0)
  const unsent = ref(0)
  /** What of it this page knows, by its id. */
  const waiting = shallowReactive(new Map<string, SyncEvent>())
  const state = ref<'loading' | 'here'>('loading')
  /** What answered when the server was asked last. */
  const health = ref<'unknown' | 'ok' | 'database-away' | 'server-away'>('unknown')
  /** What keeps a change from lasting: no room on the device, or no store at all. */
  const trouble = ref<'full' | 'passing' | 'quota' | null>(null)
  /** What the server would not take: it stays on this device until it is corrected, or dropped by hand. */
  const refused = shallowRef<readonly RefusedEvent[]>([])
  /** Who this device is, as the server said last: a name where it is signed in to an account. */
  const owner = shallowRef<Owner | null>(null)
  /**
   * Whether it is signed in no more, and holds what is that account's: nothing is sent until somebody signs in to it
   * again, or lets it go.
   */
  const signedOut = ref(false)
  /** Events sent at once: fewer after a parcel was refused as a whole, until the one to blame is found. */
  let most = AT_ONCE
  let store: Promise<EventStore> | null = null
  let loaded: Promise<void> | null = null
  let syncing: Promise<void> | null = null
  const { again, well, waits } = backoff(() => void sync())
  /**
   * Never a clock that goes back: of two changes made here the second is the later, and a change made here is later
   * than the one it was made over, however far ahead the clock of the device that made that one (after the hybrid
   * logical clocks of Kulkarni et al. 2014).
   */
  let latestMs = 0

  /** What the event store had no room for: sent from here while the page lasts, and put there once it fits. */
  const spilt = new Map<string, SyncEvent>()
  let others: BroadcastChannel | null = null

  /** Taps in a row go together. */
  const syncSoon = useDebounceFn(() => sync(), TOGETHER_MS.rest, { maxWait: TOGETHER_MS.most })

  const open = () => (store ??= openEventStore())
  const news = listenForNews(() => {
    others?.postMessage(NEWS)
    void sync()
  })
  /** Written, and not in the event store yet. */
  let onTheirWay = 0
  /** Counts what was begun or ended in writing, so that no count mixes two moments. */
  let moments = 0
  async function count(here: EventStore): Promise<number> {
    const moment = moments
    const shelved = await here.unsentCount()
    if (moment !== moments) return count(here)
    unsent.value = shelved + spilt.size + onTheirWay
    if (!unsent.value) waiting.clear()
    return unsent.value
  }

  async function lookThrough(): Promise<void> {
    const { madeUpRecords } = await import('~/records/made-up/records')
    const events = madeUpRecords().map(({ id, ...e }): SyncEvent => ({ ...e, id, recordId: id }) as SyncEvent)
    const made: PresentRecord = new Map()
    takeIn(made, events)
    madeUp.value = made
    lookingThrough.value = true
    changes.value++
  }
  function takeMadeUpAway(): void {
    madeUp.value = null
    lookingThrough.value = false
    changes.value++
  }

  const load = (): Promise<void> => (loaded ??= bring())
  async function bring(): Promise<void> {
    const here = await open()
    if (!here.lasting) trouble.value = 'passing'
    const left = leftInLog()
    if (left.length) await shelve(here, left)
    // The app or the server may be another by now, and take it.
    await here.tryRefused()
    owner.value = await here.owner()
    if (takeIn(standing, await here.all())) changes.value++
    if (await count(here)) for (const e of await here.unsent(unsent.value)) waiting.set(e.id, e)
    if (lookingThrough.value) await lookThrough()
    state.value = 'here'
    listen()
    void sync()
  }
  /**
   * What is written in another tab of this device is seen here at once, with or without the server; what other devices
   * did is asked for when the page comes to the fore, when there is signal again, and now and then while it is seen.
   */
  function listen(): void {
    const heed = () => {
      if (typeof document !== 'undefined' && !document.hidden) void sync()
    }
    useEventListener('online', heed)
    if (typeof document !== 'undefined') useEventListener(document, 'visibilitychange', heed)
    let askedMs = Date.now()
    useIntervalFn(() => {
      if (news.isHeard() && Date.now() - askedMs < HEEDED_MS.hearing) return
      askedMs = Date.now()
      heed()
    }, HEEDED_MS.asking)
    if (typeof BroadcastChannel === 'undefined') return
    others = new BroadcastChannel('piscator.records')
    others.onmessage = async ({ data }) => {
      if (data === NEWS) return sync()
      if (data === FORGOTTEN) return forgottenElsewhere()
      if (takeIn(standing, data as SyncEvent[])) changes.value++
      await count(await open())
    }
  }
  /** Another tab of this device forgot what was here. */
  async function forgottenElsewhere(): Promise<void> {
    const here = await open()
    owner.value = await here.owner()
    await standAnew(here)
  }

  /** An event's record is the same one for as long as it stands: a tap makes one, not thousands anew. */
  const keptBy = new WeakMap<SyncEvent, Kept<RecordKind>>()
  function keptOf<K extends RecordKind>(e: SyncEvent): Kept<K> {
    let kept = keptBy.get(e)
    if (!kept) keptBy.set(e, (kept = { id: e.recordId, at: e.at, body: e.body as RecordOf[K] }))
    return kept as Kept<K>
  }

  /** Records of a kind as they stand, what was taken away left out. */
  function list<K extends RecordKind>(kind: K): Kept<K>[] {
    void changes.value
    const list: Kept<K>[] = []
    for (const e of (madeUp.value ?? standing).get(kind)?.values() ?? []) if (e.body) list.push(keptOf(e))
    return list
  }

  /** Records of a kind of which a change is not sent yet. */
  function unsentOf(kind: RecordKind): ReadonlySet<string> {
    return new Set([...waiting.values()].filter(e => e.kind === kind).map(e => e.recordId))
  }

  /** Put in the event store what was made here, or hold it where there is no room. */
  async function shelve(here: EventStore, events: readonly SyncEvent[]): Promise<void> {
    try {
      await here.add(events)
      forgetWritten(events)
    } catch {
      trouble.value = 'full'
      for (const e of events) spilt.set(e.id, e)
    }
  }

  /** Write changes: shown at once, in the event store as soon as it takes them, then on their way. */
  async function writeAll(entries: readonly Entry[]): Promise<void> {
    const events = entries.map(({ kind, id, body }): SyncEvent => {
      const known = (madeUp.value ?? standing).get(kind)?.get(id)
      latestMs = Math.max(Date.now(), latestMs + 1, known ? Date.parse(known.at) + 1 : 0)
      const plain = body === null ? null : (JSON.parse(JSON.stringify(body)) as SyncEvent['body'])
      const at = new Date(latestMs).toISOString()
      const version = versionOf(kind)
      return { id: newId(), kind, recordId: id, at, ...(version > 1 ? { version } : {}), body: plain }
    })
    takeIn(madeUp.value ?? standing, events)
    changes.value++
    if (madeUp.value) return
    for (const e of events) waiting.set(e.id, e)
    unsent.value += events.length
    onTheirWay += events.length
    moments++
    // What is written ahead is lost no more: the screen shows it before the event store is asked.
    if (writeAhead(events)) await drawn()
    await shelve(await open(), events)
    onTheirWay -= events.length
    moments++
    others?.postMessage(events)
    void syncSoon()
  }
  /** Write changes, and give back what undoes them: each record as it stood, or taken away where there was none. */
  async function writeUndoably(entries: readonly Entry[]): Promise<() => Promise<void>> {
    const before = entries.map(({ kind, id }): Entry => {
      const body = (madeUp.value ?? standing).get(kind)?.get(id)?.body ?? null
      return { kind, id, body }
    })
    await writeAll(entries)
    return () => writeAll(before)
  }
  const write = <K extends RecordKind>(kind: K, writes: readonly { id: string; body: RecordOf[K] | null }[]) =>
    writeAll(writes.map(({ id, body }) => ({ kind, id, body })))
  async function put<K extends RecordKind>(kind: K, body: RecordOf[K], id: string = newId()): Promise<string> {
    await write(kind, [{ id, body }])
    return id
  }
  const remove = (kind: RecordKind, id: string) => write(kind, [{ id, body: null }])

  /** One exchange with the server; whether there is more to come. */
  async function exchange(here: EventStore): Promise<boolean> {
    await device.isKnown()
    const shelved = await here.unsent(most)
    const given = parcelOf([...shelved, ...[...spilt.values()].slice(0, most - shelved.length)], most)
    const response = await fetch('/api/v1/sync', {
      method: 'POST',
      // A line that neither answers nor breaks off must not hold up every later try.
      signal: AbortSignal.timeout(ANSWER_MS),
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ cursor: await here.cursor(), angler: owner.value?.angler ?? null, events: given }),
    })
    if (response.status === UNKNOWN) return device.askAnew()
    if (response.status === ANOTHER) return isAnother(here)
    if (REFUSED_WHOLE.includes(response.status) && given.length) return refuseWhole(here, given, response)
    if (!response.ok) throw new Error(String(response.status))
    const answer = (await response.json()) as SyncAnswer
    if (answer.angler !== owner.value?.angler || answer.name !== owner.value.name) {
      owner.value = { angler: answer.angler, name: answer.name }
      await here.own(owner.value)
    }
    const never = answer.refused.flatMap(({ index, errors }) =>
      given[index] ? [{ event: given[index], why: errors.map(e => e.message).join(' ') }] : [],
    )
    if (never.length) await setAside(here, never)
    goneFromHere(answer.accepted)
    await dropCorrected(here, given, answer.accepted)
    if (trouble.value === 'quota') trouble.value = null
    if (takeIn(standing, answer.events)) changes.value++
    await here.settle(answer.accepted, answer.events, answer.cursor).catch((error: unknown) => {
      trouble.value = 'full'
      throw error
    })
    most = Math.min(AT_ONCE, 2 * most)
    await count(here)
    return answer.more || unsent.value > 0
  }

  /** What the server or the event store has now is held here no more. */
  function goneFromHere(ids: readonly string[]): void {
    const told = ids.flatMap(id => spilt.get(id) ?? [])
    forgetWritten(told)
    for (const { id } of told) spilt.delete(id)
    for (const id of ids) waiting.delete(id)
  }

  async function setAside(here: EventStore, some: readonly RefusedEvent[]): Promise<void> {
    await here.setAside(some)
    goneFromHere(some.map(r => r.event.id))
    refused.value = await here.refused()
  }

  /** What was set aside and has been corrected since is done with. */
  async function dropCorrected(
    here: EventStore,
    given: readonly SyncEvent[],
    accepted: readonly string[],
  ): Promise<void> {
    const taken = given.filter(e => accepted.includes(e.id))
    const done = refused.value.filter(({ event }) =>
      taken.some(e => e.recordId === event.recordId && standsOver(e, event)),
    )
    if (!done.length) return
    await here.drop(done.map(r => r.event.id))
    refused.value = await here.refused()
  }

  /** A parcel refused as a whole is sent in halves: what is alone to blame is set aside, and the rest goes on. */
  async function refuseWhole(here: EventStore, given: readonly SyncEvent[], response: Response): Promise<boolean> {
    const { errors = [] } = (await response.json().catch(() => ({}))) as { errors?: Fault[] }
    if (errors.some(e => e.code === 'quota')) {
      trouble.value = 'quota'
      throw new Error('quota')
    }
    if (given.length > 1) most = Math.ceil(given.length / 2)
    else {
      await setAside(here, [{ event: given[0]!, why: errors.map(e => e.message).join(' ') }])
      most = AT_ONCE
    }
    await count(here)
    return unsent.value > 0
  }

  /**
   * The server knows this device as somebody else: its cookie was cleared. What was nobody's but this device's is sent
   * once more, or nobody could read it back; an account's waits for its own.
   */
  async function isAnother(here: EventStore): Promise<boolean> {
    if (owner.value?.name) {
      signedOut.value = true
      return false
    }
    await here.sendAnew()
    owner.value = null
    return true
  }

  /** Signed out from elsewhere: what was sent leaves this device; what was not waits for its owner. */
  async function wasSignedOut(here: EventStore): Promise<void> {
    const waits = (await count(here)) > 0 && !!owner.value
    await here.forget(waits ? 'unsent' : undefined)
    signedOut.value = waits
    if (!waits) owner.value = null
    await standAnew(here)
    others?.postMessage(FORGOTTEN)
  }

  /** Forget everything on this device: it is signed out here, or taken away. */
  async function forget(): Promise<void> {
    await syncing
    const here = await open()
    forgetWritten([...waiting.values(), ...leftInLog()])
    spilt.clear()
    await here.forget()
    owner.value = null
    signedOut.value = false
    device.forget()
    await standAnew(here)
    others?.postMessage(FORGOTTEN)
  }

  /** What stands, from what the event store holds. */
  async function standAnew(here: EventStore): Promise<void> {
    standing.clear()
    takeIn(standing, [...(await here.all()), ...spilt.values()])
    refused.value = await here.refused()
    await count(here)
    changes.value++
  }

  /** Every record as it stands, as the change that made it so: what a file of everything holds. */
  function everything(): SyncEvent[] {
    void changes.value
    return [...standing.values()].flatMap(records => [...records.values()]).filter(e => e.body !== null)
  }

  /** Changes from a file, under the ids they were made with: what is here already is not added again. */
  async function bringIn(events: readonly SyncEvent[]): Promise<number> {
    const here = await open()
    const known = new Set((await here.all()).map(e => e.id))
    const fresh = events.filter(e => !known.has(e.id))
    takeIn(standing, fresh)
    changes.value++
    await shelve(here, fresh)
    others?.postMessage(fresh)
    await count(here)
    void syncSoon()
    return fresh.length
  }

  /** Take back, for good, changes that the server would not take: what stood before them stands again. */
  async function drop(ids: readonly string[]): Promise<void> {
    const here = await open()
    await here.drop(ids)
    await standAnew(here)
  }

  /** Put in the event store what it had no room for; while there is none it is sent from where it is. */
  async function gather(here: EventStore): Promise<void> {
    if (trouble.value !== 'full') return
    const held = [...spilt.values()]
    spilt.clear()
    trouble.value = null
    await shelve(here, held)
  }

  /** Send what is not sent and hear what is new; asked while it does, it is the same exchange. */
  const sync = (): Promise<void> => (syncing ??= exchangeAll())
  async function exchangeAll(): Promise<void> {
    try {
      const here = await open()
      await gather(here)
      while (!signedOut.value && (await exchange(here)));
      health.value = 'ok'
      well()
      if (owner.value && !signedOut.value) news.begin()
    } catch (error) {
      if (error instanceof SignedOutError) await wasSignedOut(await open())
      else await checkHealth()
      again()
    } finally {
      syncing = null
    }
    // What was written while the last exchange was under way goes now.
    if (!waits() && !signedOut.value && (await count(await open()))) void sync()
  }

  async function checkHealth(): Promise<void> {
    try {
      const response = await fetch('/api/v1/health')
      health.value = response.ok ? 'ok' : 'database-away'
    } catch {
      health.value = 'server-away'
    }
  }

  /** Hear everything from the beginning: this device is another angler's now, whose events came before. */
  async function hearAnew(): Promise<void> {
    await syncing
    const here = await open()
    // What an account left here goes to no other one.
    if (!owner.value?.name) {
      await here.beginAnew()
      owner.value = null
    }
    signedOut.value = false
    await sync()
  }

  const words = computed(() => {
    if (signedOut.value) {
      const waits = unsent.value ? ` ${unsent.value} not sent yet; kept on this device.` : ''
      return `Signed out. What is here is ${owner.value?.name ?? 'an account'}’s: sign in to go on.${waits}`
    }
    if (trouble.value === 'full') {
      const kept = unsent.value ? 'What is not sent yet lasts as long as this page.' : 'All of it is sent.'
      return `No room left on this device. ${kept} Free some room: remove other sites' data or files.`
    }
    if (trouble.value === 'quota') {
      return `All that fits on the server is kept. ${unsent.value} not sent; they stay on this device.`
    }
    if (trouble.value === 'passing') return 'This browser keeps nothing: what you change lasts as long as this page.'
    return unsent.value ? `${unsent.value} not sent yet; kept on this device.` : ''
  })
  return {
    isMadeUp: computed(() => madeUp.value !== null),
    lookThrough,
    takeMadeUpAway,
    state,
    unsent,
    unsentOf,
    health,
    trouble,
    refused,
    words,
    owner,
    signedOut,
    changes,
    load,
    list,
    put,
    write,
    writeAll,
    writeUndoably,
    remove,
    drop,
    sync,
    hearAnew,
    forget,
    everything,
    bringIn,
  }
})
