import type { CallInput } from '#shared/schema/call'

/** Something the server has not confirmed yet: a call to keep, or one to take back. Both may be sent any number of times. */
export type Waiting =
  | { kind: 'keep', id: string, name: string, input: CallInput }
  | { kind: 'drop', id: string }

export type SendResult = 'done' | 'refused' | 'away'

/** Send one waiting thing. Sending twice does it once, because the id was made here. */
export async function send(w: Waiting, fetcher: typeof fetch = fetch): Promise<SendResult> {
  try {
    const response = w.kind === 'drop'
      ? await fetcher(`/api/v1/calls/${w.id}`, { method: 'DELETE' })
      : await fetcher(`/api/v1/calls/${w.id}`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(w.input) })
    if (response.ok) return 'done'
    return response.status >= 400 && response.status < 500 ? 'refused' : 'away'
  }
  catch {
    return 'away'
  }
}
