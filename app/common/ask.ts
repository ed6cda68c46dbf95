import type { Fault } from '#shared/faults'

/** What the server said: the answer, what is wrong in words, or nothing, since it is away. */
export type AskResult<T> = { ok: true; value: T } | { ok: false; status: number; code: string; words: string }

export const AWAY = 'The server does not answer just now. Try again in a moment.'

/** Ask the server for something; whatever goes wrong comes back in words. */
export async function ask<T = null>(method: string, path: string, body?: object): Promise<AskResult<T>> {
  try {
    const response = await fetch(`/api/v1/${path}`, {
      method,
      ...(body ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) } : {}),
    })
    const text = await response.text()
    if (response.ok) return { ok: true, value: (text ? JSON.parse(text) : null) as T }
    const { errors = [] } = (text.startsWith('{') ? JSON.parse(text) : {}) as { errors?: Fault[] }
    const told = response.status < 500 ? errors.map(e => e.message).join(' ') : ''
    return { ok: false, status: response.status, code: errors[0]?.code ?? '', words: told || AWAY }
  } catch {
    return { ok: false, status: 0, code: 'away', words: AWAY }
  }
}
