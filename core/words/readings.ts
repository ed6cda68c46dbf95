import type { ReadingKind } from '#core/water/readingKinds'
import { TINTS, type TintId } from '#core/water/tints'
import { cap } from '#core/words/wording'
import type { Speech } from '#core/words/wording'

/** What a reading is called, and what usually spoils it. */
const READING: Record<ReadingKind, { name: string; spoilt: string }> = {
  'disc': { name: 'the disc', spoilt: "was read in glare or in the boat's shadow" },
  'target': { name: 'the lowered lure', spoilt: 'was lost in glare, or is not the colour it was taken for' },
  'seen-to': { name: 'what was last seen', spoilt: 'is larger or paler than it was taken for' },
  'turbidity': { name: "the gauge's turbidity", spoilt: 'is from another place or day' },
  'light': { name: 'the light meter', spoilt: 'went down while a cloud or the boat shaded it' },
  'jar': { name: 'the jar', spoilt: 'was stirred, or stood in coloured light' },
  'look': { name: 'the look of it', spoilt: "is the sky's colour, or the bottom's" },
}

const tintWord = (t: TintId) => TINTS[t].name.replace(/ \(.*/, '')
const TARGET = { disc: 'a disc', white: 'white', black: 'black' } as const

/** The reading to take next: the tints it is between, and what share of what is open now it would leave open. */
interface Next {
  tints: readonly [TintId, TintId]
  kind: ReadingKind
  leaves: number
}
const left = (leaves: number) => `: to some ${Math.max(1, Math.round(100 * leaves))} % of what is open now`

/** What is said of readings of the water. */
export const READING_WORDS = {
  'reading.clash': ({ kinds: [a, b] }: { kinds: readonly [ReadingKind, ReadingKind] }) =>
    a === b
      ? `No one water explains both readings of ${READING[a].name}: ` +
        `one of them ${READING[a].spoilt}, or the water changed.`
      : `No one water explains both ${READING[a].name} and ${READING[b].name}: ` +
        `either ${READING[a].name} ${READING[a].spoilt}, or ${READING[b].name} ${READING[b].spoilt}.`,
  'reading.alien': ({ kind }: { kind: ReadingKind }) =>
    `No water we know reads like this: perhaps ${READING[kind].name} ${READING[kind].spoilt}. Take it again.`,
  'reading.thinned': ({ kept, of }: { kept: number; of: number }) =>
    `Of ${of} samples ${kept} were worked at: the shallowest, the deepest, and evenly between.`,
  'reading.next-depth': (
    p: { target: keyof typeof TARGET; tints: readonly [TintId, TintId]; depthsM: readonly [number, number] },
    s: Speech,
  ) =>
    `${cap(TARGET[p.target])} would be lost at about ${s.length(p.depthsM[0])} if it is ${tintWord(p.tints[0])}, ` +
    `and at ${s.length(p.depthsM[1])} if it is ${tintWord(p.tints[1])}.`,
  'reading.next-jar': ({ tints: [a, b], leaves }: Next) =>
    `A jar before white paper tells ${tintWord(a)} from ${tintWord(b)} by its colour${left(leaves)}.`,
  'reading.next-any': ({ kind, leaves }: Next) =>
    `Of all readings, ${READING[kind].name} would narrow it down most${left(leaves)}.`,
} as const
