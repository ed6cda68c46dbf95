import { describe, expect, it } from 'vitest'
import { finishById } from '#core/lure/finish'
import { LURE_IDS } from '#core/lure/types'
import { parseCoat } from '#core/paintwork/coat'
import { FIGURES } from './all'
import { dressOf, drawCoat } from './dress'
import { sunRays } from './sunRays'
import { UNKNOWN, partOf, vThroughWater } from './throughWater'
import { NIGHT_WATER, labelInk, luminanceOfHex, redTone } from './tone'
import { trebleAt } from './treble'

it('every lure type has a figure of its own', () => {
  expect(new Set(LURE_IDS.map(id => JSON.stringify(FIGURES[id]))).size).toBe(LURE_IDS.length)
})

describe('colours to read by', () => {
  it('puts white on dark water and black on bright, whichever stands off further', () => {
    expect(labelInk('#203008')).toBe('#ffffff')
    expect(labelInk('#c9d88a')).toBe('#000000')
    expect(labelInk('#707070')).toBe('#ffffff')
    expect(labelInk('#7c7c7c')).toBe('#000000')
  })
  it('spares night sight: no green or blue over 34 of 255', () => {
    for (const c of ['#ffffff', '#00ff00', '#0000ff', '#cfe070']) {
      const n = Number.parseInt(redTone(c).slice(1), 16)
      expect((n >> 8) & 255).toBeLessThanOrEqual(34)
      expect(n & 255).toBeLessThanOrEqual(34)
    }
  })
  it('keeps the order of lightness in red, up to its ceiling', () => {
    expect([redTone('#000000'), redTone('#ffffff'), redTone('#ffffff', 120)]).toEqual(['#0e0000', '#eb1a10', '#781a10'])
    expect(redTone('#808080') > redTone('#404040')).toBe(true)
    expect(luminanceOfHex('#808080')).toBeCloseTo(0.2159, 3)
  })
})

describe('shapes drawn in their place', () => {
  const pairs = (d: string) => [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(m => [Number(m[1]), Number(m[2])] as const)
  it('hang a treble hook where it is tied, as large and as far turned as it is', () => {
    const at = (rot: number, s = 1) => trebleAt({ kind: 'treble', x: 100, y: 50, rot, s })
    const [eye, foot] = pairs(at(0).d)
    expect([eye, foot]).toEqual([
      [100, 55],
      [100, 67],
    ])
    expect(at(0).eye).toEqual({ cx: 100, cy: 52.4, r: 2.2 })
    expect(at(0).line).toBe(1.9)
    // A quarter turn to the right lays it to the left, half as large half as far.
    expect(pairs(at(90).d)[1]).toEqual([83, 50])
    expect(pairs(at(90, 0.5).d)[1]).toEqual([91.5, 50])
    expect(at(90, 0.5)).toMatchObject({ eye: { cx: 98.8, cy: 50, r: 1.1 }, line: 0.95 })
    expect(pairs(at(0).d)).toHaveLength(pairs(at(37).d).length)
  })
  it('send the sun sixteen rays, all as long', () => {
    const ends = pairs(sunRays(15, 21))
    expect(ends).toHaveLength(32)
    ends.forEach(([x, y], i) => expect(Math.hypot(x, y)).toBeCloseTo(i % 2 ? 21 : 15, 1))
    expect(new Set(ends.map(String)).size).toBe(32)
  })
})

describe('a coat in the hand', () => {
  it('has its base, material and specks', () => {
    expect(drawCoat(parseCoat('black+~silver*0.2+orange*0.1'))).toMatchObject({
      material: 'matte',
      specks: [
        { cover: 0.2, mirror: true },
        { cover: 0.1, mirror: false },
      ],
    })
  })
  it('shows clear plastic pale and tinted plastic lighter than its dye', () => {
    expect(drawCoat(parseCoat('clear')).colour).toBe('#ced4d4')
    const [held, solid] = ['olive:translucent', 'olive'].map(c => luminanceOfHex(drawCoat(parseCoat(c)).colour))
    expect(held!).toBeGreaterThan(solid! * 1.3)
  })
  it('is the same object for the same finish', () => {
    const bone = finishById('jerkbait.bone')!
    expect(dressOf(bone)).toBe(dressOf(bone))
    expect(Object.keys(dressOf(bone)).sort()).toEqual(bone.parts.map(p => p.part).sort())
  })
})

describe('colours through water', () => {
  it('take what stands in for a part that has no colour of its own', () => {
    expect(partOf({ flank: '#111111', belly: '#222222' }, 'belly')).toBe('#222222')
    expect(partOf({ flank: '#111111' }, 'back')).toBe('#111111')
    expect(partOf({ belly: '#222222' }, 'chin')).toBe('#222222')
    expect(partOf({}, 'eye')).toBeUndefined()
  })
  it('are written onto the shapes that wear them, and only where they changed', () => {
    const written: string[] = []
    const shape = (seen: string, wears: Record<string, string>) => ({
      dataset: { seen },
      getAttribute: (a: string) => wears[a] ?? null,
      setAttribute: (a: string, v: string) => {
        wears[a] = v
        written.push(`${seen}=${v}`)
      },
    })
    const style = { color: '', setProperty: (k: string, v: string) => written.push(`${k}:${v}`) }
    const dataset: Record<string, string> = {}
    const shapes = [shape('fill flank', {}), shape('stroke hook', {}), shape('fill back', { fill: '#333333' })]
    const el = { dataset, style, querySelectorAll: () => shapes } as unknown as HTMLElement
    const parts = { flank: '#444444', back: '#333333' }
    const show = (red: boolean) =>
      (vThroughWater as (el: HTMLElement, binding: unknown) => void)(el, {
        value: {
          seen: { parts, water: '#203008', shape: !red, fine: 0.4 },
          red,
        },
      })
    show(false)
    expect(written).toEqual(['--fine:0.4', 'fill flank=#444444', `stroke hook=${UNKNOWN}`])
    expect([dataset.shape, style.color]).toEqual(['seen', '#ffffff'])
    show(true)
    const dim = (c: string) => redTone(c, NIGHT_WATER)
    expect(written.slice(3)).toEqual([`fill flank=${dim('#444444')}`, `fill back=${dim('#333333')}`])
    expect([dataset.shape, style.color]).toEqual(['gone', 'var(--ink)'])
  })
})
