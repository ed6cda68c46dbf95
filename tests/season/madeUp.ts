import { readFileSync } from 'node:fs'
import type { LureId } from '#core/lure/types'
import type { Request } from '#core/request/request'
import type { LoggedTrip } from '#core/season-learning/log'
import type { Level } from '#core/season-learning/effect'
import type { Block } from '#core/trial/verdict'

type Row = [number, number, string, string, number, number, number[], number]
interface Kept {
  truth: { finish: { id: string; name: string; v: number }[]; lowLight: number; spot: number[][] }
  trial: Block[]
  moments: Request[]
  trips: (Omit<LoggedTrip, 'stints' | 'castsCounted' | 'asItHappened'> & { stints: Row[] })[]
  levels: Level[]
  asOf: string
}
const kept = JSON.parse(readFileSync(new URL('../../app/records/made-up/season.json', import.meta.url), 'utf8')) as Kept

/** A made-up season of 24 trips drawn from a stated truth, and a fair test of two. */
export const { truth: TRUTH, trial: TRIAL } = kept
export const MADE_UP = {
  version: '1' as const,
  asOf: kept.asOf,
  levels: kept.levels,
  trips: kept.trips.map((t): LoggedTrip => ({
    ...t,
    castsCounted: false,
    asItHappened: true,
    stints: t.stints.map(([who, rod, finishId, spot, fromMin, toMin, bites, asked]) => ({
      who,
      rod,
      lure: finishId.split('.')[0] as LureId,
      finishId,
      spot,
      depthM: null,
      fromMin,
      toMin,
      pausedMin: 0,
      casts: null,
      bites,
      landed: 0,
      drawn: false,
      asked: kept.moments[asked]!,
    })),
  })),
}
