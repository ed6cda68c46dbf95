import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { LURE_IDS } from '#core/lure/types'
import { check } from '#shared/faults'
import { requestSchema } from '#shared/schema/request'
import { READING } from './fields'
import { type ScreenReading, firstReading, requestOf, withinLimits } from './reading'
import { readingFromQuery, readingQuery } from './readingUrl'
import { placeIn, zoneAt } from './zone'
import { useReadingStore } from './store'

/** When links are opened that name no moment. */
const NOW = Date.UTC(2026, 11, 1, 12, 30)
/** A reading in which nothing is as on a first visit. */
const OTHER: ScreenReading = {
  lure: 'popper',
  species: 'snook',
  school: 'fish-eye',
  visibilityM: 0.75,
  tint: 'tea',
  temperatureC: null,
  trend: 'falling',
  salinity: 'salt',
  pressure: 'high',
  tide: 'falling',
  prey: ['mullet', 'shrimp'],
  waterM: 4.5,
  facing: 'sun-in-face',
  cloud: 0.9,
  rain: true,
  wind: 'chop',
  canopy: 'mat',
  lamps: true,
  timeMs: Date.UTC(2026, 9, 3, 22, 5),
  latitude: -33.5,
  longitude: 151.25,
  zone: 'Australia/Sydney',
  placeGuessed: true,
  waterId: '018f0000-0000-4000-8000-000000000005',
  spotId: '018f0000-0000-4000-8000-0000000000b1',
  season: 'autumn',
  forage: [
    { kind: 'mullet', share: 0.6 },
    { kind: 'shrimp', share: 0.4 },
  ],
  clues: ['birds', 'bait-flicker'],
  depthM: null,
  cover: 'oyster',
  density: 'thick',
  topM: 2.5,
  background: 'sand',
  fishM: 1.25,
  side: 'below',
  fishedThrough: ['white', 'bone'],
  bitesRefused: true,
}

describe('the bottom', () => {
  beforeEach(() => setActivePinia(createPinia()))
  it('lifts the lure that would stand under it, and asks for nothing the server refuses', () => {
    const store = useReadingStore()
    store.set({ depthM: 4 })
    store.set({ waterM: 2.5 })
    expect(store.reading.depthM).toBe(2.5)
    store.set({ depthM: 6 })
    expect(store.reading.depthM).toBe(2.5)
    expect(check(requestSchema, requestOf(store.reading, 'metric')).ok).toBe(true)
    store.set({ waterM: null, depthM: 6 })
    expect(store.reading.depthM).toBe(6)
  })
  it('keeps a lure of usual depth off it', () => {
    const store = useReadingStore()
    store.setLure('deep-crankbait')
    expect(store.depthM).toBe(4)
    store.set({ waterM: 2 })
    expect(store.depthM).toBeCloseTo(1.7, 9)
  })
})

