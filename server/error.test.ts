import { describe, expect, it, vi } from 'vitest'
import { TooBusyError } from '#server/ranking/lane'
import * as log from '#server/utils/log'
import handler, { replyTo } from './error'

const { errorWords } = log

/** The answer of the handler to an error, and what went into the log. */
function answered(error: object, context: object = { requestId: 'r1' }) {
  const lines: unknown[] = []
  vi.spyOn(log, 'useLog').mockReturnValue({ error: (line: unknown) => lines.push(line) } as never)
  const headers: Record<string, string> = {}
  const res = {
    statusCode: 0,
    setHeader: (k: string, v: string) => void (headers[k] = v),
    end: vi.fn(),
  }
  void handler(error as never, { context, node: { res }, path: '/api/v1/recommendations' } as never, {} as never)
  const body = JSON.parse(res.end.mock.calls[0]![0] as string) as { errors: { code: string; message: string }[] }
  return { status: res.statusCode, headers, body, lines }
}

describe('what a client is told of an error', () => {
  it('is our own faults as they are', () => {
    const errors = [{ path: 'water', code: 'required', message: 'Say how clear it is.' }]
    const { status, body, headers, lines } = answered({ statusCode: 422, data: { errors } })
    expect([status, body.errors, lines]).toEqual([422, errors, []])
    expect(headers['content-type']).toBe('application/json; charset=utf-8')
  })
  it('is when to come again where all hands are busy, which is no fault of the server', () => {
    const { status, body, headers, lines } = answered({ statusCode: 500, cause: new TooBusyError() })
    expect([status, body.errors[0]!.code, headers['retry-after'], lines]).toEqual([503, 'busy', '1', []])
  })
  it('is what an address takes where it takes another kind of request', () => {
    const { status, headers } = answered({ statusCode: 405 })
    expect([status, headers.allow]).toEqual([405, 'POST'])
  })
  it('is a plain sentence for all else, and the log has its kind alone', () => {
    const cause = Object.assign(new Error('secret words'), { code: 'EX' })
    const { status, body, lines } = answered({ statusCode: 500, cause })
    expect([status, body.errors[0]!.code]).toEqual([500, '500'])
    expect(JSON.stringify(body)).not.toContain('secret')
    expect(lines).toEqual([
      expect.objectContaining({ id: 'r1', status: 500, codes: ['500'], kind: 'Error', code: 'EX' }),
    ])
    expect(JSON.stringify(lines)).not.toContain('secret')
    const said = [404, 400, 599, 200, 600].map(s => replyTo({ statusCode: s }))
    expect(said.map(s => s.status)).toEqual([404, 400, 599, 500, 500])
    expect(new Set(said.map(s => s.errors[0]!.message)).size).toBe(3)
  })
})

describe('an error in the log', () => {
  it('is its kind, its code and the place it came from', () => {
    const error = Object.assign(new TypeError('words'), { original: { code: '23505' }, code: 'other' })
    const { kind, code, at } = errorWords(error)
    expect([kind, code]).toEqual(['TypeError', '23505'])
    expect(at).toMatch(/^at .*error\.test/)
    expect(errorWords('words')).toEqual({ kind: 'string' })
    expect(errorWords(Object.assign(new Error('x'), { stack: undefined }))).toMatchObject({
      kind: 'Error',
      at: undefined,
    })
  })
})
