import { keptQuestion, shownOf } from '#shared/kept'
import type { CallInput } from '#shared/schema/call'
import type { useRecordsStore } from '~/records/store'

/** Where calls waited to be sent before they were records like the others. */
const KEY = 'piscator.waiting'

type Waiting = { kind: 'keep'; id: string; name: string; input: CallInput } | { kind: 'drop'; id: string }

function left(): Waiting[] {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '[]') as Waiting[]
  } catch {
    return []
  }
}

/** Calls that an older Piscator left waiting on this device become records, under the ids they have. */
export async function bringOverOutbox(records: Pick<ReturnType<typeof useRecordsStore>, 'put' | 'remove'>) {
  const waiting = left()
  for (const w of waiting) {
    if (w.kind === 'drop') await records.remove('call', w.id)
    else {
      const { asked, tiedOn, keptAt, waterId = null, leaned, exactPlace = false } = w.input
      const call = {
        asked: keptQuestion(asked, exactPlace),
        tiedOn,
        name: w.name,
        keptAt,
        waterId,
        rank: null,
        shown: shownOf([]),
      }
      await records.put('call', leaned ? { ...call, leaned } : call, w.id)
    }
  }
  if (waiting.length) localStorage.removeItem(KEY)
}
