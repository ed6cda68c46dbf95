import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { localTime } from '~/reading/clock'
import { useReadingStore } from '~/reading/store'
import { type WaterOut, useWatersStore } from './store'

const POND: WaterOut = {
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
const WEST: WaterOut = { ...POND, id: '018f0000-0000-4000-8000-000000000009', zone: 'America/Denver', longitude: -105 }

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
})
