import type { AddressInfo } from 'node:net'
import { once } from 'node:events'
import type { Server } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { stationServer } from '../../tools/devices/station'
import { readForecast } from './forecast'
import { StationAwayError } from './station'

const MIDNIGHT = Date.parse('2026-05-10T04:00:00Z')
let server: Server
let base: string
beforeAll(async () => {
  server = stationServer(11, () => MIDNIGHT).listen(0, '127.0.0.1')
  await once(server, 'listening')
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/v1.1`
})
afterAll(() => server.close())

/** A station that tells what it is given, by stream. */
const telling = (streams: Record<string, unknown>) =>
  (async (url: string) => {
    const name = decodeURIComponent(new URL(url).pathname.split('/').at(-1)!)
    const body =
      name === 'Datastreams'
        ? { value: Object.keys(streams).map(s => ({ 'name': s, 'Observations@iot.navigationLink': `http://x/${s}` })) }
        : streams[name]
    return new Response(JSON.stringify(body))
  }) as typeof fetch
const at = (hour: number, result: unknown) => ({
  phenomenonTime: new Date(MIDNIGHT + hour * 3_600_000).toISOString(),
  result,
})

describe('the forecast', () => {
  it('of the simulated station has the day’s hours but for those it was silent, and the tide', async () => {
    const { hours, tide, simulated } = await readForecast(base, MIDNIGHT, true)
    expect(simulated).toBe(true)
    expect((await readForecast(base, MIDNIGHT, false)).simulated).toBe(false)
    expect(hours.length).toBeGreaterThan(18)
    expect(hours.length).toBeLessThanOrEqual(24)
    for (const h of hours) expect(h.cloud).toBeGreaterThanOrEqual(0)
    expect(tide.length).toBe(49)
    const heights = tide.map(t => t.heightM)
    // Two high waters and two low in a day of 24 hours, give or take one at its ends.
    const turns = heights.filter((h, i) => i > 0 && i < 48 && (h - heights[i - 1]!) * (heights[i + 1]! - h) < 0).length
    expect(turns).toBeGreaterThanOrEqual(3)
    expect(turns).toBeLessThanOrEqual(4)
    expect(await readForecast(base, MIDNIGHT, true)).toEqual({ hours, tide, simulated })
  })
  it('reads on over pages', async () => {
    const pages = telling({
      'cloud cover': { 'value': [at(0, 10)], '@iot.nextLink': 'http://x/more' },
      'more': { value: [at(1, 20)] },
    })
    expect((await readForecast('http://x', MIDNIGHT, true, pages)).hours.map(h => h.cloud)).toEqual([0.1, 0.2])
  })
  it('of a single hour, of a thousand and of nonsense is sensible', async () => {
    const one = await readForecast('http://x', MIDNIGHT, true, telling({ 'cloud cover': { value: [at(14.5, 130)] } }))
    expect(one.hours).toEqual([{ at: '14:00', cloud: 1 }])
    const many = Array.from({ length: 1000 }, (_, i) => at(i - 100, i % 100))
    const all = await readForecast('http://x', MIDNIGHT, true, telling({ 'cloud cover': { value: many } }))
    expect(all.hours).toHaveLength(24)
    const bad = { value: [at(3, 'much'), { result: 4 }, at(4, null), at(5, 50)] }
    expect((await readForecast('http://x', MIDNIGHT, true, telling({ 'cloud cover': bad }))).hours).toHaveLength(1)
    expect((await readForecast('http://x', MIDNIGHT, true, telling({}))).hours).toEqual([])
    const storm = telling({ 'lightning probability': { value: [at(9, 80)] }, 'wind speed': { value: [at(9, 6)] } })
    expect((await readForecast('http://x', MIDNIGHT, true, storm)).hours).toEqual([
      { at: '09:00', wind: 'chop', lightning: true },
    ])
  })
  it('never follows a link to another host, and says when the station is away', async () => {
    const asked: string[] = []
    const spying = (async (url: string) => {
      asked.push(url)
      const value = url.endsWith('/Datastreams')
        ? [{ 'name': 'cloud cover', 'Observations@iot.navigationLink': 'http://x/cloud' }]
        : [at(0, 10)]
      return new Response(JSON.stringify({ value, '@iot.nextLink': 'http://elsewhere/more' }))
    }) as typeof fetch
    await readForecast('http://x', MIDNIGHT, true, spying)
    expect(asked.some(u => u.includes('elsewhere'))).toBe(false)
    await expect(readForecast('http://127.0.0.1:9', MIDNIGHT, true)).rejects.toThrow(StationAwayError)
    const html = (async () => new Response('<html>')) as unknown as typeof fetch
    await expect(readForecast('http://x', MIDNIGHT, true, html)).rejects.toThrow(StationAwayError)
  })
})
