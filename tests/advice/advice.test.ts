import { luresHere } from '#core/which-lure/answer'
import { lureQuarrels, lureQuestions } from './lureQuarrels'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { LURE_IDS } from '#core/lure/types'
import { finishesOf } from '#core/lure/finish'
import { rank, recommend } from '#core/ranking/recommend'
import { apartJnd } from '#core/sight/measure'
import { CUSTOMS } from '#core/rules/customs/all'
import type { Custom } from '#core/rules/custom'
import { luresOf, misfitsOf, untrueOf } from '#core/rules/fitness'
import { TINTS, type TintId } from '#core/water/tints'
import { CLAIMS } from './claims'
import { faultsOf } from './faults'
import { requests } from './grid'
import { quarrelsOf } from './quarrels'
import { STRAYS, kendallTau, steadiness } from './stability'

describe.each(LURE_IDS)('what is said of a %s', lure => {
  it('does not quarrel with its conditions, its figures or itself', () => {
    for (const r of requests(17, 11, [lure])) {
      expect(quarrelsOf(r, recommend(r)), JSON.stringify(r)).toEqual([])
    }
  })
  it('is what a guide could say', () => {
    for (const r of requests(14, 7, [lure])) {
      expect(faultsOf(r, recommend(r)), JSON.stringify(r)).toEqual([])
    }
  })
})

describe('the claims of the field', () => {
  it.each(CLAIMS.map(c => [c.says, c] as const))('%s', (_, { asks, leads, shows }) => {
    const answer = recommend({ ...asks, limit: 60 })
    if (leads) {
      const first = answer.ranked.filter(r => r.place === 1).map(r => r.finish.name)
      expect(
        first.some(name => leads.test(name)),
        first.join(', '),
      ).toBe(true)
    }
    if (shows) expect(shows(answer)).toBe(true)
  })
  it('stand in the table of the documentation, in order', () => {
    const page = readFileSync(new URL('../../docs/science/ranking.md', import.meta.url), 'utf8')
    // However its columns are laid out.
    const table = page.replace(/ +\|/g, ' |')
    CLAIMS.forEach(({ says }, i) => expect(table).toContain(`| ${i + 1} | ${says} |`))
  })
})

describe('rules and catalogue', () => {
  it('are found out where they speak of what a lure lacks', () => {
    const custom: Custom = { ...CUSTOMS.find(c => c.id === 'spin-blades-gold')!, when: { lures: ['swim-jig'] } }
    expect(misfitsOf([custom])[0]).toEqual({ code: 'worn-by-none', id: custom.id })
    const spoken = { ...custom, favours: {} }
    expect(misfitsOf([spoken])[0]).toMatchObject({ code: 'untrue-of-lure', lure: 'swim-jig', word: 'blades' })
    expect(untrueOf('Paint the throat, dip the tail.', 'casting-jig')).toEqual(['throat', 'tail', 'dip'])
    expect(untrueOf('Silver blades, white skirt.', 'spinnerbait')).toEqual([])
  })
  it('have at least six customs for each fish of the coast', () => {
    for (const species of ['red-drum', 'seatrout', 'snook', 'striped-bass'] as const) {
      const own = CUSTOMS.filter(c => c.when.species?.includes(species) && luresOf(c).length)
      expect(own.length, species).toBeGreaterThanOrEqual(6)
    }
  })
  it('turn the first pick between tea, silt and algae at one clarity in most lures', () => {
    const turned = LURE_IDS.filter(lure => {
      const firsts = (['tea', 'brown', 'green'] as const).map(
        tint =>
          recommend({
            lure,
            water: { visibilityM: 0.6, tint, temperatureC: 20 },
            light: { sky: 'partly', sunElevationDeg: 45 },
          }).ranked[0]!.finish.id,
      )
      return new Set(firsts).size > 1
    })
    expect(turned.length).toBeGreaterThanOrEqual(LURE_IDS.length / 2)
  })
  it('move the first pick with the temperature', () => {
    for (const [lure, sky] of [
      ['shallow-crankbait', 'partly'],
      ['deep-crankbait', 'partly'],
      ['jerkbait', 'overcast'],
      ['spinnerbait', 'partly'],
      ['swim-jig', 'partly'],
      ['swimbait', 'partly'],
    ] as const) {
      const firsts = new Set(
        [4, 9, 14, 19, 24, 29].map(
          temperatureC =>
            recommend({
              lure,
              water: { visibilityM: 1.5, tint: 'green', temperatureC, trend: 'rising' },
              light: { sky, sunElevationDeg: 40 },
            }).ranked[0]!.finish.id,
        ),
      )
      expect(firsts.size, lure).toBeGreaterThan(1)
    }
  })
  it('hold no two finishes that are the same to every eye', () => {
    for (const lure of LURE_IDS) {
      const near = (species: 'largemouth-bass' | 'red-drum') =>
        rank({
          lure,
          species,
          fishM: 0.3,
          water: { visibilityM: 8, tint: 'blue-clear' },
          light: { sky: 'clear', sunElevationDeg: 50 },
        }).ranked
      const [bass, drum] = [near('largemouth-bass'), new Map(near('red-drum').map(j => [j.finish.id, j]))]
      bass.forEach((a, i) =>
        bass.slice(i + 1).forEach(b => {
          const fish = Math.max(apartJnd(a, b), apartJnd(drum.get(a.finish.id)!, drum.get(b.finish.id)!))
          const angler = a.anglerM !== b.anglerM
          expect(fish > 0.3 || angler, `${a.finish.id} ${b.finish.id}`).toBe(true)
        }),
      )
    }
  })
  it('let every finish lead, or come close, somewhere', () => {
    const schools = ['balanced', 'match', 'contrast', 'bright-day'] as const
    for (const lure of ['walking-frog', 'buzzbait', 'spinnerbait', 'jigging-spoon'] as const) {
      const never = new Set(finishesOf(lure).flatMap(f => (f.mimics ? [] : f.id)))
      for (const r of requests(70, 5, [lure])) {
        if (!never.size) break
        for (const school of schools)
          for (const j of rank({ ...r, school }).ranked.slice(0, 3)) never.delete(j.finish.id)
      }
      expect([...never], lure).toEqual([])
    }
  })
})

