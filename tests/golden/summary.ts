/** What of two states of a pinned answer a reader asks for first. */
export interface Summary {
  /** Rankings held against each other, and how many of them have another finish first. */
  rankings: number
  firstsChanged: number
  /** The largest move of a score, and where. */
  largest: { moved: number; at: string }
  /** Sentences, by their words or codes, that are said oftener or less often now. */
  gained: string[]
  lost: string[]
  /** Whether any ranking has another order or another score. */
  rankingMoved: boolean
}

interface Ranked {
  at: string
  finishes: { id: string; score: number }[]
}

/** "sunfish 0.722 …, chrome-black 0.692 …": a ranking as it is pinned in one line. */
const RANKING = /^[a-z][a-z0-9-]* -?\d\.\d{3} \d+\.\d+\/\d+\.\d+/
/** Pinned with customs and advice by their codes: "craw-red-spring 0.024, … | sound.silent …". */
const CODED = /^(?:rules|advised)\./

function read(pinned: unknown, at: string, rankings: Ranked[], said: string[]): void {
  if (typeof pinned === 'string') {
    if (RANKING.test(pinned)) {
      const finishes = pinned.split(', ').map(f => ({ id: f.split(' ')[0]!, score: Number(f.split(' ')[1]) }))
      rankings.push({ at, finishes })
    } else if (CODED.test(at)) said.push(...pinned.split(/[ ,|]+/).filter(code => /^[a-z]/.test(code)))
    return
  }
  if (typeof pinned !== 'object' || pinned === null) return
  const { ranked, text } = pinned as { ranked?: unknown; text?: unknown }
  if (Array.isArray(ranked) && ranked[0]?.finish)
    rankings.push({ at, finishes: ranked.map(r => ({ id: r.finish.id as string, score: r.score as number })) })
  if (typeof text === 'string') said.push(text)
  for (const [key, value] of Object.entries(pinned)) read(value, at ? `${at}.${key}` : key, rankings, said)
}

/** What is oftener in one list than in another, each once. */
function oftener(one: readonly string[], other: readonly string[]): string[] {
  const left = new Map<string, number>()
  for (const s of other) left.set(s, (left.get(s) ?? 0) + 1)
  const out = new Set<string>()
  for (const s of one) {
    const n = left.get(s) ?? 0
    if (n) left.set(s, n - 1)
    else out.add(s)
  }
  return [...out]
}

/** What changed between two states of all pinned answers, by their names. */
export function summaryOf(before: Record<string, unknown>, after: Record<string, unknown>): Summary {
  const [was, is]: Ranked[][] = [[], []]
  const [saidBefore, saidAfter]: string[][] = [[], []]
  read(before, '', was!, saidBefore!)
  read(after, '', is!, saidAfter!)
  const old = new Map(was!.map(r => [r.at, r.finishes]))
  const both = is!.flatMap(r => (old.has(r.at) ? [{ ...r, before: old.get(r.at)! }] : []))
  const largest = { moved: 0, at: '' }
  for (const { at, finishes, before } of both) {
    const scores = new Map(before.map(f => [f.id, f.score]))
    for (const { id, score } of finishes) {
      const moved = Math.abs(score - (scores.get(id) ?? score))
      if (moved > largest.moved) Object.assign(largest, { moved, at: `${at} ${id}` })
    }
  }
  return {
    rankings: both.length,
    firstsChanged: both.filter(r => r.finishes[0]?.id !== r.before[0]?.id).length,
    largest,
    gained: oftener(saidAfter!, saidBefore!),
    lost: oftener(saidBefore!, saidAfter!),
    rankingMoved: both.some(r => JSON.stringify(r.finishes) !== JSON.stringify(r.before)),
  }
}

const few = (all: readonly string[], most = 3) =>
  all.length ? `${all.length} (${all.slice(0, most).join('; ')}${all.length > most ? '; …' : ''})` : 'none'

/** The same in a few lines. */
export function summaryWords({ rankings, firstsChanged, largest, gained, lost }: Summary): string[] {
  return [
    `first places changed: ${firstsChanged} of ${rankings}`,
    largest.moved ? `largest move of a score: ${largest.moved.toFixed(3)}, ${largest.at}` : 'no score moved',
    `sentences gained: ${few(gained)}; lost: ${few(lost)}`,
  ]
}
