import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { ForecastOut } from '#shared/schema/forecast'
import { daySchema } from '#shared/schema/day'
import { check } from '#shared/faults'
import { useBoxStore } from '~/box/store'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { usualLanes } from './fields'
import { calendarOf, changesOf, jsonOf } from './export'
import { useDayStore } from './store'
import type { DayShown, PlanShown } from './work'

beforeEach(() => setActivePinia(createPinia()))
afterEach(() => vi.unstubAllGlobals())

const telling = (told: Partial<ForecastOut> | number) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(async () =>
      typeof told === 'number'
        ? new Response('{}', { status: told })
        : new Response(JSON.stringify({ simulated: true, hours: [], tide: [], ...told })),
    ),
  )

describe('the day on the screen', () => {
  it('asks what the server takes, by the clock that the place keeps at noon', () => {
    const day = useDayStore()
    const reading = useReadingStore()
    // Clocks go forward at two in the night of this Sunday: it is fished by summer time.
    reading.set({ timeMs: Date.parse('2026-03-08T06:30:00Z') })
    expect(day.date).toBe('2026-03-08')
    expect(day.request.place.utcOffsetMin).toBe(-240)
    expect(check(daySchema, day.request)).toMatchObject({ ok: true })
    day.change({ bank: { facingDeg: 90, heightM: 10, acrossHeightM: 4, acrossM: 40 }, changeMin: 6 })
    expect(day.request.bank).toEqual({ facingDeg: 90, heightM: 10, acrossM: 40 })
    expect(day.request.changeCost).toBeCloseTo(0.06, 9)
  })
  it('pulls the cloud of an hour with its neighbours, and within its bounds', () => {
    const day = useDayStore()
    useReadingStore().set({ cloud: 0.4 })
    day.pullCloud(12, 1)
    const cloud = day.hours.map(h => h.cloud)
    expect(cloud[12]).toBe(1)
    expect(cloud[11]).toBeGreaterThan(0.5)
    expect(cloud[11]).toBeLessThan(1)
    expect(cloud[11]).toBe(cloud[13])
    expect(cloud[8]).toBe(0.4)
    // A hand's width: two hours either side, the nearer the more.
    expect([cloud[10], cloud[11], cloud[14], cloud[9], cloud[15]]).toEqual([0.52, 0.76, 0.52, 0.4, 0.4])
    day.pullCloud(12, 0)
    expect(Math.min(...day.hours.map(h => h.cloud))).toBe(0)
  })
  it('begins with what is fished and what the box holds, on such water', () => {
    const of = (...args: Parameters<typeof usualLanes>) => usualLanes(...args).map(l => l.lure)
    expect(of('popper', [], false)).toEqual(['popper', 'walking-topwater', 'spinnerbait', 'jerkbait'])
    expect(of('jerkbait', ['grub', 'inshore-spoon', 'jerkbait'], false).slice(0, 2)).toEqual(['jerkbait', 'grub'])
    expect(of('inshore-spoon', ['grub', 'popper'], true).slice(0, 2)).toEqual(['inshore-spoon', 'popper'])
    expect(of('inshore-spoon', [], true)).toHaveLength(4)
  })
  it('drops held changes with the rods they were held on, and takes every change back', () => {
    const day = useDayStore()
    const pin = { lane: 0, fromMin: 540, atMin: 600, toMin: 700, before: 'jerkbait.bone', after: 'jerkbait.black' }
    day.pin(pin, 600)
    expect(day.set.pins).toEqual([pin])
    day.change({ lanes: day.set.lanes.map(l => ({ ...l, depthM: 1 })) })
    expect(day.set.pins).toEqual([pin])
    expect(day.request.lures.map(l => l.depthM)).toEqual(day.set.lanes.map(() => 1))
    day.change({ lanes: [{ lure: 'popper', place: 'shade', depthM: null }] })
    expect(day.set.pins).toEqual([])
    expect(day.request.lures).toEqual([{ lure: 'popper', place: 'shade' }])
    day.pin(pin, 600)
    day.unpin()
    expect(day.set.pins).toEqual([])
  })
  it('keeps to the box where that is asked, as long as anything of the lure is in it', () => {
    const day = useDayStore()
    const settings = useSettingsStore()
    day.change({
      lanes: [
        { lure: 'popper', place: 'open', depthM: null },
        { lure: 'jerkbait', place: 'open', depthM: null },
      ],
    })
    vi.spyOn(useRecordsStore(), 'list').mockReturnValue([])
    const box = useBoxStore()
    Object.defineProperty(box, 'finishIds', { value: ['popper.white', 'popper.gone', 'spinnerbait.all-black'] })
    settings.onlyOwned = true
    expect(day.request.lures.map(l => l.finishIds)).toEqual([['popper.white'], undefined])
    settings.onlyOwned = false
    expect(day.request.lures.map(l => l.finishIds)).toEqual([undefined, undefined])
  })
  it('takes a forecast with holes, and the tide only where the water is salt', async () => {
    const day = useDayStore()
    const tide = Array.from({ length: 49 }, (_, i) => ({ atMin: 30 * i, heightM: Math.cos((i / 24.84) * 2 * Math.PI) }))
    telling({
      hours: [
        { at: '08:00', cloud: 0 },
        { at: '12:00', cloud: 0.8, lightning: true },
      ],
      tide,
    })
    await day.takeForecast()
    expect([day.forecast, day.set.tide]).toEqual(['here', null])
    expect([6, 8, 10, 12, 20].map(h => day.hours[h]!.cloud)).toEqual([0, 0, 0.4, 0.8, 0.8])
    expect(day.request.hours![10]!.tide).toBeUndefined()
    useReadingStore().set({ salinity: 'salt' })
    await day.takeForecast()
    // High water at midnight: slack then, falling at three, rising at nine.
    expect([0, 3, 6, 9].map(h => day.request.hours![h]!.tide)).toEqual(['slack', 'falling', 'slack', 'rising'])
  })
  it.each([503, 500])('keeps what was set where the station answers %i, and says so', async status => {
    const day = useDayStore()
    day.setHour(9, { cloud: 0.9 })
    telling(status)
    await day.takeForecast()
    expect(day.forecast).toBe('away')
    expect(day.hours[9]!.cloud).toBe(0.9)
  })
})

