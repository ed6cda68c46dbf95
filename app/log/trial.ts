import { type Position, type TrialSpell, trialOrder, trialOrderOfTwo } from '#core/trial/order'
import type { Block } from '#core/trial/verdict'
import type { Spoil, TripRecord } from '#shared/schema/record'
import { type Tap, crewOf, isBite, whoOf } from './trip'

/** A spell of a fair test as it was fished; two anglers fish the spells of a turn at once. */
export interface FishedSpell extends TrialSpell {
  turn: number
  who: number
  position: Position | null
  casts: number
  bites: number
  /** Each bite by the cast it came on. */
  biteCasts: number[]
  spoils: Spoil[]
}
export interface Trial {
  spells: FishedSpell[]
  /** The tap of each block's first cast, as far as they are begun. */
  begun: string[]
  /** The turn that is fished; null once all are. */
  now: number | null
  turns: number
  /** A turn is over and the next is not begun: rods are to be changed, or taken on. */
  swap: boolean
}

/** Whether two fish a test together. */
export const ofTwo = (trip: TripRecord): boolean => crewOf(trip).length === 2

function drawnOrder(trip: TripRecord): Omit<FishedSpell, 'casts' | 'bites' | 'biteCasts' | 'spoils'>[] {
  const { blocks, seed } = trip.trial!
  return ofTwo(trip)
    ? trialOrderOfTwo(blocks, seed).map(({ block, side, spell, angler, position }) => ({
        block,
        side,
        turn: 2 * (block - 1) + spell - 1,
        who: angler - 1,
        position,
      }))
    : trialOrder(blocks, seed).map((s, turn) => ({ ...s, turn, who: 0, position: null }))
}

/** What spoils a spell without being said so: another spot, or another sky than was noted before. */
function spoilOf({ body: t }: Tap, skyBefore: string): Spoil | null {
  if (t.what === 'spot') return 'moved'
  return t.what === 'conditions' && t.asked && t.asked.light.sky !== skyBefore ? 'sky' : null
}

/**
 * A fair test so far: casts fill the spells in the order drawn, a turn only once all of the one before is cast; a bite
 * belongs to its angler's spell of the cast before it. What changes between the turns of a pair spoils it as what
 * changes within one does; between pairs nothing is spoilt.
 */
export function trialOf(trip: TripRecord, taps: readonly Tap[]): Trial {
  const { castsPerSpell } = trip.trial!
  const spells: FishedSpell[] = drawnOrder(trip).map(s => ({ ...s, casts: 0, bites: 0, biteCasts: [], spoils: [] }))
  const turns = 1 + Math.max(...spells.map(s => s.turn))
  const of = (turn: number) => spells.filter(s => s.turn === turn)
  let due = 0
  let here = of(0)
  /** The spell of each angler's last cast. */
  const at: (FishedSpell | undefined)[] = crewOf(trip).map((_, who) => here.find(s => s.who === who))
  let sky: string = trip.asked.light.sky
  let swapped = true
  const begun: string[] = []
  for (const t of taps) {
    const { what } = t.body
    const who = whoOf(t)
    if (what === 'cast') {
      const mine = here.find(s => s.who === who)
      if (!mine || mine.casts === castsPerSpell) continue
      at[who] = mine
      mine.casts++
      if (begun.length < mine.block) begun.push(t.id)
      if (here.every(s => s.casts === castsPerSpell)) {
        here = of(++due)
        swapped = false
      }
      continue
    }
    if (what === 'rod' && t.body.drawn) swapped = true
    const bitten = at[who]
    if (bitten && isBite(t) && bitten.bites < bitten.casts) {
      bitten.bites++
      bitten.biteCasts.push(bitten.casts)
    }
    const open = here.some(s => s.casts > 0) || here[0]?.block === of(due - 1)[0]?.block
    const spoil = open ? spoilOf(t, sky) : null
    const spoilt = what === 'broken' ? here.filter(s => s.who === who) : spoil ? here : []
    for (const s of spoilt) {
      const by = spoil ?? t.body.spoil ?? 'broken'
      if (!s.spoils.includes(by)) s.spoils.push(by)
    }
    if (what === 'conditions' && t.body.asked) sky = t.body.asked.light.sky
  }
  return {
    spells,
    begun,
    now: due < turns ? due : null,
    turns,
    swap: due > 0 && due < turns && !swapped && fresh(here),
  }
}
const fresh = (spells: readonly FishedSpell[]) => spells.every(s => !s.casts)

/** An angler's spell of the turn that is fished. */
export const spellOf = ({ spells, now }: Trial, who: number): FishedSpell | undefined =>
  spells.find(s => s.turn === now && s.who === who)

/**
 * Whole blocks, which alone may be looked at: inside one of them one of the two has had more casts. A block with a
 * spoilt spell is left out whole, both anglers' pairs of it.
 */
export function blocksOf(trip: TripRecord, spells: readonly FishedSpell[]): Block[] {
  const { castsPerSpell, leaveOut, blocks } = trip.trial!
  return Array.from({ length: blocks }, (_, i) => spells.filter(s => s.block === i + 1)).flatMap(block => {
    const whole = block.every(s => s.casts === castsPerSpell)
    const spoilt = block.some(s => s.spoils.some(x => leaveOut.includes(x)))
    if (!whole || spoilt) return []
    const of = (side: 'a' | 'b') => {
      const mine = block.filter(s => s.side === side)
      return { casts: mine.reduce((n, s) => n + s.casts, 0), bites: mine.reduce((n, s) => n + s.bites, 0) }
    }
    return [{ a: of('a'), b: of('b') }]
  })
}
