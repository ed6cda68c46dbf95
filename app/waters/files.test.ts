import zoneAt from 'tz-lookup'
import { describe, expect, it } from 'vitest'
import { READING_OF, SPOT_OF, WATER_OF } from '../../tests/reference/waters'
import { type Kept3, readFile, readingsCsv, spotsCsv, toGeoJson, watersCsv } from './files'

const ID = (n: number) => `018f0000-0000-7000-8000-00000000000${n}`
const KNOWN: Kept3 = {
  waters: [{ id: ID(1), at: '', body: WATER_OF({ name: 'Fern, "upper" pond' }) }],
  spots: [
    { id: ID(2), at: '', body: SPOT_OF({ waterId: ID(1), latitude: 34.9, longitude: -84.31 }) },
    { id: ID(3), at: '', body: SPOT_OF({ waterId: ID(1), name: 'Anywhere', bank: null, depthM: null }) },
  ],
  readings: [{ id: ID(4), at: '', body: READING_OF({ waterId: ID(1) }) }],
}
const NONE: Kept3 = { waters: [], spots: [], readings: [] }
const LIKE = (({ name: _n, latitude: _a, longitude: _o, zone: _z, note: _t, ...like }) => like)(WATER_OF())
const AS_WATER = { kind: 'water', like: LIKE } as const
const read = (name: string, text: string, known = NONE, as: Parameters<typeof readFile>[3] = AS_WATER) =>
  readFile(name, text, known, as, zoneAt)

describe('waters as files', () => {
  it('come back whole from GeoJSON, and a second time add nothing', async () => {
    const text = toGeoJson(KNOWN)
    const { writes, faults } = await read('a.geojson', text)
    expect(faults).toEqual([])
    const all = [...KNOWN.waters, ...KNOWN.spots, ...KNOWN.readings]
    expect(writes.map(w => ({ id: w.id, body: w.body.body }))).toEqual(all.map(({ id, body }) => ({ id, body })))
    expect(await read('a.geojson', text, KNOWN)).toMatchObject({ writes: [], same: 4, faults: [] })
  })
  it.each([
    ['waters', watersCsv, 1],
    ['spots', spotsCsv, 2],
    ['readings', readingsCsv, 1],
  ] as const)('%s come back whole from CSV, and a second time add nothing', async (kind, write, n) => {
    const text = write(KNOWN)
    const { writes, faults } = await read('a.csv', text, { ...NONE, waters: KNOWN.waters, [kind]: [] })
    expect(faults).toEqual([])
    expect(writes.map(w => ({ id: w.id, body: w.body.body }))).toEqual(
      KNOWN[kind].map(({ id, body }) => ({ id, body })),
    )
    expect(await read('a.csv', text, KNOWN)).toMatchObject({ writes: [], same: n, faults: [] })
  })
  it('name line and column of what is wrong, and give the right ones', async () => {
    const text =
      'name,latitude,longitude,usualVisibilityM\nOne,34.9,-84.3,1.2\nTwo,134,-84.3,1.2\nThree,34.9,-84.3,deep\n'
    const { writes, faults } = await read('a.csv', text)
    expect(writes.map(w => w.body.body)).toMatchObject([{ name: 'One', zone: 'America/New_York', salinity: 'fresh' }])
    expect(faults.map(f => `${f.line} ${f.column}`)).toEqual(['3 latitude', '4 usualVisibilityM'])
    for (const f of faults) expect(f.message).not.toMatch(/134|deep/)
  })
  it('find a water by its name, or ask for its id where two bear it', async () => {
    const text = 'water,name,bottom\n"Fern, ""upper"" pond",Dam,rock\n'
    expect((await read('a.csv', text, KNOWN)).writes[0]!.body.body).toMatchObject({ waterId: ID(1), bank: null })
    const twins = { ...KNOWN, waters: [...KNOWN.waters, { ...KNOWN.waters[0]!, id: ID(9) }] }
    expect((await read('a.csv', text, twins)).faults).toMatchObject([{ line: 2, column: 'water' }])
  })
  it('take points of other programs as waters or as spots, once', async () => {
    const point = (name: string, at: number[]) => ({
      type: 'Feature',
      properties: { name, desc: 'by the dam' },
      geometry: { type: 'Point', coordinates: at },
    })
    const text = JSON.stringify({ type: 'FeatureCollection', features: [point('Brush pile', [-84.3, 34.9])] })
    const asSpot = { kind: 'spot', waterId: ID(1) } as const
    const spots = await read('points.json', text, KNOWN, asSpot)
    expect(spots.writes[0]!.body).toMatchObject({ kind: 'spot', body: { name: 'Brush pile', latitude: 34.9 } })
    expect((await read('points.json', text)).writes[0]!.body).toMatchObject({
      kind: 'water',
      body: { name: 'Brush pile', longitude: -84.3, zone: 'America/New_York', note: 'by the dam' },
    })
    const spot = spots.writes[0]!.body.body as Kept3['spots'][number]['body']
    const now = { ...KNOWN, spots: [...KNOWN.spots, { id: ID(8), at: '', body: spot }] }
    expect(await read('points.json', text, now, asSpot)).toMatchObject({ writes: [], same: 1 })
  })
  it.each(['', 'hello', '{"features":3}', '{', 'a,b\n1,2'])('say what is no such file: %j', async text => {
    expect(await read('a', text)).toMatchObject({ writes: [], faults: [{ line: 1 }] })
  })
})