describe('a reading in the address', () => {
  it.each([
    ['the first', firstReading()],
    ['any other', OTHER],
  ])('comes back whole: %s', (_, reading) => {
    expect(readingFromQuery(readingQuery(reading), NOW)).toEqual(reading)
  })
  it('differs in every field from the first, so that none can be forgotten', () => {
    for (const key of Object.keys(READING) as (keyof ScreenReading)[])
      expect(OTHER[key], key).not.toEqual(READING[key].first)
    const keys = Object.values(READING).map(f => f.key)
    expect(new Set(keys).size).toBe(keys.length)
  })
  it('comes back as it is seen, whatever was dragged to', () => {
    const store = useReadingStore()
    store.set({ visibilityM: 1.2345678, depthM: 0.987654321, fishM: 1 / 3, waterM: 4.56789, temperatureC: 14.4444 })
    store.set({ cloud: 0.123456, latitude: 34.123456, timeMs: Date.UTC(2026, 4, 1, 9, 8, 7) })
    expect(readingFromQuery(readingQuery(store.reading), NOW)).toEqual({ ...store.reading })
    expect(store.reading).toMatchObject({ visibilityM: 1.235, depthM: 0.988, fishM: 0.333 })
  })
  it('leaves out lists that are empty', () => {
    const query = readingQuery(firstReading())
    expect(query).not.toHaveProperty('clues')
    expect(query).toMatchObject({ vis: '1.5', season: 'auto', rain: '0', water: 'auto' })
  })
  it('opens whatever it is given, and knows when it was given nothing', () => {
    expect(readingFromQuery({}, NOW)).toBeNull()
    expect(readingFromQuery({ vis: ['1', '2'], unheard: '1' }, NOW)).toBeNull()
    const mangled = {
      vis: '9999',
      tint: 'plaid',
      lure: 'grub',
      clues: 'birds.nope',
      at: 'noon',
      zone: 'Moon/Sea',
      rain: '7',
    }
    expect(readingFromQuery(mangled, NOW)).toEqual({
      ...firstReading(),
      timeMs: NOW,
      visibilityM: 30,
      lure: 'grub',
      clues: ['birds'],
    })
    expect(readingFromQuery({ vis: ' ', temp: '', food: 'shad:0.mullet:50.x:10', lat: 'north' }, NOW)).toEqual({
      ...firstReading(),
      timeMs: NOW,
      forage: [{ kind: 'mullet', share: 0.5 }],
    })
  })
})

describe('a place by the clock', () => {
  it('is somewhere in its zone, by an old name of it too, and nowhere for what is no zone of the map', async () => {
    for (const zone of ['America/New_York', 'Europe/Berlin', 'Australia/Sydney']) {
      const place = (await placeIn(zone))!
      expect(await zoneAt(place.latitude, place.longitude)).toBe(zone)
    }
    expect((await placeIn('Australia/Sydney'))!.latitude).toBeLessThan(0)
    expect(await placeIn('Asia/Calcutta')).toEqual(await placeIn('Asia/Kolkata'))
    expect(await placeIn('Etc/UTC')).toBeNull()
  })
})

describe('the request of a reading', () => {
  it('holds every field where the engine looks for it', () => {
    expect(requestOf(OTHER, 'us')).toEqual({
      lure: 'popper',
      species: 'snook',
      school: 'fish-eye',
      water: {
        visibilityM: 0.75,
        tint: 'tea',
        trend: 'falling',
        salinity: 'salt',
        pressure: 'high',
        tide: 'falling',
        cover: { kind: 'oyster', density: 'thick', topM: 2.5 },
        depthM: 4.5,
        prey: ['mullet', 'shrimp'],
      },
      light: {
        sky: 'rain',
        cloud: 0.9,
        facing: 'sun-in-face',
        wind: 'chop',
        canopy: 'mat',
        lamps: true,
        at: { time: '2026-10-03T22:05:00.000Z', latitude: -33.5, longitude: 151.25 },
      },
      season: 'autumn',
      forage: [
        { kind: 'mullet', share: 0.6 },
        { kind: 'shrimp', share: 0.4 },
      ],
      clues: ['birds', 'bait-flicker'],
      background: 'sand',
      fishM: 1.25,
      fishedThrough: ['white', 'bone'],
      bitesRefused: true,
      limit: 60,
      units: 'us',
    })
  })
  it('leaves to the engine what was not said', () => {
    const asked = requestOf({ ...firstReading(), temperatureC: null, depthM: null }, 'metric')
    for (const key of ['season', 'forage', 'clues', 'depthM', 'fishedThrough']) expect(asked).not.toHaveProperty(key)
    for (const key of ['temperatureC', 'trend', 'prey']) expect(asked.water).not.toHaveProperty(key)
  })
  it('is one the server accepts, for any lure and either reading', () => {
    for (const lure of LURE_IDS)
      expect(check(requestSchema, requestOf({ ...firstReading(), lure }, 'us')).ok).toBe(true)
    expect(check(requestSchema, requestOf(OTHER, 'metric')).ok).toBe(true)
  })
  it.each([
    [0, false, 'clear'],
    [0.19, false, 'clear'],
    [0.2, false, 'partly'],
    [0.84, false, 'partly'],
    [0.85, false, 'overcast'],
    [0.1, true, 'rain'],
  ] as const)('words a cloud of %d (rain: %s) as %s', (cloud, rain, sky) => {
    expect(requestOf({ ...firstReading(), cloud, rain }, 'us').light.sky).toBe(sky)
  })
  it('shares no list with the reading, so that a worker can be sent it', () => {
    const asked = requestOf(OTHER, 'us')
    expect(asked.forage![0]).not.toBe(OTHER.forage[0])
    expect(asked.clues).not.toBe(OTHER.clues)
  })
})

