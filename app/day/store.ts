import { nearest } from '#core/numeric/nearest'
import { rounded } from '#core/numeric/rounded'
import { DAY_MIN, HOUR_MIN } from '#core/units'
import { useRefHistory } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { weatherOf } from '#core/day/forecast'
import { type Pin, withPin } from '#core/day/pins'
import type { DayRequest } from '#core/day/request'
import type { Tide } from '#core/request/request'
import type { ForecastOut } from '#shared/schema/forecast'
import { knownFinish } from '#core/box/own'
import { useBoxStore } from '~/box/store'
import { localTime } from '~/reading/clock'
import { requestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { type DaySet, FIRST_DAY, HOURS, type HourSet, USUAL_SCORE, usualLanes } from './fields'
import { useDeviceStorage } from '~/settings/deviceStorage'

/** A tide that moves less in an hour stands, m. */
const SLACK_M = 0.1
const STEPS = 60
/** A hand's width of hours: pulling the cloud at one hour takes its neighbours along, the nearer the more. */
const REACH_H = 2.5

const clockOf = (hour: number) => `${String(hour).padStart(2, '0')}:00`

/** The day on the screen: what is set about it, and what the engine is asked for it. Kept on the device. */
export const useDayStore = defineStore('day', () => {
  const reading = useReadingStore()
  const settings = useSettingsStore()
  const box = useBoxStore()
  // No rods of one's own until some are set: the day begins with what is fished and what is in the box.
  const unset = { ...structuredClone(FIRST_DAY), lanes: [] }
  const kept = useDeviceStorage<DaySet>('piscator.day', unset, { mergeDefaults: true })
  const history = useRefHistory(kept, { deep: true, capacity: STEPS })

  const lanes = computed(() => {
    if (kept.value.lanes.length) return kept.value.lanes
    const { lure, salinity } = reading.reading
    return usualLanes(lure, [...new Set(box.carried.map(l => l.body.lure))], salinity !== 'fresh')
  })
  const set = computed<DaySet>(() => ({ ...kept.value, lanes: lanes.value }))
  const lures = (lanes: DaySet['lanes']) => lanes.map(l => l.lure).join()
  const change = (patch: Partial<DaySet>) => {
    // Other rods have other finishes: what was held is of the rods before.
    const others = patch.lanes && !patch.pins && lures(patch.lanes) !== lures(set.value.lanes)
    // What is held is held on these rods.
    const own = patch.pins?.length ? { lanes: lanes.value } : {}
    kept.value = { ...kept.value, ...own, ...patch, ...(others ? { pins: [] } : {}) }
  }

  /** The hours as they are set, or as the reading has them. */
  const hours = computed<HourSet[]>(() => {
    const { cloud, wind, rain } = reading.reading
    return set.value.hours ?? Array.from({ length: HOURS }, () => ({ cloud, wind, rain, lightning: false }))
  })
  function setHour(hour: number, patch: Partial<HourSet>): void {
    change({ hours: hours.value.map((h, i) => (i === hour ? { ...h, ...patch } : h)) })
  }
  /** Hold a change at an hour; one that was held or planned at another is moved. */
  const pin = (to: Pin, wasAtMin: number) => change({ pins: withPin(set.value.pins, to, wasAtMin) })
  /** Let the held changes go. */
  const unpin = () => change({ pins: [] })
  const forecast = ref<'none' | 'coming' | 'here' | 'away'>('none')
  /** Whether the station it came from is made up. */
  const simulated = ref(false)
  /** Take the hours, and in salt water the tide, from the station; what it does not tell stays as it was. */
  async function takeForecast(): Promise<void> {
    forecast.value = 'coming'
    try {
      const query = new URLSearchParams({ date: date.value, utcOffsetMin: String(utcOffsetMin.value) })
      const response = await fetch(`/api/v1/forecast?${query}`)
      if (!response.ok) throw new Error(String(response.status))
      const told = (await response.json()) as ForecastOut
      if (!told.hours.length) throw new Error('nothing told')
      const weather = weatherOf(told.hours, 0, DAY_MIN)
      change({
        hours: Array.from({ length: HOURS }, (_, i) => {
          const { cloud, wind, rain, lightning } = weather(i * HOUR_MIN)
          return { cloud: rounded(cloud, 2), wind, rain, lightning }
        }),
        tide: reading.reading.salinity === 'fresh' || !told.tide.length ? null : told.tide,
      })
      simulated.value = told.simulated
      forecast.value = 'here'
    } catch {
      forecast.value = 'away'
    }
  }
  /** Whether the tide rises, falls or stands at an hour; nothing where it is not known. */
  function tideAt(hour: number): { tide: Tide } | Record<string, never> {
    const { tide } = set.value
    if (!tide || reading.reading.salinity === 'fresh') return {}
    const at = (min: number) => nearest(tide, min, t => t.atMin)!.heightM
    const perHour = at(hour * HOUR_MIN + 30) - at(hour * HOUR_MIN - 30)
    return { tide: Math.abs(perHour) < SLACK_M ? 'slack' : perHour > 0 ? 'rising' : 'falling' }
  }
  /** Pull the cloud's edge at an hour, its neighbours with it. */
  function pullCloud(hour: number, to: number): void {
    const by = to - hours.value[hour]!.cloud
    const near = (i: number) => Math.max(0, 1 - Math.abs(i - hour) / REACH_H)
    change({
      hours: hours.value.map((h, i) => ({ ...h, cloud: rounded(within(h.cloud + by * near(i)), 2) })),
    })
  }

  /** The day's date on the clock of its place. */
  const date = computed(() => localTime(reading.reading.timeMs, reading.reading.zone).toISODate()!)
  /** Offset of that clock at noon: a day on which clocks change is told by the time it keeps while it is fished. */
  const utcOffsetMin = computed(
    () => localTime(reading.reading.timeMs, reading.reading.zone).set({ hour: 12, minute: 0 }).offset,
  )

  /** Where plans keep to the box: what is in it of a lure, as long as anything is. */
  function ownedOf(lure: string): { finishIds?: string[] } {
    const mine = box.finishIds.filter(id => id.startsWith(`${lure}.`) && knownFinish(id))
    return settings.onlyOwned && mine.length ? { finishIds: mine } : {}
  }

  const request = computed<DayRequest>(() => {
    const {
      lure: _l,
      light: _g,
      depthM: _d,
      limit: _i,
      fishedThrough: _s,
      bitesRefused: _r,
      ...asked
    } = requestOf(reading.reading, settings.units)
    const { latitude, longitude } = reading.reading
    const { lanes, bank, packMost, changeMin, minSpellMin } = set.value
    return {
      ...asked,
      date: date.value,
      place: { latitude, longitude, utcOffsetMin: utcOffsetMin.value },
      hours: hours.value.map((h, i) => ({ at: clockOf(i), ...h, ...tideAt(i) })),
      ...(bank ? { bank: { facingDeg: bank.facingDeg, heightM: bank.heightM, acrossM: bank.acrossM } } : {}),
      lures: lanes.map(({ lure, place, depthM }) => ({
        lure,
        place,
        ...(depthM === null ? {} : { depthM }),
        ...ownedOf(lure),
      })),
      changeCost: (changeMin / HOUR_MIN) * USUAL_SCORE,
      minSpellMin,
      packMost,
    }
  })
  return {
    set,
    change,
    hours,
    setHour,
    pullCloud,
    pin,
    unpin,
    forecast,
    simulated,
    takeForecast,
    date,
    request,
    undo: history.undo,
    redo: history.redo,
    canUndo: history.canUndo,
  }
})

const within = (v: number) => Math.min(1, Math.max(0, v))
