import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ownFinish } from '#core/box/own'
import { finishById } from '#core/lure/finish'
import { useRecordsStore } from '~/records/store'
import { useBoxStore } from './store'
import { useFinish } from './useFinish'

beforeEach(async () => {
  globalThis.indexedDB = new IDBFactory()
  setActivePinia(createPinia())
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no signal')))
  await useRecordsStore().load()
})
afterEach(() => vi.unstubAllGlobals())

const BONE = finishById('jerkbait.bone')!
const BLACK = finishById('jerkbait.black')!
const CRAW = finishById('craw.green-pumpkin')!
const counts = () => useBoxStore().all.map(l => [l.body.finishId, l.body.count])

describe('the box', () => {
  it('counts another piece of a finish it has, by lure and name, and takes each step back', async () => {
    const box = useBoxStore()
    expect(box.canUndo).toBe(false)
    const first = await box.add(BONE)
    expect(await box.add(BONE)).toBe(first)
    await box.add(CRAW)
    await box.add(BLACK)
    expect(counts()).toEqual([
      ['craw.green-pumpkin', 1],
      ['jerkbait.bone', 2],
      ['jerkbait.black', 1],
    ])
    await box.undo()
    await box.undo()
    await box.undo()
    expect([counts(), box.canUndo]).toEqual([[['jerkbait.bone', 1]], true])
    await box.undo()
    await box.undo()
    expect([counts(), box.canUndo]).toEqual([[], false])
  })
  it('carries what is neither retired nor used up, and knows its own colours', async () => {
    const box = useBoxStore()
    const [bone, black, craw] = [await box.add(BONE), await box.add(BLACK), await box.add(CRAW)]
    await box.edit(black, { retired: true })
    await box.edit(craw, { count: 0 })
    expect([box.finishIds, box.own]).toEqual([['jerkbait.bone'], []])
    await box.edit(bone, { coats: { belly: { colour: '#101010', material: 'matte' } }, name: 'Mine' })
    expect(box.finishIds[0]).toMatch(/^jerkbait\.own-/)
    expect(box.own).toEqual([expect.objectContaining({ id: bone, name: 'Mine', finishId: 'jerkbait.bone' })])
    // One of its own colours is no piece of the catalogue's, nor is a retired one.
    expect(await box.add(BONE)).not.toBe(bone)
    expect(await box.add(BLACK)).not.toBe(black)
    // What was written of it before it was painted over is of it still.
    const { finishOf, finishName } = useFinish()
    const before = ownFinish(box.own[0]!)!.id
    await box.edit(bone, { coats: { belly: { colour: '#202020', material: 'matte' } } })
    expect(finishOf(before)!.name).toBe('Mine')
    expect(finishOf(`jerkbait.own-${bone}-gone`)).toBe(box.all.find(l => l.id === bone)!.finish)
    expect([finishOf('jerkbait.bone'), finishName('jerkbait.none')]).toEqual([BONE, 'No longer known'])
    await box.remove(bone)
    expect(box.all.some(l => l.id === bone)).toBe(false)
    await box.edit(bone, { count: 9 })
    expect(box.all.some(l => l.id === bone)).toBe(false)
    await box.change([])
    await box.undo()
    expect(box.all.find(l => l.id === bone)!.body.name).toBe('Mine')
  })
  it('keeps a lure whose finish the catalogue has no more, without a finish', async () => {
    const box = useBoxStore()
    const id = await box.add(BONE)
    await box.edit(id, { finishId: 'jerkbait.gone' })
    expect(box.all[0]!.finish).toBeNull()
    expect(box.finishIds).toEqual([])
  })
})
