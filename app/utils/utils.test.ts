import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { requestSchema } from '#shared/schema/request'
import { check } from '#shared/faults'
import { LURE_IDS } from '#core/finish/lures'
import { FIGURES } from '../figures/all'
import { useSceneStore } from '../stores/scene'
import { atMinute, clock, minuteOfDay, sunWords } from './day'
import { send } from './outbox'
import { firstScene, requestOf } from './scene'
import { sceneFromQuery, sceneQuery } from './sceneUrl'
import { labelInk, redTone } from './tone'

describe('a scene in the address', () => {
  it('comes back whole', () => {
    const s = { ...firstScene(), forage: [{ kind: 'shad' as const, share: 0.6 }, { kind: 'crawfish' as const, share: 0.4 }], clues: ['birds' as const], depthM: null, season: 'autumn' as const, fishedThrough: ['white' as const], temperatureC: null, rain: true }
    expect(sceneFromQuery(sceneQuery(s))).toEqual(s)
  })
  it('opens whatever it is given, and knows when it was given nothing', () => {
    expect(sceneFromQuery({})).toBeNull()
    expect(sceneFromQuery({ vis: '9999', tint: 'plaid', lure: 'grub', clues: 'birds.nope' })).toMatchObject({ visibilityM: 30, tint: 'green', lure: 'grub', clues: ['birds'] })
  })
  it('always asks what the server accepts', () => {
    expect(check(requestSchema, requestOf(firstScene(), 'us')).ok).toBe(true)
  })
})

describe('the day', () => {
  it('keeps to the place\'s own clock', () => {
    const t = Date.UTC(2026, 3, 11, 14, 40)
    expect(clock(minuteOfDay(t, -240))).toBe('10:40')
    expect(minuteOfDay(atMinute(t, -240, 5), -240)).toBe(5)
    expect([sunWords(46.2, 0), sunWords(-3, 0), sunWords(-20, 0.6)]).toEqual(['sun 46° up', 'civil twilight', 'night, moon 60 % lit'])
  })
})

describe('colours to read by', () => {
  it('puts white on dark water and black on bright', () => {
    expect(labelInk('#203008')).toBe('#ffffff')
    expect(labelInk('#c9d88a')).toBe('#0d1206')
  })
  it('spares night sight: no green or blue over 34 of 255', () => {
    for (const c of ['#ffffff', '#00ff00', '#0000ff', '#cfe070']) {
      const n = Number.parseInt(redTone(c).slice(1), 16)
      expect((n >> 8) & 255).toBeLessThanOrEqual(34)
      expect(n & 255).toBeLessThanOrEqual(34)
    }
  })
})

describe('undo', () => {
  beforeEach(() => setActivePinia(createPinia()))
  it('takes a drag back in one step and can go forward again', () => {
    const store = useSceneStore()
    const before = store.scene.visibilityM
    for (let i = 0; i < 30; i++) store.set({ visibilityM: 0.5 + i / 100 }, 1000 + i * 16)
    store.set({ tint: 'tea' }, 1600)
    store.undo()
    expect(store.scene.tint).toBe('green')
    store.undo()
    expect(store.scene.visibilityM).toBe(before)
    expect(store.canUndo).toBe(false)
    store.redo()
    expect(store.scene.visibilityM).toBeCloseTo(0.79)
  })
  it('holds readings within what the server takes', () => {
    const store = useSceneStore()
    store.set({ visibilityM: 400, fishM: 0 })
    expect([store.scene.visibilityM, store.scene.fishM]).toEqual([30, 0.1])
  })
})

describe('sending kept calls', () => {
  const keep = { kind: 'keep' as const, id: 'x', name: 'Bone', input: {} as never }
  const answering = (status: number) => (async () => ({ ok: status < 300, status })) as unknown as typeof fetch
  it('leaves a call waiting unless the server has said it has it, or will not', async () => {
    expect(await send(keep, answering(200))).toBe('done')
    expect(await send(keep, answering(503))).toBe('away')
    expect(await send(keep, answering(422))).toBe('refused')
    expect(await send(keep, (async () => { throw new TypeError('connection lost') }) as unknown as typeof fetch)).toBe('away')
    expect(await send({ kind: 'drop', id: 'x' }, answering(204))).toBe('done')
  })
})

it('every lure type has a figure of its own', () => {
  expect(new Set(LURE_IDS.map(id => JSON.stringify(FIGURES[id]))).size).toBe(LURE_IDS.length)
})