describe('a ranking', () => {
  it('keeps its order as the readings stray', () => {
    const asked = requests(48, 4).filter(r => r.water.visibilityM >= 0.3)
    for (const [name, stray] of Object.entries(STRAYS)) {
      const found = asked.map(r => steadiness(r, stray))
      const taus = found.map(f => f.tau).sort((a, b) => a - b)
      expect(taus[Math.floor(taus.length * 0.05)]!, name).toBeGreaterThan(0.8)
      expect(found.filter(f => !f.kept).length, name).toBeLessThanOrEqual(2)
    }
  })
  it('is measured by Kendall’s tau', () => {
    expect(kendallTau(['a', 'b', 'c'], ['a', 'b', 'c'])).toBe(1)
    expect(kendallTau(['a', 'b', 'c'], ['c', 'b', 'a'])).toBe(-1)
    expect(kendallTau(['a', 'b', 'c'], ['b', 'a', 'c'])).toBeCloseTo(1 / 3)
  })
  it('shares its places within the noise, and says what settles them', () => {
    let shared = 0
    for (const r of requests(48, 6)) {
      const a = recommend(r)
      const first = a.ranked.filter(x => x.place === 1)
      expect(a.ranked[0]!.place).toBe(1)
      for (const [i, x] of a.ranked.entries()) expect(x.place).toBeLessThanOrEqual(i + 1)
      expect(a.closeCall?.finishIds ?? [a.ranked[0]!.finish.id]).toEqual(first.map(x => x.finish.id))
      if (a.closeCall) shared++
    }
    expect(shared).toBeGreaterThan(8)
    expect(shared).toBeLessThan(44)
  })
  it('has rods that the fish can tell apart wherever it can tell three things apart', () => {
    for (const r of requests(60, 8)) {
      for (const tint of Object.keys(TINTS).slice(0, 2) as TintId[]) {
        const faults = faultsOf(r, recommend({ ...r, water: { ...r.water, tint } }))
        expect(faults.filter(f => f.fault === 'twin rods')).toEqual([])
      }
    }
  })
})

it('says of lures only what goes with the conditions, the figures and the rest of the answer', () => {
  const quarrels = lureQuestions(150, 3, 4).flatMap(q => lureQuarrels(q, luresHere(q)))
  expect(quarrels).toEqual([])
  const [question] = lureQuestions(1, 3, 4)
  const answer = luresHere(question!)
  const [first] = answer.here
  const false_ = {
    ...first!,
    through: 'hangs',
    senses: { code: 'senses.felt-first', params: {}, text: 'Felt .. first' },
  }
  const wrong = lureQuarrels(question!, { ...answer, here: [false_] } as typeof answer)
  expect(wrong.map(w => w.split(/[,:]/)[0]).sort()).toEqual(['broken', 'felt first', 'hangs here'])
})
