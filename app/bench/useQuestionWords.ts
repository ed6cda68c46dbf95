import type { Drill, DrillFacts, DrillOption } from '#core/bench/drills'
import type { DrillTopic } from '#core/words/drills'
import { SPECIES } from '#core/eye/species'
import { finishById } from '#core/lure/finish'
import { FORAGE } from '#core/prey/forage'
import { CLUES } from '#core/prey/odds'
import { PHASE_WORDS } from '#core/season/phase'
import { TINTS } from '#core/water/tints'
import { useUnits } from '~/settings/useUnits'
import { LURE_SHORT, cap } from '~/words/options'

const LETTERS = ['a', 'b', 'c'] as const

function ofScene(topic: DrillTopic): string {
  if (topic.startsWith('first')) return 'Which goes first?'
  return topic.startsWith('same') ? 'Which two would it call the same?' : 'What do you tie on?'
}
const QUESTION: Record<DrillFacts['kind'], (topic: DrillTopic) => string> = {
  scene: ofScene,
  jar: () => 'Which water is this?',
  discs: () => 'Which water is this?',
  season: () => 'Which phase is it?',
  clues: () => 'What are they eating?',
}
const questionOf = ({ facts, topic }: Drill) => QUESTION[facts.kind](topic)

function optionWords(o: DrillOption, i: number): string {
  switch (o.kind) {
    case 'finish':
      return `${LETTERS[i]}: ${finishById(o.finishId)!.name}`
    case 'pair':
      return o.places.map(p => LETTERS[p]).join(' and ')
    case 'tint':
      return cap(TINTS[o.tint].name)
    case 'phase':
      return cap(PHASE_WORDS[o.phase])
    case 'food':
      return cap(FORAGE[o.food].plural)
  }
}

type Facts<K extends DrillFacts['kind']> = Extract<DrillFacts, { kind: K }>

/** A question of the drills in words, in the angler's units. */
export function useQuestionWords() {
  const { lengthText, temperatureText } = useUnits()
  const FACTS: { [K in DrillFacts['kind']]: (f: Facts<K>) => string } = {
    scene({ request: { water, light, lure, species, fishM } }) {
      const sky = light?.sky === 'partly' ? 'some cloud' : `${light?.sky} sky`
      const off = fishM === undefined ? '' : `, ${lengthText(fishM)} off`
      const tint = cap(TINTS[water.tint!].name)
      const disc = lengthText(water.visibilityM!)
      return `${LURE_SHORT[lure]}, ${SPECIES[species!].words}${off}. ${tint}, disc ${disc}, ${sky}.`
    },
    jar: f => `A jar before white paper; a disc is lost at ${lengthText(f.visibilityM)}.`,
    discs: f => `White lost at ${lengthText(f.whiteM)}, black at ${lengthText(f.blackM)}.`,
    season: f =>
      `Largemouth, ${temperatureText(f.temperatureC)} and ${f.rising ? 'rising, in April' : 'falling, in October'}.`,
    clues({ species, phase, clues }) {
      const seen = clues.map(c => CLUES[c].words).join('; ')
      return `${cap(SPECIES[species!].words)}, ${PHASE_WORDS[phase]}. Seen: ${seen}.`
    },
  }
  const factsWords = (f: DrillFacts) => (FACTS[f.kind] as (f: DrillFacts) => string)(f)
  return { questionOf, factsWords, optionWords, LETTERS }
}
