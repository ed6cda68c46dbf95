import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { beforeEach, describe, expect, it } from 'vitest'
import type { SeasonAnswer } from '#core/season-learning/season'
import type { Stands } from '#core/season-learning/stands'
import { openRankings } from './rankingsKept'

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
})
const stands = (visibilityM: number) =>
  ({ lure: 'jerkbait', z: {}, dim: 0, visibilityM, phase: 'summer', look: {} }) as Stands

describe('rankings kept on the device', () => {
  it('are there when it is opened again, and those of another engine are forgotten', async () => {
    const one = await openRankings('2026.1')
    await one.add(
      new Map([
        ['a', stands(1)],
        ['b', stands(2)],
      ]),
    )
    expect(await (await openRankings('2026.1')).all()).toEqual(
      new Map([
        ['a', stands(1)],
        ['b', stands(2)],
      ]),
    )
    const next = await openRankings('2026.2')
    await next.add(new Map([['a', stands(3)]]))
    expect(await next.all()).toEqual(new Map([['a', stands(3)]]))
    expect((await (await openRankings('2026.1')).all()).size).toBe(0)
  })
  it('say the same log the same again, for one engine', async () => {
    const answer = { version: '1' } as SeasonAnswer
    await (await openRankings('2026.1')).keepAnswer('log', answer)
    expect(await (await openRankings('2026.1')).answer('log')).toEqual(answer)
    expect(await (await openRankings('2026.1')).answer('another')).toBeUndefined()
    expect(await (await openRankings('2026.2')).answer('log')).toBeUndefined()
  })
})
