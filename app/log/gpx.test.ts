import { DOMParser } from '@xmldom/xmldom'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { TAP_OF, TRIP_OF, TRIP_ID } from '../../tests/reference/log'
import { readGpx, tripsGpx } from './gpx'
import type { Tap } from './trip'

beforeEach(() => void vi.stubGlobal('DOMParser', DOMParser))
afterEach(() => void vi.unstubAllGlobals())

const LIKE = { ...TRIP_OF(), note: '' }
const trip = { id: TRIP_ID, at: '', body: TRIP_OF() }
const HERE = { latitude: 34.87, longitude: -84.3 }
const gpx = (inside: string) =>
  `<?xml version="1.0"?><gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1">${inside}</gpx>`
const point = (tag: string, lat: number, time: string, more = '') =>
  `<${tag} lat="${lat}" lon="-84.3"><time>${time}</time>${more}</${tag}>`
const track = (points: string) => `<trk><name>Morning</name><trkseg>${points}</trkseg></trk>`
const time = (minute: number) => `2026-05-10T12:${String(minute).padStart(2, '0')}:00Z`

describe('trips as GPX', () => {
  const taps: Tap[] = [
    TAP_OF(1, 'cast', { place: HERE }),
    TAP_OF(2, 'landed', { place: { ...HERE, latitude: 34.871 }, species: 'largemouth-bass' }),
    TAP_OF(3, 'rod', { rod: 1 }),
    TAP_OF(4, 'word', { text: 'wind <up> & cold' }),
  ]
  const write = () =>
    tripsGpx(
      [trip],
      taps,
      () => HERE,
      t => `a ${t.body.what}`,
    )
  it('have a waypoint for every tap and a track of the places kept', async () => {
    const text = await write()
    const xml = new DOMParser().parseFromString(text, 'text/xml')
    const all = (tag: string) => [...xml.getElementsByTagName(tag)]
    expect(all('wpt').map(w => w.getElementsByTagName('type')[0]!.textContent)).toEqual(['cast', 'landed', 'word'])
    expect(all('name').map(n => n.textContent)).toContain('wind <up> & cold')
    expect(all('trkpt').map(p => p.getAttribute('lat'))).toEqual(['34.87', '34.871'])
    expect(
      await tripsGpx(
        [trip],
        [taps[3]!],
        () => null,
        () => '',
      ),
    ).not.toContain('<wpt')
  })
  it('come back into the trip they are of and change nothing that was known', async () => {
    const text = await write()
    const read = await readGpx(text, [trip], taps, LIKE)
    // The word keeps the place its water gave it, the change of rods the end of the track a minute before.
    expect(read).toMatchObject({ added: 0, changed: 2, same: 2, faults: [] })
    const fresh = await readGpx(text, [trip], [], LIKE)
    expect(fresh.writes.map(w => w.body.body)).toEqual([
      { tripId: TRIP_ID, at: taps[0]!.body.at, what: 'cast', rod: 0, place: HERE },
      expect.objectContaining({ what: 'landed' }),
      expect.objectContaining({ what: 'word', text: 'wind <up> & cold' }),
    ])
  })
  it('give places from a track of the same time to taps that have none, in between its points', async () => {
    const bare = [TAP_OF(1, 'bite'), TAP_OF(30, 'bite')]
    const text = gpx(track(point('trkpt', 34.8, time(0)) + point('trkpt', 34.9, time(2))))
    const read = await readGpx(text, [trip], bare, LIKE)
    expect(read.writes).toEqual([
      {
        id: bare[0]!.id,
        body: { kind: 'tap', body: { ...bare[0]!.body, place: { latitude: 34.85, longitude: -84.3 } } },
      },
    ])
  })
  it('make a trip of a track that is of none, with its waypoints in it', async () => {
    const text = gpx(
      point('wpt', 34.8, time(1), '<name>Brush</name>') +
        track(point('trkpt', 34.8, time(0)) + point('trkpt', 34.9, time(20))),
    )
    const read = await readGpx(text, [], [], LIKE)
    expect(read).toMatchObject({ added: 2, faults: [] })
    const [made, word] = read.writes
    expect(made!.body).toMatchObject({
      kind: 'trip',
      body: { name: 'Morning', startedAt: '2026-05-10T12:00:00.000Z', endedAt: '2026-05-10T12:20:00.000Z' },
    })
    expect(word!.body.body).toMatchObject({ tripId: made!.id, what: 'word', text: 'Brush' })
    const known = [{ id: made!.id, at: '', body: made!.body.body as typeof trip.body }]
    const words = [{ id: word!.id, at: '', body: word!.body.body as Tap['body'] }]
    expect(await readGpx(text, known, words, LIKE)).toMatchObject({ writes: [], same: 1 })
  })
  it('fall into a trip from its start to its end, or to now where it has none', async () => {
    const at = (minute: number) => gpx(point('wpt', 34.8, minute < 60 ? time(minute) : '2026-05-10T13:01:00Z'))
    const open = { ...trip, body: TRIP_OF({ endedAt: null }) }
    const added = async (text: string, of: typeof trip) => (await readGpx(text, [of], [], LIKE)).added
    expect([await added(at(0), trip), await added(at(61), trip), await added(at(61), open)]).toEqual([1, 0, 1])
    const before = gpx(point('wpt', 34.8, '2026-05-10T11:59:00Z'))
    expect([await added(before, trip), await added(before, open)]).toEqual([0, 0])
  })
  it('say of each point what it lacks', async () => {
    const text = gpx('<wpt lat="1" lon="2"><name>x</name></wpt>' + point('wpt', 3, '2020-01-01T00:00:00Z'))
    const { faults, writes } = await readGpx(text, [trip], [], LIKE)
    expect(writes).toEqual([])
    expect(faults.map(f => [f.line, f.column, f.message.slice(0, 20)])).toEqual([
      [1, 'time', 'It bears no time, so'],
      [2, 'time', 'No trip was under wa'],
    ])
  })
})
