import { once } from 'node:events'
import type { AddressInfo, Server } from 'node:net'
import { createServer } from 'node:net'
import { appendChecksumFooter } from 'nmea-simple/dist/helpers'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { uniformFrom } from '#core/numeric/uniform'
import { instrumentStateOf } from '#shared/instruments'
import { comes } from '../../tests/reference/comes'
import { boatServer, roundOf } from '../../tools/devices/boat'
import { stationServer } from '../../tools/devices/station'
import { makeBoard } from './board'
import { castKeeper } from './cast'
import { watchGauge } from './gauge'
import { listen } from './line'
import { readSentence } from './sentences'

const sum = (text: string) => appendChecksumFooter(`$${text}`)
const AT = new Date('2026-05-10T14:00:00Z')
const ends: (() => void)[] = []
afterEach(() => {
  for (const end of ends.splice(0)) end()
})
async function open(server: Server): Promise<number> {
  server.listen(0, '127.0.0.1')
  await once(server, 'listening')
  return (server.address() as AddressInfo).port
}

describe('a sentence', () => {
  it.each([
    ['SDDPT,2.4,0.2', { depthM: 2.6 }],
    ['SDDPT,2.4,-0.3', { depthM: 2.4 }],
    ['SDDBT,7.9,f,2.41,M,1.3,F', { depthM: 2.41 }],
    ['YXMTW,14.5,C', { temperatureC: 14.5 }],
    ['WIMWV,214.8,R,3.6,K,A', { windMps: 1 }],
    ['WIMWV,214.8,R,5.0,M,A', { windMps: 5 }],
    ['WIMWV,214.8,R,10.0,N,A', { windMps: 5.1444 }],
    ['GPRMC,140000,A,3452.212,N,08418.024,W,0.4,84.0,100526,,,A', { latitude: 34.8702, longitude: -84.3004 }],
    ['GPGGA,140000,3452.212,N,08418.024,W,1,08,1.0,312.0,M,-31.0,M,,', { latitude: 34.8702, longitude: -84.3004 }],
  ])('%s is understood', (text, told) => {
    const read = readSentence(sum(text))!.told as Record<string, number>
    expect(Object.keys(read)).toEqual(Object.keys(told))
    for (const [k, v] of Object.entries(told)) expect(read[k]).toBeCloseTo(v, 4)
  })
  it('of the light meter gives a sample with what colours it has', () => {
    const light = readSentence(sum('IIXDR,D,0.50,M,CORD,G,12000,,LUX,G,0.8,,RED'))!.light
    expect(light).toEqual({ depthM: 0.5, lux: 12000, red: 0.8 })
  })
  it.each(['D,61,M,CORD', 'D,-0.1,M,CORD', 'D,0.5,M,DEPTH'])('of the light meter at %s is none', at =>
    expect(readSentence(sum(`IIXDR,${at},G,12000,,LUX`))).toBeNull(),
  )
  it.each([
    [0, null],
    [200_001, null],
    [200_000, 200_000],
  ])('of the light meter with %i lux is taken as %j', (lux, taken) =>
    expect(readSentence(sum(`IIXDR,D,0.5,M,CORD,G,${lux},,LUX`))?.light?.lux ?? null).toBe(taken),
  )
  it('of the light meter leaves out a colour that cannot be', () => {
    const light = readSentence(sum('IIXDR,D,0,M,CORD,G,9,,LUX,G,-1,,RED,G,1000001,,GREEN,G,0,,BLUE'))!.light
    expect(light).toEqual({ depthM: 0, lux: 9, blue: 0 })
  })
  it.each([
    '$SDDPT,2.4,0.2',
    '$SDDPT,2.4,0.2*00',
    sum('SDDPT,,'),
    sum('YXMTW,58,F'),
    sum('WIMWV,214.8,R,3.6,K,V'),
    sum('GPRMC,140000,V,,,,,,,100526,,,N'),
    sum('IIXDR,D,0.5,M,CORD'),
    sum('IIXDR,D,0.5,M,CORD,G,-4,,LUX'),
    sum('GPXYZ,1,2,3'),
    '',
  ])('%j tells nothing', text => expect(readSentence(text)).toBeNull())
  it('that is mangled never throws and seldom tells anything', () => {
    const draw = uniformFrom(7)
    const bytes = () => String.fromCharCode(Math.floor(draw() * 256))
    let told = 0
    for (let i = 0; i < 10_000; i++) {
      const lines = roundOf(3, i, AT)
      let line = lines[Math.floor(draw() * lines.length)] ?? ''
      for (let n = 1 + Math.floor(draw() * 4); n > 0; n--) {
        const at = Math.floor(draw() * line.length)
        const how = draw()
        if (how < 0.4) line = line.slice(0, at) + bytes() + line.slice(at + 1)
        else if (how < 0.6) line = line.slice(0, at)
        else if (how < 0.8) line = line.slice(at)
        else line = line.slice(0, at) + line + line.slice(at)
      }
      if (readSentence(line)) told++
    }
    // One sum in 256 is right by chance.
    expect(told).toBeLessThan(200)
  })
})

