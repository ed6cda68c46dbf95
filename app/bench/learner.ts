import { type Card, Rating, createEmptyCard, fsrs } from 'ts-fsrs'
import { type DrillTopic, TOPICS } from '#core/words/drills'
import type { AnswerRecord } from '#shared/schema/record'

/** What is known of a topic: when it is due again, how fine its questions are, and how the last went. */
export interface Topic {
  topic: DrillTopic
  card: Card | null
  /** How fine the margins are, 0-1. */
  level: number
  answers: boolean[]
}

/** Where everyone begins, and how far an answer moves it. */
const LEVEL = { first: 0.2, right: 0.12, wrong: -0.25 }
/** Answers of a topic that are shown. */
const SHOWN = 10

/** Nothing is left to chance: the same answers give the same schedule on every device. */
const scheduler = fsrs({ enable_fuzz: false })

/** What the answers so far tell of each topic, whatever order they came in. */
export function topicsOf(answers: readonly AnswerRecord[]): Topic[] {
  const byTopic = new Map<DrillTopic, AnswerRecord[]>()
  for (const a of answers) byTopic.set(a.topic, [...(byTopic.get(a.topic) ?? []), a])
  return TOPICS.map(topic => {
    const list = (byTopic.get(topic) ?? []).sort((a, b) => a.at.localeCompare(b.at) || a.seed - b.seed)
    let card: Card | null = null
    let level = LEVEL.first
    for (const { at, right } of list) {
      const when = new Date(at)
      card = scheduler.next(card ?? createEmptyCard(when), when, right ? Rating.Good : Rating.Again).card
      level = Math.min(1, Math.max(0, level + (right ? LEVEL.right : LEVEL.wrong)))
    }
    return { topic, card, level, answers: list.slice(-SHOWN).map(a => a.right) }
  })
}

/** What is asked next: what is due, the longest due first; then what was never asked; then whatever is due soonest. */
export function nextTopic(topics: readonly Topic[], now: Date, not: DrillTopic | null): Topic {
  const others = topics.filter(t => t.topic !== not)
  const all = others.length ? others : topics
  const due = (t: Topic) => t.card?.due.getTime() ?? Infinity
  const late = all.filter(t => due(t) <= now.getTime()).sort((a, b) => due(a) - due(b))
  return late[0] ?? all.find(t => !t.card) ?? [...all].sort((a, b) => due(a) - due(b))[0]!
}

/** Topics that were asked, the worst first. */
export const worstFirst = (topics: readonly Topic[]): Topic[] => {
  const share = (t: Topic) => t.answers.filter(Boolean).length / t.answers.length
  return topics.filter(t => t.answers.length).sort((a, b) => share(a) - share(b) || b.answers.length - a.answers.length)
}