describe('a plan that goes out', () => {
  const step = (atMin: number) => ({ atMin, endMin: atMin + 60 })
  const out = () => ({
    water: 'Tallow Pond',
    zone: 'America/New_York',
    request: { ...useDayStore().request, date: '2026-05-10', lures: [{ lure: 'jerkbait' as const }] },
    light: { steps: [step(360), step(420), step(480)] } as DayShown,
    plan: {
      lanes: [
        [
          { from: 0, to: 1, finishId: 'jerkbait.black', why: 'Night; a dark lure, plain.', gain: 0 },
          { from: 1, to: 3, finishId: 'jerkbait.bone', why: 'Sun.', gain: 0.2 },
        ],
      ],
      pack: [{ finishId: 'jerkbait.bone', lane: 0, lost: 3, hours: 2, spells: 1 }],
      packed: 97,
      oneEach: 92,
      finishes: 40,
      cautions: [{ kind: 'cold-water', fromMin: 360, toMin: 540, text: 'Cold.' }],
    } as PlanShown,
  })
  it('is in the order of the day, in the place’s own time', () => {
    expect(changesOf(out()).map(c => [c.min, c.finish])).toEqual([
      [360, 'Solid black'],
      [420, 'Bone'],
    ])
    const { changes } = JSON.parse(jsonOf(out())) as { changes: { from: string }[] }
    expect(changes[0]!.from).toBe('2026-05-10T06:00:00.000-04:00')
    expect(JSON.parse(jsonOf(out())).changes.map((c: { to: string }) => c.to.slice(11, 16))).toEqual(['07:00', '09:00'])
    const two = out()
    two.request.lures.push({ lure: 'jerkbait' })
    two.plan.lanes.unshift([{ from: 1, to: 3, finishId: 'jerkbait.own-gone', why: '', gain: 0 }])
    expect(changesOf(two).map(c => [c.min, c.finish])).toEqual([
      [360, 'Solid black'],
      [420, 'jerkbait.own-gone'],
      [420, 'Bone'],
    ])
  })
  it('is a calendar with an alarm at each change and none at a caution', async () => {
    const text = (await calendarOf(out())).replace(/\r\n[ \t]/g, '')
    expect(text).toContain('DTSTART:20260510T100000Z')
    expect(text).toContain('SUMMARY:Jerkbait: Bone')
    expect(text).toContain('SUMMARY:Cold water')
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(3)
    expect(text.match(/BEGIN:VALARM/g)).toHaveLength(2)
    expect(text).toMatch(/Night\\; a dark lure\\, plain\./)
    expect(await calendarOf(out())).toBe(await calendarOf(out()))
  })
})