describe('the light meter', () => {
  it('keeps its last lowering, deeper and deeper', () => {
    const { add, now } = castKeeper()
    const lower = (depths: number[]) => depths.forEach(depthM => add({ depthM, lux: 100 }))
    expect(now()).toBeNull()
    lower([1.2, 0.8, 0.4, 0.1, 0.5, 0.52, 1, 1.4, 0.9, 0.3])
    expect(now()?.map(s => s.depthM)).toEqual([0.1, 0.5, 1, 1.4])
    lower([0.12, 0.6])
    expect(now()?.map(s => s.depthM)).toEqual([0.12, 0.6])
  })
  it('gives no more samples than a reading takes', () => {
    const { add, now } = castKeeper()
    for (let i = 0; i < 200; i++) add({ depthM: 0.1 + i * 0.1, lux: 100 })
    expect(now()).toHaveLength(40)
  })
})

describe('what instruments tell', () => {
  it.each([
    [2.4, 4, 'fresh'],
    [2.4, 60, 'stale'],
    [300, 0, 'absurd'],
    [NaN, 0, 'absurd'],
  ] as const)('a depth of %s, %s s ago, is %s', (value, ago, standing) => {
    expect(instrumentStateOf('depthM', { value, atMs: 0 }, ago * 1000)).toBe(standing)
  })
  it('tells those who listen of what is new, and of nothing else', () => {
    const board = makeBoard(() => 1000)
    const heard = vi.fn()
    const leave = board.listen(heard)
    const times = (step: () => void) => {
      step()
      return heard.mock.calls.length
    }
    expect([
      times(() => board.hear(sum('YXMTW,14.5,C'))),
      times(() => board.hear('$nothing')),
      times(() => board.state('gauge', 'here')),
      times(() => board.state('gauge', 'here')),
      times(() => board.hear(sum('IIXDR,D,0.50,M,CORD,G,12000,,LUX'))),
    ]).toEqual([1, 1, 2, 2, 4])
    expect(board.now()).toMatchObject({ gauge: 'here', line: 'none', simulated: false, nowMs: 1000 })
    leave()
    expect([times(() => board.take({ temperatureC: 3 })), board.listeners]).toEqual([4, 0])
    board.listen(heard)
    board.close()
    expect(board.listeners).toBe(0)
  })
  it('comes from the simulated boat, and again after it was away', async () => {
    const seen: string[] = []
    const port = await open(boatServer(5, () => AT, 5))
    const board = makeBoard(() => 1000)
    ends.push(() => board.close())
    board.listen(() => seen.push(board.now().line))
    board.open({ host: '127.0.0.1', port, simulated: true })
    await comes(() => expect(board.now().cast?.samples.length).toBeGreaterThan(5))
    const { told, line, simulated } = board.now()
    expect([line, simulated]).toEqual(['here', true])
    expect(told.temperatureC!.value).toBeGreaterThan(10)
    expect(told.latitude).toEqual({ value: expect.closeTo(34.87, 2) as number, atMs: 1000 })
    expect(seen).toContain('here')
  })
  it('is heard again on a line that was lost, and what is no sentence is let go by', async () => {
    const heard: string[] = []
    const states: string[] = []
    const serve = () =>
      createServer(s => {
        s.on('error', () => {})
        s.write('x'.repeat(100_000))
        s.write('\r\none\r\ntw')
        setTimeout(() => s.write('o\r\nthr'), 5)
      })
    const first = serve()
    const port = await open(first)
    const sockets: { destroy: () => void }[] = []
    first.on('connection', s => sockets.push(s))
    const line = listen('127.0.0.1', port, { line: t => heard.push(t), state: s => states.push(s) }, FAST)
    ends.push(line.close)
    await comes(() => expect(heard).toEqual(['one', 'two']))
    first.close()
    for (const s of sockets) s.destroy()
    await comes(() => expect(states.at(-1)).toBe('away'))
    const again = serve().listen(port, '127.0.0.1')
    ends.push(() => again.close())
    await comes(() => expect(heard).toEqual(['one', 'two', 'one', 'two']))
  })
  it('is away where a line that is open says nothing', async () => {
    const silent = createServer(() => {})
    const port = await open(silent)
    ends.push(() => silent.close())
    const states: string[] = []
    const line = listen('127.0.0.1', port, { line: () => {}, state: s => states.push(s) }, { ...FAST, silentMs: 30 })
    ends.push(line.close)
    await comes(() => expect(states.slice(0, 3)).toEqual(['here', 'away', 'here']))
  })
  it('comes from the gauge as long as somebody looks', async () => {
    const server = stationServer(11, () => AT.getTime())
    const port = await open(server)
    ends.push(() => server.close())
    const board = makeBoard()
    const asked: string[] = []
    const fetcher = ((url: string) => (asked.push(url), fetch(url))) as typeof fetch
    const times = { everyMs: 20, firstMs: 5, mostMs: 10 }
    const base = `http://127.0.0.1:${port}/v1.1`
    const gauge = watchGauge(base, board, { times, now: () => AT.getTime(), fetcher })
    ends.push(gauge.close)
    await new Promise(r => setTimeout(r, 40))
    expect(asked).toEqual([])
    board.listen(() => {})
    await comes(() => expect(board.now().gauge).toBe('here'))
    const { gaugeFnu, gaugeTemperatureC } = board.now().told
    expect(gaugeFnu!.value).toBeGreaterThan(0)
    expect(gaugeTemperatureC!.atMs).toBeLessThanOrEqual(AT.getTime())
    server.closeAllConnections()
    server.close()
    await comes(() => expect(board.now().gauge).toBe('away'))
  })
})
const FAST = { firstMs: 10, mostMs: 40, silentMs: 5000 }
