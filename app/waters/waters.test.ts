import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { localTime } from '~/reading/clock'
import { useReadingStore } from '~/reading/store'
import { SPOT_OF, WATER_OF } from '../../tests/reference/waters'
import { useDayStore } from '~/day/store'
import { useRecordsStore } from '~/records/store'
import { type BasinWater, useWatersStore } from './store'
import { useSpot } from '~/day/useSpot'

const POND: BasinWater = {
  id: '018f0000-0000-4000-8000-000000000002',
  name: 'Tallow Pond',
  kind: 'farm pond',
  latitude: 34.87,
  longitude: -84.3,
  zone: 'America/New_York',
  salinity: 'fresh',
  usualTint: 'green',
  usualVisibilityM: 1.1,
  prey: ['sunfish', 'frog'],
  note: '',
}
const WEST: BasinWater = {
  ...POND,
  id: '018f0000-0000-4000-8000-000000000009',
  zone: 'America/Denver',
  longitude: -105,
}

const answer = (status: number, body: unknown) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(async () => new Response(JSON.stringify(body), { status })),
  )
beforeEach(() => setActivePinia(createPinia()))
afterEach(() => vi.unstubAllGlobals())

describe('saved waters', () => {
  it('set place, reading and what lives there when chosen', async () => {
    answer(200, [POND, WEST])
    const waters = useWatersStore()
    await waters.load()
    expect(waters.state).toBe('here')
    waters.choose(POND.id)
    const { reading } = useReadingStore()
    expect(reading).toMatchObject({
      waterId: POND.id,
      latitude: 34.87,
      longitude: -84.3,
      zone: 'America/New_York',
      salinity: 'fresh',
      tint: 'green',
      visibilityM: 1.1,
      prey: ['sunfish', 'frog'],
    })
    expect(waters.current?.name).toBe('Tallow Pond')
  })
  it('leave the hour on the clock where it was, in another zone too', async () => {
    answer(200, [POND, WEST])
    const waters = useWatersStore()
    await waters.load()
    const { reading } = useReadingStore()
    const hour = () => localTime(reading.timeMs, reading.zone).toFormat('yyyy-MM-dd HH:mm')
    const before = hour()
    waters.choose(POND.id)
    expect(hour()).toBe(before)
    waters.choose(WEST.id)
    expect(hour()).toBe(before)
    expect(reading.zone).toBe('America/Denver')
  })
  it('are left for another place with what lived there', async () => {
    answer(200, [POND])
    const waters = useWatersStore()
    await waters.load()
    waters.choose(POND.id)
    waters.choose('none')
    expect(useReadingStore().reading).toMatchObject({ waterId: null, prey: [], latitude: 34.87 })
    expect(waters.current).toBeNull()
  })
  it.each([503, 500])('are away when the server answers %i', async status => {
    answer(status, {})
    const waters = useWatersStore()
    expect(waters.state).toBe('loading')
    await waters.load()
    expect([waters.state, waters.list]).toEqual(['away', []])
  })
  it("of one's own stand before the basin's, and a spot brings its bottom, depth and banks", async () => {
    answer(200, [POND])
    const waters = useWatersStore()
    await waters.load()
    await useRecordsStore().load()
    const id = await waters.putWater(WATER_OF())
    await waters.putWater(WATER_OF({ name: 'Gone', archived: true }))
    expect(waters.list.map(w => [w.name, w.own])).toEqual([
      ['Fern Pond', true],
      ['Tallow Pond', false],
    ])
    const spot = await waters.putSpot(SPOT_OF({ waterId: id, latitude: 34.91, longitude: -84.31 }))
    await waters.putSpot(SPOT_OF({ waterId: id, name: 'Old', archived: true }))
    expect(waters.spotsOf(id).map(s => s.body.name)).toEqual(['Dam'])
    useSpot().choose(spot)
    const { reading } = useReadingStore()
    const there = { waterId: id, spotId: spot, tint: 'tea', background: 'rock', waterM: 2.5, latitude: 34.91 }
    expect(reading).toMatchObject(there)
    expect(useDayStore().set.bank).toEqual(SPOT_OF().bank)
    waters.choose(POND.id)
    expect(reading.spotId).toBeNull()
  })
  it('of the basin can be copied, and the copy changed', async () => {
    answer(200, [POND])
    const waters = useWatersStore()
    await waters.load()
    const id = await waters.makeMine(waters.list[0]!)
    expect(waters.own).toMatchObject([{ id, body: { name: 'Tallow Pond, mine', archived: false } }])
    expect(waters.own[0]!.body).not.toHaveProperty('own')
  })
})
