import { describe, expect, it } from 'vitest'
import type { LureRecord } from '#shared/schema/record'
import { readBox, toCsv, toJson } from './files'

const body = (patch: Partial<LureRecord> = {}): LureRecord => ({
  lure: 'jerkbait',
  finishId: 'jerkbait.bone',
  name: 'Bone, "the old one"',
  count: 2,
  wear: 'worn',
  keptIn: 'Tray 1',
  note: 'two\nlines',
  retired: false,
  ...patch,
})
const ID = '018f0000-0000-7000-8000-0000000000a1'
const BOX = [
  { id: ID, at: '', body: body() },
  {
    id: '018f0000-0000-7000-8000-0000000000a2',
    at: '',
    body: body({ name: 'Mine', coats: { flank: { colour: '#3a7d44', material: 'matte' } } }),
  },
]

describe('the box as a file', () => {
  it.each([
    ['box.csv', toCsv(BOX)],
    ['box.json', toJson(BOX)],
  ])('comes back whole from %s, and a second time adds nothing', (name, text) => {
    const read = readBox(name, text, [])
    expect(read.faults).toEqual([])
    expect(read.writes).toEqual(BOX.map(({ id, body }) => ({ id, body })))
    expect(readBox(name, text, BOX)).toMatchObject({ writes: [], added: 0, changed: 0, same: 2, faults: [] })
  })
  it('takes lines without ids, once however often they come', () => {
    const text = 'finish,count\njerkbait.white,3\nspinnerbait.all-black,\n'
    const read = readBox('a.csv', text, BOX)
    expect(read).toMatchObject({ added: 2, faults: [] })
    expect(read.writes[0]!.body).toMatchObject({ lure: 'jerkbait', count: 3, wear: 'used', retired: false })
    const now = [...BOX, ...read.writes.map(w => ({ ...w, at: '' }))]
    expect(readBox('a.csv', text, now)).toMatchObject({ writes: [], same: 2 })
    expect(readBox('a.csv', 'finish,count\njerkbait.white,4\n', now)).toMatchObject({ added: 0, changed: 1 })
  })
  it('names line and column of what is wrong, and takes the right ones all the same', () => {
    const text = [
      'finish,count,wear,coats,id',
      'jerkbait.white,3,new,,',
      'jerkbait.nosuch,1,new,,',
      'jerkbait.white,-2,polished,,',
      'jerkbait.bone,1,new,flank=green,',
      'jerkbait.bone,1,new,,12',
    ].join('\n')
    const { faults, writes } = readBox('a.csv', text, [])
    expect(writes.map(w => w.body.finishId)).toEqual(['jerkbait.white'])
    expect(faults.map(f => `${f.line} ${f.column}`)).toEqual(['3 finish', '4 count', '4 wear', '5 coats', '6 id'])
    for (const f of faults) expect(f.message).not.toMatch(/nosuch|polished/)
    expect(readBox('a.csv', 'lure;name\nx;y', []).faults[0]).toMatchObject({ line: 1, column: 'finish' })
    expect(readBox('a.json', '{"lures":3}', []).faults[0]!.line).toBe(1)
    const spoilt = JSON.parse(toJson(BOX)) as { lures: { count: number }[] }
    spoilt.lures[1]!.count = -1
    expect(readBox('a.json', JSON.stringify(spoilt), []).faults.map(f => f.line)).toEqual([2])
  })
})
