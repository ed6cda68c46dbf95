import { EventEmitter } from 'node:events'
import type { H3Event } from 'h3'
import type { Readable } from 'node:stream'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { answeredInPieces, goneOf } from './pieces'

const sent: { stream: Readable | null; head: Record<string, string> } = { stream: null, head: {} }
/** A request whose answer goes to `sent`. */
function request() {
  const res = new EventEmitter()
  return { event: { node: { res }, context: {} } as unknown as H3Event, hangUp: () => res.emit('close') }
}
beforeEach(() => {
  sent.stream = null
  sent.head = {}
  vi.useFakeTimers()
  vi.stubGlobal('setResponseHeader', (_: unknown, k: string, v: string) => (sent.head[k] = v))
  vi.stubGlobal('sendStream', (_: unknown, stream: Readable) => (sent.stream = stream))
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
async function text(stream: Readable): Promise<string> {
  let out = ''
  for await (const piece of stream) out += String(piece)
  return out
}

describe('long work', () => {
  it('answers like any other where it is quick', async () => {
    expect(await answeredInPieces(request().event, Promise.resolve('{"a":1}'))).toBe('{"a":1}')
    expect(sent.stream).toBeNull()
    expect(sent.head['content-type']).toMatch(/^application\/json/)
  })
  it('sends a blank a second until it is there, which leaves it JSON', async () => {
    const work = new Promise<string>(resolve => setTimeout(resolve, 3500, '{"a":1}'))
    const begun = answeredInPieces(request().event, work)
    await vi.advanceTimersByTimeAsync(1000)
    await begun
    const all = text(sent.stream!)
    await vi.advanceTimersByTimeAsync(4000)
    const said = await all
    expect(said.trim()).toBe('{"a":1}')
    expect(said.length - said.trim().length).toBe(2)
    expect(JSON.parse(said)).toEqual({ a: 1 })
  })
  it('is given up when whoever asked hangs up, and not when the answer has gone out', () => {
    const { event, hangUp } = request()
    const signal = goneOf(event)
    expect([goneOf(event), signal.aborted]).toEqual([signal, false])
    hangUp()
    expect(signal.aborted).toBe(true)
    const whole = request()
    Object.assign(whole.event.node.res, { writableFinished: true })
    const answered = goneOf(whole.event)
    whole.hangUp()
    expect(answered.aborted).toBe(false)
  })
})
