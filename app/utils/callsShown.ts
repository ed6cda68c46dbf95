import type { Row, ScreenModel, SeenOut } from '../workers/screen'

/** A call of the list with all that its row draws. */
export interface CallShown extends Row {
  seen: SeenOut | undefined
  fishM: number
  /** Length of the bars, m: somewhat more than the farthest finish is seen at. */
  maxM: number
  /** The others it looks like, in words. */
  alike: string | null
  /** Its place in a bracket of neighbours that the fish cannot tell apart. */
  joined: 'none' | 'start' | 'middle' | 'end'
}

/** The rows of an answer as the list draws them. */
export function callsShown(answer: ScreenModel): CallShown[] {
  const { rows } = answer
  const maxM = Math.max(0.1, ...rows.map(c => c.sightM)) * 1.04
  const groupOf = new Map(answer.answer.lookAlikes.flatMap(g => g.map(id => [id, g] as const)))
  const rankOf = new Map(rows.map(c => [c.finishId, c.rank]))
  const group = (i: number) => groupOf.get(rows[i]?.finishId ?? '')
  return rows.map((c, i) => {
    const here = group(i)
    const others = (here ?? []).filter(x => x !== c.finishId).map(x => rankOf.get(x)!).sort((a, b) => a - b)
    const [up, down] = [!!here && group(i - 1) === here, !!here && group(i + 1) === here]
    return {
      ...c, seen: answer.seen[c.finishId], fishM: answer.fishM, maxM,
      alike: others.length ? `Looks like ${others.slice(0, 2).join(', ')}${others.length > 2 ? ` +${others.length - 2}` : ''}` : null,
      joined: up && down ? 'middle' : up ? 'end' : down ? 'start' : 'none',
    }
  })
}
