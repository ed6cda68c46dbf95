import type { Fault } from '#shared/faults'
import type { CallInput } from '#shared/schema/call'

/** A call as the server lists it. */
export interface KeptCall {
  id: string
  asked: CallInput['asked']
  tiedOn: { id: string; name: string }
  rank: number | null
  /** How far the list it was taken from leaned on the log, 0-1. */
  leaned?: number
  waterId: string | null
  keptAt: string
}

/**
 * Something the server has not confirmed yet: a call to keep, or one to take back. Both may be sent any number of
 * times. A call whose content was refused stays here with the faults until the angler mends it or takes it back.
 */
export type Waiting =
  { kind: 'keep'; id: string; name: string; input: CallInput; faults?: Fault[] } | { kind: 'drop'; id: string }

export type SendResult =
  | { kind: 'done'; call: KeptCall | null }
  /** The server will never take this content. */
  | { kind: 'refused'; faults: Fault[] }
  /** Not this one, not now; another may go. */
  | { kind: 'later' }
  /** Nothing goes just now. */
  | { kind: 'away' }

/** The statuses that speak of the content itself. */
const REFUSALS = [409, 422]

const faultsOf = async (response: Response): Promise<Fault[]> => {
  const body = (await response.json().catch(() => null)) as { errors?: Fault[] } | null
  return body?.errors ?? []
}

/**
 * Send one waiting thing. Sending twice does it once, because the id was made here. Only a refusal of the content,
 * with its faults, ends a sending; whatever else comes back (too many requests, timed out, signed out, lost) is tried
 * again.
 */
export async function send(w: Waiting, fetcher: typeof fetch = fetch): Promise<SendResult> {
  try {
    const response =
      w.kind === 'drop'
        ? await fetcher(`/api/v1/calls/${w.id}`, { method: 'DELETE' })
        : await fetcher(`/api/v1/calls/${w.id}`, {
            method: 'PUT',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify(w.input),
          })
    if (response.ok) return { kind: 'done', call: w.kind === 'keep' ? ((await response.json()) as KeptCall) : null }
    if (REFUSALS.includes(response.status)) {
      const faults = await faultsOf(response)
      if (faults.length) return { kind: 'refused', faults }
    }
    return response.status >= 500 || response.status === 429 ? { kind: 'away' } : { kind: 'later' }
  } catch {
    return { kind: 'away' }
  }
}