describe('limits', () => {
  it('hold numbers and leave the rest', () => {
    const held = withinLimits({ visibilityM: 400, fishM: 0, cloud: -1, depthM: 99, temperatureC: 41, tint: 'tea' })
    expect(held).toEqual({ visibilityM: 30, fishM: 0.1, cloud: 0, depthM: 60, temperatureC: 40, tint: 'tea' })
    expect(withinLimits({ depthM: null, temperatureC: -1 })).toEqual({ depthM: null, temperatureC: -1 })
  })
})

describe('the reading on the screen', () => {
  beforeEach(() => setActivePinia(createPinia()))
  it('takes a drag back in one step and can go forward again', () => {
    const store = useReadingStore()
    const before = store.reading.visibilityM
    for (let i = 0; i < 30; i++) store.set({ visibilityM: 0.5 + i / 100 }, 1000 + i * 16)
    store.set({ tint: 'tea' }, 1600)
    store.undo()
    expect([store.reading.tint, store.canRedo]).toEqual(['green', true])
    store.undo()
    expect([store.reading.visibilityM, store.canUndo]).toEqual([before, false])
    store.redo()
    expect(store.reading.visibilityM).toBeCloseTo(0.79)
    store.redo()
    expect([store.reading.tint, store.canRedo]).toEqual(['tea', false])
  })
  it('parts steps by control and by a pause', () => {
    const store = useReadingStore()
    store.set({ cloud: 0.5 }, 1000)
    store.set({ cloud: 0.6 }, 1900)
    store.set({ cloud: 0.7 }, 2801)
    store.undo()
    expect(store.reading.cloud).toBe(0.6)
    store.undo()
    expect(store.reading.cloud).toBe(0.4)
  })
  it('starts a new step after an undo, and forgets what was undone', () => {
    const store = useReadingStore()
    store.set({ cloud: 0.5 }, 1000)
    store.undo()
    store.set({ cloud: 0.8 }, 1100)
    expect(store.canRedo).toBe(false)
    store.undo()
    expect(store.reading.cloud).toBe(0.4)
  })
  it('counts changes and not what changes nothing', () => {
    const store = useReadingStore()
    store.set({ tint: 'green' }, 0)
    expect([store.changes, store.canUndo]).toEqual([0, false])
    store.set({ tint: 'tea' }, 10)
    expect(store.changes).toBe(1)
    store.open(OTHER)
    expect([store.reading.lure, store.canUndo]).toEqual(['popper', false])
    store.set({ tint: 'brown' }, 20)
    store.undo()
    expect(store.reading.tint).toBe('tea')
  })
  it('sends another lure to its own depth, a surface lure to be seen from below and back', () => {
    const store = useReadingStore()
    store.set({ depthM: 1.5, side: 'above' }, 0)
    store.setLure('jerkbait')
    expect([store.depthM, store.reading.side]).toEqual([1.2, 'above'])
    store.setLure('popper')
    expect([store.depthM, store.reading.side]).toEqual([0.05, 'below'])
    store.setLure('grub')
    expect([store.depthM, store.reading.side]).toEqual([2, 'level'])
  })
})
