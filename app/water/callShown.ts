import type { Row, ScreenModel } from './model'

/** A call of the list with all that its row draws. */
export interface CallShown extends Row {
  fishM: number
  /** Length of the bars, m. */
  maxM: number
}

/** Length of the bars of an answer, m: somewhat more than the farthest finish is seen at. */
export const barM = (answer: ScreenModel) => Math.max(0.1, answer.farthestM) * 1.04

const made = new WeakMap<ScreenModel, CallShown[]>()

/** The call at a place of an answer's list as it is drawn; the same object every time. */
export function callShown(answer: ScreenModel, i: number): CallShown | undefined {
  let calls = made.get(answer)
  if (!calls) made.set(answer, (calls = []))
  const row = answer.rows[i]
  return row && (calls[i] ??= { ...row, fishM: answer.fishM, maxM: barM(answer) })
}

/** Whether a finish is the one a row shows, or one that is the same to the fish. */
export const shows = (row: Row, finishId: string | null) => row.finishId === finishId || row.same.includes(finishId!)
