import type { Row, ScreenModel } from './model'

/** A call of the list with all that its row draws. */
export interface CallShown extends Row {
  fishM: number
  /** Length of the bars, m. */
  maxM: number
  /** How many others it looks like, in words. */
  alike: string | null
  /** Its place in a bracket of neighbours that the fish cannot tell apart. */
  joined: 'none' | 'start' | 'middle' | 'end'
}

/** Length of the bars of an answer, m: somewhat more than the farthest finish is seen at. */
export const barM = (answer: ScreenModel) => Math.max(0.1, answer.farthestM) * 1.04

const made = new WeakMap<ScreenModel, CallShown[]>()

/** The call at a place of an answer's list as it is drawn; the same object every time. */
export function callShown(answer: ScreenModel, i: number): CallShown | undefined {
  let calls = made.get(answer)
  if (!calls) made.set(answer, (calls = []))
  const row = answer.rows[i]
  return row && (calls[i] ??= drawn(answer, row, i))
}

function drawn(answer: ScreenModel, row: Row, i: number): CallShown {
  const group = answer.answer.lookAlikes.find(g => g.includes(row.finishId)) ?? []
  const others = answer.rows.filter(r => r !== row && group.includes(r.finishId)).length
  const [up, down] = [-1, 1].map(d => group.includes(answer.rows[i + d]?.finishId ?? ''))
  return {
    ...row,
    fishM: answer.fishM,
    maxM: barM(answer),
    alike: others ? `Looks like ${others} other${others > 1 ? 's' : ''}` : null,
    joined: up && down ? 'middle' : up ? 'end' : down ? 'start' : 'none',
  }
}
