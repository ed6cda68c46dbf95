import { describe, expect, it } from 'vitest'
import type { PlanRecord } from '#shared/schema/record'
import { drawerOf, planFor, rodsOfPlan, standIn } from './rig'

const plan = (spells: PlanRecord['spells'], pack: string[] = []) => ({ spells, pack }) as unknown as PlanRecord
const [bone, black, white] = ['jerkbait.bone', 'jerkbait.black', 'jerkbait.white'] as const
const ORDER = {
  order: [
    { finishId: bone, points: 80 },
    { finishId: white, points: 78 },
    { finishId: black, points: 50 },
  ],
  looks: [[bone, white], [black]],
}

describe('rods by a plan', () => {
  const spells = [
    { lane: 1, fromMin: 360, toMin: 720, finishId: bone },
    { lane: 1, fromMin: 720, toMin: 1200, finishId: black },
    { lane: 0, fromMin: 360, toMin: 1200, finishId: 'popper.bone' },
  ]
  it('carry what is on at the hour, and what comes after it', () => {
    expect(rodsOfPlan(plan(spells), 500)).toEqual([
      { rod: { lure: 'popper', finishId: 'popper.bone' }, changes: [] },
      { rod: { lure: 'jerkbait', finishId: bone }, changes: [{ finishId: black, atMin: 720, held: false }] },
    ])
    expect(rodsOfPlan(plan(spells), 100)[1]!.rod.finishId).toBe(bone)
    expect(rodsOfPlan(plan(spells), 800)[1]).toEqual({ rod: { lure: 'jerkbait', finishId: black }, changes: [] })
  })
  it('of a plan from before spells were kept carry its pack', () => {
    expect(rodsOfPlan(plan([], [bone, black, 'no.such', white]), 500).map(r => r.rod.finishId)).toEqual([
      bone,
      black,
      white,
    ])
  })
  it('go by the newest plan of the date', () => {
    const of = (id: string, at: string, date: string) => ({ id, at, body: { asked: { date } } }) as never
    const plans = [of('a', '1', '2026-05-10'), of('b', '3', '2026-05-10'), of('c', '4', '2026-05-11')]
    expect(planFor(plans, '2026-05-10')?.id).toBe('b')
    expect(planFor(plans, '2026-05-12')).toBeNull()
  })
})

describe('what stands in for what is not in the box', () => {
  it('is what looks the same, else the best owned with its points; nothing where all is bought', () => {
    expect(standIn(bone, ORDER, new Set([white, black]))).toEqual({
      finishId: white,
      insteadOf: bone,
      same: true,
      costs: 2,
    })
    expect(standIn(bone, ORDER, new Set([black]))).toMatchObject({ finishId: black, same: false, costs: 30 })
    expect(standIn(bone, ORDER, new Set([bone]))).toMatchObject({ finishId: bone, insteadOf: null })
    expect(standIn(bone, ORDER, new Set())).toMatchObject({ finishId: bone, insteadOf: null })
  })
  it('lies in the drawer before the rest, in today’s order', () => {
    const drawer = drawerOf(ORDER, new Set([black]), bone)
    expect(drawer.map(d => d.finishId)).toEqual([black, bone, white])
    expect(drawer.map(d => [d.costs, d.same])).toEqual([
      [30, false],
      [0, false],
      [2, true],
    ])
  })
})
