import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { AccountAnswer } from '#shared/schema/account'
import type { CrewAnswer } from '#shared/schema/crew'
import type { ShareInput, ShareOut } from '#shared/schema/share'
import type { SharingStep } from '#shared/crew'
import { type AskResult, ask } from '~/common/ask'
import { useDeviceStore } from '~/records/device'
import { useRecordsStore } from '~/records/store'
import { useDeviceStorage } from '~/settings/deviceStorage'

/** What was taken away and can still be brought back. */
interface TakenAway {
  undo: string
  until: string
}
/** How the screen is liked is nobody's secret: everything else of this device leaves it with its owner. */
const STAYS = ['units', 'theme', 'watcher', 'learnt', 'begun', 'taken-away'].map(name => `piscator.${name}`)

/** What the server said last, kept on the device; nothing where it said nothing yet. */
const remembered = <T>(name: string) =>
  useDeviceStorage<T | null>(`piscator.yours.${name}`, null, {
    shallow: true,
    serializer: { read: v => JSON.parse(v) as T | null, write: v => JSON.stringify(v) },
  })

/** The account, its devices, the crew and the links: what only the server knows, asked for where it is looked at. */
export const useYoursStore = defineStore('yours', () => {
  const records = useRecordsStore()
  const device = useDeviceStore()
  /** As the server said last: read without a signal too, and gone with whoever signs out. */
  const account = remembered<AccountAnswer>('account')
  const crew = remembered<CrewAnswer>('crew')
  const shared = remembered<ShareOut[]>('links')
  const shares = computed(() => shared.value ?? [])
  const state = ref<'loading' | 'here' | 'away'>('loading')
  const busy = ref(false)
  const takenAway = useDeviceStorage<TakenAway | null>('piscator.taken-away', null, {
    serializer: { read: v => JSON.parse(v) as TakenAway | null, write: v => JSON.stringify(v) },
  })
  const isAccount = computed(
    () => !!account.value && (account.value.name !== null || account.value.passkeys.length > 0),
  )

  async function load(): Promise<void> {
    try {
      await device.isKnown()
    } catch {
      // Told below, where it is asked again.
    }
    const [who, people, links] = await Promise.all([
      ask<AccountAnswer>('GET', 'account'),
      ask<CrewAnswer>('GET', 'crew'),
      ask<ShareOut[]>('GET', 'shares'),
    ])
    state.value = who.ok && people.ok && links.ok ? 'here' : 'away'
    if (who.ok) account.value = who.value
    if (people.ok) crew.value = people.value
    if (links.ok) shared.value = links.value
  }

  /** Do one thing at a time, and look anew at what it changed. */
  async function doing<T>(go: () => Promise<AskResult<T>>): Promise<AskResult<T>> {
    busy.value = true
    try {
      const done = await go()
      if (done.ok) await load()
      return done
    } finally {
      busy.value = false
    }
  }

  /** Become an account's device: nothing is sent meanwhile, and everything of it is heard then. */
  async function entering(go: () => Promise<AskResult<null>>): Promise<AskResult<null>> {
    busy.value = true
    try {
      await records.sync()
      const done = await device.alone(go)
      if (!done.ok) return done
      await records.hearAnew()
      await load()
      return done
    } finally {
      busy.value = false
    }
  }

  const passkeys = () => import('@simplewebauthn/browser')
  const refusedByBrowser = (error: unknown): AskResult<null> => ({
    ok: false,
    status: 0,
    code: 'browser',
    words:
      error instanceof Error && error.name === 'NotAllowedError'
        ? 'No passkey was given. Try again, or take another way in.'
        : 'This browser could not do that with a passkey. Take another way in.',
  })

  const makePasskey = (name: string) =>
    entering(async () => {
      const options = await ask<never>('POST', 'account/passkeys/options', { name })
      if (!options.ok) return options
      try {
        const response = await (await passkeys()).startRegistration({ optionsJSON: options.value })
        return await ask('POST', 'account/passkeys', { name, response })
      } catch (error) {
        return refusedByBrowser(error)
      }
    })
  const signInByPasskey = () =>
    entering(async () => {
      const options = await ask<never>('POST', 'account/sign-in/options')
      if (!options.ok) return options
      try {
        const response = await (await passkeys()).startAuthentication({ optionsJSON: options.value })
        return await ask('POST', 'account/sign-in/passkey', { response })
      } catch (error) {
        return refusedByBrowser(error)
      }
    })
  const setPassword = (name: string, password: string, current?: string) =>
    entering(() =>
      ask('PUT', 'account/password', {
        ...(account.value?.name ? {} : { name: name.trim() }),
        password,
        ...(current ? { current } : {}),
      }),
    )
  const signInByPassword = (name: string, password: string) =>
    entering(() => ask('POST', 'account/sign-in/password', { name: name.trim(), password }))
  const rename = (name: string) => doing(() => ask('PUT', 'account/name', { name: name.trim() }))
  const removePasskey = (id: string) => doing(() => ask('DELETE', `account/passkeys/${id}`))
  const removePassword = () => doing(() => ask('DELETE', 'account/password'))
  const nameDevice = (id: string, name: string) =>
    doing(() => ask('PUT', `account/devices/${id}`, { name: name.trim() }))
  const signOutThere = (id: string) => doing(() => ask('DELETE', `account/devices/${id}`))

  /** Leave nothing of an account on this device. */
  async function leaveNothing(): Promise<void> {
    await records.forget()
    for (const storage of [localStorage, sessionStorage])
      for (const key of Object.keys(storage))
        if (key.startsWith('piscator.') && !STAYS.includes(key)) storage.removeItem(key)
  }
  /** Sign out on this device; what was read into the page goes with the page. */
  async function signOutHere(): Promise<AskResult<null>> {
    const here = account.value?.devices.find(d => d.here)
    if (!here) return { ok: false, status: 0, code: 'unknown', words: 'This device is not signed in.' }
    busy.value = true
    try {
      const done = await device.alone(() => ask('DELETE', `account/devices/${here.id}`))
      if (!done.ok) return done
      await leaveNothing()
      location.assign('/yours')
      return done
    } finally {
      busy.value = false
    }
  }

  /** Take everything away, from the server and from here; for ten minutes it can be brought back. */
  async function takeAway(): Promise<AskResult<TakenAway>> {
    busy.value = true
    try {
      const done = await device.alone(() => ask<TakenAway>('DELETE', 'account'))
      if (!done.ok) return done
      takenAway.value = done.value
      await leaveNothing()
      location.assign('/yours')
      return done
    } finally {
      busy.value = false
    }
  }
  async function bringBack(): Promise<AskResult<null>> {
    const { undo } = takenAway.value!
    const done = await entering(() => ask('POST', 'account/restore', { undo }))
    if (done.ok || done.code === 'gone') takenAway.value = null
    return done
  }

  const invite = () => doing(() => ask<{ id: string; token: string; until: string }>('POST', 'crew/invites'))
  const withdraw = (id: string) => doing(() => ask('DELETE', `crew/invites/${id}`))
  const goAlong = (token: string) => doing(() => ask('POST', 'crew/join', { token }))
  const part = (id: string) => doing(() => ask('DELETE', `crew/${id}`))
  /** Show somebody so much: seen at once, taken back where the server did not take it. */
  async function show(id: string, may: SharingStep): Promise<AskResult<null>> {
    const before = crew.value
    if (crew.value) {
      crew.value = { ...crew.value, people: crew.value.people.map(p => (p.id === id ? { ...p, may } : p)) }
    }
    const done = await ask('PUT', `crew/${id}`, { may })
    if (!done.ok) crew.value = before
    return done
  }
  const takeAboard = (id: string, tripId: string) => doing(() => ask('PUT', `crew/${id}/aboard/${tripId}`))
  const putAshore = (id: string, tripId: string) => doing(() => ask('DELETE', `crew/${id}/aboard/${tripId}`))

  const share = (input: ShareInput) => ask<ShareOut>('POST', 'shares', input)
  const takeBack = (id: string) => doing(() => ask('DELETE', `shares/${id}`))

  return {
    account,
    crew,
    shares,
    state,
    busy,
    takenAway,
    isAccount,
    load,
    makePasskey,
    signInByPasskey,
    setPassword,
    signInByPassword,
    rename,
    removePasskey,
    removePassword,
    nameDevice,
    signOutThere,
    signOutHere,
    takeAway,
    bringBack,
    invite,
    withdraw,
    goAlong,
    part,
    show,
    takeAboard,
    putAshore,
    share,
    takeBack,
  }
})
